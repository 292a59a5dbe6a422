package shim.app.running;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Hours;
import shim.app.record.TakenBack;
import shim.core.running.EngineHours;

/** Events with planned hours; each is run when its hours are known. */
@Service
@Transactional
public class Events {
  private final EventRows rows;
  private final RunRows runs;
  private final Engines engines;

  Events(EventRows rows, RunRows runs, Engines engines) {
    this.rows = rows;
    this.runs = runs;
    this.engines = engines;
  }

  /**
   * An event as entered.
   *
   * @param plannedHours engine hours it is expected to take
   * @param runHours engine hours it took; null while it is to come
   */
  public record EventEntry(
      @NotNull UUID engineId,
      @NotBlank(message = "give the event a name") @Size(max = 80, message = "80 letters at most")
          String name,
      @NotNull(message = "give its date") LocalDate date,
      @Hours double plannedHours,
      @Hours @Nullable Double runHours) {}

  /** An event as kept; its hours are those of its runs where there are any. */
  public record EventView(
      UUID id, String name, LocalDate date, double plannedHours, @Nullable Double runHours) {}

  @Transactional(readOnly = true)
  public List<EventView> of(UUID engineId) {
    List<EventRow> own = rows.findByEngineIdOrderByOnDate(engineId);
    EngineHours hours =
        EngineClock.hours(own, runs.findByEngineIdOrderByOnDate(engineId), DoubleStream.empty());
    return own.stream().map(e -> view(e, hours.ran(e.id.toString()))).toList();
  }

  private static EventView view(EventRow e, OptionalDouble ran) {
    Double hours = ran.isPresent() ? ran.getAsDouble() : null;
    return new EventView(e.id, e.name, e.onDate, e.plannedHours, hours);
  }

  public void put(UUID id, EventEntry entry) {
    engines.get(entry.engineId());
    if (entry.plannedHours() == 0 && entry.runHours() == null) {
      throw Refusal.invalid(
          "plannedHours", "an event without hours: how many engine hours will it take?");
    }
    EventRow row = rows.findById(id).orElseGet(() -> new EventRow(id));
    TakenBack.refuseOther(row.engineId == null || row.engineId.equals(entry.engineId()));
    row.engineId = entry.engineId();
    row.name = entry.name().strip();
    row.onDate = entry.date();
    row.plannedHours = entry.plannedHours();
    row.runHours = entry.runHours();
    Because.of(null, "event");
    rows.saveAndFlush(row);
  }
}
