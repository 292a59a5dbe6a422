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

/** The classic mistakes, each stopped with its reason. */
class JobTest {
  private static final JobPlan PLAN =
      Plans.onAir(work("3E", "B-1"), work("3I", "B-2"), work("6E", "B-3"));
  private static final Position E3 = Position.parse("3E");

  private static String refused(Job job, Done act) {
    return job.refuses(act).orElse("allowed");
  }

  private static Job unhooked() {
    return Plans.walkTo(PLAN, "3E:SPRING_OUT");
  }

  @Test
  void withAValveUnhookedNobodyBarsLetsGoLeavesOrSigns() {
    Job job = unhooked();
    assertThat(job.loose()).containsExactly(E3);
    assertThat(refused(job, act(Act.BAR, null, 90.0, null)))
        .startsWith("3E is unhooked, held by air since {2026-06-01T12:00:00Z}")
        .contains("turning the crank drops it");
    assertThat(refused(job, act(Act.RELEASE, 3))).contains("letting the hold go drops it");
    assertThat(refused(job, act(Act.UNLOCK, null))).contains("air is on");
    assertThat(refused(job, act(Act.PARK, null, null, "lunch"))).contains("3E is unhooked");
    assertThat(refused(job, act(Act.ABANDON, null, null, "rain"))).contains("3E is unhooked");
    assertThat(job.openForSigning())
        .contains("3E is not finished: unhooked", "the hold is still on at cylinder 3");
    assertThat(job.refuses(act(Act.SIGN, null))).isPresent();
  }

  @Test
  void nothingBeginsBeforeTheCautionsAreAccepted() {
    Job job = Job.begin(PLAN);
    assertThat(refused(job, act(Act.BAR, null, 0.0, null))).contains("cautions");
    assertThat(job.refuses(act(Act.ACCEPT, null))).isEmpty();
  }

  @Test
  void airGoesOnOnlyAtItsTdcWithTheCrankLockedOneCylinderAtATime() {
    Job job = Plans.walkTo(PLAN, "leg0:LOCK");
    int first = PLAN.route().legs().get(0).springs().get(0);
    int other = first == 3 ? 6 : 3;
    assertThat(refused(job, act(Act.HOLD, other))).contains("not at TDC of cylinder " + other);
    assertThat(refused(job, act(Act.HOLD, first))).contains("lock the crank first");
    job = job.after(act(Act.LOCK, null)).after(act(Act.HOLD, first));
    assertThat(refused(job, act(Act.BAR, null, 90.0, null))).contains("air is on in cylinder");
    assertThat(refused(job, act(Act.HOLD, first))).contains("held already");
    assertThat(refused(job, act(Act.HOLD, 5))).contains("cylinder 5 is not in this job");
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
    Job job = Plans.walkTo(PLAN, "leg0:LOCK");
    int first = PLAN.route().legs().get(0).springs().get(0);
    double tdc = PLAN.tdcDeg().get(first);
    Job moved = job.after(act(Act.BAR, null, (tdc + offDeg + 720) % 720, null));
    Job locked = moved.after(act(Act.LOCK, null));
    assertThat(refused(locked, act(Act.HOLD, first)).contains("TDC")).isEqualTo(!there);
  }

  @Test
  void aValveThatIsNotHeldOrUnderItsRockerIsNotCompressed() {
    Job job = Plans.walkTo(PLAN, "c3:ROCKERS_OFF");
    assertThat(refused(job, act(Act.COMPRESS, "3E"))).contains("air first, or it drops");
    Job held = Plans.walkTo(PLAN, "3E:FREE");
    assertThat(held.refuses(act(Act.COMPRESS, "3E"))).isEmpty();
    Job on = held.after(act(Act.ROCKERS_ON, 3));
    assertThat(refused(on, act(Act.COMPRESS, "3E"))).contains("rockers of cylinder 3 are still on");
  }

  @Test
  void oneValveAtATime() {
    assertThat(refused(unhooked(), act(Act.COMPRESS, "3I"))).contains("finish 3E first");
  }

  @ParameterizedTest
  @CsvSource({
    "2.400, beyond the gauge's {1.700 in} to {2.200 in}",
    "49.5, lies between {0.500 in} and {6.000 in}",
    "NaN, lies between {0.500 in} and {6.000 in}"
  })
  void aHeightTheGaugeCannotShowIsNotTaken(double height, String words) {
    Job job = Plans.walkTo(PLAN, "3E:HEIGHT");
    assertThat(refused(job, act(Act.HEIGHT, "3E", height, null))).contains(words);
  }

  @Test
  void aHeightThatIsOutWantsAnotherStackOrAReason() {
    Job job = Plans.walkTo(PLAN, "3E:HEIGHT").after(act(Act.HEIGHT, "3E", 1.972, null));
    assertThat(refused(job, act(Act.SPRING_IN, "3E", null, "B-1")))
        .isEqualTo(
            "{1.972 in} is out of {1.950 in} ± {0.005 in}: another stack, or say why it may stand");
    assertThat(refused(job, act(Act.ACCEPT_HEIGHT, "3E"))).contains("say why");
    Job accepted = job.after(act(Act.ACCEPT_HEIGHT, "3E", null, "last event"));
    assertThat(accepted.refuses(act(Act.SPRING_IN, "3E", null, "B-1"))).isEmpty();
    Job restacked = job.after(act(Act.STACK, "3E", 2.0, null));
    assertThat(restacked.valve(E3).heightIn()).isNull();
    assertThat(Script.of(PLAN).next(restacked.after(act(Act.STACK, "3E", 2.0, null)).ticked()))
        .hasValueSatisfying(s -> assertThat(s.act()).isEqualTo(Act.HEIGHT));
  }

  @Test
  void shimsTakenFromStockOnTheWayAreCountedAsLaidOut() {
    Job job = Plans.walkTo(PLAN, "3E:STACK").after(act(Act.STACK, "3E", 3.0, null));
    assertThat(job.count(Item.SHIMS)).isEqualTo(new Tally(2, 1, 3, 0, null));
    Job fewer = job.after(act(Act.STACK, "3E", 1.0, null));
    assertThat(fewer.count(Item.SHIMS).expected()).as("two lie on the bench now").isEqualTo(2);
  }

  @Test
  void aHeightMayBeLeftOpenWithAReasonAndIsAskedForAgainWithAnotherStack() {
    Job job = Plans.walkTo(PLAN, "3E:HEIGHT");
    Done skip =
        new Done(Act.SKIP_HEIGHT, "3E:HEIGHT", null, E3, null, "gauge lent", "KV", Plans.NOON);
    assertThat(job.refuses(skip)).isEmpty();
    Job skipped = job.after(skip);
    assertThat(skipped.valve(E3).heightSkipped()).isTrue();
    assertThat(skipped.refuses(act(Act.SPRING_IN, "3E", null, "B-1"))).isEmpty();
    Job up = skipped;
    for (String step : List.of("SPRING_IN", "COMPRESSagain", "HOOK", "CLOSE")) {
      Step s = Script.of(PLAN).next(up.ticked()).orElseThrow();
      assertThat(s.id()).isEqualTo("3E:" + step);
      up = up.after(Plans.doing(s, up));
    }
    assertThat(up.valve(E3).stage()).isEqualTo(ValveState.Stage.CLOSED);
    Job restacked = skipped.after(act(Act.STACK, "3E", 2.0, null));
    assertThat(restacked.valve(E3).heightSkipped()).isFalse();
    assertThat(refused(restacked, act(Act.SPRING_IN, "3E", null, "B-1"))).contains("measure 3E's");
  }

  private static Job at(double deg, boolean locked) {
    Job job = Plans.walkTo(PLAN, "leg0:LOCK").after(act(Act.BAR, null, deg, null));
    return locked ? job.after(act(Act.LOCK, null)) : job;
  }

  /** 80 psi on a 4.000 bore: 102 lbf·ft at 34 degrees, the piston 0.38 down (worked by hand). */
  @Test
  void airGoesOnOffTdcOnlyWithALockedCrankAndKnowingWhatItDoes() {
    double tdc = PLAN.tdcDeg().get(3);
    Done air = act(Act.HOLD, 3);
    Done knowing = act(Act.HOLD, 3, null, "OFF_TDC");
    Job pointer = at(tdc - 34, true);
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
    assertThat(pointer.offTdc(3)).hasValueSatisfying(o -> assertThat(o.offDeg()).isEqualTo(-34));
    assertThat(at(tdc, true).offTdc(3)).isEmpty();
  }

  @Test
  void oldOnesThatWereExchangedAreCountedOutBeforeTheBenchIsCounted() {
    Job job = Plans.walkTo(PLAN, "away:SEALS");
    Tally before = job.count(Item.SEALS);
    assertThat(before.expected()).as("one old seal a valve").isEqualTo(before.off());
    Job away = job.after(act(Act.PUT_AWAY, null, (double) before.off(), "SEALS"));
    assertThat(away.count(Item.SEALS).expected()).isZero();
    Job more = job.after(act(Act.LAY_OUT, null, 2.0, "RETAINERS"));
    assertThat(more.count(Item.RETAINERS).laidOut())
        .isEqualTo(job.count(Item.RETAINERS).laidOut() + 2);
  }

  @Test
  void noSpringIsInTwice() {
    Job job = Plans.walkTo(PLAN, "3E:SPRING_IN");
    assertThat(refused(job, act(Act.SPRING_IN, "3E", null, "A-3I"))).isEqualTo("A-3I is in at 3I");
    assertThat(refused(job, act(Act.SPRING_IN, "3E", null, "A-3E"))).contains("came out as scrap");
  }

  @Test
  void withoutAGapTheLocksAreNotHomeAndWithoutLocksNothingIsLetUp() {
    Job job = Plans.walkTo(PLAN, "3E:HOOK");
    assertThat(refused(job, act(Act.CLOSE, "3E"))).contains("would lose everything");
    assertThat(refused(job, act(Act.HOOK, "3E", null, "no"))).contains("not home");
    Job hooked = job.after(act(Act.HOOK, "3E", null, "gap"));
    assertThat(hooked.refuses(act(Act.CLOSE, "3E"))).isEmpty();
    assertThat(refused(job, act(Act.RELEASE, 3))).contains("3E is unhooked");
  }

  @Test
  void aLockThatJumpsIsPutInAgainStepByStep() {
    Job job = Plans.walkTo(PLAN, "3E:PROVE");
    Job jumped = job.after(act(Act.JUMPED, "3E"));
    assertThat(jumped.loose()).containsExactly(E3);
    assertThat(Script.of(PLAN).next(jumped.ticked()).orElseThrow().id())
        .isEqualTo("3E:COMPRESSagain");
    assertThat(job.count(Item.LOCKS).expected()).isZero();
    assertThat(jumped.count(Item.LOCKS).expected()).isEqualTo(2);
    assertThat(refused(job, act(Act.RELEASE, 3))).contains("prove the locks of 3E first");
  }

  @Test
  void pushrodsComeHomeBeforeAnythingIsTorquedOrBarred() {
    Job job = Plans.walkTo(PLAN, "3E:SEATED");
    assertThat(refused(job, act(Act.BAR, null, 90.0, null))).contains("barring bends it");
    assertThat(refused(job, act(Act.ROCKERS_ON, 3))).contains("not confirmed in its lifter's cup");
    assertThat(refused(job, act(Act.TORQUE, 3))).contains("not confirmed in its lifter's cup");
    Job out = job.after(act(Act.KEPT_OUT, 3));
    assertThat(out.refuses(act(Act.BAR, null, 90.0, null))).isEmpty();
    assertThat(refused(out, act(Act.ROCKERS_ON, 3))).contains("not confirmed");
  }

  @Test
  void lostAirStopsAllElseUntilTheValveIsSeenTo() {
    Job lost = unhooked().after(act(Act.AIR_LOST, 3));
    assertThat(lost.held().get(3).lost()).isTrue();
    assertThat(refused(lost, act(Act.COMPRESS, "3E"))).contains("the hold is lost at cylinder 3");
    assertThat(refused(lost, act(Act.BAR, null, 1.0, null))).contains("the hold is lost");
    assertThat(refused(lost, act(Act.REHELD, 3))).contains("what holds the valve now");
    Job again = lost.after(act(Act.REHELD, 3, null, "air again"));
    assertThat(again.refuses(act(Act.SPRING_OUT, "3E", null, "scrap"))).isEmpty();
    Job dropped = lost.after(act(Act.DROPPED, "3E"));
    assertThat(dropped.openForSigning()).contains("3E dropped: the head comes off");
    assertThat(dropped.refuses(act(Act.ABANDON, null, null, "head off"))).isEmpty();
    Job harmless = Plans.walkTo(PLAN, "3E:FREE").after(act(Act.AIR_LOST, 3));
    assertThat(harmless.held()).isEmpty();
    assertThat(Script.of(PLAN).next(harmless.ticked()).orElseThrow().id()).isEqualTo("c3:HOLD");
  }

  @Test
  void lashIsSetWhereTheLifterIsOffItsLobe() {
    Job job = Plans.walkTo(PLAN, "3E:LASH");
    assertThat(job.refuses(act(Act.LASH, "3E", 0.018, null))).isEmpty();
    assertThat(refused(job, act(Act.LASH, "3E"))).contains("what it reads");
    Job away = job.after(act(Act.BAR, null, (job.crankDeg() + 200) % 720, null));
    assertThat(refused(away, act(Act.LASH, "3E", 0.018, null))).contains("may be on its lobe");
  }

  @Test
  void aMissingLockIsNamedAtTheSignature() {
    Job job = Plans.walkTo(PLAN, "count:LOCKS");
    assertThat(refused(job, act(Act.SIGN, null))).contains("locks are not counted yet");
    Job one = job.after(act(Act.COUNTED, null, 1.0, "LOCKS"));
    assertThat(one.openForSigning().get(0))
        .isEqualTo("1 lock too many: 0 laid out, 6 off the engine, 6 on it, 1 counted");
    Job tools = Plans.walkTo(PLAN, "count:RAGS").after(act(Act.COUNTED, null, 5.0, "TOOLS"));
    assertThat(tools.openForSigning())
        .anySatisfy(w -> assertThat(w).startsWith("1 tool missing: 6 laid out"));
    assertThat(refused(job, act(Act.COUNTED, null, 1.5, "LOCKS"))).contains("A whole number");
    assertThat(refused(job, act(Act.COUNTED, null, 1.0, "SPANNERS"))).contains("how many?");
  }

  @Test
  void aParkedJobSaysWhyAndUntilWhenAndWaitsToBeTakenUp() {
    Job job = Plans.walkTo(PLAN, "leg1:BAR");
    assertThat(refused(job, act(Act.PARK, null))).contains("what it waits for");
    Job ordered = job.after(act(Act.ORDER, null, null, "seals"));
    assertThat(ordered.parked().why()).isEqualTo("on order: seals");
    assertThat(ordered.parked().until()).isNull();
    Job parked = job.after(act(Act.PARK, null, 90.0, "seals ordered"));
    assertThat(parked.parked().until()).isEqualTo(Plans.NOON.plusSeconds(5400));
    assertThat(refused(parked, act(Act.BAR, null, 1.0, null))).contains("parked");
    assertThat(parked.after(act(Act.RESUME, null)).parked()).isNull();
  }

  @Test
  void aStepIsOnlyDoneByItsOwnActAtItsOwnPlace() {
    Job job = Plans.walkTo(PLAN, "3E:PROVE");
    Done faked = new Done(Act.TICK, "3E:PROVE", null, E3, null, null, "KV", Plans.NOON);
    assertThat(refused(job, faked)).contains("no such step");
    Done elsewhere =
        new Done(Act.PROVE, "3E:PROVE", null, Position.parse("3I"), null, null, "KV", Plans.NOON);
    assertThat(refused(job, elsewhere)).contains("no such step");
  }

  @Test
  void onlyAPlainStepIsTakenBack() {
    Job job = Plans.walkTo(PLAN, "leg0:BAR");
    Job back = job.after(act(Act.UNTICK, null, null, "tick:covers-off"));
    assertThat(Script.of(PLAN).next(back.ticked()).orElseThrow().id()).isEqualTo("tick:covers-off");
    assertThat(refused(job, act(Act.UNTICK, null, null, "out:LOCKS"))).contains("plain step");
  }

  @Test
  void aValveLetUpAgainBeforeItsLocksCameOutIsOnItsSpring() {
    Job job = Plans.walkTo(PLAN, "3E:UNHOOK");
    Job up = job.after(act(Act.CLOSE, "3E"));
    assertThat(up.valve(E3).stage()).isEqualTo(Stage.ON_SPRING);
    assertThat(Script.of(PLAN).next(up.ticked()).orElseThrow().id()).isEqualTo("3E:COMPRESS");
  }

  @Test
  void aPlanWithoutValvesOrWithOneTwiceIsNone() {
    assertThatThrownBy(Plans::onAir).hasMessageContaining("choose the valves");
    assertThatThrownBy(() -> Plans.onAir(work("3E", "a"), work("3E", "b")))
        .hasMessageContaining("twice");
  }
}
