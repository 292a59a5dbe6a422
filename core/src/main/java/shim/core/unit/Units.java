package shim.core.unit;

/**
 * Conversion factors, exact or as printed in NIST Special Publication 811, appendix B. Core
 * computes in inch, lbf, degree and hour; these serve the edges that speak other units.
 */
public final class Units {
  /** Millimetres in one inch (exact). */
  public static final double MM_PER_INCH = 25.4;

  /** Newtons in one pound-force (exact by definition of lb and standard gravity). */
  public static final double NEWTON_PER_LBF = 4.4482216152605;

  /** Newtons in one kilogram-force (exact). */
  public static final double NEWTON_PER_KGF = 9.80665;

  /** Newtons per millimetre in one lbf/in. */
  public static final double NEWTON_PER_MM_PER_LBF_PER_INCH = NEWTON_PER_LBF / MM_PER_INCH;

  /** Newton-metres in one lbf·ft. */
  public static final double NEWTON_METRE_PER_LBF_FT = NEWTON_PER_LBF * 12 * MM_PER_INCH / 1000;

  /** Kilopascals in one psi. */
  public static final double KPA_PER_PSI = NEWTON_PER_LBF / (MM_PER_INCH * MM_PER_INCH) * 1000;

  /** Inches in one thou. */
  public static final double INCH_PER_THOU = 0.001;

  private Units() {}
}
