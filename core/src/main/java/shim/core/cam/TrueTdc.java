package shim.core.cam;

/**
 * True TDC by a positive stop in the cylinder: the wheel is read where the piston meets the stop
 * from both sides, and TDC is halfway. A dial on the piston alone dwells for degrees and proves
 * nothing.
 *
 * @param beforeDeg reading at the stop before the wheel's zero, crank degrees, counted away from it
 * @param afterDeg the same after it
 */
public record TrueTdc(double beforeDeg, double afterDeg) {
  private static final double MOST_DEG = 120;

  public TrueTdc {
    if (!(beforeDeg > 0 && beforeDeg <= MOST_DEG && afterDeg > 0 && afterDeg <= MOST_DEG)) {
      throw new IllegalArgumentException(
          "the stop was met at "
              + beforeDeg
              + "° and "
              + afterDeg
              + "°: each side must be above 0° and at most 120°");
    }
  }

  /** Where TDC stands on the wheel, crank degrees after its zero; negative before it. */
  public double standsAtDeg() {
    return (afterDeg - beforeDeg) / 2;
  }

  /** What a reading of the wheel really is, crank degrees after TDC. */
  public double trueDeg(double wheelAtdcDeg) {
    return wheelAtdcDeg - standsAtDeg();
  }
}
