package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.change.Plans.plan;
import static shim.core.change.Plans.work;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.change.JobPlan.Kind;
import shim.core.engine.Position;
import shim.core.walk.Done;
import shim.core.walk.End;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** The walk of every kind of job, from the cautions to the signature. */
class ScriptTest {
  private static final JobPlan.Work[] TWO_CYLINDERS = {
    work("3E", "B-1"), work("3I", "B-2"), work("6E", "A-6E"), work("1I", "B-3")
  };

  @Test
  void whateverTheSettingTheWalkIsNeverRefusedAndEndsSigned() {
    int jobs = 0;
    for (Kind kind : Kind.values()) {
      for (Hold hold :
          kind == Kind.IN_CAR ? List.of(Hold.AIR, Hold.PISTON, Hold.ROPE) : List.of(Hold.BLOCK)) {
        for (Route.School school : Route.School.values()) {
          for (Schools.Proving proving : Schools.Proving.values()) {
            for (Schools.Plugs plugs : Schools.Plugs.values()) {
              Schools schools =
                  new Schools(
                      Schools.Freeing.TOOL,
                      proving,
                      plugs,
                      Schools.Lubricant.OIL,
                      jobs % 2 == 0,
                      Schools.PlugsOut.values()[jobs % 3 % 2]);
              JobPlan plan = plan(kind, hold, school, schools, TWO_CYLINDERS);
              Walk<Job> done = Plans.walkTo(plan, "none");
              assertThat(done.end()).isEqualTo(End.SIGNED);
              assertThat(done.own().valves().values())
                  .allSatisfy(v -> assertThat(v.stage()).isEqualTo(ValveState.Stage.PROVED));
              jobs++;
            }
          }
        }
      }
    }
    assertThat(jobs).isEqualTo((3 + 1 + 1) * 2 * 4 * 2);
  }

  @Test
  void stepsAreNamedOnceAndTheSamePlanGivesTheSameSteps() {
    JobPlan plan = Plans.onAir(TWO_CYLINDERS);
    List<Step> steps = Script.of(plan);
    assertThat(steps).extracting(Step::id).doesNotHaveDuplicates();
    assertThat(Script.of(plan)).isEqualTo(steps);
    assertThat(steps.get(0).act()).isEqualTo(WalkAct.ACCEPT);
    assertThat(steps.get(steps.size() - 1).act()).isEqualTo(WalkAct.SIGN);
  }

  @Test
  void aCautionStandsAtEachStepThatCanHurt() {
    List<Step> steps = Script.of(Plans.onAir(work("3E", "B-1")));
    assertThat(steps)
        .filteredOn(
            s ->
                List.of(
                        WalkAct.HOLD,
                        SpringAct.COMPRESS,
                        SpringAct.UNHOOK,
                        SpringAct.CLOSE,
                        SpringAct.PROVE,
                        SpringAct.BAR)
                    .contains(s.act()))
        .hasSizeGreaterThan(6)
        .allSatisfy(s -> assertThat(s.caution()).isNotBlank());
  }

  @Test
  void theOilIsLookedAtBeforeTheEngineIsCrankedWhereTheIntakeCameOff() {
    JobPlan plan =
        plan(
            Kind.IN_CAR,
            Hold.AIR,
            Route.School.CYLINDER_BY_CYLINDER,
            Schools.USUAL,
            new JobPlan.Drive(true, false, true, true, false, "45 lbf·ft in three steps", null),
            work("3E", "B-1"));
    List<String> ids = Script.of(plan).stream().map(Step::id).toList();
    assertThat(ids.indexOf("tick:oil-look")).isPositive();
    assertThat(ids).containsSubsequence("tick:oil-look", "tick:oil-new", "tick:fuel", "tick:start");
    assertThat(Cautions.of(plan)).anySatisfy(c -> assertThat(c).contains("clamp the head"));
    assertThat(Script.of(plan))
        .filteredOn(s -> s.act() == SpringAct.ROCKERS_OFF || s.act() == SpringAct.ROCKERS_ON)
        .hasSize(2)
        .allSatisfy(
            s -> assertThat(s.caution()).endsWith("one at a time, 45 lbf·ft in three steps."));
    assertThat(Script.of(Plans.onAir(work("3E", "B-1"))))
        .noneMatch(s -> s.id().equals("tick:oil-look"));
  }

  /** Where nothing turns the length is measured first, and the part that goes in is the setting. */
  @Test
  void aPreloadByLengthIsMeasuredBeforeItIsSet() {
    JobPlan plan =
        plan(
            Kind.IN_CAR,
            Hold.AIR,
            Route.School.CYLINDER_BY_CYLINDER,
            Schools.USUAL,
            new JobPlan.Drive(true, true, false, false, false, null, true),
            work("3E", "B-1"));
    assertThat(plan.drive().sets()).isEqualTo(JobPlan.Sets.LENGTH);
    List<String> ids = Script.of(plan).stream().map(Step::id).toList();
    assertThat(ids).containsSubsequence("c3:ROCKERS_ON", "3E:ZERO_LASH", "3E:LASH");
    Walk<Job> at = Plans.walkTo(plan, "3E:ZERO_LASH");
    Done fitted =
        new Done(
            SpringAct.LASH, "3E:LASH", null, Position.parse("3E"), 7.9, null, "KV", Plans.NOON);
    assertThat(at.refuses(fitted)).hasValue("measure the length at zero lash first");
    Done measured =
        new Done(
            SpringAct.ZERO_LASH,
            "3E:ZERO_LASH",
            null,
            Position.parse("3E"),
            7.85,
            null,
            "KV",
            Plans.NOON);
    assertThat(at.refuses(measured)).isEmpty();
    assertThat(at.after(measured).refuses(fitted)).isEmpty();
  }

  @Test
  void shimsCupAndRotatorGoInBeforeTheSealAndADamperIntoItsSpring() {
    List<Step> steps = Script.of(Plans.onAir(work("3E", "B-1")));
    assertThat(steps.stream().map(Step::id))
        .containsSubsequence("3E:STACK", "3E:SEAL", "3E:HEIGHT", "3E:SPRING_IN");
    JobPlan.Work w = work("3E", "B-1");
    JobPlan damped =
        Plans.onAir(
            new JobPlan.Work(
                w.valve(), w.oldSpring(), w.newSpring(), true, 1, w.height(), true, null));
    assertThat(Script.of(damped))
        .filteredOn(s -> s.act() == SpringAct.SPRING_IN)
        .allSatisfy(s -> assertThat(s.look()).first().asString().contains("damper"));
  }

  /** Two shims in, two old ones out; locks and retainers of the new kind, the old ones away. */
  @Test
  void anotherKindGoesInWithItsPartsAndTheOldOnesAreCountedAway() {
    JobPlan.Work w = work("3E", "S-1");
    JobPlan.Parts to =
        new JobPlan.Parts("stiff", List.of(0.015, 0.060), "R10", "L10 +0.050", "cup C", 0.8, 1.556);
    JobPlan plan =
        Plans.onAir(
            new JobPlan.Work(w.valve(), w.oldSpring(), "S-1", true, 1, w.height(), false, to),
            work("3I", "A-3I"));
    List<Step> steps = Script.of(plan);
    assertThat(steps)
        .filteredOn(s -> s.act() == WalkAct.LAY_OUT)
        .extracting(s -> s.word() + " " + s.figure().intValue())
        .contains("RETAINERS 1", "LOCKS 2", "SHIMS 2", "SPRINGS 1");
    assertThat(steps)
        .filteredOn(s -> s.act() == WalkAct.PUT_AWAY)
        .extracting(s -> s.word() + " " + s.figure().intValue())
        .containsExactlyInAnyOrder("LOCKS 2", "RETAINERS 1", "SHIMS 1", "SEALS 2");
    assertThat(steps.stream().map(Step::title))
        .contains("3E: spring in, stiff", "3E: retainer R10, locks L10 +0.050", "3I: spring in");
    Walk<Job> done = Plans.walkTo(plan, "none");
    assertThat(done.end()).isEqualTo(End.SIGNED);
    assertThat(done.own().valve(w.valve()).shims()).isEqualTo(2);
    assertThat(done.count(Item.SPRINGS).expected()).as("the old one on the bench").isEqualTo(1);
    assertThat(done.count(Item.SHIMS).expected()).isZero();
  }

  private static List<String> plugs(Hold hold, Schools.PlugsOut out, Schools.Plugs in) {
    Schools u = Schools.USUAL;
    Schools schools = new Schools(u.freeing(), u.proving(), in, u.lubricant(), u.renewLocks(), out);
    return Script.of(
            plan(Kind.IN_CAR, hold, Route.School.CYLINDER_BY_CYLINDER, schools, work("3E", "B-1")))
        .stream()
        .map(Step::id)
        .filter(id -> id.contains("plug") && !id.startsWith("torque"))
        .toList();
  }

  /** Every plug that comes out goes in again, by either school. */
  @Test
  void thePlugsFollowTheirSchools() {
    Schools.PlugsOut first = Schools.PlugsOut.BEFORE_BARRING;
    Schools.PlugsOut each = Schools.PlugsOut.AS_REACHED;
    assertThat(plugs(Hold.AIR, first, Schools.Plugs.LAST))
        .containsExactly("tick:plugs-out", "tick:plugs-in");
    assertThat(plugs(Hold.AIR, first, Schools.Plugs.BEFORE_ROCKERS))
        .as("the other cylinders' too")
        .containsExactly("tick:plugs-out", "tick:c3:plug", "tick:plugs-in");
    assertThat(plugs(Hold.AIR, each, Schools.Plugs.LAST))
        .containsExactly("tick:c3:plug-out", "tick:plugs-in");
    assertThat(plugs(Hold.ROPE, each, Schools.Plugs.BEFORE_ROCKERS))
        .containsExactly("tick:c3:plug-out", "tick:c3:plug");
    for (Schools.Plugs in : Schools.Plugs.values()) {
      assertThat(plugs(Hold.PISTON, each, in)).as("the piston needs no plug hole").isEmpty();
    }
  }

  @Test
  void aTorqueLineReachesEveryKindOfJobUnlessItSaysItsOwn() {
    for (Kind kind : Kind.values()) {
      Hold hold = kind == Kind.IN_CAR ? Hold.AIR : Hold.BLOCK;
      JobPlan plan =
          plan(kind, hold, Route.School.CYLINDER_BY_CYLINDER, Schools.USUAL, work("3E", "B-1"));
      assertThat(Script.of(plan))
          .filteredOn(s -> s.act() == WalkAct.TORQUE)
          .hasSize(kind == Kind.IN_CAR ? 3 : 2)
          .allSatisfy(s -> assertThat(s.look()).hasSize(3));
    }
  }

  @Test
  void bothSchoolsOfOrderPutTheLashWhereTheySay() {
    List<String> each = Script.of(Plans.onAir(TWO_CYLINDERS)).stream().map(Step::id).toList();
    assertThat(each.indexOf("1I:LASH")).isLessThan(each.indexOf("6E:COMPRESS"));
    List<String> all =
        Script.of(
                plan(
                    Kind.IN_CAR,
                    Hold.AIR,
                    Route.School.ALL_SPRINGS_FIRST,
                    Schools.USUAL,
                    TWO_CYLINDERS))
            .stream()
            .map(Step::id)
            .toList();
    assertThat(all.indexOf("1I:LASH")).isGreaterThan(all.indexOf("6E:PROVE"));
    assertThat(all).containsSubsequence("c3:KEPT_OUT", "3E:SEATED", "c3:ROCKERS_ON", "3E:LASH");
  }

  @Test
  void theTorqueSheetIsFollowedInItsSteps() {
    List<Step> steps = Script.of(Plans.onAir(work("3E", "B-1")));
    assertThat(steps)
        .filteredOn(s -> s.act() == WalkAct.TORQUE)
        .extracting(Step::title)
        .containsExactly(
            "Cylinder 3, shaft bolts: {15 lbf·ft}, step 1 of 2",
            "Cylinder 3, shaft bolts: {25 lbf·ft}, step 2 of 2",
            "plugs: {12 lbf·ft}, step 1 of 1");
    assertThat(steps)
        .filteredOn(s -> s.act() == WalkAct.TORQUE)
        .first()
        .satisfies(
            s ->
                assertThat(s.look())
                    .containsExactly("middle outwards", "engine oil", "figure of the builder"));
  }
}
