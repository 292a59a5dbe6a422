package shim.bench.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.random.RandomGenerator;

/** A law by which the springs of a set tire, how they fail, and how they are read. */
interface Law {
  /**
   * A spring as it truly is.
   *
   * @param healthy loss by settling and wear at some hours, ln
   * @param fault loss by its failing; zero until that begins
   */
  record Truth(DoubleUnaryOperator healthy, DoubleUnaryOperator fault) {
    double lossLn(double hours) {
      return healthy.applyAsDouble(hours) + fault.applyAsDouble(hours);
    }

    double faultLn(double hours) {
      return fault.applyAsDouble(hours);
    }
  }

  String words();

  /** Share of springs that fail within a season. */
  double FAILING = 0.08;

  /** Springs of one set. */
  List<Truth> set(int springs, double seasonHours, RandomGenerator random);

  /** Tester gain of each day, ln. */
  double[] tester(int days, RandomGenerator random);

  /** Noise of one reading, ln. */
  double noise(RandomGenerator random);

  static double uniform(RandomGenerator r, double low, double high) {
    return low + (high - low) * r.nextDouble();
  }

  static double laplace(RandomGenerator r, double sd) {
    double u = r.nextDouble() - 0.5;
    return -Math.signum(u) * Math.log1p(-2 * Math.abs(u)) * sd / Math.sqrt(2);
  }

  /** Student's t with 4 degrees of freedom, scaled to a standard deviation. */
  static double heavy(RandomGenerator r, double sd) {
    double chi = 0;
    for (int i = 0; i < 4; i++) {
      double g = r.nextGaussian();
      chi += g * g;
    }
    return r.nextGaussian() / Math.sqrt(chi / 4) * sd / Math.sqrt(2);
  }

  /** Power-law settling; failures that accelerate; a tester gain that walks; Laplace noise. */
  record Powers() implements Law {
    @Override
    public String words() {
      return "power-law settling, accelerating failures, walking tester, Laplace noise";
    }

    @Override
    public List<Truth> set(int springs, double seasonHours, RandomGenerator r) {
      double common = uniform(r, 0.006, 0.014);
      double power = uniform(r, 0.3, 0.5);
      List<Truth> set = new ArrayList<>();
      for (int i = 0; i < springs; i++) {
        double own = common * Math.exp(0.25 * r.nextGaussian());
        double from = r.nextDouble() < FAILING ? uniform(r, 0.5, seasonHours) : 1e9;
        double speed = Math.exp(uniform(r, Math.log(0.004), Math.log(0.05)));
        set.add(
            new Truth(
                t -> own * Math.pow(t, power), t -> speed * Math.pow(Math.max(0, t - from), 1.5)));
      }
      return set;
    }

    @Override
    public double[] tester(int days, RandomGenerator r) {
      double[] gain = new double[days];
      double now = 0.01 * r.nextGaussian();
      for (int d = 0; d < days; d++) {
        now += 0.01 * r.nextGaussian();
        gain[d] = now;
      }
      return gain;
    }

    @Override
    public double noise(RandomGenerator r) {
      return laplace(r, 0.008);
    }
  }

  /** Exponential bedding-in, own linear wear; straight failures and broken inners; daily drift. */
  record Bedding() implements Law {
    @Override
    public String words() {
      return "exponential bedding-in, straight failures, broken inners, tester of the day";
    }

    @Override
    public List<Truth> set(int springs, double seasonHours, RandomGenerator r) {
      double depth = uniform(r, 0.015, 0.035);
      double pace = uniform(r, 0.5, 2);
      double wear = uniform(r, 0.0005, 0.0025);
      List<Truth> set = new ArrayList<>();
      for (int i = 0; i < springs; i++) {
        double own = depth * Math.exp(0.2 * r.nextGaussian());
        double rate = wear * Math.exp(0.3 * r.nextGaussian());
        boolean fails = r.nextDouble() < FAILING;
        double from = fails ? uniform(r, 0.5, seasonHours) : 1e9;
        boolean breaks = r.nextDouble() < 0.3;
        double speed = breaks ? 0 : Math.exp(uniform(r, Math.log(0.008), Math.log(0.06)));
        double share = breaks ? uniform(r, 0.10, 0.25) : 0;
        set.add(
            new Truth(
                t -> own * (1 - Math.exp(-t / pace)) + rate * t,
                t -> speed * Math.max(0, t - from) + (t > from ? share : 0)));
      }
      return set;
    }

    @Override
    public double[] tester(int days, RandomGenerator r) {
      double[] gain = new double[days];
      for (int d = 0; d < days; d++) {
        gain[d] = 0.015 * r.nextGaussian();
      }
      return gain;
    }

    @Override
    public double noise(RandomGenerator r) {
      return 0.008 * r.nextGaussian();
    }
  }

  /** Losses that come with hot events, failures that double; heavy-tailed readings. */
  record HotEvents() implements Law {
    @Override
    public String words() {
      return "losses in hot events, failures that double, heavy-tailed noise";
    }

    @Override
    public List<Truth> set(int springs, double seasonHours, RandomGenerator r) {
      int cells = (int) Math.ceil(seasonHours) + 3;
      double[] heat = new double[cells];
      for (int c = 0; c < cells; c++) {
        heat[c] = 0.0015 * -Math.log(1 - r.nextDouble()) * (c < 2 ? 4 : 1);
      }
      List<Truth> set = new ArrayList<>();
      for (int i = 0; i < springs; i++) {
        double own = Math.exp(0.2 * r.nextGaussian());
        double from = r.nextDouble() < FAILING ? uniform(r, 0.5, seasonHours) : 1e9;
        double doubling = uniform(r, 0.7, 2.5);
        set.add(
            new Truth(
                t -> own * sum(heat, t),
                t -> t > from ? 0.008 * (Math.pow(2, Math.min(8, (t - from) / doubling)) - 1) : 0));
      }
      return set;
    }

    private static double sum(double[] heat, double t) {
      double sum = 0;
      for (int c = 0; c < heat.length && c < t; c++) {
        sum += heat[c] * Math.min(1, t - c);
      }
      return sum;
    }

    @Override
    public double[] tester(int days, RandomGenerator r) {
      double[] gain = new double[days];
      double now = 0;
      for (int d = 0; d < days; d++) {
        now = 0.7 * now + 0.012 * r.nextGaussian();
        gain[d] = now;
      }
      return gain;
    }

    @Override
    public double noise(RandomGenerator r) {
      return heavy(r, 0.009);
    }
  }

  /**
   * Log settling with uneven events; failures that start fast and slow down; a tester of the day.
   */
  record Fading() implements Law {
    @Override
    public String words() {
      return "log settling in uneven events, failures that slow down, Laplace noise";
    }

    @Override
    public List<Truth> set(int springs, double seasonHours, RandomGenerator r) {
      double common = uniform(r, 0.006, 0.016);
      double wear = uniform(r, 0.0003, 0.002);
      List<Truth> set = new ArrayList<>();
      for (int i = 0; i < springs; i++) {
        double own = common * Math.exp(0.2 * r.nextGaussian());
        double rate = wear * Math.exp(0.4 * r.nextGaussian());
        double from = r.nextDouble() < FAILING ? uniform(r, 0.5, seasonHours) : 1e9;
        double depth = Math.exp(uniform(r, Math.log(0.08), Math.log(0.35)));
        double pace = Math.exp(uniform(r, Math.log(1.5), Math.log(8)));
        set.add(
            new Truth(
                t -> own * Math.log1p(t / 0.3) + rate * t,
                t -> t > from ? depth * -Math.expm1(-(t - from) / pace) : 0));
      }
      return set;
    }

    @Override
    public double[] tester(int days, RandomGenerator r) {
      double[] gain = new double[days];
      for (int d = 0; d < days; d++) {
        gain[d] = heavy(r, 0.012);
      }
      return gain;
    }

    @Override
    public double noise(RandomGenerator r) {
      return laplace(r, 0.007);
    }
  }

  /** Square-root settling, an over-rev that costs all springs at once; a tester that creeps. */
  record OverRevs() implements Law {
    @Override
    public String words() {
      return "square-root settling, an over-rev for all, creeping tester, uniform noise";
    }

    @Override
    public List<Truth> set(int springs, double seasonHours, RandomGenerator r) {
      double common = uniform(r, 0.005, 0.012);
      double overRevAt = uniform(r, 1, seasonHours);
      double cost = uniform(r, 0, 0.015);
      List<Truth> set = new ArrayList<>();
      for (int i = 0; i < springs; i++) {
        double own = common * uniform(r, 0.7, 1.3);
        double ownCost = cost * uniform(r, 0.7, 1.3);
        double from = r.nextDouble() < FAILING ? uniform(r, 0.5, seasonHours) : 1e9;
        double pace = Math.exp(uniform(r, Math.log(0.002), Math.log(0.02)));
        set.add(
            new Truth(
                t -> own * Math.sqrt(t) + (t > overRevAt ? ownCost : 0),
                t -> t > from ? pace * (t - from) * (1 + (t - from) / 2) : 0));
      }
      return set;
    }

    @Override
    public double[] tester(int days, RandomGenerator r) {
      double creep = 0.004 * r.nextGaussian();
      double[] gain = new double[days];
      for (int d = 0; d < days; d++) {
        gain[d] = creep * d + 0.006 * r.nextGaussian();
      }
      return gain;
    }

    @Override
    public double noise(RandomGenerator r) {
      return uniform(r, -1, 1) * 0.008 * Math.sqrt(3);
    }
  }
}
