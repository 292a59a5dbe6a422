package shim.core.head;

import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import shim.core.change.JobPlan;
import shim.core.change.JobPlan.Torque;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.unit.InWords;
import shim.core.walk.Step;
import shim.core.walk.StepList;
import shim.core.walk.WalkAct;

/** The steps from a clean deck to the first start. */
final class HeadsOnScript extends StepList {
  private final HeadsOnPlan plan;
  private final Fixings fixings;

  HeadsOnScript(HeadsOnPlan plan) {
    this.plan = plan;
    this.fixings = plan.fixings();
  }

  List<Step> write() {
    set(
        add(WalkAct.ACCEPT, "Read the cautions and accept them")
            .looking(
                "A head is heavy: two people, or a hoist. Fingers out from under it.",
                "Nobody bars the crank while a pushrod is out of its cup.",
                "The head, gasket and fastener makers' sheets come before anything said here."));
    int sides = plan.sides().size();
    layOut(HeadItem.HEAD_TOOLS, 4, "torque wrench, socket, brush, feeler leaves");
    layOut(HeadItem.HEAD_RAGS, 2, "ports and lifter valley covered");
    layOut(HeadItem.GASKETS, sides, plan.gasket());
    layOut(HeadItem.FIXINGS, sides * fixings.perSide(), fixings.kind().many() + " with washers");
    if (plan.drive().pushrods()) {
      layOut(HeadItem.PUSHRODS, plan.valves().size(), "intakes and exhausts apart");
    }
    prepare();
    for (int i = 0; i < sides; i++) {
      side(i);
    }
    valveDrive();
    lash();
    List.of(HeadItem.values()).stream()
        .filter(i -> i != HeadItem.PUSHRODS || plan.drive().pushrods())
        .forEach(this::count);
    together();
    add(WalkAct.SIGN, "Sign the heads on");
    return all();
  }

  private void prepare() {
    tick("decks", "Decks clean and dry, no old gasket, no dent", "a straight edge both ways");
    tick("threads", "Threads chased, holes blown dry", "oil in a blind hole cracks the block");
    tick("dowels", "Dowels in, the head's holes free");
    tick(
        "lubed",
        "Threads, washers and heads of the " + fixings.kind().many() + ": " + fixings.lubricant());
    if (plan.drive().pushrods()) {
      boolean hydraulic = plan.drive().hydraulic();
      tick(
          "lifters",
          plan.newLifters()
              ? "New lifters "
                  + (hydraulic ? "soaked in oil and bled" : "oiled")
                  + ", in their bores"
              : "Lifters in their own bores, oiled",
          "each turns and slides freely");
    }
  }

  private String name(int side) {
    return plan.sides().get(side).name();
  }

  private void side(int i) {
    tick("side" + i + ":gasket", name(i) + ": gasket on", plan.gasket(), "the right way round");
    set(
        add("tick:side" + i + ":on", WalkAct.TICK, name(i) + ": head on its dowels")
            .looking("flat on the gasket before any fixing pulls", "every fixing in by hand")
            .careful("Two people, or a hoist."));
    torque(i, fixings.first(), "");
  }

  /** Step by step through all of them; or, with the gasket crushed, one after another. */
  private void torque(int side, List<Integer> numbers, String look) {
    if (fixings.oneAtATime()) {
      numbers.forEach(n -> fixing(side, n, 0, "out, cleaned, lubricated, in again: one at a time"));
      return;
    }
    for (int step = 0; step < fixings.stepsLbfFt().size(); step++) {
      for (int n : numbers) {
        fixing(side, n, step, look);
      }
    }
  }

  private void fixing(int side, int n, int step, String look) {
    int of = fixings.stepsLbfFt().size();
    double figure = fixings.stepsLbfFt().get(step);
    set(
        add(
                torqueId(side, n, step),
                WalkAct.TORQUE,
                null,
                null,
                String.format(
                    Locale.ROOT,
                    "%s, %s %d: %s%s",
                    name(side),
                    fixings.kind().one(),
                    n,
                    InWords.torque(figure),
                    of == 1 ? "" : ", step " + (step + 1) + " of " + of))
            .with(figure, fixings.kind().one())
            .looking(look.isEmpty() ? fixings.chosen().words() : look));
  }

  static String torqueId(int side, int number, int step) {
    return "torque:side" + side + ":" + number + ":" + step;
  }

  private void valveDrive() {
    if (plan.drive().pushrods()) {
      for (Position p : plan.valves()) {
        set(
            at(p, SpringAct.SEATED, p + ": pushrod in the lifter's cup, " + plan.rod(p))
                .looking("it springs back from the cup, and turns freely"));
      }
    }
    for (int c : plan.cylinders()) {
      Step on = at(c, SpringAct.ROCKERS_ON, "Cylinder " + c + ": rockers on");
      on = on.looking("each the right way up, its tip on the stem");
      set(plan.drive().fixingClampsHead() ? on.careful(plan.drive().clampCaution()) : on);
      plan.torques().stream().filter(Torque::perCylinder).forEach(t -> torque(t, c));
    }
    for (int i = 0; i < plan.sides().size(); i++) {
      torque(i, fixings.later(), "reached now that the rockers are on");
    }
  }

  private void torque(Torque t, @Nullable Integer c) {
    for (int i = 0; i < t.stepsLbfFt().size(); i++) {
      double figure = t.stepsLbfFt().get(i);
      String where = c == null ? "" : "Cylinder " + c + ", ";
      set(
          add(
                  "torque:" + t.of() + ":" + (c == null ? "" : c) + ":" + i,
                  WalkAct.TORQUE,
                  c,
                  null,
                  where + t.of() + ": " + InWords.torque(figure))
              .with(figure, t.of())
              .looking(t.order(), t.lubricant(), "figure of " + t.source()));
    }
  }

  private void lash() {
    tick(
        "primed", "Oil primed until it comes at every rocker", "crank still, by a drill or a tank");
    if (plan.drive().hydraulic()) {
      tick("bled", "Pumped-up lifters have bled down", "before anyone bars");
    }
    for (int i = 0; i < plan.stops().size(); i++) {
      HeadsOnPlan.Stop stop = plan.stops().get(i);
      set(
          add(
                  "stop" + i + ":BAR",
                  SpringAct.BAR,
                  "Bar to the stop of " + Position.list(stop.valves()))
              .with(stop.crankDeg(), null)
              .careful("Plugs out, in the running direction only, by hand and slowly."));
      stop.valves().forEach(this::set);
    }
  }

  private void set(Position p) {
    String what =
        switch (plan.drive().sets()) {
          case LASH -> ": set the lash, lock it, read it again";
          case TURNS -> ": set the preload, lock it";
          case LENGTH -> ": the part that gives the preload, fitted and torqued";
        };
    if (plan.drive().sets() == JobPlan.Sets.LENGTH) {
      at(p, SpringAct.ZERO_LASH, p + ": length at zero lash, with an adjustable pushrod");
    }
    at(p, SpringAct.LASH, p + what);
  }

  private void together() {
    plan.torques().stream().filter(t -> !t.perCylinder()).forEach(t -> torque(t, null));
    if (Boolean.TRUE.equals(plan.overLifters())) {
      tick("intake-on", "Intake on, its gaskets dry and whole");
    }
    tick("plugs", "Plugs in, gaps checked");
    tick("covers", "Covers on, gaskets whole");
    tick("oil", "Drain the oil and look at it, then fresh oil in", "water, glitter");
    tick("coolant", "Coolant in and bled, no drop at the gasket's edge");
    tick("fuel", "Fuel on, look for leaks");
    tick("start", "First start, oil pressure at once");
    tick("noise", "Hot: quiet, no leak, no smell of coolant", "one that still ticks");
  }
}
