package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.spring.SpringSheet.LoadPoint;
import shim.core.spring.SpringSheet.Wire;

/** The rings of a nest, by what is known of them; loads worked by hand. */
class NestTest {
  private static final List<LoadPoint> OUTER =
      List.of(new LoadPoint(1.950, 140.0), new LoadPoint(1.300, 335.0));
  private static final List<LoadPoint> INNER =
      List.of(new LoadPoint(1.950, 80.0), new LoadPoint(1.300, 170.0));

  private static Nest nest(List<LoadPoint> outer, List<LoadPoint> inner) {
    return nest(
        new Wire(0.200, 1.550, 5.0, 1.150, outer, null),
        new Wire(0.140, 1.080, 6.0, 1.050, inner, 0.080));
  }

  private static SpringSheet sheet(Wire... rings) {
    SpringSheet s = SpringTest.sheet();
    return new SpringSheet(
        s.name(),
        s.form(),
        s.freeLengthIn(),
        s.loads(),
        s.referenceHeightIn(),
        s.rateLbfPerIn(),
        s.bindIn(),
        s.odIn(),
        List.of(rings),
        s.maxLiftIn(),
        s.lifeHours(),
        s.lossPercent(),
        s.leastSeatLbf());
  }

  private static Nest nest(Wire... rings) {
    SpringSheet nested = sheet(rings);
    return Nest.of(nested, SpringCheck.check(nested).type().orElseThrow()).orElseThrow();
  }

  @Test
  void whatWasMeasuredAloneCountsAndTheOtherIsTheRest() {
    Nest both = nest(OUTER, INNER);
    assertThat(both.outerAt(1.950)).contains(new Nest.Alone(140, Nest.Source.MEASURED));
    assertThat(both.innerAt(1.950)).contains(new Nest.Alone(80, Nest.Source.MEASURED));
    Nest outer = nest(OUTER, null);
    // 505 whole less 335 of the outer at 1.300
    assertThat(outer.innerAt(1.300)).contains(new Nest.Alone(170, Nest.Source.SUBTRACTED));
    Nest inner = nest(null, INNER);
    assertThat(inner.outerAt(1.300)).contains(new Nest.Alone(335, Nest.Source.SUBTRACTED));
    // 285/0.65 whole less 90/0.65 of the inner
    assertThat(inner.outerAlone().orElseThrow().rateLbfPerIn()).isCloseTo(300, within(0.5));
    assertThat(outer.outerAlone().orElseThrow().source()).isEqualTo(Nest.Source.MEASURED);
  }

  @Test
  void beforeEitherWasMeasuredTheWiresShareTheLoad() {
    Nest wires = nest(null, null);
    double share = wires.outerShare().orElseThrow();
    assertThat(wires.outerAt(1.950).orElseThrow().loadLbf()).isCloseTo(220 * share, within(1e-9));
    assertThat(wires.outerAt(1.950).orElseThrow().source()).isEqualTo(Nest.Source.ESTIMATED);
    assertThat(wires.innerAt(1.950).orElseThrow().loadLbf())
        .isCloseTo(220 * (1 - share), within(1e-9));
  }

  @Test
  void aRingThatStandsLowerBindsByItsOwnHeight() {
    // outer: 1.950 - 0.640 - 1.150 = 0.160; inner: 1.950 - 0.080 - 0.640 - 1.050 = 0.180
    assertThat(nest(OUTER, INNER).bindClearanceIn(1.950, 0.640).orElseThrow())
        .isCloseTo(0.160, within(1e-9));
    assertThat(
            nest(
                    new Wire(0.200, 1.550, 5.0, 1.150, null, null),
                    new Wire(0.140, 1.080, 6.0, 1.100, null, 0.080))
                .bindClearanceIn(1.950, 0.640)
                .orElseThrow())
        .isCloseTo(0.130, within(1e-9));
  }

  /** Loads that fall, more than the whole's 220, bind at the reference height, a step of NaN. */
  @Test
  void whatARingCannotBeIsRefusedAtItsField() {
    List<LoadPoint> falls = List.of(new LoadPoint(1.95, 150.0), new LoadPoint(1.30, 140.0));
    List<LoadPoint> more = List.of(new LoadPoint(1.95, 221.0), new LoadPoint(1.30, 335.0));
    Wire good = new Wire(null, null, null, 1.15, OUTER, null);
    assertThat(refused(good, new Wire(null, null, null, null, falls, null)))
        .containsExactly("wires[1].loads");
    assertThat(refused(new Wire(null, null, null, null, more, null)))
        .containsExactly("wires[0].loads");
    assertThat(refused(new Wire(null, null, null, 1.95, null, Double.NaN)))
        .containsExactly("wires[0].bindIn", "wires[0].stepIn");
    assertThat(refused(good, new Wire(null, null, null, 1.949, INNER, 1.0))).isEmpty();
  }

  private static List<String> refused(Wire... rings) {
    return SpringCheck.check(sheet(rings)).problems().stream()
        .filter(p -> p.weight() == shim.core.engine.Problem.Weight.REFUSED)
        .map(shim.core.engine.Problem::field)
        .toList();
  }

  @Test
  void ofThreeRingsNobodyKnowsTheInner() {
    Wire ring = new Wire(0.140, 1.080, 6.0, null, null, null);
    Nest three = nest(new Wire(0.200, 1.550, 5.0, null, null, null), ring, ring);
    assertThat(three.innerAt(1.950)).isEmpty();
    assertThat(three.outerAt(1.950)).isPresent();
    assertThat(three.bindClearanceIn(1.950, 0.6)).isEmpty();
  }
}
