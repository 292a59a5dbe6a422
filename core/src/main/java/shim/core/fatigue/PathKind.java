package shim.core.fatigue;

/** How lively a spring's own rate wanders against a healthy spring's. */
enum PathKind {
  WITH_SET(1),
  /** It has left its set: what it reads says little of the set and of the day. */
  OWN_WAY(2_500);

  private final double kappa;

  PathKind(double kappa) {
    this.kappa = kappa;
  }

  double kappa() {
    return kappa;
  }
}
