package shim.core.readiness;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.lash.EyeFindings;
import shim.core.lash.Seen;
import shim.core.readiness.Readiness.Area;
import shim.core.readiness.Readiness.Code;
import shim.core.readiness.Readiness.State;
import shim.core.running.Service;
import shim.core.unit.Said;

/** What each state of an engine makes of its readiness. The rules are the trade's practice. */
class ReadinessTest {
  private static final Position I1 = Position.parse("1I");
  private static final Position E2 = Position.parse("2E");

  private static final Said LOSS = Said.kept("loss 11 %");
  private static final Said PITTED = Said.kept("wheel pitted");
  private static final Said OPENS = Said.kept("opening");

  private static Standing.Spring spring(Position p, Verdict verdict, boolean tested) {
    return new Standing.Spring(p, verdict, Optional.of(LOSS), tested, false);
  }

  private static Standing.Lifter lifter(
      Position p, Verdict verdict, Strength drift, boolean looked, boolean noisy) {
    return new Standing.Lifter(p, verdict, Optional.of(PITTED), drift, OPENS, looked, noisy);
  }

  /** A healthy engine at 10 h before an event that ends at 11 h, each part of it to be replaced. */
  private static class With {
    Optional<LocalDate> day = Optional.empty();
    List<Standing.Open> open = List.of();
    List<Standing.Spring> springs = List.of(spring(I1, Verdict.RUN, true));
    List<Position> empty = List.of();
    Standing.Lash lash = new Standing.Lash(Optional.empty(), OptionalDouble.of(10), List.of());
    List<Standing.Lifter> lifters = List.of();
    List<EyeFindings.Finding> seen = List.of();
    List<Service> services = List.of();

    Readiness readiness() {
      return Readiness.of(
          new Standing(10, 11, day, open, springs, empty, lash, lifters, seen, services));
    }

    Stream<Code> codes() {
      return readiness().reasons().stream().map(Readiness.Reason::code);
    }
  }

  private final With engine = new With();

  @Test
  void whatTheEyeSawInARoundKeepsItFromRunning() {
    engine.seen =
        EyeFindings.standing(
            List.of(
                new EyeFindings.Look(I1, 1, 9.5, Seen.BROKEN, null),
                new EyeFindings.Look(E2, 1, 9.5, null, Seen.WORN)),
            List.of());
    assertThat(engine.codes()).containsExactly(Code.SPRING_SEEN, Code.ROCKER_SEEN);
    assertThat(engine.readiness().state()).isEqualTo(State.NOT_READY);
    assertThat(engine.readiness().of(Area.LIFTERS)).isEqualTo(State.NOT_READY);
    assertThat(engine.readiness().reasons().get(0))
        .returns(List.of(I1), Readiness.Reason::positions)
        .returns(OptionalDouble.of(9.5), Readiness.Reason::hours)
        .satisfies(
            r -> assertThat(r.because().orElseThrow().code()).isEqualTo("SEEN.SPRING_BROKEN"));
  }

  @Test
  void anEngineWithNothingAgainstItIsReady() {
    assertThat(engine.readiness()).isEqualTo(new Readiness(State.READY, List.of()));
    assertThat(engine.readiness().of(Area.SPRINGS)).isEqualTo(State.READY);
  }

  @Test
  void theWorstReasonDecidesAndStandsFirst() {
    engine.springs = List.of(spring(I1, Verdict.WATCH, true), spring(E2, Verdict.CHANGE, true));
    engine.empty = List.of(I1);
    assertThat(engine.readiness().state()).isEqualTo(State.NOT_READY);
    assertThat(engine.codes())
        .containsExactly(Code.SPRING_CHANGE, Code.SPRINGS_WATCH, Code.VALVES_WITHOUT_SPRING);
    assertThat(engine.readiness().reasons().get(0).positions()).containsExactly(E2);
    assertThat(engine.readiness().reasons().get(0).because()).contains(LOSS);
    assertThat(engine.readiness().of(Area.SPRINGS)).isEqualTo(State.NOT_READY);
    assertThat(engine.readiness().count(Area.SPRINGS)).isEqualTo(3);
    assertThat(engine.readiness().of(Area.LASH)).isEqualTo(State.READY);
  }

  @Test
  void springsNotOnRecordAndSpringsNeverTestedAreTwoThings() {
    engine.springs = List.of();
    engine.empty = List.of(I1, E2);
    assertThat(engine.codes()).containsExactly(Code.NO_SPRINGS);
    engine.springs = List.of(spring(I1, Verdict.RUN, false), spring(E2, Verdict.RUN, false));
    engine.empty = List.of();
    assertThat(engine.codes()).containsExactly(Code.SPRINGS_NEVER_TESTED);
    engine.springs = List.of(spring(I1, Verdict.RUN, false), spring(E2, Verdict.RUN, true));
    assertThat(engine.codes()).containsExactly(Code.SPRINGS_NOT_TESTED);
    assertThat(engine.readiness().reasons().get(0).positions()).containsExactly(I1);
  }

  @Test
  void aJobAlwaysCountsAndAnItemOnceItFallsDueBeforeTheEndOfTheEvent() {
    engine.open =
        List.of(
            new Standing.Open(
                Optional.empty(),
                "later",
                Optional.empty(),
                OptionalDouble.of(11.01),
                Optional.empty(),
                false),
            new Standing.Open(
                Optional.empty(),
                "due",
                Optional.empty(),
                OptionalDouble.of(11),
                Optional.empty(),
                false),
            new Standing.Open(
                Optional.empty(),
                "always",
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                false),
            new Standing.Open(
                Optional.empty(),
                "heads on",
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                true),
            new Standing.Open(
                Optional.of("job"),
                "3E is open",
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                true));
    assertThat(engine.readiness().reasons())
        .extracting(r -> r.because().orElseThrow().name())
        .containsExactly("heads on", "3E is open", "due", "always");
    assertThat(engine.readiness().state()).isEqualTo(State.NOT_READY);
    assertThat(engine.readiness().reasons().get(1).reference()).hasValue("job");
  }

  private static Standing.Open byDay(String what, OptionalDouble hours, LocalDate on) {
    return new Standing.Open(
        Optional.empty(), what, Optional.of(E2), hours, Optional.of(on), false);
  }

  @Test
  void anItemOfADayCountsBeforeAnEventOnOrAfterIt() {
    LocalDate event = LocalDate.of(2026, 12, 12);
    engine.day = Optional.of(event);
    engine.open =
        List.of(
            byDay("that day", OptionalDouble.empty(), event),
            byDay("the day after", OptionalDouble.empty(), event.plusDays(1)),
            byDay("later, but its hours are over", OptionalDouble.of(11), event.plusDays(9)),
            byDay("later in both", OptionalDouble.of(11.01), event.plusDays(9)));
    assertThat(engine.readiness().reasons())
        .extracting(r -> r.because().orElseThrow().name())
        .containsExactly("that day", "later, but its hours are over");
    assertThat(engine.readiness().reasons().get(0).positions()).containsExactly(E2);
    engine.day = Optional.empty();
    assertThat(engine.readiness().reasons()).as("the event may be any day").hasSize(4);
  }

  @Test
  void whatIsDoneByHoursIsDueWhenTheEventEndsBeyondThem() {
    // Now 10 h, the event ends at 11 h.
    engine.services =
        List.of(
            new Service(Service.Kind.PLUGS, 3, OptionalDouble.of(8)),
            new Service(Service.Kind.OIL, 2.99, OptionalDouble.of(8)));
    assertThat(engine.codes()).as("11 h is just enough for 8 + 3").containsExactly(Code.OIL_DUE);
    assertThat(engine.readiness().reasons().get(0).hours()).hasValue(10.99);
    engine.services = List.of(new Service(Service.Kind.OIL, 12, OptionalDouble.empty()));
    assertThat(engine.codes()).isEmpty();
    engine.services = List.of(new Service(Service.Kind.FUEL, 0, OptionalDouble.of(10)));
    assertThat(engine.codes()).as("nothing ran since").isEmpty();
    engine.services = List.of(new Service(Service.Kind.FUEL, 0, OptionalDouble.of(9.9)));
    assertThat(engine.codes()).containsExactly(Code.FUEL_STANDS);
  }

  @Test
  void aWarmUpAfterTheRoundIsNoRunning() {
    // 2.2 - 2.0 is a hair above 0.2 in binary.
    assertThat(Readiness.stands(2.2 - 2.0)).isTrue();
    engine.lash = new Standing.Lash(Optional.empty(), OptionalDouble.of(9.8), List.of());
    assertThat(engine.codes()).isEmpty();
    assertThat(Readiness.stands(Readiness.WARM_UP_HOURS)).isTrue();
    assertThat(Readiness.stands(0.21)).isFalse();
    engine.lash = new Standing.Lash(Optional.empty(), OptionalDouble.of(8.5), List.of(E2));
    assertThat(engine.codes()).containsExactly(Code.LEFT_UNDONE, Code.RAN_SINCE_ROUND);
    assertThat(engine.readiness().reasons().get(1).hours()).hasValue(1.5);
  }

  @Test
  void anOpenRoundIsNamedAndWithoutAnySignedOneNothingElseIsSaid() {
    engine.lash = new Standing.Lash(Optional.of("r"), OptionalDouble.empty(), List.of(E2));
    assertThat(engine.codes()).containsExactly(Code.ROUND_OPEN, Code.NO_ROUND);
    assertThat(engine.readiness().reasons().get(0).reference()).hasValue("r");
  }

  @Test
  void lashThatMovesWeighsLessOnceSomebodyHasLooked() {
    engine.lifters = List.of(lifter(I1, Verdict.RUN, Strength.FINDING, false, false));
    assertThat(engine.codes()).containsExactly(Code.LASH_MOVES);
    assertThat(engine.readiness().reasons().get(0).because()).contains(OPENS);
    engine.lifters = List.of(lifter(I1, Verdict.RUN, Strength.FINDING, true, false));
    assertThat(engine.codes()).containsExactly(Code.LASH_MOVES_LOOKED_AT);
    for (Strength weaker : Strength.values()) {
      if (weaker != Strength.FINDING) {
        engine.lifters = List.of(lifter(I1, Verdict.RUN, weaker, false, false));
        assertThat(engine.codes()).as(weaker.name()).isEmpty();
      }
    }
  }

  @Test
  void noiseAndWornLiftersAreSaidEach() {
    engine.lifters =
        List.of(
            lifter(I1, Verdict.WATCH, Strength.values()[0], false, true),
            lifter(E2, Verdict.CHANGE, Strength.values()[0], false, false));
    assertThat(engine.codes()).contains(Code.TICKS_HOT, Code.LIFTER_CHANGE, Code.LIFTERS_WATCH);
    assertThat(engine.readiness().state()).isEqualTo(State.NOT_READY);
  }

  /** A spring whose change waits for a second setting may not run as it is, whatever its word. */
  @Test
  void aChangeThatWaitsForAReadingIsNotReady() {
    engine.springs =
        List.of(
            new Standing.Spring(I1, Verdict.WATCH, Optional.of(LOSS), true, true),
            spring(E2, Verdict.WATCH, true));
    assertThat(engine.readiness().state()).isEqualTo(State.NOT_READY);
    assertThat(engine.codes()).containsExactly(Code.SPRINGS_READ_AGAIN, Code.SPRINGS_WATCH);
    assertThat(engine.readiness().reasons().get(0).positions()).containsExactly(I1);
    assertThat(engine.readiness().reasons().get(1).positions()).containsExactly(E2);
  }
}
