package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.change.JobPlan.Kind;
import shim.core.change.JobWish.Free;
import shim.core.change.JobWish.Pocket;
import shim.core.change.JobWish.Refused;
import shim.core.change.JobWish.Wanted;
import shim.core.engine.Position;

/** From what is wanted to a plan: what goes in, and what cannot be planned. */
class JobWishTest {
  private static final Position E3 = Position.parse("3E");
  private static final Position I3 = Position.parse("3I");
  private static final JobWish.Shop SHOP =
      new JobWish.Shop(
          0.005, 1.7, 2.2, false, "by the head's rule", Schools.USUAL, List.of(Plans.BOLT));

  private static Spare spare(String mark) {
    return new Spare("id " + mark, mark, false, OptionalDouble.empty(), OptionalDouble.empty(), 0);
  }

  private static Map<Position, Pocket> pockets(String... spares) {
    List<Spare> free = Stream.of(spares).map(JobWishTest::spare).toList();
    Map<Position, Pocket> all = new HashMap<>();
    for (Position p : List.of(E3, I3)) {
      all.put(p, new Pocket("A " + p, "0.015 + 0.030", 1.95, free, false, null));
    }
    return all;
  }

  @Test
  void anotherKindThatDoesNotLieThereIsNoSpringOfTheOldKind() {
    JobPlan.Parts to = new JobPlan.Parts("stiff", List.of(0.060), "R", "L", "", null, null);
    Map<Position, Pocket> none =
        Map.of(E3, new Pocket("A 3E", "0.015", 1.95, List.of(), false, to));
    JobWish wish = inCar(best(E3));
    assertThat(wish.refused(Plans.V8, none))
        .contains(new JobWish.No(JobWish.Refused.NONE_OF_THAT_KIND, Optional.of(E3)));
    Map<Position, Pocket> some =
        Map.of(E3, new Pocket("A 3E", "0.015", 1.95, List.of(spare("S-1")), false, to));
    assertThat(wish.refused(Plans.V8, some)).isEmpty();
  }

  private static Wanted best(Position p) {
    return new Wanted(p, Optional.empty(), false, false);
  }

  private static Wanted asked(Position p, String mark) {
    return new Wanted(p, Optional.of(new Free("id " + mark, mark)), true, false);
  }

  private static JobWish wish(Kind kind, Hold hold, Boolean lock, Wanted... valves) {
    AirHold air = new AirHold(Optional.empty(), 80, 3, 12);
    return new JobWish(kind, hold, air, lock, Route.USUAL, null, true, false, List.of(valves));
  }

  private static JobWish inCar(Wanted... valves) {
    return wish(Kind.IN_CAR, Hold.AIR, null, valves);
  }

  @Test
  void theBestOfStockGoesInAndNoSpringGoesInTwice() {
    Map<Position, Free> in = inCar(best(E3), best(I3)).springs(pockets("N-1", "N-2"));
    assertThat(in.get(E3).mark()).isEqualTo("N-1");
    assertThat(in.get(I3).mark()).isEqualTo("N-2");
  }

  @Test
  void oneAskedForFurtherDownIsNotGivenAwayBefore() {
    Map<Position, Free> in = inCar(best(E3), asked(I3, "N-1")).springs(pockets("N-1", "N-2"));
    assertThat(in.get(E3).mark()).isEqualTo("N-2");
    assertThat(in.get(I3).mark()).isEqualTo("N-1");
  }

  @Test
  void whereStockRunsOutOrTheSameIsWantedTheOldOneGoesBack() {
    JobWish wish = inCar(best(E3), best(I3));
    JobPlan plan = wish.plan(Plans.V8, pockets("N-1"), SHOP);
    assertThat(plan.valves()).extracting(JobPlan.Work::newSpring).containsExactly("N-1", "A 3I");
    JobPlan same =
        inCar(new Wanted(E3, Optional.of(new Free("id N-1", "N-1")), false, true))
            .plan(Plans.V8, pockets("N-1"), SHOP);
    assertThat(same.valves()).extracting(JobPlan.Work::newSpring).containsExactly("A 3E");
  }

  @Test
  void aPlanCarriesWhatTheTeamHas() {
    JobPlan plan = inCar(asked(E3, "N-1")).plan(Plans.V8, pockets(), SHOP);
    JobPlan.Work work = plan.valves().get(0);
    assertThat(work.oldSpring()).isEqualTo("A 3E");
    assertThat(work.newSeal()).isTrue();
    assertThat(work.shims()).isEqualTo(2);
    assertThat(work.height()).isEqualTo(new JobPlan.Height(1.95, 0.005, 1.7, 2.2));
    assertThat(plan.torques()).containsExactly(Plans.BOLT);
    assertThat(plan.drive().intakeOff()).isTrue();
    assertThat(plan.drive().pushrods()).isTrue();
    assertThat(plan.drive().clampRule()).as("fixings that clamp nothing have no rule").isNull();
    assertThat(plan.psi()).isEqualTo(80);
  }

  @Test
  void fixingsThatClampTheHeadBringTheirRule() {
    JobWish.Shop clamps =
        new JobWish.Shop(0.005, null, null, true, "by the rule", Schools.USUAL, List.of());
    JobPlan plan = inCar(best(E3)).plan(Plans.V8, pockets(), clamps);
    assertThat(plan.drive().fixingClampsHead()).isTrue();
    assertThat(plan.drive().clampRule()).isEqualTo("by the rule");
  }

  @Test
  void aBareHeadHasNoOldSpring() {
    JobPlan plan =
        wish(Kind.ASSEMBLE, Hold.BLOCK, null, best(E3)).plan(Plans.V8, pockets("N-1"), SHOP);
    assertThat(plan.valves().get(0).oldSpring()).isEmpty();
    assertThat(plan.crankLock()).isFalse();
  }

  @Test
  void thePersonsWordOnTheLockCountsElseAirDecides() {
    assertThat(inCar(best(E3)).plan(Plans.V8, pockets(), SHOP).crankLock())
        .as("nobody can tell what this air does")
        .isTrue();
    JobWish no = wish(Kind.IN_CAR, Hold.AIR, false, best(E3));
    assertThat(no.plan(Plans.V8, pockets(), SHOP).crankLock()).isFalse();
    JobWish piston = wish(Kind.IN_CAR, Hold.PISTON, null, best(E3));
    assertThat(piston.plan(Plans.V8, pockets(), SHOP).crankLock()).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "IN_CAR, BLOCK, BLOCK_WANTS_BENCH",
    "HEADS_OFF, AIR, BENCH_WANTS_BLOCK",
    "ASSEMBLE, PISTON, BENCH_WANTS_BLOCK"
  })
  void aBlockBelongsToTheBench(Kind kind, Hold hold, Refused why) {
    assertThat(wish(kind, hold, null, best(E3)).refused(Plans.V8, pockets()))
        .contains(new JobWish.No(why, Optional.empty()));
  }

  @Test
  void whatCannotBePlannedNamesItsValve() {
    assertThat(inCar().refused(Plans.V8, pockets()).orElseThrow().why())
        .isEqualTo(Refused.NO_VALVES);
    assertThat(inCar(best(Position.parse("9I"))).refused(Plans.V8, pockets()))
        .contains(new JobWish.No(Refused.NO_SUCH_VALVE, Optional.of(Position.parse("9I"))));
    assertThat(inCar(best(E3), best(Position.parse("1I"))).refused(Plans.V8, pockets()))
        .contains(new JobWish.No(Refused.NO_SPRING_ON_RECORD, Optional.of(Position.parse("1I"))));
    assertThat(inCar(best(E3)).refused(Plans.V8, pockets())).isEmpty();
    assertThat(wish(Kind.HEADS_OFF, Hold.BLOCK, null, best(E3)).refused(Plans.V8, pockets()))
        .isEmpty();
  }
}
