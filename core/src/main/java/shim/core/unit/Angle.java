package shim.core.unit;

/** Arithmetic on the 720-degree circle of a four-stroke cycle, in degrees of crank rotation. */
public final class Angle {
  /** Degrees of crank rotation in one four-stroke cycle. */
  public static final double CYCLE_DEG = 720;

  private Angle() {}

  /**
   * The same crank position within one cycle.
   *
   * @param crankDeg any angle, degrees
   * @return the angle in [0, 720)
   */
  public static double inCycle(double crankDeg) {
    double r = crankDeg % CYCLE_DEG;
    if (r < 0) {
      r += CYCLE_DEG;
    }
    return r >= CYCLE_DEG ? 0 : r;
  }

  /** Shortest way between two crank positions on the 720 circle, degrees, 0 to 360. */
  public static double distance(double aDeg, double bDeg) {
    double d = inCycle(aDeg - bDeg);
    return Math.min(d, CYCLE_DEG - d);
  }

  /** How far the crank turns forward from one position to reach another, degrees in [0, 720). */
  public static double forward(double fromDeg, double toDeg) {
    double d = inCycle(toDeg - fromDeg);
    return CYCLE_DEG - d < 1e-9 ? 0 : d;
  }
}
