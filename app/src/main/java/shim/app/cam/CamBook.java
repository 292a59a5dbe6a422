package shim.app.cam;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.cam.CamSheets.BenchSheet;
import shim.app.cam.CamSheets.LobeTableSheet;
import shim.app.cam.CamSheets.OtherCamSheet;
import shim.app.cam.CamSheets.SittingKept;
import shim.app.cam.CamSheets.SittingKind;
import shim.app.cam.CamSheets.SittingSheet;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.app.record.Sheets;
import shim.app.record.TakenBack;
import shim.core.cam.CamMeasure;
import shim.core.cam.PistonToValve;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.CamBench;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.LobeSheet;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lobe.SmoothLobe;

/** Keeps what the bench measures and what is set for it. */
@Service
@Transactional
public class CamBook {
  /** A lobe is kept in the engine's sheet every so many crank degrees. */
  private static final int KEPT_STEP_DEG = 2;

  private final Sheets sheets;
  private final CamReadingRows readings;
  private final Engines engines;
  private final LobeTables tables;
  private final Clock clock;

  CamBook(Sheets sheets, CamReadingRows readings, Engines engines, LobeTables tables, Clock clock) {
    this.sheets = sheets;
    this.readings = readings;
    this.engines = engines;
    this.tables = tables;
    this.clock = clock;
  }

  /**
   * One figure as read; {@code at} is inch under the nose or degrees after TDC, where it is one.
   */
  public record CamFigure(
      CamMeasure what,
      @Nullable Position valve,
      @Nullable Double at,
      double figure,
      @Nullable Boolean touched,
      @Initials String hand) {}

  private static String benchId(UUID engineId) {
    return Ids.of("cam bench " + engineId).toString();
  }

  @Transactional(readOnly = true)
  Optional<Sheets.Kept<BenchSheet>> bench(UUID engineId) {
    return sheets.of(benchId(engineId), Documents.Kind.CAM_BENCH, BenchSheet.class);
  }

  BenchSheet benchOr(UUID engineId) {
    return bench(engineId).map(Sheets.Kept::sheet).orElse(BenchSheet.BLANK);
  }

  public void putBench(UUID engineId, BenchSheet sheet, @Nullable Integer basedOn, String hand) {
    engines.get(engineId);
    BenchSums.drive(sheet);
    for (ValveKind kind : ValveKind.values()) {
      BenchSums.train(BenchSums.kind(sheet, kind));
    }
    sheets.put(
        benchId(engineId),
        Documents.Kind.CAM_BENCH,
        sheet,
        new Sheets.Change(engineId, basedOn, hand));
  }

  public void putSitting(UUID id, SittingSheet sheet) {
    EngineSheet now = engines.get(sheet.engineId()).sheet();
    Optional<Sheets.Kept<SittingKept>> known = kept(id);
    sheets.put(
        id.toString(),
        Documents.Kind.CAM_SITTING,
        new SittingKept(sheet, known.map(k -> k.sheet().engine()).orElse(now)),
        new Sheets.Change(
            sheet.engineId(), known.map(Sheets.Kept::version).orElse(null), sheet.hand()));
  }

  private Optional<Sheets.Kept<SittingKept>> kept(UUID id) {
    return sheets.of(id.toString(), Documents.Kind.CAM_SITTING, SittingKept.class);
  }

  @Transactional(readOnly = true)
  SittingSheet sitting(UUID id) {
    return whole(id).sitting();
  }

  @Transactional(readOnly = true)
  SittingKept whole(UUID id) {
    return kept(id)
        .map(Sheets.Kept::sheet)
        .orElseThrow(() -> Refusal.notFound("there is no such sitting at the bench here"));
  }

  /** Sittings of a kind, the last first. */
  @Transactional(readOnly = true)
  List<Map.Entry<UUID, SittingKept>> sittings(UUID engineId, SittingKind kind) {
    return sheets.of(engineId, Documents.Kind.CAM_SITTING, SittingKept.class).entrySet().stream()
        .map(e -> Map.entry(UUID.fromString(e.getKey()), e.getValue().sheet()))
        .filter(e -> e.getValue().sitting().kind() == kind)
        .sorted(
            Comparator.comparing(
                    (Map.Entry<UUID, SittingKept> e) -> e.getValue().sitting().engineHours())
                .thenComparing(e -> e.getValue().sitting().startedAt())
                .reversed())
        .toList();
  }

  @Transactional(readOnly = true)
  List<CamReadingRow> readings(UUID sittingId) {
    return readings.findBySittingIdAndTakenBackFalseOrderByPlace(sittingId);
  }

  public void read(UUID id, UUID sittingId, CamFigure figure) {
    SittingSheet sitting = sitting(sittingId);
    requirePossible(sitting, figure);
    CamReadingRow row = readings.findById(id).orElse(null);
    if (row == null) {
      Long last = readings.last(sittingId);
      row = new CamReadingRow(id, sittingId, last == null ? 0 : last + 1);
      row.takenAt = clock.instant().truncatedTo(ChronoUnit.MILLIS);
    } else {
      TakenBack.refuseOther(row.sittingId.equals(sittingId));
      if (row.takenBack) {
        return;
      }
    }
    row.what = figure.what();
    row.valve = figure.valve() == null ? null : figure.valve().toString();
    row.atFigure = Objects.requireNonNullElse(figure.at(), 0.0);
    row.figure = figure.figure();
    row.touched = !Boolean.FALSE.equals(figure.touched());
    row.hand = figure.hand();
    Because.of(figure.hand(), "cam reading");
    readings.saveAndFlush(row);
  }

  private void requirePossible(SittingSheet sitting, CamFigure f) {
    if (!f.what().possible(f.figure())) {
      String unit = BenchSums.inDegrees(f.what()) ? "°" : " in";
      throw Refusal.invalid(
          "figure",
          BenchSums.inDegrees(f.what())
              ? "between %s%s and %s%s is possible"
                  .formatted(f.what().low(), unit, f.what().high(), unit)
              : "between {%s in} and {%s in} is possible"
                  .formatted(f.what().low(), f.what().high()));
    }
    if (f.what().ofValve()) {
      Engine engine = engines.get(sitting.engineId()).engine();
      if (f.valve() == null || !engine.layout().positions().contains(f.valve())) {
        throw Refusal.invalid("valve", "say at which valve of this engine it was read");
      }
    }
    if (f.what() == CamMeasure.GAP) {
      new PistonToValve.Reading(
          Objects.requireNonNullElse(f.at(), 0.0), f.figure(), !Boolean.FALSE.equals(f.touched()));
    }
    if (f.what().underNose() && f.at() == null) {
      throw Refusal.invalid("at", "say how far under the nose it was read");
    }
  }

  /** A figure that was none. */
  public void takeBack(UUID id, String hand) {
    CamReadingRow row =
        readings.findById(id).orElseThrow(() -> Refusal.notFound("no such figure at the bench"));
    row.takenBack = true;
    Because.of(hand, "taken back");
    readings.saveAndFlush(row);
  }

  /** Lift tables of an engine that were not put aside, of valves it has. */
  @Transactional(readOnly = true)
  Map<UUID, LobeTableSheet> lobes(UUID engineId, Engine engine) {
    Map<UUID, LobeTableSheet> all = new LinkedHashMap<>();
    sheets
        .of(engineId, Documents.Kind.LOBE_TABLE, LobeTableSheet.class)
        .forEach(
            (id, k) -> {
              LobeTableSheet l = k.sheet();
              boolean here = engine.layout().positions().contains(Position.parse(l.valve()));
              if (here && !Boolean.TRUE.equals(l.removed())) {
                all.put(UUID.fromString(id), l);
              }
            });
    return all;
  }

  @Transactional(readOnly = true)
  LobeTableSheet lobe(UUID id) {
    return sheets
        .of(id.toString(), Documents.Kind.LOBE_TABLE, LobeTableSheet.class)
        .map(Sheets.Kept::sheet)
        .orElseThrow(() -> Refusal.notFound("there is no such lift table here"));
  }

  /** Keeps a lift table that is believed. */
  public void putLobe(UUID id, LobeTableSheet sheet, String hand) {
    Engine engine = engines.get(sheet.engineId()).engine();
    tables.lobe(sheet, engine);
    Integer version =
        sheets
            .of(id.toString(), Documents.Kind.LOBE_TABLE, LobeTableSheet.class)
            .map(Sheets.Kept::version)
            .orElse(null);
    sheets.put(
        id.toString(),
        Documents.Kind.LOBE_TABLE,
        sheet,
        new Sheets.Change(sheet.engineId(), version, hand));
  }

  /** A lift table that is not to be shown any more; the sheet that went by it is left as it is. */
  public void putAside(UUID id, String hand) {
    LobeTableSheet l = lobe(id);
    LobeTableSheet aside =
        new LobeTableSheet(
            l.engineId(),
            l.name(),
            l.valve(),
            l.on(),
            l.perLobe(),
            l.camDegrees(),
            l.design(),
            l.engineHours(),
            l.crankDeg(),
            l.dialIn(),
            true);
    putLobe(id, aside, hand);
  }

  /** From now on a measured lobe stands for all valves of its kind. */
  public void use(UUID lobeId, String hand) {
    LobeTableSheet table = lobe(lobeId);
    Engines.Stored stored = engines.get(table.engineId());
    SmoothLobe lobe = tables.lobe(table, stored.engine()).smooth();
    int half = (int) Math.ceil(Math.max(-first(lobe), last(lobe)) / KEPT_STEP_DEG) * KEPT_STEP_DEG;
    List<Double> lifts =
        IntStream.rangeClosed(0, 2 * half / KEPT_STEP_DEG)
            .mapToObj(i -> Math.rint(lobe.curve().liftIn(-half + i * KEPT_STEP_DEG) * 1e7) / 1e7)
            .toList();
    LobeSheet kept =
        new LobeSheet(
            table.valve(),
            table.name(),
            (double) -half,
            (double) KEPT_STEP_DEG,
            lifts,
            lobe.stepDeg());
    boolean intake = Position.parse(table.valve()).kind() == ValveKind.INTAKE;
    CamBench was = benchOf(stored.sheet());
    put(
        stored,
        new CamBench(
            intake ? kept : was.intake(),
            intake ? was.exhaust() : kept,
            was.teamLashIntakeIn(),
            was.teamLashExhaustIn()),
        hand);
  }

  private static double first(SmoothLobe lobe) {
    return lobe.curve().rows().get(0).fromCentreDeg();
  }

  private static double last(SmoothLobe lobe) {
    return lobe.curve().rows().get(lobe.curve().rows().size() - 1).fromCentreDeg();
  }

  /** Windows, slack and durations go by the card again. */
  public void byTheCard(UUID engineId, ValveKind kind, String hand) {
    Engines.Stored stored = engines.get(engineId);
    CamBench was = benchOf(stored.sheet());
    put(
        stored,
        new CamBench(
            kind == ValveKind.INTAKE ? null : was.intake(),
            kind == ValveKind.EXHAUST ? null : was.exhaust(),
            was.teamLashIntakeIn(),
            was.teamLashExhaustIn()),
        hand);
  }

  /** The lash the team chose; blanks take the card's again. */
  public void chooseLash(
      UUID engineId, @Nullable Double intakeIn, @Nullable Double exhaustIn, String hand) {
    Engines.Stored stored = engines.get(engineId);
    CamBench was = benchOf(stored.sheet());
    put(stored, new CamBench(was.intake(), was.exhaust(), intakeIn, exhaustIn), hand);
  }

  static CamBench benchOf(EngineSheet sheet) {
    CamSheet cam = sheet.cam();
    CamBench bench = cam == null ? null : cam.bench();
    return bench == null ? new CamBench(null, null, null, null) : bench;
  }

  private void put(Engines.Stored stored, CamBench bench, String hand) {
    CamSheet cam = stored.sheet().cam();
    if (cam == null) {
      throw Refusal.invalid("cam", "write down the cam card first, under Set-up");
    }
    engines.put(stored.id(), stored.sheet().withCam(cam.withBench(bench)), null, hand);
  }

  @Transactional(readOnly = true)
  Map<String, Sheets.Kept<OtherCamSheet>> others(UUID engineId) {
    return sheets.of(engineId, Documents.Kind.OTHER_CAM, OtherCamSheet.class);
  }

  public void putOther(UUID id, OtherCamSheet sheet, @Nullable Integer basedOn, String hand) {
    Engines.Stored stored = engines.get(sheet.engineId());
    BenchSums.withCam(stored, sheet);
    sheets.put(
        id.toString(),
        Documents.Kind.OTHER_CAM,
        sheet,
        new Sheets.Change(sheet.engineId(), basedOn, hand));
  }
}
