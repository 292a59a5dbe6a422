package shim.core.fatigue;

import java.util.List;
import java.util.stream.DoubleStream;
import shim.core.stats.Robust;

/**
 * Repeated readings of one spring in one test, in ln of load, as one figure.
 *
 * @param mean plain where they agree; weighted against stragglers where they do not
 * @param noise variance of that mean in units of one reading's
 * @param squares sum of squares about the mean; zero where they disagree
 * @param free degrees of freedom in it
 * @param agree they differ by no more than repeats do
 */
public record Repeats(double mean, double noise, double squares, int free, boolean agree) {
  /** t-weights with so many degrees of freedom doubt a straggler without silencing it. */
  private static final double NU = 4;

  private static final int STEPS = 6;

  /**
   * Limit of the range of n equal normal readings, in their s.d. (tables of the range). 95 % from
   * four on; of two or three nothing tells which is wrong, so 99.9 and 99 %.
   */
  private static final double[] RANGE = {0, 0, 4.65, 4.12, 3.63, 3.86, 4.03, 4.17, 4.29};

  /**
   * @param ln readings, at least one
   * @param reading s.d. of one reading, ln
   * @param predicted what the spring's own past and its set today predict, ln: where two settings
   *     disagree, the one nearer to it counts for more; NaN takes their median
   */
  public static Repeats of(List<Double> ln, double reading, double predicted) {
    int n = ln.size();
    double sum = 0;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (double v : ln) {
      sum += v;
      low = Math.min(low, v);
      high = Math.max(high, v);
    }
    double plain = sum / n;
    if (n == 1 || high - low <= RANGE[Math.min(n, RANGE.length - 1)] * reading) {
      double squares = 0;
      for (double v : ln) {
        squares += (v - plain) * (v - plain);
      }
      return new Repeats(plain, 1.0 / n, squares, n - 1, true);
    }
    double from = Double.isNaN(predicted) ? Robust.median(ln).orElseThrow() : predicted;
    return weighted(ln, reading, from);
  }

  private static Repeats weighted(List<Double> ln, double reading, double from) {
    double centre = from;
    double[] weight = new double[ln.size()];
    for (int step = 0; step < STEPS; step++) {
      for (int i = 0; i < weight.length; i++) {
        double z = (ln.get(i) - centre) / reading;
        weight[i] = (NU + 1) / (NU + z * z);
      }
      double sum = 0;
      for (int i = 0; i < weight.length; i++) {
        sum += weight[i] * ln.get(i);
      }
      centre = sum / DoubleStream.of(weight).sum();
    }
    return new Repeats(centre, 1 / DoubleStream.of(weight).sum(), 0, 0, false);
  }
}
