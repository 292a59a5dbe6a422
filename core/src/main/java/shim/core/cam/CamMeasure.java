package shim.core.cam;

/** What is read at the cam bench, with what is possible. */
public enum CamMeasure {
  /** Wheel at the positive stop, crank degrees before its zero. */
  STOP_BEFORE(0.1, 120),
  STOP_AFTER(0.1, 120),
  /** Wheel where the intake is so far under its nose on the way up, degrees after TDC. */
  INTAKE_UP(-90, 180),
  INTAKE_DOWN(30, 300),
  /** Wheel where the exhaust is so far under its nose on the way up, degrees before TDC. */
  EXHAUST_UP(30, 300),
  EXHAUST_DOWN(-90, 180),
  /** The four events at a lift of the card, degrees as a card writes them. */
  IVO(-60, 120),
  IVC(-60, 150),
  EVO(-60, 150),
  EVC(-60, 120),
  /** How far a valve moved on until it met its piston, or until the spring ended, inch. */
  GAP(0, 3),
  /** Length of the checking pushrod at zero lash, inch. */
  ROD(2, 20),
  /** Width of the mark on the tip, inch. */
  TIP_WIDTH(0.001, 1),
  /** Middle of the mark off the middle of the stem, away from the fulcrum positive, inch. */
  TIP_OFFSET(-0.3, 0.3);

  private final double low;
  private final double high;

  CamMeasure(double low, double high) {
    this.low = low;
    this.high = high;
  }

  public double low() {
    return low;
  }

  public double high() {
    return high;
  }

  /** NaN never is. */
  public boolean possible(double figure) {
    return figure >= low && figure <= high;
  }

  /** Read at one valve, not for the whole cam. */
  public boolean ofValve() {
    return switch (this) {
      case GAP, ROD, TIP_WIDTH, TIP_OFFSET -> true;
      default -> false;
    };
  }

  /** Read at a height under the nose. */
  public boolean underNose() {
    return switch (this) {
      case INTAKE_UP, INTAKE_DOWN, EXHAUST_UP, EXHAUST_DOWN -> true;
      default -> false;
    };
  }
}
