package shim.core.fatigue;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import shim.core.stats.Normal;

/**
 * A spring's outlook as several possibilities with their weights.
 *
 * @param weights of the outlooks, in their order; sum 1
 */
record Mix(List<Outlook> outlooks, double[] weights) {
  private static final double MOST_HOURS = 1000;
  private static final double FINE_HOURS = 0.02;

  /** A loss is sought this finely, ln. */
  private static final double FINE = 2e-5;

  /** All is lost, ln: far ahead a path may run away beyond any figure. */
  private static final double ALL = 10;

  /** Probability that the loss exceeds a limit at some hours. */
  double lossAbove(double hours, double limit) {
    double ln = -Math.log1p(-limit);
    return blend(o -> o.lossLn(hours).above(ln));
  }

  /** Probability that ln of load over nominal lies below a value at some hours. */
  double loadBelow(double hours, double ln) {
    return 1 - blend(o -> o.loadLn(hours).above(ln));
  }

  private double blend(Function<Outlook, Double> figure) {
    double sum = 0;
    for (int k = 0; k < weights.length; k++) {
      sum += weights[k] * figure.apply(outlooks.get(k));
    }
    return sum;
  }

  double meanLossLn(double hours) {
    return blend(o -> o.lossLn(hours).mean());
  }

  double meanLoadLn(double hours) {
    return blend(o -> o.loadLn(hours).mean());
  }

  /** Mean ln of load over nominal at the baseline, as seen from some later hours. */
  double baselineLn(double hours) {
    return meanLoadLn(hours) + meanLossLn(hours);
  }

  /** The loss not exceeded with probability p, at some hours. */
  double lossQuantile(double hours, double p) {
    List<Normal> loss = outlooks.stream().map(o -> o.lossLn(hours)).toList();
    double least = loss.stream().mapToDouble(n -> n.mean() - 5 * n.sd()).min().orElseThrow();
    double most = loss.stream().mapToDouble(n -> n.mean() + 5 * n.sd()).max().orElseThrow();
    double low = Math.max(-ALL, least);
    double high = Math.min(ALL, most);
    while (high - low > FINE) {
      double mid = (low + high) / 2;
      double below = 0;
      for (int k = 0; k < weights.length; k++) {
        below += weights[k] * (1 - loss.get(k).above(mid));
      }
      if (below < p) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return -Math.expm1(-(low + high) / 2);
  }

  /**
   * First hours at which a limit is broken with probability p, the life at most; infinite beyond
   * 1000 h.
   */
  static double hoursUntil(
      double fromHours, double lifeHours, double p, DoubleUnaryOperator broken) {
    if (broken.applyAsDouble(fromHours) >= p) {
      return fromHours;
    }
    if (lifeHours < MOST_HOURS && broken.applyAsDouble(lifeHours) < p) {
      return lifeHours;
    }
    double low = fromHours;
    double step = 0.5;
    while (broken.applyAsDouble(low + step) < p) {
      low += step;
      step *= 2;
      if (low + step > MOST_HOURS) {
        return Double.POSITIVE_INFINITY;
      }
    }
    double high = low + step;
    while (high - low > FINE_HOURS) {
      double mid = (low + high) / 2;
      if (broken.applyAsDouble(mid) < p) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return high;
  }
}
