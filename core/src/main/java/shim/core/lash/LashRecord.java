package shim.core.lash;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
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
  /** Preload of a hydraulic lifter in one round, in the unit of its engine. */
  public record Preloads(OptionalDouble found, OptionalDouble left) {}

  /** How a preload was left last time, in the unit of its engine. */
  public record LeftBefore(double preload, double engineHours) {}

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
  public Preloads preloads(Engine.Drive drive, Position valve, long order) {
    return rounds.stream()
        .filter(r -> r.order() == order)
        .findFirst()
        .map(r -> preloads(drive, valve, r))
        .orElse(new Preloads(OptionalDouble.empty(), OptionalDouble.empty()));
  }

  private Preloads preloads(Engine.Drive drive, Position valve, WrittenRound round) {
    Optional<Entry> found = round.at(valve, Phase.FOUND);
    Optional<Entry> left = round.at(valve, Phase.LEFT);
    Optional<Entry> first = found.or(() -> left);
    if (first.isEmpty()) {
      return new Preloads(OptionalDouble.empty(), OptionalDouble.empty());
    }
    OptionalDouble turns = turns(found);
    OptionalDouble zeroLash = first.get().zeroLashIn();
    if (zeroLash.isEmpty()) {
      return new Preloads(turns, left.filter(Entry::same).isPresent() ? turns : turns(left));
    }
    Optional<Double> was = partFound(drive, valve, round.order(), first.get().partIn());
    OptionalDouble none = OptionalDouble.empty();
    Function<OptionalDouble, OptionalDouble> with =
        part ->
            Preload.Length.of(zeroLash, was, part)
                .map(length -> length.preload(drive, valve.kind()))
                .orElse(none);
    return new Preloads(
        found.isEmpty() ? none : with.apply(none),
        left.isEmpty() ? none : with.apply(left.get().partIn()));
  }

  private static OptionalDouble turns(Optional<Entry> entry) {
    return entry.map(Entry::turns).orElse(OptionalDouble.empty());
  }

  /** Pushrod or shim in as found: written down then, else last known before, else the sheet's. */
  public Optional<Double> partFound(
      Engine.Drive drive, Position valve, long order, OptionalDouble written) {
    return written.stream()
        .boxed()
        .findFirst()
        .or(() -> partBefore(valve, order))
        .or(() -> drive.partIn(valve.kind()));
  }

  /** How the preload was left last in a state before a round, with no part changed since. */
  public Optional<LeftBefore> preloadBefore(
      Engine.Drive drive, Position valve, HeatState state, long order) {
    ValveHistory since = new ValveHistory(List.of(), changes);
    return rounds.stream()
        .filter(r -> r.order() < order && r.state() == state)
        .sorted(Comparator.comparingLong(WrittenRound::order).reversed())
        .flatMap(
            r ->
                preloads(drive, valve, r).left().stream()
                    .boxed()
                    .filter(p -> !since.changedBetween(valve, r.order(), order))
                    .map(p -> new LeftBefore(p, r.engineHours())))
        .findFirst();
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
