package shim.core.turnaround;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import shim.core.turnaround.Plan.Left.Why;
import shim.core.unit.Known;

/**
 * Makes a plan. What must be done is laid first, so that the last of it ends as early as can be;
 * then what should and what could be, in the gaps that leaves and where it ends before the truck
 * leaves.
 */
final class Planner {
  /** How often the order is shaken, less often where there is very much to do. */
  private static final int SHAKEN = 300;

  private static final int SHAKEN_WORKS = 80;

  /** By how much it is shaken: the logarithm's standard deviation. */
  private static final double SHAKE = 0.4;

  private static final long SEED = 1130;

  private final Situation now;
  private final Map<String, Integer> tails;
  private final Comparator<Work> heaviestFirst;
  private final Map<String, Why> left = new LinkedHashMap<>();

  Planner(Situation given) {
    this.now = given.weighed();
    this.tails = now.tails();
    this.heaviestFirst =
        Comparator.comparing(Work::weight)
            .thenComparing(w -> -Known.in(tails, w.id()))
            .thenComparing(Work::id);
  }

  Plan plan() {
    leaveOut(Work::waits, Why.PART_UNKNOWN);
    Map<String, Placed> alone = lay(Laying.untaken(now), w -> !left.containsKey(w.id()));
    leaveOut(w -> !alone.containsKey(w.id()) && !left.containsKey(w.id()), Why.NOBODY);

    Situation musts = now.with(w -> must(w) && !left.containsKey(w.id()));
    Map<String, Placed> first = lay(new Laying(musts), w -> true);
    musts = musts.with(w -> first.containsKey(w.id()));
    int least = end(lay(Laying.untaken(musts), w -> true).values());
    Collection<Placed> laid = shaken(musts, first.values(), least);
    int end = end(laid);
    boolean best = end <= least;
    if (!best) {
      Solver.Found found = Solver.earlierThan(musts, end);
      best = found.proven();
      if (!found.starts().isEmpty()) {
        laid = Again.inOrder(musts, found.starts());
      }
    }

    Laying all = new Laying(now.until(now.truck()));
    laid.forEach(all::put);
    lay(all, w -> !must(w) && !left.containsKey(w.id()));
    Map<String, Placed> placed = all.placed();
    leaveOut(w -> !placed.containsKey(w.id()) && !left.containsKey(w.id()), Why.NO_TIME);
    return result(all.byTime(), end(laid), best);
  }

  private static boolean must(Work w) {
    return w.weight() == Weight.MUST || w.begun().isPresent();
  }

  /** Leaves out what a rule says, and what comes after it. */
  private void leaveOut(Predicate<Work> rule, Why why) {
    for (Work w : Order.of(now.work())) {
      if (w.begun().isPresent() || left.containsKey(w.id())) {
        continue;
      }
      if (w.after().stream().anyMatch(a -> left.containsKey(a.id()))) {
        left.put(w.id(), Why.NOT_WITHOUT);
      } else if (rule.test(w)) {
        left.put(w.id(), why);
      }
    }
  }

  /**
   * The best of many layings, each in an order shaken a little; they end when none can be better.
   */
  private Collection<Placed> shaken(Situation musts, Collection<Placed> first, int least) {
    SplittableRandom random = new SplittableRandom(SEED);
    Collection<Placed> best = first;
    double share = Math.pow((double) SHAKEN_WORKS / Math.max(SHAKEN_WORKS, musts.work().size()), 3);
    for (int i = 0; i < SHAKEN * share && end(best) > least; i++) {
      Map<String, Double> keys = new HashMap<>();
      musts
          .work()
          .forEach(
              w ->
                  keys.put(
                      w.id(), Known.in(tails, w.id()) * Math.exp(SHAKE * random.nextGaussian())));
      Comparator<Work> order = Comparator.comparingDouble(w -> -Known.in(keys, w.id()));
      Map<String, Placed> laid = lay(new Laying(musts), w -> true, order);
      if (laid.size() == musts.work().size() && end(laid.values()) < end(best)) {
        best = laid.values();
      }
    }
    return best;
  }

  /** Lays works by weight, each when what comes before it is laid. */
  private Map<String, Placed> lay(Laying laying, Predicate<Work> which) {
    return lay(laying, which, heaviestFirst);
  }

  private Map<String, Placed> lay(Laying laying, Predicate<Work> which, Comparator<Work> order) {
    List<Work> open =
        new LinkedList<>(laying.works().stream().filter(which).sorted(order).toList());
    boolean more = true;
    while (more) {
      more = false;
      for (Iterator<Work> i = open.iterator(); i.hasNext() && !more; ) {
        more = laying.lay(i.next()).isPresent();
        if (more) {
          i.remove();
        }
      }
    }
    return laying.placed();
  }

  private Plan result(List<Placed> placed, int end, boolean best) {
    List<Plan.Left> out =
        now.work().stream()
            .filter(w -> left.containsKey(w.id()))
            .map(w -> new Plan.Left(w, Known.in(left, w.id())))
            .toList();
    List<String> late =
        now.work().stream()
            .filter(w -> w.weight() == Weight.MUST)
            .map(Work::id)
            .filter(id -> left.containsKey(id) || ends(placed, id) > now.truck())
            .toList();
    OptionalDouble chance =
        out.stream().anyMatch(l -> l.work().weight() == Weight.MUST)
            ? OptionalDouble.empty()
            : OptionalDouble.of(Chance.of(now, placed));
    return new Plan(placed, out, end, best, late, chance);
  }

  private static int ends(List<Placed> placed, String id) {
    return placed.stream()
        .filter(p -> p.work().id().equals(id))
        .mapToInt(Placed::end)
        .findFirst()
        .orElse(Integer.MAX_VALUE);
  }

  private static int end(Collection<Placed> placed) {
    return placed.stream().mapToInt(Placed::end).max().orElse(0);
  }
}
