package shim.core.lash;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.lash.WrittenRound.Entry;
import shim.core.lash.WrittenRound.Phase;

/**
 * All that was ever written down of an engine's lash.
 *
 * @param rounds oldest first
 * @param changes of parts in the chain of a valve
 */
public record LashRecord(List<WrittenRound> rounds, List<ValveHistory.ChainChange> changes) {
  /** Preload of a hydraulic lifter in one round, turns back to zero lash. */
  public record Turns(OptionalDouble found, OptionalDouble left) {}

  public LashRecord {
    rounds = List.copyOf(rounds);
    changes = List.copyOf(changes);
  }

  /** Every valve that was found in every round; left is as found where nothing was touched. */
  public ValveHistory history() {
    List<ValveHistory.Visit> visits = new ArrayList<>();
    for (WrittenRound round : rounds) {
      for (Entry found : round.found()) {
        Double foundIn = value(found);
        Optional<Entry> left = round.at(found.valve(), Phase.LEFT);
        visits.add(
            new ValveHistory.Visit(
                found.valve(),
                round.order(),
                round.engineHours(),
                round.state(),
                foundIn,
                left.map(l -> l.same() ? foundIn : value(l)).orElse(null)));
      }
    }
    return new ValveHistory(visits, changes);
  }

  private static @Nullable Double value(Entry e) {
    return e.gap().map(Reading::valueIn).orElse(null);
  }

  /** Preload at a valve in a round; left is as found where nothing was touched. */
  public Turns turns(Position valve, long order) {
    Optional<WrittenRound> round = rounds.stream().filter(r -> r.order() == order).findFirst();
    OptionalDouble found = turns(round.flatMap(r -> r.at(valve, Phase.FOUND)));
    Optional<Entry> left = round.flatMap(r -> r.at(valve, Phase.LEFT));
    return new Turns(found, left.filter(Entry::same).isPresent() ? found : turns(left));
  }

  private static OptionalDouble turns(Optional<Entry> entry) {
    return entry.map(Entry::turns).orElse(OptionalDouble.empty());
  }

  /** Pushrod or shim last known to be in before a round, inch. */
  public Optional<Double> partBefore(Position valve, long order) {
    return rounds.stream()
        .filter(r -> r.order() < order)
        .sorted(Comparator.comparingLong(WrittenRound::order))
        .flatMap(r -> r.entries().stream().sorted(Comparator.comparing(Entry::phase)))
        .filter(e -> e.valve().equals(valve) && e.partIn().isPresent())
        .map(e -> e.partIn().getAsDouble())
        .reduce((a, b) -> b);
  }
}
