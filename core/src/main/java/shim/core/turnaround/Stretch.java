package shim.core.turnaround;

/**
 * A stretch of time in minutes since the plan's begin.
 *
 * @param to the first minute that is no more of it
 */
public record Stretch(int from, int to) {
  public Stretch {
    if (to < from) {
      throw new IllegalArgumentException("a stretch cannot end before it begins");
    }
  }

  public int minutes() {
    return to - from;
  }

  boolean meets(Stretch other) {
    return from < other.to && other.from < to;
  }
}
