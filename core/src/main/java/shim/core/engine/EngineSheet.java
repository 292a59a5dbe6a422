package shim.core.engine;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An engine as the technician writes it down: every field may still be missing, numbers stand as
 * typed, lists of cylinders and valves are the short text a person writes. {@link SheetCheck} reads
 * it into an {@link Engine} and says what does not fit.
 */
public record EngineSheet(
    @Nullable String name,
    @Nullable LayoutSheet layout,
    @Nullable DriveSheet drive,
    @Nullable BottomEnd bottomEnd,
    @Nullable CamSheet cam,
    @Nullable RulesSheet rules,
    @Nullable UseSheet use) {

  /** This engine with another cam written down. */
  public EngineSheet withCam(@Nullable CamSheet other) {
    return new EngineSheet(name, layout, drive, bottomEnd, other, rules, use);
  }

  /**
   * @param firingOrder such as {@code 1-8-4-3-6-5-7-2}
   * @param intervals degrees between firings such as {@code 90-150-90-150}; blank for even fire
   */
  public record LayoutSheet(
      Layout.@Nullable Arrangement arrangement,
      @Nullable List<BankSheet> banks,
      @Nullable String firingOrder,
      @Nullable String intervals,
      Layout.@Nullable Rotation rotation) {}

  /**
   * @param cylinders front to rear, such as {@code 1 3 5 7}
   * @param valveOrder front to rear, such as {@code E I I E E I I E}
   */
  public record BankSheet(
      @Nullable String name, @Nullable String cylinders, @Nullable String valveOrder) {}

  /**
   * @param thread adjuster thread by name, {@code 3/8-24}, {@code M8x1}, or a pitch {@code 0.75 mm}
   * @param plungerTravelIn hydraulic lifter's total plunger travel, inch
   * @param preloadTurns wanted preload of a hydraulic lifter, turns of the adjuster from zero lash
   * @param preload the rest of what its preload should be
   * @param partsIn lengths or shim sizes to be had, inch: {@code 7.800 7.825 7.850}
   * @param partIntakeIn pushrod or shim now in at the intakes, inch
   * @param linkBars lifters tied in pairs
   * @param fixingClampsHead the rocker fixing clamps the head too
   */
  public record DriveSheet(
      @Nullable Lifter lifter,
      @Nullable Rocker rocker,
      @Nullable Double ratioIntake,
      @Nullable Double ratioExhaust,
      @Nullable Adjuster adjuster,
      @Nullable String thread,
      @Nullable Double plungerTravelIn,
      @Nullable Double preloadTurns,
      @Nullable String partsIn,
      @Nullable Double partIntakeIn,
      @Nullable Double partExhaustIn,
      @Nullable Boolean linkBars,
      @Nullable Boolean fixingClampsHead,
      @Nullable String clampNote,
      @Nullable Boolean intakeOverLifters,
      @Nullable PreloadSheet preload) {}

  /**
   * How the preload of a hydraulic lifter is judged.
   *
   * @param toTurns most preload, where it is a range that begins at the turns wanted
   * @param toleranceTurns may differ this much each way, where it is one figure; blank takes 1/8
   * @param fromIn least travel of the plunger where nothing turns, inch; blank takes the middle
   *     half of it
   * @param source whose figure it is
   * @param pushrodIntakeIn length of the pushrods in, inch, where shims under the pedestal set it
   */
  public record PreloadSheet(
      @Nullable Double toTurns,
      @Nullable Double toleranceTurns,
      @Nullable Double fromIn,
      @Nullable Double toIn,
      PreloadSpec.@Nullable Use use,
      @Nullable String source,
      @Nullable Double pushrodIntakeIn,
      @Nullable Double pushrodExhaustIn) {}

  /**
   * @param staticTimingDeg ignition timing at which the rotor points at a lead, crank degrees
   *     before TDC
   */
  public record BottomEnd(
      @Nullable Double boreIn,
      @Nullable Double strokeIn,
      @Nullable Double rodIn,
      @Nullable Material block,
      @Nullable Material heads,
      @Nullable Double staticTimingDeg) {}

  /** Where on the valve train a lift is measured. */
  public enum LiftAt {
    LOBE,
    VALVE
  }

  /** One line of a cam card: duration in crank degrees between the two points of this lift. */
  public record DurationPoint(@Nullable Double tappetLiftIn, @Nullable Double durationDeg) {}

  /** The card's four events in degrees; negative when on the other side of dead centre. */
  public record Events(
      @Nullable Double atTappetLiftIn,
      @Nullable Double ivoBtdcDeg,
      @Nullable Double ivcAbdcDeg,
      @Nullable Double evoBbdcDeg,
      @Nullable Double evcAtdcDeg) {}

  /**
   * @param liftAt whether the lifts are the lobe's or the gross lift at the valve
   * @param cardRatioIntake rocker ratio with which the card reckons a lift at the valve; blank
   *     takes the engine's own and asks
   * @param cardRatioExhaust blank takes the intake's
   * @param lashState state in which the lash figures apply
   * @param bench what the cam bench found of this cam; blank where nothing was measured or chosen
   */
  public record CamSheet(
      @Nullable String card,
      @Nullable LiftAt liftAt,
      @Nullable Double liftIntakeIn,
      @Nullable Double liftExhaustIn,
      @Nullable List<DurationPoint> intake,
      @Nullable List<DurationPoint> exhaust,
      @Nullable Double lsaDeg,
      @Nullable Double intakeCentreDeg,
      @Nullable Events events,
      @Nullable Double lashIntakeIn,
      @Nullable Double lashExhaustIn,
      @Nullable Double floorIntakeIn,
      @Nullable Double floorExhaustIn,
      @Nullable HeatState lashState,
      @Nullable Double cardRatioIntake,
      @Nullable Double cardRatioExhaust,
      @Nullable CamBench bench) {
    /** As the card has it, nothing measured. */
    public CamSheet(
        @Nullable String card,
        @Nullable LiftAt liftAt,
        @Nullable Double liftIntakeIn,
        @Nullable Double liftExhaustIn,
        @Nullable List<DurationPoint> intake,
        @Nullable List<DurationPoint> exhaust,
        @Nullable Double lsaDeg,
        @Nullable Double intakeCentreDeg,
        @Nullable Events events,
        @Nullable Double lashIntakeIn,
        @Nullable Double lashExhaustIn,
        @Nullable Double floorIntakeIn,
        @Nullable Double floorExhaustIn,
        @Nullable HeatState lashState,
        @Nullable Double cardRatioIntake,
        @Nullable Double cardRatioExhaust) {
      this(
          card,
          liftAt,
          liftIntakeIn,
          liftExhaustIn,
          intake,
          exhaust,
          lsaDeg,
          intakeCentreDeg,
          events,
          lashIntakeIn,
          lashExhaustIn,
          floorIntakeIn,
          floorExhaustIn,
          lashState,
          cardRatioIntake,
          cardRatioExhaust,
          null);
    }

    /** The same card with what the bench found of it. */
    public CamSheet withBench(@Nullable CamBench found) {
      return new CamSheet(
          card,
          liftAt,
          liftIntakeIn,
          liftExhaustIn,
          intake,
          exhaust,
          lsaDeg,
          intakeCentreDeg,
          events,
          lashIntakeIn,
          lashExhaustIn,
          floorIntakeIn,
          floorExhaustIn,
          lashState,
          cardRatioIntake,
          cardRatioExhaust,
          found);
    }
  }

  /**
   * What the bench adds to a card. The card's own figures stay as they are.
   *
   * @param intake a measured lobe that stands for all intakes
   * @param teamLashIntakeIn lash the team chose instead of the card's, inch
   */
  public record CamBench(
      @Nullable LobeSheet intake,
      @Nullable LobeSheet exhaust,
      @Nullable Double teamLashIntakeIn,
      @Nullable Double teamLashExhaustIn) {}

  /**
   * Lift of a measured lobe at even steps, angles from its centre, crank degrees.
   *
   * @param on the valve it was measured on, {@code 1I}
   * @param source where the table came from
   * @param startDeg angle of the first lift; the opening side is negative
   * @param liftIn at the lobe, inch
   * @param measuredStepDeg from row to row as measured: the ramp may begin anywhere in between
   */
  public record LobeSheet(
      @Nullable String on,
      @Nullable String source,
      @Nullable Double startDeg,
      @Nullable Double stepDeg,
      @Nullable List<Double> liftIn,
      @Nullable Double measuredStepDeg) {}

  /**
   * @param rampMarginDeg margin a side kept from the card's duration; blank takes the usual one
   * @param balancerMarks degrees marked on the balancer, such as {@code 0 90 180 270}
   * @param inTolerance what is done with a valve that is found in; blank asks at each
   */
  public record RulesSheet(
      @Nullable HotColdSchool hotCold,
      @Nullable Double fixedColdMinusHotIn,
      @Nullable Double toleranceIn,
      @Nullable Double feelerStepIn,
      @Nullable Double rampMarginDeg,
      @Nullable String school,
      @Nullable String balancerMarks,
      @Nullable InTolerance inTolerance) {}

  /** What a team does with a valve that is found in. */
  public enum InTolerance {
    /** Each valve is set, or left as found by a key of its own. */
    ASK,
    /** It is left as found at once, and the round goes on. */
    LEAVE
  }

  /** Usage beside hours, boost, and the class rules that touch this work. */
  public record UseSheet(
      @Nullable String unit, @Nullable Double boostPsi, @Nullable List<ClassRule> classRules) {}

  /**
   * A rule of the class with where and when it was read.
   *
   * @param holds what of it Shim itself holds the engine to; blank where it only asks
   */
  public record ClassRule(
      @Nullable String rule,
      @Nullable String source,
      @Nullable String date,
      @Nullable Holds holds) {
    /** Only asked about. */
    public ClassRule(@Nullable String rule, @Nullable String source, @Nullable String date) {
      this(rule, source, date, null);
    }
  }

  /** A class rule that can be held by figures. */
  public enum Holds {
    PRELOAD_ABOVE_ZERO
  }
}
