package shim.core.lash;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import shim.core.engine.CamCard;
import shim.core.engine.CamCard.Duration;
import shim.core.lobe.LobeCurve;
import shim.core.unit.Figures;

/**
 * The duration at which the valve really moves: where the tappet has taken up the lash, at a tappet
 * lift of lash / ratio. A measured lobe answers it. Inside the card's points it is interpolated
 * (straight between points, so it always falls with lift); below the lowest point only a range can
 * be given, never one number.
 *
 * @param tappetLiftIn lash / ratio, inch
 * @param lowDeg least it can be, crank degrees
 * @param highDeg most it can be, crank degrees; equal to the least when it is known, null when the
 *     card cannot bound it
 * @param words what it rests on
 */
public record MovingDuration(
    double tappetLiftIn, double lowDeg, @Nullable Double highDeg, String words) {

  /**
   * @param lashIn lash at the valve, inch
   * @param ratio rocker ratio
   */
  public static MovingDuration of(CamCard.Lobe lobe, double lashIn, double ratio) {
    double lift = lashIn / ratio;
    if (lobe.measured().isPresent()) {
      return measured(lobe.measured().get(), lift);
    }
    List<Duration> points = lobe.durations();
    Duration lowest = points.get(0);
    if (lift < lowest.tappetLiftIn()) {
      return below(points, lift);
    }
    for (int i = 1; i < points.size(); i++) {
      Duration a = points.get(i - 1);
      Duration b = points.get(i);
      if (lift <= b.tappetLiftIn()) {
        double part = (lift - a.tappetLiftIn()) / (b.tappetLiftIn() - a.tappetLiftIn());
        double d = a.durationDeg() + part * (b.durationDeg() - a.durationDeg());
        return new MovingDuration(lift, d, d, "between two points of the card");
      }
    }
    Duration last = points.get(points.size() - 1);
    boolean on = Figures.same(lift, last.tappetLiftIn());
    return new MovingDuration(
        lift,
        on ? last.durationDeg() : 0,
        last.durationDeg(),
        on ? "a point of the card" : "above the card's highest point: at most this");
  }

  /** Below the lift at which the base circle is left there is nothing to tell apart. */
  private static MovingDuration measured(CamCard.Measured lobe, double liftIn) {
    double d = lobe.curve().durationDeg(Math.max(liftIn, LobeCurve.LEAVES_IN));
    return new MovingDuration(
        liftIn, d, d, lobe.on().isEmpty() ? "measured" : "measured on " + lobe.on());
  }

  private static MovingDuration below(List<Duration> points, double lift) {
    Duration lowest = points.get(0);
    String at = String.format(Locale.ROOT, "%.3f", lowest.tappetLiftIn());
    if (points.size() == 1) {
      return new MovingDuration(
          lift,
          lowest.durationDeg(),
          null,
          "below the card's only point at " + at + ": at least this");
    }
    Duration next = points.get(1);
    double slope =
        (lowest.durationDeg() - next.durationDeg()) / (next.tappetLiftIn() - lowest.tappetLiftIn());
    double high = lowest.durationDeg() + slope * (lowest.tappetLiftIn() - lift);
    return new MovingDuration(
        lift,
        lowest.durationDeg(),
        high,
        "below the card's lowest point at " + at + ": a range, up to a straight extrapolation");
  }
}
