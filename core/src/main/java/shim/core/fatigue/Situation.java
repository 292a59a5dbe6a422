package shim.core.fatigue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A spring as it stands in the engine now.
 *
 * @param spring its id in the history
 * @param hoursNow its own hours of running
 * @param comingHours planned hours of each coming event, in order; never empty
 * @param overRevSinceTest the engine was over-revved or floated since it was last tested
 * @param batchBrokeAtHours own hours at which another spring of its batch broke
 */
public record Situation(
    String spring,
    double hoursNow,
    List<Double> comingHours,
    boolean overRevSinceTest,
    Optional<Double> batchBrokeAtHours) {
  public Situation {
    comingHours = List.copyOf(comingHours);
    if (!(hoursNow >= 0 && hoursNow < 1e6)) {
      throw new IllegalArgumentException("hours of running cannot be " + hoursNow);
    }
    if (comingHours.isEmpty() || comingHours.stream().anyMatch(h -> !(h >= 0 && h < 1e5))) {
      throw new IllegalArgumentException("planned hours of the next event are missing");
    }
  }

  /** The engine was over-revved on a day after the spring's last test; never where untested. */
  public static boolean overRevSince(Optional<LocalDate> tested, Optional<LocalDate> overRev) {
    return tested.isPresent() && overRev.isPresent() && overRev.get().isAfter(tested.get());
  }

  /** Own hours at the end of a coming event; beyond the list its last event repeats. */
  public double hoursAfter(int events) {
    double hours = hoursNow;
    for (int i = 0; i < events; i++) {
      hours += comingHours.get(Math.min(i, comingHours.size() - 1));
    }
    return hours;
  }
}
