package shim.core.change;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import shim.core.stats.Robust;

/**
 * A spring in stock, as it suits one pocket.
 *
 * @param ownSet of the set that stands there now
 * @param playIn pocket less outer diameter, inch; empty where one of them is not known
 * @param loadLbf its last reading at the height that is wanted there; empty when it was never read
 * @param hours it has run
 */
public record Spare(
    String id,
    String mark,
    boolean ownSet,
    OptionalDouble playIn,
    OptionalDouble loadLbf,
    double hours) {

  /**
   * Best match first: what goes into the pocket, then of its own set, then the nearest in load to
   * what is wanted, one never read last; then the fewest hours.
   */
  public static List<Spare> bestFirst(Collection<Spare> spares, double wantedLbf) {
    return spares.stream()
        .sorted(
            Comparator.comparing((Spare s) -> s.playIn.orElse(0) < 0)
                .thenComparing(s -> !s.ownSet)
                .thenComparingDouble(s -> s.awayLbf(wantedLbf))
                .thenComparingDouble(Spare::hours)
                .thenComparing(Spare::mark))
        .toList();
  }

  /**
   * Load that is wanted in a pocket: what the others of its kind show, in the middle.
   *
   * @param others loads of the other intakes, or exhausts, at the height wanted here
   * @param sheetLbf the data sheet's, where no other was read
   */
  public static double wantedLbf(Collection<Double> others, double sheetLbf) {
    return Robust.median(others).orElse(sheetLbf);
  }

  private double awayLbf(double wantedLbf) {
    return loadLbf.isPresent() ? Math.abs(loadLbf.getAsDouble() - wantedLbf) : Double.MAX_VALUE;
  }
}
