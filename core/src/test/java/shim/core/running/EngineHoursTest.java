package shim.core.running;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;
import shim.core.running.EngineHours.Event;
import shim.core.running.EngineHours.Run;
import shim.core.running.EngineHours.Span;

/** Values by hand: hours are sums of minutes. */
class EngineHoursTest {
  private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

  private static Event typed(String id, int day, double hours) {
    return new Event(id, id, MAY.plusDays(day), 1, OptionalDouble.of(hours));
  }

  private static Event toCome(String id, int day, double planned) {
    return new Event(id, id, MAY.plusDays(day), planned, OptionalDouble.empty());
  }

  private static Run run(int day, double minutes, String event) {
    return new Run(MAY.plusDays(day), minutes, Optional.ofNullable(event));
  }

  /** A stretch by its event's id, null for a run on its own. */
  private static Tuple span(String event, double from, double to) {
    return tuple(event, from, to);
  }

  private static List<Tuple> line(List<Span> spans) {
    return spans.stream()
        .map(s -> tuple(s.event().map(Event::id).orElse(null), s.fromHours(), s.toHours()))
        .toList();
  }

  @Test
  void eventsFollowOneAnotherAndPlannedOnesBeginNow() {
    EngineHours h =
        EngineHours.of(
            List.of(
                toCome("c", 9, 1.5), typed("b", 5, 0.75), typed("a", 1, 1.25), toCome("d", 12, 1)),
            List.of(),
            DoubleStream.of(2.5, 1));
    assertThat(h.now()).isEqualTo(2.5);
    assertThat(line(h.past())).containsExactly(span("a", 0, 1.25), span("b", 1.25, 2));
    assertThat(line(h.coming())).containsExactly(span("c", 2.5, 4), span("d", 4, 5));
  }

  @Test
  void theRunsOfAnEventCountInPlaceOfItsTypedHours() {
    EngineHours h =
        EngineHours.of(
            List.of(typed("a", 1, 5), toCome("b", 3, 2)),
            List.of(run(1, 30, "a"), run(1, 15, "a"), run(3, 60, "b")),
            DoubleStream.empty());
    assertThat(h.now()).isEqualTo(1.75);
    assertThat(h.ran("a")).hasValue(0.75);
    assertThat(h.ran("b")).hasValue(1);
    assertThat(h.coming()).isEmpty();
  }

  @Test
  void aRunOnItsOwnStandsWhereItsDayIs() {
    EngineHours h =
        EngineHours.of(
            List.of(typed("a", 1, 1), typed("b", 5, 1)),
            List.of(run(3, 90, null)),
            DoubleStream.of());
    assertThat(line(h.past()))
        .containsExactly(span("a", 0, 1), span(null, 1, 2.5), span("b", 2.5, 3.5));
    assertThat(h.now()).isEqualTo(3.5);
    assertThat(h.ran("c")).isEmpty();
  }

  @Test
  void whatWasWrittenDownCountsOnlyWhereItIsMore() {
    List<Event> events = List.of(typed("a", 1, 3));
    assertThat(EngineHours.of(events, List.of(), DoubleStream.of(2.9)).now()).isEqualTo(3);
    assertThat(EngineHours.of(events, List.of(), DoubleStream.of(3.1)).now()).isEqualTo(3.1);
    assertThat(EngineHours.of(List.of(), List.of(), DoubleStream.empty()).now()).isZero();
  }

  @Test
  void anEventThatDidNotRunHasRunZeroHours() {
    EngineHours h = EngineHours.of(List.of(typed("rain", 1, 0)), List.of(), DoubleStream.empty());
    assertThat(h.ran("rain")).hasValue(0);
    assertThat(h.coming()).isEmpty();
  }

  @Test
  void aPartHasTheHoursOfAllItsStays() {
    PartHours part =
        new PartHours(
            1,
            List.of(
                new PartHours.Fitting("A", 3, OptionalDouble.of(7)),
                new PartHours.Fitting("B", 10, OptionalDouble.empty())));
    assertThat(part.at(0, 5)).isEqualTo(3);
    assertThat(part.at(0, 9)).as("after it was out").isEqualTo(5);
    assertThat(part.at(1, 12.5)).isEqualTo(7.5);
    assertThat(part.at(1, 9)).as("before it was in").isEqualTo(5);
    assertThat(part.now(e -> e.equals("B") ? 10.25 : 99)).isCloseTo(5.25, within(1e-12));
  }

  @Test
  void aPartOnTheShelfHasWhatItRan() {
    PartHours never = new PartHours(2.5, List.of());
    assertThat(never.now(e -> 99)).isEqualTo(2.5);
    PartHours out =
        new PartHours(0.5, List.of(new PartHours.Fitting("A", 3, OptionalDouble.of(7))));
    assertThat(out.now(e -> 99)).isEqualTo(4.5);
  }

  @Test
  void hoursTypedBackwardsAddNothing() {
    PartHours odd = new PartHours(1, List.of(new PartHours.Fitting("A", 7, OptionalDouble.of(3))));
    assertThat(odd.now(e -> 99)).isEqualTo(1);
  }
}
