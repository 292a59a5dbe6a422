package shim.core.cam;

import java.util.List;
import java.util.stream.DoubleStream;
import shim.core.engine.CamCard;
import shim.core.lobe.SmoothLobe;
import shim.core.lobe.SmoothLobe.Motion;
import shim.core.unit.Angle;

/**
 * How little spring is enough: while the lobe falls away under the lifter the spring must turn the
 * valve train back, F(y) > m |y″| ω². The least of F − m |y″| ω² over every angle with y″ below
 * zero is the margin; where it is gone the valve floats. Stiff parts: a real train bends and floats
 * somewhat earlier, so it compares better than it promises. Bounds come from the smoothed lobe's
 * band and the spring's.
 */
public final class FloatMargin {
  /** Pound-force a pound of mass times inch/s²: standard gravity, NIST SP 811. */
  static final double IN_PER_S2 = 386.0886;

  private static final double STEP_DEG = 1;
  private static final double MOST_RPM = 30_000;

  private final List<Motion> motions;
  private final double ratio;
  private final double lashIn;
  private final double massLbm;

  /**
   * Where a spring loses hold.
   *
   * @param rpm low, middle and high, engine speed
   * @param fromCentreDeg where on the lobe, crank degrees
   * @param liftIn of the valve there
   * @param loadLbf of the spring there
   */
  public record Floats(Bounds rpm, double fromCentreDeg, double liftIn, double loadLbf) {}

  /** Margin at a speed, lbf: low, middle, high. */
  public record AtRpm(double rpm, double lowLbf, double midLbf, double highLbf) {}

  /** Load on the lobe at the nose, lbf: the engine standing, and at a speed. */
  public record LobeLoad(double standingLbf, double atSpeedLbf) {}

  /**
   * @param lashIn at the valve, inch
   */
  public FloatMargin(SmoothLobe lobe, double ratio, double lashIn, TrainMass train) {
    this.motions = lobe.every(STEP_DEG);
    this.ratio = ratio;
    this.lashIn = lashIn;
    this.massLbm = train.atValveLbm(ratio);
  }

  /** Cam speed squared for one rpm of the engine, (rad/s)². */
  private static double omega2(double rpm) {
    double omega = Math.PI * rpm / 60;
    return omega * omega;
  }

  /** Deceleration of the valve, inch per cam radian²; from inch of lobe per crank degree². */
  private double perRadian2(double lobePerDeg2) {
    return perRadian2(lobePerDeg2, ratio);
  }

  private static double perRadian2(double lobePerDeg2, double ratio) {
    double degPerCamRadian = Angle.CYCLE_DEG / 2 / Math.PI;
    return lobePerDeg2 * ratio * degPerCamRadian * degPerCamRadian;
  }

  private double liftIn(Motion m) {
    return m.liftIn() * ratio - lashIn;
  }

  /** Angles at which the spring has to hold: open, and falling away. */
  private List<Motion> held() {
    return motions.stream().filter(m -> liftIn(m) > 0 && m.accelerationInPerDeg2() < 0).toList();
  }

  /** The speed at which the margin is gone. */
  public Floats floats(SpringForce spring) {
    double low = MOST_RPM;
    double high = MOST_RPM;
    double mid = MOST_RPM;
    Motion at = motions.get(0);
    for (Motion m : held()) {
      double y = liftIn(m);
      double a = -m.accelerationInPerDeg2();
      double band = m.accelerationBandInPerDeg2();
      low = Math.min(low, rpm(spring.lowLbf(y), a + band));
      high = Math.min(high, rpm(spring.highLbf(y), Math.max(a - band, a * 1e-3)));
      double here = rpm(spring.midLbf(y), a);
      if (here < mid) {
        mid = here;
        at = m;
      }
    }
    return new Floats(
        new Bounds(low, mid, high), at.fromCentreDeg(), liftIn(at), spring.midLbf(liftIn(at)));
  }

  private double rpm(double loadLbf, double lobePerDeg2) {
    return rpm(loadLbf, massLbm, perRadian2(lobePerDeg2));
  }

  private static double rpm(double loadLbf, double massLbm, double perRadian2) {
    double omega = Math.sqrt(loadLbf * IN_PER_S2 / (massLbm * perRadian2));
    return Math.min(MOST_RPM, omega * 60 / Math.PI);
  }

  /** The margin over engine speed. */
  public List<AtRpm> curve(SpringForce spring, double fromRpm, double toRpm, double stepRpm) {
    if (!(fromRpm >= 0
        && toRpm >= fromRpm
        && toRpm <= MOST_RPM
        && stepRpm > 0
        && (toRpm - fromRpm) / stepRpm <= 1000)) {
      throw new IllegalArgumentException(
          fromRpm + " to " + toRpm + " rpm by " + stepRpm + " cannot be drawn");
    }
    List<Motion> held = held();
    return DoubleStream.iterate(fromRpm, r -> r <= toRpm, r -> r + stepRpm)
        .mapToObj(r -> at(held, spring, r))
        .toList();
  }

  private AtRpm at(List<Motion> held, SpringForce spring, double rpm) {
    double low = Double.POSITIVE_INFINITY;
    double mid = Double.POSITIVE_INFINITY;
    double high = Double.POSITIVE_INFINITY;
    double perPull = massLbm * omega2(rpm) / IN_PER_S2;
    for (Motion m : held) {
      double y = liftIn(m);
      double a = -m.accelerationInPerDeg2();
      double band = m.accelerationBandInPerDeg2();
      low = Math.min(low, spring.lowLbf(y) - perPull * perRadian2(a + band));
      mid = Math.min(mid, spring.midLbf(y) - perPull * perRadian2(a));
      high = Math.min(high, spring.highLbf(y) - perPull * perRadian2(Math.max(0, a - band)));
    }
    return new AtRpm(rpm, low, mid, high);
  }

  /** What presses on the lobe at the nose. */
  public LobeLoad lobeLoad(SpringForce spring, double rpm) {
    Motion nose = motions.get(0);
    for (Motion m : motions) {
      nose = m.liftIn() > nose.liftIn() ? m : nose;
    }
    double load = spring.midLbf(liftIn(nose));
    double pull = massLbm * perRadian2(-nose.accelerationInPerDeg2()) * omega2(rpm) / IN_PER_S2;
    return new LobeLoad(load * ratio, Math.max(0, load - pull) * ratio);
  }

  /**
   * The most a card alone allows. To get from a tappet lift l to the full lift L within half a
   * duration A and stop there, a lobe must somewhere slow by 2 (L − l)/A² at least; the spring
   * gives its open load at most. So it floats at or below this speed; where, only a measured lobe
   * tells.
   */
  public static double atMostRpm(
      CamCard.Lobe lobe, double ratio, TrainMass train, SpringForce spring) {
    CamCard.Duration top = lobe.durations().get(lobe.durations().size() - 1);
    double half = top.durationDeg() / 2;
    double least = 2 * (lobe.lobeLiftIn() - top.tappetLiftIn()) / (half * half);
    double open = spring.midLbf(lobe.lobeLiftIn() * ratio);
    return rpm(open, train.atValveLbm(ratio), perRadian2(least, ratio));
  }
}
