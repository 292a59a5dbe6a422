package shim.core.stock;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import shim.core.stats.Range;
import shim.core.unit.Figures;

/**
 * Before which coming event a part falls due, and by when its successor is ordered.
 *
 * @param expected number of the coming event, 0 the next; empty beyond those planned
 * @param may the first before which it may fall due, at the short end of what is known
 */
public record Due(OptionalInt expected, OptionalInt may) {
  /** Parts are to be there a day before the event. */
  private static final int SPARE_DAYS = 1;

  /**
   * @param shortLeft running hours left at the short end; infinite where nothing is known to end
   * @param expected where the part's own model says so
   * @param comingHours planned hours of each coming event
   */
  public static Due of(double shortLeft, OptionalInt expected, List<Double> comingHours) {
    OptionalInt may = first(shortLeft, comingHours);
    if (expected.isPresent() && (may.isEmpty() || may.getAsInt() > expected.getAsInt())) {
      may = expected;
    }
    return new Due(expected, may);
  }

  /** The first event that ends beyond the hours left. */
  private static OptionalInt first(double left, List<Double> comingHours) {
    double sum = 0;
    for (int i = 0; i < comingHours.size(); i++) {
      sum += comingHours.get(i);
      if (Figures.above(sum, left)) {
        return OptionalInt.of(i);
      }
    }
    return OptionalInt.empty();
  }

  /** The coming event of a name; empty where nothing is named, or none is called so. */
  public static OptionalInt named(@Nullable String event, List<String> coming) {
    int at = event == null ? -1 : coming.indexOf(event);
    return at < 0 ? OptionalInt.empty() : OptionalInt.of(at);
  }

  /**
   * Chance that what has these hours left does not last so long: straight between what is known.
   */
  public static double chance(Range left, double hours) {
    double[] at = {0, left.low(), left.mid(), left.high()};
    double[] chance = {0, 0.1, 0.5, 0.9};
    if (hours <= 0) {
      return 0;
    }
    for (int i = 1; i < at.length; i++) {
      if (hours <= at[i]) {
        double span = at[i] - at[i - 1];
        double share = span > 0 && Double.isFinite(span) ? (hours - at[i - 1]) / span : 0;
        return chance[i - 1] + share * (chance[i] - chance[i - 1]);
      }
    }
    return chance[chance.length - 1];
  }

  /** Until when there is time to order. */
  public enum Order {
    /** It cannot arrive before the event. */
    TOO_LATE,
    TODAY,
    LATER,
    /** Nobody knows how long it takes, or when the event is. */
    UNKNOWN
  }

  /** The last day to order what must be there for an event. */
  public static Optional<LocalDate> orderBy(@Nullable LocalDate event, @Nullable Integer leadDays) {
    return event == null || leadDays == null
        ? Optional.empty()
        : Optional.of(event.minusDays((long) leadDays + SPARE_DAYS));
  }

  public static Order order(Optional<LocalDate> by, LocalDate today) {
    return by.map(
            d -> d.isBefore(today) ? Order.TOO_LATE : d.equals(today) ? Order.TODAY : Order.LATER)
        .orElse(Order.UNKNOWN);
  }
}
