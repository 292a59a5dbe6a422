package shim.core.crank;

import shim.core.engine.CamCard;
import shim.core.lobe.LobeCurve;

/**
 * Where a lobe is off its base circle, crank degrees from its centre: as measured, else by the
 * card's duration at the smallest tappet lift it knows, which still leaves the ramp's start to a
 * margin.
 */
public record OffBase(double opensDeg, double closesDeg) {
  public static OffBase of(CamCard.Lobe lobe) {
    double half = lobe.lowest().durationDeg() / 2;
    return lobe.measured()
        .map(CamCard.Measured::curve)
        .map(c -> new OffBase(c.opensDeg(LobeCurve.LEAVES_IN), c.closesDeg(LobeCurve.LEAVES_IN)))
        .orElseGet(() -> new OffBase(-half, half));
  }
}
