package shim.core.fatigue;

/**
 * One spring's own states in a {@link Belief}: its level b, its settling α, its path V, the rate u
 * of that path, and V as it stood at the baseline.
 */
record OwnPath(Spreads spreads, PathKind kind) {
  static final int LEVEL = 0;
  static final int SETTLING = 1;
  static final int PATH = 2;
  static final int RATE = 3;
  static final int BASELINE = 4;
  static final int STATES = 5;

  /** How much springs of one box differ when new. */
  private static final double LEVEL_SD = 0.03;

  /** Puts in what is believed of a new spring. */
  void begin(Belief x) {
    x.reset(LEVEL, 0, LEVEL_SD * LEVEL_SD);
    x.reset(SETTLING, 0, spreads.settling() * spreads.settling());
    x.reset(PATH, 0, 0);
    x.reset(RATE, 0, spreads.rate() * spreads.rate());
    x.reset(BASELINE, 0, 0);
  }

  /** Lets the spring run; its path is frozen into the baseline when that hour is passed. */
  void run(Belief x, double fromHours, double toHours) {
    double bed = Settling.BASELINE_HOURS;
    if (fromHours < bed && toHours >= bed) {
      drift(x, bed - fromHours);
      x.same(BASELINE, PATH);
      drift(x, toHours - bed);
    } else {
      drift(x, toHours - fromHours);
    }
  }

  private void drift(Belief x, double dt) {
    if (dt <= 0) {
      return;
    }
    x.add(PATH, RATE, dt);
    double q = walkVariance();
    x.noise(PATH, PATH, q * dt * dt * dt / 3);
    x.noise(PATH, RATE, q * dt * dt / 2);
    x.noise(RATE, RATE, q * dt);
  }

  /** Variance of the path from the wandering of its rate alone. */
  double wandering(double dt) {
    return walkVariance() * dt * dt * dt / 3;
  }

  /** Variance the rate gains an hour. */
  private double walkVariance() {
    return kind.kappa() * spreads.walk() * spreads.walk();
  }
}
