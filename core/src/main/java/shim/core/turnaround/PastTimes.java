package shim.core.turnaround;

import java.util.List;
import shim.core.stats.Robust;

/**
 * How long something takes, by what it took before where that is known.
 *
 * @param minutes median of what it took, or the usual
 * @param spread standard deviation of the logarithm of its minutes
 * @param seen how many past ones speak; none where it is only the usual
 */
public record PastTimes(double minutes, double spread, int seen) {
  /** Two of three within a third of the usual: common practice, no source. */
  public static final double USUAL_SPREAD = 0.3;

  /** Nobody is a machine. */
  private static final double LEAST_SPREAD = 0.05;

  /** From so many past ones on their own spread speaks alone. */
  private static final int ENOUGH = 6;

  /** So many of the past still speak, the latest: hands get faster. */
  private static final int LATEST = 12;

  /**
   * @param past minutes of the same work before, the oldest first
   * @param usual minutes where nobody has done it yet
   */
  public static PastTimes of(List<Double> past, double usual) {
    List<Double> logs =
        past.stream()
            .skip(Math.max(0, past.size() - LATEST))
            .filter(m -> m > 0 && Double.isFinite(m))
            .map(Math::log)
            .toList();
    if (logs.isEmpty()) {
      return new PastTimes(usual, USUAL_SPREAD, 0);
    }
    double own = Math.max(LEAST_SPREAD, Robust.scaledMad(logs).getAsDouble());
    double trust = Math.min(1, (logs.size() - 1) / (ENOUGH - 1.0));
    return new PastTimes(
        Math.exp(Robust.median(logs).getAsDouble()),
        trust * own + (1 - trust) * USUAL_SPREAD,
        logs.size());
  }
}
