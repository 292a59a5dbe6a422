package shim.core.cam;

/**
 * Ring end gaps: a factor per inch of bore gives the gap wanted; two gaps of one ring at two depths
 * give the bore's taper, for a gap grows by π for each inch of diameter.
 */
public final class RingGap {
  private RingGap() {}

  /** Gap wanted, inch, for a factor in inch per inch of bore. */
  public static double wantedIn(double boreIn, double factor) {
    if (!(boreIn >= 1 && boreIn <= 8 && factor > 0 && factor <= 0.02)) {
      throw new IllegalArgumentException(
          "a bore of {" + boreIn + " in} with " + factor + " an inch cannot be");
    }
    return boreIn * factor;
  }

  /** How much larger the bore is at one depth than at another, inch of diameter. */
  public static double taperIn(double gapIn, double otherGapIn) {
    if (!(gapIn > 0 && gapIn < 0.5 && otherGapIn > 0 && otherGapIn < 0.5)) {
      throw new IllegalArgumentException(
          "gaps of {" + gapIn + " in} and {" + otherGapIn + " in} cannot be");
    }
    return (gapIn - otherGapIn) / Math.PI;
  }
}
