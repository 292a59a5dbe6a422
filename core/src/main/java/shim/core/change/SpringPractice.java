package shim.core.change;

import java.time.Instant;
import java.util.List;
import java.util.TreeMap;
import shim.core.engine.Position;
import shim.core.walk.Done;
import shim.core.walk.Practice;
import shim.core.walk.WalkAct;

/** A spring change for practice on an invented engine: two valves of one cylinder, on air. */
public final class SpringPractice {
  private static final Position VALVE = Position.parse("3E");

  /** The faults, in the order the walk meets them. Common practice, no source. */
  private static final List<Practice.Surprise> SURPRISES =
      List.of(
          new Practice.Surprise(
              "air",
              "tick:3E:look",
              "The hiss at the plug hole grows, and the gauge falls through {30 psi}.",
              List.of(
                  new Practice.Choice(
                      "Bar the piston up to catch the valve",
                      false,
                      "Never bar with a valve unhooked: the piston comes up under an open valve and"
                          + " bends it."),
                  new Practice.Choice(
                      "Fingers on the stem at once, somebody sees to the hose",
                      true,
                      "A valve weighs little: fingers, a clip or a rubber band round the stem hold"
                          + " it until the air is back."),
                  new Practice.Choice(
                      "Let the air off and begin this valve again",
                      false,
                      "Without its locks the valve drops the moment the air goes: then the head"
                          + " comes off.")),
              List.of(
                  new Done(WalkAct.AIR_LOST, "", 3, null, null, null, "you", Instant.EPOCH),
                  new Done(WalkAct.REHELD, "", 3, null, null, "air again", "you", Instant.EPOCH))),
          new Practice.Surprise(
              "height",
              "3E:HEIGHT",
              "The gauge reads 1.966. Wanted is 1.950 ± 0.005.",
              List.of(
                  new Practice.Choice(
                      "Spring in: sixteen thou is not much",
                      false,
                      "At {438 lbf/in} sixteen thou too tall is {7 lbf} less on the seat, from the"
                          + " first minute."),
                  new Practice.Choice(
                      "One shim of 0.015 under it, and measure again",
                      true,
                      "1.951: within the tolerance, with one piece. Then enter what it reads now."),
                  new Practice.Choice(
                      "Two shims of 0.030: better too strong",
                      false,
                      "1.906 is 44 thou short: nearer to bind at full lift, and more load on lobe and"
                          + " lifter.")),
              List.of()),
          new Practice.Surprise(
              "gap",
              "3E:HOOK",
              "The locks are in, but no gap shows between the two halves.",
              List.of(
                  new Practice.Choice(
                      "Let it up: the taper will seat them",
                      false,
                      "Halves that touch are not wedged on the stem. It comes apart, in your face"
                          + " now or in the engine later."),
                  new Practice.Choice(
                      "Tap the retainer down until they sit",
                      false,
                      "That drives the stem down too, on nothing but air."),
                  new Practice.Choice(
                      "Take them out, clean groove and locks, set them again, small end down",
                      true,
                      "A gap between the halves is the proof that they grip. Then the step may be"
                          + " done.")),
              List.of()),
          new Practice.Surprise(
              "lock",
              "3E:PROVE",
              "At the first tap one half of the locks jumps out.",
              List.of(
                  new Practice.Choice(
                      "Push it back with a finger",
                      false,
                      "The spring stands on the other half alone: no finger goes there."),
                  new Practice.Choice(
                      "Air stays on; compress again and set both halves anew",
                      true,
                      "It jumped now and not at speed. The valve counts as unhooked until its locks"
                          + " are in again."),
                  new Practice.Choice(
                      "Air off first, then compress again",
                      false,
                      "With a lock out, air is all that keeps the valve up.")),
              List.of(
                  new Done(SpringAct.JUMPED, "", null, VALVE, null, null, "you", Instant.EPOCH))),
          new Practice.Surprise(
              "cup",
              "3E:SEATED",
              "The pushrod stands a little high and does not spring back when pressed.",
              List.of(
                  new Practice.Choice(
                      "The rocker will pull it in",
                      false,
                      "A pushrod on the edge of its cup bends as soon as the rocker is torqued or the"
                          + " crank is barred."),
                  new Practice.Choice(
                      "Lift it and feel for the cup until it springs back",
                      true,
                      "Seated, it springs back against the lifter and turns between two fingers.")),
              List.of()));

  /** The invented job. */
  private static JobPlan plan() {
    List<Position> valves = List.of(VALVE, Position.parse("3I"));
    TreeMap<Integer, Double> tdc = new TreeMap<>();
    tdc.put(3, 270.0);
    Route route =
        new Route(
            Route.School.CYLINDER_BY_CYLINDER,
            List.of(new Route.Leg(270, 0, List.of(3), valves)),
            0);
    return new JobPlan(
        JobPlan.Kind.IN_CAR,
        Hold.AIR,
        80,
        true,
        route,
        tdc,
        valves.stream()
            .map(
                v ->
                    new JobPlan.Work(
                        v,
                        "old " + v,
                        "new " + v,
                        true,
                        1,
                        new JobPlan.Height(1.95, 0.005, null, null),
                        false,
                        null))
            .toList(),
        new JobPlan.Drive(true, false, false, false, false, null, null),
        Schools.USUAL,
        List.of(
            new JobPlan.Torque(
                "rocker bolts",
                true,
                List.of(12.0, 22.0),
                "inner first",
                "engine oil",
                "the builder",
                null)),
        null);
  }

  /** What is practised. */
  public static Practice.Course<Job> course() {
    return new Practice.Course<>(new SpringChange(plan()), SURPRISES);
  }

  private SpringPractice() {}
}
