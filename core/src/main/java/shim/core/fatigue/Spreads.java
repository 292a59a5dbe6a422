package shim.core.fatigue;

/**
 * The model's standard deviations, in logarithm of load (0.01 is one percent).
 *
 * @param rate how much the wear rates of a set's springs differ, an hour
 * @param walk how fast a healthy spring's own rate wanders, hour^−1.5
 * @param setUp error of a whole test that a check spring cannot see
 * @param reading one reading
 * @param setting one setting of one spring: what all its repeats share
 * @param tester the tester's gain of a day, where no check spring saw it
 * @param settling how much the settling of a set's springs differs, per unit of L
 */
public record Spreads(
    double rate,
    double walk,
    double setUp,
    double reading,
    double setting,
    double tester,
    double settling) {
  /** A wrong setting may be off by so much. */
  static final double SLIP = 0.035;

  /** Where the fit starts, and what stands until four tests are known. */
  public static final Spreads USUAL = new Spreads(0.0006, 0.0002, 0.004, 0.008, 0.002, 0.03, 0.002);

  /** One reading of a check spring. */
  public static final double CHECK = 0.003;

  public Spreads {
    for (double v : new double[] {rate, walk, setUp, reading, setting, tester, settling}) {
      if (!(v >= 0 && v < 1)) {
        throw new IllegalArgumentException("a spread of " + v + " is not between 0 and 1");
      }
    }
  }

  /** Variance of what a spring read in a test about its true load that day. */
  double ofReading(Track track, int test) {
    double wrong = track.doubted()[test] ? SLIP * SLIP : 0;
    return reading * reading * track.noise()[test]
        + setting * setting / track.settings()[test]
        + wrong;
  }

  /** Variance of one more setting, read twice on a day of its own with the check spring. */
  double ofOneMore() {
    return reading * reading / 2 + setting * setting + setUp * setUp + CHECK * CHECK;
  }
}
