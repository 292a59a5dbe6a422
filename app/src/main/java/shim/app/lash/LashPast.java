package shim.app.lash;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lash.Reading;
import shim.core.lash.ValveHistory;

/** Everything an engine's rounds have read, in core's terms. */
@Component
@Transactional(readOnly = true)
class LashPast {
  private final RoundRows rounds;
  private final ReadingRows readings;
  private final ChainChangeRows changes;

  LashPast(RoundRows rounds, ReadingRows readings, ChainChangeRows changes) {
    this.rounds = rounds;
    this.readings = readings;
    this.changes = changes;
  }

  /** One valve's part size at a time. */
  private record PartAt(long order, double sizeIn) {}

  /** Hydraulic preload in one round, turns back to zero lash. */
  record Turns(@Nullable Double found, @Nullable Double left) {}

  /**
   * @param turns hydraulic readings by the order of their round
   * @param history visits and chain changes, ordered by epoch millisecond
   */
  record Past(
      ValveHistory history,
      Map<Position, List<PartAt>> parts,
      Map<Position, Map<Long, Turns>> turns) {
    ValveHistory historyBefore(RoundRow round) {
      long now = order(round);
      return new ValveHistory(
          history.all().stream().filter(v -> v.order() < now).toList(), history.changes());
    }

    /** Pushrod or shim last known to be in before a round, inch. */
    Optional<Double> partBefore(Position p, long order) {
      return parts.getOrDefault(p, List.of()).stream()
          .filter(x -> x.order() < order)
          .max(Comparator.comparingLong(PartAt::order))
          .map(PartAt::sizeIn);
    }
  }

  static long order(RoundRow round) {
    return round.startedAt.toEpochMilli();
  }

  /** An engine's rounds, oldest first, with their readings, and the parts changed. */
  record Kept(
      List<RoundRow> rounds, Map<UUID, List<ReadingRow>> byRound, List<ChainChangeRow> changes) {
    List<ReadingRow> in(RoundRow round) {
      return byRound.getOrDefault(round.id, List.of());
    }
  }

  Kept kept(UUID engineId) {
    List<RoundRow> all = rounds.findByEngineIdOrderByStartedAt(engineId);
    Map<UUID, List<ReadingRow>> byRound =
        readings.findByRoundIdIn(all.stream().map(x -> x.id).toList()).stream()
            .collect(Collectors.groupingBy(r -> r.roundId));
    return new Kept(all, byRound, changes.findByEngineIdOrderByChangedAt(engineId));
  }

  Past of(UUID engineId, Engine engine) {
    return of(kept(engineId), engine);
  }

  static Past of(Kept kept, Engine engine) {
    double step = engine.rules().feelerStepIn();
    List<ValveHistory.Visit> visits = new ArrayList<>();
    Map<Position, List<PartAt>> parts = new HashMap<>();
    Map<Position, Map<Long, Turns>> turns = new HashMap<>();
    for (RoundRow round : kept.rounds()) {
      List<ReadingRow> here =
          kept.in(round).stream().sorted(Comparator.comparing(r -> r.phase)).toList();
      visits.addAll(visits(round, here, step));
      for (ReadingRow r : here) {
        keepTurns(turns, order(round), r);
        if (r.partSizeIn != null) {
          // As left comes after as found within one round.
          long order = order(round) + r.phase.ordinal();
          parts
              .computeIfAbsent(Position.parse(r.valve), x -> new ArrayList<>())
              .add(new PartAt(order, r.partSizeIn));
        }
      }
    }
    return new Past(new ValveHistory(visits, chainChanges(kept.changes())), parts, turns);
  }

  /** As left is as found where nothing was touched; found is met first or not at all. */
  private static void keepTurns(Map<Position, Map<Long, Turns>> turns, long order, ReadingRow r) {
    if (r.form != Form.TURNS && r.form != Form.SAME) {
      return;
    }
    Map<Long, Turns> own = turns.computeIfAbsent(Position.parse(r.valve), x -> new HashMap<>());
    Turns known = own.getOrDefault(order, new Turns(null, null));
    own.put(
        order,
        r.phase == Phase.FOUND
            ? new Turns(r.figure, known.left())
            : new Turns(known.found(), r.form == Form.SAME ? known.found() : r.figure));
  }

  private static List<ValveHistory.ChainChange> chainChanges(List<ChainChangeRow> changes) {
    return changes.stream()
        .flatMap(
            c ->
                c.positions().stream()
                    .map(p -> new ValveHistory.ChainChange(p, c.changedAt.toEpochMilli())))
        .toList();
  }

  private static List<ValveHistory.Visit> visits(
      RoundRow round, List<ReadingRow> rows, double step) {
    Map<String, ReadingRow> found = new HashMap<>();
    Map<String, ReadingRow> left = new HashMap<>();
    rows.forEach(r -> (r.phase == Phase.FOUND ? found : left).put(r.valve, r));
    List<ValveHistory.Visit> visits = new ArrayList<>();
    found.forEach(
        (valve, f) -> {
          ReadingRow l = left.get(valve);
          Double foundIn = value(f, step);
          Double leftIn = l == null ? null : l.form == Form.SAME ? foundIn : value(l, step);
          visits.add(
              new ValveHistory.Visit(
                  Position.parse(valve),
                  order(round),
                  round.engineHours,
                  round.state,
                  foundIn,
                  leftIn));
        });
    return visits;
  }

  private static @Nullable Double value(ReadingRow row, double step) {
    Reading reading = row.reading(step);
    return reading == null ? null : Double.valueOf(reading.valueIn());
  }
}
