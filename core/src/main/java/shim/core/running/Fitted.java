package shim.core.running;

import java.util.Collection;
import java.util.Optional;
import shim.core.engine.Position;
import shim.core.unit.Figures;

/**
 * A part that is in an engine now: it is at one valve at a time, and a valve has one part of its
 * kind.
 *
 * @param stay name of this stay
 */
public record Fitted(String stay, String part, String engine, Position valve) {
  /** Why a part cannot be put in. */
  public enum Refused {
    /** It is still at another valve, of this engine or another. */
    IS_ELSEWHERE,
    /** The valve has a part of the kind already. */
    VALVE_IS_TAKEN
  }

  /** A refusal and what stands in the way. */
  public record No(Refused why, Fitted by) {}

  /**
   * Whether it can be where it is meant to be.
   *
   * @param now everything of its kind that is in an engine
   */
  public Optional<No> refused(Collection<Fitted> now) {
    return now.stream()
        .filter(f -> !f.stay.equals(stay))
        .flatMap(f -> against(f).stream())
        .findFirst();
  }

  private Optional<No> against(Fitted other) {
    if (other.part.equals(part)) {
      return Optional.of(new No(Refused.IS_ELSEWHERE, other));
    }
    return other.engine.equals(engine) && other.valve.equals(valve)
        ? Optional.of(new No(Refused.VALVE_IS_TAKEN, other))
        : Optional.empty();
  }

  /** Nothing comes out at fewer hours than it went in. */
  public static boolean inOrder(double fromHours, double toHours) {
    return Figures.atLeast(toHours, fromHours);
  }
}
