package shim.core.stats;

import org.hipparchus.special.Erf;

/** A normal distribution. */
public record Normal(double mean, double sd) {
  /** Half width of the middle 80 %, standard deviations. */
  private static final double EIGHTY = 1.2816;

  /** Its mean with the range that holds 80 %. */
  public Range eighty() {
    return new Range(mean - EIGHTY * sd, mean, mean + EIGHTY * sd);
  }

  /** Probability of lying above a value. */
  public double above(double value) {
    if (sd == 0) {
      return mean > value ? 1 : 0;
    }
    return 0.5 * Erf.erfc((value - mean) / (sd * Math.sqrt(2)));
  }
}
