package shim.core.crank;

import java.util.Optional;
import shim.core.engine.CamCard;
import shim.core.unit.Figures;

/**
 * How far a lifter may still be on its clearance ramp outside the duration a card gives.
 *
 * <p>Common practice, no source: cards show some 25 degrees a side between 0.050 and 0.006 of
 * tappet lift, so a duration at 0.006 or less takes 15 degrees a side, at 0.015 to 0.020 takes 30,
 * at 0.050 takes 45, in between by interpolation. A measured lift table needs no such guess.
 */
public final class RampMargin {
  private static final double[] LIFT_IN = {0.006, 0.015, 0.020, 0.050};
  private static final double[] MARGIN_DEG = {15, 30, 30, 45};

  /** Above this tappet lift a duration says too little about the ramps: more is asked for. */
  public static final double COARSE_LIFT_IN = 0.045;

  private RampMargin() {}

  /**
   * Margin a side at a lobe: the team's own; else a measured lobe's step, for the ramp may begin
   * anywhere between two rows; else the usual one for the card's smallest tappet lift.
   *
   * @param teamDeg the team's own, crank degrees
   */
  public static double ofDeg(CamCard.Lobe lobe, Optional<Double> teamDeg) {
    return teamDeg.orElseGet(
        () ->
            lobe.measured()
                .map(CamCard.Measured::stepDeg)
                .orElseGet(() -> usualDeg(lobe.lowest().tappetLiftIn())));
  }

  /**
   * Margin a side for a duration taken at a tappet lift.
   *
   * @param tappetLiftIn lift of the duration, inch, zero or more
   * @return crank degrees; held at the last value above 0.050 in
   */
  public static double usualDeg(double tappetLiftIn) {
    if (!(tappetLiftIn >= 0)) {
      throw new IllegalArgumentException("tappet lift " + tappetLiftIn + " in is below zero");
    }
    if (Figures.atMost(tappetLiftIn, LIFT_IN[0])) {
      return MARGIN_DEG[0];
    }
    for (int i = 1; i < LIFT_IN.length; i++) {
      if (Figures.atMost(tappetLiftIn, LIFT_IN[i])) {
        double part = (tappetLiftIn - LIFT_IN[i - 1]) / (LIFT_IN[i] - LIFT_IN[i - 1]);
        return MARGIN_DEG[i - 1] + part * (MARGIN_DEG[i] - MARGIN_DEG[i - 1]);
      }
    }
    return MARGIN_DEG[MARGIN_DEG.length - 1];
  }
}
