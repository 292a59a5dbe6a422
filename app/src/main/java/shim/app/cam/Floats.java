package shim.app.cam;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.cam.CamSheets.BenchSheet;
import shim.app.cam.CamSheets.KindBench;
import shim.app.cam.CamSheets.LobeTableSheet;
import shim.app.cam.CamViews.FloatSide;
import shim.app.cam.CamViews.FloatView;
import shim.app.cam.CamViews.FloatsView;
import shim.app.cam.CamViews.KindFloats;
import shim.app.cam.CamViews.MarginAt;
import shim.app.cam.CamViews.SpringFloats;
import shim.app.cam.CamViews.WireView;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringStanding;
import shim.app.spring.SpringTypes;
import shim.core.cam.FloatMargin;
import shim.core.cam.SpringForce;
import shim.core.cam.TrainMass;
import shim.core.cam.WireLife;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lobe.SmoothLobe;
import shim.core.spring.Fit;
import shim.core.spring.LoadCurve;
import shim.core.spring.Nest;
import shim.core.spring.RoundWire;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;
import shim.core.stats.Range;

/** How little spring is enough on this engine, and what a tired one costs. */
@Service
@Transactional(readOnly = true)
class Floats {
  private static final double USUAL_TOP_RPM = 7000;
  private static final double DRAWN_RPM = 100;

  /** Spring steel; value from memory. */
  private static final double STEEL_LBM_PER_IN3 = 0.284;

  private final CamBook book;
  private final Engines engines;
  private final SpringStanding standing;
  private final SpringTypes types;
  private final LobeTables tables;

  Floats(
      CamBook book,
      Engines engines,
      SpringStanding standing,
      SpringTypes types,
      LobeTables tables) {
    this.book = book;
    this.engines = engines;
    this.standing = standing;
    this.types = types;
    this.tables = tables;
  }

  /** A spring at its valve, with its load when new and the height it stands at. */
  private record Fitted(SpringStanding.Standing at, LoadCurve curve, double heightIn) {
    SpringForce fresh(double boostLbf) {
      return new SpringForce(curve, heightIn, 1, 0, boostLbf);
    }

    SpringForce tired(double boostLbf, Optional<Range> loss) {
      Range l = loss.orElse(new Range(0, 0, 0));
      return new SpringForce(curve, heightIn, 1 - l.mid(), (l.high() - l.low()) / 2, boostLbf);
    }
  }

  /** One kind of valve laid out: where its springs are judged. */
  private record Laid(
      FloatMargin margin, double ratio, double boostLbf, double topRpm, double liftIn) {
    FloatsView floats(SpringForce spring) {
      FloatMargin.Floats f = margin.floats(spring);
      FloatMargin.LobeLoad load = margin.lobeLoad(spring, topRpm);
      return new FloatsView(
          f.rpm().low(),
          f.rpm().mid(),
          f.rpm().high(),
          f.fromCentreDeg(),
          f.liftIn(),
          f.loadLbf(),
          load.standingLbf(),
          load.atSpeedLbf());
    }

    List<MarginAt> curve(SpringForce spring) {
      double from = Math.max(0, topRpm - 3000);
      return margin.curve(spring, from, topRpm + 1500, DRAWN_RPM).stream()
          .map(a -> new MarginAt(a.rpm(), a.lowLbf(), a.midLbf(), a.highLbf()))
          .toList();
    }
  }

  FloatView view(UUID engineId) {
    Engines.Stored stored = engines.get(engineId);
    BenchSheet bench = book.benchOr(engineId);
    double top = Objects.requireNonNullElse(bench.topRpm(), USUAL_TOP_RPM);
    List<SpringStanding.Standing> springs = standing.of(engineId).springs();
    return new FloatView(
        top, Stream.of(ValveKind.values()).map(k -> side(stored, bench, k, top, springs)).toList());
  }

  /** The measured lobe that stands for a kind of valve: the one in use, else the last measured. */
  private Optional<LobeTableSheet> table(Engines.Stored stored, ValveKind kind) {
    Optional<CamCard.Measured> used = stored.engine().cam().flatMap(c -> c.lobe(kind).measured());
    return book.lobes(stored.id(), stored.engine()).values().stream()
        .filter(l -> Position.parse(l.valve()).kind() == kind)
        .min(
            Comparator.comparing(
                    (LobeTableSheet l) -> used.filter(u -> u.on().equals(l.valve())).isEmpty())
                .thenComparing(LobeTableSheet::design)
                .thenComparing(Comparator.comparingDouble(LobeTableSheet::engineHours).reversed()));
  }

  private FloatSide side(
      Engines.Stored stored,
      BenchSheet bench,
      ValveKind kind,
      double top,
      List<SpringStanding.Standing> all) {
    Engine engine = stored.engine();
    KindBench k = BenchSums.kind(bench, kind);
    Optional<TrainMass> train = BenchSums.train(k);
    Optional<LobeTableSheet> table = table(stored, kind);
    List<Fitted> springs = fitted(all.stream().filter(s -> s.position().kind() == kind).toList());
    List<String> missing = new ArrayList<>();
    if (train.isEmpty()) {
      missing.add("WEIGHTS");
    }
    if (table.isEmpty()) {
      missing.add("LOBE");
    }
    if (springs.isEmpty()) {
      missing.add("SPRINGS");
    }
    double ratio = engine.drive().ratio(kind);
    double boost =
        kind == ValveKind.INTAKE && k.headIn() != null
            ? BenchSums.boostPsi(stored.sheet()).orElse(0) == 0
                ? 0
                : Fit.boostLbf(BenchSums.boostPsi(stored.sheet()).orElse(0), k.headIn())
            : 0;
    Optional<Fitted> first = springs.stream().findFirst();
    Double atMost =
        train
            .flatMap(
                t ->
                    engine
                        .cam()
                        .flatMap(
                            c ->
                                first.map(
                                    s ->
                                        FloatMargin.atMostRpm(
                                            c.lobe(kind), ratio, t, s.fresh(boost)))))
            .orElse(null);
    Optional<Laid> laid =
        missing.isEmpty()
            ? Optional.of(laid(engine, kind, table.orElseThrow(), train.orElseThrow(), boost, top))
            : Optional.empty();
    List<SpringFloats> each =
        laid.map(l -> springs.stream().map(s -> floats(l, s)).toList()).orElse(List.of());
    Optional<SpringFloats> weakest =
        each.stream().min(Comparator.comparingDouble(s -> s.next().rpm()));
    Optional<Fitted> worst =
        weakest.flatMap(
            w -> springs.stream().filter(s -> s.at().position().equals(w.valve())).findFirst());
    return new FloatSide(
        kind,
        missing,
        table.map(t -> t.name() + " (" + t.valve() + ")").orElse(null),
        train.map(t -> t.atValveG(ratio)).orElse(null),
        boost,
        atMost,
        laid.flatMap(l -> worst.map(s -> l.floats(s.fresh(boost)))).orElse(null),
        weakest.orElse(null),
        each,
        laid.map(l -> kinds(l, springs, bench)).orElse(List.of()),
        laid.flatMap(l -> worst.map(s -> l.curve(s.fresh(boost)))).orElse(List.of()),
        laid.flatMap(l -> worst.map(s -> l.curve(s.tired(boost, s.at().lossNow()))))
            .orElse(List.of()),
        laid.flatMap(l -> worst.map(s -> l.curve(s.tired(boost, s.at().lossAtNext()))))
            .orElse(List.of()));
  }

  private Laid laid(
      Engine engine,
      ValveKind kind,
      LobeTableSheet table,
      TrainMass train,
      double boostLbf,
      double top) {
    double ratio = engine.drive().ratio(kind);
    double lash = engine.lash().targetIn(kind);
    SmoothLobe lobe = tables.lobe(table, engine).smooth();
    return new Laid(
        new FloatMargin(lobe, ratio, lash, train),
        ratio,
        boostLbf,
        top,
        lobe.curve().noseIn() * ratio - lash);
  }

  /** Springs of a kind of valve; one whose height nobody measured stands as the first measured. */
  private List<Fitted> fitted(List<SpringStanding.Standing> springs) {
    Map<UUID, SpringType> kinds = new HashMap<>();
    Optional<Double> measured = springs.stream().flatMap(o -> o.heightIn().stream()).findFirst();
    return springs.stream()
        .map(
            s -> {
              SpringType type = kinds.computeIfAbsent(s.typeId(), id -> types.get(id).type());
              return new Fitted(
                  s,
                  type.curve(),
                  s.heightIn().or(() -> measured).orElseGet(type::referenceHeightIn));
            })
        .toList();
  }

  private static SpringFloats floats(Laid laid, Fitted s) {
    FloatsView next = laid.floats(s.tired(laid.boostLbf(), s.at().lossAtNext()));
    return new SpringFloats(
        s.at().position(),
        s.at().mark(),
        laid.margin().floats(s.fresh(laid.boostLbf())).rpm().mid() - next.rpm(),
        laid.floats(s.tired(laid.boostLbf(), s.at().lossNow())),
        next);
  }

  /** Each kind of spring in place of the fitted, at the height the first stands at. */
  private List<KindFloats> kinds(Laid laid, List<Fitted> springs, BenchSheet bench) {
    double height = springs.get(0).heightIn();
    List<KindFloats> all = new ArrayList<>();
    for (SpringTypes.StoredType t : types.all()) {
      if (t.type().curve().loadAt(height) <= 0) {
        continue;
      }
      boolean fitted = springs.stream().anyMatch(s -> s.at().typeId().equals(t.id()));
      Optional<Nest> nest = Nest.of(t.sheet(), t.type());
      all.add(
          new KindFloats(
              t.id(),
              t.type().name(),
              fitted,
              false,
              height,
              laid.floats(new SpringForce(t.type().curve(), height, 1, 0, laid.boostLbf())),
              wires(laid, t.sheet(), t.type().curve(), nest, height, bench)));
      outer(nest, height, laid.liftIn())
          .ifPresent(
              c ->
                  all.add(
                      new KindFloats(
                          t.id(),
                          t.type().name(),
                          fitted,
                          true,
                          height,
                          laid.floats(new SpringForce(c, height, 1, 0, laid.boostLbf())),
                          List.of())));
    }
    return all;
  }

  /** The outer by itself, between its height shut and open. */
  private static Optional<LoadCurve> outer(Optional<Nest> nest, double heightIn, double liftIn) {
    return nest.flatMap(
        n ->
            n.outerAt(heightIn)
                .flatMap(
                    shut ->
                        n.outerAt(heightIn - liftIn)
                            .filter(open -> open.loadLbf() > shut.loadLbf())
                            .map(
                                open ->
                                    new LoadCurve(
                                        List.of(
                                            new LoadCurve.At(heightIn, shut.loadLbf()),
                                            new LoadCurve.At(
                                                heightIn - liftIn, open.loadLbf()))))));
  }

  private static List<WireView> wires(
      Laid laid,
      SpringSheet sheet,
      LoadCurve whole,
      Optional<Nest> nest,
      double heightIn,
      BenchSheet bench) {
    List<SpringSheet.Wire> rings = Objects.requireNonNullElse(sheet.wires(), List.of());
    List<WireView> all = new ArrayList<>();
    for (int i = 0; i < rings.size(); i++) {
      RoundWire wire = round(rings.get(i));
      if (wire != null) {
        double shut = alone(whole, nest, i, rings.size(), heightIn);
        double open = alone(whole, nest, i, rings.size(), heightIn - laid.liftIn());
        WireLife life =
            new WireLife(
                wire,
                Objects.requireNonNullElse(bench.steel(), WireLife.Steel.CHROME_SILICON),
                !Boolean.FALSE.equals(bench.peened()));
        all.add(
            new WireView(
                i,
                open > shut && shut >= 0 ? life.between(shut, open).factor() : null,
                WireLife.surgeRatio(
                    WireLife.surgeHz(wire, RoundWire.STEEL_SHEAR_PSI, STEEL_LBM_PER_IN3),
                    laid.topRpm())));
      }
    }
    return all;
  }

  private static double alone(
      LoadCurve whole, Optional<Nest> nest, int ring, int rings, double heightIn) {
    if (nest.isEmpty()) {
      return whole.loadAt(heightIn);
    }
    Optional<Nest.Alone> own =
        ring == 0
            ? nest.get().outerAt(heightIn)
            : rings == 2 ? nest.get().innerAt(heightIn) : Optional.empty();
    return own.map(Nest.Alone::loadLbf).orElse(-1.0);
  }

  private static @Nullable RoundWire round(SpringSheet.Wire w) {
    Double d = w.wireIn();
    Double od = w.odIn();
    Double coils = w.coils();
    return d == null || od == null || coils == null || !(od > 2 * d) || !(coils > 0)
        ? null
        : new RoundWire(d, od - d, coils);
  }
}
