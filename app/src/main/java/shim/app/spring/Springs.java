package shim.app.spring;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fitted.Fittings;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.HeightIn;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.record.Maybe;
import shim.app.record.Small;
import shim.core.engine.Position;
import shim.core.running.PartHours;
import shim.core.spring.Kit;
import shim.core.spring.SpringChoice;
import shim.core.spring.Stack;

/** Springs by their marks, and where each is or was fitted; all history stays with the spring. */
@Service
@Transactional
public class Springs {
  private final SpringRowsById rows;
  private final FittingRows fittings;
  private final SpringTypes types;
  private final Fittings<FittingRow> stays;
  private final List<SpringsElsewhere> elsewhere;

  Springs(
      SpringRowsById rows,
      FittingRows fittings,
      SpringTypes types,
      Engines engines,
      Clock clock,
      List<SpringsElsewhere> elsewhere) {
    this.elsewhere = elsewhere;
    this.rows = rows;
    this.fittings = fittings;
    this.types = types;
    Fittings.Kind kind = new Fittings.Kind("spring", "springId", "fitted at");
    this.stays = new Fittings<>(fittings, FittingRow::new, kind, engines, clock);
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
   * @param coilGapIn between the two lowest coils at full lift, by feeler
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
      @Small @Nullable Double coilGapIn,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String why) {
    /** A spring that goes in with nothing noted of the parts around it. */
    static FittingEntry bare(
        UUID springId,
        UUID engineId,
        Position valve,
        double fromHours,
        @Nullable Double heightIn,
        String hand,
        String why) {
      return new FittingEntry(
          springId, engineId, valve, fromHours, null, null, null, heightIn, null, null, null, null,
          null, null, null, hand, why);
    }

    /** What is under and over the spring, as far as anybody can tell. */
    Optional<Stack> stack() {
      return Stack.read(shims, locks, retainer);
    }

    /** Height of the bare pocket, as far as anybody can tell what is in. */
    public Optional<Double> bareHeightIn() {
      return heightIn == null ? Optional.empty() : stack().map(s -> s.bareIn(heightIn));
    }

    /** The valve as it would be bare, as far as anybody can tell what is in. */
    public Optional<SpringChoice.Bare> bare() {
      return stack()
          .filter(s -> heightIn != null)
          .map(
              s ->
                  new SpringChoice.Bare(
                      valve,
                      s.bareIn(Objects.requireNonNull(heightIn)),
                      pocketIn,
                      sealGapIn == null ? null : sealGapIn - s.lockIn(),
                      Kit.Stem.UNKNOWN));
    }

    private Fittings.Stay stay() {
      return new Fittings.Stay(engineId, valve, fromHours, fittedAt, toHours, removedAt, hand, why);
    }
  }

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
    requireHeight(entry, types.get(spring.typeId).type().referenceHeightIn());
    if (entry.toHours() == null && away().contains(spring.id)) {
      throw Refusal.invalid(
          "springId", "spring " + spring.mark + " is on a head on the rack: take it off first");
    }
    FittingRow row =
        stays.put(id, new Fittings.Part(spring.id, spring.mark, spring.scrapped), entry.stay());
    row.heightIn = entry.heightIn();
    row.shims = entry.shims();
    row.retainer = entry.retainer();
    row.locks = entry.locks();
    row.locator = entry.locator();
    row.sealGapIn = entry.sealGapIn();
    row.pocketIn = entry.pocketIn();
    row.coilGapIn = entry.coilGapIn();
    fittings.saveAndFlush(row);
  }

  private static void requireHeight(FittingEntry entry, double referenceIn) {
    if (entry.heightIn() != null) {
      HeightSlip.refuse(entry.heightIn(), referenceIn);
    }
  }

  /** Takes a spring out, to the spares or the scrap. */
  public void remove(UUID fittingId, Removal removal) {
    FittingRow row =
        stays.end(fittingId, removal.toHours(), removal.removedAt(), removal.hand(), removal.why());
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

  private Set<UUID> away() {
    Set<UUID> away = new HashSet<>();
    elsewhere.forEach(e -> away.addAll(e.elsewhere()));
    return away;
  }

  /** Springs that lie in stock: in no engine, on no head, and not scrapped. */
  @Transactional(readOnly = true)
  public List<StoredSpring> free() {
    List<StoredSpring> all = all();
    Set<UUID> in = new HashSet<>(away());
    fittingsOf(all.stream().map(StoredSpring::id).toList()).stream()
        .filter(StoredFitting::open)
        .forEach(f -> in.add(f.fitting().springId()));
    return all.stream().filter(s -> !s.spring().scrapped() && !in.contains(s.id())).toList();
  }

  @Transactional(readOnly = true)
  public StoredSpring get(UUID id) {
    return rows.findById(id)
        .map(Springs::view)
        .orElseThrow(() -> Refusal.notFound("there is no such spring here"));
  }

  /** The one spring of a mark that is not scrapped; refused at the word where there is none. */
  @Transactional(readOnly = true)
  public UUID named(String mark) {
    List<StoredSpring> named =
        all().stream()
            .filter(s -> s.spring().mark().equalsIgnoreCase(mark.strip()) && !s.spring().scrapped())
            .toList();
    if (named.size() != 1) {
      throw Refusal.invalid(
          "word",
          named.isEmpty()
              ? "no spring marked \"" + mark + "\" lies in stock"
              : "more than one spring is marked \"" + mark + "\"");
    }
    return named.get(0).id();
  }

  @Transactional(readOnly = true)
  public List<StoredSpring> get(Collection<UUID> ids) {
    return rows.findAllById(ids).stream().map(Springs::view).toList();
  }

  /** All fittings of an engine, past and present. */
  @Transactional(readOnly = true)
  public List<StoredFitting> fittings(UUID engineId) {
    return stays.of(engineId).stream().map(Springs::view).toList();
  }

  /** All fittings of some springs, whichever engine they were in. */
  @Transactional(readOnly = true)
  public List<StoredFitting> fittingsOf(Collection<UUID> springs) {
    return fittings.findBySpringIdInOrderByFittedAt(springs).stream().map(Springs::view).toList();
  }

  /** Valves that have no spring on record. */
  @Transactional(readOnly = true)
  List<Position> bare(UUID engineId) {
    return stays.bare(engineId);
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
            f.at(),
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
            f.coilGapIn,
            f.hand,
            f.why));
  }
}
