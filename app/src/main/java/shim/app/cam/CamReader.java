package shim.app.cam;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.cam.CamSheets.BenchSheet;
import shim.app.cam.CamSheets.LobeTableSheet;
import shim.app.cam.CamSheets.SittingKept;
import shim.app.cam.CamSheets.SittingKind;
import shim.app.cam.CamSheets.SittingSheet;
import shim.app.cam.CamViews.CamReadingView;
import shim.app.cam.CamViews.CamView;
import shim.app.cam.CamViews.CamWanted;
import shim.app.cam.CamViews.CentreView;
import shim.app.cam.CamViews.CorrectionView;
import shim.app.cam.CamViews.DegreeView;
import shim.app.cam.CamViews.LashesView;
import shim.app.cam.CamViews.LobeView;
import shim.app.cam.CamViews.SittingLine;
import shim.app.cam.CamViews.StandsView;
import shim.app.engine.Engines;
import shim.app.engine.LayoutView;
import shim.app.record.Maybe;
import shim.app.record.Sheets;
import shim.app.running.EngineClock;
import shim.core.cam.CamDrive;
import shim.core.cam.Centreline;
import shim.core.cam.Degreeing;
import shim.core.cam.Installed;
import shim.core.cam.Separation;
import shim.core.crank.CamTiming;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet.CamBench;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.LobeSheet;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lobe.SmoothLobe;

/** The bench of an engine as it stands: degreed, measured, lashes, sittings. */
@Service
@Transactional(readOnly = true)
public class CamReader {
  private static final List<Double> UNDER_NOSE_IN = List.of(0.050);

  private final CamBook book;
  private final Engines engines;
  private final EngineClock clock;
  private final Clearances clearances;
  private final LobeTables tables;

  CamReader(
      CamBook book, Engines engines, EngineClock clock, Clearances clearances, LobeTables tables) {
    this.book = book;
    this.engines = engines;
    this.clock = clock;
    this.clearances = clearances;
    this.tables = tables;
  }

  CamView view(UUID engineId) {
    Engines.Stored stored = engines.get(engineId);
    Engine engine = stored.engine();
    Optional<Sheets.Kept<BenchSheet>> bench = book.bench(engineId);
    Optional<Clearances.Bench> gaps = clearances.latest(stored);
    CamSheet cam = stored.sheet().cam();
    return new CamView(
        LayoutView.of(engine.layout()),
        engine.drive().lifter().hydraulic(),
        engine.drive().ratioIntake(),
        engine.drive().ratioExhaust(),
        clock.now(engineId),
        cam == null ? null : cam.card(),
        engine.cam().map(CamTiming::of).orElse(null),
        engine.cam().map(c -> c.intake().centreDeg()).orElse(null),
        engine.cam().map(c -> c.exhaust().centreDeg()).orElse(null),
        lowest(engine),
        lashes(stored),
        bench.map(Sheets.Kept::sheet).orElse(BenchSheet.BLANK),
        bench.map(Sheets.Kept::version).orElse(null),
        measuredOn(engine),
        book.sittings(engineId, SittingKind.DEGREE).stream()
            .map(s -> degree(stored, s.getKey(), s.getValue(), gaps))
            .toList(),
        lobes(stored, engine),
        book.others(engineId).entrySet().stream()
            .filter(e -> !Boolean.TRUE.equals(e.getValue().sheet().removed()))
            .map(
                e ->
                    new CamViews.OtherCamView(
                        UUID.fromString(e.getKey()), e.getValue().version(), e.getValue().sheet()))
            .toList(),
        lines(engineId, SittingKind.CLEARANCE),
        lines(engineId, SittingKind.PUSHRODS));
  }

  private static Map<ValveKind, Double> lowest(Engine engine) {
    Map<ValveKind, Double> at = new EnumMap<>(ValveKind.class);
    engine
        .cam()
        .ifPresent(
            c -> {
              for (ValveKind k : ValveKind.values()) {
                at.put(k, c.lobe(k).lowest().tappetLiftIn());
              }
            });
    return at;
  }

  private static Map<ValveKind, String> measuredOn(Engine engine) {
    Map<ValveKind, String> on = new EnumMap<>(ValveKind.class);
    engine
        .cam()
        .ifPresent(
            c -> {
              for (ValveKind k : ValveKind.values()) {
                c.lobe(k).measured().ifPresent(m -> on.put(k, m.on()));
              }
            });
    return on;
  }

  static LashesView lashes(Engines.Stored stored) {
    CamSheet cam = stored.sheet().cam();
    CamBench bench = CamBook.benchOf(stored.sheet());
    Engine.LashSpec card = BenchSums.cardsLash(stored).engine().lash();
    boolean none = cam == null || stored.engine().drive().lifter().hydraulic();
    return new LashesView(
        none ? null : card.intakeIn(),
        none ? null : card.exhaustIn(),
        bench.teamLashIntakeIn(),
        bench.teamLashExhaustIn(),
        card.floorIntakeIn(),
        card.floorExhaustIn(),
        card.state());
  }

  private List<SittingLine> lines(UUID engineId, SittingKind kind) {
    return book.sittings(engineId, kind).stream()
        .map(
            s ->
                new SittingLine(
                    s.getKey(), s.getValue().sitting(), book.readings(s.getKey()).size()))
        .toList();
  }

  static CamReadingView view(CamReadingRow r) {
    return new CamReadingView(
        r.id,
        r.what,
        r.valve == null ? null : Position.parse(r.valve),
        r.atFigure,
        r.figure,
        r.touched,
        r.hand,
        r.takenAt);
  }

  DegreeView degree(UUID id) {
    SittingKept kept = book.whole(id);
    Engines.Stored stored = engines.get(kept.sitting().engineId());
    return degree(stored, id, kept, clearances.latest(stored));
  }

  /** Against the card that was in then. */
  private DegreeView degree(
      Engines.Stored stored, UUID id, SittingKept kept, Optional<Clearances.Bench> gaps) {
    SittingSheet sitting = kept.sitting();
    List<CamReadingRow> rows = book.readings(id);
    Degreeing degreeing = degreeing(sitting, rows);
    Degreeing.Found found;
    String contradiction = null;
    try {
      found = degreeing.found();
    } catch (IllegalArgumentException e) {
      found =
          new Degreeing.Found(
              Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
      contradiction = String.valueOf(e.getMessage());
    }
    Optional<CamCard> card = Engines.reading(kept.engine()).cam();
    Optional<Installed> stands = found.installed();
    return new DegreeView(
        id,
        sitting,
        rows.stream().map(CamReader::view).toList(),
        degreeing.wanted().stream()
            .map(w -> new CamWanted(w.what(), w.heightIn(), w.figure().orElse(null)))
            .toList(),
        found.tdc().map(t -> t.standsAtDeg()).orElse(null),
        found.intake().map(c -> centre(c, 1)).orElse(null),
        found.exhaust().map(c -> centre(c, -1)).orElse(null),
        stands.flatMap(s -> card.map(c -> stands(s, c))).orElse(null),
        stands.flatMap(s -> card.map(c -> corrections(stored, s, c, gaps))).orElse(List.of()),
        contradiction);
  }

  static Degreeing degreeing(SittingSheet sitting, List<CamReadingRow> rows) {
    return new Degreeing(
        Objects.requireNonNullElse(sitting.way(), Degreeing.Way.UNDER_NOSE),
        sitting.heightsIn() == null || sitting.heightsIn().isEmpty()
            ? UNDER_NOSE_IN
            : sitting.heightsIn(),
        Boolean.TRUE.equals(sitting.pointerMoved()),
        rows.stream().map(r -> new Degreeing.Taken(r.what, r.atFigure, r.figure)).toList());
  }

  private static CentreView centre(Centreline c, int sign) {
    return new CentreView(sign * c.atdcDeg(), c.apartDeg(), c.agree());
  }

  static StandsView stands(Installed s, CamCard card) {
    return new StandsView(
        s.iclDeg().orElse(null),
        s.eclDeg().orElse(null),
        s.lsaDeg().orElse(null),
        s.advanceDeg().orElse(null),
        s.lateDeg(card, ValveKind.INTAKE).orElse(null),
        s.lateDeg(card, ValveKind.EXHAUST).orElse(null),
        s.lateDeg(card),
        s.verdict(card),
        s.timing(card));
  }

  private List<CorrectionView> corrections(
      Engines.Stored stored, Installed s, CamCard card, Optional<Clearances.Bench> gaps) {
    BenchSheet bench = book.benchOr(stored.id());
    double wanted = Objects.requireNonNullElse(bench.wantedAdvanceDeg(), 0.0);
    return corrections(BenchSums.drive(bench), s, card, wanted, gaps);
  }

  /** What a drive offers, with the gaps it would leave where they are known. */
  static List<CorrectionView> corrections(
      CamDrive drive,
      Installed s,
      CamCard card,
      double wantedDeg,
      Optional<Clearances.Bench> gaps) {
    return drive.corrections(s, card, wantedDeg).stream()
        .map(
            c ->
                new CorrectionView(
                    c.mark(),
                    c.crankDeg(),
                    c.then().iclDeg().orElse(null),
                    c.then().eclDeg().orElse(null),
                    c.offDeg(),
                    c.then().timing(card),
                    least(gaps, ValveKind.INTAKE, c.crankDeg()),
                    least(gaps, ValveKind.EXHAUST, c.crankDeg())))
        .toList();
  }

  private static @Nullable Double least(
      Optional<Clearances.Bench> gaps, ValveKind kind, double advanceDeg) {
    return gaps.flatMap(g -> g.leastIn(kind, Clearances.Live.advanced(advanceDeg))).orElse(null);
  }

  private List<LobeView> lobes(Engines.Stored stored, Engine engine) {
    CamBench bench = CamBook.benchOf(stored.sheet());
    Map<UUID, LobeTableSheet> kept = book.lobes(stored.id(), engine);
    Map<UUID, LobeTables.Lobe> lobes = new LinkedHashMap<>();
    Map<String, SmoothLobe> designs = new HashMap<>();
    kept.forEach(
        (id, l) -> {
          LobeTables.Lobe lobe = tables.lobe(l, engine);
          lobes.put(id, lobe);
          if (l.design()) {
            designs.put(l.valve(), lobe.smooth());
          }
        });
    List<LobeView> all = new ArrayList<>();
    kept.forEach(
        (id, l) -> {
          LobeTables.Lobe lobe = Objects.requireNonNull(lobes.get(id));
          all.add(
              new LobeView(
                  id,
                  l.name(),
                  Position.parse(l.valve()),
                  l.design(),
                  l.engineHours(),
                  lobe.figures(),
                  l.design()
                      ? null
                      : Optional.ofNullable(designs.get(l.valve()))
                          .map(d -> lobe.smooth().curve().differsIn(d.curve()))
                          .orElse(null),
                  lsaDeg(kept, lobes, id),
                  inUse(bench, l)));
        });
    return all;
  }

  /** Of the same cylinder's other lobe, taken in under the same name. */
  private static @Nullable Double lsaDeg(
      Map<UUID, LobeTableSheet> kept, Map<UUID, LobeTables.Lobe> lobes, UUID id) {
    LobeTableSheet own = Objects.requireNonNull(kept.get(id));
    Position valve = Position.parse(own.valve());
    for (Map.Entry<UUID, LobeTableSheet> e : kept.entrySet()) {
      Position other = Position.parse(e.getValue().valve());
      if (other.cylinder() == valve.cylinder()
          && other.kind() != valve.kind()
          && e.getValue().design() == own.design()
          && e.getValue().name().equals(own.name())) {
        double here = Objects.requireNonNull(lobes.get(id)).smooth().centreDeg();
        double there = Objects.requireNonNull(lobes.get(e.getKey())).smooth().centreDeg();
        boolean intake = valve.kind() == ValveKind.INTAKE;
        return Maybe.orNull(Separation.lsaDeg(intake ? there : here, intake ? here : there));
      }
    }
    return null;
  }

  private static boolean inUse(CamBench bench, LobeTableSheet l) {
    LobeSheet used =
        Position.parse(l.valve()).kind() == ValveKind.INTAKE ? bench.intake() : bench.exhaust();
    return used != null
        && Objects.equals(used.source(), l.name())
        && Objects.equals(used.on(), l.valve());
  }
}
