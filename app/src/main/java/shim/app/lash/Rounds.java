package shim.app.lash;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.record.TakenBack;
import shim.core.crank.School;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.Reading;
import shim.core.lash.RoundStory;
import shim.core.lash.Seen;
import shim.core.lash.WrittenRound.Phase;

/**
 * What is done to a lash round. Each reading is kept at once under an id its client made, so a
 * repeat changes nothing, and two devices cannot overwrite each other unseen: a change names the
 * version it was made on.
 */
@Service
@Transactional
public class Rounds {
  private static final String HEAT = "a temperature between -100 and 1000 °F";

  private final RoundRows rounds;
  private final ReadingRows readings;
  private final LookRows looks;
  private final ChainChangeRows changes;
  private final Engines engines;
  private final RoundReader reader;
  private final RoundJudge judge;
  private final TakenBack takenBack;
  private final Documents documents;
  private final Clock clock;

  Rounds(
      RoundRows rounds,
      ReadingRows readings,
      LookRows looks,
      ChainChangeRows changes,
      Engines engines,
      RoundReader reader,
      RoundJudge judge,
      TakenBack takenBack,
      Documents documents,
      Clock clock) {
    this.rounds = rounds;
    this.readings = readings;
    this.looks = looks;
    this.changes = changes;
    this.engines = engines;
    this.reader = reader;
    this.judge = judge;
    this.takenBack = takenBack;
    this.documents = documents;
    this.clock = clock;
  }

  /**
   * How a round begins.
   *
   * @param engineHours engine hours now
   * @param headTempStartF head temperature at the start, °F
   * @param stops number of stops for the best few
   * @param onMarks keep the best few to the balancer's marks
   * @param startedAt now when missing
   * @param only the valves of a partial round; all when missing
   * @param fromDeg where the crank stands, degrees of the cycle; the plan begins there
   */
  public record RoundStart(
      @NotNull UUID engineId,
      @NotNull(message = "say whether the engine is hot or cold") HeatState state,
      @Initials String hand,
      @Hours double engineHours,
      @DecimalMin(value = "-100", message = HEAT) @DecimalMax(value = "1000", message = HEAT)
          @Nullable Double headTempStartF,
      @NotNull School school,
      @Min(value = 1, message = "at least one stop") @Max(value = 64, message = "64 stops at most")
          int stops,
      boolean onMarks,
      boolean lookAtSprings,
      @Size(max = 2000, message = "2000 letters at most") @Nullable String note,
      @Nullable Instant startedAt,
      @Nullable List<Position> only,
      @DecimalMin("0") @DecimalMax("720") @Nullable Double fromDeg) {}

  /**
   * A reading as it is sent.
   *
   * @param figure lash in inch, or turns; the leaf that goes
   * @param secondFigure the leaf that does not go, inch
   * @param typed what was typed, digit for digit
   * @param partSizeIn pushrod length or shim in place when it was read, inch
   * @param basedOn version it changes; null when new
   * @param why reason of a correction
   */
  public record ReadingEntry(
      @NotNull Position valve,
      @NotNull Phase phase,
      @NotNull Form form,
      @Nullable Double figure,
      @Nullable Double secondFigure,
      Reading.@Nullable Feel feel,
      @Size(max = 40, message = "40 letters at most") @Nullable String typed,
      @DecimalMin("0") @DecimalMax("20") @Nullable Double partSizeIn,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String note,
      @Nullable Integer basedOn,
      @Size(max = 400, message = "400 letters at most") @Nullable String why) {
    /** The same as a correction of a version, with its reason. */
    ReadingEntry on(int version, String reason) {
      return new ReadingEntry(
          valve,
          phase,
          form,
          figure,
          secondFigure,
          feel,
          typed,
          partSizeIn,
          hand,
          note,
          version,
          reason);
    }
  }

  /** What was seen at a valve. */
  public record ValveLook(
      @Nullable Seen spring,
      @Nullable Seen rocker,
      @Size(max = 2000, message = "2000 letters at most") @Nullable String note,
      boolean skipped,
      @Initials String hand) {}

  /**
   * The signature under a round.
   *
   * @param rulesChecked the class rules that were looked at, each as the engine's sheet words it
   */
  public record SignOff(
      @Initials String initials,
      @DecimalMin(value = "-100", message = HEAT) @DecimalMax(value = "1000", message = HEAT)
          @Nullable Double headTempEndF,
      @Size(max = 2000, message = "2000 letters at most") @Nullable String note,
      @Nullable List<String> rulesChecked) {}

  /** Parts changed in the chain of some valves. */
  public record PartsChanged(
      @NotNull UUID engineId,
      @NotNull List<Position> valves,
      @NotNull Part part,
      @Hours double engineHours,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String note,
      @Nullable Instant changedAt) {}

  /** Begins a round; a repeat with the same id changes nothing. */
  public void start(UUID id, RoundStart start) {
    Optional<RoundRow> known = rounds.findById(id);
    if (known.isPresent()) {
      TakenBack.refuseOther(known.get().engineId.equals(start.engineId()));
      return;
    }
    Engines.Stored engine = engines.get(start.engineId());
    reader.requirePlan(engine.engine(), start);
    Because.of(start.hand(), "round begun");
    rounds.saveAndFlush(
        new RoundRow(
            id,
            start,
            engines.write(engine.sheet()),
            start.startedAt() == null ? now() : start.startedAt()));
  }

  /** Where the crank stands, for every device on the round. */
  public void crank(UUID id, double crankDeg, String by) {
    RoundRow round = open(id);
    round.crankDeg = ((crankDeg % 720) + 720) % 720;
    round.crankBy = by;
    rounds.saveAndFlush(round);
    rounds.touch(id);
  }

  /**
   * Keeps a reading as a person enters it at the car: found before left, and never left with a
   * preload that no valve may have.
   */
  void enter(UUID roundId, UUID readingId, ReadingEntry entry) {
    open(roundId);
    if (entry.phase() == Phase.LEFT && held(roundId, entry.valve(), Phase.FOUND).isEmpty()) {
      throw Refusal.invalid(
          "phase", "enter as found first: then how " + entry.valve() + " is left");
    }
    read(roundId, readingId, entry, null);
    reader.refuseAsLeft(open(roundId), entry.valve());
  }

  /** Sets a valve's lash once more in the course of a job, whatever stood there before. */
  public void setAgain(UUID roundId, UUID readingId, ReadingEntry entry, Instant takenAt) {
    Optional<ReadingRow> before = held(roundId, entry.valve(), entry.phase());
    read(
        roundId,
        before.map(r -> r.id).orElse(readingId),
        before.map(r -> entry.on(r.version, "set again")).orElse(entry),
        takenAt);
    reader.refuseAsLeft(open(roundId), entry.valve());
  }

  /** Keeps a reading, or a correction of one. */
  public void read(UUID roundId, UUID readingId, ReadingEntry entry, @Nullable Instant takenAt) {
    RoundRow round = open(roundId);
    Engine engine = reader.engine(round);
    ReadingCheck.require(engine, entry, held(roundId, entry.valve(), Phase.FOUND));
    Optional<ReadingRow> same = readings.findById(readingId);
    if (same.isPresent()) {
      TakenBack.refuseOther(same.get().isAt(roundId, entry));
      if (same.get().sameAs(entry)) {
        return;
      }
    } else {
      takenBack.refuse(ReadingRow.class, readingId);
    }
    Optional<ReadingRow> held = held(roundId, entry.valve(), entry.phase());
    held.ifPresent(h -> requireSeen(h, readingId, entry));
    ReadingRow row = held.orElseGet(() -> new ReadingRow(readingId, roundId));
    rounds.touch(roundId);
    row.write(entry, takenAt == null ? now() : takenAt);
    String why = entry.why() == null && held.isPresent() ? "corrected" : entry.why();
    Because.of(entry.hand(), why);
    readings.saveAndFlush(row);
    unskip(roundId, entry);
  }

  private void unskip(UUID roundId, ReadingEntry entry) {
    looks
        .findByRoundIdAndValve(roundId, entry.valve().toString())
        .filter(l -> l.skipped)
        .ifPresent(
            l -> {
              l.skipped = false;
              looks.saveAndFlush(l);
            });
  }

  private Optional<ReadingRow> held(UUID roundId, Position valve, Phase phase) {
    return readings.findByRoundIdAndValveAndPhase(roundId, valve.toString(), phase);
  }

  private static void requireSeen(ReadingRow held, UUID readingId, ReadingEntry entry) {
    if (!held.id.equals(readingId) || entry.basedOn() == null || entry.basedOn() != held.version) {
      throw Refusal.conflict(
          String.format(
              "%s already has a figure as %s by %s: %s. Yours (%s) is not kept yet: keep theirs,"
                  + " or correct it.",
              held.valve,
              held.phase == Phase.FOUND ? "found" : "left",
              held.hand,
              said(held.typed, held.form),
              said(entry.typed(), entry.form())));
    }
  }

  private static String said(@Nullable String typed, Form form) {
    return form == Form.SAME ? "as found" : String.valueOf(typed);
  }

  /** Takes a reading back and says of which valve it was, if it was there; its history stays. */
  public Optional<Position> withdraw(
      UUID roundId, UUID readingId, @Nullable String hand, @Nullable String why) {
    open(roundId);
    Optional<ReadingRow> reading =
        readings.findById(readingId).filter(r -> r.roundId.equals(roundId));
    reading.ifPresent(
        r -> {
          requireLastFirst(r);
          rounds.touch(roundId);
          Because.of(hand, why == null ? "taken back" : why);
          readings.delete(r);
          readings.flush();
        });
    return reading.map(r -> Position.parse(r.valve));
  }

  private void requireLastFirst(ReadingRow r) {
    if (r.phase == Phase.FOUND
        && held(r.roundId, Position.parse(r.valve), Phase.LEFT).isPresent()) {
      throw Refusal.conflict("take " + r.valve + " as left back first, then as found");
    }
  }

  /** Keeps what was seen at a valve, a note, or that it was put off. */
  public void look(UUID roundId, Position valve, ValveLook look) {
    RoundRow round = open(roundId);
    if (!reader.engine(round).layout().positions().contains(valve)) {
      throw Refusal.invalid("valve", "this engine has no valve " + valve);
    }
    LookRow row =
        looks
            .findByRoundIdAndValve(roundId, valve.toString())
            .orElseGet(() -> new LookRow(roundId, valve.toString()));
    row.spring = look.spring();
    row.rocker = look.rocker();
    row.note = look.note();
    row.skipped = look.skipped();
    row.hand = look.hand();
    Because.of(look.hand(), null);
    looks.saveAndFlush(row);
    rounds.touch(roundId);
  }

  /** A person's signature now: refused where a preload stands as none may. */
  void signOff(UUID id, SignOff signature) {
    RoundView now = reader.view(open(id));
    now.valves().forEach(RoundReader::refuseAsItStands);
    sign(id, signature, null, said(now));
  }

  /** Signs the round off and keeps what Shim says that day. */
  public void sign(UUID id, SignOff signature, @Nullable Instant at) {
    sign(id, signature, at, said(reader.view(open(id))));
  }

  /** Signs a round that was signed before, with what was said on that day, if anything was. */
  void sign(UUID id, SignOff signature, @Nullable Instant at, @Nullable String said) {
    RoundRow round = open(id);
    round.headTempEndF = signature.headTempEndF();
    if (signature.note() != null && !signature.note().isBlank()) {
      round.note = signature.note();
    }
    requireRules(round, signature);
    round.rulesChecked =
        signature.rulesChecked() == null ? null : String.join("\n", signature.rulesChecked());
    round.signedBy = signature.initials();
    round.signedAt = at == null ? now() : at;
    round.said = said;
    Because.of(signature.initials(), "signed off");
    rounds.saveAndFlush(round);
    rounds.touch(id);
  }

  private String said(RoundView now) {
    return documents.write(
        Documents.Kind.ROUND_LOOKS, judge.looks(now.engineId(), now.id(), reader.story(now)));
  }

  /** What to look at first, today and as it was said when the round was signed. */
  @Transactional(readOnly = true)
  RoundLooksView looks(UUID id) {
    RoundRow round = rounds.findById(id).orElseThrow(() -> Refusal.notFound("no such round"));
    RoundView now = reader.view(round);
    RoundStory story = reader.story(now);
    return new RoundLooksView(
        judge.looks(round.engineId, round.id, story),
        round.said == null ? null : onTheDay(round.said),
        story.medianDriftIn(),
        reader.swaps(now));
  }

  private List<RoundStory.Look> onTheDay(String said) {
    return List.of(documents.read(Documents.Kind.ROUND_LOOKS, said, RoundStory.Look[].class));
  }

  /** Every class rule of the engine is looked at, or the note says why not. */
  private void requireRules(RoundRow round, SignOff signature) {
    boolean explained = signature.note() != null && !signature.note().isBlank();
    List<String> open = new ArrayList<>(reader.classRules(round));
    open.removeAll(signature.rulesChecked() == null ? List.of() : signature.rulesChecked());
    if (!open.isEmpty() && !explained) {
      throw Refusal.invalid(
          "rulesChecked",
          "look at the class rule \"" + open.get(0) + "\", or say in the note why not");
    }
  }

  /** Keeps that parts were changed in the chain of some valves. */
  public void change(UUID id, PartsChanged change) {
    Engine engine = engines.get(change.engineId()).engine();
    if (change.valves().isEmpty()) {
      throw Refusal.invalid("valves", "choose the valves whose part was changed");
    }
    for (Position p : change.valves()) {
      if (!engine.layout().positions().contains(p)) {
        throw Refusal.invalid("valves", "this engine has no valve " + p);
      }
    }
    ChainChangeRow row = changes.findById(id).orElseGet(() -> new ChainChangeRow(id));
    row.engineId = change.engineId();
    row.valves = String.join(" ", change.valves().stream().map(Position::toString).toList());
    row.part = change.part();
    row.engineHours = change.engineHours();
    row.changedAt = change.changedAt() == null ? now() : change.changedAt();
    row.hand = change.hand();
    row.note = change.note();
    Because.of(change.hand(), "part changed");
    changes.saveAndFlush(row);
  }

  private RoundRow open(UUID id) {
    RoundRow round = rounds.findById(id).orElseThrow(() -> Refusal.notFound("no such round"));
    if (round.signed()) {
      throw Refusal.conflict(
          "this round was signed off by " + round.signedBy + ": it is not changed any more");
    }
    return round;
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
