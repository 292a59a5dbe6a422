package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import shim.core.stats.Robust;

/**
 * All settings of one spring in one test, in ln of load, as one figure. Repeats of a setting share
 * what is wrong with it; only another setting can tell.
 *
 * @param mean of those that agree
 * @param noise variance of that mean from reading alone, in units of one reading's
 * @param count settings in it
 * @param state how far they confirm each other
 * @param squares sum of squares of repeats about their setting's mean
 * @param free degrees of freedom in it
 */
record Settings(double mean, double noise, int count, State state, double squares, int free) {
  /** How far the settings of one test confirm each other. */
  enum State {
    /** One setting: nothing else tells whether it was right. */
    ONE,
    /** Two or more agree. */
    AGREED,
    /** No two agree: one more is wanted. */
    APART
  }

  /** Two settings farther apart than this do not agree, s.d. of their difference. */
  private static final double APART = 3;

  /** A straggler among settings that do not agree counts the less, the farther off it is. */
  private static final double NU = 4;

  /**
   * @param settings readings of each, ln
   * @param reading s.d. of one reading, ln
   * @param predicted what the spring's own past and its set today predict, ln; NaN when nothing is
   */
  static Settings of(List<List<Double>> settings, double reading, double predicted) {
    List<Repeats> each = settings.stream().map(s -> Repeats.of(s, reading, predicted)).toList();
    List<Repeats> agreeing = agreeing(each, reading);
    State state = each.size() == 1 ? State.ONE : agreeing.size() > 1 ? State.AGREED : State.APART;
    double squares = each.stream().mapToDouble(Repeats::squares).sum();
    int free = each.stream().mapToInt(Repeats::free).sum();
    if (state == State.APART) {
      double centre =
          Double.isNaN(predicted)
              ? Robust.median(each.stream().map(Repeats::mean).toList()).orElseThrow()
              : predicted;
      return new Settings(towards(each, centre, reading), 1, 1, state, squares, free);
    }
    double weight = agreeing.stream().mapToDouble(r -> 1 / r.noise()).sum();
    double mean = agreeing.stream().mapToDouble(r -> r.mean() / r.noise()).sum() / weight;
    return new Settings(mean, 1 / weight, agreeing.size(), state, squares, free);
  }

  /** The most that agree with one of them; of as many, those nearest together. */
  private static List<Repeats> agreeing(List<Repeats> each, double reading) {
    List<Repeats> most = List.of();
    double closest = 0;
    for (Repeats about : each) {
      List<Repeats> near = new ArrayList<>();
      double spread = 0;
      for (Repeats r : each) {
        double apart = Math.abs(r.mean() - about.mean());
        if (apart <= APART * reading * Math.sqrt(r.noise() + about.noise())) {
          near.add(r);
          spread += apart;
        }
      }
      if (near.size() > most.size() || near.size() == most.size() && spread < closest) {
        most = near;
        closest = spread;
      }
    }
    return most;
  }

  private static double towards(List<Repeats> each, double centre, double reading) {
    double sum = 0;
    double weight = 0;
    for (Repeats r : each) {
      double z = (r.mean() - centre) / reading;
      double w = (NU + 1) / (NU + z * z) / r.noise();
      sum += w * r.mean();
      weight += w;
    }
    return sum / weight;
  }
}
