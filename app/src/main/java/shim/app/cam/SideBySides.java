package shim.app.cam;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.cam.CamSheets.OtherCamSheet;
import shim.app.cam.CamViews.BoundsView;
import shim.app.cam.CamViews.CamColumn;
import shim.app.cam.CamViews.CamFiguresView;
import shim.app.cam.CamViews.CamWants;
import shim.app.cam.CamViews.LashRow;
import shim.app.cam.CamViews.LashTuningView;
import shim.app.cam.CamViews.LiftsAt;
import shim.app.cam.CamViews.LobeLineView;
import shim.app.cam.CamViews.SideBySide;
import shim.app.engine.Engines;
import shim.app.spring.Pockets;
import shim.app.spring.SpringRules;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.cam.Bounds;
import shim.core.cam.CamFigures;
import shim.core.cam.LashTuning;
import shim.core.cam.ValveLift;
import shim.core.crank.CrankSlide;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.ValveKind;
import shim.core.spring.Fit;

/** Cams beside each other on this engine, and what its lash does. */
@Service
@Transactional(readOnly = true)
class SideBySides {
  private static final int DRAWN_DEG = 4;
  private static final int REACH_DEG = 300;

  private final CamBook book;
  private final Engines engines;
  private final Clearances clearances;
  private final Springs springs;
  private final SpringTypes types;
  private final SpringRules rules;

  SideBySides(
      CamBook book,
      Engines engines,
      Clearances clearances,
      Springs springs,
      SpringTypes types,
      SpringRules rules) {
    this.book = book;
    this.engines = engines;
    this.clearances = clearances;
    this.springs = springs;
    this.types = types;
    this.rules = rules;
  }

  SideBySide cams(UUID engineId) {
    Engines.Stored stored = engines.get(engineId);
    Engine engine = stored.engine();
    List<CamColumn> cams = new ArrayList<>();
    if (engine.cam().isPresent()) {
      cams.add(column(null, "", stored, stored));
      boolean measured =
          engine.cam().get().intake().measured().isPresent()
              || engine.cam().get().exhaust().measured().isPresent();
      if (measured) {
        cams.add(column(null, "card", stored, BenchSums.byCard(stored)));
      }
    }
    book.others(engineId)
        .forEach(
            (id, k) -> {
              OtherCamSheet other = k.sheet();
              if (!Boolean.TRUE.equals(other.removed())) {
                cams.add(
                    column(
                        UUID.fromString(id),
                        other.name(),
                        stored,
                        BenchSums.withCam(stored, other)));
              }
            });
    return new SideBySide(cams, cams.stream().map(CamColumn::hydraulic).distinct().count() > 1);
  }

  private CamColumn column(
      @Nullable UUID otherId, String name, Engines.Stored own, Engines.Stored with) {
    Engine engine = with.engine();
    CamCard card = engine.cam().orElseThrow();
    return new CamColumn(
        otherId,
        name,
        engine.drive().lifter().hydraulic(),
        card.intake().measured().isPresent() && card.exhaust().measured().isPresent(),
        figures(CamFigures.of(engine, card, 0)),
        wants(own, with, engine, card, otherId == null),
        lifts(engine, card, BenchSums.slide(own.sheet())));
  }

  private CamWants wants(
      Engines.Stored own, Engines.Stored with, Engine engine, CamCard card, boolean in) {
    SpringRules.SpringRulesSheet team = rules.of(own.id());
    Map<ValveKind, List<Fit>> fits = new EnumMap<>(ValveKind.class);
    springs
        .fitted(own.id())
        .forEach(
            (valve, f) ->
                fits.computeIfAbsent(valve.kind(), k -> new ArrayList<>())
                    .add(
                        Pockets.fit(
                            with,
                            types.get(springs.get(f.fitting().springId()).spring().typeId()).type(),
                            f,
                            null,
                            team)));
    Optional<Clearances.Bench> gaps = clearances.latest(own);
    Function<ValveKind, @Nullable Double> gap =
        k ->
            gaps.flatMap(
                    g -> in ? g.leastIn(k, Clearances.Live.NOTHING) : g.leastWith(card, engine, k))
                .orElse(null);
    return new CamWants(
        least(fits, ValveKind.INTAKE, f -> f.bindClearanceIn().orElse(null)),
        least(fits, ValveKind.EXHAUST, f -> f.bindClearanceIn().orElse(null)),
        most(fits, ValveKind.INTAKE),
        most(fits, ValveKind.EXHAUST),
        least(fits, ValveKind.INTAKE, f -> f.sealClearanceIn().orElse(null)),
        least(fits, ValveKind.EXHAUST, f -> f.sealClearanceIn().orElse(null)),
        gap.apply(ValveKind.INTAKE),
        gap.apply(ValveKind.EXHAUST));
  }

  private static @Nullable Double least(
      Map<ValveKind, List<Fit>> fits, ValveKind kind, Function<Fit, @Nullable Double> of) {
    return fits.getOrDefault(kind, List.of()).stream()
        .map(of)
        .filter(Objects::nonNull)
        .map(Objects::requireNonNull)
        .min(Double::compare)
        .orElse(null);
  }

  private static @Nullable Double most(Map<ValveKind, List<Fit>> fits, ValveKind kind) {
    return fits.getOrDefault(kind, List.of()).stream()
        .map(Fit::openLbf)
        .max(Double::compare)
        .orElse(null);
  }

  static List<LiftsAt> lifts(Engine engine, CamCard card, Optional<CrankSlide> slide) {
    ValveLift in = lift(engine, card.intake());
    ValveLift ex = lift(engine, card.exhaust());
    List<LiftsAt> all = new ArrayList<>();
    for (int deg = -REACH_DEG; deg <= REACH_DEG; deg += DRAWN_DEG) {
      Bounds i = in.at(deg - card.intake().centreDeg());
      Bounds e = ex.at(deg + card.exhaust().centreDeg());
      double at = deg;
      all.add(
          new LiftsAt(
              deg,
              i.low(),
              i.mid(),
              i.high(),
              e.low(),
              e.mid(),
              e.high(),
              slide.map(s -> s.belowTdcIn(at)).orElse(null)));
    }
    return all;
  }

  private static ValveLift lift(Engine engine, CamCard.Lobe lobe) {
    return new ValveLift(
        lobe, engine.drive().ratio(lobe.kind()), engine.lash().targetIn(lobe.kind()));
  }

  LashTuningView lash(UUID engineId) {
    Engines.Stored stored = engines.get(engineId);
    Engines.Stored byCard = BenchSums.cardsLash(stored);
    Engine card = byCard.engine();
    Optional<Clearances.Bench> gaps = clearances.latest(byCard);
    return new LashTuningView(
        LashTuning.why(card).orElse(null),
        CamReader.lashes(stored),
        card.rules().feelerStepIn(),
        LashTuning.of(card)
            .map(
                t ->
                    t.rows().stream()
                        .map(
                            r ->
                                new LashRow(
                                    r.tighterIn(),
                                    r.intakeIn(),
                                    r.exhaustIn(),
                                    figures(r.figures()),
                                    gap(gaps, ValveKind.INTAKE, r.tighterIn()),
                                    gap(gaps, ValveKind.EXHAUST, r.tighterIn())))
                        .toList())
            .orElse(List.of()));
  }

  private static @Nullable Double gap(
      Optional<Clearances.Bench> gaps, ValveKind kind, double tighterIn) {
    return gaps.flatMap(g -> g.leastIn(kind, Clearances.Live.tighter(tighterIn))).orElse(null);
  }

  static BoundsView bounds(Bounds b) {
    return new BoundsView(b.low(), b.mid(), Double.isFinite(b.high()) ? b.high() : null);
  }

  static CamFiguresView figures(CamFigures f) {
    return new CamFiguresView(
        line(f.intake()),
        line(f.exhaust()),
        f.overlapDeg().map(SideBySides::bounds).orElse(null),
        f.lsaDeg(),
        f.iclDeg(),
        f.eclDeg(),
        f.advanceDeg(),
        f.card());
  }

  private static LobeLineView line(CamFigures.LobeLine l) {
    return new LobeLineView(
        l.lobeIn(),
        l.grossIn(),
        l.netIn(),
        bounds(l.movingDeg()),
        bounds(l.opensDeg()),
        bounds(l.closesDeg()),
        bounds(l.areaInDeg()),
        l.measured(),
        l.at050Deg().orElse(null));
  }
}
