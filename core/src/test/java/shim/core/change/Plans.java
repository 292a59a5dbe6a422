package shim.core.change;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import shim.core.Engines;
import shim.core.crank.CrankModel;
import shim.core.crank.CrankSlide;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** Jobs for tests, on the V8 of two banks, and someone who does them. */
final class Plans {
  static final Engine V8 = Engines.engine(Engines.sheet("v8-odd-even"));
  static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");
  static final JobPlan.Drive PUSHRODS =
      new JobPlan.Drive(true, false, false, false, false, null, null);
  static final JobPlan.Torque BOLT =
      new JobPlan.Torque(
          "shaft bolts",
          true,
          List.of(15.0, 25.0),
          "middle outwards",
          "engine oil",
          "the builder",
          null);
  static final JobPlan.Torque PLUG =
      new JobPlan.Torque(
          "plugs", false, List.of(12.0), "any", "dry", "the plug maker", JobPlan.Kind.IN_CAR);

  /** Holds itself at 80 psi to some 12 degrees. */
  static final CrankSlide SLIDE = new CrankSlide(4.000, 3.480, 5.700);

  private Plans() {}

  static JobPlan.Work work(String valve, String newSpring) {
    return new JobPlan.Work(
        Position.parse(valve),
        "A-" + valve,
        newSpring,
        true,
        1,
        new JobPlan.Height(1.950, 0.005, 1.700, 2.200),
        false,
        null);
  }

  static JobPlan plan(
      JobPlan.Kind kind, Hold hold, Route.School school, Schools schools, JobPlan.Work... works) {
    return plan(kind, hold, school, schools, PUSHRODS, works);
  }

  static JobPlan plan(
      JobPlan.Kind kind,
      Hold hold,
      Route.School school,
      Schools schools,
      JobPlan.Drive drive,
      JobPlan.Work... works) {
    List<Position> valves = List.of(works).stream().map(JobPlan.Work::valve).toList();
    TreeMap<Integer, Double> tdc = new TreeMap<>(V8.layout().compressionTdcDeg());
    Optional<CrankModel> cam = CrankModel.of(V8);
    return new JobPlan(
        kind,
        hold,
        80,
        true,
        Route.of(V8.layout(), cam, hold, school, valves, null),
        tdc,
        List.of(works),
        drive,
        schools,
        List.of(BOLT, PLUG),
        new AirHold(Optional.of(SLIDE), 80, 3, 40));
  }

  static JobPlan onAir(JobPlan.Work... works) {
    return plan(
        JobPlan.Kind.IN_CAR, Hold.AIR, Route.School.CYLINDER_BY_CYLINDER, Schools.USUAL, works);
  }

  static Walk<Job> begin(JobPlan plan) {
    return Walk.begin(new SpringChange(plan));
  }

  static Walk<Job> of(JobPlan plan, List<Done> acts) {
    return Walk.of(new SpringChange(plan), acts);
  }

  static Act named(String act) {
    return Stream.<Act>concat(Stream.of(WalkAct.values()), Stream.of(SpringAct.values()))
        .filter(a -> a.name().equals(act))
        .findFirst()
        .orElseThrow();
  }

  static Done act(Act act, Object at, Double figure, String word) {
    return new Done(
        act,
        "",
        at instanceof Integer c ? c : null,
        at instanceof String v ? Position.parse(v) : at instanceof Position p ? p : null,
        figure,
        word,
        "KV",
        NOON);
  }

  static Done act(Act act, Object at) {
    return act(act, at, null, null);
  }

  /** What a careful person enters at a step. */
  static Done doing(Step s, Walk<Job> walk) {
    Double figure = s.figure();
    if (s.act() == SpringAct.LASH) {
      figure = 0.018;
    } else if (s.act() == WalkAct.COUNTED) {
      figure = (double) walk.count(String.valueOf(s.word())).expected();
    }
    return s.done(figure, s.word(), "KV", NOON);
  }

  /** Walks the script until a step is next; every step must be allowed. */
  static Walk<Job> walkTo(JobPlan plan, String id) {
    Walk<Job> walk = begin(plan);
    List<String> way = new ArrayList<>();
    while (true) {
      Step next = walk.next().orElse(null);
      if (next == null || next.id().equals(id)) {
        return walk;
      }
      way.add(next.id());
      Done done = doing(next, walk);
      Optional<String> refused = walk.refuses(done);
      if (refused.isPresent()) {
        throw new AssertionError(next.id() + " refused: " + refused.get() + " after " + way);
      }
      walk = walk.after(done);
    }
  }
}
