package shim.bench.turnaround;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solver;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.IntVar;
import org.chocosolver.solver.variables.Task;
import shim.core.turnaround.Hand;
import shim.core.turnaround.Plan;
import shim.core.turnaround.Situation;
import shim.core.turnaround.Stretch;
import shim.core.turnaround.Weight;
import shim.core.turnaround.Work;

/**
 * Plans of more and more tasks, four hands and three engines, beside the bare constraint solver on
 * the same works: how long until it has an end as early as Shim's, given ten seconds. Everybody is
 * always there, for the bare solver knows no hours of people.
 */
public final class PlanBenchmark {
  private static final int HANDS = 4;
  private static final int MINUTES = 14 * 24 * 60;
  private static final int BEGIN_SEED = 4711;
  private static final String LIMIT = "10s";

  private PlanBenchmark() {}

  public static void main(String[] args) {
    int each = args.length > 0 ? Integer.parseInt(args[0]) : 7;
    plan(turnaround(BEGIN_SEED - 1, 60));
    System.out.println(
        "| tasks | plan, ms: median (worst) | proven earliest | bare solver to the same end, ms:"
            + " median | not reached in 10 s |");
    System.out.println("|---|---|---|---|---|");
    for (int tasks : new int[] {15, 30, 60, 120}) {
      List<Double> ours = new ArrayList<>();
      List<Double> bare = new ArrayList<>();
      int proven = 0;
      int missed = 0;
      for (int i = 0; i < each; i++) {
        Situation now = turnaround(BEGIN_SEED + i, tasks);
        long from = System.nanoTime();
        Plan plan = plan(now);
        ours.add((System.nanoTime() - from) / 1e6);
        proven += plan.best() ? 1 : 0;
        from = System.nanoTime();
        boolean reached = bare(now, plan.musts());
        bare.add((System.nanoTime() - from) / 1e6);
        missed += reached ? 0 : 1;
      }
      System.out.printf(
          Locale.ROOT,
          "| %d | %.0f (%.0f) | %d of %d | %.0f | %d of %d |%n",
          tasks,
          middle(ours),
          ours.stream().mapToDouble(d -> d).max().orElseThrow(),
          proven,
          each,
          middle(bare),
          missed,
          each);
    }
  }

  private static double middle(List<Double> all) {
    return all.stream().sorted().skip(all.size() / 2).findFirst().orElseThrow();
  }

  private static Plan plan(Situation now) {
    return Plan.of(now);
  }

  private static Situation turnaround(long seed, int works) {
    Random random = new Random(seed);
    List<Hand> hands =
        IntStream.range(0, HANDS)
            .mapToObj(h -> new Hand("H" + h, List.of(new Stretch(0, MINUTES))))
            .toList();
    List<Work> all = new ArrayList<>();
    for (int i = 0; i < works; i++) {
      Work w =
          Work.of("w" + i, Weight.MUST, 15 * (1 + random.nextInt(12)))
              .hands(random.nextInt(4) == 0 ? 2 : 1);
      w = random.nextInt(3) > 0 ? w.holds(Set.of("engine " + random.nextInt(3))) : w;
      for (int j = Math.max(0, i - 4); j < i; j++) {
        if (random.nextInt(5) == 0) {
          w = w.after("w" + j, random.nextInt(4) == 0 ? 120 : 0);
        }
      }
      all.add(w);
    }
    return new Situation(MINUTES, MINUTES, all, hands);
  }

  /** The model as the library's manual would have it: starts, one heap of hands, engines alone. */
  private static boolean bare(Situation now, int end) {
    Model model = new Model();
    Map<String, IntVar> starts = new HashMap<>();
    Map<String, List<Task>> held = new HashMap<>();
    List<Task> tasks = new ArrayList<>();
    List<IntVar> heights = new ArrayList<>();
    for (Work w : now.work()) {
      IntVar start = model.intVar(w.id(), 0, end - w.minutes());
      Task task = new Task(model, 0, end - w.minutes(), w.minutes(), w.minutes(), end);
      model.arithm(task.getStart(), "=", start).post();
      starts.put(w.id(), start);
      tasks.add(task);
      heights.add(model.intVar(w.hands()));
      w.holds().forEach(h -> held.computeIfAbsent(h, k -> new ArrayList<>()).add(task));
    }
    for (Work w : now.work()) {
      for (Work.After a : w.after()) {
        IntVar before = starts.get(a.id());
        int minutes =
            now.work().stream()
                .filter(o -> o.id().equals(a.id()))
                .findFirst()
                .orElseThrow()
                .minutes();
        model.arithm(starts.get(w.id()), "-", before, ">=", minutes + a.minutes()).post();
      }
    }
    IntVar one = model.intVar(1);
    model
        .cumulative(tasks.toArray(Task[]::new), heights.toArray(IntVar[]::new), model.intVar(HANDS))
        .post();
    for (List<Task> engine : held.values()) {
      IntVar[] ones = new IntVar[engine.size()];
      Arrays.fill(ones, one);
      model.cumulative(engine.toArray(Task[]::new), ones, one).post();
    }
    Solver solver = model.getSolver();
    solver.limitTime(LIMIT);
    solver.setSearch(Search.inputOrderLBSearch(starts.values().toArray(IntVar[]::new)));
    return solver.solve();
  }
}
