package shim.core.crank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.EngineSheet.BankSheet;
import shim.core.engine.EngineSheet.LayoutSheet;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.unit.Angle;

class SettingPlanPropertiesTest {
  private static Layout random(Random random, int cylinders, boolean oddFire) {
    List<Integer> order = new ArrayList<>(IntStream.rangeClosed(1, cylinders).boxed().toList());
    Collections.shuffle(order, random);
    String numbers =
        IntStream.rangeClosed(1, cylinders)
            .mapToObj(String::valueOf)
            .collect(Collectors.joining(" "));
    String firing = order.stream().map(String::valueOf).collect(Collectors.joining(" "));
    String intervals = oddFire ? "90 150" : null;
    BankSheet bank = new BankSheet("head", numbers, "EI".repeat(cylinders));
    LayoutSheet sheet = new LayoutSheet(null, List.of(bank), firing, intervals, null);
    return Engines.engine(Engines.with(Engines.sheet("inline-4"), sheet)).layout();
  }

  /** Any even-fire order, any duration: a plan that is offered never leaves the base circle. */
  @Test
  void noPlanIsWrongAboutTheBaseCircle() {
    Random random = new Random(4);
    for (int run = 0; run < 200; run++) {
      Layout layout = random(random, 1 + random.nextInt(16), false);
      double duration = 220 + random.nextInt(110);
      CrankModel model =
          CrankModel.of(layout, Engines.camCard(duration, 106, 114), Optional.empty());
      SettingPlanner planner = new SettingPlanner(model);
      for (School school : School.values()) {
        planner
            .plan(school, 2 * layout.cylinderCount(), List.of())
            .ifPresent(plan -> checkPlan(model, plan));
      }
    }
  }

  /**
   * More stops than useful ones are the best answer with what is useful: on a six with equal lobes
   * -151 degrees was shown for them.
   */
  @Test
  void moreStopsThanHelpAreNeverWorse() {
    Random random = new Random(12);
    for (int run = 0; run < 60; run++) {
      int cylinders = run == 0 ? 6 : 1 + random.nextInt(12);
      double duration = run == 0 ? 270 : 220 + random.nextInt(110);
      CrankModel model =
          CrankModel.of(
              random(random, cylinders, false),
              Engines.camCard(duration, 110, 110),
              Optional.empty());
      BestStops best = BestStops.anywhere(model.windows());
      double before = -720;
      for (int k = 1; k <= 3 * cylinders; k++) {
        BestStops.Best now = best.with(k);
        assertThat(now.worstSlackDeg()).as("%d stops", k).isGreaterThanOrEqualTo(before - 1e-6);
        assertThat(now.anglesDeg()).hasSizeLessThanOrEqualTo(Math.min(k, best.distinctWindows()));
        before = now.worstSlackDeg();
      }
      double every = before;
      assertThat(model.windows()).allMatch(w -> w.mostSlackDeg() >= every - 1e-6);
      assertThat(new SettingPlanner(model).curve())
          .isNotEmpty()
          .allMatch(b -> b.worstSlackDeg() >= -1e-6);
      BestStops marked = BestStops.among(model.windows(), List.of(90.0));
      assertThat(marked.with(3 * cylinders))
          .extracting(BestStops.Best::worstSlackDeg)
          .isEqualTo(marked.with(1).worstSlackDeg());
    }
  }

  /** A cam whose intake opens after its exhaust has closed rocks nothing. */
  @Test
  void aCamWithoutOverlapRocksNothing() {
    for (double duration : new double[] {190, 260}) {
      CrankModel model =
          CrankModel.of(
              Engines.engine(Engines.sheet("inline-6")).layout(),
              Engines.camCard(duration, 110, 110),
              Optional.empty());
      assertThat(StopWords.of(model, 0, Optional.empty()).look().contains("rocking"))
          .as("duration %s", duration)
          .isEqualTo(duration > 220);
    }
  }

  private static void checkPlan(CrankModel model, SettingPlan plan) {
    assertThat(new HashSet<>(plan.workingOrder()))
        .as("every valve once by %s", plan.school())
        .hasSameSizeAs(plan.workingOrder())
        .containsExactlyInAnyOrderElementsOf(model.layout().positions());
    for (SettingPlan.Stop stop : plan.stops()) {
      for (SettingPlan.Setting s : stop.settings()) {
        ValveWindow w = model.window(s.position());
        double intoFree = Angle.forward(w.freeFromDeg(), stop.crankDeg());
        double freeLength = 2 * w.mostSlackDeg();
        boolean onBaseCircle = intoFree <= freeLength + 1e-9 || 720 - intoFree < 1e-9;
        boolean named = plan.offBaseCircle().contains(s);
        assertThat(onBaseCircle).as("%s at %s", s, stop.crankDeg()).isEqualTo(!named);
      }
    }
    if (plan.school() != School.TWO_STOPS) {
      assertThat(plan.offBaseCircle()).as("%s", plan.school()).isEmpty();
    }
  }

  @Test
  void theOptimumIsNeverBeatenByTenThousandRandomPlans() {
    Random random = new Random(7);
    Layout v6 = random(random, 6, true);
    CrankModel model = CrankModel.of(v6, Engines.camCard(284, 107, 113), Optional.empty());
    BestStops best = BestStops.anywhere(model.windows());
    for (int k = 1; k <= 6; k++) {
      double optimum = best.with(k).worstSlackDeg();
      for (int plan = 0; plan < 10_000; plan++) {
        List<Double> stops = random.doubles(k, 0, 720).boxed().toList();
        assertThat(worst(model, stops)).isLessThanOrEqualTo(optimum + 1e-6);
      }
    }
  }

  private static double worst(CrankModel model, List<Double> stops) {
    return model.windows().stream()
        .mapToDouble(w -> stops.stream().mapToDouble(w::slackDeg).max().orElseThrow())
        .min()
        .orElseThrow();
  }

  @Test
  void moreStopsNeverCostSlackAndMarksNeverGainIt() {
    CrankModel model =
        CrankModel.of(
            Engines.layout("v8-odd-even"), Engines.camCard(290, 106, 114), Optional.empty());
    SettingPlanner planner = new SettingPlanner(model);
    List<BestStops.Best> curve = planner.curve();
    assertThat(curve)
        .as("one stop is no plan here")
        .extracting(BestStops.Best::stops)
        .containsExactlyElementsOf(IntStream.rangeClosed(2, 16).boxed().toList());
    for (int k = 1; k < curve.size(); k++) {
      assertThat(curve.get(k).worstSlackDeg())
          .isGreaterThanOrEqualTo(curve.get(k - 1).worstSlackDeg());
    }
    BestStops.Best marked = planner.best(3, List.of(0.0, 90.0, 180.0, 270.0));
    assertThat(marked.worstSlackDeg()).isLessThanOrEqualTo(curve.get(1).worstSlackDeg() + 1e-9);
    assertThat(marked.anglesDeg()).allSatisfy(a -> assertThat(a % 90).isZero());
  }

  /** Against every choice of marks, tried one by one. */
  @Test
  void theBestMarksAreTheBestOfAllChoices() {
    CrankModel model =
        CrankModel.of(Engines.layout("inline-6"), Engines.camCard(270, 105, 112), Optional.empty());
    List<Double> marks = List.of(0.0, 40.0, 120.0, 200.0, 240.0);
    List<Double> all = new ArrayList<>(marks);
    marks.forEach(m -> all.add(m + 360));
    double brute = Double.NEGATIVE_INFINITY;
    for (double a : all) {
      for (double b : all) {
        for (double c : all) {
          brute = Math.max(brute, worst(model, List.of(a, b, c)));
        }
      }
    }
    assertThat(new SettingPlanner(model).best(3, marks).worstSlackDeg())
        .isCloseTo(brute, within(1e-9));
  }

  @Test
  void aSchoolThatCannotServeThisCamSaysWhichValveAndByHowMuch() {
    CrankModel model =
        CrankModel.of(
            Engines.layout("v8-odd-even"), Engines.camCard(350, 108, 108), Optional.of(45.0));
    SettingPlan plan = new SettingPlanner(model).plan(School.TWO_STOPS, 2, List.of()).orElseThrow();
    assertThat(plan.worstSlackDeg()).isNegative();
    assertThat(plan.offBaseCircle())
        .isNotEmpty()
        .allSatisfy(s -> assertThat(s.slackDeg()).isNegative());
  }

  @Test
  void noCompanionNoCompanionSchool() {
    CrankModel three =
        CrankModel.of(
            random(new Random(1), 3, false), Engines.camCard(260, 106, 110), Optional.empty());
    assertThat(new SettingPlanner(three).plan(School.FULL_LIFT_COMPANION, 0, List.of())).isEmpty();
  }

  @Test
  void openingClosingBarsOneIntervalToTheNextCylinder() {
    CrankModel model =
        CrankModel.of(
            Engines.layout("v8-odd-even"), Engines.camCard(280, 106, 114), Optional.empty());
    SettingPlan plan =
        new SettingPlanner(model)
            .plan(School.OPENING_CLOSING_TWO_TRIPS, 0, List.of())
            .orElseThrow();
    assertThat(plan.stops()).hasSize(16);
    assertThat(plan.stops().subList(1, 8))
        .allSatisfy(s -> assertThat(s.barDeg()).isCloseTo(90, within(1e-9)));
    assertThat(plan.workingOrder().subList(0, 8))
        .extracting(Position::toString)
        .containsExactly("1E", "8E", "4E", "3E", "6E", "5E", "7E", "2E");
  }

  @Test
  void pastAStopTheCrankGoesRoundOrSetsWhatIsFree() {
    CrankModel model =
        CrankModel.of(Engines.layout("inline-4"), Engines.camCard(270, 106, 110), Optional.empty());
    Overshoot past = Overshoot.of(model, 20, 0, new HashSet<>(model.layout().positions()));
    assertThat(past.roundDeg()).isEqualTo(700);
    assertThat(past.settableHere())
        .isNotEmpty()
        .allSatisfy(s -> assertThat(model.window(s.position()).slackDeg(20)).isNotNegative());
    assertThat(past.settableHere().size()).isLessThan(8);
  }

  @Test
  void stopsAreFoundByWhatCanBeSeen() {
    CrankModel model =
        CrankModel.of(
            Engines.layout("v8-odd-even"), Engines.camCard(290, 106, 114), Optional.empty());
    StopWords tdc = StopWords.of(model, 360, Optional.of(34.0));
    assertThat(tdc.look())
        .isEqualTo("cylinder 6 at compression TDC, cylinder 1's valves rocking on overlap");
    assertThat(tdc.balancer()).isEqualTo("balancer on number 1's TDC mark");
    assertThat(tdc.rotor()).hasValueSatisfying(r -> assertThat(r).contains("17° past number 6"));
    double closing = model.window(Position.parse("8I")).closesDeg();
    assertThat(StopWords.of(model, closing, Optional.empty()).look())
        .isEqualTo("cylinder 8's intake almost closed");
    assertThat(StopWords.of(model, 20, Optional.empty()).look())
        .isEqualTo("20° past cylinder 1's compression TDC");
  }
}
