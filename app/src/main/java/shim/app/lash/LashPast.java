package shim.app.lash;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Maybe;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lash.LashRecord;
import shim.core.lash.ValveHistory;
import shim.core.lash.WrittenRound;

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

  static long order(RoundRow round) {
    return round.startedAt.toEpochMilli();
  }

  LashRecord of(UUID engineId, Engine engine) {
    double step = engine.rules().feelerStepIn();
    List<RoundRow> all = rounds.findByEngineIdOrderByStartedAt(engineId);
    Map<UUID, List<ReadingRow>> byRound =
        readings.findByRoundIdIn(all.stream().map(x -> x.id).toList()).stream()
            .collect(Collectors.groupingBy(r -> r.roundId));
    return new LashRecord(
        all.stream().map(r -> written(r, byRound.getOrDefault(r.id, List.of()), step)).toList(),
        changes.findByEngineIdOrderByChangedAt(engineId).stream()
            .flatMap(
                c ->
                    c.positions().stream()
                        .map(p -> new ValveHistory.ChainChange(p, c.changedAt.toEpochMilli())))
            .toList());
  }

  private static WrittenRound written(RoundRow round, List<ReadingRow> rows, double step) {
    return new WrittenRound(
        round.id.toString(),
        order(round),
        round.engineHours,
        round.state,
        round.hand,
        rows.stream().map(r -> entry(r, step)).toList());
  }

  private static WrittenRound.Entry entry(ReadingRow r, double step) {
    return new WrittenRound.Entry(
        Position.parse(r.valve),
        r.phase,
        Optional.ofNullable(r.reading(step)),
        r.form == Form.TURNS ? Maybe.of(r.figure) : OptionalDouble.empty(),
        r.form == Form.LENGTH ? Maybe.of(r.figure) : OptionalDouble.empty(),
        r.form == Form.SAME,
        Maybe.of(r.partSizeIn),
        r.takenAt.toEpochMilli());
  }
}
