package shim.core.lifter;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import shim.core.stats.Robust;

/**
 * A measured lift table of one valve: dial readings over crank degrees. Its lift is the highest
 * reading less the base circle, the median of the lowest quarter; the base circle's run-out is how
 * far that quarter spreads.
 *
 * @param points crank degrees and dial reading, inch
 */
public record LiftTable(List<Point> points) {
  private static final int FEWEST = 12;

  /** Lift below which there is no lobe in the table, inch. */
  private static final double LEAST_LIFT_IN = 0.05;

  /** One reading. */
  public record Point(double crankDeg, double dialIn) {}

  public LiftTable {
    points = points.stream().sorted(Comparator.comparingDouble(Point::crankDeg)).toList();
    if (points.size() < FEWEST) {
      throw new IllegalArgumentException(
          "a lift table needs at least " + FEWEST + " readings, this has " + points.size());
    }
    if (points.stream()
        .anyMatch(p -> !Double.isFinite(p.crankDeg()) || !Double.isFinite(p.dialIn()))) {
      throw new IllegalArgumentException("every row needs degrees and a dial reading");
    }
    if (!(high(points) - base(points) >= LEAST_LIFT_IN)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "these readings rise only %.4f in over the base circle: no lobe in them",
              high(points) - base(points)));
    }
  }

  /** Lift at the valve, inch. */
  public double liftIn() {
    return high(points) - base(points);
  }

  /** Highest less lowest reading on the base circle, inch. */
  public double runOutIn() {
    List<Double> low = lowest(points);
    return low.get(low.size() - 1) - low.get(0);
  }

  private static double high(List<Point> points) {
    return points.stream().mapToDouble(Point::dialIn).max().orElseThrow();
  }

  private static double base(List<Point> points) {
    return Robust.median(lowest(points)).orElseThrow();
  }

  private static List<Double> lowest(List<Point> points) {
    return points.stream()
        .map(Point::dialIn)
        .sorted()
        .limit(Math.max(3, points.size() / 4))
        .toList();
  }
}
