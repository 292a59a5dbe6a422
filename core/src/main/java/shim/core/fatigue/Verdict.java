package shim.core.fatigue;

/** What to do with a part before the next event, worst last. */
public enum Verdict {
  RUN,
  /** A spring without a test: nothing is known of its load. */
  NOT_TESTED,
  WATCH,
  CHANGE;

  public Verdict orWorse(Verdict other) {
    return compareTo(other) >= 0 ? this : other;
  }
}
