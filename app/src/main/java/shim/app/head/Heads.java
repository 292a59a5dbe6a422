package shim.app.head;

import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.OpenItems;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.app.record.Sheets;
import shim.app.record.TakenBack;
import shim.app.spring.Springs;
import shim.app.spring.SpringsElsewhere;
import shim.core.change.StaysOpen;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.head.Fixings;
import shim.core.head.HeadMeasure;
import shim.core.head.HeadRecord;
import shim.core.head.HeadRecord.HeadReading;

/** Heads, what was read on them, the springs that are on them, and the engines they sat on. */
@Service
@Transactional
public class Heads implements SpringsElsewhere {
  private final Sheets sheets;
  private final HeadReadingRows readings;
  private final HeadStayRows stays;
  private final HeadSpringRows onHeads;
  private final Engines engines;
  private final OpenItems items;
  private final Clock clock;

  Heads(
      Sheets sheets,
      HeadReadingRows readings,
      HeadStayRows stays,
      HeadSpringRows onHeads,
      Engines engines,
      OpenItems items,
      Clock clock) {
    this.sheets = sheets;
    this.readings = readings;
    this.stays = stays;
    this.onHeads = onHeads;
    this.engines = engines;
    this.items = items;
    this.clock = clock;
  }

  @Override
  @Transactional(readOnly = true)
  public Set<UUID> elsewhere() {
    Set<UUID> all = new HashSet<>();
    onHeads.findByTakenAtIsNull().forEach(r -> all.add(r.springId));
    return all;
  }

  @Transactional(readOnly = true)
  Map<String, Sheets.Kept<HeadSheet>> all() {
    return sheets.all(Documents.Kind.HEAD_SHEET, HeadSheet.class);
  }

  @Transactional(readOnly = true)
  Optional<Sheets.Kept<HeadSheet>> find(UUID id) {
    return sheets.of(id.toString(), Documents.Kind.HEAD_SHEET, HeadSheet.class);
  }

  @Transactional(readOnly = true)
  Sheets.Kept<HeadSheet> kept(UUID id) {
    return find(id).orElseThrow(() -> Refusal.notFound("there are no such heads here"));
  }

  /** Where the valves of some heads are: as on the engine they are made for. */
  @Transactional(readOnly = true)
  Layout layout(HeadSheet sheet) {
    return engines.get(sheet.madeFor()).engine().layout();
  }

  public void put(UUID id, HeadSheet sheet, @Nullable Integer basedOn, @Nullable String who) {
    engines.get(sheet.madeFor());
    Optional<Sheets.Kept<HeadSheet>> known = find(id);
    if (known.isPresent() && !known.get().sheet().madeFor().equals(sheet.madeFor())) {
      throw Refusal.invalid("head.madeFor", "heads stay with the valves they were measured by");
    }
    if (sheet.fixings() != null) {
      List<Refusal.FieldError> faults =
          sheet.fixings().faults().stream().map(HeadFaults::of).toList();
      if (!faults.isEmpty()) {
        throw Refusal.invalid("the fixings cannot be used like this", faults);
      }
      for (Double step : sheet.fixings().stepsLbfFt()) {
        Refusal.outside("head.fixings.stepsLbfFt", step, 1, 500, "{1 lbf·ft} to {500 lbf·ft}");
      }
    }
    sheets.put(
        id.toString(), Documents.Kind.HEAD_SHEET, sheet, new Sheets.Change(null, basedOn, who));
  }

  /** One figure as it is sent: at a valve, in a chamber or of one bank's head. */
  public record HeadFigure(
      @NotNull HeadMeasure what,
      @Nullable Position valve,
      @Nullable Integer cylinder,
      @Nullable Integer bank,
      double figure,
      @Initials String hand) {}

  /** Keeps a figure; safe to repeat, and a repeat with another figure corrects it. */
  public void read(UUID headId, UUID id, HeadFigure r) {
    HeadSheet sheet = kept(headId).sheet();
    HeadReadingRow row =
        readings
            .findById(id)
            .orElseGet(
                () -> {
                  Long last = readings.last(headId);
                  return new HeadReadingRow(id, headId, last == null ? 1 : last + 1);
                });
    TakenBack.refuseOther(row.headId.equals(headId));
    row.what = r.what();
    row.valve = r.valve() == null ? null : r.valve().toString();
    row.cylinder = r.cylinder();
    row.bank = r.bank();
    row.figure = r.figure();
    row.hand = r.hand();
    row.takenAt = row.takenAt == null ? now() : row.takenAt;
    requireSound(layout(sheet), row.reading());
    Because.of(r.hand(), "head measured");
    readings.saveAndFlush(row);
  }

  private static void requireSound(Layout layout, HeadReading r) {
    HeadRecord.fault(layout, r)
        .ifPresent(
            f -> {
              throw switch (f) {
                case NO_SUCH_PLACE ->
                    Refusal.invalid("valve", "that is not measured there on these heads");
                case IMPOSSIBLE ->
                    Refusal.invalid("figure", HeadFaults.between(r.what().possible()));
              };
            });
  }

  /** A figure that was none. */
  void takeBack(UUID headId, UUID id, String hand) {
    HeadReadingRow row =
        readings
            .findById(id)
            .filter(r -> r.headId.equals(headId))
            .orElseThrow(() -> Refusal.notFound("no such figure on these heads"));
    row.takenBack = true;
    Because.of(hand, "taken back");
    readings.saveAndFlush(row);
  }

  @Transactional(readOnly = true)
  HeadRecord record(UUID headId, HeadSheet sheet) {
    return new HeadRecord(
        layout(sheet), rows(headId).stream().map(HeadReadingRow::reading).toList());
  }

  @Transactional(readOnly = true)
  List<HeadReadingRow> rows(UUID headId) {
    return readings.findByHeadIdAndTakenBackFalseOrderByPlace(headId);
  }

  @Transactional(readOnly = true)
  List<HeadStayRow> stays(UUID headId) {
    return stays.findByHeadIdOrderByFromAt(headId);
  }

  /** The engine some heads sit on now. */
  @Transactional(readOnly = true)
  Optional<HeadStayRow> on(UUID headId) {
    return stays(headId).stream().filter(HeadStayRow::open).findFirst();
  }

  /** The heads with a record that sit on an engine now. */
  @Transactional(readOnly = true)
  Optional<UUID> sitting(UUID engineId) {
    return stays.findByEngineIdAndToHoursIsNull(engineId).stream().map(s -> s.headId).findFirst();
  }

  @Transactional(readOnly = true)
  List<HeadSpringRow> springs(UUID headId) {
    return onHeads.findByHeadIdAndTakenAtIsNullOrderByValve(headId);
  }

  /** A spring is on a valve of heads on the rack; one that was there before gives way. */
  void spring(HeadSpringRow row, String hand, Instant at) {
    for (HeadSpringRow old : springs(row.headId)) {
      if (old.valve.equals(row.valve) && !old.id.equals(row.id)) {
        take(old, hand, at);
      }
    }
    row.putAt = at;
    row.hand = hand;
    Because.of(hand, "spring on a head");
    onHeads.saveAndFlush(row);
  }

  private void take(HeadSpringRow row, String hand, Instant at) {
    row.takenAt = at;
    Because.of(hand, "spring off a head");
    onHeads.saveAndFlush(row);
  }

  /** Heads go onto an engine at these hours, with the springs that are on them. */
  void mount(UUID headId, UUID engineId, double hours, String hand, Instant at, Springs into) {
    for (HeadSpringRow row : springs(headId)) {
      take(row, hand, at);
      into.fit(Ids.of(row.id + " onto " + at), row.onto(engineId, hours, at, hand));
    }
    HeadStayRow stay = new HeadStayRow(Ids.of(headId + " stay " + at), headId, engineId);
    stay.fromHours = hours;
    stay.fromAt = at;
    stay.hand = hand;
    Because.of(hand, "heads on");
    stays.saveAndFlush(stay);
  }

  /** Heads come off an engine at these hours; their springs stay on them. */
  void unmount(UUID headId, UUID engineId, double hours, String hand, Springs from) {
    Instant at = now();
    from.fitted(engineId)
        .forEach(
            (valve, f) -> {
              from.remove(f.id(), new Springs.Removal(hours, at, false, hand, "with its head"));
              HeadSpringRow row =
                  new HeadSpringRow(
                      Ids.of(f.id() + " off " + at), headId, f.fitting().springId(), valve);
              row.from(f.fitting());
              spring(row, hand, at);
            });
    HeadStayRow stay =
        on(headId)
            .filter(s -> s.engineId.equals(engineId))
            .orElseGet(
                () -> {
                  HeadStayRow s = new HeadStayRow(Ids.of(headId + " stay " + at), headId, engineId);
                  s.fromHours = 0;
                  s.fromAt = at;
                  return s;
                });
    stay.toHours = hours;
    stay.toAt = at;
    stay.hand = hand;
    Because.of(hand, "heads off");
    stays.saveAndFlush(stay);
    items.open(
        Ids.of(headId + " off " + at),
        engineId,
        null,
        StaysOpen.Kind.HEADS_ON,
        "heads are off: gasket, torque and lash before anything runs",
        OpenItems.About.ENGINE,
        OpenItems.Due.AT_ONCE,
        hand);
  }

  /** Figures that are known from an engine the heads come off. */
  void known(UUID headId, Map<Position, Springs.StoredFitting> fitted, String hand) {
    fitted.forEach(
        (valve, f) -> {
          known(headId, HeadMeasure.HEIGHT, valve, f.fitting().bareHeightIn().orElse(null), hand);
          known(headId, HeadMeasure.POCKET, valve, f.fitting().pocketIn(), hand);
          known(headId, HeadMeasure.SEAL_GAP, valve, f.fitting().sealGapIn(), hand);
        });
  }

  private void known(
      UUID headId, HeadMeasure what, Position valve, @Nullable Double figure, String hand) {
    if (figure != null) {
      UUID id = Ids.of(headId + " " + what + valve);
      read(headId, id, new HeadFigure(what, valve, null, null, figure, hand));
    }
  }

  Fixings fixings(HeadSheet sheet) {
    if (sheet.fixings() == null) {
      throw Refusal.invalid(
          "headId", "write down first how these heads are held: fixings, sequence, steps");
    }
    return sheet.fixings();
  }

  Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
