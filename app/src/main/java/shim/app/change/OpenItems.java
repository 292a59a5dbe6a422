package shim.app.change;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.TakenBack;
import shim.core.change.StaysOpen;
import shim.core.engine.Position;

/** What stays open on an engine after a job: orders, stand-ins, things to look at again. */
@Service
@Transactional
public class OpenItems {
  private final OpenRows rows;
  private final Engines engines;
  private final Clock clock;

  OpenItems(OpenRows rows, Engines engines, Clock clock) {
    this.rows = rows;
    this.engines = engines;
    this.clock = clock;
  }

  /**
   * One thing that is open, or was.
   *
   * @param dueHours engine hours by which it is to be put right
   * @param dueUsed use in the engine's own unit by which it is, whichever comes first
   * @param dueOn the day by which it is, whichever comes first
   * @param valve it is about; null when about the whole engine
   * @param part it is about, as people call it
   */
  record OpenItem(
      UUID id,
      @Nullable UUID jobId,
      StaysOpen.Kind kind,
      String words,
      @Nullable Double dueHours,
      @Nullable Double dueUsed,
      @Nullable LocalDate dueOn,
      @Nullable Position valve,
      @Nullable String part,
      String hand,
      Instant openedAt,
      @Nullable Instant closedAt,
      @Nullable String closedBy,
      @Nullable String closedWhy) {}

  /** By when an item is to be put right; nothing is at once. */
  public record Due(@Nullable Double hours, @Nullable Double used, @Nullable LocalDate on) {
    public static final Due AT_ONCE = new Due(null, null, null);
  }

  /** What an item is about; nothing is the whole engine. */
  public record About(@Nullable Position valve, @Nullable String part) {
    public static final About ENGINE = new About(null, null);
  }

  /** Keeps an open item; safe to repeat. */
  public void open(
      UUID id,
      UUID engineId,
      @Nullable UUID jobId,
      StaysOpen.Kind kind,
      String words,
      About about,
      Due due,
      String hand) {
    Optional<OpenRow> known = rows.findById(id);
    if (known.isPresent()) {
      TakenBack.refuseOther(known.get().engineId.equals(engineId));
      return;
    }
    Engines.Stored engine = engines.get(engineId);
    if (about.valve() != null && !engine.engine().layout().positions().contains(about.valve())) {
      throw Refusal.invalid("valve", "this engine has no valve " + about.valve());
    }
    if (words.isBlank() || words.length() > 400) {
      throw Refusal.invalid("words", "say what is open, in 400 letters at most");
    }
    OpenRow row = new OpenRow(id, engineId);
    row.jobId = jobId;
    row.kind = kind;
    row.words = words.strip();
    row.dueHours = due.hours();
    row.dueUsed = due.used();
    row.dueOn = due.on();
    row.valve = about.valve() == null ? null : about.valve().toString();
    row.part = about.part();
    row.hand = hand;
    row.openedAt = now();
    Because.of(hand, "open item");
    rows.saveAndFlush(row);
  }

  /** Puts an item right. */
  void close(UUID engineId, UUID id, String hand, String why) {
    OpenRow row =
        rows.findById(id)
            .filter(r -> r.engineId.equals(engineId))
            .orElseThrow(() -> Refusal.notFound("no such open item"));
    if (row.closedAt != null) {
      return;
    }
    if (why.isBlank()) {
      throw Refusal.invalid("why", "say how it was put right");
    }
    row.closedAt = now();
    row.closedBy = hand;
    row.closedWhy = why.strip();
    Because.of(hand, why);
    rows.saveAndFlush(row);
  }

  /** Puts right every open item of a kind. */
  public void closeAll(UUID engineId, StaysOpen.Kind kind, String hand, String why) {
    of(engineId).stream()
        .filter(i -> i.kind() == kind && i.closedAt() == null)
        .forEach(i -> close(engineId, i.id(), hand, why));
  }

  @Transactional(readOnly = true)
  List<OpenItem> of(UUID engineId) {
    return rows.findByEngineIdOrderByOpenedAt(engineId).stream().map(OpenItems::view).toList();
  }

  static OpenItem view(OpenRow r) {
    return new OpenItem(
        r.id,
        r.jobId,
        r.kind,
        r.words,
        r.dueHours,
        r.dueUsed,
        r.dueOn,
        r.valve == null ? null : Position.parse(r.valve),
        r.part,
        r.hand,
        r.openedAt,
        r.closedAt,
        r.closedBy,
        r.closedWhy);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
