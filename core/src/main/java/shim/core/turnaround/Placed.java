package shim.core.turnaround;

import java.util.List;

/**
 * A work that has its time and its hands.
 *
 * @param cause why it does not begin earlier
 */
public record Placed(Work work, int start, List<String> hands, Cause cause) {
  /**
   * What a start waits for.
   *
   * @param name the work, the hand or the thing; empty where the kind says all
   */
  public record Cause(Kind kind, String name) {
    /** Kinds of waiting. */
    public enum Kind {
      /** Nothing: it begins with the plan, or was begun before. */
      NOW,
      /** A work that comes before it, with what must pass after that. */
      BEFORE,
      /** A part that is not here yet. */
      PART,
      /** A work that has the hands or the thing it needs. */
      BUSY,
      /** Until somebody is there. */
      NOBODY_THERE
    }

    static final Cause NOW = new Cause(Kind.NOW, "");
  }

  public Placed {
    hands = List.copyOf(hands);
  }

  public int end() {
    return start + work.minutes();
  }

  public Stretch stretch() {
    return new Stretch(start, end());
  }
}
