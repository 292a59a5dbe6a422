package shim.core.change;

import java.time.Duration;
import java.util.List;
import java.util.OptionalDouble;
import shim.core.stats.Robust;

/**
 * How long a finished job took.
 *
 * @param valves it was for
 */
public record Pace(Duration took, int valves) {
  /** Minutes that so many valves will take, by the middle one of past jobs; empty before any. */
  public static OptionalDouble minutes(List<Pace> past, int valves) {
    OptionalDouble each =
        Robust.median(past.stream().map(p -> p.took.toSeconds() / 60.0 / p.valves).toList());
    return each.isPresent() ? OptionalDouble.of(valves * each.getAsDouble()) : each;
  }
}
