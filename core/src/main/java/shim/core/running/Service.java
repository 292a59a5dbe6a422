package shim.core.running;

import java.util.OptionalDouble;
import shim.core.unit.Figures;

/**
 * What is done on an engine again and again, by its hours.
 *
 * @param everyHours running hours between; 0 is after each running
 * @param doneAtHours engine hours when it was done last; empty when never
 */
public record Service(Kind kind, double everyHours, OptionalDouble doneAtHours) {
  /** What is done. */
  public enum Kind {
    PLUGS,
    OIL,
    /** Fuel that draws water or eats metal is drained, and what it wetted dried. */
    FUEL
  }

  /** Engine hours at which it is due. */
  public double dueAtHours() {
    return doneAtHours.orElse(0) + everyHours;
  }

  /** It is to be done before an event that ends at some engine hours. */
  public boolean due(double engineHours, double endHours) {
    return everyHours == 0
        ? Figures.above(engineHours, doneAtHours.orElse(0))
        : Figures.above(endHours, dueAtHours());
  }
}
