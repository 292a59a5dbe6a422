package shim.core.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.Engines;
import shim.core.engine.EngineSheet.BankSheet;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.EngineSheet.DurationPoint;
import shim.core.engine.EngineSheet.Events;
import shim.core.engine.EngineSheet.LayoutSheet;
import shim.core.engine.EngineSheet.LiftAt;

class SheetCheckTest {
  private static List<Problem> problems(EngineSheet sheet) {
    return SheetCheck.check(sheet).problems();
  }

  private static void refuses(EngineSheet sheet, String field, String words) {
    assertThat(problems(sheet))
        .anySatisfy(
            p -> {
              assertThat(p.field()).isEqualTo(field);
              assertThat(p.stops()).isTrue();
              assertThat(p.message()).contains(words);
            });
    assertThat(SheetCheck.check(sheet).engine()).isEmpty();
  }

  private static EngineSheet four(String cylinders, String order, String valves, String intervals) {
    return Engines.with(
        Engines.sheet("inline-4"),
        new LayoutSheet(
            null, List.of(new BankSheet("", cylinders, valves)), order, intervals, null));
  }

  /** A sheet just begun is incomplete, not wrong: whoever types is not reproached for it. */
  @Test
  void whatIsNotThereYetIsMissingAndNothingElse() {
    assertThat(problems(new EngineSheet(null, null, null, null, null, null, null)))
        .isNotEmpty()
        .allMatch(p -> p.weight() == Problem.Weight.MISSING && p.stops());
    assertThat(problems(four("1 2 3 4", "1 3 4 2", "E I X I", null)))
        .filteredOn(p -> p.message().startsWith("write only I and E"))
        .singleElement()
        .returns(Problem.Weight.REFUSED, Problem::weight);
  }

  @Test
  void everyPresetBecomesAnEngine() {
    for (Presets.Preset preset : Presets.all()) {
      EngineSheet sheet = Engines.with(Engines.sheet("inline-4"), preset.layout());
      assertThat(problems(sheet)).as(preset.id()).isEmpty();
      assertThat(SheetCheck.check(sheet).engine()).as(preset.id()).isPresent();
    }
  }

  @Test
  void anEmptySheetNamesAllThatIsMissingAtOnce() {
    List<Problem> found = problems(new EngineSheet(null, null, null, null, null, null, null));
    assertThat(found)
        .extracting(Problem::field)
        .contains("name", "layout.banks", "drive.lifter", "cam.lsaDeg");
  }

  @Test
  void aDoubledCylinderInTheFiringOrderIsNamedWithTheMissingOne() {
    EngineSheet sheet = four("1 2 3 4", "1-3-3-2", "EIIEEIIE", null);
    refuses(sheet, "layout.firingOrder", "cylinder 3 is doubled");
    refuses(sheet, "layout.firingOrder", "cylinder 4 is missing");
  }

  @Test
  void aCylinderOnTwoPlacesOfTheBanksIsNamed() {
    refuses(
        four("1 2 2 4", "1-3-4-2", "EIIEEIIE", null),
        "layout.banks.0.cylinders",
        "2 is there twice");
  }

  @ParameterizedTest
  @CsvSource({"EIIEEII, do not fit", "EIIEEIIX, only I and E", "EEIIEIIE, no intake"})
  void valveOrdersThatCannotBe(String valves, String words) {
    refuses(four("1 2 3 4", "1-3-4-2", valves, null), "layout.banks.0.valveOrder", words);
  }

  @Test
  void intervalsMustAddUpTo720AndMayBeWrittenOnceForARepeat() {
    refuses(four("1 2 3 4", "1-3-4-2", "EIIEEIIE", "180 180 180 170"), "layout.intervals", "710");
    Layout odd =
        SheetCheck.check(four("1 2 3 4", "1-3-4-2", "EIIEEIIE", "150-210")).layout().orElseThrow();
    assertThat(odd.intervalsDeg()).containsExactly(150.0, 210.0, 150.0, 210.0);
    assertThat(odd.evenFire()).isFalse();
    Layout rounded =
        SheetCheck.check(four("1 2 3 4", "1-3-4-2", "EIIEEIIE", "179.867-180.033"))
            .layout()
            .orElseThrow();
    assertThat(rounded.intervalsDeg().stream().mapToDouble(d -> d).sum())
        .as("what was rounded away is shared out")
        .isCloseTo(720, org.assertj.core.api.Assertions.within(1e-9));
  }

  @Test
  void severalValvesOfAKindAreNumberedFrontFirst() {
    Layout layout = SheetCheck.check(four("1 2", "1-2", "EIIE EIIE", null)).layout().orElseThrow();
    assertThat(layout.positions())
        .extracting(Position::toString)
        .containsExactly("1E1", "1I1", "1I2", "1E2", "2E1", "2I1", "2I2", "2E2");
    assertThat(Position.parse("2i2")).isEqualTo(layout.positions().get(6));
  }

  @Test
  void sharedTdcOfAnInlineSix() {
    assertThat(Engines.layout("inline-6").sharedTdc())
        .containsExactly(List.of(1, 6), List.of(5, 2), List.of(3, 4));
  }

  @Test
  void aRatioOfSixteenIsAskedAsOnePointSix() {
    DriveSheet d = Engines.drive();
    DriveSheet slip =
        new DriveSheet(
            d.lifter(),
            d.rocker(),
            16.0,
            null,
            d.adjuster(),
            d.thread(),
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    refuses(
        Engines.with(Engines.sheet("inline-4"), slip), "drive.ratioIntake", "did you mean 1.6?");
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -0.018})
  void nonsenseNumbersAreRefusedEverywhere(double value) {
    refuses(withLash(value), "cam.lashIntakeIn", "cannot be");
  }

  @ParameterizedTest
  @CsvSource({"0.45, 0.45 mm is {0.0177 in}", "18, 18 thou is {0.018 in}"})
  void lashInAnotherUnitIsRecognised(double typed, String words) {
    refuses(withLash(typed), "cam.lashIntakeIn", words);
  }

  private static EngineSheet withLash(double lash) {
    CamSheet c = Engines.cam();
    return Engines.with(
        Engines.sheet("inline-4"),
        new CamSheet(
            c.card(),
            c.liftAt(),
            c.liftIntakeIn(),
            c.liftExhaustIn(),
            c.intake(),
            c.exhaust(),
            c.lsaDeg(),
            c.intakeCentreDeg(),
            null,
            lash,
            0.020,
            null,
            null,
            c.lashState(),
            null,
            null));
  }

  private static EngineSheet withEvents(List<DurationPoint> durations, Double icl, Events events) {
    CamSheet c = Engines.cam();
    return Engines.with(
        Engines.sheet("inline-4"),
        new CamSheet(
            c.card(),
            c.liftAt(),
            c.liftIntakeIn(),
            c.liftExhaustIn(),
            durations,
            durations,
            icl == null ? null : 110.0,
            icl,
            events,
            0.018,
            0.020,
            null,
            null,
            c.lashState(),
            null,
            null));
  }

  @Test
  void eventsThatContradictTheDurationAreRefused() {
    List<DurationPoint> card = List.of(new DurationPoint(0.05, 218.0));
    EngineSheet agree = withEvents(card, 106.0, new Events(0.05, 3.0, 35.0, 43.0, -5.0));
    assertThat(problems(agree)).isEmpty();
    EngineSheet wide = withEvents(card, 106.0, new Events(0.05, 6.0, 38.0, 43.0, -5.0));
    refuses(wide, "cam.intake", "224 degrees");
    EngineSheet shifted = withEvents(card, 106.0, new Events(0.05, 6.0, 32.0, 43.0, -5.0));
    refuses(shifted, "cam.intakeCentreDeg", "103 degrees");
  }

  @Test
  void eventsAloneMakeACard() {
    EngineSheet sheet = withEvents(List.of(), null, new Events(0.02, 39.0, 71.0, 79.0, 31.0));
    CamCard cam = Engines.engine(sheet).cam().orElseThrow();
    assertThat(cam.intake().lowest()).isEqualTo(new CamCard.Duration(0.02, 290));
    assertThat(cam.intake().centreDeg()).isEqualTo(106);
    assertThat(cam.exhaust().centreDeg()).isEqualTo(114);
  }

  @Test
  void moreLiftWithMoreDurationContradicts() {
    List<DurationPoint> wrong =
        List.of(new DurationPoint(0.02, 250.0), new DurationPoint(0.05, 280.0));
    refuses(withEvents(wrong, 106.0, null), "cam.intake", "more lift is always less duration");
  }

  @Test
  void aHydraulicEngineNeedsPlungerTravelAndPreloadButNoLash() {
    DriveSheet hyd =
        new DriveSheet(
            Lifter.ROLLER_HYDRAULIC,
            Rocker.STUD,
            1.5,
            1.5,
            Adjuster.FULCRUM_NUT,
            "3/8-24",
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null);
    refuses(Engines.with(Engines.sheet("v8-bank"), hyd), "drive.plungerTravelIn", "missing");
  }

  private static EngineSheet withRules(EngineSheet.RulesSheet rules) {
    return Engines.with(Engines.sheet("inline-4"), rules);
  }

  @Test
  void houseRulesHaveTheirUsualFigures() {
    Engine.Rules usual = Engines.engine(Engines.sheet("inline-4")).rules();
    assertThat(usual.toleranceIn()).isEqualTo(0.002);
    assertThat(usual.feelerStepIn()).isEqualTo(0.001);
    assertThat(usual.rampMarginDeg()).isEmpty();
    assertThat(usual.staticTimingDeg()).hasValue(34.0);
  }

  @Test
  void houseRulesThatCannotBeAreRefusedAtTheirFields() {
    refuses(
        withRules(
            new EngineSheet.RulesSheet(
                HotColdSchool.FIXED, null, 0.02, null, 120.0, null, "0 90 360", null)),
        "rules.fixedColdMinusHotIn",
        "missing");
    List<Problem> found =
        problems(
            withRules(
                new EngineSheet.RulesSheet(
                    HotColdSchool.TABLE, null, 0.02, null, 120.0, null, "0 90 360", null)));
    assertThat(found)
        .extracting(Problem::field)
        .containsExactlyInAnyOrder(
            "rules.toleranceIn", "rules.rampMarginDeg", "rules.balancerMarks");
  }

  @Test
  void aRodShorterThanTheStrokeIsRefused() {
    EngineSheet s = Engines.sheet("inline-4");
    EngineSheet.BottomEnd bottom =
        new EngineSheet.BottomEnd(4.0, 5.7, 3.48, Material.IRON, Material.IRON, null);
    refuses(
        new EngineSheet(s.name(), s.layout(), s.drive(), bottom, s.cam(), s.rules(), s.use()),
        "bottomEnd.rodIn",
        "shorter than the stroke");
  }

  @Test
  void aFloorAboveItsTargetIsRefused() {
    CamSheet c = Engines.cam();
    EngineSheet sheet =
        Engines.with(
            Engines.sheet("inline-4"),
            new CamSheet(
                c.card(),
                c.liftAt(),
                c.liftIntakeIn(),
                c.liftExhaustIn(),
                c.intake(),
                c.exhaust(),
                c.lsaDeg(),
                c.intakeCentreDeg(),
                null,
                0.018,
                0.020,
                0.019,
                null,
                c.lashState(),
                null,
                null));
    refuses(sheet, "cam.floorIntakeIn", "must not be above the lash");
  }

  @Test
  void aClassRuleWithoutItsSourceIsAskedAboutButKept() {
    EngineSheet s = Engines.sheet("inline-4");
    EngineSheet.UseSheet use =
        new EngineSheet.UseSheet(
            "laps", 12.0, List.of(new EngineSheet.ClassRule("preload above zero", null, null)));
    EngineSheet sheet =
        new EngineSheet(s.name(), s.layout(), s.drive(), s.bottomEnd(), s.cam(), s.rules(), use);
    assertThat(problems(sheet))
        .singleElement()
        .satisfies(p -> assertThat(p.weight()).isEqualTo(Problem.Weight.ASKED));
    assertThat(SheetCheck.check(sheet).engine()).isPresent();
  }

  @Test
  void liftInMillimetresIsRecognised() {
    CamSheet c = Engines.cam();
    EngineSheet sheet =
        Engines.with(
            Engines.sheet("inline-4"),
            new CamSheet(
                c.card(),
                c.liftAt(),
                10.2,
                null,
                c.intake(),
                c.exhaust(),
                c.lsaDeg(),
                c.intakeCentreDeg(),
                null,
                0.018,
                0.020,
                null,
                null,
                c.lashState(),
                null,
                null));
    refuses(sheet, "cam.liftIntakeIn", "10.2 mm is {0.402 in}");
  }

  @ParameterizedTest
  @CsvSource({"3E, 3, EXHAUST, 0", "12i2, 12, INTAKE, 2", " 1I ,1, INTAKE, 0"})
  void valvesAreReadAsTheyAreWritten(String text, int cylinder, ValveKind kind, int ordinal) {
    assertThat(Position.parse(text)).isEqualTo(new Position(cylinder, kind, ordinal));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "E3", "3", "3X", "333E"})
  void whatIsNoValveIsSaid(String text) {
    org.assertj.core.api.Assertions.assertThatThrownBy(() -> Position.parse(text))
        .hasMessageContaining("such as 3E");
  }

  private static EngineSheet withLift(LiftAt at, double lift, Double cardRatio, Double exhaust) {
    CamSheet c = Engines.cam();
    return Engines.with(
        Engines.sheet("v8-odd-even"),
        new CamSheet(
            c.card(),
            at,
            lift,
            null,
            c.intake(),
            c.exhaust(),
            c.lsaDeg(),
            c.intakeCentreDeg(),
            null,
            0.018,
            0.020,
            null,
            null,
            c.lashState(),
            cardRatio,
            exhaust));
  }

  /** Worked value of the trade, no source: 0.520 at 1.6 is a lobe of 0.325. */
  @Test
  void aLiftAtTheValveBelongsToTheCardsOwnRatio() {
    SheetCheck.Checked checked = SheetCheck.check(withLift(LiftAt.VALVE, 0.520, 1.6, null));
    CamCard cam = checked.engine().orElseThrow().cam().orElseThrow();
    assertThat(cam.intake().lobeLiftIn()).isCloseTo(0.325, within(1e-9));
    assertThat(cam.exhaust().lobeLiftIn()).isCloseTo(0.325, within(1e-9));
    assertThat(checked.problems()).noneMatch(p -> p.field().startsWith("cam.cardRatio"));
    CamCard apart =
        SheetCheck.check(withLift(LiftAt.VALVE, 0.520, 1.6, 1.5))
            .engine()
            .orElseThrow()
            .cam()
            .orElseThrow();
    assertThat(apart.exhaust().lobeLiftIn()).isCloseTo(0.520 / 1.5, within(1e-9));
    SheetCheck.Checked blank = SheetCheck.check(withLift(LiftAt.VALVE, 0.520, null, null));
    assertThat(blank.engine()).isPresent();
    assertThat(blank.problems())
        .anyMatch(p -> p.field().equals("cam.cardRatioIntake") && p.message().contains("own"));
    assertThat(SheetCheck.check(withLift(LiftAt.LOBE, 0.4, null, null)).problems())
        .noneMatch(p -> p.field().startsWith("cam.cardRatio"));
    refuses(withLift(LiftAt.VALVE, 0.520, 16.0, null), "cam.cardRatioIntake", "cannot be");
  }
}
