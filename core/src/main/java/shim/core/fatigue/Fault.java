package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * One way a spring may fail: it begins at some hours, and what it costs grows in its shape. Its
 * size is what it has cost by the last reading.
 *
 * @param fromHours of the spring, at which it begins
 * @param costNow what its shape has cost by the last reading
 * @param prior chance of it before anything is read
 */
record Fault(double fromHours, Shape shape, double costNow, double prior) {
  /** How what it costs grows with the hours since it began. */
  enum Shape {
    /** All at once, and no more. */
    BREAK(0.12, x -> 1),
    /** Fast at first; nearly all is lost in a few hours. */
    ENDING(0.12, x -> -Math.expm1(-x / 3) / -Math.expm1(-1.0 / 3)),
    SLOWING(0.12, Math::sqrt),
    STRAIGHT(0.22, x -> x),
    FASTER(0.17, x -> x * Math.sqrt(x)),
    SQUARE(0.13, x -> x * x),
    /** Ever faster, as a crack grows: doubling in two hours, and in one. */
    DOUBLING(0.07, x -> Math.expm1(x * Math.log(2) / 2) / (Math.sqrt(2) - 1)),
    RUNNING_AWAY(0.05, x -> Math.expm1(x * Math.log(2)));

    private final double share;
    private final DoubleUnaryOperator cost;

    /**
     * @param share of springs that fail so; simulated seasons, no source
     * @param cost by some hours since it began, for each unit lost in the first hour
     */
    Shape(double share, DoubleUnaryOperator cost) {
      this.share = share;
      this.cost = cost;
    }
  }

  /** Chance that a spring begins to fail within an hour. Simulated seasons, no source. */
  static final double HAZARD = 0.006;

  /** Spreads of what the first hour of failing costs, ln, and of a break; with their shares. */
  private static final double[][] SPEEDS = {{0.006, 0.4}, {0.02, 0.4}, {0.06, 0.2}};

  private static final double[][] BREAKS = {{0.04, 0.5}, {0.15, 0.5}};

  /** No failing has cost more by the time it is read, ln. */
  private static final double MOST = 0.3;

  /** Far ahead what runs away is held here, so that it stays a number. */
  private static final double BEYOND_ALL = 1e6;

  /** Begins tried in an interval between readings: most in the last ones. */
  private static final int[] BEGINS = {4, 3, 3, 2};

  /** An old interval has only its middle. */
  private static final int RECENT = 12;

  /** Every way a spring read at these hours may have begun to fail. */
  static List<Fault> all(double[] seenHours) {
    List<Fault> all = new ArrayList<>();
    int last = seenHours.length - 1;
    for (int k = 1; k <= last; k++) {
      int ago = last - k;
      int begins = ago > RECENT ? 1 : BEGINS[Math.min(ago, BEGINS.length - 1)];
      double from = seenHours[k - 1];
      double to = seenHours[k];
      double bed = Settling.BASELINE_HOURS;
      // What gives way before the baseline is no loss, what does after it is: never one for both.
      boolean across = from < bed && bed < to;
      add(all, from, across ? bed : to, begins, seenHours[last]);
      if (across) {
        add(all, bed, to, begins, seenHours[last]);
      }
    }
    return all;
  }

  private static void add(List<Fault> all, double from, double to, int begins, double now) {
    double width = to - from;
    for (Shape shape : width > 0 ? Shape.values() : new Shape[0]) {
      int cells = shape == Shape.BREAK ? 1 : begins;
      for (int c = 0; c < cells; c++) {
        double begin = from + (c + 0.5) / cells * width;
        all.add(
            new Fault(
                begin,
                shape,
                shape.cost.applyAsDouble(now - begin),
                HAZARD * width / cells * shape.share));
      }
    }
  }

  boolean breaks() {
    return shape == Shape.BREAK;
  }

  /** What it has cost at some hours, as a share of its size. */
  double lost(double hours) {
    return hours <= fromHours
        ? 0
        : Math.min(BEYOND_ALL, shape.cost.applyAsDouble(hours - fromHours) / costNow);
  }

  /** Half-normal spreads of its size, each with its share. */
  double[][] sizes() {
    if (breaks()) {
      return BREAKS;
    }
    double[][] sizes = new double[SPEEDS.length][];
    for (int s = 0; s < sizes.length; s++) {
      sizes[s] = new double[] {Math.min(MOST, SPEEDS[s][0] * costNow), SPEEDS[s][1]};
    }
    return sizes;
  }
}
