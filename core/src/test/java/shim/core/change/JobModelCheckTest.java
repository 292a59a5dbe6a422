package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.change.Plans.act;
import static shim.core.change.Plans.work;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import shim.core.change.ValveState.Stage;

/**
 * Every state that any sequence of acts can reach, and long random walks: nothing that hurts is
 * among them. What is dangerous is told here from the acts alone, not by the guard's own words.
 */
class JobModelCheckTest {
  /** All acts worth trying at a state of a small job: two valves of one cylinder or of two. */
  private static List<Done> acts(JobPlan plan) {
    List<Done> all = new ArrayList<>();
    for (Act a : List.of(Act.ACCEPT, Act.LOCK, Act.UNLOCK, Act.RESUME, Act.SIGN)) {
      all.add(act(a, null));
    }
    plan.route().legs().forEach(l -> all.add(act(Act.BAR, null, l.crankDeg(), null)));
    all.add(act(Act.PARK, null, null, "seals"));
    all.add(act(Act.ABANDON, null, null, "rain"));
    for (int c : plan.cylinders()) {
      Stream.of(Act.HOLD, Act.RELEASE, Act.AIR_LOST, Act.ROCKERS_OFF, Act.ROCKERS_ON, Act.KEPT_OUT)
          .forEach(a -> all.add(act(a, c)));
      all.add(act(Act.REHELD, c, null, "fingers"));
      all.add(act(Act.TORQUE, c));
    }
    for (JobPlan.Work w : plan.valves()) {
      Stream.of(Act.COMPRESS, Act.UNHOOK, Act.CLOSE, Act.PROVE, Act.JUMPED, Act.DROPPED, Act.SEATED)
          .forEach(a -> all.add(act(a, w.valve())));
      all.add(act(Act.SPRING_OUT, w.valve(), null, "SCRAP"));
      all.add(act(Act.HEIGHT, w.valve(), 1.950, null));
      all.add(act(Act.HOOK, w.valve(), null, "GAP"));
      all.add(act(Act.HOOK, w.valve(), null, "no"));
      plan.valves().forEach(o -> all.add(act(Act.SPRING_IN, w.valve(), null, o.newSpring())));
      all.add(act(Act.SPRING_IN, w.valve(), null, w.oldSpring()));
    }
    return all;
  }

  /** What else may be tried: air off TDC, a height left open. */
  private static List<Done> more(JobPlan plan) {
    List<Done> all = acts(plan);
    all.add(act(Act.BAR, null, plan.route().legs().get(0).crankDeg() + 30, null));
    plan.cylinders().forEach(c -> all.add(act(Act.HOLD, c, null, "OFF_TDC")));
    plan.valves().forEach(w -> all.add(act(Act.SKIP_HEIGHT, w.valve(), null, "no gauge here")));
    return all;
  }

  /** The counts grow with every going back; without them the states are finitely many. */
  private static Job bounded(Job j) {
    return new Job(
        j.plan(),
        j.accepted(),
        j.crankDeg(),
        j.crankLocked(),
        j.held(),
        j.off(),
        j.valves(),
        Map.of(),
        j.scrapped(),
        Set.of(),
        j.parked(),
        j.end());
  }

  /** What must hold of every act that is allowed. */
  private static void safe(Job before, Done d, Job after) {
    boolean loose =
        before.valves().values().stream().anyMatch(v -> v.stage().open() && !v.hooked());
    if (loose) {
      assertThat(d.act())
          .as("with a valve unhooked")
          .isNotIn(Act.BAR, Act.UNLOCK, Act.PARK, Act.ABANDON, Act.SIGN);
    }
    if (d.act() == Act.RELEASE) {
      assertThat(before.valves())
          .as("hold let go under an open valve")
          .noneSatisfy(
              (p, v) -> {
                assertThat(p.cylinder()).isEqualTo(d.cylinder());
                assertThat(v.stage().open()).isTrue();
              });
    }
    if (d.act() == Act.HOLD && before.plan().hold() == Hold.AIR) {
      double off =
          Math.IEEEremainder(before.crankDeg() - before.plan().tdcDeg().get(d.cylinder()), 720);
      assertThat(Math.abs(off) <= 1 || before.crankLocked() && "OFF_TDC".equals(d.word()))
          .as("air on off TDC, unlocked or unsaid")
          .isTrue();
    }
    if (d.act() == Act.BAR) {
      assertThat(before.held()).as("barred with a hold on").isEmpty();
      assertThat(before.valves().values())
          .noneMatch(v -> v.stage().finished() && v.pushrod() == ValveState.Pushrod.OUT);
    }
    if (d.act() == Act.ROCKERS_ON || d.act() == Act.TORQUE) {
      assertThat(before.valves())
          .noneSatisfy(
              (p, v) -> {
                assertThat(p.cylinder()).isEqualTo(d.cylinder());
                assertThat(v.pushrod()).isIn(ValveState.Pushrod.OUT, ValveState.Pushrod.KEPT_OUT);
              });
    }
    List<String> in =
        after.valves().values().stream().map(ValveState::springIn).filter(s -> s != null).toList();
    assertThat(in).as("a spring in two places").doesNotHaveDuplicates();
    assertThat(after.scrapped())
        .as("scrap back in")
        .noneMatch(s -> in.contains(s) && d.act() == Act.SPRING_IN);
    after
        .valves()
        .forEach(
            (p, v) -> {
              if (v.stage().open() && !v.hooked()) {
                assertThat(after.held()).as(p + " loose without a hold").containsKey(p.cylinder());
              }
            });
    if (d.act() == Act.CLOSE) {
      assertThat(before.valve(d.valve()).hooked()).as("let up without locks").isTrue();
    }
    if (d.act() == Act.SIGN) {
      assertThat(after.valves().values()).allMatch(v -> v.stage() == Stage.PROVED);
      assertThat(after.held()).isEmpty();
    }
  }

  private static JobPlan small(Hold hold, String... valves) {
    JobPlan.Work[] works =
        Stream.of(valves).map(v -> work(v, "B-" + v)).toArray(JobPlan.Work[]::new);
    return Plans.plan(
        JobPlan.Kind.IN_CAR, hold, Route.School.CYLINDER_BY_CYLINDER, Schools.USUAL, works);
  }

  private static Map<Job, Set<Job>> explore(JobPlan plan, List<Done> acts, Consumer<Job> each) {
    Map<Job, Set<Job>> next = new HashMap<>();
    Deque<Job> todo = new ArrayDeque<>();
    Job start = bounded(Job.begin(plan));
    todo.add(start);
    next.put(start, new HashSet<>());
    while (!todo.isEmpty()) {
      Job job = todo.poll();
      each.accept(job);
      for (Done d : acts) {
        if (d.act() == Act.SIGN || job.refuses(d).isPresent()) {
          continue;
        }
        Job after = bounded(job.after(d));
        safe(job, d, after);
        next.get(job).add(after);
        if (next.putIfAbsent(after, new HashSet<>()) == null) {
          todo.add(after);
        }
      }
    }
    return next;
  }

  @ParameterizedTest
  @EnumSource(
      value = Hold.class,
      names = {"AIR", "PISTON"})
  void everyReachableStateOfTwoValvesIsSafe(Hold hold) {
    int[] loose = {0};
    Map<Job, Set<Job>> states =
        explore(
            small(hold, "3E", "3I"),
            acts(small(hold, "3E", "3I")),
            j -> loose[0] += j.loose().isEmpty() ? 0 : 1);
    assertThat(states).hasSizeGreaterThan(1000);
    assertThat(loose[0]).as("states with a valve unhooked were among them").isPositive();
  }

  @Test
  void fromEveryStateButADroppedValveTheJobCanBeFinished() {
    JobPlan plan = small(Hold.AIR, "3E");
    Map<Job, Set<Job>> states = explore(plan, more(plan), j -> {});
    assertThat(states.keySet())
        .as("held off TDC, and closed with its height left open")
        .anyMatch(j -> !j.held().isEmpty() && j.offTdc(3).isPresent())
        .anyMatch(j -> j.valves().values().stream().anyMatch(ValveState::heightSkipped));
    Map<Job, Set<Job>> back = new HashMap<>();
    states.forEach(
        (from, to) -> to.forEach(t -> back.computeIfAbsent(t, x -> new HashSet<>()).add(from)));
    Deque<Job> todo = new ArrayDeque<>();
    Set<Job> good = new HashSet<>();
    states.keySet().stream()
        .filter(j -> j.end() == Job.End.OPEN && j.parked() == null)
        .filter(j -> j.valves().values().stream().allMatch(v -> v.stage() == Stage.PROVED))
        .filter(j -> j.held().isEmpty() && j.off().isEmpty() && !j.crankLocked())
        .forEach(todo::add);
    assertThat(todo).isNotEmpty();
    while (!todo.isEmpty()) {
      Job j = todo.poll();
      if (good.add(j)) {
        todo.addAll(back.getOrDefault(j, Set.of()));
      }
    }
    assertThat(states.keySet())
        .filteredOn(j -> !good.contains(j))
        .allSatisfy(
            j ->
                assertThat(
                        j.end() == Job.End.ABANDONED
                            || j.valves().values().stream()
                                .anyMatch(v -> v.stage() == Stage.DROPPED)
                            || j.scrapped().containsAll(List.of("A-3E", "B-3E")))
                    .as(j.toString())
                    .isTrue());
  }

  /** With counts, ticks and the signature: thousands of steps of a person who presses anything. */
  @Test
  void longRandomWalksNeverSignWithACountOpen() {
    JobPlan plan = small(Hold.AIR, "3E", "3I");
    Random random = new Random(17);
    List<Done> acts = more(plan);
    int signed = 0;
    for (int walk = 0; walk < 300; walk++) {
      Job job = Job.begin(plan);
      for (int i = 0; i < 400 && job.end() == Job.End.OPEN; i++) {
        Job now = job;
        Done d =
            random.nextInt(4) > 0
                ? Script.of(plan)
                    .next(job.ticked())
                    .map(s -> Plans.doing(s, now))
                    .orElse(acts.get(0))
                : acts.get(random.nextInt(acts.size()));
        if (job.refuses(d).isPresent()) {
          d = acts.get(random.nextInt(acts.size()));
        }
        if (d.act() == Act.ABANDON || job.refuses(d).isPresent()) {
          continue;
        }
        Job after = job.after(d);
        safe(job, d, after);
        job = after;
      }
      if (job.end() == Job.End.SIGNED) {
        signed++;
        for (Item item : Item.values()) {
          Tally t = job.count(item);
          assertThat(t.untouched() || Integer.valueOf(t.expected()).equals(t.counted()))
              .as(item + " " + t)
              .isTrue();
        }
        Set<String> ticked = job.ticked();
        assertThat(Script.of(plan).steps())
            .allMatch(
                s -> s.act() == Act.COUNTED || s.act() == Act.SIGN || ticked.contains(s.id()));
      }
    }
    assertThat(signed).as("walks that came to the end").isGreaterThan(30);
  }
}
