package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.unit.Figures;

/**
 * How to bring a spring to its installed height: every way worth having, the best first.
 *
 * @param ways ranked
 */
public record HeightPlan(List<Way> ways) {
  private static final int MOST_PIECES = 3;
  private static final int MOST_WAYS = 8;

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
    /** Another retainer, with what else it takes. */
    RETAINER,
    MACHINE_LOCATOR,
    ONE_MADE_PIECE
  }

  /**
   * One way.
   *
   * @param shimsIn all that is under the spring then, from the bottom, thinnest first: the load
   *     sits on the top one and warps a thin one
   * @param takeOutIn pieces of what is in that come out
   * @param putInIn pieces that go in
   * @param lockIn offset of the locks then; above zero raises the retainer
   * @param retainerIn what the retainer adds then
   * @param machineIn taken off the locator or pocket
   * @param heightIn height it gives
   * @param offIn height over target
   */
  public record Way(
      Kind kind,
      List<Double> shimsIn,
      List<Double> takeOutIn,
      List<Double> putInIn,
      double lockIn,
      double retainerIn,
      double machineIn,
      double heightIn,
      double offIn,
      boolean within) {
    public Way {
      shimsIn = List.copyOf(shimsIn);
      takeOutIn = List.copyOf(takeOutIn);
      putInIn = List.copyOf(putInIn);
    }

    /** It takes a lathe, not only what is to hand. */
    public boolean cutOrMade() {
      return kind == Kind.ONE_MADE_PIECE || kind == Kind.MACHINE_LOCATOR;
    }

    /** The height that was wanted. */
    public double targetIn() {
      return Stack.fine(heightIn - offIn);
    }

    public int pieces() {
      return shimsIn.size();
    }

    /** How much further the retainer stands from the seal than with the parts that were in. */
    public double sealIn(Stack was) {
      return lockIn - was.lockIn();
    }
  }

  /**
   * What is asked.
   *
   * @param measuredIn height with the parts that are in
   * @param targetIn wanted height
   * @param toleranceIn each way
   * @param stockIn shim thicknesses to be had
   * @param locksIn offsets of locks to be had beside the plain ones, such as −0.050 and 0.050
   * @param retainersIn what other retainers to be had would add
   * @param in parts that are in; blank is a bare pocket with plain locks
   */
  public record Wanted(
      double measuredIn,
      double targetIn,
      double toleranceIn,
      List<Double> stockIn,
      List<Double> locksIn,
      @Nullable List<Double> retainersIn,
      School school,
      @Nullable Stack in) {
    public Wanted {
      stockIn = stockIn.stream().filter(s -> s > 0).map(Stack::fine).distinct().sorted().toList();
      locksIn = List.copyOf(locksIn);
      retainersIn = retainersIn == null ? List.of() : List.copyOf(retainersIn);
      in = in == null ? Stack.PLAIN : in;
      if (!(measuredIn > 0.5 && measuredIn < 6 && targetIn > 0.5 && targetIn < 6)) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "heights of {%.3f in} and {%.3f in} cannot be: {0.5 in} to {6 in} is possible",
                measuredIn,
                targetIn));
      }
      if (!(toleranceIn > 0 && toleranceIn < 0.2)) {
        throw new IllegalArgumentException("a height tolerance lies between {0 in} and {0.2 in}");
      }
    }

    Stack stack() {
      return in == null ? Stack.PLAIN : in;
    }

    List<Double> others() {
      return retainersIn == null ? List.of() : retainersIn;
    }

    /** Height of the bare pocket with plain locks and the usual retainer. */
    double bareIn() {
      return measuredIn + stack().takesIn();
    }
  }

  public HeightPlan {
    ways = List.copyOf(ways);
  }

  /** The ways worth having, ranked by school. */
  public static HeightPlan of(Wanted w) {
    List<Way> worth = all(w);
    List<Way> within = worth.stream().filter(Way::within).limit(MOST_WAYS).toList();
    return new HeightPlan(within.isEmpty() ? worth.stream().limit(3).toList() : within);
  }

  /** Every way that is no worse than another to the same height, ranked by school. */
  static List<Way> all(Wanted w) {
    Stack in = w.stack();
    List<Way> ways = new ArrayList<>();
    for (double lock : offers(in.lockIn(), 0, w.locksIn())) {
      for (double retainer : offers(in.retainerIn(), in.retainerIn(), w.others())) {
        stacks(w, lock, retainer, new ArrayList<>(), 0, ways);
      }
    }
    double over = w.bareIn() + in.lockIn() + in.retainerIn() - w.targetIn();
    if (Figures.above(over, 0)) {
      ways.add(way(w, new Stack(List.of(Stack.fine(over)), in.lockIn(), in.retainerIn()), 0));
    } else if (Figures.below(over, 0)) {
      ways.add(way(w, new Stack(List.of(), in.lockIn(), in.retainerIn()), Stack.fine(-over)));
    }
    ways.sort(ranking(w.school()));
    return worthHaving(ways);
  }

  /** Of two ways to one height with the same locks and retainer only the better is of use. */
  private static List<Way> worthHaving(List<Way> ranked) {
    Set<List<Double>> seen = new HashSet<>();
    return ranked.stream()
        .filter(w -> seen.add(List.of(w.heightIn(), w.lockIn(), w.retainerIn())))
        .toList();
  }

  /**
   * What shims to hand make of it, nothing cut and nothing made: the nearest to its target first.
   */
  static List<Way> withStock(Wanted w) {
    List<Way> ways = new ArrayList<>();
    stacks(w, w.stack().lockIn(), w.stack().retainerIn(), new ArrayList<>(), 0, ways);
    ways.sort(Comparator.comparing((Way way) -> Math.abs(way.offIn())).thenComparing(Way::pieces));
    return ways;
  }

  private static Set<Double> offers(double in, double usual, List<Double> more) {
    Set<Double> all = new LinkedHashSet<>(List.of(in, usual));
    all.addAll(more);
    return all;
  }

  /** Every stack of what is to hand and what is in; of an odd piece there is only what is in. */
  private static void stacks(
      Wanted w, double lock, double retainer, List<Double> stack, int from, List<Way> ways) {
    ways.add(way(w, new Stack(stack, lock, retainer), 0));
    List<Double> in = w.stack().shimsIn();
    List<Double> pieces =
        Stream.concat(w.stockIn().stream(), in.stream()).distinct().sorted().toList();
    if (stack.size() < Math.max(MOST_PIECES, in.size())) {
      for (int i = from; i < pieces.size(); i++) {
        double piece = pieces.get(i);
        if (w.stockIn().contains(piece) || count(stack, piece) < count(in, piece)) {
          stack.add(piece);
          stacks(w, lock, retainer, stack, i, ways);
          stack.remove(stack.size() - 1);
        }
      }
    }
  }

  private static long count(List<Double> pieces, double piece) {
    return pieces.stream().filter(p -> p == piece).count();
  }

  private static Way way(Wanted w, Stack then, double machine) {
    double height = w.bareIn() - then.takesIn() + machine;
    double off = height - w.targetIn();
    List<Double> out = without(w.stack().shimsIn(), then.shimsIn());
    List<Double> put = without(then.shimsIn(), w.stack().shimsIn());
    return new Way(
        kind(w, then, machine, !(out.isEmpty() && put.isEmpty())),
        then.shimsIn(),
        out,
        put,
        then.lockIn(),
        then.retainerIn(),
        machine,
        Stack.fine(height),
        Stack.fine(off),
        Figures.atMost(Math.abs(off), w.toleranceIn()));
  }

  private static Kind kind(Wanted w, Stack then, double machine, boolean shims) {
    boolean locks = then.lockIn() != w.stack().lockIn();
    if (machine > 0) {
      return Kind.MACHINE_LOCATOR;
    }
    if (then.retainerIn() != w.stack().retainerIn()) {
      return Kind.RETAINER;
    }
    if (then.shimsIn().stream()
        .anyMatch(s -> !w.stockIn().contains(s) && !w.stack().shimsIn().contains(s))) {
      return Kind.ONE_MADE_PIECE;
    }
    if (locks) {
      return shims ? Kind.LOCKS_AND_SHIMS : Kind.LOCKS;
    }
    return shims ? Kind.SHIMS : Kind.AS_IT_IS;
  }

  /** What is left of pieces when others are taken away, one by one. */
  private static List<Double> without(List<Double> pieces, List<Double> others) {
    List<Double> left = new ArrayList<>(pieces);
    others.forEach(left::remove);
    return left;
  }

  private static Comparator<Way> ranking(School school) {
    Comparator<Way> made =
        Comparator.comparing(w -> w.kind() == Kind.ONE_MADE_PIECE ? 0 : w.pieces() > 1 ? 2 : 1);
    Comparator<Way> work = Comparator.comparingInt(w -> effort(w));
    Comparator<Way> moved = Comparator.comparing(w -> w.takeOutIn().size() + w.putInIn().size());
    Comparator<Way> off = Comparator.comparingDouble(w -> Math.abs(w.offIn()));
    Comparator<Way> first =
        school == School.ONE_PIECE
            ? made
            : Comparator.comparing(Way::cutOrMade).thenComparing(Way::pieces);
    return Comparator.comparing((Way w) -> !w.within())
        .thenComparing(w -> w.within() ? 0 : Math.abs(w.offIn()))
        .thenComparing(first)
        .thenComparing(work)
        .thenComparing(moved)
        .thenComparing(off);
  }

  private static int effort(Way w) {
    return switch (w.kind()) {
      case AS_IT_IS -> 0;
      case SHIMS -> 1;
      case LOCKS -> 2;
      case LOCKS_AND_SHIMS -> 3;
      case RETAINER -> 4;
      case ONE_MADE_PIECE -> 5;
      case MACHINE_LOCATOR -> 6;
    };
  }
}
