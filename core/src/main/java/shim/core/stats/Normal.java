package shim.core.stats;

import org.apache.commons.numbers.gamma.Erfc;

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
    return 0.5 * Erfc.value((value - mean) / (sd * Math.sqrt(2)));
  }

  /** Probability that a standard normal lies below z. */
  public static double below(double z) {
    return 0.5 * Erfc.value(-z / Math.sqrt(2));
  }

  /** Density of a standard normal at z. */
  public static double density(double z) {
    return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
  }
}
