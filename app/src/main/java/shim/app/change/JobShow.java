package shim.app.change;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.app.change.JobViews.Emergency;
import shim.app.change.JobViews.JobCount;
import shim.app.change.JobViews.JobHold;
import shim.app.change.JobViews.JobState;
import shim.app.change.JobViews.JobValve;
import shim.app.change.JobViews.Otherwise;
import shim.app.change.JobViews.WalkStep;
import shim.core.change.Act;
import shim.core.change.Cautions;
import shim.core.change.Done;
import shim.core.change.Hold;
import shim.core.change.Item;
import shim.core.change.Job;
import shim.core.change.JobPlan;
import shim.core.change.Script;
import shim.core.change.Step;
import shim.core.change.Tally;
import shim.core.change.ValveState;
import shim.core.engine.Position;

/** Draws a job as it stands, a real one or one for practice. */
final class JobShow {
  /** Any figure will do where only the turn of a step is asked about. */
  private static final double SOUND_LASH = 0.01;

  private JobShow() {}

  static JobState of(Job job, int acts) {
    JobPlan plan = job.plan();
    Script script = Script.of(plan);
    List<Step> open =
        script.steps().stream().filter(s -> !job.ticked().contains(s.id())).limit(2).toList();
    Step next = job.end() == Job.End.OPEN && !open.isEmpty() ? open.get(0) : null;
    return new JobState(
        plan.kind(),
        plan.kind().title(),
        plan.hold(),
        plan.drive().sets(),
        job.crankDeg(),
        job.crankLocked(),
        script.steps().stream().map(s -> new WalkStep(s, job.ticked().contains(s.id()))).toList(),
        next,
        next == null ? null : job.refuses(trial(next, job)).orElse(null),
        open.size() > 1 && next != null ? open.get(1) : null,
        valves(job),
        job.held().entrySet().stream()
            .map(
                e ->
                    new JobHold(
                        e.getKey(), e.getValue().by(), e.getValue().since(), e.getValue().lost()))
            .toList(),
        Stream.of(Item.values()).map(i -> count(i, job)).toList(),
        job.end() == Job.End.OPEN ? otherwise(job, next) : List.of(),
        emergency(job),
        job.parked(),
        job.end(),
        job.openForSigning(),
        acts);
  }

  private static @Nullable Emergency emergency(Job job) {
    return job.loose().stream()
        .filter(p -> lost(job, p))
        .findFirst()
        .map(p -> new Emergency(p.cylinder(), p, Cautions.whenLost(job.plan().hold(), p)))
        .orElse(null);
  }

  private static boolean lost(Job job, Position p) {
    Job.Held held = job.held().get(p.cylinder());
    return held != null && held.lost();
  }

  /** The step as it would be done with a sound figure, to see whether it is its turn. */
  private static Done trial(Step s, Job job) {
    Double figure = s.figure();
    if (s.act() == Act.COUNTED) {
      figure = (double) Math.max(0, job.count(Item.valueOf(String.valueOf(s.word()))).expected());
    } else if (s.act() == Act.LASH || s.act() == Act.ZERO_LASH) {
      figure = SOUND_LASH;
    }
    return new Done(s.act(), s.id(), s.cylinder(), s.valve(), figure, s.word(), "?", Instant.EPOCH);
  }

  private static List<JobValve> valves(Job job) {
    return job.plan().valves().stream()
        .map(
            w -> {
              ValveState v = job.valve(w.valve());
              boolean held = job.held().containsKey(w.valve().cylinder());
              String words =
                  held && v.stage() == ValveState.Stage.ON_SPRING
                      ? "on its spring, held"
                      : v.stage().words();
              return new JobValve(
                  w.valve(),
                  v.stage(),
                  words,
                  held,
                  v.loose(),
                  v.springIn(),
                  w.newSpring(),
                  v.heightIn(),
                  v.pushrod(),
                  v.lashSet());
            })
        .toList();
  }

  private static JobCount count(Item item, Job job) {
    Tally t = job.count(item);
    return new JobCount(
        item,
        t.laidOut(),
        t.off(),
        t.on(),
        t.expected(),
        t.counted(),
        t.difference(item).orElse(null));
  }

  /** What else may happen at the cylinder and valve at hand: offered only where it is allowed. */
  private static List<Otherwise> otherwise(Job job, @Nullable Step next) {
    List<Otherwise> all = new ArrayList<>();
    for (int c : job.held().keySet()) {
      add(all, job, Act.AIR_LOST, c, null, "The hold is going at cylinder " + c, "");
      add(all, job, Act.REHELD, c, null, "Cylinder " + c + " is held again", "what holds it");
      add(all, job, Act.RELEASE, c, null, "Let the hold of cylinder " + c + " go", "");
    }
    job.valves()
        .forEach(
            (p, v) -> {
              add(all, job, Act.DROPPED, null, p, p + " has dropped", "");
              add(all, job, Act.JUMPED, null, p, "A lock of " + p + " jumped", "");
              add(all, job, Act.ACCEPT_HEIGHT, null, p, p + ": its height may stand", "why");
              skip(all, job, next, p);
              add(all, job, Act.STACK, null, p, p + ": another stack of shims", "pieces");
              add(all, job, Act.SPRING_OUT, null, p, p + ": take the spring out again", "why");
              add(all, job, Act.UNHOOK, null, p, p + ": take the locks out again", "");
              add(all, job, Act.COMPRESS, null, p, p + ": compress it once more", "");
              add(all, job, Act.CLOSE, null, p, p + ": let it up again", "");
            });
    add(all, job, Act.LOCK, null, null, "Lock the crank", "");
    add(all, job, Act.UNLOCK, null, null, "Unlock the crank", "");
    Stream.of(Item.values())
        .filter(i -> job.ticked().contains("count:" + i))
        .filter(i -> job.count(i).difference(i).isPresent())
        .map(
            i ->
                new Otherwise(
                    Act.COUNTED,
                    null,
                    null,
                    i.name(),
                    "Count the " + i.many() + " again",
                    "pieces",
                    null,
                    null))
        .forEach(all::add);
    for (Item i : List.of(Item.LOCKS, Item.RETAINERS, Item.SEALS)) {
      pieces(all, job, Act.LAY_OUT, i, "More " + i.many() + " from stock");
      pieces(all, job, Act.PUT_AWAY, i, "Old " + i.many() + " to scrap or spares, in all");
    }
    add(all, job, Act.BAR, null, null, "The crank was barred elsewhere", "degrees");
    add(all, job, Act.PARK, null, null, "Park the job", "what it waits for");
    add(all, job, Act.ORDER, null, null, "A part is missing: order it and park", "which part");
    wait(all, job, "drying or cooling", "Wait for drying or cooling");
    wait(all, job, "delivery", "Wait for a delivery");
    add(all, job, Act.RESUME, null, null, "Take the job up again", "");
    add(all, job, Act.ABANDON, null, null, "End it unfinished", "why");
    List<Otherwise> other = new ArrayList<>(all.stream().filter(o -> !same(o, next)).toList());
    if (next != null && next.act() == Act.BAR && job.plan().hold() == Hold.AIR) {
      String words = "The crank stands off TDC, and stays there";
      String asks = "degrees past TDC, before it with a minus";
      other.add(new Otherwise(Act.BAR, null, null, null, words, asks, next.id(), next.figure()));
    }
    return other;
  }

  /** A height is left open as the step at hand, so that the walk goes on. */
  private static void skip(List<Otherwise> all, Job job, @Nullable Step next, Position p) {
    if (next != null && next.act() == Act.HEIGHT && p.equals(next.valve())) {
      String words = p + ": its height is not measured";
      add(all, job, new Otherwise(Act.SKIP_HEIGHT, null, p, null, words, "why", next.id(), null));
    }
  }

  private static void pieces(List<Otherwise> all, Job job, Act act, Item item, String words) {
    add(all, job, new Otherwise(act, null, null, item.name(), words, "pieces", null, null));
  }

  private static boolean same(Otherwise o, @Nullable Step next) {
    return next != null
        && o.act() == next.act()
        && Objects.equals(o.cylinder(), next.cylinder())
        && Objects.equals(o.valve(), next.valve());
  }

  private static void wait(List<Otherwise> all, Job job, String word, String words) {
    add(all, job, new Otherwise(Act.PARK, null, null, word, words, "minutes", null, null));
  }

  private static void add(
      List<Otherwise> all,
      Job job,
      Act act,
      @Nullable Integer c,
      @Nullable Position p,
      String words,
      String asks) {
    add(all, job, new Otherwise(act, c, p, null, words, asks, null, null));
  }

  /** Offered where the act would be allowed. */
  private static void add(List<Otherwise> all, Job job, Otherwise o) {
    String word = Objects.requireNonNullElse(o.word(), "x");
    Done trial = new Done(o.act(), "", o.cylinder(), o.valve(), 1.0, word, "?", Instant.EPOCH);
    if (job.refuses(trial).isEmpty()) {
      all.add(o);
    }
  }
}
