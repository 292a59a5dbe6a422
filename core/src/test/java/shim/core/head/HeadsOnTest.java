package shim.core.head;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.change.JobPlan;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.head.Fixings.Fault;
import shim.core.head.HeadsOn.State;
import shim.core.walk.Done;
import shim.core.walk.End;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;
import shim.core.walk.Walker;

/** Heads on: the sequence, what waits, pushrods before rockers, bleeding before barring. */
class HeadsOnTest {
  private static final HeadsOn ON =
      new HeadsOn(Heads.on(Heads.fixings(3, Set.of(2), 30.0, 60.0), Heads.drive(true), "3E", "3I"));

  private static Walk<State> to(String step) {
    return Walker.to(ON, step);
  }

  private static String refused(Walk<State> walk, String stepId) {
    Step step =
        walk.procedure().steps().stream()
            .filter(s -> s.id().equals(stepId))
            .findFirst()
            .orElseThrow();
    return walk.refuses(Walker.doing(step, walk)).orElse("allowed");
  }

  @Test
  void theWalkGoesFromACleanDeckToTheSignature() {
    Walk<State> done = to("none");
    assertThat(done.end()).isEqualTo(End.SIGNED);
    assertThat(done.own().set()).hasSize(2);
    assertThat(ON.tally(done)).allMatch(t -> t.done() == t.of() && !t.waits());
    assertThat(ON.steps()).extracting(Step::id).doesNotHaveDuplicates();
  }

  /** Numbers 3 and 1 in two steps, then 2, which waits for the rockers. */
  @Test
  void fixingsFollowTheSequenceStepByStepAndWhatWaitsComesWithTheRockers() {
    List<String> torques =
        ON.steps().stream().map(Step::id).filter(s -> s.startsWith("torque:side")).toList();
    assertThat(torques)
        .containsExactly(
            "torque:side0:3:0",
            "torque:side0:1:0",
            "torque:side0:3:1",
            "torque:side0:1:1",
            "torque:side0:2:0",
            "torque:side0:2:1");
    Walk<State> at = to("torque:side0:1:0");
    assertThat(refused(at, "torque:side0:3:1")).contains("first: left, stud nut 1: {30 lbf·ft}");
    assertThat(refused(at, "torque:side0:2:0")).contains("first: ");
    assertThat(refused(at, "torque:side0:3:0")).isEqualTo("that is done");
    assertThat(refused(to("tick:side0:on"), "torque:side0:3:0")).contains("not on its dowels");
    assertThat(refused(to("3E:SEATED"), "torque:side0:2:0")).contains("the rockers go on first");
    assertThat(ON.tally(to("3E:SEATED")))
        .extracting(HeadsOn.Tallied::waits)
        .containsExactly(false, true, false);
    assertThat(ON.tally(at)).extracting(HeadsOn.Tallied::done).containsExactly(0, 0, 1);
  }

  @Test
  void withACrushedGasketEachFixingGoesStraightToItsFigure() {
    HeadsOn one = new HeadsOn(Heads.on(Heads.fixings(2, Set.of(), 65.0), Heads.drive(false), "3E"));
    assertThat(one.steps().stream().map(Step::id).filter(s -> s.startsWith("torque:side")))
        .containsExactly("torque:side0:2:0", "torque:side0:1:0");
    assertThat(one.steps())
        .filteredOn(s -> s.id().startsWith("torque:side"))
        .allSatisfy(s -> assertThat(s.look().get(0)).contains("one at a time"));
  }

  @Test
  void whatBendsAPushrodIsStopped() {
    assertThat(refused(to("torque:side0:1:1"), "3E:SEATED"))
        .contains("stud nut 3 is not torqued".replace("3", "1"));
    assertThat(refused(to("3I:SEATED"), "c3:ROCKERS_ON")).contains("3I's pushrod is not confirmed");
    assertThat(refused(to("3I:SEATED"), "stop0:BAR")).contains("barring bends it");
    assertThat(refused(to("tick:bled"), "stop0:BAR")).contains("bleed down first");
    assertThat(refused(to("stop0:BAR"), "3E:LASH")).contains("bar to its stop first");
    assertThat(refused(to("c3:ROCKERS_ON"), "torque:shaft bolts:3:0")).contains("are not on yet");
    assertThat(refused(to("torque:shaft bolts:3:0"), "torque:shaft bolts:3:1"))
        .startsWith("first: Cylinder 3");
    assertThat(refused(to("torque:shaft bolts:3:0"), "c3:ROCKERS_ON")).contains("are on");
    assertThat(refused(to("tick:side0:gasket"), "tick:side0:on")).contains("gasket goes on first");
  }

  /** A degree off is still at the stop; 720 is no place on the crank, and 1000 pieces no count. */
  @Test
  void limitsOfTheCrankAndOfACountAreExact() {
    Walk<State> free = to("stop0:BAR");
    for (double there : List.of(0.0, 1.0, 719.0)) {
      Walk<State> at = free.after(barred(there));
      assertThat(refused(at, "3E:LASH")).as("at %s", there).isEqualTo("allowed");
    }
    for (double off : List.of(1.001, 2.0, 718.999, 360.0)) {
      Walk<State> at = free.after(barred(off));
      assertThat(refused(at, "3E:LASH")).as("at %s", off).contains("bar to its stop first");
    }
    assertThat(free.refuses(barred(719.9))).isEmpty();
    for (double nowhere : List.of(720.0, -0.001, 1e300, Double.NaN)) {
      assertThat(free.refuses(barred(nowhere))).as("at %s", nowhere).isPresent();
    }
    assertThat(free.refuses(laidOut(999))).isEmpty();
    for (double none : List.of(1000.0, -1.0, 1.5, Double.NaN)) {
      assertThat(free.refuses(laidOut(none))).contains("how many? A whole number");
    }
  }

  private static Done barred(double deg) {
    return new Done(SpringAct.BAR, "", null, null, deg, null, "KV", Walker.NOON);
  }

  private static Done laidOut(double pieces) {
    String what = HeadItem.FIXINGS.name();
    return new Done(WalkAct.LAY_OUT, "", null, null, pieces, what, "KV", Walker.NOON);
  }

  /** Fixed rockers on hydraulic lifters: the length is measured before the part goes in. */
  @Test
  void whereNothingTurnsTheLengthComesBeforeThePart() {
    JobPlan.Drive fixed = new JobPlan.Drive(true, true, true, false, false, "45 at once", true);
    HeadsOn byLength = new HeadsOn(Heads.on(Heads.fixings(2, Set.of(), 65.0), fixed, "3E"));
    assertThat(refused(Walker.to(byLength, "3E:ZERO_LASH"), "3E:LASH"))
        .isEqualTo("measure the length at zero lash first");
    assertThat(Walker.to(byLength, "none").end()).isEqualTo(End.SIGNED);
    assertThat(byLength.steps())
        .filteredOn(s -> s.act() == SpringAct.ROCKERS_ON)
        .allSatisfy(s -> assertThat(s.caution()).contains("45 at once"));
  }

  @Test
  void aHeadThatIsTorquedIsNotTakenBackByATick() {
    Walk<State> torqued = to("torque:side0:1:0");
    Done back = Heads.done(WalkAct.UNTICK, null, null, "tick:side0:on");
    assertThat(torqued.refuses(back)).hasValueSatisfying(w -> assertThat(w).contains("new gasket"));
    Walk<State> before = to("torque:side0:3:0");
    assertThat(before.refuses(back)).isEmpty();
    Walk<State> undone = before.after(Heads.done(WalkAct.UNTICK, null, null, "tick:side0:gasket"));
    assertThat(undone.count(HeadItem.GASKETS).expected()).isEqualTo(1);
  }

  /** What is dangerous is told from the acts alone. */
  private static void law(Walk<State> before, Done d, Walk<State> after) {
    if (d.act() == SpringAct.BAR) {
      assertThat(before.own().seated()).as("barred with a pushrod out").hasSize(2);
      assertThat(before.ticked()).contains("tick:bled", "torque:side0:3:1", "torque:side0:1:1");
    }
    if (d.act() == SpringAct.ROCKERS_ON) {
      assertThat(before.own().seated()).hasSize(2);
    }
    if (d.act() == SpringAct.LASH) {
      assertThat(before.own().crankDeg()).isEqualTo(0.0);
    }
    List<String> sequence =
        ON.steps().stream().map(Step::id).filter(s -> s.startsWith("torque:side")).toList();
    int done = 0;
    while (done < sequence.size() && after.ticked().contains(sequence.get(done))) {
      done++;
    }
    assertThat(sequence.subList(done, sequence.size()))
        .as("a step skipped")
        .noneMatch(after.ticked()::contains);
    if (d.act() == WalkAct.SIGN) {
      assertThat(done).isEqualTo(sequence.size());
    }
  }

  private static List<Done> presses() {
    List<Position> valves = List.of(Heads.at("3E"), Heads.at("3I"));
    List<Done> all = new ArrayList<>(Heads.presses(ON.steps(), valves));
    all.add(Heads.done(SpringAct.BAR, 90.0, null, null));
    all.add(Heads.done(WalkAct.UNTICK, null, null, "tick:side0:on"));
    all.add(Heads.done(WalkAct.UNTICK, null, null, "tick:bled"));
    return all;
  }

  @Test
  void everyReachableStateIsSafe() {
    int states =
        Walker.all(
            ON,
            presses(),
            HeadsOnTest::law,
            t -> {
              Set<String> kept = new java.util.TreeSet<>(t);
              kept.removeIf(
                  s ->
                      !s.startsWith("torque:side")
                          && !s.startsWith("tick:side")
                          && !s.equals("tick:bled"));
              return kept;
            });
    assertThat(states).isGreaterThan(200);
  }

  @Test
  void whoPressesAnythingSkipsNoStep() {
    Random random = new Random(7);
    int signed = 0;
    for (int i = 0; i < 200; i++) {
      Walk<State> end = Walker.random(ON, presses(), random, 300, HeadsOnTest::law);
      if (end.end() == End.SIGNED) {
        signed++;
        for (HeadItem item : HeadItem.values()) {
          assertThat(end.count(item).difference(item)).as("%s", item).isEmpty();
        }
      }
    }
    assertThat(signed).isGreaterThan(20);
  }

  @ParameterizedTest
  @CsvSource({
    "3, 1 2 3, 30 60, 60, 70, ENGINE_MAKER, x, NOT_THE_FIGURE",
    "3, 1 2 3, 30 60, 60, 70, FASTENER_MAKER, '', NO_REASON",
    "3, 1 2 3, 30 60, 60, 60, FASTENER_MAKER, '', ",
    "3, 1 2 3, 30 60, 60, , FASTENER_MAKER, '', ",
    "3, 1 2 3, 30 60, 60, , ENGINE_MAKER, '', NO_FIGURE",
    "3, 1 2, 30 60, 60, , FASTENER_MAKER, '', LEFT_OUT",
    "3, 1 2 2 3, 30 60, 60, , FASTENER_MAKER, '', DOUBLED",
    "3, 1 2 3 4, 30 60, 60, , FASTENER_MAKER, '', UNKNOWN_NUMBER",
    "3, 1 2 3, 60 60, 60, , FASTENER_MAKER, '', STEPS_FALL",
    "3, 1 2 3, '', 60, , FASTENER_MAKER, '', STEPS_FALL",
    "0, 1, 60, 60, , FASTENER_MAKER, '', NONE_LISTED"
  })
  void aSheetOfFixingsIsReadWithAllItsFaults(
      int per,
      String sequence,
      String steps,
      Double own,
      Double engine,
      Fixings.Whose whose,
      String why,
      Fault fault) {
    Fixings f =
        new Fixings(
            Fixings.Kind.BOLT,
            per,
            numbers(sequence).stream().map(Double::intValue).toList(),
            numbers(steps),
            "oil",
            own,
            engine,
            whose,
            why,
            Set.of(),
            false);
    List<Fault> found = f.faults().stream().map(Fixings.Found::fault).toList();
    assertThat(found).isEqualTo(fault == null ? List.of() : List.of(fault));
  }

  private static List<Double> numbers(String text) {
    return text.isBlank()
        ? List.of()
        : List.of(text.split(" ")).stream().map(Double::valueOf).toList();
  }
}
