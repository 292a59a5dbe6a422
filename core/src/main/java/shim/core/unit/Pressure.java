package shim.core.unit;

/** What a pressure does to a round face: a piston, a valve head. */
public final class Pressure {
  private Pressure() {}

  /**
   * Force on a round face.
   *
   * @param psi pressure
   * @param diameterIn diameter of the face, inches
   * @return lbf
   */
  public static double onRoundLbf(double psi, double diameterIn) {
    return psi * Math.PI / 4 * diameterIn * diameterIn;
  }
}
