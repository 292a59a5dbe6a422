package shim.core.fatigue;

/** How new springs settle: most in the first heat cycles, then about with the log of time. */
public final class Settling {
  /** Hours after which a spring counts as bedded in; losses are counted from there. */
  public static final double BASELINE_HOURS = 1;

  private static final double T0_HOURS = 0.5;

  private Settling() {}

  /** L(t) = ln(1 + t / 0.5 h), for hours of running at or above zero. */
  public static double of(double hours) {
    if (!(hours >= 0)) {
      throw new IllegalArgumentException("hours of running cannot be " + hours);
    }
    return Math.log1p(hours / T0_HOURS);
  }
}
