package shim.core.running;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * The hours of one engine: what its runs and events add up to. Where more is written down at a
 * round, a test or a fitting, the engine ran more than Shim was told of, and the larger figure
 * counts.
 *
 * @param now engine hours now
 * @param past what ran, one after another from hour 0, in order of date
 * @param coming planned events, one after another from now on
 */
public record EngineHours(double now, List<Span> past, List<Span> coming) {
  private static final double MINUTES_AN_HOUR = 60;

  /**
   * An event.
   *
   * @param typedHours hours somebody wrote down for it; empty while it is to come. Its runs count
   *     in their place where there are any.
   */
  public record Event(
      String id, String name, LocalDate date, double plannedHours, OptionalDouble typedHours) {}

  /**
   * A run.
   *
   * @param event the event it belongs to; empty for a day on its own
   */
  public record Run(LocalDate date, double minutes, Optional<String> event) {
    double hours() {
      return minutes / MINUTES_AN_HOUR;
    }
  }

  /**
   * A stretch of engine hours.
   *
   * @param event empty for a run that belongs to none
   */
  public record Span(Optional<Event> event, LocalDate date, double fromHours, double toHours) {}

  private record Stretch(LocalDate date, Optional<Event> event, double hours) {}

  public EngineHours {
    past = List.copyOf(past);
    coming = List.copyOf(coming);
  }

  /**
   * Adds up.
   *
   * @param writtenDown engine hours somebody wrote down anywhere else
   */
  public static EngineHours of(List<Event> events, List<Run> runs, DoubleStream writtenDown) {
    Map<String, Double> ofEvent =
        runs.stream()
            .filter(r -> r.event().isPresent())
            .collect(
                Collectors.groupingBy(r -> r.event().get(), Collectors.summingDouble(Run::hours)));
    List<Stretch> ran = new ArrayList<>();
    List<Stretch> planned = new ArrayList<>();
    for (Event e : events) {
      Double hours = ofEvent.get(e.id());
      if (hours == null && e.typedHours().isEmpty()) {
        planned.add(new Stretch(e.date(), Optional.of(e), e.plannedHours()));
      } else {
        double typed = e.typedHours().orElse(0);
        ran.add(new Stretch(e.date(), Optional.of(e), hours == null ? typed : hours));
      }
    }
    runs.stream()
        .filter(r -> r.event().isEmpty())
        .forEach(r -> ran.add(new Stretch(r.date(), Optional.empty(), r.hours())));
    List<Span> past = endToEnd(ran, 0);
    double added = past.isEmpty() ? 0 : past.get(past.size() - 1).toHours();
    double now = Math.max(added, writtenDown.max().orElse(0));
    return new EngineHours(now, past, endToEnd(planned, now));
  }

  private static List<Span> endToEnd(List<Stretch> stretches, double from) {
    List<Span> result = new ArrayList<>();
    double at = from;
    for (Stretch s : stretches.stream().sorted(Comparator.comparing(Stretch::date)).toList()) {
      result.add(new Span(s.event(), s.date(), at, at + s.hours()));
      at += s.hours();
    }
    return result;
  }

  /** Hours that an event ran; empty while it is to come. */
  public OptionalDouble ran(String event) {
    return past.stream()
        .filter(s -> s.event().map(Event::id).equals(Optional.of(event)))
        .mapToDouble(s -> s.toHours() - s.fromHours())
        .findFirst();
  }
}
