package shim.app.lifter;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.PositiveOrZero;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
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
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.record.Photos;
import shim.app.record.TakenBack;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lifter.Grade;
import shim.core.lifter.LobeSurvey;
import shim.core.lifter.Look;

/** What was seen at the valves, the cylinders and of the engine; each finding is kept by itself. */
@Service
@Transactional
public class Inspections {
  private static final double INCH_TO_THOU = 1000;

  private final InspectionRows rows;
  private final Engines engines;
  private final Photos photos;
  private final TakenBack takenBack;
  private final Clock clock;

  Inspections(
      InspectionRows rows, Engines engines, Photos photos, TakenBack takenBack, Clock clock) {
    this.rows = rows;
    this.engines = engines;
    this.photos = photos;
    this.takenBack = takenBack;
    this.clock = clock;
  }

  /**
   * Something seen: its grade in words, or a figure that is graded.
   *
   * @param valve for looks at a valve; {@code cylinder} for those at a cylinder
   * @param figure in the look's unit
   * @param otherSide a guide plate's other gap; the smaller counts
   * @param liftIn lift measured at the valve, inch, in place of a lobe's figure
   */
  public record FindingSeen(
      @NotNull UUID engineId,
      @Nullable Position valve,
      @Nullable Integer cylinder,
      @NotNull(message = "say what was looked at") Look look,
      @Size(max = 40, message = "40 letters at most") @Nullable String grade,
      @PositiveOrZero(message = "a figure cannot be below zero") @Nullable Double figure,
      @PositiveOrZero(message = "a figure cannot be below zero") @Nullable Double otherSide,
      @Nullable Double liftIn,
      @Size(max = 400, message = "400 letters at most") @Nullable String note,
      @Hours double engineHours,
      @Initials String hand,
      @Nullable Instant seenAt) {}

  /** Keeps a finding; safe to repeat. */
  public void put(UUID id, FindingSeen seen) {
    Engine engine = engines.get(seen.engineId()).engine();
    requirePlace(engine, seen);
    Double figure = figure(engine, seen);
    Grade grade = grade(seen, figure);
    InspectionRow row = row(id, seen);
    row.engineId = seen.engineId();
    row.valve = seen.valve() == null ? null : seen.valve().toString();
    row.cylinder = seen.cylinder();
    row.look = seen.look();
    row.grade = grade.word();
    row.figure = figure;
    row.otherSide = seen.otherSide();
    row.liftIn = seen.liftIn();
    row.note = seen.note();
    row.engineHours = seen.engineHours();
    row.hand = seen.hand();
    row.seenAt = seen.seenAt() == null ? now() : seen.seenAt();
    Because.of(seen.hand(), "seen");
    rows.saveAndFlush(row);
  }

  private InspectionRow row(UUID id, FindingSeen seen) {
    Optional<InspectionRow> known = rows.findById(id);
    known.ifPresent(r -> TakenBack.refuseOther(r.engineId.equals(seen.engineId()) && r.isAt(seen)));
    if (known.isEmpty()) {
      takenBack.refuse(InspectionRow.class, id);
    }
    return known.orElseGet(() -> new InspectionRow(id));
  }

  private static void requirePlace(Engine engine, FindingSeen seen) {
    switch (seen.look().where()) {
      case VALVE -> {
        if (seen.valve() == null || !engine.layout().positions().contains(seen.valve())) {
          throw Refusal.invalid("valve", "say at which valve; this engine has no " + seen.valve());
        }
      }
      case CYLINDER -> {
        if (seen.cylinder() == null || !engine.layout().firingOrder().contains(seen.cylinder())) {
          throw Refusal.invalid("cylinder", "say which cylinder");
        }
      }
      case ENGINE -> {
        if (seen.valve() != null || seen.cylinder() != null) {
          throw Refusal.invalid("look", seen.look().title() + " is a look at the whole engine");
        }
      }
    }
  }

  /** Lift becomes what is missing of the card; of two gaps the smaller counts. */
  private static @Nullable Double figure(Engine engine, FindingSeen seen) {
    if (seen.look() == Look.LOBE_LIFT && seen.liftIn() != null && seen.valve() != null) {
      Refusal.outside(
          "liftIn", seen.liftIn(), 0, 1.5, "a valve lift lies between {0 in} and {1.5 in}");
      double wanted =
          LobeSurvey.wantedIn(engine, seen.valve().kind())
              .orElseThrow(
                  () ->
                      Refusal.invalid("liftIn", "the cam card gives no lobe lift to compare with"));
      return Math.max(0, (wanted - seen.liftIn()) * INCH_TO_THOU);
    }
    return seen.figure() == null || seen.otherSide() == null
        ? seen.figure()
        : Double.valueOf(Math.min(seen.figure(), seen.otherSide()));
  }

  private static Grade grade(FindingSeen seen, @Nullable Double figure) {
    Look look = seen.look();
    Optional<Grade> grade =
        seen.grade() != null
            ? look.grade(seen.grade())
            : figure == null ? Optional.empty() : look.grade(figure);
    return grade.orElseThrow(
        () ->
            Refusal.invalid(
                "grade",
                "say what was seen: "
                    + String.join(", ", look.grades().stream().map(Grade::word).toList())
                    + (look.takesFigure() ? ", or a figure in " + look.unit() : "")));
  }

  /** Takes a finding back; its history stays. What is gone already is no fault. */
  public void withdraw(UUID id) {
    rows.findById(id)
        .ifPresent(
            row -> {
              Because.of(row.hand, "taken back");
              rows.delete(row);
              rows.flush();
            });
  }

  /** Keeps a photo with its finding. */
  public void photo(UUID id, byte[] image) {
    InspectionRow row = find(id);
    row.photoType = photos.keep(id, image);
    Because.of(row.hand, "photo");
    rows.saveAndFlush(row);
  }

  private InspectionRow find(UUID id) {
    return rows.findById(id).orElseThrow(() -> Refusal.notFound("no such finding"));
  }

  @Transactional(readOnly = true)
  List<InspectionRow> of(UUID engineId) {
    return rows.findByEngineIdOrderBySeenAt(engineId);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
