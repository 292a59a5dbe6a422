package shim.app.lash;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.hibernate.envers.AuditReaderFactory;
import org.hibernate.envers.RevisionType;
import org.hibernate.envers.query.AuditEntity;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Maybe;
import shim.app.record.Revision;
import shim.core.crank.CrankModel;
import shim.core.crank.Overshoot;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.lash.LashRecord;
import shim.core.lash.LashTarget;
import shim.core.lash.LashVerdict;
import shim.core.lash.LashWanted;
import shim.core.lash.PreloadTarget;
import shim.core.lash.ValveAtHand;
import shim.core.lash.ValveHistory;
import shim.core.lash.WrittenRound.Phase;

/** Lash over rounds and hours, and who corrected what. */
@Service
@Transactional(readOnly = true)
class LashHistory {
  private final RoundRows rounds;
  private final ReadingRows readings;
  private final ChainChangeRows changes;
  private final LashPast past;
  private final RoundReader reader;
  private final Engines engines;
  private final EntityManager entities;

  LashHistory(
      RoundRows rounds,
      ReadingRows readings,
      ChainChangeRows changes,
      LashPast past,
      RoundReader reader,
      Engines engines,
      EntityManager entities) {
    this.rounds = rounds;
    this.readings = readings;
    this.changes = changes;
    this.past = past;
    this.reader = reader;
    this.engines = engines;
    this.entities = entities;
  }

  /** One round in a list. */
  record RoundLine(
      UUID id,
      HeatState state,
      String hand,
      double engineHours,
      Instant startedAt,
      @Nullable String signedBy,
      int read,
      int valves) {}

  /**
   * One visit to one valve; inch and engine hours.
   *
   * @param foundPreload of a hydraulic lifter, in the unit of its target
   * @param preloadDrift that less how it was left last time in the same state
   */
  record Point(
      double engineHours,
      HeatState state,
      @Nullable Double foundIn,
      @Nullable Double leftIn,
      @Nullable Double driftIn,
      @Nullable Double foundPreload,
      @Nullable Double leftPreload,
      @Nullable Double preloadDrift,
      @Nullable LashVerdict foundVerdict,
      @Nullable LashVerdict leftVerdict,
      Instant at) {}

  /** One valve's life. */
  record ValveLash(Position position, List<Point> points) {}

  /** A part changed at some valves. */
  record ChangeLine(
      UUID id,
      Part part,
      List<Position> valves,
      double engineHours,
      Instant at,
      String hand,
      @Nullable String note) {}

  /** Own growth of a kind: cold minus hot, inch. */
  record GrowthLine(ValveKind kind, double coldMinusHotIn, double sdIn, int pairs) {}

  /** An engine's lash over its rounds. */
  record EngineLash(
      List<ValveLash> valves,
      List<ChangeLine> changes,
      List<LashTarget> targets,
      List<PreloadTarget> preloads,
      List<GrowthLine> growth) {}

  /** A valve that may be set where the crank stands, with its slack in crank degrees. */
  record Settable(Position position, double slackDeg) {}

  /** The crank went past its stop; degrees of crank. */
  record PastStop(List<Settable> settableHere, double roundDeg) {}

  /** One change of one reading. */
  record ReadingRevision(
      Position valve,
      Phase phase,
      RevisionType change,
      @Nullable String typed,
      Form form,
      @Nullable String who,
      @Nullable String why,
      Instant at) {}

  List<RoundLine> rounds(UUID engineId) {
    int valves = engines.get(engineId).engine().layout().positions().size();
    List<RoundRow> all = rounds.findByEngineIdOrderByStartedAt(engineId);
    Map<UUID, Long> read =
        readings.findByRoundIdIn(all.stream().map(r -> r.id).toList()).stream()
            .filter(r -> r.phase == Phase.LEFT)
            .collect(Collectors.groupingBy(r -> r.roundId, Collectors.counting()));
    return all.stream()
        .sorted(Comparator.comparing((RoundRow r) -> r.startedAt).reversed())
        .map(
            r ->
                new RoundLine(
                    r.id,
                    r.state,
                    r.hand,
                    r.engineHours,
                    r.startedAt,
                    r.signedBy,
                    read.getOrDefault(r.id, 0L).intValue(),
                    valves))
        .toList();
  }

  EngineLash lash(UUID engineId) {
    Engine engine = engines.get(engineId).engine();
    LashRecord record = past.of(engineId, engine);
    ValveHistory history = record.history();
    Growth growth = Growth.of(history, engine.layout().positions());
    List<LashTarget> targets = new ArrayList<>();
    for (HeatState state : HeatState.values()) {
      targets.addAll(LashWanted.of(engine, state, growth).targets());
    }
    List<PreloadTarget> preloads = PreloadTarget.both(engine.drive());
    Judge judge = new Judge(engine, record, history, targets, preloads);
    List<ValveLash> valves =
        engine.layout().positions().stream().map(p -> new ValveLash(p, judge.points(p))).toList();
    return new EngineLash(
        valves,
        changes.findByEngineIdOrderByChangedAt(engineId).stream().map(LashHistory::line).toList(),
        targets,
        preloads,
        growth.byKind().entrySet().stream()
            .map(
                e ->
                    new GrowthLine(
                        e.getKey(), e.getValue().mean(), e.getValue().sd(), e.getValue().n()))
            .sorted(Comparator.comparing(GrowthLine::kind))
            .toList());
  }

  private static ChangeLine line(ChainChangeRow c) {
    return new ChangeLine(c.id, c.part, c.positions(), c.engineHours, c.changedAt, c.hand, c.note);
  }

  /** Judges what was read at each visit by what is wanted today. */
  private record Judge(
      Engine engine,
      LashRecord record,
      ValveHistory history,
      List<LashTarget> targets,
      List<PreloadTarget> preloads) {
    List<Point> points(Position p) {
      return history.visits(p).stream()
          .sorted(Comparator.comparingLong(ValveHistory.Visit::order))
          .map(this::point)
          .toList();
    }

    private Point point(ValveHistory.Visit v) {
      LashRecord.Preloads preload = record.preloads(engine.drive(), v.position(), v.order());
      Double drift = null;
      if (v.foundIn() != null
          && history.drift(v.position(), v.state(), v.order(), v.engineHours(), v.foundIn())
              instanceof ValveHistory.Drift.Known moved) {
        drift = moved.driftIn();
      }
      Double found = Maybe.orNull(preload.found());
      Double left = Maybe.orNull(preload.left());
      return new Point(
          v.engineHours(),
          v.state(),
          v.foundIn(),
          v.leftIn(),
          drift,
          found,
          left,
          found == null ? null : preloadDrift(v, found),
          verdict(v, v.foundIn(), found),
          verdict(v, v.leftIn(), left),
          Instant.ofEpochMilli(v.order()));
    }

    private @Nullable Double preloadDrift(ValveHistory.Visit v, double found) {
      return record
          .preloadBefore(engine.drive(), v.position(), v.state(), v.order())
          .map(b -> found - b.preload())
          .orElse(null);
    }

    private @Nullable LashVerdict verdict(
        ValveHistory.Visit v, @Nullable Double lashIn, @Nullable Double preload) {
      ValveKind kind = v.position().kind();
      if (lashIn != null) {
        return targets.stream()
            .filter(t -> t.state() == v.state() && t.kind() == kind)
            .findFirst()
            .map(t -> t.judge(lashIn))
            .orElse(null);
      }
      return preload == null
          ? null
          : preloads.stream()
              .filter(t -> t.kind() == kind)
              .findFirst()
              .map(t -> t.judge(preload))
              .orElse(null);
    }
  }

  PastStop pastStop(UUID id, double crankDeg, double missedDeg) {
    RoundRow round = rounds.findById(id).orElseThrow(() -> Refusal.notFound("no such round"));
    Refusal.outside("crankDeg", crankDeg, -7200, 7200, "where the crank stands, in degrees");
    Refusal.outside("missedDeg", missedDeg, -7200, 7200, "the stop that was missed, in degrees");
    RoundView view = reader.view(round);
    // The cam as it was when the round began, like the plan itself.
    Engine engine = reader.engine(round);
    CrankModel model =
        CrankModel.of(engine)
            .orElseThrow(() -> Refusal.invalid("crankDeg", "this engine has no cam card"));
    Set<Position> todo = new HashSet<>();
    view.valves().stream()
        .filter(v -> v.status() != ValveAtHand.Status.DONE)
        .forEach(v -> todo.add(v.position()));
    Overshoot past = Overshoot.of(model, crankDeg, missedDeg, todo);
    return new PastStop(
        past.settableHere().stream().map(s -> new Settable(s.position(), s.slackDeg())).toList(),
        past.roundDeg());
  }

  @SuppressWarnings("unchecked") // Envers hands out untyped triples.
  List<ReadingRevision> revisions(UUID roundId) {
    List<Object[]> found =
        AuditReaderFactory.get(entities)
            .createQuery()
            .forRevisionsOfEntity(ReadingRow.class, false, true)
            .add(AuditEntity.property("roundId").eq(roundId))
            .addOrder(AuditEntity.revisionNumber().asc())
            .getResultList();
    return found.stream()
        .map(
            o -> {
              ReadingRow r = (ReadingRow) o[0];
              Revision rev = (Revision) o[1];
              return new ReadingRevision(
                  Position.parse(r.valve),
                  r.phase,
                  (RevisionType) o[2],
                  r.typed,
                  r.form,
                  rev.who(),
                  rev.why(),
                  Instant.ofEpochMilli(rev.atMillis()));
            })
        .toList();
  }
}
