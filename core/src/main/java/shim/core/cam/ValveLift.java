package shim.core.cam;

import java.util.List;
import shim.core.crank.RampMargin;
import shim.core.engine.CamCard;
import shim.core.lobe.LobeCurve;

/**
 * Lift at the valve over crank degrees from the lobe's centre: lobe × ratio − lash, never below
 * zero. From a measured lobe it is one figure; from a card only a range: between the card's highest
 * duration and the nose the flank lies above the straight line and below the parabola with its top
 * at the nose, for the lobe is still bending up or already slowing there.
 */
public final class ValveLift {
  /** Between straight line and parabola: about a cosine lobe's nose. Ours. */
  private static final double USUAL_NOSE = 1.4;

  private final CamCard.Lobe lobe;
  private final double ratio;
  private final double lashIn;

  /**
   * @param lashIn at the valve, inch; zero for a hydraulic lifter
   */
  public ValveLift(CamCard.Lobe lobe, double ratio, double lashIn) {
    if (!(ratio > 0 && ratio < 3 && lashIn >= 0 && lashIn < 0.2)) {
      throw new IllegalArgumentException("a ratio of " + ratio + " with {" + lashIn + " in} lash");
    }
    this.lobe = lobe;
    this.ratio = ratio;
    this.lashIn = lashIn;
  }

  /** It rests on a measured lobe. */
  public boolean measured() {
    return lobe.measured().isPresent();
  }

  /** Lift of the valve, inch. */
  public Bounds at(double fromCentreDeg) {
    return lobe.measured()
        .map(m -> Bounds.one(atValve(m.curve().liftIn(fromCentreDeg))))
        .orElseGet(() -> byCard(Math.abs(fromCentreDeg)));
  }

  private double atValve(double lobeIn) {
    return Math.max(0, lobeIn * ratio - lashIn);
  }

  private Bounds byCard(double awayDeg) {
    List<CamCard.Duration> points = lobe.durations();
    CamCard.Duration top = points.get(points.size() - 1);
    double half = top.durationDeg() / 2;
    if (awayDeg <= half) {
      double share = awayDeg / half;
      double rise = lobe.lobeLiftIn() - top.tappetLiftIn();
      double low = lobe.lobeLiftIn() - rise * share;
      double high = lobe.lobeLiftIn() - rise * share * share;
      double mid = lobe.lobeLiftIn() - rise * Math.pow(share, USUAL_NOSE);
      return new Bounds(atValve(low), atValve(mid), atValve(high));
    }
    for (int i = points.size() - 1; i > 0; i--) {
      double inner = points.get(i).durationDeg() / 2;
      double outer = points.get(i - 1).durationDeg() / 2;
      if (awayDeg <= outer) {
        double share = (awayDeg - inner) / (outer - inner);
        return flank(points.get(i).tappetLiftIn(), points.get(i - 1).tappetLiftIn(), share);
      }
    }
    return ramp(points, awayDeg - points.get(0).durationDeg() / 2);
  }

  /**
   * Past the card's lowest duration: at least what its last two go on to, for a flank bends up; at
   * most a straight ramp of the usual length.
   */
  private Bounds ramp(List<CamCard.Duration> points, double beyondDeg) {
    CamCard.Duration lowest = points.get(0);
    double lengthDeg = RampMargin.usualDeg(lowest.tappetLiftIn());
    double high = lowest.tappetLiftIn() * Math.max(0, 1 - beyondDeg / lengthDeg);
    double low = 0;
    if (points.size() > 1) {
      CamCard.Duration next = points.get(1);
      double fall =
          2
              * (next.tappetLiftIn() - lowest.tappetLiftIn())
              / (lowest.durationDeg() - next.durationDeg());
      low = Math.max(0, lowest.tappetLiftIn() - fall * beyondDeg);
    }
    return new Bounds(
        atValve(Math.min(low, high)), atValve((low + high) / 2), atValve(Math.max(low, high)));
  }

  /** A flank that bends up lies under the straight line and falls to where it ends. */
  private Bounds flank(double fromIn, double toIn, double share) {
    double high = fromIn + (toIn - fromIn) * share;
    double low = toIn + (fromIn - toIn) * (1 - share) * (1 - share);
    return new Bounds(atValve(low), atValve((low + high) / 2), atValve(high));
  }

  /** Lift the cam gives at the valve, less lash, inch. */
  public double fullIn() {
    double nose = lobe.measured().map(CamCard.Measured::curve).map(LobeCurve::noseIn).orElse(0.0);
    return atValve(measured() ? nose : lobe.lobeLiftIn());
  }
}
