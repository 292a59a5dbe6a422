package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * How to bring a spring to its installed height: every way worth having, the best first.
 *
 * @param ways ranked
 */
public record HeightPlan(List<Way> ways) {
  private static final int MOST_PIECES = 3;
  private static final int MOST_WAYS = 8;
  private static final double SAME = 1e-6;

  /** Schools of shimming. */
  public enum School {
    /** Shims freely, fewest pieces first. */
    FEWEST_PIECES,
    /** One machined piece: stacks chatter. */
    ONE_PIECE
  }

  /** What is done. */
  public enum Kind {
    AS_IT_IS,
    SHIMS,
    LOCKS,
    LOCKS_AND_SHIMS,
    MACHINE_LOCATOR,
    ONE_MADE_PIECE
  }

  /**
   * One way.
   *
   * @param shimsIn from the bottom, thinnest first: the load sits on the top one and warps a thin
   *     one
   * @param lockIn offset of the locks; above zero raises the retainer
   * @param machineIn taken off the locator or pocket
   * @param heightIn height it gives
   * @param offIn height over target
   */
  public record Way(
      Kind kind,
      List<Double> shimsIn,
      double lockIn,
      double machineIn,
      double heightIn,
      double offIn,
      boolean within) {
    public Way {
      shimsIn = List.copyOf(shimsIn);
    }

    public int pieces() {
      return shimsIn.size();
    }
  }

  /**
   * What is asked.
   *
   * @param measuredIn height without any shim
   * @param targetIn wanted height
   * @param toleranceIn each way
   * @param stockIn shim thicknesses to be had
   * @param locksIn offsets of locks to be had beside the plain ones, such as −0.050 and 0.050
   */
  public record Wanted(
      double measuredIn,
      double targetIn,
      double toleranceIn,
      List<Double> stockIn,
      List<Double> locksIn,
      School school) {
    public Wanted {
      stockIn = stockIn.stream().filter(s -> s > 0).distinct().sorted().toList();
      locksIn = List.copyOf(locksIn);
      if (!(measuredIn > 0.5 && measuredIn < 6 && targetIn > 0.5 && targetIn < 6)) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "heights of %.3f and %.3f in cannot be: 0.5 to 6 in is possible",
                measuredIn,
                targetIn));
      }
      if (!(toleranceIn > 0 && toleranceIn < 0.2)) {
        throw new IllegalArgumentException("a height tolerance lies between 0 and 0.2 in");
      }
    }
  }

  public HeightPlan {
    ways = List.copyOf(ways);
  }

  /** All ways, ranked by school. */
  public static HeightPlan of(Wanted w) {
    List<Way> ways = new ArrayList<>();
    List<Double> locks = new ArrayList<>(List.of(0.0));
    locks.addAll(w.locksIn());
    for (double lock : locks) {
      stacks(w, lock, new ArrayList<>(), 0, ways);
    }
    double tall = w.measuredIn() - w.targetIn();
    if (tall > SAME) {
      ways.add(way(w, Kind.ONE_MADE_PIECE, List.of(round(tall)), 0, 0));
    } else if (tall < -SAME) {
      ways.add(way(w, Kind.MACHINE_LOCATOR, List.of(), 0, round(-tall)));
    }
    ways.sort(ranking(w.school()));
    List<Way> within = ways.stream().filter(Way::within).limit(MOST_WAYS).toList();
    return new HeightPlan(within.isEmpty() ? ways.stream().limit(3).toList() : within);
  }

  /**
   * What shims to hand make of it, nothing cut and nothing made: the nearest to its target first.
   */
  static List<Way> withStock(Wanted w) {
    List<Way> ways = new ArrayList<>();
    stacks(w, 0, new ArrayList<>(), 0, ways);
    ways.sort(Comparator.comparing((Way way) -> Math.abs(way.offIn())).thenComparing(Way::pieces));
    return ways;
  }

  private static void stacks(Wanted w, double lock, List<Double> stack, int from, List<Way> ways) {
    Kind kind =
        lock == 0
            ? stack.isEmpty() ? Kind.AS_IT_IS : Kind.SHIMS
            : stack.isEmpty() ? Kind.LOCKS : Kind.LOCKS_AND_SHIMS;
    ways.add(way(w, kind, stack, lock, 0));
    if (stack.size() < MOST_PIECES) {
      for (int i = from; i < w.stockIn().size(); i++) {
        stack.add(w.stockIn().get(i));
        stacks(w, lock, stack, i, ways);
        stack.remove(stack.size() - 1);
      }
    }
  }

  private static Way way(Wanted w, Kind kind, List<Double> shims, double lock, double machine) {
    double height = w.measuredIn() + lock + machine - shims.stream().mapToDouble(s -> s).sum();
    double off = height - w.targetIn();
    boolean within = Math.abs(off) <= w.toleranceIn() + SAME;
    return new Way(kind, shims, lock, machine, round(height), round(off), within);
  }

  private static Comparator<Way> ranking(School school) {
    Comparator<Way> made =
        Comparator.comparing(w -> w.kind() == Kind.ONE_MADE_PIECE ? 0 : w.pieces() > 1 ? 2 : 1);
    Comparator<Way> work = Comparator.comparingInt(w -> effort(w));
    Comparator<Way> off = Comparator.comparingDouble(w -> Math.abs(w.offIn()));
    Comparator<Way> first =
        school == School.ONE_PIECE ? made : Comparator.comparingInt(Way::pieces);
    return Comparator.comparing((Way w) -> !w.within())
        .thenComparing(w -> w.within() ? 0 : Math.abs(w.offIn()))
        .thenComparing(first)
        .thenComparing(work)
        .thenComparing(off);
  }

  private static int effort(Way w) {
    return switch (w.kind()) {
      case AS_IT_IS -> 0;
      case SHIMS -> 1;
      case LOCKS -> 2;
      case LOCKS_AND_SHIMS -> 3;
      case ONE_MADE_PIECE -> 4;
      case MACHINE_LOCATOR -> 5;
    };
  }

  private static double round(double v) {
    return Math.round(v * 1e6) / 1e6;
  }
}
