package shim.core.lifter;

import shim.core.fatigue.Verdict;

/**
 * One reason of a lifter's verdict, in words and numbers.
 *
 * @param asks the verdict this reason alone would give
 */
public record LifterReason(Kind kind, Verdict asks, String words) {
  /** What kind of reason. */
  public enum Kind {
    SEEN,
    TREND,
    INTERVAL,
    OVER_REV,
    OPEN_LOAD,
    NOT_LOOKED_AT,
    NOT_ON_RECORD
  }
}
