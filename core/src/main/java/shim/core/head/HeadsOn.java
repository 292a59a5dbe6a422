package shim.core.head;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import shim.core.change.AtStop;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.Folding;
import shim.core.walk.Otherwise;
import shim.core.walk.Procedure;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** Putting heads on an engine: gasket, torque in its sequence, valve drive, lash, first start. */
public final class HeadsOn implements Procedure<HeadsOn.State> {
  private final HeadsOnPlan plan;
  private final List<Step> steps;

  /**
   * How things stand beside what every walk knows.
   *
   * @param crankDeg null until the crank was brought somewhere
   * @param seated valves whose pushrod is in its cup
   * @param rockersOn cylinders
   * @param set valves whose lash or preload is set
   */
  public record State(
      @Nullable Double crankDeg, Set<Position> seated, Set<Integer> rockersOn, Set<Position> set) {
    public State {
      seated = Collections.unmodifiableSet(seated);
      rockersOn = Collections.unmodifiableSet(rockersOn);
      set = Collections.unmodifiableSet(set);
    }
  }

  /**
   * One fixing on the tally.
   *
   * @param side from 0
   * @param done steps that are done
   * @param waits it cannot be reached until the rockers are on
   */
  public record Tallied(int side, int number, int done, int of, boolean waits) {}

  public HeadsOn(HeadsOnPlan plan) {
    this.plan = plan;
    this.steps = new HeadsOnScript(plan).write();
  }

  public HeadsOnPlan plan() {
    return plan;
  }

  @Override
  public String title() {
    return "Heads on: " + plan.head();
  }

  @Override
  public List<Step> steps() {
    return steps;
  }

  @Override
  public State begin() {
    return new State(null, Set.of(), Set.of(), Set.of());
  }

  @Override
  public List<HeadItem> things() {
    return List.of(HeadItem.values());
  }

  /** Every fixing with what is done of it. */
  public List<Tallied> tally(Walk<State> walk) {
    List<Tallied> all = new ArrayList<>();
    Fixings f = plan.fixings();
    int of = f.stepsLbfFt().size();
    for (int side = 0; side < plan.sides().size(); side++) {
      for (int n = 1; n <= f.perSide(); n++) {
        int done = 0;
        while (done < of && walk.ticked().contains(HeadsOnScript.torqueId(side, n, done))) {
          done++;
        }
        boolean waits = f.waiting().contains(n) && !rockersOn(walk.own(), side);
        all.add(new Tallied(side, n, done, of, waits));
      }
    }
    return all;
  }

  private boolean rockersOn(State state, int side) {
    return plan.cylinders().stream()
        .filter(c -> plan.sideOf(c) == side)
        .allMatch(c -> state.rockersOn().contains(c));
  }

  @Override
  public List<Otherwise> others(Walk<State> walk, @Nullable Step next) {
    List<Otherwise> all = new ArrayList<>();
    all.add(Otherwise.more(HeadItem.FIXINGS));
    all.add(Otherwise.more(HeadItem.GASKETS));
    all.add(Otherwise.whole(SpringAct.BAR, null, "The crank was barred elsewhere", "degrees"));
    return all;
  }

  // ---- why not

  @Override
  public Optional<String> refuses(Walk<State> walk, Done d) {
    if (d.act() == WalkAct.TORQUE) {
      return torque(walk, d);
    }
    if (d.act() == WalkAct.TICK) {
      return d.step().endsWith(":gasket") || d.step().endsWith(":on") ? side(walk, d) : none();
    }
    if (d.act() == WalkAct.UNTICK) {
      return taken(walk, d);
    }
    if (!(d.act() instanceof SpringAct act)) {
      return none();
    }
    return switch (act) {
      case BAR -> bar(walk, d);
      case SEATED -> seated(walk, d);
      case ROCKERS_ON -> rockers(walk, d);
      case ZERO_LASH, LASH -> lash(walk, d);
      default -> Optional.of("that has no part in this work");
    };
  }

  private static Optional<String> none() {
    return Optional.empty();
  }

  private static boolean known(HeadsOnPlan plan, @Nullable Position p) {
    return p != null && plan.valves().contains(p);
  }

  /** A gasket lies under its head, and the head under its fixings. */
  private static Optional<String> side(Walk<State> walk, Done d) {
    if (walk.ticked().contains(d.step())) {
      return Optional.of("that is done");
    }
    String gasket = d.step().replace(":on", ":gasket");
    return d.step().endsWith(":on") && !walk.ticked().contains(gasket)
        ? Optional.of("the gasket goes on first")
        : none();
  }

  private static Optional<String> taken(Walk<State> walk, Done d) {
    boolean side = d.text().endsWith(":gasket") || d.text().endsWith(":on");
    boolean torqued = walk.ticked().stream().anyMatch(s -> s.startsWith("torque:side"));
    return side && torqued
        ? Optional.of("its fixings are torqued: end the job, and begin with a new gasket")
        : none();
  }

  /** Never a step skipped: each comes after all before it in the sequence. */
  private Optional<String> torque(Walk<State> walk, Done d) {
    if (d.step().isEmpty() || walk.ticked().contains(d.step())) {
      return Optional.of(d.step().isEmpty() ? "say which fixing, and which step" : "that is done");
    }
    if (d.cylinder() != null && !walk.own().rockersOn().contains(d.cylinder())) {
      return Optional.of("the rockers of cylinder " + d.cylinder() + " are not on yet");
    }
    for (Step s : steps) {
      if (s.id().equals(d.step())) {
        break;
      }
      boolean same =
          s.act() == WalkAct.TORQUE
              && Objects.equals(s.cylinder(), d.cylinder())
              && group(s.id()).equals(group(d.step()));
      if (same && !walk.ticked().contains(s.id())) {
        return Optional.of("first: " + s.title());
      }
    }
    return headStep(walk, d);
  }

  /** Steps of one head are one sequence; those of another thing are another. */
  private static String group(String torqueId) {
    return torqueId.substring(0, torqueId.indexOf(':', "torque:".length()));
  }

  private Optional<String> headStep(Walk<State> walk, Done d) {
    for (int side = 0; side < plan.sides().size(); side++) {
      if (d.step().startsWith("torque:side" + side + ":")) {
        if (!walk.ticked().contains("tick:side" + side + ":on")) {
          return Optional.of("the head is not on its dowels yet");
        }
        int number = Integer.parseInt(d.step().split(":")[2]);
        return plan.fixings().waiting().contains(number) && !rockersOn(walk.own(), side)
            ? Optional.of("it waits: the rockers go on first")
            : none();
      }
    }
    return none();
  }

  private Optional<String> down(Walk<State> walk) {
    return tally(walk).stream()
        .filter(t -> !t.waits() && t.done() < t.of())
        .filter(t -> !plan.fixings().waiting().contains(t.number()))
        .findFirst()
        .map(
            t ->
                plan.sides().get(t.side()).name()
                    + ", "
                    + plan.fixings().kind().one()
                    + " "
                    + t.number()
                    + " is not torqued yet");
  }

  private Optional<String> seated(Walk<State> walk, Done d) {
    if (!known(plan, d.valve())) {
      return Optional.of("say at which valve of these heads");
    }
    return plan.drive().pushrods() ? down(walk) : Optional.of("this engine has no pushrods");
  }

  private Optional<String> rockers(Walk<State> walk, Done d) {
    Integer c = d.cylinder();
    if (c == null || !plan.cylinders().contains(c)) {
      return Optional.of("say at which cylinder");
    }
    if (walk.own().rockersOn().contains(c)) {
      return Optional.of("the rockers of cylinder " + c + " are on");
    }
    List<Position> here = plan.of(c);
    return down(walk).or(() -> unseated(walk, here, "the rocker bends it"));
  }

  private Optional<String> unseated(Walk<State> walk, List<Position> of, String harm) {
    return plan.drive().pushrods()
        ? of.stream()
            .filter(p -> !walk.own().seated().contains(p))
            .findFirst()
            .map(p -> p + "'s pushrod is not confirmed in its lifter's cup: " + harm)
        : none();
  }

  private Optional<String> bar(Walk<State> walk, Done d) {
    return AtStop.nowhere(d)
        .or(() -> down(walk))
        .or(() -> unseated(walk, plan.valves(), "barring bends it"))
        .or(
            () ->
                plan.drive().hydraulic() && !walk.ticked().contains("tick:bled")
                    ? Optional.of("let the lifters bleed down first: a valve may stand open")
                    : none());
  }

  private Optional<String> lash(Walk<State> walk, Done d) {
    Position p = d.valve();
    if (p == null || !known(plan, p)) {
      return Optional.of("say at which valve of these heads");
    }
    if (!walk.own().rockersOn().contains(p.cylinder())) {
      return Optional.of("the rockers are not on yet");
    }
    DoubleStream stops =
        plan.stops().stream()
            .filter(s -> s.valves().contains(p))
            .mapToDouble(HeadsOnPlan.Stop::crankDeg);
    return AtStop.refuses(walk, d, p, walk.own().crankDeg(), stops, plan.drive().sets());
  }

  // ---- what an act makes of it

  @Override
  public void follow(Folding<State> w, Done d) {
    count(w, d);
    if (!(d.act() instanceof SpringAct act)) {
      return;
    }
    State s = w.own();
    switch (act) {
      case BAR -> w.own(new State(d.figure(), s.seated(), s.rockersOn(), s.set()));
      case SEATED -> {
        if (!s.seated().contains(Objects.requireNonNull(d.valve()))) {
          w.count(HeadItem.PUSHRODS, t -> t.putOn(1));
        }
        w.own(new State(s.crankDeg(), with(s.seated(), d.valve()), s.rockersOn(), s.set()));
      }
      case ROCKERS_ON ->
          w.own(new State(s.crankDeg(), s.seated(), with(s.rockersOn(), d.cylinder()), s.set()));
      case LASH ->
          w.own(new State(s.crankDeg(), s.seated(), s.rockersOn(), with(s.set(), d.valve())));
      default -> {
        // A reading: noted with its step.
      }
    }
  }

  private void count(Folding<State> w, Done d) {
    boolean gasket = (d.step() + d.text()).endsWith(":gasket");
    if (gasket && d.act() == WalkAct.TICK) {
      w.count(HeadItem.GASKETS, t -> t.putOn(1));
    } else if (gasket && d.act() == WalkAct.UNTICK) {
      w.count(HeadItem.GASKETS, t -> t.takenOff(1));
    }
    Act act = d.act();
    boolean last = d.step().endsWith(":" + (plan.fixings().stepsLbfFt().size() - 1));
    if (act == WalkAct.TORQUE && d.step().startsWith("torque:side") && last) {
      w.count(HeadItem.FIXINGS, t -> t.putOn(1));
    }
  }

  private static <T extends Comparable<T>> Set<T> with(Set<T> all, @Nullable T one) {
    Set<T> next = new TreeSet<>(all);
    next.add(Objects.requireNonNull(one));
    return next;
  }
}
