package shim.core.lash;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import shim.core.engine.HeatState;
import shim.core.engine.Position;

/**
 * A round of lash as it was written down.
 *
 * @param name unique among the rounds of an engine
 * @param order any number that grows with time
 * @param hand who read
 * @param entries at most one as found and one as left at each valve
 */
public record WrittenRound(
    String name,
    long order,
    double engineHours,
    HeatState state,
    String hand,
    List<Entry> entries) {

  /** Before or after the wrench. */
  public enum Phase {
    FOUND,
    LEFT
  }

  /**
   * One reading at one valve.
   *
   * @param gap empty of a hydraulic valve, or where it is left as found
   * @param turns of a hydraulic lifter, back to zero lash; empty for a gap
   * @param zeroLashIn pushrod length at zero lash, inch, of a hydraulic valve where nothing turns
   * @param same left as found: nothing was touched
   * @param partIn pushrod or shim that was in, inch; empty where nobody wrote it down
   * @param takenAt orders the readings of a round
   */
  public record Entry(
      Position valve,
      Phase phase,
      Optional<Reading> gap,
      OptionalDouble turns,
      OptionalDouble zeroLashIn,
      boolean same,
      OptionalDouble partIn,
      long takenAt) {}

  public WrittenRound {
    entries = List.copyOf(entries);
  }

  public Optional<Entry> at(Position valve, Phase phase) {
    return entries.stream().filter(e -> e.valve().equals(valve) && e.phase() == phase).findFirst();
  }

  /** Valves in the order they were read as found. */
  public List<Entry> found() {
    return entries.stream()
        .filter(e -> e.phase() == Phase.FOUND)
        .sorted(Comparator.comparingLong(Entry::takenAt).thenComparing(Entry::valve))
        .toList();
  }
}
