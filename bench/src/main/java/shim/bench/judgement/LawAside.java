package shim.bench.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Stretched-exponential settling; failures that begin with a small break and go on in stairs of
 * random height; a tester that creeps back to its mean; skewed noise.
 */
final class LawAside implements Law {
  @Override
  public String words() {
    return "stretched settling, failures in stairs, skewed noise";
  }

  @Override
  public List<Truth> set(int springs, double seasonHours, RandomGenerator r) {
    double depth = Law.uniform(r, 0.02, 0.05);
    double pace = Law.uniform(r, 2, 8);
    double bend = Law.uniform(r, 0.4, 0.7);
    List<Truth> set = new ArrayList<>();
    for (int i = 0; i < springs; i++) {
      double own = depth * Math.exp(0.25 * r.nextGaussian());
      double from = r.nextDouble() < FAILING ? Law.uniform(r, 0.5, seasonHours) : 1e9;
      double first = Law.uniform(r, 0, 0.04);
      double[] stairs = stairs(seasonHours, Math.exp(Law.uniform(r, -5.3, -3)), r);
      set.add(
          new Truth(
              t -> own * (1 - Math.exp(-Math.pow(t / pace, bend))),
              t -> t > from ? first + climbed(stairs, t - from) : 0));
    }
    return set;
  }

  /** Height of each half-hour stair, mean as given for an hour, growing by a tenth each. */
  private static double[] stairs(double hours, double anHour, RandomGenerator r) {
    double[] stairs = new double[2 * (int) Math.ceil(hours) + 4];
    double mean = anHour / 2;
    for (int k = 0; k < stairs.length; k++) {
      stairs[k] = mean * -Math.log(1 - r.nextDouble());
      mean *= 1.1;
    }
    return stairs;
  }

  private static double climbed(double[] stairs, double hours) {
    double sum = 0;
    for (int k = 0; k < stairs.length && 2 * hours >= k + 1; k++) {
      sum += stairs[k];
    }
    return sum;
  }

  @Override
  public double[] tester(int days, RandomGenerator r) {
    double[] gain = new double[days];
    double now = 0.02 * r.nextGaussian();
    for (int d = 0; d < days; d++) {
      now = 0.8 * now + 0.01 * r.nextGaussian();
      gain[d] = now;
    }
    return gain;
  }

  /** Exponential less its mean: the long tail reads low. */
  @Override
  public double noise(RandomGenerator r) {
    return 0.008 * (1 + Math.log(1 - r.nextDouble()));
  }
}
