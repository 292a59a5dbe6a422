package shim.core.drift;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import shim.core.engine.HeatState;
import shim.core.engine.Position;

/**
 * One round over all or some valves.
 *
 * @param name how the round is called, unique among the rounds
 * @param order any number that grows with time
 * @param engineHours engine hours at the round
 * @param hand who read; empty when nobody said
 * @param reads in the order they were read
 * @param renewed valves with a part of their chain changed since the round before: a new baseline
 */
public record LashRound(
    String name,
    long order,
    double engineHours,
    HeatState state,
    String hand,
    List<Read> reads,
    Set<Position> renewed) {

  /**
   * One valve.
   *
   * @param found before anything was touched; null when only what it was left at is known
   * @param left after locking; null when it was left as found
   */
  public record Read(Position position, @Nullable Gap found, @Nullable Gap left) {}

  /** Parts changed since the last round: a round in which nothing was read yet. */
  public static LashRound renewal(long order, double engineHours, Set<Position> renewed) {
    return new LashRound("", order, engineHours, HeatState.HOT, "", List.of(), renewed);
  }

  public LashRound {
    reads = List.copyOf(reads);
    renewed = Set.copyOf(renewed);
    if (!Double.isFinite(engineHours)) {
      throw new IllegalArgumentException("engine hours of round " + name + ": " + engineHours);
    }
  }
}
