package shim.app.lash;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.core.drift.Gap;
import shim.core.drift.LashRound;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lash.Growth;
import shim.core.lash.LashTarget;
import shim.core.lash.Reading;
import shim.core.lash.ValveHistory;

/** An engine's rounds as the drift analysis takes them. */
@Service
@Transactional(readOnly = true)
public class LashBook {
  private final RoundRows rounds;
  private final LashPast past;
  private final RoundReader reader;

  LashBook(RoundRows rounds, LashPast past, RoundReader reader) {
    this.rounds = rounds;
    this.past = past;
    this.reader = reader;
  }

  /**
   * Everything read, with the engine's own growth.
   *
   * @param rounds oldest first, each named by its id; parts changed after the last one close the
   *     list
   */
  public record Booked(List<LashRound> rounds, Growth growth) {
    /** As the engine's book stood with that round; nothing where nothing was read in it. */
    public Booked upTo(UUID round) {
      List<String> names = rounds.stream().map(LashRound::name).toList();
      return new Booked(rounds.subList(0, names.indexOf(round.toString()) + 1), growth);
    }
  }

  /**
   * How the rounds stand.
   *
   * @param openRound one that was begun and not signed
   * @param lastHours engine hours of the last round that was signed
   * @param undone valves not done in it, or left outside their tolerance
   */
  public record LashStanding(
      @Nullable UUID openRound, @Nullable Double lastHours, List<Position> undone) {}

  /** How the last rounds left the engine. */
  public LashStanding standing(UUID engineId) {
    List<RoundRow> all = rounds.findByEngineIdOrderByStartedAt(engineId);
    UUID open =
        all.stream()
            .filter(r -> r.signedBy == null)
            .map(r -> r.id)
            .reduce((a, b) -> b)
            .orElse(null);
    RoundRow last = all.stream().filter(r -> r.signedBy != null).reduce((a, b) -> b).orElse(null);
    return last == null
        ? new LashStanding(open, null, List.of())
        : new LashStanding(open, last.engineHours, undone(last));
  }

  private List<Position> undone(RoundRow round) {
    return reader.view(round).valves().stream()
        .filter(
            v ->
                v.status() != RoundView.Status.DONE
                    || v.leftVerdict() != null && v.leftVerdict() != LashTarget.Verdict.IN)
        .map(RoundView.ValveView::position)
        .toList();
  }

  public Booked of(UUID engineId, Engine engine) {
    LashPast.Kept kept = past.kept(engineId);
    double step = engine.rules().feelerStepIn();
    List<LashRound> result = new ArrayList<>();
    long since = Long.MIN_VALUE;
    for (RoundRow round : kept.rounds()) {
      long order = LashPast.order(round);
      List<LashRound.Read> reads = reads(kept.in(round), step);
      if (!reads.isEmpty()) {
        result.add(
            new LashRound(
                round.id.toString(),
                order,
                round.engineHours,
                round.state,
                round.hand,
                reads,
                renewed(kept.changes(), since, order)));
        since = order;
      }
    }
    Set<Position> later = renewed(kept.changes(), since, Long.MAX_VALUE);
    if (!later.isEmpty() && !result.isEmpty()) {
      LashRound last = result.get(result.size() - 1);
      result.add(LashRound.renewal(last.order() + 1, last.engineHours(), later));
    }
    ValveHistory history = LashPast.of(kept, engine).history();
    return new Booked(result, Growth.of(history, engine.layout().positions()));
  }

  private static Set<Position> renewed(List<ChainChangeRow> changed, long after, long upTo) {
    Set<Position> result = new HashSet<>();
    for (ChainChangeRow c : changed) {
      long at = c.changedAt.toEpochMilli();
      if (at > after && at <= upTo) {
        result.addAll(c.positions());
      }
    }
    return result;
  }

  /** Valves in the order they were read; turns of a hydraulic lifter are no gaps. */
  private static List<LashRound.Read> reads(List<ReadingRow> rows, double step) {
    Map<String, ReadingRow> left = new HashMap<>();
    rows.stream().filter(r -> r.phase == Phase.LEFT).forEach(r -> left.put(r.valve, r));
    return rows.stream()
        .filter(r -> r.phase == Phase.FOUND)
        .sorted(Comparator.comparing((ReadingRow r) -> r.takenAt).thenComparing(r -> r.valve))
        .filter(r -> r.reading(step) != null)
        .map(
            r ->
                new LashRound.Read(
                    Position.parse(r.valve), gap(r, step), gap(left.get(r.valve), step)))
        .toList();
  }

  private static @Nullable Gap gap(@Nullable ReadingRow row, double step) {
    Reading reading = row == null ? null : row.reading(step);
    return reading == null ? null : Gap.of(reading);
  }
}
