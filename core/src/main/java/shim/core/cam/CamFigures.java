package shim.core.cam;

import java.util.Optional;
import shim.core.crank.CamTiming;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.ValveKind;
import shim.core.lash.MovingDuration;
import shim.core.lobe.LobeCurve;

/**
 * A cam on this engine, at its ratio and lash: what it does at the valves. Where a lobe was not
 * measured its durations are ranges, and said to be; a top that nothing bounds is missing.
 *
 * @param overlapDeg both valves really open round gas-exchange TDC; empty where nothing bounds it
 * @param card events at the card's own lowest lifts
 */
public record CamFigures(
    LobeLine intake,
    LobeLine exhaust,
    Optional<Bounds> overlapDeg,
    double lsaDeg,
    double iclDeg,
    double eclDeg,
    double advanceDeg,
    CamTiming card) {

  /**
   * One lobe.
   *
   * @param movingDeg duration over which the valve really moves
   * @param opensDeg before TDC at the intake, before BDC at the exhaust
   * @param closesDeg after BDC at the intake, after TDC at the exhaust
   * @param areaInDeg under the valve's lift, inch × crank degrees
   * @param measured by a measured lobe
   * @param at050Deg duration at 0.050 of tappet lift; empty where it is not known
   */
  public record LobeLine(
      double lobeIn,
      double grossIn,
      double netIn,
      Bounds movingDeg,
      Bounds opensDeg,
      Bounds closesDeg,
      Bounds areaInDeg,
      boolean measured,
      Optional<Double> at050Deg) {}

  public static Optional<CamFigures> of(Engine engine) {
    return engine.cam().map(card -> of(engine, card, 0));
  }

  /**
   * @param lessLashIn so much less lash than the engine's target, inch
   */
  public static CamFigures of(Engine engine, CamCard card, double lessLashIn) {
    LobeLine in = line(engine, card.intake(), lessLashIn);
    LobeLine ex = line(engine, card.exhaust(), lessLashIn);
    Bounds overlap =
        new Bounds(
            in.opensDeg().low() + ex.closesDeg().low(),
            in.opensDeg().mid() + ex.closesDeg().mid(),
            in.opensDeg().high() + ex.closesDeg().high());
    return new CamFigures(
        in,
        ex,
        Optional.of(overlap).filter(o -> Double.isFinite(o.high())),
        card.lsaDeg(),
        card.intake().centreDeg(),
        card.exhaust().centreDeg(),
        card.advanceDeg(),
        CamTiming.of(card));
  }

  private static LobeLine line(Engine engine, CamCard.Lobe lobe, double lessLashIn) {
    double ratio = engine.drive().ratio(lobe.kind());
    double lash = Math.max(0, engine.lash().targetIn(lobe.kind()) - lessLashIn);
    MovingDuration moving = MovingDuration.of(lobe, lash, ratio);
    double high = moving.highDeg() == null ? Double.POSITIVE_INFINITY : moving.highDeg();
    Bounds duration = new Bounds(moving.lowDeg(), mid(moving.lowDeg(), high), high);
    double lobeIn = lobe.measured().map(m -> m.curve().noseIn()).orElseGet(lobe::lobeLiftIn);
    return new LobeLine(
        lobeIn,
        lobeIn * ratio,
        lobeIn * ratio - lash,
        duration,
        opens(lobe, lash / ratio, duration),
        closes(lobe, lash / ratio, duration),
        area(new ValveLift(lobe, ratio, lash)),
        lobe.measured().isPresent(),
        at050(lobe));
  }

  private static double mid(double low, double high) {
    return Double.isFinite(high) ? (low + high) / 2 : low;
  }

  private static Bounds opens(CamCard.Lobe lobe, double tappetIn, Bounds duration) {
    double less = lobe.kind() == ValveKind.INTAKE ? lobe.centreDeg() : 180 - lobe.centreDeg();
    return lobe.measured()
        .map(m -> Bounds.one(-m.curve().opensDeg(left(tappetIn)) - less))
        .orElseGet(() -> half(duration, less));
  }

  private static Bounds closes(CamCard.Lobe lobe, double tappetIn, Bounds duration) {
    double less = lobe.kind() == ValveKind.INTAKE ? 180 - lobe.centreDeg() : lobe.centreDeg();
    return lobe.measured()
        .map(m -> Bounds.one(m.curve().closesDeg(left(tappetIn)) - less))
        .orElseGet(() -> half(duration, less));
  }

  private static double left(double tappetIn) {
    return Math.max(tappetIn, LobeCurve.LEAVES_IN);
  }

  private static Bounds half(Bounds duration, double lessDeg) {
    return new Bounds(
        duration.low() / 2 - lessDeg, duration.mid() / 2 - lessDeg, duration.high() / 2 - lessDeg);
  }

  private static Bounds area(ValveLift lift) {
    double low = 0;
    double mid = 0;
    double high = 0;
    for (double a = -200; a < 200; a += 1) {
      Bounds at = lift.at(a + 0.5);
      low += at.low();
      mid += at.mid();
      high += at.high();
    }
    return new Bounds(low, mid, high);
  }

  private static Optional<Double> at050(CamCard.Lobe lobe) {
    if (lobe.measured().isPresent()) {
      return lobe.measured().map(m -> m.curve().durationDeg(0.050));
    }
    return lobe.durations().stream()
        .filter(d -> Math.abs(d.tappetLiftIn() - 0.050) < 0.0005)
        .map(CamCard.Duration::durationDeg)
        .findFirst();
  }
}
