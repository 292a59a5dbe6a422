package shim.core.spring;

import java.util.Optional;
import shim.core.unit.Figures;

/**
 * Breaking in flat tappets: one school keeps the open load to some 220 lbf, inner out if need be;
 * the other breaks in at 280. Common practice, no source.
 *
 * @param outerLbf open load with the inner out; empty where it has none, or nothing tells
 */
public record BreakIn(double openLbf, Optional<Nest.Alone> outerLbf, Says gentle, Says hearty) {
  /** Which of the two schools of breaking in flat tappets are content. Practice, no source. */
  public enum Says {
    WHOLE,
    INNER_OUT,
    LIGHTER_SET
  }

  private static final double GENTLE_LBF = 220;
  private static final double HEARTY_LBF = 280;

  static BreakIn of(double openLbf, Optional<Nest.Alone> outer) {
    return new BreakIn(
        openLbf, outer, says(openLbf, outer, GENTLE_LBF), says(openLbf, outer, HEARTY_LBF));
  }

  private static Says says(double open, Optional<Nest.Alone> outer, double most) {
    if (Figures.atMost(open, most)) {
      return Says.WHOLE;
    }
    return outer.filter(o -> Figures.atMost(o.loadLbf(), most)).isPresent()
        ? Says.INNER_OUT
        : Says.LIGHTER_SET;
  }
}
