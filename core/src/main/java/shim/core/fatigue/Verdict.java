package shim.core.fatigue;

/** What to do with a spring before the next event, worst last. */
public enum Verdict {
  RUN,
  WATCH,
  CHANGE;

  public Verdict orWorse(Verdict other) {
    return compareTo(other) >= 0 ? this : other;
  }
}
