package shim.core.lash;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.AdjusterThread;

/**
 * How far to turn an adjuster, as a person turns a wrench.
 *
 * @param exactTurns turns wanted, above zero tightens and closes lash
 * @param degrees to the nearest 5 of wrench
 * @param direction tighten, loosen or leave
 * @param fraction the plain fraction where the degrees are one, such as {@code 1/8}
 * @param leavesIn lash the rounded turn should leave, inch
 * @param perFiveDegreesIn lash one 5-degree step makes, inch
 */
public record Turn(
    double exactTurns,
    int degrees,
    Direction direction,
    @Nullable String fraction,
    double leavesIn,
    double perFiveDegreesIn) {

  /** Which way to turn. Tightening always closes lash. */
  public enum Direction {
    TIGHTEN,
    LOOSEN,
    LEAVE
  }

  private static final int STEP_DEG = 5;

  /** A fraction is named when it is the turn that is said, not merely near it. */
  private static final double SAME_DEG = 0.5;

  private record Fraction(String name, double turns) {}

  private static final List<Fraction> FRACTIONS =
      List.of(
          new Fraction("1/8", 1 / 8.0),
          new Fraction("1/6", 1 / 6.0),
          new Fraction("1/4", 1 / 4.0),
          new Fraction("1/3", 1 / 3.0),
          new Fraction("3/8", 3 / 8.0),
          new Fraction("1/2", 1 / 2.0),
          new Fraction("5/8", 5 / 8.0),
          new Fraction("2/3", 2 / 3.0),
          new Fraction("3/4", 3 / 4.0),
          new Fraction("7/8", 7 / 8.0));

  /**
   * Lash taken up at the valve by one turn, inch.
   *
   * @param ratio rocker ratio
   */
  public static double lashPerTurnIn(Adjuster adjuster, AdjusterThread thread, double ratio) {
    return thread.pitchIn() * adjuster.lashPerInch(ratio);
  }

  /** Hydraulic plunger travel of one turn, inch. */
  public static double plungerPerTurnIn(Adjuster adjuster, AdjusterThread thread, double ratio) {
    return thread.pitchIn() * adjuster.plungerPerInch(ratio);
  }

  /**
   * @param foundIn lash now, inch
   * @param wantedIn lash wanted, inch
   * @param lashPerTurnIn from {@link #lashPerTurnIn}, inch
   */
  public static Turn of(double foundIn, double wantedIn, double lashPerTurnIn) {
    if (!(lashPerTurnIn > 0)) {
      throw new IllegalArgumentException("a turn must move lash, not " + lashPerTurnIn + " in");
    }
    double exact = (foundIn - wantedIn) / lashPerTurnIn;
    int degrees = (int) Math.round(Math.abs(exact) * 360 / STEP_DEG) * STEP_DEG;
    Direction direction =
        degrees == 0 ? Direction.LEAVE : exact > 0 ? Direction.TIGHTEN : Direction.LOOSEN;
    double turned = Math.signum(exact) * degrees / 360.0;
    Optional<String> fraction =
        direction == Direction.LEAVE ? Optional.empty() : fraction(degrees / 360.0);
    return new Turn(
        exact,
        degrees,
        direction,
        fraction.orElse(null),
        foundIn - turned * lashPerTurnIn,
        lashPerTurnIn * STEP_DEG / 360);
  }

  private static Optional<String> fraction(double turns) {
    int whole = (int) Math.floor(turns);
    double rest = turns - whole;
    if (whole > 0 && rest == 0) {
      return Optional.of(String.valueOf(whole));
    }
    return FRACTIONS.stream()
        .filter(f -> Math.abs(f.turns() - rest) * 360 <= SAME_DEG)
        .findFirst()
        .map(f -> whole > 0 ? whole + " " + f.name() : f.name());
  }
}
