package shim.core.change;

import java.time.Instant;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import shim.core.change.JobPlan.Work;
import shim.core.change.ValveState.Pushrod;
import shim.core.change.ValveState.Stage;
import shim.core.engine.Position;

/**
 * A job as it stands: what every act so far has made of it. {@link Guard} refuses what would hurt;
 * {@link #after} only follows what was allowed.
 *
 * @param crankDeg null until the crank was brought somewhere
 * @param held by cylinder, while its hold is on
 * @param off cylinders whose rockers are off
 * @param scrapped marks of springs that came out for good
 * @param ticked steps of the script that are done
 */
public record Job(
    JobPlan plan,
    boolean accepted,
    @Nullable Double crankDeg,
    boolean crankLocked,
    Map<Integer, Held> held,
    Set<Integer> off,
    Map<Position, ValveState> valves,
    Map<Item, Tally> counts,
    Set<String> scrapped,
    Set<String> ticked,
    @Nullable Parked parked,
    End end) {

  /**
   * A hold that is on.
   *
   * @param lost it failed, and nothing has been put in its place
   */
  public record Held(String by, Instant since, boolean lost) {}

  /**
   * A job that waits.
   *
   * @param until end of a wait that has one: drying, cooling, delivery
   */
  public record Parked(String why, Instant since, @Nullable Instant until) {}

  /** How a job ended, if it has. */
  public enum End {
    OPEN,
    SIGNED,
    ABANDONED
  }

  public Job {
    held = Collections.unmodifiableMap(held);
    off = Collections.unmodifiableSet(off);
    valves = Collections.unmodifiableMap(valves);
    counts = Collections.unmodifiableMap(counts);
    scrapped = Collections.unmodifiableSet(scrapped);
    ticked = Collections.unmodifiableSet(ticked);
  }

  /** A job before its first act. */
  public static Job begin(JobPlan plan) {
    Map<Position, ValveState> valves = new TreeMap<>();
    boolean bare = plan.kind() == JobPlan.Kind.ASSEMBLE;
    boolean rods = plan.drive().pushrods() && plan.kind() == JobPlan.Kind.IN_CAR;
    for (Work w : plan.valves()) {
      valves.put(
          w.valve(),
          new ValveState(
              bare ? Stage.UNHOOKED : Stage.ON_SPRING,
              bare ? null : w.oldSpring(),
              !bare,
              bare ? 0 : w.shims(),
              null,
              false,
              rods ? Pushrod.IN_PLACE : Pushrod.NONE,
              false,
              null));
    }
    return new Job(
        plan, false, null, false, Map.of(), Set.of(), valves, Map.of(), Set.of(), Set.of(), null,
        End.OPEN);
  }

  /** What a list of acts has made of a plan. */
  public static Job of(JobPlan plan, List<Done> acts) {
    Job job = begin(plan);
    for (Done act : acts) {
      job = job.after(act);
    }
    return job;
  }

  /** Why an act must not be done now; empty when it may. */
  public Optional<String> refuses(Done act) {
    return new Guard(this).refuses(act);
  }

  /** Where the crank stands off the TDC at which a cylinder's air goes on, and what air does. */
  public Optional<CrankOff> offTdc(int cylinder) {
    return plan.hold() == Hold.AIR ? CrankOff.of(this, cylinder) : Optional.empty();
  }

  /** All that is open before sign-off. */
  public List<String> openForSigning() {
    return Signing.open(this);
  }

  public ValveState valve(Position p) {
    return Objects.requireNonNull(valves.get(p), "no such valve in this job: " + p);
  }

  public Tally count(Item item) {
    return counts.getOrDefault(item, Tally.NONE);
  }

  /** Valves that nothing but their hold keeps up; on a bench they cannot fall far. */
  public List<Position> loose() {
    return valves.entrySet().stream()
        .filter(e -> e.getValue().loose())
        .map(Map.Entry::getKey)
        .toList();
  }

  /** The job once an act is done; the act is not questioned here. */
  public Job after(Done act) {
    Change c = new Change(this);
    c.apply(act);
    return c.job();
  }

  /** The one place where a job's parts are changed: copies, then the acts one by one. */
  private static final class Change {
    private final JobPlan plan;
    private final Map<Integer, Held> held;
    private final Set<Integer> off;
    private final Map<Position, ValveState> valves;
    private final Map<Item, Tally> counts;
    private final Set<String> scrapped;
    private final Set<String> ticked;
    private boolean accepted;
    private @Nullable Double crankDeg;
    private boolean locked;
    private @Nullable Parked parked;
    private End end;

    Change(Job j) {
      plan = j.plan;
      held = new TreeMap<>(j.held);
      off = new LinkedHashSet<>(j.off);
      valves = new TreeMap<>(j.valves);
      counts = new EnumMap<>(Item.class);
      counts.putAll(j.counts);
      scrapped = new LinkedHashSet<>(j.scrapped);
      ticked = new LinkedHashSet<>(j.ticked);
      accepted = j.accepted;
      crankDeg = j.crankDeg;
      locked = j.crankLocked;
      parked = j.parked;
      end = j.end;
    }

    Job job() {
      return new Job(
          plan, accepted, crankDeg, locked, held, off, valves, counts, scrapped, ticked, parked,
          end);
    }

    void apply(Done d) {
      undo(d);
      if (d.act() == Act.UNTICK) {
        ticked.remove(d.text());
      } else if (!d.step().isEmpty()) {
        ticked.add(d.step());
      }
      if (d.valve() != null) {
        valve(d, d.valve());
      } else if (d.cylinder() != null) {
        cylinder(d, d.cylinder());
      } else {
        whole(d);
      }
    }

    /** What goes a step back has its later steps to do again. */
    private void undo(Done d) {
      if (d.valve() != null) {
        Position p = d.valve();
        boolean letUp = d.act() == Act.CLOSE && !state(p).heightDone();
        List<String> back =
            switch (d.act()) {
              case UNHOOK, JUMPED -> List.of("COMPRESSagain", "HOOK", "CLOSE", "PROVE");
              case SPRING_OUT -> List.of("SPRING_IN", "COMPRESSagain", "HOOK", "CLOSE", "PROVE");
              case STACK -> List.of("HEIGHT");
              case COMPRESS -> List.of("CLOSE", "PROVE");
              case CLOSE -> letUp ? List.of("COMPRESS", "UNHOOK") : List.of();
              default -> List.of();
            };
        back.forEach(b -> ticked.remove(p + ":" + b));
      } else if (d.cylinder() != null) {
        int c = d.cylinder();
        boolean all = plan.of(c).stream().allMatch(w -> state(w.valve()).stage().finished());
        switch (d.act()) {
          case HOLD -> ticked.remove("c" + c + ":RELEASE");
          case RELEASE, AIR_LOST ->
              ticked.removeIf(s -> !all && !anyLoose(c) && s.equals("c" + c + ":HOLD"));
          case ROCKERS_OFF -> again(c);
          default -> {
            // Nothing before it is undone.
          }
        }
      }
    }

    private void again(int c) {
      ticked.remove("c" + c + ":ROCKERS_ON");
      ticked.removeIf(s -> s.startsWith("torque:") && s.contains(":" + c + ":"));
      plan.of(c)
          .forEach(
              w -> {
                ticked.remove(w.valve() + ":SEATED");
                ticked.remove(w.valve() + ":ZERO_LASH");
                ticked.remove(w.valve() + ":LASH");
              });
    }

    private void whole(Done d) {
      switch (d.act()) {
        case ACCEPT -> accepted = true;
        case BAR -> crankDeg = d.figure();
        case LOCK -> locked = true;
        case UNLOCK -> locked = false;
        case LAY_OUT ->
            count(
                Item.valueOf(d.text()),
                t -> d.step().isEmpty() ? t.more((int) d.number()) : t.laid((int) d.number()));
        case PUT_AWAY -> count(Item.valueOf(d.text()), t -> t.putAway((int) d.number()));
        case COUNTED -> count(Item.valueOf(d.text()), t -> t.found((int) d.number()));
        case PARK ->
            parked =
                new Parked(
                    d.text(),
                    d.at(),
                    d.figure() == null ? null : d.at().plusSeconds(Math.round(60 * d.number())));
        case ORDER -> parked = new Parked("on order: " + d.text(), d.at(), null);
        case RESUME -> parked = null;
        case SIGN -> end = End.SIGNED;
        case ABANDON -> end = End.ABANDONED;
        default -> {
          // A step without consequences: it is ticked, nothing else.
        }
      }
    }

    private void cylinder(Done d, int c) {
      switch (d.act()) {
        case HOLD -> held.put(c, new Held(plan.hold().by(), d.at(), false));
        case RELEASE -> held.remove(c);
        case AIR_LOST -> lose(c, d.at());
        case REHELD -> held.put(c, new Held(d.text(), d.at(), false));
        case ROCKERS_OFF -> {
          off.add(c);
          each(c, v -> v.pushrod(Pushrod.OUT).lash(false));
        }
        case ROCKERS_ON -> off.remove(c);
        case KEPT_OUT -> each(c, v -> v.pushrod(Pushrod.KEPT_OUT));
        default -> {
          // A step without consequences.
        }
      }
    }

    private boolean anyLoose(int c) {
      return plan.of(c).stream().anyMatch(w -> state(w.valve()).loose());
    }

    private void lose(int c, Instant at) {
      if (anyLoose(c)) {
        held.put(c, new Held(plan.hold().by(), at, true));
      } else {
        held.remove(c);
      }
    }

    private void valve(Done d, Position p) {
      ValveState v = state(p);
      switch (d.act()) {
        case COMPRESS -> set(p, v.stage(Stage.COMPRESSED));
        case UNHOOK -> {
          set(p, v.unhooked(d.at()));
          count(Item.LOCKS, t -> t.takenOff(2));
          count(Item.RETAINERS, t -> t.takenOff(1));
        }
        case SPRING_OUT -> {
          if (d.answer().filter(Answer::forGood).isPresent()) {
            scrapped.add(java.util.Objects.requireNonNull(v.springIn()));
          }
          set(p, v.spring(null).stage(Stage.UNHOOKED));
          count(Item.SPRINGS, t -> t.takenOff(1));
        }
        case SEAL -> {
          boolean had = plan.kind() != JobPlan.Kind.ASSEMBLE;
          count(Item.SEALS, t -> t.takenOff(had ? 1 : 0).putOn(1));
        }
        case STACK -> {
          int pieces = (int) d.number();
          count(Item.SHIMS, t -> t.takenOff(v.shims()).putOn(pieces).fromStock());
          set(p, v.stack(pieces));
        }
        case HEIGHT -> set(p, v.height(d.number()));
        case SKIP_HEIGHT, ACCEPT_HEIGHT -> set(p, v.accepted());
        case SPRING_IN -> {
          set(p, v.spring(d.text()));
          count(Item.SPRINGS, t -> t.putOn(1));
        }
        case HOOK -> {
          set(p, v.hooked(true));
          count(Item.LOCKS, t -> t.putOn(2));
          count(Item.RETAINERS, t -> t.putOn(1));
        }
        case CLOSE -> set(p, v.stage(v.heightDone() ? Stage.CLOSED : Stage.ON_SPRING));
        case PROVE -> set(p, v.stage(Stage.PROVED));
        case JUMPED -> {
          held.putIfAbsent(p.cylinder(), new Held(plan.hold().by(), d.at(), true));
          set(p, v.unhooked(d.at()));
          count(Item.LOCKS, t -> t.takenOff(2));
          count(Item.RETAINERS, t -> t.takenOff(1));
        }
        case DROPPED -> {
          set(p, v.stage(Stage.DROPPED));
          if (!anyLoose(p.cylinder())) {
            held.remove(p.cylinder());
          }
        }
        case SEATED -> set(p, v.pushrod(Pushrod.SEATED));
        case LASH -> set(p, v.lash(true));
        default -> {
          // A look, a seal, a tap: noted with its step.
        }
      }
    }

    private void each(int cylinder, java.util.function.UnaryOperator<ValveState> with) {
      plan.of(cylinder).forEach(w -> set(w.valve(), with.apply(state(w.valve()))));
    }

    private ValveState state(Position p) {
      return Objects.requireNonNull(valves.get(p));
    }

    private void set(Position p, ValveState v) {
      valves.put(p, v);
    }

    private void count(Item item, java.util.function.UnaryOperator<Tally> with) {
      counts.put(item, with.apply(counts.getOrDefault(item, Tally.NONE)));
    }
  }
}
