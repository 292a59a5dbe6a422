package shim.app.cam;

import java.util.ArrayList;
import java.util.EnumMap;
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
import shim.app.cam.CamSheets.KindBench;
import shim.app.cam.CamSheets.SittingKept;
import shim.app.cam.CamSheets.SittingKind;
import shim.app.cam.CamSheets.SittingSheet;
import shim.app.cam.CamViews.ClearanceView;
import shim.app.cam.CamViews.GapAt;
import shim.app.cam.CamViews.ValveGap;
import shim.app.engine.Engines;
import shim.app.record.Maybe;
import shim.core.cam.CamMeasure;
import shim.core.cam.Installed;
import shim.core.cam.PistonToValve;
import shim.core.cam.PistonToValve.Change;
import shim.core.cam.PistonToValve.Least;
import shim.core.cam.PistonToValve.Reading;
import shim.core.cam.ValveLift;
import shim.core.crank.CrankSlide;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/** How far the valves miss the pistons, as measured and as it would be. */
@Service
@Transactional(readOnly = true)
class Clearances {
  private static final double DRAWN_DEG = 1;

  private final CamBook book;
  private final Engines engines;

  Clearances(CamBook book, Engines engines) {
    this.book = book;
    this.engines = engines;
  }

  /**
   * What is moved live against the engine as it stands.
   *
   * @param tighterIn so much less lash than wanted
   * @param raisesIn the head stands off so much further
   */
  record Live(
      double advanceDeg,
      double tighterIn,
      @Nullable Double ratioIntake,
      @Nullable Double ratioExhaust,
      double raisesIn) {
    static final Live NOTHING = new Live(0, 0, null, null, 0);

    static Live advanced(double deg) {
      return new Live(deg, 0, null, null, 0);
    }

    static Live tighter(double in) {
      return new Live(0, in, null, null, 0);
    }

    @Nullable Double ratio(ValveKind kind) {
      return kind == ValveKind.INTAKE ? ratioIntake : ratioExhaust;
    }
  }

  /** One valve that was measured. */
  record Measured(
      Position valve, PistonToValve gap, List<Reading> readings, List<CamReadingRow> rows) {}

  /** A sitting with all its arithmetic laid out. */
  record Bench(
      UUID id,
      SittingSheet sitting,
      Engine engine,
      BenchSheet sheet,
      List<Measured> valves,
      List<String> missing,
      boolean found,
      Map<ValveKind, Double> centres) {

    /** What runs now: this cam where it stands, the engine's lash, and what is moved live. */
    Change change(PistonToValve gap, Live live) {
      ValveKind kind = gap.kind();
      double ratio = Objects.requireNonNullElse(live.ratio(kind), engine.drive().ratio(kind));
      double lash = Math.max(0, engine.lash().targetIn(kind) - live.tighterIn());
      double earlier = gap.earlierDeg(Objects.requireNonNull(centres.get(kind)));
      CamCard.Lobe lobe = engine.cam().orElseThrow().lobe(kind);
      return new Change(
          live.advanceDeg() + earlier, new ValveLift(lobe, ratio, lash), live.raisesIn(), 0);
    }

    Least least(Measured m, Live live) {
      return m.gap().least(m.gap().tightest(m.readings()).orElseThrow(), change(m.gap(), live));
    }

    /** The least of all valves of a kind, inch. */
    Optional<Double> leastIn(ValveKind kind, Live live) {
      return valves.stream()
          .filter(m -> m.valve().kind() == kind)
          .map(m -> least(m, live).midIn())
          .min(Double::compare);
    }

    /** The same with another cam in at its own centre. */
    Optional<Double> leastWith(CamCard card, Engine with, ValveKind kind) {
      CamCard.Lobe lobe = card.lobe(kind);
      double ratio = with.drive().ratio(kind);
      double lash = with.lash().targetIn(kind);
      return valves.stream()
          .filter(m -> m.valve().kind() == kind)
          .map(
              m -> {
                double earlier = m.gap().earlierDeg(lobe.centreDeg());
                return m.gap()
                    .least(
                        m.gap().tightest(m.readings()).orElseThrow(),
                        new Change(earlier, new ValveLift(lobe, ratio, lash), 0, 0))
                    .midIn();
              })
          .min(Double::compare);
    }
  }

  /** The last sitting at which gaps were measured. */
  Optional<Bench> latest(Engines.Stored stored) {
    return book.sittings(stored.id(), SittingKind.CLEARANCE).stream()
        .filter(s -> !book.readings(s.getKey()).isEmpty())
        .findFirst()
        .map(s -> bench(stored, s.getKey(), s.getValue()))
        .filter(b -> b.missing().isEmpty());
  }

  /** Where a cam was last found to stand by some hours; empty where nobody looked. */
  private Optional<Installed> stands(UUID engineId, EngineSheet with, double byHours) {
    return book.sittings(engineId, SittingKind.DEGREE).stream()
        .filter(s -> s.getValue().sitting().engineHours() <= byHours)
        .filter(s -> BenchSums.sameCam(s.getValue().engine(), with))
        .flatMap(s -> found(s.getKey(), s.getValue().sitting()).stream())
        .findFirst();
  }

  private Optional<Installed> found(UUID id, SittingSheet sitting) {
    try {
      return CamReader.degreeing(sitting, book.readings(id)).found().installed();
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static Map<ValveKind, Double> centres(Optional<Installed> stands, CamCard card) {
    Map<ValveKind, Double> at = new EnumMap<>(ValveKind.class);
    at.put(ValveKind.INTAKE, stands.flatMap(Installed::iclDeg).orElse(card.intake().centreDeg()));
    at.put(ValveKind.EXHAUST, stands.flatMap(Installed::eclDeg).orElse(card.exhaust().centreDeg()));
    return at;
  }

  private Bench bench(Engines.Stored stored, UUID id, SittingKept kept) {
    Engine engine = stored.engine();
    Engine then = Engines.reading(kept.engine());
    BenchSheet sheet = book.benchOr(stored.id());
    List<String> missing = missing(engine, then, sheet, stored.sheet());
    if (!missing.isEmpty()) {
      return new Bench(id, kept.sitting(), engine, sheet, List.of(), missing, false, Map.of());
    }
    // a lobe measured since tells more of the same cam: what was measured is read by it too
    CamCard card =
        (BenchSums.sameCam(kept.engine(), stored.sheet()) ? engine : then).cam().orElseThrow();
    Optional<Installed> was = stands(stored.id(), kept.engine(), kept.sitting().engineHours());
    Optional<Installed> is = stands(stored.id(), stored.sheet(), Double.POSITIVE_INFINITY);
    return new Bench(
        id,
        kept.sitting(),
        engine,
        sheet,
        measured(
            then,
            card,
            sheet,
            kept.sitting(),
            rows(id, engine),
            BenchSums.slide(stored.sheet()).orElseThrow(),
            centres(was, card)),
        missing,
        is.isPresent(),
        centres(is, engine.cam().orElseThrow()));
  }

  private List<CamReadingRow> rows(UUID id, Engine engine) {
    return book.readings(id).stream()
        .filter(r -> r.what == CamMeasure.GAP && r.valve != null)
        .filter(
            r ->
                engine
                    .layout()
                    .positions()
                    .contains(Position.parse(Objects.requireNonNull(r.valve))))
        .toList();
  }

  private static List<String> missing(
      Engine now, Engine then, BenchSheet sheet, EngineSheet written) {
    List<String> missing = new ArrayList<>();
    if (now.cam().isEmpty() || then.cam().isEmpty()) {
      missing.add("CARD");
    }
    if (BenchSums.slide(written).isEmpty()) {
      missing.add("BOTTOM_END");
    }
    for (ValveKind kind : ValveKind.values()) {
      if (BenchSums.kind(sheet, kind).valveAngleDeg() == null) {
        missing.add("VALVE_ANGLE_" + kind.name());
      }
    }
    return missing;
  }

  private static List<Measured> measured(
      Engine then,
      CamCard card,
      BenchSheet sheet,
      SittingSheet sitting,
      List<CamReadingRow> rows,
      CrankSlide slide,
      Map<ValveKind, Double> centre) {
    Map<Position, List<CamReadingRow>> at = new LinkedHashMap<>();
    then.layout().positions().forEach(p -> at.put(p, new ArrayList<>()));
    rows.forEach(
        r ->
            at.computeIfAbsent(
                    Position.parse(Objects.requireNonNull(r.valve)), p -> new ArrayList<>())
                .add(r));
    List<Measured> all = new ArrayList<>();
    at.forEach(
        (p, own) -> {
          if (!own.isEmpty()) {
            KindBench k = BenchSums.kind(sheet, p.kind());
            Double lash =
                p.kind() == ValveKind.INTAKE ? sitting.lashIntakeIn() : sitting.lashExhaustIn();
            all.add(
                new Measured(
                    p,
                    new PistonToValve(
                        p.kind(),
                        slide,
                        Objects.requireNonNull(k.valveAngleDeg()),
                        Objects.requireNonNullElse(k.crown(), PistonToValve.Crown.POCKET),
                        Objects.requireNonNull(centre.get(p.kind())),
                        new ValveLift(
                            card.lobe(p.kind()),
                            then.drive().ratio(p.kind()),
                            Objects.requireNonNullElse(lash, 0.0))),
                    own.stream().map(r -> new Reading(r.atFigure, r.figure, r.touched)).toList(),
                    own));
          }
        });
    return all;
  }

  /**
   * @param drawn whose curve is wanted beside those of the tightest valves
   */
  ClearanceView view(UUID sittingId, Live live, @Nullable Position drawn) {
    SittingKept kept = book.whole(sittingId);
    SittingSheet sitting = kept.sitting();
    Engines.Stored stored = engines.get(sitting.engineId());
    Bench bench = bench(stored, sittingId, kept);
    Map<ValveKind, Position> tightest = new EnumMap<>(ValveKind.class);
    Map<Position, Least> leasts = new LinkedHashMap<>();
    for (Measured m : bench.valves()) {
      Least least = bench.least(m, live);
      leasts.put(m.valve(), least);
      Position now = tightest.get(m.valve().kind());
      if (now == null || least.midIn() < Objects.requireNonNull(leasts.get(now)).midIn()) {
        tightest.put(m.valve().kind(), m.valve());
      }
    }
    List<ValveGap> valves =
        bench.valves().stream()
            .map(
                m ->
                    gap(
                        bench,
                        m,
                        live,
                        Objects.requireNonNull(leasts.get(m.valve())),
                        m.valve().equals(drawn) || tightest.containsValue(m.valve())))
            .toList();
    return new ClearanceView(
        sittingId,
        sitting,
        bench.missing(),
        book.readings(sittingId).stream().map(CamReader::view).toList(),
        valves,
        bench.engine().layout().positions().stream().filter(p -> !leasts.containsKey(p)).toList(),
        bench
            .engine()
            .cam()
            .map(c -> c.intake().measured().isEmpty() || c.exhaust().measured().isEmpty())
            .orElse(true),
        bench.found(),
        live.advanceDeg(),
        live.tighterIn(),
        live.ratioIntake(),
        live.ratioExhaust(),
        live.raisesIn());
  }

  private static ValveGap gap(Bench bench, Measured m, Live live, Least least, boolean drawn) {
    ValveKind kind = m.valve().kind();
    KindBench k = BenchSums.kind(bench.sheet(), kind);
    double wanted = BenchSums.wantedGapIn(k, kind);
    boolean touched = m.readings().stream().anyMatch(Reading::touched);
    return new ValveGap(
        m.valve(),
        m.rows().stream().map(CamReader::view).toList(),
        Maybe.orNull(m.gap().apartIn(m.readings())),
        m.gap().agree(m.readings()),
        touched,
        least.midIn(),
        least.lowIn(),
        least.highIn(),
        least.atdcDeg(),
        wanted,
        PistonToValve.judge(least, touched, wanted),
        k.pocketIn() == null || k.headIn() == null
            ? null
            : PistonToValve.radialIn(k.pocketIn(), k.headIn(), 0),
        drawn ? curve(bench, m, live) : List.of());
  }

  private static List<GapAt> curve(Bench bench, Measured m, Live live) {
    Double travel = bench.sitting().travelIn();
    return m
        .gap()
        .curve(m.gap().tightest(m.readings()).orElseThrow(), bench.change(m.gap(), live), DRAWN_DEG)
        .stream()
        .map(
            a ->
                new GapAt(
                    a.atdcDeg(),
                    a.lowIn(),
                    a.midIn(),
                    a.highIn(),
                    travel == null ? null : m.gap().provesIn(travel, a.atdcDeg())))
        .toList();
  }
}
