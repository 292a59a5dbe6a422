package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.Engines;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet.ClassRule;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.EngineSheet.Holds;
import shim.core.engine.EngineSheet.PreloadSheet;
import shim.core.engine.EngineSheet.UseSheet;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.PreloadSpec;
import shim.core.engine.Problem;
import shim.core.engine.Rocker;
import shim.core.engine.SheetCheck;
import shim.core.engine.ValveKind;

/** Preload of hydraulic lifters, by turns and by length, judged as strictly as a lash. */
class PreloadTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Position I1 = Position.parse("1I");
  private static final UseSheet RULED =
      new UseSheet(
          null,
          null,
          List.of(new ClassRule("some preload", "4.1", null, Holds.PRELOAD_ABOVE_ZERO)));

  static DriveSheet drive(
      Adjuster adjuster, @Nullable Double turns, @Nullable PreloadSheet preload) {
    return new DriveSheet(
        Lifter.ROLLER_HYDRAULIC,
        Rocker.PEDESTAL,
        1.5,
        1.6,
        adjuster,
        adjuster.turned() ? "3/8-24" : null,
        0.080,
        turns,
        adjuster == Adjuster.PEDESTAL_SHIM
            ? "0.000 0.015 0.030 0.060"
            : "7.950 7.925 7.900 7.875 7.850",
        adjuster.turned() ? null : adjuster == Adjuster.PEDESTAL_SHIM ? 0.030 : 7.875,
        null,
        null,
        null,
        null,
        null,
        preload);
  }

  private static PreloadSheet turns(@Nullable Double to, @Nullable Double tolerance) {
    return new PreloadSheet(
        to, tolerance, null, null, PreloadSpec.Use.HIGH_REVS, "builder", null, null);
  }

  static PreloadSheet travel(@Nullable Double from, @Nullable Double to) {
    return new PreloadSheet(null, null, from, to, null, " ", 7.900, 7.900);
  }

  static SheetCheck.Checked check(DriveSheet drive, @Nullable UseSheet use) {
    var s = Engines.with(Engines.sheet("inline-4"), drive);
    return SheetCheck.check(
        new shim.core.engine.EngineSheet(
            s.name(), s.layout(), s.drive(), s.bottomEnd(), s.cam(), s.rules(), use));
  }

  static Engine engine(DriveSheet drive) {
    return check(drive, null).engine().orElseThrow();
  }

  private static PreloadTarget target(DriveSheet drive) {
    return PreloadTarget.of(engine(drive).drive(), ValveKind.INTAKE).orElseThrow();
  }

  /** The screen's own reading of a preload is held against the same cases (gauge.test.ts). */
  @ParameterizedTest
  @CsvFileSource(resources = "/preload-cases.csv", numLinesToSkip = 1)
  void aPreloadIsJudgedAsTheScreenJudgesIt(
      double from,
      double to,
      double bottom,
      boolean aboveZero,
      double preload,
      LashVerdict verdict) {
    PreloadTarget target =
        new PreloadTarget(
            ValveKind.INTAKE,
            PreloadSpec.Unit.INCH,
            from,
            to,
            (from + to) / 2,
            bottom,
            1,
            null,
            null,
            aboveZero,
            false);
    assertThat(target.judge(preload)).isEqualTo(verdict);
  }

  @Nested
  class ByTurns {
    private final PreloadTarget half = target(drive(Adjuster.FULCRUM_NUT, 0.5, turns(null, null)));

    @Test
    void saysWhoseFigureItIsAndWhatItIsFor() {
      assertThat(half.use()).isEqualTo(PreloadSpec.Use.HIGH_REVS);
      assertThat(half.source()).isEqualTo("builder");
    }

    /** Whatever is allowed either way: no preload is never right where some is wanted. */
    @Test
    void noPreloadIsNeverInWhereSomeIsWanted() {
      assertThat(target(drive(Adjuster.FULCRUM_NUT, 0.1, null)).judge(0))
          .isEqualTo(LashVerdict.NO_PRELOAD);
      PreloadTarget zero = target(drive(Adjuster.FULCRUM_NUT, 0.0, null));
      assertThat(zero.judge(0)).isEqualTo(LashVerdict.IN);
      assertThat(zero.judge(-0.01)).isEqualTo(LashVerdict.NO_PRELOAD);
    }

    @Test
    void theToleranceIsTheTeams() {
      PreloadTarget wide = target(drive(Adjuster.FULCRUM_NUT, 0.5, turns(null, 0.25)));
      assertThat(wide.judge(0.75)).isEqualTo(LashVerdict.IN);
      assertThat(half.judge(0.75)).isEqualTo(LashVerdict.DEEP);
      PreloadTarget range = target(drive(Adjuster.FULCRUM_NUT, 0.5, turns(0.75, 0.01)));
      assertThat(range.judge(0.5)).isEqualTo(LashVerdict.IN);
      assertThat(range.judge(0.75)).isEqualTo(LashVerdict.IN);
      assertThat(range.judge(0.76)).isEqualTo(LashVerdict.DEEP);
      assertThat(range.aim()).isEqualTo(0.625);
    }

    /** 3/8-24 under 1.5: one turn of a stud nut moves the plunger 0.0694 (ASME B1.1 pitch). */
    @Test
    void showsThePlungersTravelAndWhatIsLeftHot() {
      Preload p = Preload.ofTurns(half, 0.25, 0.006, 1.5);
      assertThat(p.travelIn()).isCloseTo(0.0694 / 4, within(1e-4));
      assertThat(p.hotTravelIn()).isCloseTo(p.travelIn() - 0.004, within(1e-9));
      assertThat(p.change()).isEqualTo(0.25);
      assertThat(p.parts()).isNull();
      assertThat(half.bottom()).isCloseTo(0.080 / 0.0694, within(1e-3));
    }

    @ParameterizedTest
    @CsvSource({"-0.1", "20", "NaN", "1e300"})
    void whatIsNoCountOfTurnsIsRefused(double turns) {
      assertThatThrownBy(() -> Preload.ofTurns(half, turns, 0, 1.5))
          .isInstanceOf(LashException.class);
    }

    /** The exhaust's rocker moves the plunger less for the same turn. */
    @Test
    void intakeAndExhaustAreReckonedApart() {
      List<PreloadTarget> both =
          PreloadTarget.both(engine(drive(Adjuster.FULCRUM_NUT, 0.5, null)).drive());
      assertThat(both).extracting(PreloadTarget::kind).containsExactly(ValveKind.values());
      assertThat(both.get(0).travelIn(1)).isCloseTo(1 / 24.0 * (1 + 1 / 1.5), within(1e-9));
      assertThat(both.get(1).travelIn(1)).isCloseTo(1 / 24.0 * (1 + 1 / 1.6), within(1e-9));
      assertThat(EngineFacts.of(engine(drive(Adjuster.FULCRUM_NUT, 0.5, null)), NO_GROWTH).notes())
          .anyMatch(n -> n.contains("At the intakes: 0.50 turns push the plunger {0.0347"))
          .anyMatch(n -> n.contains("At the exhausts: 0.50 turns push the plunger {0.0339"));
    }

    private static final Growth NO_GROWTH = new Growth(java.util.Map.of());
  }

  @Nested
  class ByLength {
    private final Engine engine = engine(drive(Adjuster.PUSHROD_LENGTH, null, travel(0.025, 0.06)));
    private final PreloadTarget target =
        PreloadTarget.of(engine.drive(), ValveKind.INTAKE).orElseThrow();

    /** The worked example of the trade's rule: L0 7.850, travel 0.080, wanted 0.025 to 0.060. */
    @ParameterizedTest
    @CsvSource({
      "7.850, 0, NO_PRELOAD",
      "7.875, 0.025, IN",
      "7.900, 0.050, IN",
      "7.925, 0.075, DEEP",
      "7.950, 0.100, BOTTOMED",
      "7.870, 0.020, SHALLOW"
    })
    void eachSizeGivesItsTravel(double size, double travel, LashVerdict verdict) {
      Preload p =
          Preload.ofLength(engine.drive(), target, new Preload.Length(7.850, size, size), 0)
              .orElseThrow();
      assertThat(p.travelIn()).isCloseTo(travel, within(1e-9));
      assertThat(p.verdict()).isEqualTo(verdict);
    }

    @Test
    void theSizesToHandAreShownNearestFirst() {
      Preload.PreloadParts c = choice(engine, 7.850, 7.875);
      assertThat(c.wantedSizeIn()).isCloseTo(7.8925, within(1e-9));
      assertThat(c.sizes())
          .extracting(Preload.PreloadSize::sizeIn)
          .startsWith(7.900, 7.875)
          .hasSize(5);
      assertThat(c.oneOff()).isFalse();
      assertThat(choice(engine, 7.750, 7.875).oneOff()).as("a valve of its own").isTrue();
    }

    /** x thicker takes x·(1 + 1/r) off: 0.015 takes 0.025 off at 1.5. */
    @Test
    void aThickerShimUnderThePedestalTakesPreloadOff() {
      Engine shims = engine(drive(Adjuster.PEDESTAL_SHIM, null, travel(0.025, 0.06)));
      Preload.PreloadParts c = choice(shims, 7.830, 0.030);
      PreloadTarget t = PreloadTarget.of(shims.drive(), ValveKind.INTAKE).orElseThrow();
      assertThat(
              Preload.ofLength(shims.drive(), t, new Preload.Length(7.830, 0.030, 0.030), 0)
                  .orElseThrow()
                  .travelIn())
          .isCloseTo(0.070, within(1e-9));
      assertThat(c.wantedSizeIn()).isCloseTo(0.030 + 0.0275 / (1 + 1 / 1.5), within(1e-9));
      assertThat(c.sizes())
          .filteredOn(o -> o.sizeIn() == 0.060)
          .singleElement()
          .returns(LashVerdict.SHALLOW, Preload.PreloadSize::verdict)
          .satisfies(o -> assertThat(o.travelIn()).isCloseTo(0.020, within(1e-9)));
      assertThat(c.oneOff()).as("0.060 is a hair too thick").isTrue();
    }

    @Test
    void withoutThePushrodsLengthNothingIsSaid() {
      Engine unknown =
          engine(
              drive(
                  Adjuster.PEDESTAL_SHIM,
                  null,
                  new PreloadSheet(null, null, 0.02, 0.06, null, null, null, null)));
      assertThat(
              Preload.ofLength(unknown.drive(), target, new Preload.Length(7.830, 0.03, 0.03), 0))
          .isEmpty();
    }

    /** Nobody wrote a length: the middle half of the travel serves, and it is asked for. */
    @Test
    void theMiddleHalfOfTheTravelServesUntilALengthIsWritten() {
      SheetCheck.Checked checked = check(drive(Adjuster.PUSHROD_LENGTH, 0.5, null), null);
      PreloadSpec spec = checked.engine().orElseThrow().drive().preload();
      assertThat(spec.from()).isCloseTo(0.020, within(1e-12));
      assertThat(spec.to()).isCloseTo(0.060, within(1e-12));
      assertThat(checked.problems())
          .anySatisfy(
              p ->
                  assertThat(p)
                      .returns(Problem.Weight.ASKED, Problem::weight)
                      .returns("drive.preload.fromIn", Problem::field));
    }

    private static Preload.PreloadParts choice(Engine engine, double zeroLashIn, double partIn) {
      PreloadTarget t = PreloadTarget.of(engine.drive(), ValveKind.INTAKE).orElseThrow();
      return Preload.ofLength(engine.drive(), t, new Preload.Length(zeroLashIn, partIn, partIn), 0)
          .orElseThrow()
          .parts();
    }
  }

  @Nested
  class TheClassRule {
    @Test
    void refusesASheetThatWantsNone() {
      assertThat(check(drive(Adjuster.FULCRUM_NUT, 0.0, null), null).refused()).isFalse();
      assertThat(check(drive(Adjuster.FULCRUM_NUT, 0.0, null), RULED).problems())
          .anySatisfy(
              p ->
                  assertThat(p)
                      .returns("drive.preloadTurns", Problem::field)
                      .returns(Problem.Weight.REFUSED, Problem::weight));
      assertThat(check(drive(Adjuster.PUSHROD_LENGTH, null, travel(0.0, 0.06)), RULED).refused())
          .isTrue();
    }

    @Test
    void refusesAValveLeftWithNone() {
      PreloadTarget ruled =
          PreloadTarget.of(
                  check(drive(Adjuster.FULCRUM_NUT, 0.1, null), RULED)
                      .engine()
                      .orElseThrow()
                      .drive(),
                  ValveKind.INTAKE)
              .orElseThrow();
      assertThatThrownBy(() -> ruled.refuseAsLeft(0))
          .isInstanceOf(LashException.class)
          .hasMessageContaining("above zero");
      ruled.refuseAsLeft(0.01);
      target(drive(Adjuster.FULCRUM_NUT, 0.1, null)).refuseAsLeft(0);
      assertThatThrownBy(() -> ruled.refuseAsLeft(1.2))
          .isInstanceOf(LashException.class)
          .hasMessageContaining("would bottom");
    }
  }

  @ParameterizedTest
  @CsvSource({
    "drive.preload.toTurns, FULCRUM_NUT, 0.5, 0.4,,,",
    "drive.preload.toTurns, FULCRUM_NUT, 0.5, 5,,,",
    "drive.preload.toleranceTurns, FULCRUM_NUT, 0.5,, 0,,",
    "drive.preloadTurns, FULCRUM_NUT, NaN,,,,",
    "drive.preload.toIn, PUSHROD_LENGTH,,,, 0.03, 0.080",
    "drive.preload.toIn, PUSHROD_LENGTH,,,, 0.03, 0.020",
    "drive.preload.fromIn, PUSHROD_LENGTH,,,, -0.01, 0.05",
    "drive.preload.fromIn, PUSHROD_LENGTH,,,, 0.080,"
  })
  void whatCannotBeWantedIsRefusedAtItsBox(
      String field,
      Adjuster adjuster,
      @Nullable Double turns,
      @Nullable Double to,
      @Nullable Double tolerance,
      @Nullable Double from,
      @Nullable Double toIn) {
    PreloadSheet sheet = new PreloadSheet(to, tolerance, from, toIn, null, null, null, null);
    assertThat(check(drive(adjuster, turns, sheet), null).problems())
        .filteredOn(Problem::stops)
        .extracting(Problem::field)
        .containsExactly(field);
  }
}
