package shim.core.lobe;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import shim.core.stats.Robust;
import shim.core.unit.Angle;
import shim.core.unit.Figures;

/**
 * A measured lift table of one lobe or valve: dial readings over crank degrees. It is believed only
 * when its base circle is seen: the dial stands still for {@value #BASE_DEG} degrees at both ends,
 * or anywhere where the table goes all the way round; else it is refused, saying how much more to
 * measure. A dial that counts down is turned round; a wheel that passes its zero is counted on.
 */
public final class LiftTable {
  private static final int FEWEST = 12;

  /** Lift below which there is no lobe in the table, inch. */
  private static final double LEAST_LIFT_IN = 0.05;

  /** The dial stands still while it stays within this, inch. */
  static final double STILL_IN = 0.001;

  /** So long it must stand still, crank degrees. */
  static final double BASE_DEG = 20;

  /** The dial comes back to where it was within this, inch. Ours: run-out of a base circle. */
  static final double BACK_IN = 0.004;

  /** Two rows of a table that goes all round are no further apart than this, crank degrees. */
  private static final double WIDEST_GAP_DEG = 40;

  /** So far under its highest the lobe is halved for its centre, inch. Usual practice. */
  static final double UNDER_NOSE_IN = 0.050;

  /** One reading: crank degrees and dial, inch. */
  public record Point(double crankDeg, double dialIn) {}

  private final List<Point> lifts;
  private final boolean countedDown;
  private final double runOutIn;

  /**
   * @param points in any order, or as a wheel gave them that began again at its zero
   */
  public LiftTable(List<Point> points) {
    requireReadings(points);
    List<Point> sorted = allRoundFromItsBase(inOrder(points));
    double low = sorted.stream().mapToDouble(Point::dialIn).min().orElseThrow();
    double high = sorted.stream().mapToDouble(Point::dialIn).max().orElseThrow();
    if (!Figures.atLeast(high - low, LEAST_LIFT_IN)) {
      throw refused("these readings rise only {%.4f in}: no lobe in them", high - low);
    }
    List<Point> before = stillFrom(sorted);
    List<Point> after = stillFrom(backwards(sorted));
    boolean round = allRound(sorted);
    requireBase(spanDeg(before), spanDeg(after), round);
    double start = level(before);
    double end = level(after);
    if (Figures.above(Math.abs(end - start), BACK_IN)) {
      throw refused(
          "the dial stands {%.4f in} off its start after the lobe: it has slipped, or the table"
              + " ends on a ramp. Measure again, and look that it comes back",
          Math.abs(end - start));
    }
    double base = (start + end) / 2;
    countedDown = high - base < base - low;
    double from = sorted.get(0).crankDeg();
    double span = spanDeg(sorted);
    lifts =
        sorted.stream()
            .map(
                p -> {
                  double at = start + (end - start) * (p.crankDeg() - from) / span;
                  return new Point(p.crankDeg(), countedDown ? at - p.dialIn() : p.dialIn() - at);
                })
            .toList();
    runOutIn = runOut(sorted, lifts);
  }

  private static IllegalArgumentException refused(String words, Object... figures) {
    return new IllegalArgumentException(String.format(Locale.ROOT, words, figures));
  }

  private static void requireReadings(List<Point> points) {
    if (points.size() < FEWEST) {
      throw new IllegalArgumentException(
          "a lift table needs at least " + FEWEST + " readings, this has " + points.size());
    }
    if (points.stream()
        .anyMatch(p -> !(Math.abs(p.crankDeg()) <= 10_000 && Math.abs(p.dialIn()) <= 100))) {
      throw new IllegalArgumentException("every row needs degrees and a dial reading");
    }
  }

  private static void requireBase(double beforeDeg, double afterDeg, boolean round) {
    double seen = round ? beforeDeg + afterDeg : Math.min(beforeDeg, afterDeg);
    if (Figures.atLeast(seen, BASE_DEG)) {
      return;
    }
    if (round) {
      throw refused(
          "the base circle is not in this table: all round the dial stands still for %.0f° at most,"
              + " within {%.3f in}; %.0f° are wanted",
          seen, STILL_IN, BASE_DEG);
    }
    throw refused(
        "the base circle is not in this table: the dial stood still for %.0f° before the lobe and"
            + " %.0f° after, within {%.3f in}; %.0f° are wanted at each end. Measure%s%s",
        beforeDeg,
        afterDeg,
        STILL_IN,
        BASE_DEG,
        more(beforeDeg, " %.0f° more before"),
        more(afterDeg, " %.0f° more after"));
  }

  private static String more(double seenDeg, String words) {
    return Figures.atLeast(seenDeg, BASE_DEG)
        ? ""
        : String.format(Locale.ROOT, words, Math.ceil(BASE_DEG - seenDeg));
  }

  /** A wheel of 360 or 720 degrees that passed its zero is counted on; else sorted. */
  private static List<Point> inOrder(List<Point> points) {
    List<Point> on = new ArrayList<>();
    double add = 0;
    boolean passed = false;
    for (int i = 0; i < points.size(); i++) {
      double at = points.get(i).crankDeg();
      double before = i == 0 ? at : points.get(i - 1).crankDeg();
      if (before - at > 180) {
        add += before - at > 400 ? Angle.CYCLE_DEG : 360;
        passed = true;
      } else if (at < before) {
        return sorted(points);
      }
      on.add(new Point(at + add, points.get(i).dialIn()));
    }
    return passed ? sorted(on) : sorted(points);
  }

  /** By angle; two readings at one angle are one, their mean. */
  private static List<Point> sorted(List<Point> points) {
    List<Point> one = new ArrayList<>();
    List<Point> all = points.stream().sorted(Comparator.comparingDouble(Point::crankDeg)).toList();
    for (int i = 0; i < all.size(); ) {
      double at = all.get(i).crankDeg();
      double sum = 0;
      int n = 0;
      for (; i < all.size() && Figures.same(all.get(i).crankDeg(), at); i++, n++) {
        sum += all.get(i).dialIn();
      }
      one.add(new Point(at, sum / n));
    }
    return one;
  }

  private static boolean allRound(List<Point> sorted) {
    return Figures.atLeast(spanDeg(sorted), Angle.CYCLE_DEG - WIDEST_GAP_DEG);
  }

  /** A table that goes all the way round is begun in the middle of its base circle. */
  private static List<Point> allRoundFromItsBase(List<Point> sorted) {
    if (!allRound(sorted)) {
      return sorted;
    }
    double begin = sorted.get(0).crankDeg();
    List<Point> once = sorted.stream().filter(p -> p.crankDeg() < begin + Angle.CYCLE_DEG).toList();
    List<Point> twice = new ArrayList<>(once);
    once.forEach(p -> twice.add(new Point(p.crankDeg() + Angle.CYCLE_DEG, p.dialIn())));
    List<Point> longest = List.of(twice.get(0));
    for (int from = 0; from < once.size(); from++) {
      List<Point> here = stillFrom(twice.subList(from, from + once.size()));
      if (spanDeg(here) > spanDeg(longest)) {
        longest = here;
      }
    }
    int first = twice.indexOf(longest.get(longest.size() / 2)) % once.size();
    return twice.subList(first, first + once.size());
  }

  /** The readings from the first on over which the dial stands still. */
  private static List<Point> stillFrom(List<Point> points) {
    double low = points.get(0).dialIn();
    double high = low;
    int n = 1;
    for (; n < points.size(); n++) {
      low = Math.min(low, points.get(n).dialIn());
      high = Math.max(high, points.get(n).dialIn());
      if (Figures.above(high - low, STILL_IN)) {
        break;
      }
    }
    return points.subList(0, n);
  }

  private static List<Point> backwards(List<Point> points) {
    List<Point> back = new ArrayList<>(points);
    Collections.reverse(back);
    return back;
  }

  private static double spanDeg(List<Point> points) {
    return Math.abs(points.get(points.size() - 1).crankDeg() - points.get(0).crankDeg());
  }

  private static double level(List<Point> still) {
    return Robust.median(still.stream().map(Point::dialIn).toList()).orElseThrow();
  }

  /** Highest less lowest dial on what is base circle: all that lifts less than run-out may be. */
  private static double runOut(List<Point> dial, List<Point> lifts) {
    int nose = noseOf(lifts);
    int up = nose;
    while (up > 0 && lifts.get(up).dialIn() > BACK_IN) {
      up--;
    }
    int down = nose;
    while (down < lifts.size() - 1 && lifts.get(down).dialIn() > BACK_IN) {
      down++;
    }
    // the ramps reach under that, so a share of what is left is left out beside the lobe
    int before = Math.max(1, (int) Math.round(up * 0.6));
    int after = Math.max(1, (int) Math.round((dial.size() - down) * 0.6));
    List<Double> base = new ArrayList<>();
    dial.subList(0, before).forEach(p -> base.add(p.dialIn()));
    dial.subList(dial.size() - after, dial.size()).forEach(p -> base.add(p.dialIn()));
    return base.stream().mapToDouble(d -> d).max().orElse(0)
        - base.stream().mapToDouble(d -> d).min().orElse(0);
  }

  private static int noseOf(List<Point> lifts) {
    int nose = 0;
    for (int i = 1; i < lifts.size(); i++) {
      if (lifts.get(i).dialIn() > lifts.get(nose).dialIn()) {
        nose = i;
      }
    }
    return nose;
  }

  /** Readings over the base circle in order of angle, counted on past the wheel's zero. */
  public List<Point> lifts() {
    return lifts;
  }

  /** Highest lift, inch. */
  public double liftIn() {
    return lifts.get(noseOf(lifts)).dialIn();
  }

  /** Usual step from row to row, crank degrees. */
  public double stepDeg() {
    List<Double> steps = new ArrayList<>();
    for (int i = 1; i < lifts.size(); i++) {
      steps.add(lifts.get(i).crankDeg() - lifts.get(i - 1).crankDeg());
    }
    return Robust.median(steps).orElseThrow();
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
   * Crank degrees over which the valve is open more than a lift; empty where the lobe is lower.
   *
   * @param liftIn as the dial stood, inch
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
    int nose = noseOf(lifts);
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
