package shim.core.stats;

import org.hipparchus.special.Erf;

/** A normal distribution. */
public record Normal(double mean, double sd) {
  /** Probability of lying above a value. */
  public double above(double value) {
    if (sd == 0) {
      return mean > value ? 1 : 0;
    }
    return 0.5 * Erf.erfc((value - mean) / (sd * Math.sqrt(2)));
  }
}
