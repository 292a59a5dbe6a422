package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import shim.core.engine.Lifter;
import shim.core.engine.Problem;
import shim.core.spring.LoadQuestion.Code;
import shim.core.spring.SpringSheet.LoadPoint;

class SpringTest {
  static SpringSheet sheet() {
    return new SpringSheet(
        "HV dual",
        SpringSheet.Form.DUAL_WITH_DAMPER,
        2.450,
        List.of(new LoadPoint(1.950, 220.0), new LoadPoint(1.300, 505.0)),
        null,
        438.0,
        1.180,
        1.550,
        null,
        0.700,
        30.0,
        null,
        180.0);
  }

  private static SpringSheet with(Double rate, Double free, Double bind, List<LoadPoint> loads) {
    return new SpringSheet(
        "x", null, free, loads, null, rate, bind, null, null, null, null, null, null);
  }

  private static final List<LoadPoint> LOADS =
      List.of(new LoadPoint(1.950, 220.0), new LoadPoint(1.300, 505.0));

  private static List<String> asked(SpringSheet s) {
    return SpringCheck.check(s).problems().stream().map(Problem::message).toList();
  }

  @Test
  void aSoundSheetIsReadWithItsReferenceAtTheSeatHeight() {
    SpringCheck.Checked c = SpringCheck.check(sheet());
    assertThat(c.problems()).isEmpty();
    SpringType type = c.type().orElseThrow();
    assertThat(type.referenceHeightIn()).isEqualTo(1.950);
    assertThat(type.nominalLbf()).isEqualTo(220.0);
    assertThat(type.curve().rateLbfPerIn()).isCloseTo(438.46, within(0.01));
    assertThat(type.lossLimit()).isEqualTo(0.10);
  }

  @Test
  void contradictionsAreAskedAndTheImpossibleRefused() {
    assertThat(asked(with(600.0, null, null, LOADS)))
        .containsExactly(
            "the loads give {438 lbf/in}, the sheet says {600 lbf/in}: is one of the heights or loads wrong?");
    assertThat(asked(with(null, 3.2, null, LOADS)).get(0)).contains("free at {2.452 in}");
    assertThat(asked(with(null, 1.9, null, LOADS)).get(0)).contains("not above the height");
    assertThat(asked(with(null, null, 1.96, LOADS)).get(0)).contains("not below the reference");
    assertThat(asked(with(null, null, 1.35, LOADS)).get(0)).contains("below bind");
    assertThat(asked(with(null, null, null, List.of(new LoadPoint(49.5, 220.0)))).get(0))
        .contains("was it mm?");
    assertThat(asked(with(null, null, null, List.of(new LoadPoint(1.95, 220.0)))).get(0))
        .contains("second one or the rate");
    assertThat(
            asked(with(null, null, null, List.of(LOADS.get(0), new LoadPoint(1.3, 120.0)))).get(0))
        .contains("do not grow");
    assertThat(asked(with(Double.NaN, null, null, LOADS)).get(0)).contains("NaN");
  }

  @Test
  void movingALoadThereAndBackChangesNothingAlsoOnABentCurve() {
    LoadCurve bent =
        new LoadCurve(
            List.of(
                new LoadCurve.At(1.95, 220),
                new LoadCurve.At(1.6, 340),
                new LoadCurve.At(1.3, 520)));
    assertThat(bent.progressive()).isTrue();
    for (double h : new double[] {1.2, 1.45, 1.62, 1.94, 2.1}) {
      LoadCurve.Moved there = bent.move(333, h, 1.95);
      assertThat(bent.move(there.loadLbf(), 1.95, h).loadLbf()).isCloseTo(333, within(1e-9));
    }
    assertThat(bent.move(200, 1.955, 1.95).far()).isFalse();
    assertThat(bent.move(200, 1.965, 1.95).far()).isTrue();
    assertThat(bent.move(200, 1.96, 1.95).loadLbf()).isCloseTo(200 + 0.01 * 342.857, within(1e-3));
  }

  private static HeightPlan.Wanted wanted(double measured, HeightPlan.School school) {
    return new HeightPlan.Wanted(
        measured,
        1.950,
        0.005,
        List.of(0.060, 0.015, 0.030),
        List.of(-0.050, 0.050),
        null,
        school,
        null);
  }

  @Test
  void tallSpringsAreShimmedWithFewestPiecesThinnestBelow() {
    List<HeightPlan.Way> ways =
        HeightPlan.of(wanted(1.996, HeightPlan.School.FEWEST_PIECES)).ways();
    assertThat(ways.get(0).kind()).isEqualTo(HeightPlan.Kind.LOCKS);
    assertThat(ways.get(0).lockIn()).isEqualTo(-0.050);
    HeightPlan.Way two =
        ways.stream().filter(w -> w.kind() == HeightPlan.Kind.SHIMS).findFirst().orElseThrow();
    assertThat(two.shimsIn()).containsExactly(0.015, 0.030);
    assertThat(two.heightIn()).isCloseTo(1.951, within(1e-9));
    HeightPlan.Way one = HeightPlan.of(wanted(1.996, HeightPlan.School.ONE_PIECE)).ways().get(0);
    assertThat(one.kind()).isEqualTo(HeightPlan.Kind.ONE_MADE_PIECE);
    assertThat(one.shimsIn()).containsExactly(0.046);
  }

  @Test
  void aShortSpringIsNeverShimmedAndTheSchoolsToleranceDecides() {
    List<HeightPlan.Way> ways =
        HeightPlan.of(wanted(1.925, HeightPlan.School.FEWEST_PIECES)).ways();
    assertThat(ways).allMatch(w -> w.kind() != HeightPlan.Kind.SHIMS);
    assertThat(ways)
        .anyMatch(w -> w.kind() == HeightPlan.Kind.MACHINE_LOCATOR && w.machineIn() == 0.025)
        .anyMatch(w -> w.kind() == HeightPlan.Kind.LOCKS_AND_SHIMS);
    HeightPlan.Wanted loose =
        new HeightPlan.Wanted(
            1.940, 1.950, 0.020, List.of(), List.of(), null, HeightPlan.School.FEWEST_PIECES, null);
    assertThat(HeightPlan.of(loose).ways().get(0).kind()).isEqualTo(HeightPlan.Kind.AS_IT_IS);
    assertThatThrownBy(() -> wanted(Double.NaN, HeightPlan.School.ONE_PIECE))
        .hasMessageContaining("NaN");
  }

  @Test
  void bindAndSealAreTakenAtGrossLiftAndLoadAtNetLift() {
    SpringType type = SpringCheck.check(sheet()).type().orElseThrow();
    Fit fit =
        Fit.of(
            type,
            new Fit.Measured(1.950, 0.720, 1.552, null, null, 0.060),
            Optional.of(new Fit.Lift(0.688, 0.670)),
            Fit.Asked.usual(Lifter.ROLLER_SOLID));
    assertThat(fit.bindClearanceIn().orElseThrow()).isCloseTo(0.082, within(1e-9));
    assertThat(fit.sealClearanceIn().orElseThrow()).isCloseTo(0.032, within(1e-9));
    assertThat(fit.openLbf()).isCloseTo(220 + 0.670 * 438.46, within(0.1));
    assertThat(fit.remarks())
        .extracting(r -> r.said().code())
        .containsExactlyInAnyOrder("FIT.CLOSE_TO_SEAL", "FIT.STATED_DIFFERS");
    assertThat(fit.remarks())
        .anyMatch(r -> Double.valueOf(0.060).equals(r.said().figures().get("statedIn")));
  }

  @Test
  void aFlatTappetDoesNotCarryARollersSpring() {
    SpringType type = SpringCheck.check(sheet()).type().orElseThrow();
    Fit fit =
        Fit.of(
            type,
            new Fit.Measured(1.950, null, 1.545, null, null, null),
            Optional.of(new Fit.Lift(0.750, 0.73)),
            Fit.Asked.usual(Lifter.FLAT_SOLID));
    assertThat(fit.remarks())
        .extracting(r -> r.said().code())
        .contains(
            "FIT.NEAR_BIND", "FIT.WIDER_THAN_POCKET", "FIT.SEAT_WITH_FLAT", "FIT.OVER_ITS_LIFT");
  }

  @Test
  void theWeakestLinkComesFirst() {
    WeakestLink w =
        WeakestLink.of(
            List.of(
                new WeakestLink.Limit(WeakestLink.Part.ROTATOR, 220.0, null, null),
                new WeakestLink.Limit(WeakestLink.Part.STUD, 400.0, null, null),
                new WeakestLink.Limit(WeakestLink.Part.SPRING, null, 0.6, 7500.0)),
            new WeakestLink.Duty(330, 0.52, 7000));
    assertThat(w.first().orElseThrow().part()).isEqualTo(WeakestLink.Part.ROTATOR);
    assertThat(w.links().stream().filter(WeakestLink.Link::exceeded)).hasSize(1);
    assertThat(w.links()).hasSize(4);
  }

  @Test
  void theBoundsAScreenKnowsAreThoseOfTheQuestion() {
    for (double load = 5; load < 3000; load += 0.5) {
      double l = load;
      assertThat(l > LoadQuestion.plainFromLbf(220) && l < LoadQuestion.plainToLbf(220))
          .as("%s", l)
          .isEqualTo(LoadQuestion.load(l, 220).isEmpty());
      assertThat(LoadQuestion.slips(220).stream().anyMatch(b -> l > b.fromLbf() && l < b.toLbf()))
          .as("%s", l)
          .isEqualTo(LoadQuestion.load(l, 220).flatMap(LoadQuestion::meant).isPresent());
    }
  }

  @Test
  void slipsOfUnitAndPointAreAskedAbout() {
    assertThat(LoadQuestion.load(214, 220)).isEmpty();
    assertThat(LoadQuestion.load(2140, 220).orElseThrow().code()).isEqualTo(Code.TEN_TIMES);
    assertThat(LoadQuestion.load(952, 220).orElseThrow().code()).isEqualTo(Code.NEWTON);
    assertThat(LoadQuestion.load(21.4, 220).orElseThrow().meant().orElseThrow())
        .isCloseTo(214, within(1e-9));
    assertThat(LoadQuestion.load(97, 220).orElseThrow().code()).isEqualTo(Code.KILOGRAM);
    assertThat(LoadQuestion.load(120, 220).orElseThrow().code()).isEqualTo(Code.ELSE);
    assertThat(LoadQuestion.height(49.5, 1.95).orElseThrow().code()).isEqualTo(Code.MILLIMETRE);
    assertThat(LoadQuestion.height(1.96, 1.95)).isEmpty();
  }
}
