package shim.core.fatigue;

import java.util.List;
import java.util.stream.IntStream;
import shim.core.stats.Normal;

/**
 * What one more setting of a spring, read now, would be worth: the chance that it turns "change"
 * into "not change" or back. Every account predicts the next reading and the loss at the end of the
 * next event together; what would be read is tried over the whole range they predict.
 */
final class NextReading {
  /** Accounts beyond these decide nothing. */
  private static final int MOST_ACCOUNTS = 100;

  private static final int TRIED = 41;

  /** Readings tried lie within so many s.d. of what some account predicts. */
  private static final double REACH = 3;

  private final List<Mix.Joint> joint;
  private final double noise;

  /**
   * @param noise variance of one more setting about the true load, ln
   */
  NextReading(Mix mix, double nowHours, double endHours, double noise) {
    List<Mix.Joint> all = mix.joint(nowHours, endHours);
    joint = all.subList(0, Math.min(MOST_ACCOUNTS, all.size()));
    this.noise = noise;
  }

  /**
   * @param changes whether the verdict is change now
   * @param limit ln of the loss at the limit, positive
   * @param changeAt chance of being over it from which a change is due
   */
  double decides(boolean changes, double limit, double changeAt) {
    double all = 0;
    double turned = 0;
    for (double read : tried()) {
      Then then = then(read, limit);
      all += then.density();
      turned += then.under() >= changeAt == changes ? 0 : then.density();
    }
    return all > 0 ? turned / all : 0;
  }

  /** Chance of being over the limit, averaged over all that might be read: today's chance. */
  double average(double limit) {
    double all = 0;
    double sum = 0;
    for (double read : tried()) {
      Then then = then(read, limit);
      all += then.density();
      sum += then.density() * then.under();
    }
    return sum / all;
  }

  /** Readings over the whole range some account predicts. */
  private double[] tried() {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (Mix.Joint j : joint) {
      double sd = Math.sqrt(j.loadVariance() + noise);
      low = Math.min(low, j.load() - REACH * sd);
      high = Math.max(high, j.load() + REACH * sd);
    }
    double from = low;
    double step = (high - low) / TRIED;
    return IntStream.range(0, TRIED).mapToDouble(k -> from + (k + 0.5) * step).toArray();
  }

  /** How likely a reading is, and the chance of being over the limit once it is read. */
  private record Then(double density, double under) {}

  private Then then(double read, double limit) {
    double density = 0;
    double under = 0;
    for (Mix.Joint j : joint) {
      double variance = j.loadVariance() + noise;
      double off = read - j.load();
      double d = j.weight() * Normal.density(off / Math.sqrt(variance)) / Math.sqrt(variance);
      double gain = j.covariance() / variance;
      double left = Math.max(0, j.lossVariance() - gain * j.covariance());
      density += d;
      under += d * new Normal(j.loss() + gain * off, Math.sqrt(left)).above(limit);
    }
    return new Then(density, density > 0 ? under / density : 0);
  }
}
