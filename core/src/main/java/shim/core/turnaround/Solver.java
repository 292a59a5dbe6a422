package shim.core.turnaround;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.search.strategy.selectors.values.IntDomainMin;
import org.chocosolver.solver.search.strategy.strategy.IntStrategy;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;
import org.chocosolver.solver.variables.Task;
import shim.core.unit.Known;

/**
 * Looks for a plan whose last work ends earlier than that of a plan already known, as constraints
 * on starts and hands. All figures are divided by the largest number that divides them all, so that
 * a plan made of quarter hours is searched in quarter hours.
 */
final class Solver {
  /** Dead ends after which it gives up; the milliseconds are for a machine that is very busy. */
  private static final long FAILS = 4_000;

  private static final long MILLIS = 700;

  private final Situation now;
  private final Model model = new Model("turnaround");
  private final int grid;
  private final Map<String, Task> tasks = new LinkedHashMap<>();
  private final Map<String, Map<String, BoolVar>> at = new HashMap<>();

  /**
   * What was found.
   *
   * @param starts by work; empty when nothing better was found
   * @param proven nothing ends earlier than the better of what was found and what was known
   */
  record Found(Map<String, Start> starts, boolean proven) {}

  /** A start with its hands. */
  record Start(int minute, List<String> hands) {}

  private Solver(Situation now) {
    this.now = now;
    this.grid = grid(now);
  }

  /** More works than these are not searched through: no team has so many before one truck. */
  private static final int MOST_WORKS = 200;

  static Found earlierThan(Situation now, int end) {
    if (now.work().size() > MOST_WORKS) {
      return new Found(Map.of(), false);
    }
    return new Solver(now).solve(end);
  }

  private static int grid(Situation now) {
    IntStream figures =
        IntStream.concat(
            now.work().stream()
                .flatMapToInt(
                    w ->
                        IntStream.concat(
                            IntStream.of(
                                w.minutes(),
                                Math.max(0, w.notBefore()),
                                w.begun().map(Work.Begun::at).orElse(0)),
                            w.after().stream().mapToInt(Work.After::minutes))),
            now.hands().stream()
                .flatMap(h -> h.there().stream())
                .flatMapToInt(s -> IntStream.of(s.from(), s.to())));
    return Math.max(1, figures.reduce(0, Solver::gcd));
  }

  private static int gcd(int a, int b) {
    return b == 0 ? Math.abs(a) : gcd(b, a % b);
  }

  private Found solve(int end) {
    int latest = end / grid - (end % grid == 0 ? 1 : 0);
    IntVar last = pose(latest);
    org.chocosolver.solver.Solver solver = model.getSolver();
    solver.setSearch(search());
    solver.limitFail(FAILS);
    solver.limitTime(MILLIS);
    Solution best = solver.findOptimalSolution(last, Model.MINIMIZE);
    boolean proven = !solver.isStopCriterionMet();
    return new Found(best == null ? Map.of() : starts(best), proven);
  }

  private IntVar pose(int latest) {
    now.work().forEach(w -> tasks.put(w.id(), task(w, latest)));
    now.work().forEach(this::order);
    now.hands().forEach(h -> oneAtATime(h, latest));
    together(latest);
    holds();
    IntVar last = model.intVar("end", 0, latest);
    model.max(last, ends()).post();
    return last;
  }

  private Task task(Work w, int latest) {
    int minutes = w.minutes() / grid;
    Optional<Work.Begun> begun = w.begun();
    if (begun.isPresent()) {
      int start = begun.get().at() / grid;
      return new Task(model.intVar(w.id(), start), minutes);
    }
    int earliest = Math.max(0, w.notBefore()) / grid;
    return new Task(
        model.intVar(w.id(), earliest, Math.max(earliest, latest - minutes), true), minutes);
  }

  private void order(Work w) {
    if (w.begun().isPresent()) {
      return;
    }
    for (Work.After a : w.after()) {
      Task before = Known.in(tasks, a.id());
      Known.in(tasks, w.id()).getStart().ge(before.getEnd().add(a.minutes() / grid)).post();
    }
  }

  /** A hand is at one work at a time, and only while they are there. */
  private void oneAtATime(Hand hand, int latest) {
    List<Task> all = new ArrayList<>();
    List<IntVar> heights = new ArrayList<>();
    for (Work w : now.work()) {
      if (w.hands() > 0 && mayHave(w, hand)) {
        BoolVar in = model.boolVar(hand.name() + " at " + w.id());
        at.computeIfAbsent(w.id(), k -> new LinkedHashMap<>()).put(hand.name(), in);
        if (w.begun().isPresent()) {
          in.eq(1).post();
        }
        all.add(Known.in(tasks, w.id()));
        heights.add(in);
      }
    }
    for (Stretch away : away(hand, latest)) {
      all.add(new Task(model.intVar(away.from()), away.minutes()));
      heights.add(model.intVar(1));
    }
    cumulative(all, heights, 1);
  }

  private static boolean mayHave(Work w, Hand hand) {
    return w.begun().map(b -> b.hands().contains(hand.name())).orElseGet(() -> w.may(hand));
  }

  /** When a hand is not there and nothing begun needs them, on the grid. */
  private List<Stretch> away(Hand hand, int latest) {
    List<Stretch> away = new ArrayList<>();
    int from =
        now.work().stream()
            .flatMap(
                w ->
                    w.begun().filter(b -> b.hands().contains(hand.name())).stream()
                        .map(b -> b.at() + w.minutes()))
            .mapToInt(end -> end / grid)
            .max()
            .orElse(0);
    for (Stretch s : hand.there()) {
      if (s.from() / grid > from) {
        away.add(new Stretch(from, s.from() / grid));
      }
      from = Math.max(from, s.to() / grid);
    }
    if (latest + 1 > from) {
      away.add(new Stretch(from, latest + 1));
    }
    return away;
  }

  /** As many hands as each work needs; and never more in all than there are. */
  private void together(int latest) {
    for (Work w : now.work()) {
      if (w.hands() > 0 && w.begun().isEmpty()) {
        BoolVar[] who = at.getOrDefault(w.id(), Map.of()).values().toArray(BoolVar[]::new);
        model.sum(who, "=", w.hands()).post();
      }
    }
    List<Task> all = new ArrayList<>();
    List<IntVar> heights = new ArrayList<>();
    for (Work w : now.work()) {
      if (w.hands() > 0) {
        all.add(Known.in(tasks, w.id()));
        heights.add(model.intVar(w.begun().map(this::known).orElse(w.hands())));
      }
    }
    for (Hand h : now.hands()) {
      for (Stretch s : away(h, latest)) {
        all.add(new Task(model.intVar(s.from()), s.minutes()));
        heights.add(model.intVar(1));
      }
    }
    cumulative(all, heights, now.hands().size());
  }

  /** How many of those at a work are in the team still. */
  private int known(Work.Begun begun) {
    return (int) now.hands().stream().filter(h -> begun.hands().contains(h.name())).count();
  }

  private void holds() {
    Map<String, List<Task>> by = new LinkedHashMap<>();
    for (Work w : now.work()) {
      w.holds()
          .forEach(
              thing ->
                  by.computeIfAbsent(thing, k -> new ArrayList<>()).add(Known.in(tasks, w.id())));
    }
    by.values()
        .forEach(all -> cumulative(all, Collections.nCopies(all.size(), model.intVar(1)), 1));
  }

  private void cumulative(List<Task> all, List<IntVar> heights, int capacity) {
    if (all.size() > 1) {
      model
          .cumulative(
              all.toArray(Task[]::new), heights.toArray(IntVar[]::new), model.intVar(capacity))
          .post();
    }
  }

  private IntVar[] ends() {
    return tasks.values().stream().map(Task::getEnd).toArray(IntVar[]::new);
  }

  /** What can begin first, and of that what most waits for, at its earliest. */
  private IntStrategy[] search() {
    Map<String, Integer> tails = now.tails();
    ToIntFunction<IntVar> tail = v -> tails.getOrDefault(v.getName(), 0);
    IntVar[] starts = tasks.values().stream().map(Task::getStart).toArray(IntVar[]::new);
    IntVar[] who = at.values().stream().flatMap(m -> m.values().stream()).toArray(IntVar[]::new);
    IntStrategy when =
        Search.intVarSearch(
            vars ->
                Arrays.stream(vars)
                    .filter(v -> !v.isInstantiated())
                    .min(
                        Comparator.comparingInt(IntVar::getLB)
                            .thenComparing(Comparator.comparingInt(tail).reversed()))
                    .orElse(null),
            new IntDomainMin(),
            starts);
    return who.length == 0
        ? new IntStrategy[] {when}
        : new IntStrategy[] {when, Search.inputOrderUBSearch(who)};
  }

  private Map<String, Start> starts(Solution best) {
    Map<String, Start> starts = new LinkedHashMap<>();
    tasks.forEach(
        (id, task) ->
            starts.put(
                id,
                new Start(
                    best.getIntVal(task.getStart()) * grid,
                    at.getOrDefault(id, Map.of()).entrySet().stream()
                        .filter(e -> best.getIntVal(e.getValue()) == 1)
                        .map(Map.Entry::getKey)
                        .toList())));
    return starts;
  }
}
