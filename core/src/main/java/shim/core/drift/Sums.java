package shim.core.drift;

import java.util.List;

/**
 * Cumulative sums of one valve: after each reading, the best log likelihood ratio of "it has
 * drifted at one of the reference rates since some hour" against "it stays", never below zero. With
 * normal scatter, one rate and independent readings this is Page's recursion, the tabular CUSUM
 * ({@link shim.core.stats.Cusum}); readings of a valve left alone share what was left, hence the
 * maximum over all begins. Scatter is Student's t, so one wild reading adds little and a second one
 * the same way adds much.
 */
final class Sums {
  /** Reference rates as multiples of the smallest rate worth finding. */
  private static final double[] TIMES = {1, 2, 4};

  /** Slips tried for, thou. */
  private static final double[] SLIPS_THOU = {3, 6, 12};

  private final List<Track.Step> steps;
  private final DriftRules rules;
  private final double[] up;
  private final double[] down;
  private final double[] stepped;

  /**
   * @param drifts signatures of a drift from each begin tried
   * @param slips signatures of a step between each two readings
   */
  Sums(List<Track.Step> steps, List<double[]> drifts, List<double[]> slips, DriftRules rules) {
    this.steps = steps;
    this.rules = rules;
    this.up = new double[steps.size()];
    this.down = new double[steps.size()];
    this.stepped = new double[steps.size()];
    for (double[] signature : slips) {
      for (double thou : SLIPS_THOU) {
        raise(stepped, signature, thou);
        raise(stepped, signature, -thou);
      }
    }
    for (double[] signature : drifts) {
      for (double times : TIMES) {
        raise(up, signature, times * rules.smallestThouPerHour());
        raise(down, signature, -times * rules.smallestThouPerHour());
      }
    }
  }

  private void raise(double[] sums, double[] signature, double size) {
    double ratio = 0;
    for (int i = 0; i < sums.length; i++) {
      Track.Step s = steps.get(i);
      if (s.speaks()) {
        ratio +=
            log(s.surprise() - size * signature[i], s.variance()) - log(s.surprise(), s.variance());
      }
      sums[i] = Math.max(sums[i], ratio);
    }
  }

  /** Log density of Student's t with the given variance, up to a constant. */
  private double log(double thou, double variance) {
    double nu = rules.tails();
    return -(nu + 1) / 2 * Math.log1p(thou * thou / (variance * (nu - 2)));
  }

  double up(int step) {
    return up[step];
  }

  double down(int step) {
    return down[step];
  }

  /** The same for one step, either way, in place of a drift. */
  double stepped(int step) {
    return stepped[step];
  }
}
