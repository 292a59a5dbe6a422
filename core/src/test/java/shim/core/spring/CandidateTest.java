package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.Engine;
import shim.core.engine.ValveKind;
import shim.core.spring.SpringSheet.Wire;

/** A spring thought of for an engine. */
class CandidateTest {
  private static final Engine ENGINE = Engines.engine(Engines.sheet("v8-odd-even"));

  private static SpringSheet sheet(Double bindIn, List<Wire> wires) {
    SpringSheet s = SpringTest.sheet();
    return new SpringSheet(
        s.name(), s.form(), null, s.loads(), null, null, bindIn, s.odIn(), wires, null, null, null,
        null);
  }

  private static Candidate of(SpringSheet sheet, double liftIn, List<WeakestLink.Limit> limits) {
    Map<ValveKind, Candidate.Asked> asked = new EnumMap<>(ValveKind.class);
    for (ValveKind kind : ValveKind.values()) {
      asked.put(
          kind,
          new Candidate.Asked(
              1.950,
              Optional.of(Fit.Lift.ofGross(ENGINE, kind, liftIn)),
              0.720,
              List.of(1.556, 1.551, 1.561),
              0,
              limits));
    }
    SpringType type = SpringCheck.check(sheet).type().orElseThrow();
    return Candidate.of(sheet, type, ENGINE, asked, FitLimits.USUAL, 7800);
  }

  @Test
  void aBiggerCamTakesTheClearanceAndAddsToTheOpenLoad() {
    Candidate small = of(sheet(1.18, null), 0.600, List.of());
    Candidate big = of(sheet(1.18, null), 0.700, List.of());
    for (int k = 0; k < 2; k++) {
      Fit a = small.kinds().get(k).fit();
      Fit b = big.kinds().get(k).fit();
      assertThat(b.seatLbf()).isEqualTo(a.seatLbf());
      assertThat(b.openLbf() - a.openLbf()).isCloseTo(0.1 * a.rateLbfPerIn(), within(1e-9));
      assertThat(a.bindClearanceIn().orElseThrow() - b.bindClearanceIn().orElseThrow())
          .isCloseTo(0.1, within(1e-9));
    }
  }

  @Test
  void lashIsTakenOffTheLiftForTheLoadAndNotForBind() {
    Candidate.AtKind at = of(sheet(1.18, null), 0.650, List.of()).kinds().get(0);
    double lash = ENGINE.lash().targetIn(at.kind());
    assertThat(lash).isPositive();
    assertThat(at.fit().openLbf())
        .isCloseTo(220 + (0.650 - lash) * at.fit().rateLbfPerIn(), within(1e-6));
    assertThat(at.fit().bindClearanceIn().orElseThrow())
        .isCloseTo(1.95 - 0.65 - 1.18, within(1e-9));
  }

  /** The spring is 1.550 wide: snug in the narrowest, at home in the next, loose in the widest. */
  @Test
  void aCandidateIsHeldAgainstTheWorstPocketAndTheLeastSealGap() {
    Fit fit = of(sheet(1.18, null), 0.690, List.of()).kinds().get(0).fit();
    assertThat(fit.pocketPlayIn().orElseThrow()).isCloseTo(0.001, within(1e-9));
    assertThat(fit.remarks())
        .extracting(r -> r.said().code())
        .contains("FIT.LITTLE_PLAY", "FIT.CLOSE_TO_SEAL");
  }

  @Test
  void theFirstLinkIsTheOneThisCamExceeds() {
    List<WeakestLink.Limit> limits =
        List.of(
            new WeakestLink.Limit(WeakestLink.Part.ROCKER, 450.0, null, null),
            new WeakestLink.Limit(WeakestLink.Part.ROTATOR, null, 0.620, null),
            new WeakestLink.Limit(WeakestLink.Part.STUD, null, null, 9000.0));
    WeakestLink.Link first = of(sheet(1.18, null), 0.650, limits).kinds().get(0).links().get(0);
    assertThat(first.part()).isEqualTo(WeakestLink.Part.ROCKER);
    assertThat(first.exceeded()).isTrue();
    assertThat(of(sheet(1.18, null), 0.5, limits).kinds().get(0).links())
        .noneMatch(WeakestLink.Link::exceeded);
  }

  @Test
  void theDrawnCurveRunsFromBindToBeyondTheSeatAndPassesThroughBothLoads() {
    Candidate.AtKind at = of(sheet(1.18, null), 0.650, List.of()).kinds().get(0);
    assertThat(at.curve().get(0).heightIn()).isCloseTo(1.18, within(1e-9));
    assertThat(at.curve().get(at.curve().size() - 1).heightIn()).isGreaterThan(1.95);
    SpringType type = SpringCheck.check(sheet(1.18, null)).type().orElseThrow();
    assertThat(at.curve())
        .allSatisfy(p -> assertThat(p.loadLbf()).isEqualTo(type.curve().loadAt(p.heightIn())));
  }

  @Test
  void withTheInnerOutTheOuterCarriesItsShareOfTheRate() {
    Wire outer = new Wire(0.200, 1.550, 5.0, null, null, null);
    Wire inner = new Wire(0.140, 1.080, 6.0, null, null, null);
    Nest.OuterAlone alone =
        of(sheet(1.18, List.of(outer, inner)), 0.6, List.of()).outerAlone().orElseThrow();
    // d⁴/(D³ Na): 0.200⁴/(1.350³·5) and 0.140⁴/(0.940³·6), by hand 1.3006e-4 and 7.708e-5
    assertThat(alone.share()).isCloseTo(1.3006 / (1.3006 + 0.7708), within(1e-3));
    assertThat(alone.rateLbfPerIn()).isCloseTo(alone.share() * 438.46, within(0.01));
    assertThat(of(sheet(1.18, List.of(outer)), 0.6, List.of()).outerAlone()).isEmpty();
    assertThat(
            of(
                    sheet(1.18, List.of(outer, new Wire(0.14, null, 6.0, null, null, null))),
                    0.6,
                    List.of())
                .outerAlone())
        .isEmpty();
  }
}
