package shim.app.running;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.DoubleStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Maybe;
import shim.core.running.EngineHours;

/** The hours of an engine, the same for every page. */
@Service
@Transactional(readOnly = true)
public class EngineClock {
  private final EventRows events;
  private final RunRows runs;
  private final List<HoursWritten> written;

  EngineClock(EventRows events, RunRows runs, List<HoursWritten> written) {
    this.events = events;
    this.runs = runs;
    this.written = written;
  }

  public EngineHours of(UUID engineId) {
    return hours(
        events.findByEngineIdOrderByOnDate(engineId),
        runs.findByEngineIdOrderByOnDate(engineId),
        written.stream()
            .map(w -> w.latestHours(engineId))
            .filter(Objects::nonNull)
            .mapToDouble(Double::doubleValue));
  }

  public double now(UUID engineId) {
    return of(engineId).now();
  }

  static EngineHours hours(List<EventRow> events, List<RunRow> runs, DoubleStream written) {
    return EngineHours.of(
        events.stream()
            .map(
                e ->
                    new EngineHours.Event(
                        e.id.toString(), e.name, e.onDate, e.plannedHours, Maybe.of(e.runHours)))
            .toList(),
        runs.stream()
            .map(
                r ->
                    new EngineHours.Run(
                        r.onDate, r.minutes, Optional.ofNullable(r.eventId).map(UUID::toString)))
            .toList(),
        written);
  }
}
