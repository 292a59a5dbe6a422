package shim.core.head;

import java.util.Collection;
import java.util.OptionalDouble;
import shim.core.walk.Within;

/**
 * What is measured on a bare head. Bounds are what can be at all, from memory of engines' sizes.
 */
public enum HeadMeasure {
  VALVE_HEAD(At.VALVE, Within.any(Within.Unit.INCH, 0.5, 3)),
  STEM(At.VALVE, Within.any(Within.Unit.INCH, 0.15, 0.6)),
  MARGIN(At.VALVE, Within.any(Within.Unit.INCH, 0.005, 0.3)),
  VALVE_LENGTH(At.VALVE, Within.any(Within.Unit.INCH, 2, 9)),
  /** Play of the stem at the spring's end of the guide. */
  GUIDE_TOP(At.VALVE, Within.any(Within.Unit.INCH, 0, 0.05)),
  /** Play of the stem at the port's end of the guide. */
  GUIDE_BOTTOM(At.VALVE, Within.any(Within.Unit.INCH, 0, 0.05)),
  SEAT_WIDTH(At.VALVE, Within.any(Within.Unit.INCH, 0.005, 0.3)),
  /** How far the valve has sunk since its seat was new. */
  SEAT_SUNK(At.VALVE, Within.any(Within.Unit.INCH, 0, 0.3)),
  /** Diameter of the pocket: it is seldom round, so it is read across several times. */
  POCKET(At.VALVE, Within.any(Within.Unit.INCH, 0.5, 3)),
  /** Retainer face to spring seat, plain locks and the usual retainer, nothing under the spring. */
  HEIGHT(At.VALVE, Within.any(Within.Unit.INCH, 0.5, 6)),
  /** Retainer to seal, valve closed, with the same parts. */
  SEAL_GAP(At.VALVE, Within.any(Within.Unit.INCH, 0, 2)),
  CHAMBER(At.CYLINDER, Within.any(Within.Unit.CC, 3, 300)),
  /** Taken off the deck so far. */
  DECK_CUT(At.BANK, Within.any(Within.Unit.INCH, 0, 0.3)),
  /** Thickness of the gasket, crushed. */
  GASKET(At.BANK, Within.any(Within.Unit.INCH, 0.005, 0.2));

  /** Where it is measured. */
  public enum At {
    VALVE,
    CYLINDER,
    BANK
  }

  private static final int ACROSS = 3;

  private final At at;
  private final Within possible;

  HeadMeasure(At at, Within possible) {
    this.at = at;
    this.possible = possible;
  }

  public At at() {
    return at;
  }

  /** What it can be at all. */
  public Within possible() {
    return possible;
  }

  /** Readings that are taken in a row at one place. */
  public int readings() {
    return this == POCKET ? ACROSS : 1;
  }

  /** The reading that counts: of a pocket the widest, of all else the last. */
  OptionalDouble counts(Collection<Double> inTheirOrder) {
    return this == POCKET
        ? inTheirOrder.stream().mapToDouble(v -> v).max()
        : inTheirOrder.stream().mapToDouble(v -> v).reduce((a, b) -> b);
  }
}
