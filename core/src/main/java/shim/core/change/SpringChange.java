package shim.core.change;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import shim.core.change.ValveState.Pushrod;
import shim.core.change.ValveState.Stage;
import shim.core.engine.Position;
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.Folding;
import shim.core.walk.Otherwise;
import shim.core.walk.Procedure;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** The spring change as a procedure: what acts make of valves, crank and rockers. */
public final class SpringChange implements Procedure<Job> {
  private final JobPlan plan;
  private final List<Step> steps;

  public SpringChange(JobPlan plan) {
    this.plan = plan;
    this.steps = Script.of(plan);
  }

  public JobPlan plan() {
    return plan;
  }

  @Override
  public String title() {
    return plan.kind().title();
  }

  @Override
  public List<Step> steps() {
    return steps;
  }

  @Override
  public Job begin() {
    return Job.begin(plan);
  }

  @Override
  public List<Item> things() {
    return List.of(Item.values());
  }

  @Override
  public String heldBy() {
    return plan.hold().by();
  }

  /** Not where the head is on a bench. */
  @Override
  public boolean mayDrop() {
    return plan.hold().onTheCrank();
  }

  @Override
  public Map<Position, Optional<Instant>> hanging(Job job) {
    Map<Position, Optional<Instant>> loose = new TreeMap<>();
    job.valves()
        .forEach(
            (p, v) -> {
              if (v.loose()) {
                loose.put(p, Optional.ofNullable(v.since()));
              }
            });
    return loose;
  }

  @Override
  public List<String> whenLost(Position valve) {
    return Cautions.whenLost(plan.hold(), valve);
  }

  @Override
  public boolean standsFor(Act act, Step step) {
    return step.act() == SpringAct.HEIGHT && act == SpringAct.SKIP_HEIGHT;
  }

  @Override
  public Optional<String> refuses(Walk<Job> walk, Done act) {
    return new Guard(walk).refuses(act);
  }

  @Override
  public Optional<String> leaving(Walk<Job> walk, String how) {
    return new Guard(walk).leaving(how);
  }

  @Override
  public List<String> open(Walk<Job> walk) {
    List<String> open = new ArrayList<>();
    Job job = walk.own();
    job.valves()
        .forEach(
            (p, v) -> {
              if (v.stage() == Stage.DROPPED) {
                open.add(p + " dropped: the head comes off");
              } else if (v.stage() != Stage.PROVED) {
                open.add(p + " is not finished: " + v.stage().words());
              }
            });
    if (job.crankLocked()) {
      open.add("the crank is still locked");
    }
    job.off().forEach(c -> open.add("the rockers of cylinder " + c + " are off"));
    return open;
  }

  @Override
  public List<Otherwise> others(Walk<Job> walk, @Nullable Step next) {
    return SpringOthers.of(walk.own(), next);
  }

  // ---- what goes a step back has its later steps to do again

  @Override
  public void undo(Folding<Job> w, Done d) {
    if (d.valve() != null) {
      undo(w, d, d.valve());
    } else if (d.cylinder() != null) {
      undo(w, d, d.cylinder());
    }
  }

  private static void undo(Folding<Job> w, Done d, Position p) {
    boolean letUp = d.act() == SpringAct.CLOSE && !w.own().valve(p).heightDone();
    List<String> back =
        d.act() instanceof SpringAct a
            ? switch (a) {
              case UNHOOK, JUMPED -> List.of("COMPRESSagain", "HOOK", "CLOSE", "PROVE");
              case SPRING_OUT -> List.of("SPRING_IN", "COMPRESSagain", "HOOK", "CLOSE", "PROVE");
              case STACK -> List.of("HEIGHT");
              case COMPRESS -> List.of("CLOSE", "PROVE");
              case CLOSE -> letUp ? List.of("COMPRESS", "UNHOOK") : List.of();
              default -> List.of();
            }
            : List.of();
    back.forEach(b -> w.again(p + ":" + b));
  }

  private void undo(Folding<Job> w, Done d, int c) {
    boolean all = plan.of(c).stream().allMatch(x -> w.own().valve(x.valve()).stage().finished());
    if (d.act() == WalkAct.HOLD) {
      w.again("c" + c + ":RELEASE");
    } else if (d.act() == WalkAct.RELEASE || d.act() == WalkAct.AIR_LOST) {
      if (!all && !w.hanging(c)) {
        w.again("c" + c + ":HOLD");
      }
    } else if (d.act() == SpringAct.ROCKERS_OFF) {
      rockersAgain(w, c);
    }
  }

  private void rockersAgain(Folding<Job> w, int c) {
    w.again("c" + c + ":ROCKERS_ON");
    w.again(s -> s.startsWith("torque:") && s.contains(":" + c + ":"));
    for (JobPlan.Work x : plan.of(c)) {
      List.of(":SEATED", ":ZERO_LASH", ":LASH").forEach(s -> w.again(x.valve() + s));
    }
  }

  // ---- what an act makes of it

  @Override
  public void follow(Folding<Job> w, Done d) {
    if (d.act() == WalkAct.DROPPED) {
      set(w, Objects.requireNonNull(d.valve()), v -> v.stage(Stage.DROPPED));
    }
    if (!(d.act() instanceof SpringAct a)) {
      return;
    }
    if (d.valve() != null) {
      valve(w, a, d, d.valve());
    } else if (d.cylinder() != null) {
      cylinder(w, a, d.cylinder());
    } else {
      engine(w, a, d);
    }
  }

  private static void engine(Folding<Job> w, SpringAct act, Done d) {
    Job job = w.own();
    switch (act) {
      case BAR -> w.own(job.crank(d.figure(), job.crankLocked()));
      case LOCK -> w.own(job.crank(job.crankDeg(), true));
      case UNLOCK -> w.own(job.crank(job.crankDeg(), false));
      default -> {
        // Nothing of the whole engine.
      }
    }
  }

  private static void cylinder(Folding<Job> w, SpringAct act, int c) {
    Set<Integer> off = new TreeSet<>(w.own().off());
    switch (act) {
      case ROCKERS_OFF -> {
        off.add(c);
        w.own(w.own().rockers(off).each(c, v -> v.pushrod(Pushrod.OUT).lash(false)));
      }
      case ROCKERS_ON -> {
        off.remove(c);
        w.own(w.own().rockers(off));
      }
      case KEPT_OUT -> w.own(w.own().each(c, v -> v.pushrod(Pushrod.KEPT_OUT)));
      default -> {
        // Nothing of a cylinder.
      }
    }
  }

  private void valve(Folding<Job> w, SpringAct act, Done d, Position p) {
    ValveState v = w.own().valve(p);
    switch (act) {
      case COMPRESS -> set(w, p, x -> x.stage(Stage.COMPRESSED));
      case UNHOOK -> unhook(w, d, p);
      case SPRING_OUT -> {
        if (Answer.of(d.text()).filter(Answer::forGood).isPresent()) {
          w.own(w.own().scrap(Objects.requireNonNull(v.springIn())));
        }
        set(w, p, x -> x.spring(null).stage(Stage.UNHOOKED));
        w.count(Item.SPRINGS, t -> t.takenOff(1));
      }
      case SEAL -> {
        boolean had = plan.kind() != JobPlan.Kind.ASSEMBLE;
        w.count(Item.SEALS, t -> t.takenOff(had ? 1 : 0).putOn(1));
      }
      case STACK -> {
        int pieces = (int) d.number();
        w.count(Item.SHIMS, t -> t.takenOff(v.shims()).putOn(pieces).fromStock());
        set(w, p, x -> x.stack(pieces));
      }
      case HEIGHT -> set(w, p, x -> x.height(d.number()));
      case SKIP_HEIGHT, ACCEPT_HEIGHT -> set(w, p, ValveState::accepted);
      case SPRING_IN -> {
        set(w, p, x -> x.spring(d.text()));
        w.count(Item.SPRINGS, t -> t.putOn(1));
      }
      case HOOK -> {
        set(w, p, x -> x.hooked(true));
        w.count(Item.LOCKS, t -> t.putOn(2));
        w.count(Item.RETAINERS, t -> t.putOn(1));
      }
      case CLOSE -> set(w, p, x -> x.stage(x.heightDone() ? Stage.CLOSED : Stage.ON_SPRING));
      case PROVE -> set(w, p, x -> x.stage(Stage.PROVED));
      case JUMPED -> {
        w.loseIfFree(p.cylinder(), d.at());
        unhook(w, d, p);
      }
      case SEATED -> set(w, p, x -> x.pushrod(Pushrod.SEATED));
      case LASH -> set(w, p, x -> x.lash(true));
      case FREE, ZERO_LASH, BAR, LOCK, UNLOCK, ROCKERS_OFF, ROCKERS_ON, KEPT_OUT -> {
        // A knock, a reading: noted with its step.
      }
    }
  }

  private static void unhook(Folding<Job> w, Done d, Position p) {
    set(w, p, x -> x.unhooked(d.at()));
    w.count(Item.LOCKS, t -> t.takenOff(2));
    w.count(Item.RETAINERS, t -> t.takenOff(1));
  }

  private static void set(
      Folding<Job> w, Position p, java.util.function.UnaryOperator<ValveState> change) {
    w.own(w.own().with(p, change));
  }
}
