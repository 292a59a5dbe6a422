package shim.core.drift;

import java.util.ArrayList;
import java.util.List;

/**
 * One valve's own lash, followed from reading to reading: a Kalman filter of two numbers, the hot
 * lash x and the valve's own growth g (cold minus hot, about its kind's). Each reading gives a
 * surprise, what was read less what was expected; the surprises of a steady valve are independent
 * with known variance. The steps are kept, so that what a drift would have done to them can be
 * worked out.
 */
final class Track {
  /** Variance of a lash nobody knows yet, thou². */
  private static final double UNKNOWN = 1e6;

  /**
   * One surprise. A step is also kept where a reading only sets the track anew; it carries no
   * evidence ({@code variance} infinite).
   *
   * @param round index of the round
   * @param fromHours the reading before, engine hours
   * @param toHours this reading, engine hours
   * @param anew the lash was set, or a part changed, just before this reading
   * @param surprise less the round's common part, thou
   * @param variance thou²
   * @param stands the reading on the common footing with all settings taken out, thou
   * @param cold 1 when read cold, else 0
   * @param gainX share of a surprise taken into the lash
   * @param gainG share taken into the growth
   */
  record Step(
      int round,
      double fromHours,
      double toHours,
      boolean anew,
      double surprise,
      double variance,
      double stands,
      int cold,
      double gainX,
      double gainG) {
    boolean speaks() {
      return Double.isFinite(variance);
    }

    /** Reading the same valve once more at once, nothing touched in between. */
    Step again(DriftRules rules) {
      double leaf = 1.0 / 12;
      double v =
          speaks()
              ? variance * (1 - gainX * gainX)
              : 2 * (rules.feelThou() * rules.feelThou() + leaf);
      return new Step(round, toHours, toHours, false, 0, v, stands, cold, 0, 0);
    }
  }

  /**
   * A reading on the common footing.
   *
   * @param thou middle of its interval, less the kind's growth when read cold
   * @param widthVariance of the interval, thou²
   * @param cold 1 when read cold, else 0
   */
  record Seen(double thou, double widthVariance, int cold) {}

  private final DriftRules rules;
  private final double scale;
  private final List<Step> steps = new ArrayList<>();
  private double x;
  private double g;
  private double pxx = UNKNOWN;
  private double pxg;
  private double pgg;
  private double hours = Double.NaN;
  private double sinceHours = Double.NaN;
  private boolean justSet;
  private double settings;
  private double last;
  private double readAtHours = Double.NaN;

  /**
   * @param scale factor on all variances, from the engine's own scatter
   * @param growthVariance of the valve's growth about its kind's, thou²
   */
  Track(DriftRules rules, double scale, double growthVariance) {
    this.rules = rules;
    this.scale = scale;
    this.pgg = growthVariance;
  }

  boolean known() {
    return pxx < UNKNOWN / 2;
  }

  List<Step> steps() {
    return List.copyOf(steps);
  }

  /** Runs on to an hour. */
  void runTo(double until) {
    if (!Double.isNaN(hours)) {
      double dt = Math.max(0, until - hours);
      double settled = justSet && dt > 0 ? rules.settleThou() * rules.settleThou() : 0;
      pxx += scale * (rules.wanderThou() * rules.wanderThou() * dt + settled);
      justSet &= dt == 0;
    }
    sinceHours = Double.isNaN(hours) ? until : hours;
    hours = until;
  }

  /** What a reading would say if nothing but the usual happened, thou. */
  double expected(Seen seen) {
    return x + seen.cold() * g;
  }

  /** Variance of a reading about that, thou². */
  double variance(Seen seen) {
    int cold = seen.cold();
    return pxx
        + 2 * cold * pxg
        + cold * pgg
        + scale * rules.feelThou() * rules.feelThou()
        + seen.widthVariance();
  }

  /**
   * Takes a reading in.
   *
   * @param common the round's common part, thou
   * @param leverage share of that common part which this very reading made, 0 to 1
   */
  void read(int round, Seen seen, double common, double leverage) {
    double reading = seen.thou() - common;
    Gain gain = gain(seen);
    double surprise = reading - expected(seen);
    boolean speaks = known() && leverage < 0.999;
    double others = 1 - leverage;
    steps.add(
        new Step(
            round,
            sinceHours,
            hours,
            !known(),
            surprise / others,
            speaks ? gain.variance() / others : Double.POSITIVE_INFINITY,
            reading - settings,
            seen.cold(),
            gain.x() * others,
            gain.g() * others));
    update(surprise, gain);
    last = reading;
    readAtHours = hours;
  }

  /** The lash was set and read again in the same round. */
  void set(int round, Seen seen, double common) {
    double reading = seen.thou() - common;
    settings += reading - (hours == readAtHours ? last : expected(seen));
    forget();
    Gain gain = gain(seen);
    double surprise = reading - expected(seen);
    steps.add(
        new Step(
            round,
            hours,
            hours,
            true,
            surprise,
            Double.POSITIVE_INFINITY,
            reading - settings,
            seen.cold(),
            gain.x(),
            gain.g()));
    update(surprise, gain);
    justSet = true;
  }

  /** What the lash was no longer tells what it is. */
  private void forget() {
    pxx = UNKNOWN;
    pxg = 0;
  }

  /** How much of a surprise goes into the lash and into the growth, and the surprise's variance. */
  private record Gain(double variance, double x, double g) {}

  private Gain gain(Seen seen) {
    double v = variance(seen);
    int cold = seen.cold();
    return new Gain(v, (pxx + cold * pxg) / v, (pxg + cold * pgg) / v);
  }

  private void update(double surprise, Gain gain) {
    x += gain.x() * surprise;
    g += gain.g() * surprise;
    pxx -= gain.x() * gain.x() * gain.variance();
    pxg -= gain.x() * gain.g() * gain.variance();
    pgg -= gain.g() * gain.g() * gain.variance();
  }
}
