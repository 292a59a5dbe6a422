package shim.core.lifter;

import shim.core.fatigue.Verdict;
import shim.core.unit.Said;

/**
 * One reason of a lifter's verdict.
 *
 * @param asks the verdict this reason alone would give
 */
public record LifterReason(Kind kind, Verdict asks, Said said) {
  /** What kind of reason, with its figures. */
  public enum Kind implements Said.Code {
    /** Named: the look, its grade, what that means and what to do. */
    SEEN,
    /** The lash opens, and how far it will have by the end of the next event. */
    TREND("movedThou", "sinceHours", "thenThou", "wornThou"),
    /** The same, while something cheaper to look at may explain it; named by that look. */
    LOOK_FIRST("movedThou", "sinceHours", "thenThou", "wornThou"),
    WENT_WIDE_ONCE,
    MAY_BE_OPENING,
    INTERVAL("hours", "intervalHours"),
    OVER_INTERVAL("hours", "intervalHours"),
    INTERVAL_AT_NEXT("hours", "intervalHours"),
    OVER_REV("times"),
    OPEN_LOAD("loadLbf", "usualLbf"),
    NOT_LOOKED_AT,
    NOT_ON_RECORD;

    private final Said.Form form;

    Kind(String... figures) {
      form = Said.form("LIFTER", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  static LifterReason of(Kind kind, Verdict asks, double... figures) {
    return new LifterReason(kind, asks, Said.of(kind, figures));
  }
}
