package shim.core.lobe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Durations, events and area against lobes whose answers are known in closed form. */
class LobeCurveTest {
  private static final double LIFT = 0.372;
  private static final double HALF = 150;

  /** cos² is at l where a = 2A/π acos √(l/L). */
  @ParameterizedTest
  @ValueSource(doubles = {0.006, 0.0093, 0.020, 0.050, 0.200, 0.340})
  void durationsOfACosineLobe(double at) {
    LobeCurve lobe = Lobes.curve(Lobes.cosine(LIFT, HALF), 180, 2);
    double half = 2 * HALF / Math.PI * Math.acos(Math.sqrt(at / LIFT));
    assertThat(lobe.durationDeg(at)).isCloseTo(2 * half, within(0.05));
    assertThat(lobe.opensDeg(at)).isCloseTo(-half, within(0.03));
    assertThat(lobe.closesDeg(at)).isCloseTo(half, within(0.03));
    assertThat(lobe.middleDeg(at)).isCloseTo(0, within(0.01));
  }

  /** (1 − x²)³ is at l where x = √(1 − ∛(l/L)). */
  @ParameterizedTest
  @ValueSource(doubles = {0.004, 0.020, 0.050, 0.300})
  void durationsOfAPolynomialLobe(double at) {
    LobeCurve lobe = Lobes.curve(Lobes.polynomial(LIFT, HALF), 180, 2);
    double half = HALF * Math.sqrt(1 - Math.cbrt(at / LIFT));
    assertThat(lobe.durationDeg(at)).isCloseTo(2 * half, within(0.05));
  }

  /** The area under cos² is L A; under (1 − x²)³ it is L A 32/35. */
  @Test
  void areas() {
    assertThat(Lobes.curve(Lobes.cosine(LIFT, HALF), 180, 1).areaInDeg(0))
        .isCloseTo(LIFT * HALF, within(0.01));
    assertThat(Lobes.curve(Lobes.polynomial(LIFT, HALF), 180, 1).areaInDeg(0))
        .isCloseTo(LIFT * HALF * 32 / 35, within(0.01));
    LobeCurve high = Lobes.curve(Lobes.cosine(LIFT, HALF), 180, 1);
    assertThat(high.areaInDeg(0.050)).isLessThan(high.areaInDeg(0.020));
  }

  @Test
  void moreLiftIsAlwaysLessDuration() {
    LobeCurve lobe = Lobes.curve(Lobes.cosine(LIFT, HALF), 180, 4);
    double before = 1000;
    for (double l = 0.001; l < LIFT; l += 0.003) {
      assertThat(lobe.durationDeg(l)).isLessThan(before);
      before = lobe.durationDeg(l);
    }
    assertThat(lobe.durationDeg(LIFT + 0.01)).isZero();
    assertThat(lobe.durationDeg(Double.POSITIVE_INFINITY)).isZero();
  }

  @Test
  void alobeIsZeroOutsideItsRowsAndKnowsItsNose() {
    LobeCurve lobe = Lobes.curve(a -> Lobes.cosine(LIFT, HALF).applyAsDouble(a - 1.3), 170, 4);
    assertThat(lobe.noseIn()).isCloseTo(LIFT, within(2e-5));
    assertThat(lobe.middleDeg(LIFT - 0.05)).isCloseTo(1.3, within(0.05));
    assertThat(lobe.liftIn(-171)).isZero();
    assertThat(lobe.liftIn(400)).isZero();
    assertThat(lobe.liftIn(Double.NaN)).isZero();
    assertThat(lobe.countedFrom(1.3).middleDeg(LIFT - 0.05)).isCloseTo(0, within(0.05));
  }

  @Test
  void whatIsNoLobeIsRefused() {
    List<LobeCurve.Row> flat =
        IntStream.range(0, 20).mapToObj(i -> new LobeCurve.Row(i, 0)).toList();
    assertThatThrownBy(() -> new LobeCurve(flat)).hasMessageContaining("make no lobe");
    assertThatThrownBy(() -> new LobeCurve(flat.subList(0, 11))).hasMessageContaining("11 rows");
    for (double bad : new double[] {Double.NaN, Double.POSITIVE_INFINITY, 1e300, -3}) {
      List<LobeCurve.Row> one = new ArrayList<>(flat);
      one.set(4, new LobeCurve.Row(4, bad));
      assertThatThrownBy(() -> new LobeCurve(one)).hasMessageContaining("no lift of a lobe");
    }
    List<LobeCurve.Row> twice = new ArrayList<>(flat);
    twice.set(4, new LobeCurve.Row(3, 0.1));
    assertThatThrownBy(() -> new LobeCurve(twice)).hasMessageContaining("must rise");
    LobeCurve lobe = Lobes.curve(Lobes.cosine(LIFT, HALF), 180, 4);
    assertThatThrownBy(() -> lobe.opensDeg(Double.NaN)).hasMessageContaining("not on a lobe");
    assertThatThrownBy(() -> lobe.closesDeg(-0.001)).hasMessageContaining("not on a lobe");
  }
}
