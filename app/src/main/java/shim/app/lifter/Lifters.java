package shim.app.lifter;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fitted.Fittings;
import shim.app.http.Refusal;
import shim.app.lash.Part;
import shim.app.lash.Rounds;
import shim.app.record.Because;
import shim.app.record.Hours;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.core.engine.Lifter;
import shim.core.engine.Position;

/** Lifters by their marks, where each is or was, and when it was rebuilt. */
@Service
@Transactional
public class Lifters {
  private final LifterRows rows;
  private final LifterFittingRows fittings;
  private final RebuildRows rebuilds;
  private final Fittings<LifterFittingRow> stays;
  private final Rounds rounds;
  private final Clock clock;

  Lifters(
      LifterRows rows,
      LifterFittingRows fittings,
      RebuildRows rebuilds,
      Engines engines,
      Rounds rounds,
      Clock clock) {
    this.rows = rows;
    this.fittings = fittings;
    this.rebuilds = rebuilds;
    Fittings.Kind kind = new Fittings.Kind("lifter", "lifterId", "under");
    this.stays = new Fittings<>(fittings, LifterFittingRow::new, kind, engines, clock);
    this.rounds = rounds;
    this.clock = clock;
  }

  /**
   * A lifter as entered.
   *
   * @param partnerId the lifter it is tied to by a link bar
   * @param hoursBefore hours it had run before Shim knew it
   */
  public record LifterEntry(
      @NotNull(message = "say what kind of lifter") Lifter kind,
      @NotBlank(message = "give the lifter its mark")
          @Size(max = 20, message = "20 letters at most")
          String mark,
      @Size(max = 40, message = "40 letters at most") @Nullable String setName,
      @Nullable UUID partnerId,
      @Hours double hoursBefore,
      boolean scrapped,
      @Size(max = 400, message = "400 letters at most") @Nullable String note) {}

  /**
   * A lifter put under a valve.
   *
   * @param lifter its sheet, when it is not on record yet
   */
  public record LifterFitting(
      @NotNull UUID lifterId,
      @Nullable LifterEntry lifter,
      @NotNull UUID engineId,
      @NotNull Position valve,
      @Hours double fromHours,
      @Nullable Instant fittedAt,
      @Hours @Nullable Double toHours,
      @Nullable Instant removedAt,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String why) {
    /** A lifter that is on record already and goes in now. */
    static LifterFitting bare(
        UUID lifterId, UUID engineId, Position valve, double fromHours, String hand, String why) {
      return new LifterFitting(
          lifterId, null, engineId, valve, fromHours, null, null, null, hand, why);
    }

    private Fittings.Stay stay() {
      return new Fittings.Stay(engineId, valve, fromHours, fittedAt, toHours, removedAt, hand, why);
    }
  }

  /** A lifter taken out. */
  public record LifterRemoval(
      @Hours double toHours,
      @Nullable Instant removedAt,
      boolean scrapped,
      @Initials String hand,
      @NotBlank(message = "say why it came out") @Size(max = 400, message = "400 letters at most")
          String why) {}

  /**
   * A lifter rebuilt.
   *
   * @param ownHours its own hours then
   * @param what wheels, needles, what was done
   */
  public record LifterRebuild(
      @NotNull UUID lifterId,
      @Hours double ownHours,
      @NotBlank(message = "say what was done") @Size(max = 400, message = "400 letters at most")
          String what,
      @Nullable Instant rebuiltAt,
      @Initials String hand) {}

  /** Keeps a lifter; a link bar ties two lifters, so the partner is told too. */
  public void put(UUID id, LifterEntry entry, @Nullable String who) {
    if (id.equals(entry.partnerId())) {
      throw Refusal.invalid("partnerId", "a lifter is not its own partner");
    }
    Optional<LifterRow> partner = partner(entry);
    LifterRow row = rows.findById(id).orElseGet(() -> new LifterRow(id));
    row.kind = entry.kind();
    row.mark = entry.mark().strip();
    row.setName = entry.setName();
    row.partnerId = entry.partnerId();
    row.hoursBefore = entry.hoursBefore();
    row.scrapped = entry.scrapped();
    row.note = entry.note();
    Because.of(who, "lifter");
    rows.saveAndFlush(row);
    partner.ifPresent(
        p -> {
          p.partnerId = id;
          rows.saveAndFlush(p);
        });
  }

  private Optional<LifterRow> partner(LifterEntry entry) {
    if (entry.partnerId() == null) {
      return Optional.empty();
    }
    return Optional.of(
        rows.findById(entry.partnerId())
            .orElseThrow(
                () -> Refusal.invalid("partnerId", "there is no such lifter here to be tied to")));
  }

  /** Keeps a fitting: a lifter is under one valve at a time, and a valve has one lifter. */
  public void fit(UUID id, LifterFitting entry) {
    if (entry.lifter() != null) {
      put(entry.lifterId(), entry.lifter(), entry.hand());
    }
    LifterRow lifter =
        rows.findById(entry.lifterId()).orElseThrow(() -> Refusal.notFound("no such lifter"));
    LifterFittingRow row =
        stays.put(id, new Fittings.Part(lifter.id, lifter.mark, lifter.scrapped), entry.stay());
    fittings.saveAndFlush(row);
    if (entry.toHours() == null) {
      beginAnew(id, row);
    }
  }

  /** Another lifter than the one before: the lash of its valve begins a new story. */
  private void beginAnew(UUID id, LifterFittingRow row) {
    boolean another =
        stays.of(row.engineId).stream()
            .anyMatch(f -> f.valve.equals(row.valve) && !f.id.equals(id));
    if (another) {
      rounds.change(
          Ids.of(id + " lash"),
          new Rounds.PartsChanged(
              row.engineId,
              List.of(row.at()),
              Part.LIFTER,
              row.fromHours,
              row.hand,
              "another lifter",
              row.fittedAt));
    }
  }

  /** Takes a lifter out, to the shelf or the scrap. */
  public void remove(UUID fittingId, LifterRemoval removal) {
    LifterFittingRow row =
        stays.end(fittingId, removal.toHours(), removal.removedAt(), removal.hand(), removal.why());
    if (removal.scrapped()) {
      LifterRow lifter = rows.findById(row.lifterId).orElseThrow();
      lifter.scrapped = true;
      rows.saveAndFlush(lifter);
    }
  }

  /** Keeps a rebuild; the interval counts from it. */
  public void rebuild(UUID id, LifterRebuild entry) {
    if (!rows.existsById(entry.lifterId())) {
      throw Refusal.notFound("no such lifter");
    }
    RebuildRow row = rebuilds.findById(id).orElseGet(() -> new RebuildRow(id));
    row.lifterId = entry.lifterId();
    row.ownHours = entry.ownHours();
    row.what = entry.what().strip();
    row.hand = entry.hand();
    row.rebuiltAt = entry.rebuiltAt() == null ? now() : entry.rebuiltAt();
    Because.of(entry.hand(), "rebuilt");
    rebuilds.saveAndFlush(row);
  }

  @Transactional(readOnly = true)
  List<LifterRow> all() {
    return rows.findAllByOrderByMark();
  }

  /** Valves that have no lifter on record. */
  @Transactional(readOnly = true)
  List<Position> bare(UUID engineId) {
    return stays.bare(engineId);
  }

  @Transactional(readOnly = true)
  List<LifterFittingRow> fittings(UUID engineId) {
    return stays.of(engineId);
  }

  @Transactional(readOnly = true)
  List<LifterFittingRow> fittingsOf(Collection<UUID> lifters) {
    return fittings.findByLifterIdInOrderByFittedAt(lifters);
  }

  @Transactional(readOnly = true)
  List<RebuildRow> rebuildsOf(Collection<UUID> lifters) {
    return rebuilds.findByLifterIdInOrderByRebuiltAt(lifters);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
