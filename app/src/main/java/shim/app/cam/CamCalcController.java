package shim.app.cam;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.cam.CamViews.CamFiguresView;
import shim.app.cam.CamViews.ColumnSeen;
import shim.app.cam.CamViews.CorrectionView;
import shim.app.cam.CamViews.RodChoice;
import shim.app.cam.CamViews.StandsView;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.core.cam.CamDrive;
import shim.core.cam.CamFigures;
import shim.core.cam.Centreline;
import shim.core.cam.FloatMargin;
import shim.core.cam.Installed;
import shim.core.cam.PistonToValve;
import shim.core.cam.PushrodCover;
import shim.core.cam.RingGap;
import shim.core.cam.SpringForce;
import shim.core.cam.TrainMass;
import shim.core.cam.TrueTdc;
import shim.core.cam.ValveLift;
import shim.core.cam.WireLife;
import shim.core.crank.CrankSlide;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lobe.SmoothLobe;
import shim.core.spring.LoadCurve;
import shim.core.spring.RoundWire;

/** The bench's arithmetic for whoever asks, nothing kept. */
@RestController
class CamCalcController {
  private final LobeTables tables;

  CamCalcController(LobeTables tables) {
    this.tables = tables;
  }

  /** Where the stop was met on each side of the wheel's zero. */
  record TdcAsked(double beforeDeg, double afterDeg) {}

  /** True TDC on the wheel, crank degrees after its zero. */
  record TdcFound(double standsAtDeg) {}

  /** Finds true top dead centre from a piston stop touched from both sides. */
  @PostMapping("/api/calc/cam/tdc")
  TdcFound tdc(@RequestBody TdcAsked asked) {
    return new TdcFound(new TrueTdc(asked.beforeDeg(), asked.afterDeg()).standsAtDeg());
  }

  /** One height: inch under the nose, wheel on the way up and down. */
  record PairAsked(double underNoseIn, double upDeg, double downDeg) {}

  /**
   * Readings of a degreed cam, true degrees: intake after, exhaust before gas-exchange TDC.
   *
   * @param offers steps of the drive; blank takes keyways of 4
   */
  record DegreeAsked(
      @NotNull EngineSheet sheet,
      @NotNull @Size(max = 4) List<@NotNull PairAsked> intake,
      @NotNull @Size(max = 4) List<@NotNull PairAsked> exhaust,
      @Nullable @Size(max = 200) List<@NotNull Double> offers,
      CamDrive.@Nullable Marked marked,
      double wantedAdvanceDeg) {}

  /** Where it stands, how well the heights agree, and what the drive offers, best first. */
  record DegreeFound(
      StandsView stands,
      @Nullable Double intakeApartDeg,
      @Nullable Double exhaustApartDeg,
      List<CorrectionView> corrections) {}

  /** Finds where a cam stands from opening and closing angles at one or two heights of lift. */
  @PostMapping("/api/calc/cam/degree")
  DegreeFound degree(@RequestBody DegreeAsked asked) {
    CamCard card =
        Engines.reading(asked.sheet())
            .cam()
            .orElseThrow(() -> Refusal.invalid("sheet.cam", "this sheet has no whole cam card"));
    Optional<Centreline> in = line(asked.intake(), 1);
    Optional<Centreline> ex = line(asked.exhaust(), -1);
    Installed stands = new Installed(in.map(Centreline::atdcDeg), ex.map(c -> -c.atdcDeg()));
    CamDrive drive =
        asked.offers() == null
            ? CamDrive.keyways()
            : new CamDrive(
                asked.offers(), Objects.requireNonNullElse(asked.marked(), CamDrive.Marked.CRANK));
    return new DegreeFound(
        CamReader.stands(stands, card),
        in.map(Centreline::apartDeg).orElse(null),
        ex.map(Centreline::apartDeg).orElse(null),
        CamReader.corrections(drive, stands, card, asked.wantedAdvanceDeg(), Optional.empty()));
  }

  private static Optional<Centreline> line(List<PairAsked> pairs, int after) {
    return pairs.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Centreline(
                pairs.stream()
                    .map(
                        p ->
                            new Centreline.Pair(
                                p.underNoseIn(), after * p.upDeg(), after * p.downDeg()))
                    .toList()));
  }

  /**
   * A table of angle and lifts as text; {@code perLobe} is the ratio where the dial saw a valve.
   */
  record LobeAsked(@NotNull @Size(max = 400_000) String csv, double perLobe, boolean camDegrees) {}

  /**
   * Reads lift tables and tells, column by column, whether a lobe may be believed and what it is
   * like.
   */
  @PostMapping("/api/calc/cam/lobe")
  List<ColumnSeen> lobe(@RequestBody LobeAsked asked) {
    return tables.preview(asked.csv(), asked.perLobe(), asked.camDegrees());
  }

  /** A cam on an engine, at its ratio and lash. */
  @PostMapping("/api/calc/cam/figures")
  CamFiguresView figures(@RequestBody EngineSheet sheet) {
    Engine engine = Engines.reading(sheet);
    return CamFigures.of(engine)
        .map(SideBySides::figures)
        .orElseThrow(() -> Refusal.invalid("cam", "this sheet has no whole cam card"));
  }

  /**
   * One gap measured and what is changed.
   *
   * @param valveAngleDeg valve axis to the bore
   * @param measuredLashIn lash while it was measured
   */
  record GapAsked(
      @NotNull EngineSheet sheet,
      @NotNull ValveKind kind,
      double valveAngleDeg,
      PistonToValve.@NotNull Crown crown,
      double atdcDeg,
      double gapIn,
      boolean touched,
      double measuredLashIn,
      double advanceDeg,
      double lashIn,
      @Nullable Double ratio,
      double raisesIn,
      double sunkIn,
      @Nullable Double wantedIn,
      @Nullable Double travelIn) {}

  /** The least gap, where, and how it stands; what the travel proves where it was measured. */
  record GapFound(
      double leastIn,
      double lowIn,
      double highIn,
      double atdcDeg,
      PistonToValve.Margin margin,
      @Nullable Double provesIn,
      List<CamViews.GapAt> curve) {}

  /** Finds the least gap between piston and valve, and the gap all along the overlap. */
  @PostMapping("/api/calc/cam/gap")
  GapFound gap(@RequestBody GapAsked a) {
    Engine engine = Engines.reading(a.sheet());
    CamCard card =
        engine
            .cam()
            .orElseThrow(() -> Refusal.invalid("sheet.cam", "this sheet has no whole cam card"));
    CrankSlide slide =
        BenchSums.slide(a.sheet())
            .orElseThrow(
                () -> Refusal.invalid("sheet.bottomEnd", "bore, stroke and rod are wanted"));
    CamCard.Lobe lobe = card.lobe(a.kind());
    double own = engine.drive().ratio(a.kind());
    PistonToValve bench =
        new PistonToValve(
            a.kind(),
            slide,
            a.valveAngleDeg(),
            a.crown(),
            lobe.centreDeg(),
            new ValveLift(lobe, own, a.measuredLashIn()));
    PistonToValve.Reading reading = new PistonToValve.Reading(a.atdcDeg(), a.gapIn(), a.touched());
    PistonToValve.Change change =
        new PistonToValve.Change(
            BenchSums.within("advanceDeg", a.advanceDeg(), 30),
            new ValveLift(lobe, Objects.requireNonNullElse(a.ratio(), own), a.lashIn()),
            BenchSums.within("raisesIn", a.raisesIn(), 0.5),
            BenchSums.within("sunkIn", a.sunkIn(), 0.5));
    PistonToValve.Least least = bench.least(reading, change);
    double wanted = Objects.requireNonNullElse(a.wantedIn(), PistonToValve.usualIn(a.kind()));
    return new GapFound(
        least.midIn(),
        least.lowIn(),
        least.highIn(),
        least.atdcDeg(),
        PistonToValve.judge(least, a.touched(), wanted),
        a.travelIn() == null ? null : bench.provesIn(a.travelIn(), a.atdcDeg()),
        bench.curve(reading, change, 1).stream()
            .map(g -> new CamViews.GapAt(g.atdcDeg(), g.lowIn(), g.midIn(), g.highIn(), null))
            .toList());
  }

  /** What one valve wants: best length, and how much it may be off. */
  record RodWanted(@NotNull Position valve, double aimIn, double tolIn) {}

  record RodsAsked(
      @NotNull @Size(max = 64) List<@NotNull RodWanted> valves,
      @NotNull @Size(max = 400) List<@NotNull Double> sizesIn) {}

  /** The best choice for each number of lengths. */
  @PostMapping("/api/calc/cam/pushrods")
  List<RodChoice> pushrods(@RequestBody RodsAsked asked) {
    return new PushrodCover(
            asked.valves().stream()
                .map(v -> new PushrodCover.Wanted(v.valve(), v.aimIn(), v.tolIn()))
                .toList(),
            asked.sizesIn())
        .byCount().stream().map(c -> new RodChoice(c.lengthsIn(), c.at(), c.oneOffs())).toList();
  }

  /** Weights in grams, rocker inertia in gram inch², arm in inch. */
  record TrainAsked(
      double valveG,
      double retainerG,
      double locksG,
      double springG,
      double rockerGIn2,
      double armIn,
      double pushrodG,
      double lifterG) {}

  record LoadAt(double heightIn, double loadLbf) {}

  /**
   * @param csv the lobe's lift table; the first column of lifts counts
   * @param left share of the spring's load that is left, 1 new
   */
  record FloatAsked(
      @NotNull @Size(max = 400_000) String csv,
      double perLobe,
      boolean camDegrees,
      double ratio,
      double lashIn,
      @NotNull @Valid TrainAsked train,
      @NotNull @Size(min = 2, max = 40) List<@NotNull LoadAt> loads,
      double installedIn,
      double left,
      double leftBand,
      double boostLbf) {}

  /** The speed at which the margin is gone, and where on the lobe. */
  record FloatFound(
      double lowRpm, double rpm, double highRpm, double atDeg, double liftIn, double loadLbf) {}

  /** Finds the engine speed at which a spring loses hold of its valve. */
  @PostMapping("/api/calc/cam/float")
  FloatFound floats(@RequestBody FloatAsked a) {
    SmoothLobe lobe = tables.lobe(tables.column(a.csv(), 0, a.camDegrees()), a.perLobe()).smooth();
    TrainAsked t = a.train();
    FloatMargin margin =
        new FloatMargin(
            lobe,
            a.ratio(),
            BenchSums.within("lashIn", a.lashIn(), 0.2),
            new TrainMass(
                t.valveG(),
                t.retainerG(),
                t.locksG(),
                t.springG(),
                t.rockerGIn2(),
                t.armIn(),
                t.pushrodG(),
                t.lifterG()));
    LoadCurve curve =
        new LoadCurve(
            a.loads().stream().map(l -> new LoadCurve.At(l.heightIn(), l.loadLbf())).toList());
    FloatMargin.Floats f =
        margin.floats(
            new SpringForce(curve, a.installedIn(), a.left(), a.leftBand(), a.boostLbf()));
    return new FloatFound(
        f.rpm().low(), f.rpm().mid(), f.rpm().high(), f.fromCentreDeg(), f.liftIn(), f.loadLbf());
  }

  /** One wire and the loads it runs between. */
  record WireAsked(
      double wireIn,
      double odIn,
      double coils,
      WireLife.@NotNull Steel steel,
      boolean peened,
      double shutLbf,
      double openLbf) {}

  /** Finds the stress in a spring's wire and whether it bears it for ever. */
  @PostMapping("/api/calc/cam/wire")
  WireLife.Stress wire(@RequestBody WireAsked a) {
    return new WireLife(
            new RoundWire(a.wireIn(), a.odIn() - a.wireIn(), a.coils()), a.steel(), a.peened())
        .between(a.shutLbf(), a.openLbf());
  }

  /**
   * Ring gaps; {@code factor} is inch of gap an inch of bore, gaps are one ring's at two depths.
   */
  record RingAsked(
      @Nullable Double boreIn,
      @Nullable Double factor,
      @Nullable Double gapIn,
      @Nullable Double otherGapIn) {}

  /** Inch; the taper is of the diameter. */
  record RingFound(@Nullable Double wantedIn, @Nullable Double taperIn) {}

  /** Finds the least gap of a piston ring and what its bore's taper does to it. */
  @PostMapping("/api/calc/cam/ring-gap")
  RingFound ringGap(@RequestBody RingAsked a) {
    return new RingFound(
        a.boreIn() == null || a.factor() == null ? null : RingGap.wantedIn(a.boreIn(), a.factor()),
        a.gapIn() == null || a.otherGapIn() == null
            ? null
            : RingGap.taperIn(a.gapIn(), a.otherGapIn()));
  }
}
