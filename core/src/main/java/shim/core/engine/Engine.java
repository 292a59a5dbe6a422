package shim.core.engine;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A checked engine: everything here is complete and consistent with itself.
 *
 * @param cam the lobes; empty until the card gives a duration and its centres
 */
public record Engine(
    String name, Layout layout, Drive drive, Optional<CamCard> cam, LashSpec lash, Rules rules) {

  /**
   * The valve drive.
   *
   * @param thread adjuster thread; null where nothing is turned
   * @param plungerTravelIn total travel of a hydraulic plunger, inch
   * @param preload what a hydraulic lifter's preload should be; null where it has none
   * @param partSizesIn pushrod lengths or shims to be had, inch, ascending
   */
  public record Drive(
      Lifter lifter,
      Rocker rocker,
      double ratioIntake,
      double ratioExhaust,
      Adjuster adjuster,
      @Nullable AdjusterThread thread,
      @Nullable Double plungerTravelIn,
      @Nullable PreloadSpec preload,
      List<Double> partSizesIn,
      @Nullable Double partIntakeIn,
      @Nullable Double partExhaustIn) {
    public Drive {
      partSizesIn = partSizesIn.stream().sorted().distinct().toList();
    }

    /** Rocker ratio of a kind of valve. */
    public double ratio(ValveKind kind) {
      return kind == ValveKind.INTAKE ? ratioIntake : ratioExhaust;
    }

    /** Pushrod length or shim the sheet says is in at a kind of valve, inch. */
    public Optional<Double> partIn(ValveKind kind) {
      return Optional.ofNullable(kind == ValveKind.INTAKE ? partIntakeIn : partExhaustIn);
    }
  }

  /**
   * Lash specification; all inch. Zero and unused for hydraulic lifters.
   *
   * @param intakeIn wanted: the team's own where it chose one, else the card's
   * @param chosen kinds of valve for which the team chose its own
   * @param state state in which the figures apply
   */
  public record LashSpec(
      double intakeIn,
      double exhaustIn,
      @Nullable Double floorIntakeIn,
      @Nullable Double floorExhaustIn,
      HeatState state,
      Set<ValveKind> chosen) {
    /** As the card says. */
    public LashSpec(
        double intakeIn,
        double exhaustIn,
        @Nullable Double floorIntakeIn,
        @Nullable Double floorExhaustIn,
        HeatState state) {
      this(intakeIn, exhaustIn, floorIntakeIn, floorExhaustIn, state, Set.of());
    }

    public LashSpec {
      chosen = Set.copyOf(chosen);
    }

    public double targetIn(ValveKind kind) {
      return kind == ValveKind.INTAKE ? intakeIn : exhaustIn;
    }

    public Optional<Double> floorIn(ValveKind kind) {
      return Optional.ofNullable(kind == ValveKind.INTAKE ? floorIntakeIn : floorExhaustIn);
    }
  }

  /**
   * House rules.
   *
   * @param toleranceIn lash may differ this much from its target, inch each way
   * @param feelerStepIn step between feeler leaves, inch
   * @param rampMarginDeg margin a side set by the team; empty takes the usual one for the card
   * @param balancerMarksDeg marks to be found on the balancer, degrees after number 1's TDC
   * @param inTolerance what is done with a valve that is found in
   * @param staticTimingDeg where the rotor points at a lead, crank degrees before TDC
   */
  public record Rules(
      HotColdSchool hotCold,
      double fixedColdMinusHotIn,
      Material block,
      Material heads,
      double toleranceIn,
      double feelerStepIn,
      Optional<Double> rampMarginDeg,
      List<Double> balancerMarksDeg,
      Optional<Double> staticTimingDeg,
      EngineSheet.InTolerance inTolerance) {
    public Rules {
      balancerMarksDeg = List.copyOf(balancerMarksDeg);
    }
  }
}
