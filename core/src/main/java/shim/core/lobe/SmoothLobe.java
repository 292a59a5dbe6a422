package shim.core.lobe;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * A lift table smoothed, with velocity and acceleration: quintic B-splines on even knots, third
 * differences of their heights held back (P-splines, Eilers and Marx, Statistical Science 1996).
 * How hard is chosen by generalised cross-validation, each freedom counted 1.4 times, which keeps
 * it from following noise. The band is twice the posterior s.d.; the noise is never taken below the
 * rounding of the table. Never difference a table rounded to thous twice: at 2 degrees a step that
 * alone makes ±0.0003 in/deg² of a nose of 0.0001.
 *
 * <p>Cost: m³ for each of some 30 tries, m about span / knot step + 5; a lobe of 400 degrees takes
 * some tens of milliseconds once. Features shorter than two knots (10 degrees) are flattened.
 */
public final class SmoothLobe {
  private static final int DEGREE = 5;
  private static final double KNOT_DEG = 5;
  private static final double EACH_FREEDOM = 1.4;
  private static final double BAND_SDS = 2;

  /**
   * The lobe at one angle, each with the half width of its band.
   *
   * @param velocityInPerDeg lift gained a crank degree
   * @param accelerationInPerDeg2 per crank degree squared; negative over the nose
   */
  public record Motion(
      double fromCentreDeg,
      double liftIn,
      double liftBandIn,
      double velocityInPerDeg,
      double velocityBandInPerDeg,
      double accelerationInPerDeg2,
      double accelerationBandInPerDeg2) {}

  private final double firstDeg;
  private final double lastDeg;
  private final double knotDeg;
  private final int count;
  private final RealVector heights;
  private final RealMatrix spread;
  private final double noiseIn;
  private final double centreDeg;
  private final double stepDeg;
  private final LobeCurve curve;

  /**
   * @param perLobe lift of the dial for one of the lobe: the rocker ratio where the dial stood on
   *     the valve, 1 on the lifter
   */
  public SmoothLobe(LiftTable table, double perLobe) {
    if (!(perLobe >= 0.5 && perLobe <= 3)) {
      throw new IllegalArgumentException("a ratio of " + perLobe + " is no rocker's");
    }
    List<LiftTable.Point> points = table.lifts();
    firstDeg = points.get(0).crankDeg();
    lastDeg = points.get(points.size() - 1).crankDeg();
    stepDeg = table.stepDeg();
    int spans = (int) Math.ceil((lastDeg - firstDeg) / Math.max(KNOT_DEG, stepDeg));
    knotDeg = (lastDeg - firstDeg) / spans;
    count = spans + DEGREE;
    double[] lifts = points.stream().mapToDouble(p -> p.dialIn() / perLobe).toArray();
    double[][] rows = points.stream().map(p -> basis(p.crankDeg(), 0)).toArray(double[][]::new);
    Fit fit = best(rows, lifts, rounding(lifts));
    heights = fit.heights();
    spread = fit.spread();
    noiseIn = fit.noiseIn();
    LobeCurve raw = sampled();
    centreDeg = raw.middleDeg(raw.noseIn() - Math.min(LiftTable.UNDER_NOSE_IN, raw.noseIn() / 2));
    curve = raw.countedFrom(centreDeg);
  }

  private record Fit(RealVector heights, RealMatrix spread, double noiseIn, double score) {}

  private Fit best(double[][] rows, double[] lifts, double roundingIn) {
    double[][] normal = new double[count][count];
    double[] right = new double[count];
    for (int i = 0; i < rows.length; i++) {
      double[] row = rows[i];
      int from = firstOf(row);
      for (int a = from; a <= Math.min(count - 1, from + DEGREE); a++) {
        right[a] += row[a] * lifts[i];
        for (int b = from; b <= Math.min(count - 1, from + DEGREE); b++) {
          normal[a][b] += row[a] * row[b];
        }
      }
    }
    RealMatrix data = MatrixUtils.createRealMatrix(normal);
    RealMatrix stiff = thirdDifferences();
    Fit best = null;
    for (double power = -8; power <= 4; power += 0.5) {
      Fit tried = fit(data, stiff, new ArrayRealVector(right), rows, lifts, power, roundingIn);
      if (best == null || tried.score() < best.score()) {
        best = tried;
      }
    }
    return Objects.requireNonNull(best);
  }

  private static int firstOf(double[] row) {
    int i = 0;
    while (i < row.length - 1 && row[i] == 0) {
      i++;
    }
    return i;
  }

  private static Fit fit(
      RealMatrix data,
      RealMatrix stiff,
      RealVector right,
      double[][] rows,
      double[] lifts,
      double power,
      double roundingIn) {
    RealMatrix inverse =
        new CholeskyDecomposition(data.add(stiff.scalarMultiply(Math.pow(10, power))), 1e-9, 1e-18)
            .getSolver()
            .getInverse();
    RealVector heights = inverse.operate(right);
    double left = 0;
    for (int i = 0; i < rows.length; i++) {
      int from = firstOf(rows[i]);
      double at = 0;
      for (int a = from; a <= Math.min(rows[i].length - 1, from + DEGREE); a++) {
        at += rows[i][a] * heights.getEntry(a);
      }
      left += (lifts[i] - at) * (lifts[i] - at);
    }
    double freedoms = 0;
    for (int a = 0; a < data.getRowDimension(); a++) {
      for (int b = 0; b < data.getRowDimension(); b++) {
        freedoms += inverse.getEntry(a, b) * data.getEntry(b, a);
      }
    }
    int n = lifts.length;
    double spare = Math.max(1, n - freedoms);
    double rounded = n * roundingIn * roundingIn / 12;
    double noise2 = Math.max(left / spare, roundingIn * roundingIn / 12);
    double counted = n - EACH_FREEDOM * freedoms;
    double score =
        counted <= 0
            ? Double.POSITIVE_INFINITY
            : n * Math.max(left, rounded * spare / n) / (counted * counted);
    return new Fit(heights, inverse.scalarMultiply(noise2), Math.sqrt(noise2), score);
  }

  /** The step a table was rounded to, inch: the largest of the usual ones all its rows lie on. */
  private static double rounding(double[] lifts) {
    for (double step : new double[] {0.001, 0.0005, 0.0001, 0.00005, 0.00001}) {
      boolean on = true;
      for (double l : lifts) {
        on &= Math.abs(l - lifts[0] - Math.rint((l - lifts[0]) / step) * step) < 1e-7;
      }
      if (on) {
        return step;
      }
    }
    return 1e-6;
  }

  private RealMatrix thirdDifferences() {
    double[] d = {-1, 3, -3, 1};
    double[][] p = new double[count][count];
    for (int i = 0; i + 3 < count; i++) {
      for (int a = 0; a < 4; a++) {
        for (int b = 0; b < 4; b++) {
          p[i + a][i + b] += d[a] * d[b];
        }
      }
    }
    return MatrixUtils.createRealMatrix(p);
  }

  /** All B-splines, or a derivative of them, at an angle of the table. */
  private double[] basis(double deg, int derivative) {
    double t = (deg - firstDeg) / knotDeg;
    int span = (int) Math.max(0, Math.min(count - DEGREE - 1, Math.floor(t)));
    double[] row = new double[count];
    double[] of = splines(t - span, DEGREE - derivative);
    for (int k = 0; k < derivative; k++) {
      of = differences(of);
    }
    double scale = Math.pow(knotDeg, -derivative);
    for (int i = 0; i <= DEGREE; i++) {
      row[span + i] = of[i] * scale;
    }
    return row;
  }

  /** The B-splines of a degree that live on one span of even knots, at a share of it. */
  private static double[] splines(double share, int degree) {
    double[] b = {1};
    for (int d = 1; d <= degree; d++) {
      double[] next = new double[d + 1];
      for (int i = 0; i <= d; i++) {
        double left = i > 0 ? b[i - 1] * (share + d - i) / d : 0;
        double right = i < d ? b[i] * (i + 1 - share) / d : 0;
        next[i] = left + right;
      }
      b = next;
    }
    return b;
  }

  /** Derivative of even B-splines: B'_i of degree d is B_(i-1) less B_i of degree d − 1. */
  private static double[] differences(double[] lower) {
    double[] next = new double[lower.length + 1];
    for (int i = 0; i < next.length; i++) {
      next[i] = (i > 0 ? lower[i - 1] : 0) - (i < lower.length ? lower[i] : 0);
    }
    return next;
  }

  private LobeCurve sampled() {
    List<LobeCurve.Row> rows = new ArrayList<>();
    int steps = (int) Math.ceil(lastDeg - firstDeg);
    for (int i = 0; i <= steps; i++) {
      double at = firstDeg + (lastDeg - firstDeg) * i / steps;
      rows.add(new LobeCurve.Row(at, value(basis(at, 0))));
    }
    return new LobeCurve(rows);
  }

  private double value(double[] row) {
    double sum = 0;
    int from = firstOf(row);
    for (int i = from; i <= Math.min(count - 1, from + DEGREE); i++) {
      sum += row[i] * heights.getEntry(i);
    }
    return sum;
  }

  private double band(double[] row) {
    double sum = 0;
    int from = firstOf(row);
    int to = Math.min(count - 1, from + DEGREE);
    for (int a = from; a <= to; a++) {
      for (int b = from; b <= to; b++) {
        sum += row[a] * row[b] * spread.getEntry(a, b);
      }
    }
    return BAND_SDS * Math.sqrt(Math.max(0, sum));
  }

  /** Lift, velocity and acceleration at an angle from the centre; within what was measured. */
  public Motion at(double fromCentreDeg) {
    double deg = Math.max(firstDeg, Math.min(lastDeg, fromCentreDeg + centreDeg));
    double[] lift = basis(deg, 0);
    double[] speed = basis(deg, 1);
    double[] bend = basis(deg, 2);
    return new Motion(
        fromCentreDeg, value(lift), band(lift), value(speed), band(speed), value(bend), band(bend));
  }

  /** The smoothed lift, angles from the centre. */
  public LobeCurve curve() {
    return curve;
  }

  /**
   * Middle of the lobe as the table counts its degrees: halfway between equal lifts by the nose.
   */
  public double centreDeg() {
    return centreDeg;
  }

  /** S.d. of one reading about the smooth lobe, inch. */
  public double noiseIn() {
    return noiseIn;
  }

  /** Usual step from row to row, crank degrees: the ramp may begin anywhere between two rows. */
  public double stepDeg() {
    return stepDeg;
  }

  /** Motions every so many degrees over the whole table. */
  public List<Motion> every(double deg) {
    List<Motion> all = new ArrayList<>();
    double from = Math.ceil((firstDeg - centreDeg) / deg) * deg;
    for (double a = from; a <= lastDeg - centreDeg; a += deg) {
      all.add(at(a));
    }
    return all;
  }
}
