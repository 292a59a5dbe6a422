package shim.app.running;

import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Runs of an engine, and what a logger's file says of one. */
@RestController
class RunController {
  private final Runs runs;

  RunController(Runs runs) {
    this.runs = runs;
  }

  /** Engine hours by runs and events. */
  record EngineHours(double hours) {}

  /** One run with the id its client made. */
  record KeptRun(@NotNull UUID id, @NotNull Runs.RunEntry run) {}

  @GetMapping("/api/engines/{id}/runs")
  List<Runs.RunView> runs(@PathVariable UUID id) {
    return runs.of(id);
  }

  @GetMapping("/api/engines/{id}/hours")
  EngineHours hours(@PathVariable UUID id) {
    return new EngineHours(runs.hours(id));
  }

  /** A day's runs in one go: all are kept, or none. */
  @PutMapping("/api/engines/{id}/runs")
  List<Runs.RunView> putRuns(@PathVariable UUID id, @RequestBody List<KeptRun> day) {
    runs.put(day.stream().map(k -> new Runs.RunView(k.id(), k.run())).toList());
    return runs.of(id);
  }

  @DeleteMapping("/api/runs/{id}")
  List<Runs.RunView> withdrawRun(@PathVariable UUID id) {
    return runs.of(runs.withdraw(id));
  }

  /** Reads a logger's CSV, row by row, keeping nothing: what it adds up to. */
  @PostMapping(value = "/api/calc/logger", consumes = "text/csv")
  LoggerFile.Understood logger(
      @RequestParam(defaultValue = "8000") double overRevRpm, InputStream body) throws IOException {
    return LoggerFile.read(body, overRevRpm);
  }
}
