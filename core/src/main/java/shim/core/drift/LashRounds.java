package shim.core.drift;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.lash.LashRecord;
import shim.core.lash.ValveHistory.ChainChange;
import shim.core.lash.WrittenRound;
import shim.core.lash.WrittenRound.Entry;
import shim.core.lash.WrittenRound.Phase;

/** The rounds of a record as the drift analysis takes them. */
public final class LashRounds {
  private LashRounds() {}

  /**
   * Rounds in which a gap was read, oldest first, each with the valves whose chain was changed
   * since the one before; parts changed after the last close the list.
   */
  public static List<LashRound> of(LashRecord record) {
    List<LashRound> result = new ArrayList<>();
    long since = Long.MIN_VALUE;
    for (WrittenRound round : record.rounds()) {
      List<LashRound.Read> reads =
          round.found().stream()
              .filter(e -> e.gap().isPresent())
              .map(e -> new LashRound.Read(e.valve(), gap(e), left(round, e)))
              .toList();
      if (!reads.isEmpty()) {
        Set<Position> renewed = renewed(record, since, round.order());
        result.add(
            new LashRound(
                round.name(),
                round.order(),
                round.engineHours(),
                round.state(),
                round.hand(),
                reads,
                renewed));
        since = round.order();
      }
    }
    Set<Position> later = renewed(record, since, Long.MAX_VALUE);
    if (!later.isEmpty() && !result.isEmpty()) {
      LashRound last = result.get(result.size() - 1);
      result.add(LashRound.renewal(last.order() + 1, last.engineHours(), later));
    }
    return result;
  }

  private static Set<Position> renewed(LashRecord record, long after, long upTo) {
    return record.changes().stream()
        .filter(c -> c.order() > after && c.order() <= upTo)
        .map(ChainChange::position)
        .collect(Collectors.toSet());
  }

  private static @Nullable Gap left(WrittenRound round, Entry found) {
    return round.at(found.valve(), Phase.LEFT).map(LashRounds::gap).orElse(null);
  }

  private static @Nullable Gap gap(Entry e) {
    return e.gap().map(Gap::of).orElse(null);
  }
}
