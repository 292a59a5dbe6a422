package shim.core.head;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import shim.core.change.Answer;
import shim.core.change.Item;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.head.AssemblyPlan.ValveParts;
import shim.core.head.AssemblyPlan.Wanted;
import shim.core.unit.InWords;
import shim.core.walk.Step;
import shim.core.walk.StepList;
import shim.core.walk.WalkAct;
import shim.core.walk.Within;
import shim.core.walk.Within.Unit;

/** The lines of the assembly book, valve by valve, and what goes before and after them. */
final class AssemblyScript extends StepList {
  /** A new spring's load lies within so much of its sheet. Common practice, no source. */
  private static final double LOAD_SHARE = 0.10;

  /** Lines that can only be read once the locks are proved. */
  static final Set<String> AFTER_PROVING = Set.of("seat", "coil", "proud", "seal");

  static final List<String> CAUTIONS =
      List.of(
          "Safety glasses. Nobody in front of a compressed spring: it can blind or break fingers.",
          "One valve at a time. Locks, shims and valves are never mixed between positions.",
          "The head builder's sheet and the maker's limits come before anything said here.");

  private final AssemblyPlan plan;

  AssemblyScript(AssemblyPlan plan) {
    this.plan = plan;
  }

  List<Step> write() {
    set(
        add(WalkAct.ACCEPT, "Read the cautions and accept them")
            .looking(CAUTIONS.toArray(String[]::new)));
    int n = plan.valves().size();
    layOut(Item.TOOLS, 4, "spring tool, height gauge, small hammer, feeler leaves");
    layOut(Item.SPRINGS, n, "each with its mark, beside its valve's bag");
    layOut(Item.RETAINERS, n, "with their locks, as sets");
    layOut(Item.LOCKS, 2 * n, "two a valve, of the right angle and groove");
    layOut(Item.SHIMS, plan.shims(), "what goes under the springs, piece by piece");
    if (plan.seals() > 0) {
      layOut(Item.SEALS, plan.seals(), "intake and exhaust seals differ");
    }
    before();
    plan.sides().forEach(side -> side.valves().forEach(p -> plan.at(p).ifPresent(this::valve)));
    for (Item item : Item.values()) {
      if (item != Item.RAGS && (item != Item.SEALS || plan.seals() > 0)) {
        count(item);
      }
    }
    tick("closed", "Ports and chambers covered, head in a clean bag", "its name on the bag");
    add(WalkAct.SIGN, "Sign the book");
    return all();
  }

  private void before() {
    if (plan.bought()) {
      tick(
          "opened",
          "A bought head: taken apart, each valve's parts in a bag of its own",
          "chips in the ports, dirt under the springs, a burr on a stem or lock groove");
    }
    tick("numbered", "Valves numbered to their guides");
    tick("washed", "Head washed, guides brushed, blown dry", "no grit on a seat or in a thread");
    tick(
        "lock-ends", "Lock ends relieved", "halves that butt never grip: a few strokes on a stone");
    tick(
        "lube",
        "To hand for stems, tips and locks: " + plan.lubricant().title().toLowerCase(Locale.ROOT));
  }

  private void valve(ValveParts v) {
    Position p = v.valve();
    Wanted w = v.wanted();
    tick(p, "slides", "valve slides and turns freely, oiled", "no tight place as it turns");
    read(
        p,
        "play",
        "stem moves sideways in its guide",
        w.guidePlayIn() == null
            ? Within.any(Unit.INCH, 0, 0.05)
            : new Within(Unit.INCH, null, w.guidePlayIn(), 0, 0.05),
        "valve off its seat by about the lift");
    read(
        p,
        "ring",
        "width of the lapped ring",
        Within.any(Unit.INCH, 0.005, 0.3),
        "even all round, and where on the face it lies");
    tick(p, "leak", "leak test", "no light, no fluid through in a minute");
    stack(v);
    if (!v.seal().isBlank()) {
      set(
          at(p, SpringAct.SEAL, p + ": seal " + v.seal() + ", pressed with a socket")
              .looking("guide boss clean and dry", p.kind().word() + " seal, by part and colour"));
    }
    read(
        p,
        "height",
        "installed height with the parts that go in",
        Within.about(Unit.INCH, w.heightIn(), w.toleranceIn(), 0.5, 6),
        "retainer " + v.retainer() + ", locks " + v.locks());
    if (w.openLbf() != null) {
      read(
          p,
          "open",
          "load of " + v.spring() + " at full lift, on the tester",
          load(w.openLbf()),
          "at " + InWords.inch(w.heightIn()) + " less the net lift");
    }
    spring(v);
    read(p, "seat", "seat load on the head", load(w.seatLbf()));
    if (w.grossIn() != null) {
      read(
          p,
          "coil",
          "gap between the two lowest coils at full lift",
          Within.atLeast(Unit.INCH, w.coilGapIn(), 0, 0.5),
          "opened by " + InWords.inch(w.grossIn()));
    }
    read(
        p,
        "proud",
        "stem stands proud of the locks",
        Within.any(Unit.INCH, 0, 0.5),
        "the rocker or lash cap must never touch the retainer");
    if (w.grossIn() != null) {
      read(
          p,
          "seal",
          "retainer to seal at full lift",
          Within.atLeast(Unit.INCH, w.sealIn(), 0, 1.5),
          "opened by " + InWords.inch(w.grossIn()));
    }
  }

  private static Within load(double wantedLbf) {
    return Within.about(Unit.LBF, wantedLbf, LOAD_SHARE * wantedLbf, 1, 2000);
  }

  private void stack(ValveParts v) {
    Position p = v.valve();
    String cup = v.cup().isBlank() ? "" : ", on " + v.cup();
    set(
        at(p, SpringAct.STACK, p + ": shims under the spring" + cup + ", count them")
            .with((double) v.shimsIn().size(), null)
            .looking(
                v.shimsIn().isEmpty() ? "none" : InWords.inches(v.shimsIn()),
                "thinnest at the bottom",
                "serrated side down"));
  }

  private void spring(ValveParts v) {
    Position p = v.valve();
    set(
        at(p, SpringAct.SPRING_IN, p + ": spring in")
            .with(null, v.spring())
            .looking(
                v.damper() ? "its damper built into it first" : "clean and oiled",
                "close coils to the head, the maker's way up"));
    tick(
        p,
        "match",
        "retainer " + v.retainer() + " and locks " + v.locks() + " go together",
        "the same angle, and locks made for this groove and stem");
    set(
        at(p, SpringAct.COMPRESS, "Compress " + p)
            .careful("Nobody in front of it. Tool square on the retainer."));
    set(
        at(p, SpringAct.HOOK, p + ": locks in")
            .with(null, Answer.GAP.name())
            .looking("small end down", "a gap between the halves: no gap, not home"));
    set(at(p, SpringAct.CLOSE, p + ": let it up slowly").careful("Face away from the retainer."));
    set(
        at(p, SpringAct.PROVE, p + ": prove the locks by taps. " + plan.proving().title())
            .careful("Face away: one that is not home jumps now."));
  }

  private void tick(Position p, String id, String title, String... look) {
    set(at(p, WalkAct.TICK, id, p + ": " + title).looking(look));
  }

  private void read(Position p, String id, String title, Within within, String... look) {
    read(p + ":" + id, p, p + ": " + title, within, look);
  }
}
