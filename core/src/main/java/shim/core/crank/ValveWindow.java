package shim.core.crank;

import shim.core.engine.Position;
import shim.core.unit.Angle;

/**
 * Where one valve is off its lobe. The free window is the 720 of the cycle less the open period and
 * a ramp margin at each end; slack at an angle is the distance to the lobe centre less half the
 * duration and the margin, negative where the lifter may be on the lobe or its ramp.
 *
 * @param position the valve
 * @param centreDeg lobe centre, crank degrees after compression TDC of the first in firing order
 * @param halfOpenDeg half the duration, crank degrees
 * @param marginDeg ramp margin a side, crank degrees
 */
public record ValveWindow(
    Position position, double centreDeg, double halfOpenDeg, double marginDeg) {

  public ValveWindow {
    if (!(halfOpenDeg > 0 && halfOpenDeg < 360 && marginDeg >= 0 && marginDeg < 360)) {
      throw new IllegalArgumentException(
          "half duration " + halfOpenDeg + " and margin " + marginDeg + " deg leave no window");
    }
    centreDeg = Angle.inCycle(centreDeg);
  }

  /** Slack, crank degrees: how far the crank may be off before the lifter meets its ramp. */
  public double slackDeg(double crankDeg) {
    return Angle.distance(crankDeg, centreDeg) - halfOpenDeg - marginDeg;
  }

  /** Slack in the middle of the free window, the most there is, crank degrees. */
  public double mostSlackDeg() {
    return 360 - halfOpenDeg - marginDeg;
  }

  /** Where the lobe starts to lift, by the card's smallest tappet lift, crank degrees. */
  public double opensDeg() {
    return Angle.inCycle(centreDeg - halfOpenDeg);
  }

  /** Where the lobe is all but closed, by the card's smallest tappet lift, crank degrees. */
  public double closesDeg() {
    return Angle.inCycle(centreDeg + halfOpenDeg);
  }

  /** Start of the free window, crank degrees. */
  public double freeFromDeg() {
    return Angle.inCycle(centreDeg + halfOpenDeg + marginDeg);
  }

  /** End of the free window, crank degrees. */
  public double freeToDeg() {
    return Angle.inCycle(centreDeg - halfOpenDeg - marginDeg);
  }
}
