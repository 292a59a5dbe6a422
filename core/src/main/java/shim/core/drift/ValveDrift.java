package shim.core.drift;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.stats.Range;

/**
 * What the rounds say of one valve, its kind's and bank's common part taken off.
 *
 * @param points one a reading that could be compared, oldest first
 * @param probability of each kind of change, "as it is" included; sums to one
 * @param strength how far the cumulative sums have gone
 * @param signal the change they speak of; {@code STEADY} below the watch line
 * @param thouPerHour rate of lash, above zero opening; since it began where there is a signal, else
 *     over all; 80 %
 * @param movedThou how far it has moved in all since the begin, or the step itself; 80 %
 * @param begun engine hours of the begin, or of the interval of a step; empty when steady
 */
public record ValveDrift(
    Position position,
    List<Compared> points,
    Map<Signal, Double> probability,
    Strength strength,
    Signal signal,
    @Nullable Range thouPerHour,
    @Nullable Range movedThou,
    Optional<Begun> begun) {

  /** The changes a valve's lash can show. */
  public enum Signal {
    STEADY,
    OPENING,
    CLOSING,
    STEP_OPEN,
    STEP_TIGHT;

    public boolean opens() {
      return this == OPENING || this == STEP_OPEN;
    }

    public boolean steps() {
      return this == STEP_OPEN || this == STEP_TIGHT;
    }
  }

  /** How far to trust a signal. */
  public enum Strength {
    /** Not enough readings in one temperature state to compare. */
    UNKNOWN,
    STEADY,
    WATCH,
    FINDING
  }

  /**
   * One comparison with what was expected.
   *
   * @param round name of the round
   * @param ownThou what this valve moved against the others since its reading before, thou
   * @param sdThou standard deviation of that when nothing happens, thou
   * @param pathThou where it was read by then, all settings and the common part taken out, against
   *     its first reading
   * @param up cumulative sum towards opening, log likelihood
   * @param down cumulative sum towards closing
   * @param stepped the same for one step either way, with no drift
   */
  public record Compared(
      String round,
      double engineHours,
      double ownThou,
      double sdThou,
      double pathThou,
      double up,
      double down,
      double stepped) {}

  /** Engine hours of a begin: the likeliest, and all within two units of log likelihood. */
  public record Begun(double lowHours, double likeliestHours, double highHours) {}

  public ValveDrift {
    points = List.copyOf(points);
    probability = Map.copyOf(probability);
  }

  /** How far it has moved in all, where there is a signal. */
  public Range moved() {
    return Objects.requireNonNull(movedThou);
  }

  /** Its rate, where there is a signal. */
  public Range rate() {
    return Objects.requireNonNull(thouPerHour);
  }

  /** What it shows, in one line for a technician. */
  public String words() {
    return switch (strength) {
      case UNKNOWN -> "not enough rounds in one temperature state to compare yet";
      case STEADY -> "as it was, within what leaves can tell";
      case WATCH -> "perhaps " + changed();
      case FINDING -> changed();
    };
  }

  private String changed() {
    Begun b = begun.orElseThrow();
    Range moved = moved();
    if (signal.steps()) {
      return String.format(
          Locale.ROOT,
          "went %s by %.1f thou once, between %.1f and %.1f h",
          signal.opens() ? "wide" : "tight",
          Math.abs(moved.mid()),
          b.lowHours(),
          b.highHours());
    }
    double rate = rate().mid();
    return String.format(
        Locale.ROOT,
        "%s %.1f thou an hour since about %.1f h (%.1f to %.1f), %.1f thou in all",
        signal.opens() ? "opening" : "closing",
        Math.abs(rate),
        b.likeliestHours(),
        b.lowHours(),
        b.highHours(),
        Math.abs(moved.mid()));
  }

  /** The greater of the two sums of a drift now. */
  public double sum() {
    return points.isEmpty()
        ? 0
        : Math.max(points.get(points.size() - 1).up(), points.get(points.size() - 1).down());
  }
}
