package shim.app.lash;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.crank.Plans;
import shim.app.engine.Engines;
import shim.app.engine.LayoutView;
import shim.app.http.Refusal;
import shim.core.crank.School;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.InTolerance;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.EyeFindings;
import shim.core.lash.Growth;
import shim.core.lash.LashException;
import shim.core.lash.LashRecord;
import shim.core.lash.LashWanted;
import shim.core.lash.RoundStory;
import shim.core.lash.ShimSwaps;
import shim.core.lash.Trap;
import shim.core.lash.ValveAtHand;
import shim.core.lash.ValveHistory;
import shim.core.lash.WrittenRound.Phase;

/** Computes what a stored round means. */
@Service
@Transactional(readOnly = true)
class RoundReader {
  private final RoundRows rounds;
  private final ReadingRows readings;
  private final LookRows looks;
  private final LashPast past;
  private final Engines engines;

  /** A round's plan follows from how it began and never changes. */
  private final Cache<PlanAsked, Plans.PlanView> plans =
      Caffeine.newBuilder().maximumSize(64).build();

  private record PlanAsked(
      String sheet, School school, int stops, boolean onMarks, @Nullable Double fromDeg) {}

  RoundReader(
      RoundRows rounds, ReadingRows readings, LookRows looks, LashPast past, Engines engines) {
    this.rounds = rounds;
    this.readings = readings;
    this.looks = looks;
    this.past = past;
    this.engines = engines;
  }

  /** The engine as it was when the round began. */
  Engine engine(RoundRow round) {
    return engines.frozen(round.sheet);
  }

  /** Class rules of the engine as its sheet words them. */
  List<String> classRules(RoundRow round) {
    EngineSheet.UseSheet use = engines.read(round.sheet).use();
    return use == null || use.classRules() == null
        ? List.of()
        : use.classRules().stream()
            .map(EngineSheet.ClassRule::rule)
            .filter(r -> r != null && !r.isBlank())
            .toList();
  }

  void requirePlan(Engine engine, Rounds.RoundStart start) {
    Plans.PlanView plan =
        Plans.plan(engine, start.school(), start.stops(), start.onMarks(), start.fromDeg());
    if (!plan.refused().isEmpty()) {
      throw Refusal.invalid("school", plan.refused().get(0) + ": choose another setting order");
    }
  }

  RoundView view(UUID id) {
    return view(rounds.findById(id).orElseThrow(() -> Refusal.notFound("no such round")));
  }

  RoundView view(RoundRow round) {
    Engine engine = engine(round);
    Plans.PlanView plan = plan(round, engine);
    List<RoundView.ValveView> valves = valves(round, engine, plan, p -> true);
    int done = (int) valves.stream().filter(v -> v.status() == ValveAtHand.Status.DONE).count();
    return new RoundView(
        round.id,
        round.engineId,
        engine.name(),
        LayoutView.of(engine.layout()),
        round.state,
        round.hand,
        round.engineHours,
        round.headTempStartF,
        round.headTempEndF,
        round.school,
        engine.drive().lifter().hydraulic(),
        engine.drive().adjuster(),
        engine.rules().feelerStepIn(),
        round.lookAtSprings,
        round.note,
        round.startedAt,
        round.signedBy,
        round.signedAt,
        round.crankDeg,
        round.crankBy,
        plan,
        valves,
        done,
        engine.rules().inTolerance() == InTolerance.LEAVE,
        Trap.at(engine.drive(), Phase.FOUND),
        Trap.at(engine.drive(), Phase.LEFT),
        round.changes);
  }

  /**
   * What an entry changed.
   *
   * @param of the valves it was for
   */
  RoundChange change(UUID id, Predicate<Position> of) {
    RoundRow round = rounds.findById(id).orElseThrow(() -> Refusal.notFound("no such round"));
    Engine engine = engine(round);
    return new RoundChange(
        round.id,
        round.changes,
        round.crankDeg,
        round.crankBy,
        valves(round, engine, plan(round, engine), of));
  }

  /** Refuses how a valve was just left, where no valve may be left so. */
  void refuseAsLeft(RoundRow round, Position valve) {
    Engine engine = engine(round);
    if (engine.drive().preload() == null) {
      return;
    }
    valves(round, engine, plan(round, engine), valve::equals).stream()
        .filter(v -> v.left() != null)
        .forEach(RoundReader::refuseAsItStands);
  }

  /** Refuses a hydraulic valve that bottoms its plunger, or has no preload against a rule. */
  static void refuseAsItStands(RoundView.ValveView v) {
    if (v.preload() != null && v.preloadTarget() != null) {
      try {
        v.preloadTarget().refuseAsLeft(v.preload().preload());
      } catch (LashException e) {
        throw Refusal.invalid("valve", v.position() + ": " + e.getMessage());
      }
    }
  }

  /** What the round says by itself. */
  RoundStory story(RoundView round) {
    return RoundStory.of(lines(round.valves()));
  }

  /** Shims that may change place, where the lash is set by them. */
  @Nullable ShimSwaps swaps(RoundView round) {
    return round.adjuster() == Adjuster.BUCKET_SHIM ? swaps(round.valves()) : null;
  }

  private Plans.PlanView plan(RoundRow round, Engine engine) {
    return plans.get(
        new PlanAsked(round.sheet, round.school, round.stops, round.onMarks, round.fromDeg),
        asked -> Plans.plan(engine, asked.school, asked.stops, asked.onMarks, asked.fromDeg));
  }

  /** In working order. */
  private List<RoundView.ValveView> valves(
      RoundRow round, Engine engine, Plans.PlanView plan, Predicate<Position> wanted) {
    List<Position> only = round.only();
    List<Plans.StopView> stops =
        plan.stops().stream()
            .filter(s -> s.valves().stream().anyMatch(v -> wanted.test(v.position())))
            .toList();
    if (stops.isEmpty()) {
      return List.of();
    }
    LashRecord record = past.of(round.engineId, engine);
    long order = LashPast.order(round);
    ValveHistory history = record.history();
    Growth growth = Growth.of(history.before(order), engine.layout().positions());
    Map<String, ReadingRow> held = new HashMap<>();
    readings.findByRoundId(round.id).forEach(r -> held.put(r.valve + r.phase, r));
    Map<String, LookRow> seen = new HashMap<>();
    looks.findByRoundId(round.id).forEach(l -> seen.put(l.valve, l));
    ValveReader reader =
        new ValveReader(
            new ValveAtHand.Round(
                engine, round.state, order, round.engineHours, growth, record, history));
    List<RoundView.ValveView> valves = new ArrayList<>();
    for (Plans.StopView stop : stops) {
      for (Plans.ValveAtStop v : stop.valves()) {
        if (!wanted.test(v.position()) || only != null && !only.contains(v.position())) {
          continue;
        }
        String name = v.position().toString();
        valves.add(
            reader.read(
                v.position(),
                stop.number(),
                v.slackDeg(),
                held.get(name + Phase.FOUND),
                held.get(name + Phase.LEFT),
                seen.get(name)));
      }
    }
    return valves;
  }

  private static List<RoundStory.ValveLine> lines(List<RoundView.ValveView> valves) {
    List<RoundStory.ValveLine> lines = new ArrayList<>();
    for (RoundView.ValveView v : valves) {
      lines.add(
          new RoundStory.ValveLine(
              v.position(),
              v.target(),
              v.left() != null,
              v.left() == null ? null : v.left().valueIn(),
              v.driftIn(),
              left(v),
              EyeFindings.at(v.spring(), v.rocker())));
    }
    return lines;
  }

  private static RoundStory.@Nullable PreloadLeft left(RoundView.ValveView v) {
    return v.left() == null || v.preload() == null || v.preloadTarget() == null
        ? null
        : new RoundStory.PreloadLeft(v.preloadTarget(), v.preload().preload());
  }

  private static ShimSwaps swaps(List<RoundView.ValveView> valves) {
    return ShimSwaps.of(valves.stream().flatMap(v -> measured(v).stream()).toList());
  }

  private static Optional<ShimSwaps.Measured> measured(RoundView.ValveView v) {
    Double found = v.found() == null ? null : v.found().valueIn();
    return found == null || v.partNowIn() == null || v.target() == null
        ? Optional.empty()
        : Optional.of(new ShimSwaps.Measured(v.position(), v.partNowIn(), found, v.target()));
  }

  /** What is wanted of the valves in a state, as a blank sheet needs it. */
  LashWanted wanted(UUID engineId, HeatState state) {
    Engine engine = engines.get(engineId).engine();
    ValveHistory history = past.of(engineId, engine).history();
    Growth growth = Growth.of(history, engine.layout().positions());
    return LashWanted.of(engine, state, growth);
  }
}
