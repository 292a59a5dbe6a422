package shim.core.lifter;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import shim.core.drift.ValveDrift;
import shim.core.engine.Lifter;

/**
 * What is known of one lifter as it stands in the engine.
 *
 * @param hours its own running hours since new or since its last rebuild; empty where no lifter is
 *     on record
 * @param intervalHours hours after which its kind is rebuilt or renewed; the team's setting
 * @param comingHours planned hours of the coming events, the next first
 * @param seen findings at its valve and cylinder since it was fitted, oldest first
 * @param drift what the lash of its valve says
 * @param overRevs over-revs it has seen since it was fitted
 * @param openLbf open load it carries, where the spring is known
 */
public record LifterFacts(
    Lifter kind,
    OptionalDouble hours,
    OptionalDouble intervalHours,
    List<Double> comingHours,
    List<Diagnosis.Seen> seen,
    Optional<ValveDrift> drift,
    int overRevs,
    OptionalDouble openLbf) {
  public LifterFacts {
    comingHours = List.copyOf(comingHours);
    seen = List.copyOf(seen);
    hours.ifPresent(
        h -> {
          if (!(h >= 0 && h < 1e6)) {
            throw new IllegalArgumentException("a lifter's hours: " + h);
          }
        });
  }
}
