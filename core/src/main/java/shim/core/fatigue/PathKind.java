package shim.core.fatigue;

/**
 * How a spring's own path may go: how lively its rate wanders against a healthy spring's, whether
 * what it loses breeds more, and how likely that is before anything is read.
 */
enum PathKind {
  WITH_SET(1, 0, 0.93),
  /** Slowly, at a rate of its own. */
  OWN_WAY(225, 0, 0.03),
  /** Fast, from one test to the next. */
  FAILING_FAST(10_000, 0, 0.02),
  /** Ever faster, as a crack grows. */
  RUNNING_AWAY(2_500, 0.6, 0.02);

  private final double kappa;
  private final double growthPerHour;
  private final double prior;

  PathKind(double kappa, double growthPerHour, double prior) {
    this.kappa = kappa;
    this.growthPerHour = growthPerHour;
    this.prior = prior;
  }

  double kappa() {
    return kappa;
  }

  /** Share by which its rate grows an hour. */
  double growthPerHour() {
    return growthPerHour;
  }

  double prior() {
    return prior;
  }
}
