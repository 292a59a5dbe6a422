package shim.core.unit;

/**
 * Compares figures of the trade as the decimals they are: 0.040 at a limit of 0.040 is at the
 * limit, though sums and differences in binary may end a hair off. Two figures are the same when
 * they differ by less than half of 10^-9 in their unit, far below anything that is read. Nothing
 * holds of what is no number.
 */
public final class Figures {
  private static final double SCALE = 1e9;

  private Figures() {}

  public static boolean same(double a, double b) {
    return Math.rint((a - b) * SCALE) == 0;
  }

  public static boolean atMost(double a, double limit) {
    return Math.rint((a - limit) * SCALE) <= 0;
  }

  public static boolean atLeast(double a, double limit) {
    return Math.rint((a - limit) * SCALE) >= 0;
  }

  public static boolean below(double a, double limit) {
    return Math.rint((a - limit) * SCALE) < 0;
  }

  public static boolean above(double a, double limit) {
    return Math.rint((a - limit) * SCALE) > 0;
  }
}
