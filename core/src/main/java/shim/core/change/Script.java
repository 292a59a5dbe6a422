package shim.core.change;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.change.JobPlan.Kind;
import shim.core.change.JobPlan.Torque;
import shim.core.change.JobPlan.Work;
import shim.core.engine.Position;
import shim.core.unit.InWords;
import shim.core.walk.Step;
import shim.core.walk.StepList;
import shim.core.walk.WalkAct;

/**
 * The steps of a plan in their order. The same plan gives the same steps, so a job goes on at the
 * exact step on any device.
 */
final class Script {
  private Script() {}

  static List<Step> of(JobPlan plan) {
    return new Writer(plan).write();
  }

  private static final String PLUG_LOOK = "what each looks like: oil, a closed gap, a broken tip";

  private static String sizes(Work w) {
    if (w.to() == null) {
      return "fewest pieces";
    }
    String shims = w.to().shimsIn().isEmpty() ? "no shim" : InWords.inches(w.to().shimsIn());
    return w.to().cup().isBlank() ? shims : shims + ", on " + w.to().cup();
  }

  /** Writes the steps one after another. */
  private static final class Writer extends StepList {
    private final JobPlan plan;
    private final NewAndOld counts;
    private final Set<Integer> finished = new HashSet<>();

    Writer(JobPlan plan) {
      this.plan = plan;
      this.counts = new NewAndOld(plan);
    }

    List<Step> write() {
      set(
          add(WalkAct.ACCEPT, "Read the cautions and accept them")
              .looking(Cautions.of(plan).toArray(String[]::new)));
      layOut();
      open();
      for (int i = 0; i < plan.route().legs().size(); i++) {
        leg(i, plan.route().legs().get(i));
      }
      close();
      return all();
    }

    private void layOut() {
      layOut(Item.TOOLS, "spring tool, magnet, pliers, height gauge, hammer, air fitting");
      layOut(Item.RAGS, "every drain hole by its cover");
      layOut(Item.SPRINGS, "each with its mark, beside its valve's bag");
      layOut(Item.SEALS, "intake and exhaust seals differ");
      layOut(Item.RETAINERS, "with their locks, as sets");
      layOut(Item.LOCKS, "two a valve, of the right angle and groove");
      layOut(Item.SHIMS, counts.fresh(Item.SHIMS), "what you put beside the job, piece by piece");
    }

    private void layOut(Item item, String look) {
      if (counts.fresh(item) > 0) {
        layOut(item, counts.fresh(item), look);
      }
    }

    private void open() {
      if (plan.kind() == Kind.IN_CAR) {
        tick("isolate", "Ignition off, battery isolated");
        if (!plugsEach()) {
          tick("plugs-out", "Plugs out", PLUG_LOOK);
        }
        if (plan.drive().intakeOff()) {
          tick("intake-off", "Intake off", "cover the ports at once");
        }
        tick("covers-off", "Valve covers off", "a bag and a mark for each valve's parts");
      }
      if (plan.kind() == Kind.ASSEMBLE) {
        tick("numbered", "Valves numbered to their guides");
        tick(
            "lapped",
            "Each valve lapped and leak-checked",
            "an even ring, no light, no fluid through");
        tick("guides", "Guides gauged", "play within the builder's sheet");
        tick(
            "lube",
            "Stems and guides: " + plan.schools().lubricant().title().toLowerCase(Locale.ROOT));
      } else {
        tick("drains", "Cover the oil drain holes", "a lock that falls in there takes the pan off");
      }
    }

    private boolean plugsEach() {
      return plan.schools().plugsOut() == Schools.PlugsOut.AS_REACHED;
    }

    private void leg(int i, Route.Leg leg) {
      if (plan.hold().onTheCrank()) {
        String what =
            leg.springs().isEmpty() ? "for lash" : "TDC of cylinder " + words(leg.springs());
        set(
            add("leg" + i + ":BAR", SpringAct.BAR, "Bar to " + what)
                .with(leg.crankDeg(), null)
                .careful(
                    plugsEach()
                        ? "In the running direction only. With plugs in it comes over all at once."
                        : "Plugs out, in the running direction only."));
      }
      List<Integer> here = leg.springs().stream().filter(c -> !plan.of(c).isEmpty()).toList();
      if (!here.isEmpty()) {
        springs(i, here);
      }
      lash(leg);
    }

    private void springs(int i, List<Integer> here) {
      boolean lock = plan.hold() == Hold.AIR && plan.crankLock();
      if (plan.kind() == Kind.IN_CAR) {
        here.forEach(this::rockersOff);
      }
      if (plan.kind() == Kind.IN_CAR && plugsEach() && plan.hold() != Hold.PISTON) {
        here.forEach(
            c ->
                set(
                    at(c, WalkAct.TICK, "plug-out", "Cylinder " + c + ": plug out")
                        .looking(PLUG_LOOK)));
      }
      if (lock) {
        add("leg" + i + ":LOCK", SpringAct.LOCK, "Lock the crank");
      }
      here.forEach(this::hold);
      here.forEach(c -> plan.of(c).forEach(this::valve));
      boolean atEnd = plan.schools().proving() == Schools.Proving.AT_END;
      here.forEach(this::release);
      if (lock) {
        add("leg" + i + ":UNLOCK", SpringAct.UNLOCK, "Unlock the crank");
      }
      if (atEnd) {
        here.forEach(c -> plan.of(c).forEach(w -> prove(w.valve())));
      }
      if (plan.kind() != Kind.IN_CAR) {
        return;
      }
      if (plan.route().school() == Route.School.CYLINDER_BY_CYLINDER) {
        here.forEach(this::finish);
      } else if (plan.drive().pushrods()) {
        here.forEach(
            c ->
                at(
                    c,
                    SpringAct.KEPT_OUT,
                    "Cylinder " + c + ": pushrods stay in the rack, none in a bore"));
      }
    }

    private void rockersOff(int c) {
      Step s =
          at(c, SpringAct.ROCKERS_OFF, "Cylinder " + c + ": rockers and pushrods off, in order");
      s = s.looking("rocker underside", "pushrod tips", "rub marks on the pushrods");
      set(plan.drive().fixingClampsHead() ? s.careful(plan.drive().clampCaution()) : s);
    }

    private void hold(int c) {
      String how =
          switch (plan.hold()) {
            case AIR -> "air on, " + InWords.pressure(plan.psi());
            case PISTON -> "piston under the valves at TDC";
            case ROPE -> "rope packed in, piston gently up against it";
            case BLOCK -> "block under the valves";
          };
      Step s = at(c, WalkAct.HOLD, "Cylinder " + c + ": " + how);
      set(plan.hold() == Hold.AIR ? s.careful("Hands off the crank. Air turns it.") : s);
    }

    private void valve(Work w) {
      Position p = w.valve();
      boolean bare = plan.kind() == Kind.ASSEMBLE;
      if (!bare) {
        off(w, p);
      }
      Step stack =
          at(p, SpringAct.STACK, p + ": shims, cup and rotator under the spring, count the shims");
      set(
          stack
              .with((double) NewAndOld.shims(w), null)
              .looking(sizes(w), "thinnest at the bottom", "serrated side down"));
      if (w.newSeal()) {
        set(
            at(p, SpringAct.SEAL, p + ": new seal, guide boss clean and dry, pressed with a socket")
                .looking("the " + p.kind().word() + " seal, by part and colour"));
      }
      Step height = at(p, SpringAct.HEIGHT, p + ": installed height with the parts that go in");
      set(height.with(w.height().targetIn(), null).looking(w.height().words()));
      String inner = plan.drive().innerOut() ? ", the inner left out" : "";
      String kind = w.to() == null ? "" : ", " + w.to().kind();
      set(
          at(p, SpringAct.SPRING_IN, p + ": spring in" + kind + inner)
              .with(null, w.newSpring())
              .looking(
                  Boolean.TRUE.equals(w.damper())
                      ? new String[] {"its damper built into it first", wayUp(w)}
                      : new String[] {wayUp(w)}));
      if (w.to() != null) {
        set(
            at(
                    p,
                    WalkAct.TICK,
                    "match",
                    p + ": retainer " + w.to().retainer() + ", locks " + w.to().locks())
                .looking("the old ones are not on the bench any more", "angle and groove match"));
      }
      compress(p, "again", "Compress " + p);
      set(
          at(p, SpringAct.HOOK, p + ": locks in")
              .with(null, Answer.GAP.name())
              .looking("small end down", "a gap between the halves: no gap, not home"));
      set(at(p, SpringAct.CLOSE, p + ": let it up slowly").careful("Face away from the retainer."));
      if (plan.schools().proving() != Schools.Proving.AT_END) {
        prove(p);
      }
    }

    private static String wayUp(Work w) {
      return w.newSpring().equals(w.oldSpring())
          ? "the way up it ran before"
          : "close coils to the head, the maker's way up";
    }

    private void off(Work w, Position p) {
      set(
          at(p, SpringAct.FREE, p + ": free the locks. " + plan.schools().freeing().title())
              .careful("Glasses on. The retainer may let go."));
      compress(p, "", "Compress " + p);
      set(
          at(p, SpringAct.UNHOOK, p + ": locks out with the magnet")
              .looking("both halves in your hand", "wear in the groove and on the locks")
              .careful("From here nothing but " + plan.hold().by() + " keeps the valve up."));
      set(
          at(p, SpringAct.SPRING_OUT, p + ": retainer, spring, damper out")
              .with(
                  null,
                  w.newSpring().equals(w.oldSpring()) ? Answer.AGAIN.name() : Answer.SCRAP.name())
              .looking("witness marks: coils that touched", "a broken or polished coil"));
      set(
          at(p, WalkAct.TICK, "look", p + ": look at seal, stem tip, seat and guide")
              .looking(
                  "seal hard or torn", "tip mushroomed", "stem moves sideways", "wheel, if seen"));
    }

    private void compress(Position p, String again, String title) {
      set(
          add(p + ":COMPRESS" + again, SpringAct.COMPRESS, null, p, title)
              .careful("Nobody in front of it. Tool square on the retainer."));
    }

    private void prove(Position p) {
      set(
          at(p, SpringAct.PROVE, p + ": prove the locks. " + plan.schools().proving().title())
              .careful("Face away: one that is not home jumps now."));
    }

    private void release(int c) {
      String how = plan.hold() == Hold.AIR ? "air off" : "end the hold";
      at(c, WalkAct.RELEASE, "Cylinder " + c + ": " + how);
    }

    /** Pushrods home, rockers on and torqued; once for each cylinder. */
    private void finish(int c) {
      if (!finished.add(c)) {
        return;
      }
      boolean out = !plugsEach() || plan.hold() != Hold.PISTON;
      if (out && plan.schools().plugs() == Schools.Plugs.BEFORE_ROCKERS) {
        at(c, WalkAct.TICK, "plug", "Cylinder " + c + ": plug in, gap checked");
      }
      if (plan.drive().pushrods()) {
        plan.of(c)
            .forEach(
                w ->
                    set(
                        at(w.valve(), SpringAct.SEATED, w.valve() + ": pushrod in the lifter's cup")
                            .looking("it springs back from the cup, and turns freely")));
      }
      Step on = at(c, SpringAct.ROCKERS_ON, "Cylinder " + c + ": rockers on");
      on =
          plan.drive().pushrods()
              ? on.looking("each nut the right way up, its flat face down")
              : on;
      set(plan.drive().fixingClampsHead() ? on.careful(plan.drive().clampCaution()) : on);
      torques(true).forEach(t -> torque(t, c));
    }

    /** What the team's sheet says of this kind of job. */
    private Stream<Torque> torques(boolean perCylinder) {
      return plan.torques().stream()
          .filter(t -> t.perCylinder() == perCylinder && t.belongs(plan.kind()));
    }

    private void torque(Torque t, @Nullable Integer c) {
      String where = c == null ? "" : "Cylinder " + c + ", ";
      for (int i = 0; i < t.stepsLbfFt().size(); i++) {
        String id = "torque:" + t.of() + ":" + (c == null ? "" : c) + ":" + i;
        set(
            add(
                    id,
                    WalkAct.TORQUE,
                    c,
                    null,
                    String.format(
                        Locale.ROOT,
                        "%s%s: %s, step %d of %d",
                        where,
                        t.of(),
                        InWords.torque(t.stepsLbfFt().get(i)),
                        i + 1,
                        t.stepsLbfFt().size()))
                .with(t.stepsLbfFt().get(i), t.of())
                .looking(t.order(), t.lubricant(), "figure of " + t.source()));
      }
    }

    private void lash(Route.Leg leg) {
      if (leg.lash().isEmpty() || plan.kind() != Kind.IN_CAR) {
        return;
      }
      if (plan.route().school() == Route.School.ALL_SPRINGS_FIRST) {
        plan.cylinders().forEach(this::finish);
      }
      leg.lash().forEach(this::set);
    }

    private void set(Position p) {
      switch (plan.drive().sets()) {
        case LASH ->
            set(
                at(p, SpringAct.LASH, p + ": set the lash, lock it, read it again")
                    .looking("the jam nut as tight as it was: over-tight breaks a rocker"));
        case TURNS ->
            set(
                at(p, SpringAct.LASH, p + ": set the preload, lock it")
                    .looking("the lifter bled down", "turns counted from zero lash"));
        case LENGTH -> {
          set(
              at(p, SpringAct.ZERO_LASH, p + ": length at zero lash, with an adjustable pushrod")
                  .looking("the lifter bled down and on its base circle"));
          at(p, SpringAct.LASH, p + ": the part that gives the preload, fitted and torqued");
        }
      }
    }

    private void close() {
      if (plan.kind() != Kind.IN_CAR) {
        torqueAll();
      }
      for (Item item : Item.values()) {
        if (item == Item.SEALS && counts.fresh(item) == 0) {
          continue;
        }
        oldOnes(item);
        count(item);
      }
      if (plan.kind() == Kind.IN_CAR) {
        backTogether();
      }
      if (plan.drive().innerOut()) {
        tick("inner", "Mark the engine: inner springs out, break-in only");
      }
      add(WalkAct.SIGN, "Sign the job off");
    }

    /** Old parts that were exchanged go away, and are no longer looked for. */
    private void oldOnes(Item item) {
      if (counts.old(item) > 0) {
        set(
            add(
                    "away:" + item,
                    WalkAct.PUT_AWAY,
                    "Old " + item.many() + " to scrap or spares: count them")
                .with((double) counts.old(item), item.name()));
      }
    }

    private void torqueAll() {
      plan.cylinders().forEach(c -> torques(true).forEach(t -> torque(t, c)));
      torques(false).forEach(t -> torque(t, null));
    }

    private void backTogether() {
      boolean rest =
          plan.schools().plugs() == Schools.Plugs.BEFORE_ROCKERS
              && !plugsEach()
              && plan.tdcDeg().size() > plan.cylinders().size();
      if (rest) {
        tick("plugs-in", "Plugs of the other cylinders in, gaps checked");
      } else if (plan.schools().plugs() == Schools.Plugs.LAST
          && !(plugsEach() && plan.hold() == Hold.PISTON)) {
        tick("plugs-in", "Plugs in, gaps checked");
      }
      torques(false).forEach(t -> torque(t, null));
      tick("covers-on", "Covers on, gaskets whole");
      if (plan.drive().intakeOff()) {
        tick(
            "oil-look",
            "Drain the oil and look at it before the engine is cranked",
            "water, glitter");
        tick("oil-new", "Fresh oil in");
      }
      tick("fuel", "Fuel on, look for leaks");
      tick("start", "First start, oil pressure at once");
      tick("noise", "Hot: the noise has faded as the lifters filled", "one that still ticks");
    }

    private static String words(List<Integer> cylinders) {
      return String.join(" and ", cylinders.stream().map(String::valueOf).toList());
    }
  }
}
