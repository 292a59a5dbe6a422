package shim.core.head;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import shim.core.change.JobPlan;
import shim.core.change.Schools;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.head.AssemblyPlan.Side;
import shim.core.head.AssemblyPlan.ValveParts;
import shim.core.head.AssemblyPlan.Wanted;
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.Step;
import shim.core.walk.WalkAct;
import shim.core.walk.Walker;

/** Heads for tests: one side, one cylinder or two. */
final class Heads {
  private Heads() {}

  static Position at(String valve) {
    return Position.parse(valve);
  }

  static AssemblyPlan assembly(boolean bought, String... valves) {
    List<Position> all = Stream.of(valves).map(Heads::at).toList();
    return new AssemblyPlan(
        "spare pair",
        bought,
        List.of(new Side("left", all)),
        all.stream().map(Heads::parts).toList(),
        Schools.Lubricant.OIL,
        Schools.Proving.TAP_TOP);
  }

  private static ValveParts parts(Position p) {
    return new ValveParts(
        p,
        "S-" + p,
        true,
        List.of(0.015, 0.030),
        "cup C",
        "green",
        "R-10",
        "L-plus",
        new Wanted(1.950, 0.005, 220, 480.0, 0.640, 0.080, 0.050, 0.003));
  }

  static Fixings fixings(int perSide, Set<Integer> waiting, Double... steps) {
    List<Integer> sequence = new ArrayList<>();
    for (int i = perSide; i > 0; i--) {
      sequence.add(i);
    }
    double last = steps[steps.length - 1];
    return new Fixings(
        Fixings.Kind.STUD,
        perSide,
        sequence,
        List.of(steps),
        "moly paste",
        last,
        null,
        Fixings.Whose.FASTENER_MAKER,
        "",
        waiting,
        steps.length == 1);
  }

  static HeadsOnPlan on(Fixings fixings, JobPlan.Drive drive, String... valves) {
    List<Position> all = Stream.of(valves).map(Heads::at).toList();
    return new HeadsOnPlan(
        "spare pair",
        List.of(new Side("left", all)),
        "gasket 0.040, words up",
        fixings,
        "7.850",
        "8.100",
        drive,
        true,
        List.of(new HeadsOnPlan.Stop(0, all)),
        List.of(
            new JobPlan.Torque(
                "shaft bolts",
                true,
                List.of(12.0, 22.0),
                "middle outwards",
                "oil",
                "the builder",
                null)),
        true);
  }

  static JobPlan.Drive drive(boolean hydraulic) {
    return new JobPlan.Drive(true, hydraulic, false, false, false, null, null);
  }

  /** All that may be pressed: every step, and what the bench knows beside them. */
  static List<Done> presses(List<Step> steps, List<Position> valves) {
    List<Done> all = new ArrayList<>();
    for (Step s : steps) {
      if (s.act() != WalkAct.COUNTED) {
        Double figure = s.figure() == null ? Double.valueOf(0.018) : s.figure();
        all.add(s.done(s.within() == null ? figure : middle(s), s.word(), "KV", Walker.NOON));
      }
    }
    for (Position p : valves) {
      Stream.of(SpringAct.values()).forEach(a -> all.add(act(a, p)));
      valves.forEach(o -> all.add(done(SpringAct.SPRING_IN, null, p, "S-" + o)));
    }
    all.add(done(WalkAct.PARK, null, null, "lunch"));
    all.add(done(WalkAct.RESUME, null, null, null));
    all.add(done(WalkAct.ABANDON, null, null, "rain"));
    return all;
  }

  private static double middle(Step s) {
    return s.within().least() != null
        ? s.within().least()
        : s.within().most() != null ? s.within().most() : s.within().possibleLow();
  }

  static Done act(Act act, Position p) {
    return done(act, null, p, null);
  }

  static Done done(Act act, Double figure, Position p, String word) {
    return new Done(act, "", null, p, figure, word, "KV", Walker.NOON);
  }
}
