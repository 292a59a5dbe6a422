package shim.core.lash;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import shim.core.engine.HeatState;
import shim.core.engine.Position;

/**
 * What was read at each valve over the rounds, and the parts changed in its chain meanwhile.
 * "Order" is any number that grows with time, such as an epoch time.
 */
public final class ValveHistory {
  private final List<Visit> all;
  private final List<ChainChange> changes;
  private final Map<Position, List<Visit>> visits;

  public ValveHistory(List<Visit> all, List<ChainChange> changes) {
    this.all = List.copyOf(all);
    this.changes = List.copyOf(changes);
    visits =
        all.stream()
            .collect(Collectors.groupingBy(Visit::position, Collectors.toUnmodifiableList()));
  }

  /**
   * One valve in one round.
   *
   * @param engineHours engine hours at the round
   * @param foundIn as found, inch
   * @param leftIn as left, inch; equal to found where it was left alone
   */
  public record Visit(
      Position position,
      long order,
      double engineHours,
      HeatState state,
      @Nullable Double foundIn,
      @Nullable Double leftIn) {}

  /** A pushrod, rocker, lifter, valve, gasket, skim or seat: lash before it is another story. */
  public record ChainChange(Position position, long order) {}

  public List<Visit> all() {
    return all;
  }

  /** As it stood before a round. */
  public ValveHistory before(long order) {
    return new ValveHistory(all.stream().filter(v -> v.order() < order).toList(), changes);
  }

  public List<Visit> visits(Position position) {
    return visits.getOrDefault(position, List.of());
  }

  /** True when a part in this valve's chain was changed after one time and up to another. */
  public boolean changedBetween(Position position, long after, long upTo) {
    return changes.stream()
        .anyMatch(c -> c.position().equals(position) && c.order() > after && c.order() <= upTo);
  }

  /** Drift since a baseline, and why there is none. */
  public sealed interface Drift {
    /**
     * @param driftIn found minus left last time in the same state, inch; above zero: opened up
     * @param hours engine hours between
     */
    record Known(double driftIn, double hours, Visit since) implements Drift {}

    /** No baseline in this temperature state, with the reason in words. */
    record None(String why) implements Drift {}
  }

  /** Last visit left in the same state before an order, with no part changed in between. */
  public Optional<Visit> baseline(Position position, HeatState state, long before) {
    return visits(position).stream()
        .filter(v -> v.order() < before && v.state() == state && v.leftIn() != null)
        .max(Comparator.comparingLong(Visit::order))
        .filter(v -> !changedBetween(position, v.order(), before));
  }

  /** Drift of a valve found now. */
  public Drift drift(
      Position position, HeatState state, long now, double engineHours, double foundIn) {
    Optional<Visit> baseline = baseline(position, state, now);
    if (baseline.isPresent()) {
      Visit since = baseline.get();
      return new Drift.Known(
          foundIn - Objects.requireNonNull(since.leftIn()),
          engineHours - since.engineHours(),
          since);
    }
    boolean changed =
        visits(position).stream()
            .anyMatch(v -> v.order() < now && changedBetween(position, v.order(), now));
    if (changed) {
      return new Drift.None("a part in its chain was changed: this reading is the new baseline");
    }
    return new Drift.None("no earlier " + state.word() + " round to compare with");
  }
}
