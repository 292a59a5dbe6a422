package shim.core.drift;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import shim.core.drift.ValveDrift.Signal;
import shim.core.unit.Known;

/**
 * Odds of every kind of change of one valve against "as it is", after each reading: the likelihood
 * ratio of each change, its begin and its size, times its chance beforehand, added up. The alarm
 * and the probability are both read off these odds, so they cannot disagree.
 *
 * <p>Scatter is Student's t, so one wild reading adds little and a second one the same way adds
 * much. The valve's own healthy rate is free within its spread, under the change as without it.
 *
 * <p>Cost: candidates × sizes × readings.
 */
final class Odds {
  /**
   * Chance that a valve begins to drift one way, and that its adjuster slips one way, in an hour.
   */
  private static final double DRIFTS = 0.0014;

  private static final double SLIPS = 0.0014;

  /** Rates tried, as multiples of the smallest rate worth finding. */
  private static final double[] TIMES = {1, 2, 4};

  /** Slips tried, thou. */
  private static final double[] SLIPS_THOU = {3, 4.5, 6, 10};

  /**
   * A change that may have happened.
   *
   * @param drift or one step
   * @param fromHours first hour at which it may have begun
   * @param toHours last hour
   * @param signature what one thou an hour, or one thou, does to the surprises; and to one more
   *     reading now, where that is asked for
   */
  record Candidate(boolean drift, double fromHours, double toHours, double[] signature) {
    double hours() {
      return toHours - fromHours;
    }

    double middleHours() {
      return (fromHours + toHours) / 2;
    }
  }

  /** Readings tried beyond what some change predicts, s.d., and how many. */
  private static final double REACH = 4;

  private static final int TRIED = 41;

  private final List<Track.Step> steps;
  private final List<Candidate> candidates;
  private final DriftRules rules;
  private final double[] own;
  private final double[] ownWeight;
  private final double[] ownPull;

  /** Log density of each reading, and what the freedom of the healthy rate adds, as it is. */
  private final double[] ownLog;

  private final double[] ownRate;
  private final Map<Signal, double[]> after = new EnumMap<>(Signal.class);
  private final Map<Signal, double[]> of = new EnumMap<>(Signal.class);
  private final List<Expected> next = new ArrayList<>();

  /**
   * What one change makes of the next reading.
   *
   * @param thou it would be off by so much
   */
  private record Expected(double odds, double thou) {}

  Odds(List<Track.Step> steps, List<Candidate> candidates, DriftRules rules) {
    this.steps = steps;
    this.candidates = candidates;
    this.rules = rules;
    own = Evidence.drift(steps, Double.NEGATIVE_INFINITY);
    ownWeight = new double[own.length];
    ownPull = new double[own.length];
    ownLog = new double[own.length];
    ownRate = new double[own.length];
    for (Signal s : Signal.values()) {
      after.put(s, new double[steps.size()]);
      of.put(s, new double[candidates.size()]);
    }
    steady();
    for (int c = 0; c < candidates.size(); c++) {
      boolean drift = candidates.get(c).drift();
      weigh(c, drift ? Signal.OPENING : Signal.STEP_OPEN, 1);
      weigh(c, drift ? Signal.CLOSING : Signal.STEP_TIGHT, -1);
    }
  }

  /** What the readings say of the healthy rate while nothing changes. */
  private void steady() {
    double weight = ownPrecision();
    double pull = 0;
    for (int i = 0; i < own.length; i++) {
      Track.Step s = steps.get(i);
      if (s.speaks()) {
        double w = weight(s.surprise(), s.variance());
        weight += w * own[i] * own[i];
        pull += w * own[i] * s.surprise();
        ownLog[i] = log(s.surprise(), s.variance());
      }
      ownWeight[i] = weight;
      ownPull[i] = pull;
      ownRate[i] = ownRate(weight, pull);
    }
  }

  private double ownPrecision() {
    return 1 / (rules.healthyThouPerHour() * rules.healthyThouPerHour());
  }

  private void weigh(int candidate, Signal signal, int direction) {
    Candidate c = candidates.get(candidate);
    double[] sizes = c.drift() ? TIMES : SLIPS_THOU;
    double unit = direction * (c.drift() ? rules.smallestThouPerHour() : 1);
    double prior = (c.drift() ? DRIFTS : SLIPS) * c.hours() / sizes.length;
    double[] sums = Known.in(after, signal);
    double[] all = Known.in(of, signal);
    int begun = begin(c.signature());
    for (double size : sizes) {
      all[candidate] += add(sums, c.signature(), begun, unit * size, prior);
    }
  }

  /**
   * Adds one change of one size to the odds after each reading; returns what it has in the end.
   * Until it has begun all is as it is.
   */
  private double add(double[] sums, double[] signature, int begun, double size, double prior) {
    double ratio = 0;
    double weight = begun == 0 ? ownPrecision() : ownWeight[begun - 1];
    double pull = begun == 0 ? 0 : ownPull[begun - 1];
    double odds = 0;
    for (int i = begun; i < sums.length; i++) {
      Track.Step s = steps.get(i);
      if (s.speaks()) {
        double rest = s.surprise() - size * signature[i];
        double w = weight(rest, s.variance());
        ratio += log(rest, s.variance()) - ownLog[i];
        weight += w * own[i] * own[i];
        pull += w * own[i] * rest;
      }
      odds = prior * Math.exp(ratio + ownRate(weight, pull) - ownRate[i]);
      sums[i] += odds;
    }
    if (begun < sums.length && signature.length > sums.length) {
      next.add(new Expected(odds, size * signature[sums.length]));
    }
    return odds;
  }

  /** The first reading that speaks of the change; all of them when none does. */
  private int begin(double[] signature) {
    int i = 0;
    while (i < steps.size() && !(signature[i] != 0 && steps.get(i).speaks())) {
      i++;
    }
    return i;
  }

  /**
   * Chance that one more reading turns a finding into none or back.
   *
   * @param variance of that reading about what is expected, thou²
   * @param finding odds from which it is a finding
   */
  double decides(double variance, double finding) {
    double odds = next.stream().mapToDouble(Expected::odds).sum();
    double sd = Math.sqrt(variance);
    double reach = next.stream().mapToDouble(e -> Math.abs(e.thou())).max().orElse(0) + REACH * sd;
    double all = 0;
    double turned = 0;
    for (int k = 0; k < TRIED; k++) {
      double read = reach * (2 * (k + 0.5) / TRIED - 1);
      double steady = Math.exp(log(read, variance));
      double changed = 0;
      for (Expected e : next) {
        changed += e.odds() * Math.exp(log(read - e.thou(), variance));
      }
      all += steady + changed;
      turned += changed / steady >= finding == odds >= finding ? 0 : steady + changed;
    }
    return all > 0 ? turned / all : 0;
  }

  /** What freedom of the healthy rate adds to the log likelihood. */
  private static double ownRate(double weight, double pull) {
    return pull * pull / (2 * weight) - Math.log(weight) / 2;
  }

  /** Log density of Student's t with the given variance, up to a constant. */
  private double log(double thou, double variance) {
    double nu = rules.tails();
    return -(nu + 1) / 2 * Math.log1p(thou * thou / (variance * (nu - 2)));
  }

  /** Precision of a normal that has the same slope there. */
  private double weight(double thou, double variance) {
    double nu = rules.tails();
    return (nu + 1) / (nu - 2 + thou * thou / variance) / variance;
  }

  /** Odds of a kind of change after a reading. */
  double after(Signal signal, int step) {
    return Known.in(after, signal)[step];
  }

  /** Odds of all kinds together after a reading. */
  double all(int step) {
    return after.values().stream().mapToDouble(a -> a[step]).sum();
  }

  /** Odds each candidate has in the end, as one kind of change. */
  double[] of(Signal signal) {
    return Known.in(of, signal).clone();
  }
}
