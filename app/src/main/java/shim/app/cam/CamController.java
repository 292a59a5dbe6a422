package shim.app.cam;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import shim.app.cam.CamSheets.BenchSheet;
import shim.app.cam.CamSheets.DialOn;
import shim.app.cam.CamSheets.LobeTableSheet;
import shim.app.cam.CamSheets.OtherCamSheet;
import shim.app.cam.CamSheets.SittingSheet;
import shim.app.cam.CamViews.CamView;
import shim.app.cam.CamViews.ClearanceView;
import shim.app.cam.CamViews.ColumnSeen;
import shim.app.cam.CamViews.DegreeView;
import shim.app.cam.CamViews.FloatView;
import shim.app.cam.CamViews.LashTuningView;
import shim.app.cam.CamViews.PushrodView;
import shim.app.cam.CamViews.SideBySide;
import shim.app.engine.Engines;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lobe.LiftTable;

/** The cam bench of an engine. */
@RestController
class CamController {
  private final CamBook book;
  private final CamReader reader;
  private final Clearances clearances;
  private final Pushrods pushrods;
  private final SideBySides cams;
  private final Floats floats;
  private final LobeTables tables;
  private final Engines engines;

  CamController(
      CamBook book,
      CamReader reader,
      Clearances clearances,
      Pushrods pushrods,
      SideBySides cams,
      Floats floats,
      LobeTables tables,
      Engines engines) {
    this.book = book;
    this.reader = reader;
    this.clearances = clearances;
    this.pushrods = pushrods;
    this.cams = cams;
    this.floats = floats;
    this.tables = tables;
    this.engines = engines;
  }

  /** The bench as set; {@code basedOn} is the version it was changed on. */
  record BenchEntry(
      @NotNull @Valid BenchSheet bench, @Nullable Integer basedOn, @Initials String hand) {}

  record CamFigureBack(@Initials String hand) {}

  /**
   * A lift table as text.
   *
   * @param camDegrees its angles are cam degrees
   */
  record LobeText(
      @NotNull @Size(max = 400_000) String csv,
      @NotNull String valve,
      @NotNull DialOn on,
      boolean camDegrees) {}

  /** One column of a table to be kept; the first of lifts is 0. */
  record LobeKept(
      @NotNull @Valid LobeText table,
      int column,
      @NotNull @Size(min = 1, max = 60) String name,
      boolean design,
      @Hours double engineHours,
      @Initials String hand) {}

  record OtherCamEntry(
      @NotNull @Valid OtherCamSheet other, @Nullable Integer basedOn, @Initials String hand) {}

  /** Lash the team chose, inch; blanks take the card's. */
  record LashChosen(@Nullable Double intakeIn, @Nullable Double exhaustIn, @Initials String hand) {}

  record CardAgain(@NotNull ValveKind kind, @Initials String hand) {}

  /**
   * Tells where the cam stands, what was measured of its lobes, and what the drive could change.
   */
  @GetMapping("/api/engines/{id}/cam")
  CamView cam(@PathVariable UUID id) {
    return reader.view(id);
  }

  /** Keeps what the bench needs to know of an engine: its crank, piston, drive and limits. */
  @PutMapping("/api/engines/{id}/cam/bench")
  CamView putBench(@PathVariable UUID id, @RequestBody BenchEntry entry) {
    book.putBench(id, entry.bench(), entry.basedOn(), entry.hand());
    return reader.view(id);
  }

  /** Begins a sitting at the cam bench: degreeing, gaps or pushrods. */
  @PutMapping("/api/cam-sittings/{id}")
  void putSitting(@PathVariable UUID id, @RequestBody SittingSheet sheet) {
    book.putSitting(id, sheet);
  }

  /** Keeps one figure read at a sitting. */
  @PutMapping("/api/cam-sittings/{id}/readings/{readingId}")
  void read(
      @PathVariable UUID id, @PathVariable UUID readingId, @RequestBody CamBook.CamFigure figure) {
    book.read(readingId, id, figure);
  }

  /** Takes back one figure read at a sitting; it stays on record as taken back. */
  @PutMapping("/api/cam-sittings/{id}/readings/{readingId}/taken-back")
  void takeBack(
      @PathVariable UUID id, @PathVariable UUID readingId, @RequestBody CamFigureBack back) {
    book.takeBack(readingId, back.hand());
  }

  /** Tells what a degreeing says so far, and what is still to be read. */
  @GetMapping("/api/cam-sittings/{id}/degree")
  DegreeView degree(@PathVariable UUID id) {
    return reader.degree(id);
  }

  /** Gaps of a sitting, with what is moved live; {@code valve} has its curve drawn. */
  @GetMapping("/api/cam-sittings/{id}/clearance")
  ClearanceView clearance(
      @PathVariable UUID id,
      @RequestParam(defaultValue = "0") double advanceDeg,
      @RequestParam(defaultValue = "0") double tighterIn,
      @RequestParam(required = false) @Nullable Double ratioIntake,
      @RequestParam(required = false) @Nullable Double ratioExhaust,
      @RequestParam(defaultValue = "0") double raisesIn,
      @RequestParam(required = false) @Nullable String valve) {
    return clearances.view(
        id,
        new Clearances.Live(
            BenchSums.within("advanceDeg", advanceDeg, 30),
            BenchSums.within("tighterIn", tighterIn, 0.1),
            ratioIntake,
            ratioExhaust,
            BenchSums.within("raisesIn", raisesIn, 0.5)),
        valve == null ? null : Position.parse(valve));
  }

  /** Pushrods of a sitting; {@code sizesIn} to choose from, else those on the engine's sheet. */
  @GetMapping("/api/cam-sittings/{id}/pushrods")
  PushrodView pushrods(
      @PathVariable UUID id, @RequestParam(required = false) @Nullable List<Double> sizesIn) {
    return pushrods.view(id, sizesIn == null ? List.of() : sizesIn);
  }

  /** Holds this engine's cam beside other cams: events, overlap, lift, and what would touch. */
  @GetMapping("/api/engines/{id}/cam/side-by-side")
  SideBySide sideBySide(@PathVariable UUID id) {
    return cams.cams(id);
  }

  /** Tells what more or less lash does to duration and overlap. */
  @GetMapping("/api/engines/{id}/cam/lash")
  LashTuningView lash(@PathVariable UUID id) {
    return cams.lash(id);
  }

  /** Chooses the team's own lash beside the card's. */
  @PutMapping("/api/engines/{id}/cam/lash")
  LashTuningView chooseLash(@PathVariable UUID id, @RequestBody LashChosen chosen) {
    book.chooseLash(id, chosen.intakeIn(), chosen.exhaustIn(), chosen.hand());
    return cams.lash(id);
  }

  /** Tells at which engine speed each spring loses hold, new, today and after the next event. */
  @GetMapping("/api/engines/{id}/cam/float")
  FloatView floats(@PathVariable UUID id) {
    return floats.view(id);
  }

  /** Looks at a table without keeping it: every column by itself. */
  @PostMapping("/api/engines/{id}/cam/lobes/preview")
  List<ColumnSeen> preview(@PathVariable UUID id, @RequestBody LobeText text) {
    Engine engine = engines.get(id).engine();
    return tables.preview(text.csv(), perLobe(engine, text), text.camDegrees());
  }

  private static double perLobe(Engine engine, LobeText text) {
    Position valve = BenchSums.valve(text.valve(), engine);
    return text.on() == DialOn.VALVE ? engine.drive().ratio(valve.kind()) : 1;
  }

  /** Keeps a measured lift table of one lobe. */
  @PutMapping("/api/engines/{id}/cam/lobes/{lobeId}")
  CamView putLobe(@PathVariable UUID id, @PathVariable UUID lobeId, @RequestBody LobeKept kept) {
    LobeText t = kept.table();
    List<LiftTable.Point> points = tables.column(t.csv(), kept.column(), t.camDegrees());
    book.putLobe(
        lobeId,
        new LobeTableSheet(
            id,
            kept.name(),
            t.valve().strip(),
            t.on(),
            perLobe(engines.get(id).engine(), t),
            t.camDegrees(),
            kept.design(),
            kept.engineHours(),
            points.stream().map(LiftTable.Point::crankDeg).toList(),
            points.stream().map(LiftTable.Point::dialIn).toList(),
            false),
        kept.hand());
    return reader.view(id);
  }

  /** From now on windows, slack and durations of all valves of its kind go by this lobe. */
  @PutMapping("/api/engines/{id}/cam/lobes/{lobeId}/use")
  CamView use(@PathVariable UUID id, @PathVariable UUID lobeId, @RequestBody CamFigureBack by) {
    book.use(lobeId, by.hand());
    return reader.view(id);
  }

  /** Puts a measured lift table aside, or takes it up again. */
  @PutMapping("/api/engines/{id}/cam/lobes/{lobeId}/aside")
  CamView putAside(
      @PathVariable UUID id, @PathVariable UUID lobeId, @RequestBody CamFigureBack by) {
    book.putAside(lobeId, by.hand());
    return reader.view(id);
  }

  /** Says whether windows and durations go by the measured lobes or by the cam card. */
  @PutMapping("/api/engines/{id}/cam/by-the-card")
  CamView byTheCard(@PathVariable UUID id, @RequestBody CardAgain card) {
    book.byTheCard(id, card.kind(), card.hand());
    return reader.view(id);
  }

  /** Keeps another cam, to be held beside this engine's. */
  @PutMapping("/api/engines/{id}/cam/others/{otherId}")
  CamView putOther(
      @PathVariable UUID id, @PathVariable UUID otherId, @RequestBody OtherCamEntry entry) {
    book.putOther(otherId, entry.other(), entry.basedOn(), entry.hand());
    return reader.view(id);
  }
}
