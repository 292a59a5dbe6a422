package shim.core.drift;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.stats.Range;
import shim.core.unit.Said;

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
 * @param decides chance that one more reading now turns a finding into none or back
 * @param onPaper empty before two rounds in one state
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
    Optional<Begun> begun,
    double decides,
    Optional<LashOnPaper> onPaper) {

  /**
   * How it would be reached on paper: as found less as left last time in the same state, thou.
   *
   * @param lastThou as left in the round before, or as found where nothing was touched
   * @param movedThou found less that
   */
  public record LashOnPaper(
      String lastRound, double lastThou, double foundThou, double movedThou) {}

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
   * @param up weight of what speaks for opening, ln(1 + 1000 × odds against "as it is")
   * @param down the same for closing
   * @param stepped the same for one step either way, with no drift
   * @param all the same for any change
   */
  public record Compared(
      String round,
      double engineHours,
      double ownThou,
      double sdThou,
      double pathThou,
      double up,
      double down,
      double stepped,
      double all) {
    private static final double SCALE = 1000;

    /** Odds on a scale that starts at zero; 6.9 is even. */
    static double scale(double odds) {
      return Math.log1p(SCALE * odds);
    }

    /** Odds from their place on that scale. */
    static double odds(double scaled) {
      return Math.expm1(scaled) / SCALE;
    }
  }

  /** Engine hours of a begin: as likely before as after the middle, and the range of 80 %. */
  public record Begun(double lowHours, double likeliestHours, double highHours) {}

  public ValveDrift {
    points = List.copyOf(points);
    probability = Map.copyOf(probability);
  }

  ValveDrift onPaper(Optional<LashOnPaper> paper) {
    return new ValveDrift(
        position,
        points,
        probability,
        strength,
        signal,
        thouPerHour,
        movedThou,
        begun,
        decides,
        paper);
  }

  /** How far it has moved in all, where there is a signal. */
  public Range moved() {
    return Objects.requireNonNull(movedThou);
  }

  /** Its rate, where there is a signal. */
  public Range rate() {
    return Objects.requireNonNull(thouPerHour);
  }

  /** What a valve's lash can be said to do; {@code sure} is one of a finding, zero of a watch. */
  public enum Code implements Said.Code {
    UNKNOWN,
    STEADY,
    OPENING("sure", "thouPerHour", "sinceHours", "fromHours", "toHours", "movedThou"),
    CLOSING("sure", "thouPerHour", "sinceHours", "fromHours", "toHours", "movedThou"),
    WENT_WIDE("sure", "movedThou", "fromHours", "toHours"),
    WENT_TIGHT("sure", "movedThou", "fromHours", "toHours");

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("LASH", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /** What it shows. */
  public Said said() {
    return switch (strength) {
      case UNKNOWN -> Said.of(Code.UNKNOWN);
      case STEADY -> Said.of(Code.STEADY);
      case WATCH -> changed(0);
      case FINDING -> changed(1);
    };
  }

  private Said changed(double sure) {
    Begun b = begun.orElseThrow();
    double moved = Math.abs(moved().mid());
    if (signal.steps()) {
      return Said.of(
          signal.opens() ? Code.WENT_WIDE : Code.WENT_TIGHT,
          sure,
          moved,
          b.lowHours(),
          b.highHours());
    }
    return Said.of(
        signal.opens() ? Code.OPENING : Code.CLOSING,
        sure,
        Math.abs(rate().mid()),
        b.likeliestHours(),
        b.lowHours(),
        b.highHours(),
        moved);
  }

  /** Weight of what speaks for any change now. */
  public double sum() {
    return points.isEmpty() ? 0 : points.get(points.size() - 1).all();
  }
}
