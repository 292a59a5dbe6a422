package shim.core.drift;

import java.util.List;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import shim.core.stats.Robust;

/**
 * What one round did to all valves alike: an offset of the whole round, of a kind of valve, of a
 * bank and of a kind in a bank, and a slope over the order of reading as the engine cools. The
 * offset of the whole is left free, so a round shifted as a whole changes nothing else; the others
 * are held near what they were in the round before. One valve that goes its own way is weighed
 * down.
 */
final class Common {
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
    private HeldFit.Observed observed() {
      return new HeldFit.Observed(row(), thou, variance);
    }

    private RealVector row() {
      double[] row = {1, exhaust, bank, exhaust * bank * 2, place};
      return new ArrayRealVector(row, false);
    }
  }

  private final HeldFit fit;

  private Common(HeldFit fit) {
    this.fit = fit;
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
    double[] near = before.clone();
    near[SLOPE] = 0;
    double[] sd = STEADY_THOU.clone();
    if (newState) {
      sd[1] = UNKNOWN_THOU;
    }
    double middle = Robust.median(surprises.stream().map(Surprise::thou).toList()).orElse(0);
    RealVector start = new ArrayRealVector(near);
    start.setEntry(0, middle - offMedian(surprises, before));
    return new Common(
        HeldFit.of(surprises.stream().map(Surprise::observed).toList(), near, sd, start));
  }

  private static double offMedian(List<Surprise> surprises, double[] before) {
    return Robust.median(
            surprises.stream().map(s -> before[1] * s.exhaust() + before[2] * s.bank()).toList())
        .orElse(0);
  }

  /** The common part at a valve, thou. */
  static double at(double[] effects, Surprise s) {
    return new ArrayRealVector(effects, false).dotProduct(s.row());
  }

  /** Share of the common part at a valve that its own reading made. */
  double leverage(Surprise s, int index) {
    RealVector row = s.row();
    return Math.min(
        1, fit.weights()[index] / s.variance() * row.dotProduct(fit.covariance().operate(row)));
  }

  /** Offsets of the whole, of exhausts over intakes, of a bank, of a kind in a bank; the slope. */
  double[] effects() {
    return fit.unknowns().toArray();
  }

  /** Standard deviation of an effect, thou. */
  double sd(int effect) {
    return fit.sd(effect);
  }
}
