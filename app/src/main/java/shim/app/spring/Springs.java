package shim.app.spring;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.HeightIn;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.record.Maybe;
import shim.app.record.Small;
import shim.app.record.TakenBack;
import shim.core.engine.Position;
import shim.core.running.PartHours;

/** Springs by their marks, and where each is or was fitted; all history stays with the spring. */
@Service
@Transactional
public class Springs {
  private final SpringRowsById rows;
  private final FittingRows fittings;
  private final SpringTypes types;
  private final Engines engines;
  private final Clock clock;

  Springs(
      SpringRowsById rows, FittingRows fittings, SpringTypes types, Engines engines, Clock clock) {
    this.rows = rows;
    this.fittings = fittings;
    this.types = types;
    this.engines = engines;
    this.clock = clock;
  }

  /**
   * A spring as entered.
   *
   * @param hoursBefore hours it had run before Shim knew it
   * @param brokeAtHours own hours at which it broke; condemns its batch
   */
  public record SpringEntry(
      @NotNull UUID typeId,
      @NotBlank(message = "give the spring its mark")
          @Size(max = 20, message = "20 letters at most")
          String mark,
      @Size(max = 40, message = "40 letters at most") @Nullable String setName,
      @Size(max = 40, message = "40 letters at most") @Nullable String batch,
      @Hours double hoursBefore,
      @DecimalMin("0.1") @DecimalMax("5") @Nullable Double odIn,
      boolean scrapped,
      @Hours @Nullable Double brokeAtHours,
      @Size(max = 400, message = "400 letters at most") @Nullable String note) {}

  /**
   * A spring put in.
   *
   * @param shims stack from the bottom, as written
   */
  public record FittingEntry(
      @NotNull UUID springId,
      @NotNull UUID engineId,
      @NotNull Position valve,
      @Hours double fromHours,
      @Nullable Instant fittedAt,
      @Hours @Nullable Double toHours,
      @Nullable Instant removedAt,
      @HeightIn @Nullable Double heightIn,
      @Size(max = 80, message = "80 letters at most") @Nullable String shims,
      @Size(max = 40, message = "40 letters at most") @Nullable String retainer,
      @Size(max = 40, message = "40 letters at most") @Nullable String locks,
      @Size(max = 40, message = "40 letters at most") @Nullable String locator,
      @Small @Nullable Double sealGapIn,
      @DecimalMin("0.1") @DecimalMax("5") @Nullable Double pocketIn,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String why) {}

  /** A spring taken out. */
  public record Removal(
      @Hours double toHours,
      @Nullable Instant removedAt,
      boolean scrapped,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String why) {}

  /** A spring as kept. */
  public record StoredSpring(UUID id, SpringEntry spring) {
    /** Its hours through its fittings, in order of time. */
    public PartHours through(List<StoredFitting> own) {
      return new PartHours(spring.hoursBefore(), own.stream().map(StoredFitting::stay).toList());
    }
  }

  /** A fitting as kept. */
  public record StoredFitting(UUID id, FittingEntry fitting) {
    public boolean open() {
      return fitting.toHours() == null;
    }

    private PartHours.Fitting stay() {
      return new PartHours.Fitting(
          fitting.engineId().toString(), fitting.fromHours(), Maybe.of(fitting.toHours()));
    }

    /** It was in when its engine stood at some hours. */
    public boolean inAt(double engineHours) {
      return fitting.fromHours() <= engineHours + 1e-9
          && (fitting.toHours() == null || fitting.toHours() >= engineHours);
    }
  }

  /** Keeps a spring; safe to repeat. */
  public void put(UUID id, SpringEntry entry, @Nullable String who) {
    types.get(entry.typeId());
    SpringRow row = rows.findById(id).orElseGet(() -> new SpringRow(id));
    row.typeId = entry.typeId();
    row.mark = entry.mark().strip();
    row.setName = entry.setName();
    row.batch = entry.batch();
    row.hoursBefore = entry.hoursBefore();
    row.odIn = entry.odIn();
    row.scrapped = entry.scrapped();
    row.brokeAtHours = entry.brokeAtHours();
    row.note = entry.note();
    Because.of(who, "spring");
    rows.saveAndFlush(row);
  }

  /** Keeps a fitting: a spring is at one valve at a time, and a valve has one spring. */
  public void fit(UUID id, FittingEntry entry) {
    SpringRow spring =
        rows.findById(entry.springId()).orElseThrow(() -> Refusal.notFound("no such spring"));
    if (!engines.get(entry.engineId()).engine().layout().positions().contains(entry.valve())) {
      throw Refusal.invalid("valve", "this engine has no valve " + entry.valve());
    }
    requireHeight(entry, types.get(spring.typeId).type().referenceHeightIn());
    Instant at = entry.fittedAt() == null ? now() : entry.fittedAt();
    if (entry.toHours() != null && entry.toHours() < entry.fromHours()) {
      throw Refusal.invalid(
          "toHours",
          String.format(
              Locale.ROOT,
              "taken out at %.2f h, before it was put in at %.2f h",
              entry.toHours(),
              entry.fromHours()));
    }
    if (entry.toHours() == null) {
      requireFree(id, entry, spring);
    }
    FittingRow row = fittings.findById(id).orElseGet(() -> new FittingRow(id));
    TakenBack.refuseOther(
        row.engineId == null
            || row.engineId.equals(entry.engineId())
                && row.springId.equals(entry.springId())
                && row.valve.equals(entry.valve().toString()));
    write(row, entry, at);
    Because.of(entry.hand(), entry.why() == null ? "fitted" : entry.why());
    fittings.saveAndFlush(row);
  }

  private static void requireHeight(FittingEntry entry, double referenceIn) {
    if (entry.heightIn() != null) {
      HeightSlip.refuse(entry.heightIn(), referenceIn);
    }
  }

  private void requireFree(UUID id, FittingEntry entry, SpringRow spring) {
    if (spring.scrapped) {
      throw Refusal.invalid("springId", "spring " + spring.mark + " is scrapped");
    }
    for (FittingRow f : fittings.findByToHoursIsNull()) {
      if (f.id.equals(id)) {
        continue;
      }
      if (f.springId.equals(entry.springId())) {
        throw Refusal.invalid(
            "springId",
            "spring " + spring.mark + " is still fitted at " + f.valve + ": take it out first");
      }
      if (f.engineId.equals(entry.engineId()) && f.valve.equals(entry.valve().toString())) {
        throw Refusal.invalid("valve", f.valve + " has a spring already: take it out first");
      }
    }
  }

  private static void write(FittingRow row, FittingEntry entry, Instant at) {
    row.springId = entry.springId();
    row.engineId = entry.engineId();
    row.valve = entry.valve().toString();
    row.fromHours = entry.fromHours();
    row.fittedAt = at;
    row.toHours = entry.toHours();
    row.removedAt = entry.removedAt();
    row.heightIn = entry.heightIn();
    row.shims = entry.shims();
    row.retainer = entry.retainer();
    row.locks = entry.locks();
    row.locator = entry.locator();
    row.sealGapIn = entry.sealGapIn();
    row.pocketIn = entry.pocketIn();
    row.hand = entry.hand();
    row.why = entry.why();
  }

  /** Takes a spring out, to the spares or the scrap. */
  public void remove(UUID fittingId, Removal removal) {
    FittingRow row =
        fittings.findById(fittingId).orElseThrow(() -> Refusal.notFound("no such fitting"));
    if (removal.toHours() < row.fromHours) {
      throw Refusal.invalid(
          "toHours",
          String.format(
              Locale.ROOT, "it was put in at %.2f h: later hours, please", row.fromHours));
    }
    row.toHours = removal.toHours();
    row.removedAt = removal.removedAt() == null ? now() : removal.removedAt();
    Because.of(removal.hand(), removal.why() == null ? "taken out" : removal.why());
    fittings.saveAndFlush(row);
    if (removal.scrapped()) {
      SpringRow spring = rows.findById(row.springId).orElseThrow();
      spring.scrapped = true;
      rows.saveAndFlush(spring);
    }
  }

  @Transactional(readOnly = true)
  public List<StoredSpring> all() {
    return rows.findAllByOrderByMark().stream().map(Springs::view).toList();
  }

  @Transactional(readOnly = true)
  public StoredSpring get(UUID id) {
    return rows.findById(id)
        .map(Springs::view)
        .orElseThrow(() -> Refusal.notFound("there is no such spring here"));
  }

  @Transactional(readOnly = true)
  public List<StoredSpring> get(Collection<UUID> ids) {
    return rows.findAllById(ids).stream().map(Springs::view).toList();
  }

  /** All fittings of an engine, past and present. */
  @Transactional(readOnly = true)
  public List<StoredFitting> fittings(UUID engineId) {
    return fittings.findByEngineIdOrderByFittedAt(engineId).stream().map(Springs::view).toList();
  }

  /** All fittings of some springs, whichever engine they were in. */
  @Transactional(readOnly = true)
  public List<StoredFitting> fittingsOf(Collection<UUID> springs) {
    return fittings.findBySpringIdInOrderByFittedAt(springs).stream().map(Springs::view).toList();
  }

  /** What is at each valve now. */
  @Transactional(readOnly = true)
  public Map<Position, StoredFitting> fitted(UUID engineId) {
    return byValve(fittings(engineId), StoredFitting::open);
  }

  /** What was at each valve when the engine stood at some hours; the later fitting counts. */
  @Transactional(readOnly = true)
  public Map<Position, StoredFitting> fittedAt(UUID engineId, double engineHours) {
    return byValve(fittings(engineId), f -> f.inAt(engineHours));
  }

  private static Map<Position, StoredFitting> byValve(
      List<StoredFitting> fittings, Predicate<StoredFitting> which) {
    Map<Position, StoredFitting> byValve = new HashMap<>();
    fittings.stream().filter(which).forEach(f -> byValve.put(f.fitting().valve(), f));
    return byValve;
  }

  private static StoredSpring view(SpringRow r) {
    return new StoredSpring(
        r.id,
        new SpringEntry(
            r.typeId,
            r.mark,
            r.setName,
            r.batch,
            r.hoursBefore,
            r.odIn,
            r.scrapped,
            r.brokeAtHours,
            r.note));
  }

  private static StoredFitting view(FittingRow f) {
    return new StoredFitting(
        f.id,
        new FittingEntry(
            f.springId,
            f.engineId,
            Position.parse(f.valve),
            f.fromHours,
            f.fittedAt,
            f.toHours,
            f.removedAt,
            f.heightIn,
            f.shims,
            f.retainer,
            f.locks,
            f.locator,
            f.sealGapIn,
            f.pocketIn,
            f.hand,
            f.why));
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
