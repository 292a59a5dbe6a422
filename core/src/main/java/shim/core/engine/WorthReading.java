package shim.core.engine;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/**
 * What one more reading at a valve is worth now.
 *
 * @param decides chance that it changes the verdict, 0 to 1
 */
public record WorthReading(Position position, double decides) {
  /** A reading that changes nothing nineteen times in twenty is not asked for. */
  private static final double LEAST = 0.05;

  /** The valve whose next reading is worth most; all cost one setting. */
  public static Optional<WorthReading> best(Collection<WorthReading> all) {
    return all.stream()
        .filter(w -> w.decides() >= LEAST)
        .max(Comparator.comparingDouble(WorthReading::decides));
  }
}
