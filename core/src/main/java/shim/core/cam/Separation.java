package shim.core.cam;

import java.util.OptionalDouble;
import shim.core.unit.Angle;

/**
 * Lobe separation from two lift tables read on one wheel: half of how far the crank turns from the
 * exhaust's centre to the intake's.
 */
public final class Separation {
  private static final double LEAST_DEG = 85;
  private static final double MOST_DEG = 140;

  private Separation() {}

  /**
   * @param exhaustDeg centre as the wheel counted it, crank degrees
   * @param intakeDeg the same of the same cylinder's intake
   * @return empty where it can be no separation: the tables were not read on one wheel
   */
  public static OptionalDouble lsaDeg(double exhaustDeg, double intakeDeg) {
    double lsa = Angle.forward(exhaustDeg, intakeDeg) / 2;
    return lsa >= LEAST_DEG && lsa <= MOST_DEG ? OptionalDouble.of(lsa) : OptionalDouble.empty();
  }
}
