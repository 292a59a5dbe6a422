package shim.core.stock;

import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A part's way from the order to the bench; what was refused is ordered anew.
 *
 * @param orderedOn null while nobody has ordered it
 * @param leadDays days from the order to the arrival, as the supplier says
 * @param dueOn the day the supplier named
 */
public record Delivery(
    State state,
    @Nullable LocalDate orderedOn,
    @Nullable Integer leadDays,
    @Nullable LocalDate dueOn,
    @Nullable LocalDate arrivedOn) {
  /** How far it is. */
  public enum State {
    WANTED,
    ORDERED,
    ARRIVED,
    MEASURED,
    REFUSED;

    /** It is still to be waited for. */
    public boolean away() {
      return this != ARRIVED && this != MEASURED;
    }

    /** Somebody has to order it. */
    public boolean toOrder() {
      return this == WANTED || this == REFUSED;
    }
  }

  /** The day it is expected; empty when nobody knows. What is overdue may come today. */
  public Optional<LocalDate> comes(LocalDate today) {
    return switch (state) {
      case MEASURED, ARRIVED -> Optional.of(Optional.ofNullable(arrivedOn).orElse(today));
      case ORDERED ->
          Optional.ofNullable(dueOn)
              .or(
                  () ->
                      Optional.ofNullable(orderedOn)
                          .flatMap(on -> Optional.ofNullable(leadDays).map(on::plusDays)))
              .map(due -> due.isBefore(today) ? today : due);
      case WANTED, REFUSED -> Optional.ofNullable(leadDays).map(today::plusDays);
    };
  }
}
