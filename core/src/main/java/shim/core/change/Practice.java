package shim.core.change;

import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * A job on an invented engine where things go wrong: two valves of one cylinder, on air. A person's
 * moves, acts and answers, are followed from the beginning; nothing is kept anywhere.
 *
 * @param job as the moves left it
 * @param now what has just gone wrong and wants an answer; null while nothing has
 * @param last what the last answer was worth; null after anything else
 * @param refused why the last act was refused; null when it was not
 */
public record Practice(
    Job job,
    @Nullable Surprise now,
    @Nullable Choice last,
    @Nullable String refused,
    int right,
    int wrong) {

  /** A way to answer, whether it is right, and why. */
  public record Choice(String words, boolean right, String why) {}

  /**
   * Something that goes wrong.
   *
   * @param at step that is next when it happens
   * @param follows what the right answer does to the job
   */
  public record Surprise(
      String id, String at, String happens, List<Choice> choices, List<Act> follows) {}

  /** An act, or an answer to a surprise by its place among the choices. */
  public record Move(@Nullable Done done, @Nullable String surprise, int choice) {}

  private static final Position VALVE = Position.parse("3E");

  /** The faults, in the order the walk meets them. Common practice, no source. */
  public static final List<Surprise> SURPRISES =
      List.of(
          new Surprise(
              "air",
              "tick:3E:look",
              "The hiss at the plug hole grows, and the gauge falls through {30 psi}.",
              List.of(
                  new Choice(
                      "Bar the piston up to catch the valve",
                      false,
                      "Never bar with a valve unhooked: the piston comes up under an open valve and"
                          + " bends it."),
                  new Choice(
                      "Fingers on the stem at once, somebody sees to the hose",
                      true,
                      "A valve weighs little: fingers, a clip or a rubber band round the stem hold"
                          + " it until the air is back."),
                  new Choice(
                      "Let the air off and begin this valve again",
                      false,
                      "Without its locks the valve drops the moment the air goes: then the head"
                          + " comes off.")),
              List.of(Act.AIR_LOST, Act.REHELD)),
          new Surprise(
              "height",
              "3E:HEIGHT",
              "The gauge reads 1.966. Wanted is 1.950 ± 0.005.",
              List.of(
                  new Choice(
                      "Spring in: sixteen thou is not much",
                      false,
                      "At {438 lbf/in} sixteen thou too tall is {7 lbf} less on the seat, from the"
                          + " first minute."),
                  new Choice(
                      "One shim of 0.015 under it, and measure again",
                      true,
                      "1.951: within the tolerance, with one piece. Then enter what it reads now."),
                  new Choice(
                      "Two shims of 0.030: better too strong",
                      false,
                      "1.906 is 44 thou short: nearer to bind at full lift, and more load on lobe and"
                          + " lifter.")),
              List.of()),
          new Surprise(
              "gap",
              "3E:HOOK",
              "The locks are in, but no gap shows between the two halves.",
              List.of(
                  new Choice(
                      "Let it up: the taper will seat them",
                      false,
                      "Halves that touch are not wedged on the stem. It comes apart, in your face"
                          + " now or in the engine later."),
                  new Choice(
                      "Tap the retainer down until they sit",
                      false,
                      "That drives the stem down too, on nothing but air."),
                  new Choice(
                      "Take them out, clean groove and locks, set them again, small end down",
                      true,
                      "A gap between the halves is the proof that they grip. Then the step may be"
                          + " done.")),
              List.of()),
          new Surprise(
              "lock",
              "3E:PROVE",
              "At the first tap one half of the locks jumps out.",
              List.of(
                  new Choice(
                      "Push it back with a finger",
                      false,
                      "The spring stands on the other half alone: no finger goes there."),
                  new Choice(
                      "Air stays on; compress again and set both halves anew",
                      true,
                      "It jumped now and not at speed. The valve counts as unhooked until its locks"
                          + " are in again."),
                  new Choice(
                      "Air off first, then compress again",
                      false,
                      "With a lock out, air is all that keeps the valve up.")),
              List.of(Act.JUMPED)),
          new Surprise(
              "cup",
              "3E:SEATED",
              "The pushrod stands a little high and does not spring back when pressed.",
              List.of(
                  new Choice(
                      "The rocker will pull it in",
                      false,
                      "A pushrod on the edge of its cup bends as soon as the rocker is torqued or the"
                          + " crank is barred."),
                  new Choice(
                      "Lift it and feel for the cup until it springs back",
                      true,
                      "Seated, it springs back against the lifter and turns between two fingers.")),
              List.of()));

  /** The invented job. */
  public static JobPlan plan() {
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
                        false))
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

  /** Where a list of moves has led. */
  public static Practice of(List<Move> moves) {
    Trainer t = new Trainer();
    moves.forEach(t::move);
    return t.practice();
  }

  /** Follows moves one by one. */
  private static final class Trainer {
    private static final Instant THEN = Instant.EPOCH;
    private final Script script = Script.of(plan());
    private final Set<String> answered = new LinkedHashSet<>();
    private Job job = Job.begin(plan());
    private @Nullable Choice last;
    private @Nullable String refused;
    private int right;
    private int wrong;

    Practice practice() {
      return new Practice(job, now().orElse(null), last, refused, right, wrong);
    }

    private Optional<Surprise> now() {
      String next = script.next(job.ticked()).map(Step::id).orElse("");
      return SURPRISES.stream()
          .filter(s -> s.at().equals(next) && !answered.contains(s.id()))
          .findFirst();
    }

    void move(Move m) {
      last = null;
      refused = null;
      if (m.done() != null) {
        act(m.done());
      } else {
        now().filter(s -> s.id().equals(m.surprise())).ifPresent(s -> answer(s, m.choice()));
      }
    }

    private void act(Done done) {
      refused =
          now()
              .map(s -> "see to this first: " + s.happens())
              .or(() -> job.refuses(done))
              .orElse(null);
      if (refused == null) {
        job = job.after(done);
      } else {
        wrong++;
      }
    }

    private void answer(Surprise s, int choice) {
      if (choice < 0 || choice >= s.choices().size()) {
        return;
      }
      last = s.choices().get(choice);
      if (!last.right()) {
        wrong++;
        return;
      }
      right++;
      answered.add(s.id());
      for (Act a : s.follows()) {
        boolean whole = a == Act.AIR_LOST || a == Act.REHELD;
        job =
            job.after(
                new Done(
                    a,
                    "",
                    whole ? VALVE.cylinder() : null,
                    whole ? null : VALVE,
                    null,
                    "air again",
                    "you",
                    THEN));
      }
    }
  }
}
