package shim.core.lifter;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import shim.core.stats.Robust;
import shim.core.unit.Angle;
import shim.core.unit.Figures;

/**
 * A measured lift table of one valve: dial readings over crank degrees. Its base circle is the
 * longest stretch over which the dial stands still; a table that shows none is refused, for its
 * lift would be measured from somewhere on the ramp. A dial that counts down is turned round.
 */
public final class LiftTable {
  private static final int FEWEST = 12;

  /** Lift below which there is no lobe in the table, inch. */
  private static final double LEAST_LIFT_IN = 0.05;

  /** The dial stands still while it stays within this, inch. Ours: run-out and a shaking hand. */
  private static final double STILL_IN = 0.006;

  /** A base circle stands still for so long, crank degrees; a nose never does. Ours. */
  private static final double BASE_DEG = 40;

  /** So far under its highest the lobe is halved for its centre, inch. */
  private static final double UNDER_NOSE_IN = 0.050;

  /** One reading: crank degrees and dial, inch. */
  public record Point(double crankDeg, double dialIn) {}

  private final List<Point> lifts;
  private final boolean countedDown;
  private final double runOutIn;

  /**
   * @param points in any order
   */
  public LiftTable(List<Point> points) {
    requireReadings(points);
    List<Point> sorted =
        points.stream().sorted(Comparator.comparingDouble(Point::crankDeg)).toList();
    double low = sorted.stream().mapToDouble(Point::dialIn).min().orElseThrow();
    double high = sorted.stream().mapToDouble(Point::dialIn).max().orElseThrow();
    if (!Figures.atLeast(high - low, LEAST_LIFT_IN)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT, "these readings rise only {%.4f in}: no lobe in them", high - low));
    }
    List<Point> still = longestStill(onceRound(sorted));
    double stillDeg = spanDeg(still);
    if (Figures.below(stillDeg, BASE_DEG)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "the base circle is not in this table: the dial never stands still for %.0f°. Begin"
                  + " where it has stood still for that long before the lobe, and go on until it"
                  + " does again",
              BASE_DEG));
    }
    List<Double> base = middleHalf(still).stream().map(Point::dialIn).sorted().toList();
    double level = Robust.median(base).orElseThrow();
    countedDown = high - level < level - low;
    runOutIn = base.get(base.size() - 1) - base.get(0);
    boolean round = allRound(sorted);
    double middle = still.get(still.size() / 2).crankDeg();
    double last = sorted.get(sorted.size() - 1).crankDeg();
    double from = middle > last ? middle - Angle.CYCLE_DEG : middle;
    lifts =
        sorted.stream()
            .map(
                p ->
                    new Point(
                        round && p.crankDeg() < from
                            ? p.crankDeg() + Angle.CYCLE_DEG
                            : p.crankDeg(),
                        countedDown ? level - p.dialIn() : p.dialIn() - level))
            .sorted(Comparator.comparingDouble(Point::crankDeg))
            .toList();
  }

  private static void requireReadings(List<Point> points) {
    if (points.size() < FEWEST) {
      throw new IllegalArgumentException(
          "a lift table needs at least " + FEWEST + " readings, this has " + points.size());
    }
    if (points.stream()
        .anyMatch(p -> !Double.isFinite(p.crankDeg()) || !Double.isFinite(p.dialIn()))) {
      throw new IllegalArgumentException("every row needs degrees and a dial reading");
    }
  }

  /** Twice in a row where the table goes all the way round, so that no stretch is cut in two. */
  private static List<Point> onceRound(List<Point> sorted) {
    if (!allRound(sorted)) {
      return sorted;
    }
    List<Point> twice = new ArrayList<>(sorted);
    sorted.forEach(p -> twice.add(new Point(p.crankDeg() + Angle.CYCLE_DEG, p.dialIn())));
    return twice;
  }

  private static boolean allRound(List<Point> sorted) {
    return Figures.atLeast(spanDeg(sorted), Angle.CYCLE_DEG - BASE_DEG);
  }

  private static List<Point> longestStill(List<Point> points) {
    List<Point> longest = List.of(points.get(0));
    for (int from = 0; from < points.size(); from++) {
      double low = points.get(from).dialIn();
      double high = low;
      int to = from;
      while (to + 1 < points.size()) {
        double next = points.get(to + 1).dialIn();
        double newLow = Math.min(low, next);
        double newHigh = Math.max(high, next);
        if (Figures.above(newHigh - newLow, STILL_IN)) {
          break;
        }
        low = newLow;
        high = newHigh;
        to++;
      }
      List<Point> here = points.subList(from, to + 1);
      if (spanDeg(here) > spanDeg(longest)) {
        longest = here;
      }
    }
    return longest;
  }

  private static double spanDeg(List<Point> points) {
    return points.get(points.size() - 1).crankDeg() - points.get(0).crankDeg();
  }

  /** The ramps at its ends are no base circle yet. */
  private static List<Point> middleHalf(List<Point> still) {
    int off = still.size() < 6 ? 0 : still.size() / 4;
    return still.subList(off, still.size() - off);
  }

  /** Lift at the valve, inch. */
  public double liftIn() {
    return lifts.stream().mapToDouble(Point::dialIn).max().orElseThrow();
  }

  /** Highest less lowest reading on the base circle, inch. */
  public double runOutIn() {
    return runOutIn;
  }

  /** The dial counted down where the valve opened, and was turned round. */
  public boolean countedDown() {
    return countedDown;
  }

  /**
   * Crank degrees over which the valve is open more than a lift; empty where the table does not
   * show both its ends.
   *
   * @param liftIn at the valve, inch
   */
  public OptionalDouble durationDeg(double liftIn) {
    double up = crossing(liftIn, true);
    double down = crossing(liftIn, false);
    return Double.isNaN(up - down) ? OptionalDouble.empty() : OptionalDouble.of(down - up);
  }

  /**
   * Middle of the lobe, crank degrees as the table counts them: halfway between two equal lifts
   * near the nose.
   */
  public OptionalDouble centreDeg() {
    double at = liftIn() - Math.min(UNDER_NOSE_IN, liftIn() / 2);
    double middle = (crossing(at, true) + crossing(at, false)) / 2;
    return Double.isNaN(middle) ? OptionalDouble.empty() : OptionalDouble.of(Angle.inCycle(middle));
  }

  /** Where the lift is passed on the way up to the nose, or down from it; NaN where it is not. */
  private double crossing(double liftIn, boolean up) {
    int nose = 0;
    for (int i = 1; i < lifts.size(); i++) {
      if (lifts.get(i).dialIn() > lifts.get(nose).dialIn()) {
        nose = i;
      }
    }
    int step = up ? -1 : 1;
    for (int i = nose; i + step >= 0 && i + step < lifts.size(); i += step) {
      Point inside = lifts.get(i);
      Point outside = lifts.get(i + step);
      if (inside.dialIn() >= liftIn && outside.dialIn() < liftIn) {
        double share = (inside.dialIn() - liftIn) / (inside.dialIn() - outside.dialIn());
        return inside.crankDeg() + share * (outside.crankDeg() - inside.crankDeg());
      }
    }
    return Double.NaN;
  }
}
