package shim.core.turnaround;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.readiness.Readiness;
import shim.core.readiness.Readiness.Code;
import shim.core.turnaround.Task.Kind;
import shim.core.unit.Said;

class EngineTasksTest {
  private static final EngineTasks COLD = new EngineTasks("V8", 16, HeatState.COLD, Map.of());

  private static Readiness.Reason reason(Code code, String... valves) {
    return new Readiness.Reason(
        code,
        Stream.of(valves).map(Position::parse).toList(),
        OptionalDouble.empty(),
        Optional.empty(),
        Optional.empty());
  }

  private static Readiness.Reason item(String words) {
    return new Readiness.Reason(
        Code.OPEN_ITEM,
        List.of(),
        OptionalDouble.empty(),
        Optional.of(Said.kept(words)),
        Optional.empty());
  }

  private static List<Task> tasks(EngineTasks engine, Readiness.Reason... reasons) {
    return engine.of(new Readiness(Readiness.State.NOT_READY, List.of(reasons)));
  }

  private static Task of(List<Task> tasks, Kind kind) {
    return tasks.stream().filter(t -> t.kind() == kind).findFirst().orElseThrow();
  }

  @Test
  void springsComeBeforeLashWhichComesLast() {
    List<Task> tasks =
        tasks(
            COLD,
            reason(Code.RAN_SINCE_ROUND),
            reason(Code.SPRING_CHANGE, "3E"),
            reason(Code.SPRING_CHANGE, "4I"),
            reason(Code.SPRINGS_NOT_TESTED, "1I", "2I"));
    Task change = of(tasks, Kind.SPRING_CHANGE);
    assertThat(change.positions()).containsExactly(Position.parse("3E"), Position.parse("4I"));
    assertThat(change.work().weight()).isEqualTo(Weight.MUST);
    assertThat(change.work().minutes()).isEqualTo(70);
    assertThat(change.work().after()).extracting(Work.After::id).containsExactly("V8/SPRING_TEST");
    assertThat(of(tasks, Kind.LASH_ROUND).work().after())
        .extracting(Work.After::id)
        .containsExactlyInAnyOrder("V8/SPRING_TEST", "V8/SPRING_CHANGE");
    assertThat(of(tasks, Kind.SPRING_TEST).work().holds())
        .containsExactlyInAnyOrder("V8", "tester");
    assertThat(Situation.circle(tasks.stream().map(Task::work).toList())).isEmpty();
  }

  @Test
  void whatBelongsToOneStepDoesNotWaitForItsLike() {
    List<Task> tasks =
        tasks(COLD, reason(Code.SPRINGS_NOT_TESTED, "1I"), reason(Code.LASH_MOVES, "2E"));
    assertThat(tasks).hasSize(2).allMatch(t -> t.work().after().isEmpty());
  }

  @Test
  void plugsOilAndFuelAreDoneWheneverTheEngineIsFree() {
    List<Task> tasks =
        tasks(
            COLD,
            reason(Code.PLUGS_DUE),
            reason(Code.OIL_DUE),
            reason(Code.FUEL_STANDS),
            reason(Code.SPRING_CHANGE, "3E"));
    assertThat(of(tasks, Kind.PLUGS).work().minutes()).isEqualTo(55);
    assertThat(of(tasks, Kind.OIL).work().after()).isEmpty();
    assertThat(of(tasks, Kind.FUEL).work().holds()).containsExactly("V8");
    assertThat(of(tasks, Kind.LASH_ROUND).work().after())
        .extracting(Work.After::id)
        .containsExactly("V8/SPRING_CHANGE");
  }

  @Test
  void aChangedSpringAsksForItsLash() {
    List<Task> tasks = tasks(COLD, reason(Code.SPRING_CHANGE, "3E"));
    Task lash = of(tasks, Kind.LASH_ROUND);
    assertThat(lash.positions()).containsExactly(Position.parse("3E"));
    assertThat(lash.work().weight()).isEqualTo(Weight.MUST);
    assertThat(lash.work().minutes()).isEqualTo(20);
  }

  @Test
  void aRoundThatIsDueCanWaitAndOneThatWasLeftUndoneCannot() {
    assertThat(of(tasks(COLD, reason(Code.RAN_SINCE_ROUND)), Kind.LASH_ROUND).work().weight())
        .isEqualTo(Weight.SHOULD);
    List<Task> both = tasks(COLD, reason(Code.RAN_SINCE_ROUND), reason(Code.LEFT_UNDONE, "2E"));
    assertThat(both).hasSize(1);
    assertThat(both.get(0).work().weight()).isEqualTo(Weight.MUST);
    assertThat(both.get(0).positions()).as("all valves").isEmpty();
  }

  @Test
  void eachOpenItemIsATaskOfItsOwn() {
    assertThat(tasks(COLD, item("stand-in pushrod at 4E"), item("gasket weeps"))).hasSize(2);
    Readiness.Reason here = item("stand-in");
    Readiness.Reason there =
        new Readiness.Reason(
            here.code(),
            List.of(Position.parse("4E")),
            here.hours(),
            here.because(),
            here.reference());
    assertThat(tasks(COLD, here, there)).as("two valves, two tasks").hasSize(2);
  }

  @Test
  void anEngineSetHotIsWarmedFirst() {
    EngineTasks hot = new EngineTasks("V8", 16, HeatState.HOT, Map.of());
    assertThat(of(tasks(hot, reason(Code.NO_ROUND)), Kind.LASH_ROUND).work().minutes())
        .isEqualTo(85);
    assertThat(of(tasks(COLD, reason(Code.NO_ROUND)), Kind.LASH_ROUND).work().minutes())
        .isEqualTo(65);
  }

  @Test
  void thePastTellsHowLongItTakes() {
    EngineTasks timed =
        new EngineTasks(
            "V8", 16, HeatState.HOT, Map.of(Kind.LASH_ROUND, List.of(2.0, 2.5, 3.0, 2.5, 2.5)));
    Task round = of(tasks(timed, reason(Code.NO_ROUND)), Kind.LASH_ROUND);
    assertThat(round.work().minutes()).isEqualTo(40);
    assertThat(round.past().seen()).isEqualTo(5);
  }

  @Test
  void watchingAsksForNothing() {
    assertThat(tasks(COLD, reason(Code.SPRINGS_WATCH, "1I"), reason(Code.LIFTERS_WATCH, "1I")))
        .isEmpty();
  }

  @Test
  void aWildPastMovesNothingAndALongOneIsTrusted() {
    PastTimes one = PastTimes.of(List.of(40.0), 60);
    assertThat(one.minutes()).isCloseTo(40, within(1e-9));
    assertThat(one.spread()).isEqualTo(PastTimes.USUAL_SPREAD);
    PastTimes wild = PastTimes.of(List.of(38.0, 40.0, 42.0, 900.0, 39.0, 41.0, 40.0), 60);
    assertThat(wild.minutes()).isCloseTo(40, within(0.5));
    assertThat(wild.spread()).isLessThan(0.1);
    assertThat(PastTimes.of(List.of(Double.NaN, -3.0, 0.0), 60))
        .isEqualTo(new PastTimes(60, PastTimes.USUAL_SPREAD, 0));
  }

  @Test
  void whatMovedIsTold() {
    Work a = Work.of("a", Weight.MUST, 60);
    Hand kv = Turnarounds.daily("KV", 5);
    Plan now =
        Plan.of(new Situation(600, 6000, List.of(a, Work.of("b", Weight.MUST, 30)), List.of(kv)));
    int b = now.of("b").orElseThrow().start();
    Map<String, Slip.Agreed> agreed =
        Map.of(
            "a", new Slip.Agreed(now.of("a").orElseThrow().start() + Slip.NOTHING, List.of("KV")),
            "b", new Slip.Agreed(b - Slip.NOTHING - 1, List.of("KV")),
            "c", new Slip.Agreed(5, List.of("KV")));
    assertThat(Slip.between(agreed, now))
        .extracting(Slip::id, Slip::kind)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("b", Slip.Kind.LATER),
            org.assertj.core.groups.Tuple.tuple("c", Slip.Kind.GONE));
    assertThat(Slip.between(Map.of(), now)).extracting(Slip::kind).containsOnly(Slip.Kind.CAME);
  }

  @Test
  void aHandsWeekBecomesStretchesWithoutTheDaysAway() {
    var monday = java.time.LocalDateTime.of(2026, 11, 30, 9, 0);
    var hours = new Hand.Day(java.time.LocalTime.of(8, 0), java.time.LocalTime.of(17, 0));
    Hand kv =
        Hand.of(
            "KV",
            Map.of(
                java.time.DayOfWeek.MONDAY, hours,
                java.time.DayOfWeek.TUESDAY, hours,
                java.time.DayOfWeek.WEDNESDAY, hours),
            List.of(
                new Hand.Away(
                    java.time.LocalDate.of(2026, 12, 1), java.time.LocalDate.of(2026, 12, 1))),
            monday,
            7);
    assertThat(kv.there())
        .containsExactly(new Stretch(0, 480), new Stretch(2 * 1440 - 60, 2 * 1440 + 480));
  }
}
