package shim.app.fitted;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.TakenBack;
import shim.core.engine.Position;
import shim.core.running.Fitted;

/**
 * How parts of one kind are put in and taken out. Every id is the client's own, so a repeat changes
 * nothing, and a stay's id belongs to one part at one valve for ever.
 */
public final class Fittings<R extends FittedRow> {
  private final FittedRows<R> rows;
  private final Function<UUID, R> blank;
  private final Kind kind;
  private final Engines engines;
  private final Clock clock;

  /**
   * A kind of part in words.
   *
   * @param name such as spring
   * @param field where an entry names it, such as springId
   * @param place how it stands to its valve: at, under
   */
  public record Kind(String name, String field, String place) {}

  /** The part itself, as its own row has it. */
  public record Part(UUID id, String mark, boolean scrapped) {}

  /** Where a part is, and from when to when. */
  public record Stay(
      UUID engineId,
      Position valve,
      double fromHours,
      @Nullable Instant fittedAt,
      @Nullable Double toHours,
      @Nullable Instant removedAt,
      String hand,
      @Nullable String why) {}

  public Fittings(
      FittedRows<R> rows, Function<UUID, R> blank, Kind kind, Engines engines, Clock clock) {
    this.rows = rows;
    this.blank = blank;
    this.kind = kind;
    this.engines = engines;
    this.clock = clock;
  }

  /**
   * Puts a part in.
   *
   * @return its row, to be filled with what is its kind's own and saved
   */
  public R put(UUID id, Part part, Stay stay) {
    if (!engines.get(stay.engineId()).engine().layout().positions().contains(stay.valve())) {
      throw Refusal.invalid("valve", "this engine has no valve " + stay.valve());
    }
    if (stay.toHours() == null) {
      requireFree(id, part, stay);
    } else {
      requireOrder(stay.fromHours(), stay.toHours());
    }
    R row = rows.findById(id).orElseGet(() -> blank.apply(id));
    TakenBack.refuseOther(
        row.engineId == null
            || row.engineId.equals(stay.engineId())
                && row.partId().equals(part.id())
                && row.valve.equals(stay.valve().toString()));
    row.partId(part.id());
    row.engineId = stay.engineId();
    row.valve = stay.valve().toString();
    row.fromHours = stay.fromHours();
    row.fittedAt = stay.fittedAt() == null ? now() : stay.fittedAt();
    row.toHours = stay.toHours();
    row.removedAt = stay.removedAt();
    row.hand = stay.hand();
    row.why = stay.why();
    Because.of(stay.hand(), stay.why() == null ? "fitted" : stay.why());
    return row;
  }

  private void requireFree(UUID id, Part part, Stay stay) {
    String name = kind.name() + " " + part.mark();
    if (part.scrapped()) {
      throw Refusal.invalid(kind.field(), name + " is scrapped");
    }
    Fitted wanted =
        new Fitted(id.toString(), part.id().toString(), stay.engineId().toString(), stay.valve());
    wanted
        .refused(rows.findByToHoursIsNull().stream().map(FittedRow::fitted).toList())
        .ifPresent(
            no -> {
              Position at = no.by().valve();
              throw switch (no.why()) {
                case IS_ELSEWHERE ->
                    Refusal.invalid(
                        kind.field(),
                        name + " is still " + kind.place() + " " + at + ": take it out first");
                case VALVE_IS_TAKEN ->
                    Refusal.invalid(
                        "valve", at + " has a " + kind.name() + " already: take it out first");
              };
            });
  }

  private static void requireOrder(double fromHours, double toHours) {
    if (!Fitted.inOrder(fromHours, toHours)) {
      throw Refusal.invalid(
          "toHours",
          String.format(Locale.ROOT, "it was put in at %.2f h: later hours, please", fromHours));
    }
  }

  /** Takes a part out and keeps that. */
  public R end(
      UUID id, double toHours, @Nullable Instant removedAt, String hand, @Nullable String why) {
    R row = rows.findById(id).orElseThrow(() -> Refusal.notFound("no such fitting"));
    requireOrder(row.fromHours, toHours);
    row.toHours = toHours;
    row.removedAt = removedAt == null ? now() : removedAt;
    Because.of(hand, why == null ? "taken out" : why);
    return rows.saveAndFlush(row);
  }

  /** All stays in an engine, past and present. */
  public List<R> of(UUID engineId) {
    return rows.findByEngineIdOrderByFittedAt(engineId);
  }

  /** Valves of an engine that have no part of this kind, in the engine's order. */
  public List<Position> bare(UUID engineId) {
    Set<Position> taken =
        of(engineId).stream()
            .filter(FittedRow::open)
            .map(FittedRow::at)
            .collect(Collectors.toSet());
    return engines.get(engineId).engine().layout().positions().stream()
        .filter(p -> !taken.contains(p))
        .toList();
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
