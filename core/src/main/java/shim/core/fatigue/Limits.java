package shim.core.fatigue;

import java.util.Optional;

/**
 * When a spring must go; the team's to set.
 *
 * @param loss largest share of its baseline a spring may lose
 * @param leastLoadLbf least load at the reference height
 * @param lifeHours running life, whatever the load says
 * @param changeAt probability of being under a limit from which a change is due: cost of a change
 *     over cost of a failure
 */
public record Limits(
    double loss, Optional<Double> leastLoadLbf, Optional<Double> lifeHours, double changeAt) {
  /** The trade's usual limit; one failure costs five changes. */
  public static final Limits USUAL = new Limits(0.10, Optional.empty(), Optional.empty(), 0.2);

  public Limits {
    if (!(loss > 0 && loss < 0.9)) {
      throw new IllegalArgumentException("a loss limit lies between 0 and 90 %, not " + loss);
    }
    if (!(changeAt > 0 && changeAt < 1)) {
      throw new IllegalArgumentException("the change threshold lies between 0 and 1");
    }
    leastLoadLbf.ifPresent(l -> require(l > 0 && l < 1e6, "least load", l, "lbf"));
    lifeHours.ifPresent(h -> require(h > 0 && h < 1e6, "life", h, "h"));
  }

  private static void require(boolean good, String what, double value, String unit) {
    if (!good) {
      throw new IllegalArgumentException(what + " of " + value + " " + unit + " cannot be");
    }
  }

  /** From here on a spring is watched. */
  public double watchAt() {
    return changeAt / 4;
  }
}
