package shim.core.season;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import shim.core.lobe.LiftTable;

/**
 * A lobe with a known shape, L (1 − (a/A)²)^q, made to fit a card's lift and its durations at 0.020
 * and 0.050, and dial readings of it with run-out and rounding.
 *
 * @param liftIn full lift L, inch
 * @param halfDeg A, crank degrees
 * @param power q
 */
public record LobeSeason(double liftIn, double halfDeg, double power) {
  /**
   * The lobe of a card.
   *
   * @param at020Deg duration at 0.020 of tappet lift, crank degrees
   * @param at050Deg at 0.050
   */
  public static LobeSeason ofCard(double liftIn, double at020Deg, double at050Deg) {
    double low = at020Deg / 2 + 1;
    double high = 300;
    for (int i = 0; i < 60; i++) {
      double mid = (low + high) / 2;
      if (power(liftIn, 0.020, at020Deg, mid) < power(liftIn, 0.050, at050Deg, mid)) {
        low = mid;
      } else {
        high = mid;
      }
    }
    double half = (low + high) / 2;
    return new LobeSeason(liftIn, half, power(liftIn, 0.050, at050Deg, half));
  }

  private static double power(double liftIn, double tappetIn, double durationDeg, double halfDeg) {
    double x = durationDeg / 2 / halfDeg;
    return Math.log(tappetIn / liftIn) / Math.log(1 - x * x);
  }

  /** Lift of the tappet at an angle from the centre, inch. */
  public double liftIn(double fromCentreDeg) {
    double x = fromCentreDeg / halfDeg;
    return Math.abs(x) < 1 ? liftIn * Math.pow(1 - x * x, power) : 0;
  }

  /**
   * Readings of a dial over crank degrees from 0 on, the nose at the middle.
   *
   * @param ratio of the rocker the dial stands behind; 1 on the lifter
   * @param roundIn step the dial is read to, inch
   * @param runOutIn of the base circle, highest to lowest
   */
  public List<LiftTable.Point> read(
      double ratio, double everyDeg, double roundIn, double runOutIn, long seed) {
    Random random = new Random(seed);
    double reach = Math.ceil((halfDeg + 30) / everyDeg) * everyDeg;
    List<LiftTable.Point> points = new ArrayList<>();
    for (double a = -reach; a <= reach + 1e-9; a += everyDeg) {
      double dial =
          liftIn(a) * ratio
              + runOutIn / 2 * Math.sin(Math.toRadians(a / 2))
              + roundIn / 4 * random.nextGaussian();
      points.add(new LiftTable.Point(a + reach, Math.rint(dial / roundIn) * roundIn));
    }
    return points;
  }
}
