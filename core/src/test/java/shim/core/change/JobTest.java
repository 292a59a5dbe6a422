package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static shim.core.change.Plans.act;
import static shim.core.change.Plans.work;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.change.ValveState.Stage;
import shim.core.engine.Position;
import shim.core.walk.Done;
import shim.core.walk.Step;
import shim.core.walk.Tally;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** The classic mistakes, each stopped with its reason. */
class JobTest {
  private static final JobPlan PLAN =
      Plans.onAir(work("3E", "B-1"), work("3I", "B-2"), work("6E", "B-3"));
  private static final Position E3 = Position.parse("3E");

  private static String refused(Walk<Job> job, Done act) {
    return job.refuses(act).orElse("allowed");
  }

  private static Walk<Job> unhooked() {
    return Plans.walkTo(PLAN, "3E:SPRING_OUT");
  }

  @Test
  void withAValveUnhookedNobodyBarsLetsGoLeavesOrSigns() {
    Walk<Job> job = unhooked();
    assertThat(job.loose()).containsExactly(E3);
    assertThat(refused(job, act(SpringAct.BAR, null, 90.0, null)))
        .startsWith("3E is unhooked, held by air since {2026-06-01T12:00:00Z}")
        .contains("turning the crank drops it");
    assertThat(refused(job, act(WalkAct.RELEASE, 3))).contains("letting the hold go drops it");
    assertThat(refused(job, act(SpringAct.UNLOCK, null))).contains("air is on");
    assertThat(refused(job, act(WalkAct.PARK, null, null, "lunch"))).contains("3E is unhooked");
    assertThat(refused(job, act(WalkAct.ABANDON, null, null, "rain"))).contains("3E is unhooked");
    assertThat(job.openForSigning())
        .contains("3E is not finished: unhooked", "the hold is still on at cylinder 3");
    assertThat(job.refuses(act(WalkAct.SIGN, null))).isPresent();
  }

  @Test
  void nothingBeginsBeforeTheCautionsAreAccepted() {
    Walk<Job> job = Plans.begin(PLAN);
    assertThat(refused(job, act(SpringAct.BAR, null, 0.0, null))).contains("cautions");
    assertThat(job.refuses(act(WalkAct.ACCEPT, null))).isEmpty();
  }

  @Test
  void airGoesOnOnlyAtItsTdcWithTheCrankLockedOneCylinderAtATime() {
    Walk<Job> job = Plans.walkTo(PLAN, "leg0:LOCK");
    int first = PLAN.route().legs().get(0).springs().get(0);
    int other = first == 3 ? 6 : 3;
    assertThat(refused(job, act(WalkAct.HOLD, other))).contains("not at TDC of cylinder " + other);
    assertThat(refused(job, act(WalkAct.HOLD, first))).contains("lock the crank first");
    job = job.after(act(SpringAct.LOCK, null)).after(act(WalkAct.HOLD, first));
    assertThat(refused(job, act(SpringAct.BAR, null, 90.0, null)))
        .contains("air is on in cylinder");
    assertThat(refused(job, act(WalkAct.HOLD, first))).contains("held already");
    assertThat(refused(job, act(WalkAct.HOLD, 5))).contains("cylinder 5 is not in this job");
  }

  /** A degree either way is at TDC, by however many turns it got there; two are not. */
  @ParameterizedTest
  @CsvSource({
    "0, true",
    "1, true",
    "-1, true",
    "1.01, false",
    "-1.01, false",
    "719, true",
    "359, false",
    "2, false"
  })
  void aDegreeOffTdcIsThere(double offDeg, boolean there) {
    Walk<Job> job = Plans.walkTo(PLAN, "leg0:LOCK");
    int first = PLAN.route().legs().get(0).springs().get(0);
    double tdc = PLAN.tdcDeg().get(first);
    Walk<Job> moved = job.after(act(SpringAct.BAR, null, (tdc + offDeg + 720) % 720, null));
    Walk<Job> locked = moved.after(act(SpringAct.LOCK, null));
    assertThat(refused(locked, act(WalkAct.HOLD, first)).contains("TDC")).isEqualTo(!there);
  }

  @Test
  void aValveThatIsNotHeldOrUnderItsRockerIsNotCompressed() {
    Walk<Job> job = Plans.walkTo(PLAN, "c3:ROCKERS_OFF");
    assertThat(refused(job, act(SpringAct.COMPRESS, "3E"))).contains("air first, or it drops");
    Walk<Job> held = Plans.walkTo(PLAN, "3E:FREE");
    assertThat(held.refuses(act(SpringAct.COMPRESS, "3E"))).isEmpty();
    Walk<Job> on = held.after(act(SpringAct.ROCKERS_ON, 3));
    assertThat(refused(on, act(SpringAct.COMPRESS, "3E")))
        .contains("rockers of cylinder 3 are still on");
  }

  @Test
  void oneValveAtATime() {
    assertThat(refused(unhooked(), act(SpringAct.COMPRESS, "3I"))).contains("finish 3E first");
  }

  @ParameterizedTest
  @CsvSource({
    "2.400, beyond the gauge's {1.700 in} to {2.200 in}",
    "49.5, lies between {0.500 in} and {6.000 in}",
    "NaN, lies between {0.500 in} and {6.000 in}"
  })
  void aHeightTheGaugeCannotShowIsNotTaken(double height, String words) {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:HEIGHT");
    assertThat(refused(job, act(SpringAct.HEIGHT, "3E", height, null))).contains(words);
  }

  @Test
  void aHeightThatIsOutWantsAnotherStackOrAReason() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:HEIGHT").after(act(SpringAct.HEIGHT, "3E", 1.972, null));
    assertThat(refused(job, act(SpringAct.SPRING_IN, "3E", null, "B-1")))
        .isEqualTo(
            "{1.972 in} is out of {1.950 in} ± {0.005 in}: another stack, or say why it may stand");
    assertThat(refused(job, act(SpringAct.ACCEPT_HEIGHT, "3E"))).contains("say why");
    Walk<Job> accepted = job.after(act(SpringAct.ACCEPT_HEIGHT, "3E", null, "last event"));
    assertThat(accepted.refuses(act(SpringAct.SPRING_IN, "3E", null, "B-1"))).isEmpty();
    Walk<Job> restacked = job.after(act(SpringAct.STACK, "3E", 2.0, null));
    assertThat(restacked.own().valve(E3).heightIn()).isNull();
    assertThat(restacked.after(act(SpringAct.STACK, "3E", 2.0, null)).next())
        .hasValueSatisfying(s -> assertThat(s.act()).isEqualTo(SpringAct.HEIGHT));
  }

  @Test
  void shimsTakenFromStockOnTheWayAreCountedAsLaidOut() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:STACK").after(act(SpringAct.STACK, "3E", 3.0, null));
    assertThat(job.count(Item.SHIMS)).isEqualTo(new Tally(2, 1, 3, 0, null));
    Walk<Job> fewer = job.after(act(SpringAct.STACK, "3E", 1.0, null));
    assertThat(fewer.count(Item.SHIMS).expected()).as("two lie on the bench now").isEqualTo(2);
  }

  @Test
  void aHeightMayBeLeftOpenWithAReasonAndIsAskedForAgainWithAnotherStack() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:HEIGHT");
    Done skip =
        new Done(
            SpringAct.SKIP_HEIGHT, "3E:HEIGHT", null, E3, null, "gauge lent", "KV", Plans.NOON);
    assertThat(job.refuses(skip)).isEmpty();
    Walk<Job> skipped = job.after(skip);
    assertThat(skipped.own().valve(E3).heightSkipped()).isTrue();
    assertThat(skipped.refuses(act(SpringAct.SPRING_IN, "3E", null, "B-1"))).isEmpty();
    Walk<Job> up = skipped;
    for (String step : List.of("SPRING_IN", "COMPRESSagain", "HOOK", "CLOSE")) {
      Step s = up.next().orElseThrow();
      assertThat(s.id()).isEqualTo("3E:" + step);
      up = up.after(Plans.doing(s, up));
    }
    assertThat(up.own().valve(E3).stage()).isEqualTo(ValveState.Stage.CLOSED);
    Walk<Job> restacked = skipped.after(act(SpringAct.STACK, "3E", 2.0, null));
    assertThat(restacked.own().valve(E3).heightSkipped()).isFalse();
    assertThat(refused(restacked, act(SpringAct.SPRING_IN, "3E", null, "B-1")))
        .contains("measure 3E's");
  }

  private static Walk<Job> at(double deg, boolean locked) {
    Walk<Job> job = Plans.walkTo(PLAN, "leg0:LOCK").after(act(SpringAct.BAR, null, deg, null));
    return locked ? job.after(act(SpringAct.LOCK, null)) : job;
  }

  /** 80 psi on a 4.000 bore: 102 lbf·ft at 34 degrees, the piston 0.38 down (worked by hand). */
  @Test
  void airGoesOnOffTdcOnlyWithALockedCrankAndKnowingWhatItDoes() {
    double tdc = PLAN.tdcDeg().get(3);
    Done air = act(WalkAct.HOLD, 3);
    Done knowing = act(WalkAct.HOLD, 3, null, "OFF_TDC");
    Walk<Job> pointer = at(tdc - 34, true);
    assertThat(refused(pointer, air))
        .isEqualTo(
            "34° before TDC air turns the crank with {102 lbf·ft}, and a valve could fall"
                + " {0.381 in}: accept it, or bar to TDC");
    assertThat(pointer.refuses(knowing)).isEmpty();
    assertThat(pointer.after(knowing).held()).containsKey(3);
    assertThat(refused(at(tdc - 34, false), knowing))
        .contains("by itself it holds to 12°: lock it");
    assertThat(refused(at(tdc + 50, true), knowing)).contains("bar there first");
    assertThat(at(tdc + 1, true).refuses(air)).isEmpty();
    assertThat(pointer.own().offTdc(3))
        .hasValueSatisfying(o -> assertThat(o.offDeg()).isEqualTo(-34));
    assertThat(at(tdc, true).own().offTdc(3)).isEmpty();
  }

  @Test
  void oldOnesThatWereExchangedAreCountedOutBeforeTheBenchIsCounted() {
    Walk<Job> job = Plans.walkTo(PLAN, "away:SEALS");
    Tally before = job.count(Item.SEALS);
    assertThat(before.expected()).as("one old seal a valve").isEqualTo(before.off());
    Walk<Job> away = job.after(act(WalkAct.PUT_AWAY, null, (double) before.off(), "SEALS"));
    assertThat(away.count(Item.SEALS).expected()).isZero();
    Walk<Job> more = job.after(act(WalkAct.LAY_OUT, null, 2.0, "RETAINERS"));
    assertThat(more.count(Item.RETAINERS).laidOut())
        .isEqualTo(job.count(Item.RETAINERS).laidOut() + 2);
  }

  @Test
  void noSpringIsInTwice() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:SPRING_IN");
    assertThat(refused(job, act(SpringAct.SPRING_IN, "3E", null, "A-3I")))
        .isEqualTo("A-3I is in at 3I");
    assertThat(refused(job, act(SpringAct.SPRING_IN, "3E", null, "A-3E")))
        .contains("came out as scrap");
  }

  @Test
  void withoutAGapTheLocksAreNotHomeAndWithoutLocksNothingIsLetUp() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:HOOK");
    assertThat(refused(job, act(SpringAct.CLOSE, "3E"))).contains("would lose everything");
    assertThat(refused(job, act(SpringAct.HOOK, "3E", null, "no"))).contains("not home");
    Walk<Job> hooked = job.after(act(SpringAct.HOOK, "3E", null, "gap"));
    assertThat(hooked.refuses(act(SpringAct.CLOSE, "3E"))).isEmpty();
    assertThat(refused(job, act(WalkAct.RELEASE, 3))).contains("3E is unhooked");
  }

  @Test
  void aLockThatJumpsIsPutInAgainStepByStep() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:PROVE");
    Walk<Job> jumped = job.after(act(SpringAct.JUMPED, "3E"));
    assertThat(jumped.loose()).containsExactly(E3);
    assertThat(jumped.next().orElseThrow().id()).isEqualTo("3E:COMPRESSagain");
    assertThat(job.count(Item.LOCKS).expected()).isZero();
    assertThat(jumped.count(Item.LOCKS).expected()).isEqualTo(2);
    assertThat(refused(job, act(WalkAct.RELEASE, 3))).contains("prove the locks of 3E first");
  }

  @Test
  void pushrodsComeHomeBeforeAnythingIsTorquedOrBarred() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:SEATED");
    assertThat(refused(job, act(SpringAct.BAR, null, 90.0, null))).contains("barring bends it");
    assertThat(refused(job, act(SpringAct.ROCKERS_ON, 3)))
        .contains("not confirmed in its lifter's cup");
    assertThat(refused(job, act(WalkAct.TORQUE, 3))).contains("not confirmed in its lifter's cup");
    Walk<Job> out = job.after(act(SpringAct.KEPT_OUT, 3));
    assertThat(out.refuses(act(SpringAct.BAR, null, 90.0, null))).isEmpty();
    assertThat(refused(out, act(SpringAct.ROCKERS_ON, 3))).contains("not confirmed");
  }

  @Test
  void lostAirStopsAllElseUntilTheValveIsSeenTo() {
    Walk<Job> lost = unhooked().after(act(WalkAct.AIR_LOST, 3));
    assertThat(lost.held().get(3).lost()).isTrue();
    assertThat(refused(lost, act(SpringAct.COMPRESS, "3E")))
        .contains("the hold is lost at cylinder 3");
    assertThat(refused(lost, act(SpringAct.BAR, null, 1.0, null))).contains("the hold is lost");
    assertThat(refused(lost, act(WalkAct.REHELD, 3))).contains("what holds the valve now");
    Walk<Job> again = lost.after(act(WalkAct.REHELD, 3, null, "air again"));
    assertThat(again.refuses(act(SpringAct.SPRING_OUT, "3E", null, "scrap"))).isEmpty();
    Walk<Job> dropped = lost.after(act(WalkAct.DROPPED, "3E"));
    assertThat(dropped.openForSigning()).contains("3E dropped: the head comes off");
    assertThat(dropped.refuses(act(WalkAct.ABANDON, null, null, "head off"))).isEmpty();
    Walk<Job> harmless = Plans.walkTo(PLAN, "3E:FREE").after(act(WalkAct.AIR_LOST, 3));
    assertThat(harmless.held()).isEmpty();
    assertThat(harmless.next().orElseThrow().id()).isEqualTo("c3:HOLD");
  }

  @Test
  void lashIsSetWhereTheLifterIsOffItsLobe() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:LASH");
    assertThat(job.refuses(act(SpringAct.LASH, "3E", 0.018, null))).isEmpty();
    assertThat(refused(job, act(SpringAct.LASH, "3E"))).contains("what it reads");
    Walk<Job> away = job.after(act(SpringAct.BAR, null, (job.own().crankDeg() + 200) % 720, null));
    assertThat(refused(away, act(SpringAct.LASH, "3E", 0.018, null)))
        .contains("may be on its lobe");
  }

  @Test
  void aMissingLockIsNamedAtTheSignature() {
    Walk<Job> job = Plans.walkTo(PLAN, "count:LOCKS");
    assertThat(refused(job, act(WalkAct.SIGN, null))).contains("locks are not counted yet");
    Walk<Job> one = job.after(act(WalkAct.COUNTED, null, 1.0, "LOCKS"));
    assertThat(one.openForSigning().get(0))
        .isEqualTo("1 lock too many: 0 laid out, 6 off the engine, 6 on it, 1 counted");
    Walk<Job> tools =
        Plans.walkTo(PLAN, "count:RAGS").after(act(WalkAct.COUNTED, null, 5.0, "TOOLS"));
    assertThat(tools.openForSigning())
        .anySatisfy(w -> assertThat(w).startsWith("1 tool missing: 6 laid out"));
    assertThat(refused(job, act(WalkAct.COUNTED, null, 1.5, "LOCKS"))).contains("A whole number");
    assertThat(refused(job, act(WalkAct.COUNTED, null, 1.0, "SPANNERS"))).contains("how many?");
  }

  @Test
  void aParkedJobSaysWhyAndUntilWhenAndWaitsToBeTakenUp() {
    Walk<Job> job = Plans.walkTo(PLAN, "leg1:BAR");
    assertThat(refused(job, act(WalkAct.PARK, null))).contains("what it waits for");
    Walk<Job> ordered = job.after(act(WalkAct.ORDER, null, null, "seals"));
    assertThat(ordered.parked().why()).isEqualTo("on order: seals");
    assertThat(ordered.parked().until()).isNull();
    Walk<Job> parked = job.after(act(WalkAct.PARK, null, 90.0, "seals ordered"));
    assertThat(parked.parked().until()).isEqualTo(Plans.NOON.plusSeconds(5400));
    assertThat(refused(parked, act(SpringAct.BAR, null, 1.0, null))).contains("parked");
    assertThat(parked.after(act(WalkAct.RESUME, null)).parked()).isNull();
  }

  @Test
  void aStepIsOnlyDoneByItsOwnActAtItsOwnPlace() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:PROVE");
    Done faked = new Done(WalkAct.TICK, "3E:PROVE", null, E3, null, null, "KV", Plans.NOON);
    assertThat(refused(job, faked)).contains("no such step");
    Done elsewhere =
        new Done(
            SpringAct.PROVE, "3E:PROVE", null, Position.parse("3I"), null, null, "KV", Plans.NOON);
    assertThat(refused(job, elsewhere)).contains("no such step");
  }

  @Test
  void onlyAPlainStepIsTakenBack() {
    Walk<Job> job = Plans.walkTo(PLAN, "leg0:BAR");
    Walk<Job> back = job.after(act(WalkAct.UNTICK, null, null, "tick:covers-off"));
    assertThat(back.next().orElseThrow().id()).isEqualTo("tick:covers-off");
    assertThat(refused(job, act(WalkAct.UNTICK, null, null, "out:LOCKS"))).contains("plain step");
  }

  @Test
  void aValveLetUpAgainBeforeItsLocksCameOutIsOnItsSpring() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:UNHOOK");
    Walk<Job> up = job.after(act(SpringAct.CLOSE, "3E"));
    assertThat(up.own().valve(E3).stage()).isEqualTo(Stage.ON_SPRING);
    assertThat(up.next().orElseThrow().id()).isEqualTo("3E:COMPRESS");
  }

  @Test
  void aPlanWithoutValvesOrWithOneTwiceIsNone() {
    assertThatThrownBy(Plans::onAir).hasMessageContaining("choose the valves");
    assertThatThrownBy(() -> Plans.onAir(work("3E", "a"), work("3E", "b")))
        .hasMessageContaining("twice");
  }
}
