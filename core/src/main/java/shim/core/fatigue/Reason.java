package shim.core.fatigue;

/**
 * One reason of a verdict, in words and numbers.
 *
 * @param asks the verdict this reason alone would give
 */
public record Reason(Kind kind, Verdict asks, String words) {
  /** What kind of reason. */
  public enum Kind {
    LOSS,
    LEAST_LOAD,
    LIFE,
    OWN_WAY,
    SUDDEN,
    READ_AGAIN,
    ODD_ONE_OUT,
    BATCH,
    OVER_REV,
    LITTLE_KNOWN,
    NO_CHECK_SPRING
  }
}
