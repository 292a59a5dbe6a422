package shim.core.drift;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
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

  /** Held this near to the round before, thou: kind, bank, kind in a bank, slope end to end. */
  private static final double[] STEADY_THOU = {0.6, 0.4, 0.3, 0.6};

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
    private double[] row() {
      return new double[] {1, exhaust, bank, exhaust * bank * 2, place};
    }
  }

  private final RealVector effects;
  private final RealMatrix covariance;
  private final double[] weights;

  private Common(RealVector effects, RealMatrix covariance, double[] weights) {
    this.effects = effects;
    this.covariance = covariance;
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
    effects.setEntry(4, 0);
    Common result = null;
    for (int sweep = 0; sweep < SWEEPS; sweep++) {
      for (int i = 0; i < weights.length; i++) {
        Surprise s = surprises.get(i);
        double r = s.thou() - effects.dotProduct(new ArrayRealVector(s.row(), false));
        weights[i] = (FREEDOM + 1) / (FREEDOM + r * r / s.variance());
      }
      result = solve(surprises, weights, before, newState);
      effects = result.effects;
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
    RealMatrix a = new Array2DRowRealMatrix(5, 5);
    RealVector b = new ArrayRealVector(5);
    a.setEntry(0, 0, 1e-9);
    for (int j = 1; j < 5; j++) {
      double sd = newState && j == 1 ? UNKNOWN_THOU : STEADY_THOU[j - 1];
      a.setEntry(j, j, 1 / (sd * sd));
      b.setEntry(j, j == 4 ? 0 : before[j] / (sd * sd));
    }
    for (int i = 0; i < weights.length; i++) {
      Surprise s = surprises.get(i);
      RealVector row = new ArrayRealVector(s.row(), false);
      double w = weights[i] / s.variance();
      a = a.add(row.outerProduct(row).scalarMultiply(w));
      b = b.add(row.mapMultiply(w * s.thou()));
    }
    RealMatrix covariance = new CholeskyDecomposition(a).getSolver().getInverse();
    return new Common(covariance.operate(b), covariance, weights.clone());
  }

  /** The common part at a valve, thou. */
  static double at(double[] effects, Surprise s) {
    return new ArrayRealVector(effects, false).dotProduct(new ArrayRealVector(s.row(), false));
  }

  /** Share of the common part at a valve that its own reading made. */
  double leverage(Surprise s, int index) {
    RealVector row = new ArrayRealVector(s.row(), false);
    return Math.min(1, weights[index] / s.variance() * row.dotProduct(covariance.operate(row)));
  }

  /** Offsets of the whole, of exhausts over intakes, of a bank, of a kind in a bank; the slope. */
  double[] effects() {
    return effects.toArray();
  }

  /** Standard deviation of an effect, thou. */
  double sd(int effect) {
    return Math.sqrt(covariance.getEntry(effect, effect));
  }
}
