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
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.End;
import shim.core.walk.Tally;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/**
 * Every state that any sequence of acts can reach, and long random walks: nothing that hurts is
 * among them. What is dangerous is told here from the acts alone, not by the guard's own words.
 */
class JobModelCheckTest {
  /** All acts worth trying at a state of a small job: two valves of one cylinder or of two. */
  private static List<Done> acts(JobPlan plan) {
    List<Done> all = new ArrayList<>();
    for (Act a :
        List.of(WalkAct.ACCEPT, SpringAct.LOCK, SpringAct.UNLOCK, WalkAct.RESUME, WalkAct.SIGN)) {
      all.add(act(a, null));
    }
    plan.route().legs().forEach(l -> all.add(act(SpringAct.BAR, null, l.crankDeg(), null)));
    all.add(act(WalkAct.PARK, null, null, "seals"));
    all.add(act(WalkAct.ABANDON, null, null, "rain"));
    for (int c : plan.cylinders()) {
      Stream.of(
              WalkAct.HOLD,
              WalkAct.RELEASE,
              WalkAct.AIR_LOST,
              SpringAct.ROCKERS_OFF,
              SpringAct.ROCKERS_ON,
              SpringAct.KEPT_OUT)
          .forEach(a -> all.add(act(a, c)));
      all.add(act(WalkAct.REHELD, c, null, "fingers"));
      all.add(act(WalkAct.TORQUE, c));
    }
    for (JobPlan.Work w : plan.valves()) {
      Stream.of(
              SpringAct.COMPRESS,
              SpringAct.UNHOOK,
              SpringAct.CLOSE,
              SpringAct.PROVE,
              SpringAct.JUMPED,
              WalkAct.DROPPED,
              SpringAct.SEATED)
          .forEach(a -> all.add(act(a, w.valve())));
      all.add(act(SpringAct.SPRING_OUT, w.valve(), null, "SCRAP"));
      all.add(act(SpringAct.HEIGHT, w.valve(), 1.950, null));
      all.add(act(SpringAct.HOOK, w.valve(), null, "GAP"));
      all.add(act(SpringAct.HOOK, w.valve(), null, "no"));
      plan.valves().forEach(o -> all.add(act(SpringAct.SPRING_IN, w.valve(), null, o.newSpring())));
      all.add(act(SpringAct.SPRING_IN, w.valve(), null, w.oldSpring()));
    }
    return all;
  }

  /** What else may be tried: air off TDC, a height left open. */
  private static List<Done> more(JobPlan plan) {
    List<Done> all = acts(plan);
    all.add(act(SpringAct.BAR, null, plan.route().legs().get(0).crankDeg() + 30, null));
    plan.cylinders().forEach(c -> all.add(act(WalkAct.HOLD, c, null, "OFF_TDC")));
    plan.valves()
        .forEach(w -> all.add(act(SpringAct.SKIP_HEIGHT, w.valve(), null, "no gauge here")));
    return all;
  }

  /** The counts grow with every going back; without them the states are finitely many. */
  private static Walk<Job> bounded(Walk<Job> w) {
    return new Walk<>(
        w.procedure(), w.own(), w.accepted(), w.held(), Map.of(), Set.of(), w.parked(), w.end());
  }

  /** What must hold of every act that is allowed. */
  private static void safe(Walk<Job> before, Done d, Walk<Job> after) {
    boolean loose =
        before.own().valves().values().stream().anyMatch(v -> v.stage().open() && !v.hooked());
    if (loose) {
      assertThat(d.act())
          .as("with a valve unhooked")
          .isNotIn(SpringAct.BAR, SpringAct.UNLOCK, WalkAct.PARK, WalkAct.ABANDON, WalkAct.SIGN);
    }
    if (d.act() == WalkAct.RELEASE) {
      assertThat(before.own().valves())
          .as("hold let go under an open valve")
          .noneSatisfy(
              (p, v) -> {
                assertThat(p.cylinder()).isEqualTo(d.cylinder());
                assertThat(v.stage().open()).isTrue();
              });
    }
    if (d.act() == WalkAct.HOLD && before.own().plan().hold() == Hold.AIR) {
      double off =
          Math.IEEEremainder(
              before.own().crankDeg() - before.own().plan().tdcDeg().get(d.cylinder()), 720);
      assertThat(Math.abs(off) <= 1 || before.own().crankLocked() && "OFF_TDC".equals(d.word()))
          .as("air on off TDC, unlocked or unsaid")
          .isTrue();
    }
    if (d.act() == SpringAct.BAR) {
      assertThat(before.held()).as("barred with a hold on").isEmpty();
      assertThat(before.own().valves().values())
          .noneMatch(v -> v.stage().finished() && v.pushrod() == ValveState.Pushrod.OUT);
    }
    if (d.act() == SpringAct.ROCKERS_ON || d.act() == WalkAct.TORQUE) {
      assertThat(before.own().valves())
          .noneSatisfy(
              (p, v) -> {
                assertThat(p.cylinder()).isEqualTo(d.cylinder());
                assertThat(v.pushrod()).isIn(ValveState.Pushrod.OUT, ValveState.Pushrod.KEPT_OUT);
              });
    }
    List<String> in =
        after.own().valves().values().stream()
            .map(ValveState::springIn)
            .filter(s -> s != null)
            .toList();
    assertThat(in).as("a spring in two places").doesNotHaveDuplicates();
    assertThat(after.own().scrapped())
        .as("scrap back in")
        .noneMatch(s -> in.contains(s) && d.act() == SpringAct.SPRING_IN);
    after
        .own()
        .valves()
        .forEach(
            (p, v) -> {
              if (v.stage().open() && !v.hooked()) {
                assertThat(after.held()).as(p + " loose without a hold").containsKey(p.cylinder());
              }
            });
    if (d.act() == SpringAct.CLOSE) {
      assertThat(before.own().valve(d.valve()).hooked()).as("let up without locks").isTrue();
    }
    if (d.act() == WalkAct.SIGN) {
      assertThat(after.own().valves().values()).allMatch(v -> v.stage() == Stage.PROVED);
      assertThat(after.held()).isEmpty();
    }
  }

  private static JobPlan small(Hold hold, String... valves) {
    JobPlan.Work[] works =
        Stream.of(valves).map(v -> work(v, "B-" + v)).toArray(JobPlan.Work[]::new);
    return Plans.plan(
        JobPlan.Kind.IN_CAR, hold, Route.School.CYLINDER_BY_CYLINDER, Schools.USUAL, works);
  }

  private static Map<Walk<Job>, Set<Walk<Job>>> explore(
      JobPlan plan, List<Done> acts, Consumer<Walk<Job>> each) {
    Map<Walk<Job>, Set<Walk<Job>>> next = new HashMap<>();
    Deque<Walk<Job>> todo = new ArrayDeque<>();
    Walk<Job> start = bounded(Plans.begin(plan));
    todo.add(start);
    next.put(start, new HashSet<>());
    while (!todo.isEmpty()) {
      Walk<Job> job = todo.poll();
      each.accept(job);
      for (Done d : acts) {
        if (d.act() == WalkAct.SIGN || job.refuses(d).isPresent()) {
          continue;
        }
        Walk<Job> after = bounded(job.after(d));
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
    Map<Walk<Job>, Set<Walk<Job>>> states =
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
    Map<Walk<Job>, Set<Walk<Job>>> states = explore(plan, more(plan), j -> {});
    assertThat(states.keySet())
        .as("held off TDC, and closed with its height left open")
        .anyMatch(j -> !j.held().isEmpty() && j.own().offTdc(3).isPresent())
        .anyMatch(j -> j.own().valves().values().stream().anyMatch(ValveState::heightSkipped));
    Map<Walk<Job>, Set<Walk<Job>>> back = new HashMap<>();
    states.forEach(
        (from, to) -> to.forEach(t -> back.computeIfAbsent(t, x -> new HashSet<>()).add(from)));
    Deque<Walk<Job>> todo = new ArrayDeque<>();
    Set<Walk<Job>> good = new HashSet<>();
    states.keySet().stream()
        .filter(j -> j.end() == End.OPEN && j.parked() == null)
        .filter(j -> j.own().valves().values().stream().allMatch(v -> v.stage() == Stage.PROVED))
        .filter(j -> j.held().isEmpty() && j.own().off().isEmpty() && !j.own().crankLocked())
        .forEach(todo::add);
    assertThat(todo).isNotEmpty();
    while (!todo.isEmpty()) {
      Walk<Job> j = todo.poll();
      if (good.add(j)) {
        todo.addAll(back.getOrDefault(j, Set.of()));
      }
    }
    assertThat(states.keySet())
        .filteredOn(j -> !good.contains(j))
        .allSatisfy(
            j ->
                assertThat(
                        j.end() == End.ABANDONED
                            || j.own().valves().values().stream()
                                .anyMatch(v -> v.stage() == Stage.DROPPED)
                            || j.own().scrapped().containsAll(List.of("A-3E", "B-3E")))
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
      Walk<Job> job = Plans.begin(plan);
      for (int i = 0; i < 400 && job.end() == End.OPEN; i++) {
        Walk<Job> now = job;
        Done d =
            random.nextInt(4) > 0
                ? job.next().map(s -> Plans.doing(s, now)).orElse(acts.get(0))
                : acts.get(random.nextInt(acts.size()));
        if (job.refuses(d).isPresent()) {
          d = acts.get(random.nextInt(acts.size()));
        }
        if (d.act() == WalkAct.ABANDON || job.refuses(d).isPresent()) {
          continue;
        }
        Walk<Job> after = job.after(d);
        safe(job, d, after);
        job = after;
      }
      if (job.end() == End.SIGNED) {
        signed++;
        for (Item item : Item.values()) {
          Tally t = job.count(item);
          assertThat(t.untouched() || Integer.valueOf(t.expected()).equals(t.counted()))
              .as(item + " " + t)
              .isTrue();
        }
        Set<String> ticked = job.ticked();
        assertThat(Script.of(plan))
            .allMatch(
                s ->
                    s.act() == WalkAct.COUNTED
                        || s.act() == WalkAct.SIGN
                        || ticked.contains(s.id()));
      }
    }
    assertThat(signed).as("walks that came to the end").isGreaterThan(30);
  }
}
