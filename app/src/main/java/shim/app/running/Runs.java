package shim.app.running;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Positive;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Initials;
import shim.app.record.TakenBack;

/** Runs with their minutes. */
@Service
@Transactional
public class Runs {
  private final RunRows rows;
  private final EventRows events;
  private final Engines engines;
  private final TakenBack takenBack;

  Runs(RunRows rows, EventRows events, Engines engines, TakenBack takenBack) {
    this.rows = rows;
    this.events = events;
    this.engines = engines;
    this.takenBack = takenBack;
  }

  /** What kind of run. */
  public enum Kind {
    PRACTICE,
    QUALIFYING,
    RACE,
    HILL_RUN,
    TEST_DAY,
    DYNO,
    WARM_UP
  }

  /**
   * A run as entered.
   *
   * @param eventId event it belongs to; none for dyno and test day
   * @param cycles four-stroke cycles, from a logger
   * @param hottestF highest temperature, °F
   * @param used of what else the engine's use is counted in: laps, miles
   * @param powerHp the most power seen, hp
   * @param bestSeconds the best lap or climb, seconds
   */
  public record RunEntry(
      @NotNull UUID engineId,
      @Nullable UUID eventId,
      @NotNull(message = "say what kind of run") Kind kind,
      @NotNull(message = "give its date") LocalDate date,
      @Positive(message = "minutes must be above zero")
          @Max(value = 6000, message = "6000 minutes at most")
          double minutes,
      @Positive(message = "rpm must be above zero")
          @Max(value = 20_000, message = "20000 rpm at most")
          @Nullable Double topRpm,
      @PositiveOrZero(message = "over-revs cannot be below zero")
          @Max(value = 10_000, message = "10000 over-revs at most")
          int overRevs,
      @PositiveOrZero(message = "cycles cannot be below zero") @Nullable Double cycles,
      @DecimalMin(value = "-100", message = HEAT) @DecimalMax(value = "2000", message = HEAT)
          @Nullable Double hottestF,
      boolean fromLogger,
      @Initials String hand,
      @Size(max = 2000, message = "2000 letters at most") @Nullable String note,
      @PositiveOrZero(message = "what was used cannot be below zero")
          @Max(value = 100_000, message = "100000 at most")
          @Nullable Double used,
      @Positive(message = "power must be above zero")
          @Max(value = 5000, message = "5000 hp at most")
          @Nullable Double powerHp,
      @Positive(message = "a time must be above zero")
          @Max(value = 86_400, message = "a day at most")
          @Nullable Double bestSeconds) {}

  private static final String HEAT = "a temperature between -100 and 2000 °F";

  /** A run as kept. */
  public record RunView(UUID id, RunEntry run) {}

  @Transactional(readOnly = true)
  public List<RunView> of(UUID engineId) {
    return rows.findByEngineIdOrderByOnDate(engineId).stream().map(Runs::view).toList();
  }

  private static RunView view(RunRow r) {
    return new RunView(
        r.id,
        new RunEntry(
            r.engineId,
            r.eventId,
            r.kind,
            r.onDate,
            r.minutes,
            r.topRpm,
            r.overRevs,
            r.cycles,
            r.hottestF,
            r.fromLogger,
            r.hand,
            r.note,
            r.used,
            r.powerHp,
            r.bestSeconds));
  }

  /** Keeps a day's runs in one go; all or none, safe to repeat. */
  public void put(List<RunView> day) {
    for (RunView one : day) {
      put(one.id(), one.run());
    }
  }

  private void put(UUID id, RunEntry entry) {
    engines.get(entry.engineId());
    if (entry.eventId() != null
        && events
            .findById(entry.eventId())
            .filter(e -> e.engineId.equals(entry.engineId()))
            .isEmpty()) {
      throw Refusal.invalid("eventId", "this engine has no such event");
    }
    Optional<RunRow> known = rows.findById(id);
    known.ifPresent(r -> TakenBack.refuseOther(r.engineId.equals(entry.engineId())));
    if (known.isEmpty()) {
      takenBack.refuse(RunRow.class, id);
    }
    RunRow row = known.orElseGet(() -> new RunRow(id));
    row.engineId = entry.engineId();
    row.eventId = entry.eventId();
    row.kind = entry.kind();
    row.onDate = entry.date();
    row.minutes = entry.minutes();
    row.topRpm = entry.topRpm();
    row.overRevs = entry.overRevs();
    row.cycles = entry.cycles();
    row.hottestF = entry.hottestF();
    row.fromLogger = entry.fromLogger();
    row.hand = entry.hand();
    row.note = entry.note();
    row.used = entry.used();
    row.powerHp = entry.powerHp();
    row.bestSeconds = entry.bestSeconds();
    Because.of(entry.hand(), "run");
    rows.saveAndFlush(row);
  }

  /** Takes a run back; its history stays. */
  public UUID withdraw(UUID id) {
    RunRow row = rows.findById(id).orElseThrow(() -> Refusal.notFound("no such run"));
    Because.of(row.hand, "taken back");
    rows.delete(row);
    rows.flush();
    return row.engineId;
  }

  /** What all runs of an engine add up to in its own unit. */
  @Transactional(readOnly = true)
  public double used(UUID engineId) {
    return rows.findByEngineIdOrderByOnDate(engineId).stream()
        .mapToDouble(r -> r.used == null ? 0 : r.used)
        .sum();
  }

  /** The last day on which an engine was over-revved. */
  @Transactional(readOnly = true)
  public Optional<LocalDate> lastOverRev(UUID engineId) {
    return rows.findByEngineIdOrderByOnDate(engineId).stream()
        .filter(r -> r.overRevs > 0)
        .map(r -> r.onDate)
        .reduce((a, b) -> b);
  }
}
