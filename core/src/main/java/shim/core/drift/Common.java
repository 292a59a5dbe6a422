package shim.core.drift;

import java.util.List;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import shim.core.stats.Robust;

/**
 * What one round did to all valves alike: an offset of the whole round, of a kind of valve, of a
 * bank and of a kind in a bank, and a slope over the order of reading as the engine cools. The
 * offset of the whole is left free, so a round shifted as a whole changes nothing else; the others
 * are held near what they were in the round before. One valve that goes its own way is weighed down
 * (Student's t with 4 degrees of freedom, a fixed number of sweeps).
 */
final class Common {
  private static final double FREEDOM = 4;
  private static final int SWEEPS = 12;

  /** The effect that is the slope over the order of reading. */
  private static final int SLOPE = 4;

  /**
   * Held this near to the round before, thou: the whole (free), kind, bank, kind in a bank, slope
   * end to end.
   */
  private static final double[] STEADY_THOU = {Double.POSITIVE_INFINITY, 0.6, 0.4, 0.3, 0.6};

  /** How far the kinds may part when read in a state whose growth is unknown, thou. */
  private static final double UNKNOWN_THOU = 20;

  /**
   * One valve's surprise before the common part is off.
   *
   * @param exhaust −½ for an intake, +½ for an exhaust; 0 where there is one kind only
   * @param bank −½ or +½; 0 with one bank
   * @param place where in the order it was read, −½ to +½
   */
  record Surprise(double thou, double variance, double exhaust, double bank, double place) {
    private RealVector row() {
      double[] row = {1, exhaust, bank, exhaust * bank * 2, place};
      return new ArrayRealVector(row, false);
    }
  }

  private final HeldFit.Solved solved;
  private final double[] weights;

  private Common(HeldFit.Solved solved, double[] weights) {
    this.solved = solved;
    this.weights = weights;
  }

  /** Nothing known yet: the first round is everybody's zero. */
  static double[] none() {
    return new double[5];
  }

  /**
   * @param before effects of the round before, from {@link #effects()}
   * @param newState read in a state whose growth is not known yet
   */
  static Common of(List<Surprise> surprises, double[] before, boolean newState) {
    double[] weights = new double[surprises.size()];
    double start = Robust.median(surprises.stream().map(Surprise::thou).toList()).orElse(0);
    RealVector effects = new ArrayRealVector(before.clone());
    effects.setEntry(0, start - offMedian(surprises, before));
    effects.setEntry(SLOPE, 0);
    Common result = null;
    for (int sweep = 0; sweep < SWEEPS; sweep++) {
      for (int i = 0; i < weights.length; i++) {
        Surprise s = surprises.get(i);
        double r = s.thou() - effects.dotProduct(s.row());
        weights[i] = (FREEDOM + 1) / (FREEDOM + r * r / s.variance());
      }
      result = solve(surprises, weights, before, newState);
      effects = result.solved.unknowns();
    }
    return result;
  }

  private static double offMedian(List<Surprise> surprises, double[] before) {
    return Robust.median(
            surprises.stream().map(s -> before[1] * s.exhaust() + before[2] * s.bank()).toList())
        .orElse(0);
  }

  private static Common solve(
      List<Surprise> surprises, double[] weights, double[] before, boolean newState) {
    double[] near = before.clone();
    near[SLOPE] = 0;
    double[] sd = STEADY_THOU.clone();
    if (newState) {
      sd[1] = UNKNOWN_THOU;
    }
    HeldFit fit = new HeldFit(near, sd);
    for (int i = 0; i < weights.length; i++) {
      Surprise s = surprises.get(i);
      fit.add(s.row(), s.thou(), weights[i] / s.variance());
    }
    return new Common(fit.solve(), weights.clone());
  }

  /** The common part at a valve, thou. */
  static double at(double[] effects, Surprise s) {
    return new ArrayRealVector(effects, false).dotProduct(s.row());
  }

  /** Share of the common part at a valve that its own reading made. */
  double leverage(Surprise s, int index) {
    RealVector row = s.row();
    return Math.min(
        1, weights[index] / s.variance() * row.dotProduct(solved.covariance().operate(row)));
  }

  /** Offsets of the whole, of exhausts over intakes, of a bank, of a kind in a bank; the slope. */
  double[] effects() {
    return solved.unknowns().toArray();
  }

  /** Standard deviation of an effect, thou. */
  double sd(int effect) {
    return solved.sd(effect);
  }
}
