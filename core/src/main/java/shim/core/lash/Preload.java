package shim.core.lash;

import java.util.Locale;
import java.util.Optional;
import shim.core.engine.Engine;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;

/**
 * Hydraulic preload at one valve. As found is the turns back to zero lash: the plunger hides wear.
 *
 * @param foundTurns turns back to zero lash
 * @param wantedTurns turns wanted from zero lash
 * @param changeTurns turns to make now; above zero tightens
 * @param travelIn plunger travel the wanted preload makes, inch
 * @param foundTravelIn plunger travel as found, inch
 * @param totalIn the lifter's whole plunger travel, inch
 * @param hotTravelIn travel left when hot: growth g at the valve takes g / r off; inch
 * @param verdict in, light or deep, against an eighth of a turn
 */
public record Preload(
    double foundTurns,
    double wantedTurns,
    double changeTurns,
    double travelIn,
    double foundTravelIn,
    double totalIn,
    double hotTravelIn,
    Verdict verdict) {

  /** How a preload stands to the wanted one. */
  public enum Verdict {
    IN,
    LIGHT,
    DEEP,
    BOTTOMED
  }

  /** A preload this near is left alone, turns; common practice, no source. */
  public static final double CLOSE_TURNS = 0.125;

  /**
   * @param foundTurns turns back to zero lash, zero or more
   * @param growthIn hot minus cold lash at the valve, inch, above zero where heat opens it
   */
  public static Preload of(Engine.Drive drive, ValveKind kind, double foundTurns, double growthIn) {
    if (!(foundTurns >= 0 && foundTurns < 20)) {
      throw new LashException(
          String.format(
              Locale.ROOT, "%.2f turns back to zero lash cannot be: 0 to 20", foundTurns));
    }
    double perTurn = plungerPerTurnIn(drive, kind);
    double total = Optional.ofNullable(drive.plungerTravelIn()).orElseThrow();
    double wanted = Optional.ofNullable(drive.preloadTurns()).orElseThrow();
    double travel = wanted * perTurn;
    requireTravel(travel, total, wanted);
    double found = foundTurns * perTurn;
    double hot = travel - growthIn / drive.ratio(kind);
    double change = wanted - foundTurns;
    Verdict verdict = verdict(change, found, total);
    return new Preload(foundTurns, wanted, change, travel, found, total, hot, verdict);
  }

  /** Refuses a preload that would bottom the plunger. */
  public static void requireTravel(double travelIn, double totalIn, double turns) {
    if (!(travelIn < totalIn)) {
      throw new LashException(
          String.format(
              Locale.ROOT,
              "%.2f turns push the plunger %.4f in, but it has only %.4f in: it would bottom and"
                  + " hold the valve open",
              turns,
              travelIn,
              totalIn));
    }
  }

  /** Turns from zero lash that bottom the plunger; empty where nothing turns. */
  public static Optional<Double> bottomTurns(Engine.Drive drive, ValveKind kind) {
    double perTurn = plungerPerTurnIn(drive, kind);
    return perTurn > 0
        ? Optional.ofNullable(drive.plungerTravelIn()).map(total -> total / perTurn)
        : Optional.empty();
  }

  /** Plunger travel of one turn at a kind of valve, inch. */
  public static double plungerPerTurnIn(Engine.Drive drive, ValveKind kind) {
    if (drive.thread() == null) {
      return Double.NaN;
    }
    return Turn.plungerPerTurnIn(drive.adjuster(), drive.thread(), drive.ratio(kind));
  }

  private static Verdict verdict(double changeTurns, double foundIn, double totalIn) {
    if (foundIn >= totalIn) {
      return Verdict.BOTTOMED;
    }
    if (Figures.atMost(Math.abs(changeTurns), CLOSE_TURNS)) {
      return Verdict.IN;
    }
    return changeTurns > 0 ? Verdict.LIGHT : Verdict.DEEP;
  }
}
