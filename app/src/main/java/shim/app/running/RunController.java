package shim.app.running;

import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import shim.core.running.EngineHours;
import shim.core.running.LoggerColumns;

/** Runs of an engine, and what a logger's file says of one. */
@RestController
class RunController {
  private final Runs runs;
  private final EngineClock clock;

  RunController(Runs runs, EngineClock clock) {
    this.runs = runs;
    this.clock = clock;
  }

  /**
   * A stretch of engine hours: an event, or a run that belongs to none.
   *
   * @param event name of the event
   * @param on the day it was, or is planned for
   */
  record HoursSpan(
      @Nullable UUID eventId,
      @Nullable String event,
      LocalDate on,
      double fromHours,
      double toHours) {}

  /**
   * Hours of an engine.
   *
   * @param hours now, at the least
   * @param past what ran, one after another
   * @param coming planned events, one after another from now on
   */
  record EngineHoursView(double hours, List<HoursSpan> past, List<HoursSpan> coming) {}

  /** One run with the id its client made. */
  record KeptRun(@NotNull UUID id, @NotNull Runs.RunEntry run) {}

  /** Lists an engine's runs. */
  @GetMapping("/api/engines/{id}/runs")
  List<Runs.RunView> runs(@PathVariable UUID id) {
    return runs.of(id);
  }

  /** Tells the engine's hours now, with what ran and what is planned along them. */
  @GetMapping("/api/engines/{id}/hours")
  EngineHoursView hours(@PathVariable UUID id) {
    EngineHours hours = clock.of(id);
    return new EngineHoursView(hours.now(), spans(hours.past()), spans(hours.coming()));
  }

  private static List<HoursSpan> spans(List<EngineHours.Span> spans) {
    return spans.stream()
        .map(
            s ->
                new HoursSpan(
                    s.event().map(EngineHours.Event::id).map(UUID::fromString).orElse(null),
                    s.event().map(EngineHours.Event::name).orElse(null),
                    s.date(),
                    s.fromHours(),
                    s.toHours()))
        .toList();
  }

  /** A day's runs in one go: all are kept, or none. */
  @PutMapping("/api/engines/{id}/runs")
  List<Runs.RunView> putRuns(@PathVariable UUID id, @RequestBody List<KeptRun> day) {
    runs.put(day.stream().map(k -> new Runs.RunView(k.id(), k.run())).toList());
    return runs.of(id);
  }

  /** Takes back a run; it stays on record as taken back. */
  @DeleteMapping("/api/runs/{id}")
  List<Runs.RunView> withdrawRun(@PathVariable UUID id) {
    return runs.of(runs.withdraw(id));
  }

  /**
   * Reads a logger's CSV, row by row, keeping nothing: what it adds up to.
   *
   * @param time column of the time, from 0, where a person chose it; speed and temperature likewise
   */
  @PostMapping(value = "/api/calc/logger", consumes = "text/csv")
  LoggerFile.Understood logger(
      @RequestParam(defaultValue = "8000") double overRevRpm,
      @RequestParam(required = false) @Nullable Integer time,
      @RequestParam(required = false) @Nullable Integer rpm,
      @RequestParam(defaultValue = "-1") int heat,
      @RequestParam(required = false) LoggerColumns.@Nullable TimeUnit timeUnit,
      @RequestParam(required = false) @Nullable Boolean celsius,
      InputStream body)
      throws IOException {
    LoggerColumns.Chosen chosen =
        time == null || rpm == null
            ? null
            : new LoggerColumns.Chosen(time, rpm, heat, timeUnit, celsius);
    return LoggerFile.read(body, overRevRpm, chosen);
  }
}
