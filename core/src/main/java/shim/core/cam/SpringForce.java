package shim.core.cam;

import shim.core.spring.LoadCurve;

/**
 * What a spring pushes with at a valve's lift, new or tired.
 *
 * @param curve load over height when new
 * @param installedIn its height with the valve shut, inch
 * @param left share of its load that is left: 1 new, 0.93 at seven percent loss
 * @param leftBand that share may be so much more or less
 * @param offLbf taken off by boost under the valve's head, lbf. Off every lift, to be careful: with
 *     the valve open the boost stands on both sides of it
 */
public record SpringForce(
    LoadCurve curve, double installedIn, double left, double leftBand, double offLbf) {
  public SpringForce {
    if (!(installedIn > 0.3 && installedIn < 5)) {
      throw new IllegalArgumentException(
          "an installed height of {" + installedIn + " in} cannot be");
    }
    if (!(left > 0 && left <= 1.2 && leftBand >= 0 && leftBand < 0.5 && offLbf >= 0)
        || Double.isInfinite(offLbf)) {
      throw new IllegalArgumentException(
          "a spring with " + left + " of its load left, less " + offLbf + " lbf, is none");
    }
  }

  public static SpringForce asNew(LoadCurve curve, double installedIn) {
    return new SpringForce(curve, installedIn, 1, 0, 0);
  }

  double lowLbf(double liftIn) {
    return Math.max(0, curve.loadAt(installedIn - liftIn) * (left - leftBand) - offLbf);
  }

  public double midLbf(double liftIn) {
    return Math.max(0, curve.loadAt(installedIn - liftIn) * left - offLbf);
  }

  double highLbf(double liftIn) {
    return Math.max(0, curve.loadAt(installedIn - liftIn) * (left + leftBand) - offLbf);
  }
}
