package shim.core.lobe;

import java.util.List;
import org.hipparchus.analysis.interpolation.AkimaSplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;

/**
 * Lift of the tappet over crank degrees from the lobe's centre, opening side negative. Between rows
 * by Akima's cubics, which do not overshoot beside a flat stretch; nothing before the first and
 * after the last row. Durations and events are found on each flank from the nose outwards.
 */
public final class LobeCurve {
  /** The tappet has left the base circle, inch: the lift a table's base circle is believed to. */
  public static final double LEAVES_IN = LiftTable.STILL_IN;

  private static final int FEWEST = 12;

  /** One row: crank degrees from the centre, lift in inch. */
  public record Row(double fromCentreDeg, double liftIn) {}

  private final List<Row> rows;
  private final PolynomialSplineFunction spline;
  private final double noseAtDeg;
  private final double noseIn;

  /**
   * @param rows in order of angle, from base circle to base circle
   */
  public LobeCurve(List<Row> rows) {
    this.rows = List.copyOf(rows);
    if (rows.size() < FEWEST) {
      throw new IllegalArgumentException(rows.size() + " rows of lift make no lobe");
    }
    for (Row r : rows) {
      if (!(Math.abs(r.fromCentreDeg()) <= 720 && Math.abs(r.liftIn()) <= 2)) {
        throw new IllegalArgumentException(
            r.liftIn() + " in at " + r.fromCentreDeg() + " degrees is no lift of a lobe");
      }
    }
    for (int i = 1; i < rows.size(); i++) {
      if (!(rows.get(i).fromCentreDeg() > rows.get(i - 1).fromCentreDeg())) {
        throw new IllegalArgumentException("the angles of a lobe must rise from row to row");
      }
    }
    spline =
        new AkimaSplineInterpolator()
            .interpolate(
                rows.stream().mapToDouble(Row::fromCentreDeg).toArray(),
                rows.stream().mapToDouble(Row::liftIn).toArray());
    noseAtDeg = highest();
    noseIn = liftIn(noseAtDeg);
    if (!(noseIn > LEAVES_IN)) {
      throw new IllegalArgumentException("rows that rise {" + noseIn + " in} make no lobe");
    }
  }

  /** Where the curve is highest, found by halving about the highest row. */
  private double highest() {
    int top = 0;
    for (int i = 1; i < rows.size(); i++) {
      if (rows.get(i).liftIn() > rows.get(top).liftIn()) {
        top = i;
      }
    }
    double low = rows.get(Math.max(0, top - 1)).fromCentreDeg();
    double high = rows.get(Math.min(rows.size() - 1, top + 1)).fromCentreDeg();
    for (int i = 0; i < 60; i++) {
      double a = low + (high - low) / 3;
      double b = high - (high - low) / 3;
      if (spline.value(a) < spline.value(b)) {
        low = a;
      } else {
        high = b;
      }
    }
    return (low + high) / 2;
  }

  public List<Row> rows() {
    return rows;
  }

  /** Lift of the tappet, inch; zero outside the rows. */
  public double liftIn(double fromCentreDeg) {
    return spline.isValidPoint(fromCentreDeg) ? spline.value(fromCentreDeg) : 0;
  }

  /** Full lift of the lobe, inch. */
  public double noseIn() {
    return noseIn;
  }

  /** Where the opening flank passes a lift, crank degrees from the centre. */
  public double opensDeg(double liftIn) {
    return flank(liftIn, -1);
  }

  /** Where the closing flank passes a lift, crank degrees from the centre. */
  public double closesDeg(double liftIn) {
    return flank(liftIn, 1);
  }

  /** Crank degrees above a lift; zero for a lift the lobe does not reach. */
  public double durationDeg(double liftIn) {
    return liftIn >= noseIn ? 0 : closesDeg(liftIn) - opensDeg(liftIn);
  }

  private double flank(double liftIn, int way) {
    if (!(liftIn >= 0)) {
      throw new IllegalArgumentException("a lift of " + liftIn + " in is not on a lobe");
    }
    double end = (way < 0 ? rows.get(0) : rows.get(rows.size() - 1)).fromCentreDeg();
    double inside = noseAtDeg;
    if (liftIn >= noseIn) {
      return inside;
    }
    while ((end - inside) * way > 0) {
      double outside = way < 0 ? Math.max(end, inside - 1) : Math.min(end, inside + 1);
      if (liftIn(outside) <= liftIn) {
        return between(liftIn, inside, outside);
      }
      inside = outside;
    }
    return end;
  }

  private double between(double liftIn, double insideDeg, double outsideDeg) {
    double in = insideDeg;
    double out = outsideDeg;
    for (int i = 0; i < 40; i++) {
      double mid = (in + out) / 2;
      if (liftIn(mid) > liftIn) {
        in = mid;
      } else {
        out = mid;
      }
    }
    return (in + out) / 2;
  }

  /** Middle between two equal lifts, crank degrees from the centre; not zero on a lopsided lobe. */
  public double middleDeg(double liftIn) {
    return (opensDeg(liftIn) + closesDeg(liftIn)) / 2;
  }

  /** Area under the lift above a lift, inch × crank degrees. */
  public double areaInDeg(double aboveIn) {
    double from = opensDeg(aboveIn);
    double step = (closesDeg(aboveIn) - from) / 720;
    double sum = 0;
    for (int i = 0; i < 720; i++) {
      sum += Math.max(0, liftIn(from + (i + 0.5) * step) - aboveIn);
    }
    return sum * step;
  }

  /** Most another lobe differs from this in lift, centres laid on each other, inch. */
  public double differsIn(LobeCurve other) {
    return rows.stream()
        .mapToDouble(r -> Math.abs(r.liftIn() - other.liftIn(r.fromCentreDeg())))
        .max()
        .orElse(0);
  }

  /** This lobe with its angles counted from elsewhere. */
  LobeCurve countedFrom(double deg) {
    return new LobeCurve(
        rows.stream().map(r -> new Row(r.fromCentreDeg() - deg, r.liftIn())).toList());
  }
}
