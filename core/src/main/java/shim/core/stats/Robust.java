package shim.core.stats;

import java.util.Arrays;
import java.util.Collection;
import java.util.OptionalDouble;

/** Median and its spread: statistics that one wild reading cannot move. */
public final class Robust {
  /** Makes the median absolute deviation estimate the standard deviation of a normal sample. */
  public static final double MAD_TO_SIGMA = 1.4826;

  private Robust() {}

  /** Median of the values, in their unit; empty when there are none. */
  public static OptionalDouble median(Collection<Double> values) {
    if (values.isEmpty()) {
      return OptionalDouble.empty();
    }
    double[] sorted = values.stream().mapToDouble(Double::doubleValue).toArray();
    Arrays.sort(sorted);
    int mid = sorted.length / 2;
    return OptionalDouble.of(
        sorted.length % 2 == 1 ? sorted[mid] : (sorted[mid - 1] + sorted[mid]) / 2);
  }

  /** Median absolute deviation scaled to a standard deviation, in the unit of the values. */
  public static OptionalDouble scaledMad(Collection<Double> values) {
    OptionalDouble centre = median(values);
    if (centre.isEmpty()) {
      return centre;
    }
    double c = centre.getAsDouble();
    double mad = median(values.stream().map(v -> Math.abs(v - c)).toList()).getAsDouble();
    return OptionalDouble.of(MAD_TO_SIGMA * mad);
  }

  /** Arithmetic mean and sample standard deviation (n - 1; zero for a single value). */
  public record Mean(double mean, double sd, int n) {
    /** Mean of at least one value. */
    public static Mean of(Collection<Double> values) {
      if (values.isEmpty()) {
        throw new IllegalArgumentException("a mean needs at least one value");
      }
      double mean = values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
      double ss = values.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
      int n = values.size();
      return new Mean(mean, n > 1 ? Math.sqrt(ss / (n - 1)) : 0, n);
    }
  }
}
