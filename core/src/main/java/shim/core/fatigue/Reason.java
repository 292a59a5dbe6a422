package shim.core.fatigue;

import shim.core.unit.Said;

/**
 * One reason of a verdict.
 *
 * @param asks the verdict this reason alone would give
 */
public record Reason(Kind kind, Verdict asks, Said said) {
  /** What kind of reason, with its figures; shares and chances of one. */
  public enum Kind implements Said.Code {
    LOSS("now", "next", "nextLow", "nextHigh", "chance", "limit"),
    LEAST_LOAD("nextLbf", "chance", "leastLbf"),
    LIFE("hours", "lifeHours"),
    SUDDEN("by"),
    READ_AGAIN("sd", "wrong", "apart", "waits"),
    BATCH("brokeHours", "hours"),
    OWN_WAY("chance"),
    ODD_ONE_OUT("z"),
    OVER_REV,
    LITTLE_KNOWN("tests"),
    NO_CHECK_SPRING;

    private final Said.Form form;

    Kind(String... figures) {
      form = Said.form("SPRING", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  static Reason of(Kind kind, Verdict asks, double... figures) {
    return new Reason(kind, asks, Said.of(kind, figures));
  }
}
