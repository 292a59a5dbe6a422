package shim.core.drift;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Least squares whose unknowns are each held near a value by a spring of their own (normal priors,
 * the first unknown left free), and in which an observation that stands apart is weighed down:
 * Student's t with 4 degrees of freedom, swept until nothing moves.
 *
 * @param weights of the observations, about one for those that agree
 */
record HeldFit(RealVector unknowns, RealMatrix covariance, double[] weights) {
  private static final double FREEDOM = 4;
  private static final int MOST_SWEEPS = 60;

  /** Unknowns that move less than this in a sweep stand still. */
  private static final double STILL = 1e-6;

  /** Enough to keep the equations solvable where nothing speaks of the free unknown. */
  private static final double FREE = 1e-9;

  /** One observation: row · unknowns is about the value. */
  record Observed(RealVector row, double value, double variance) {}

  /**
   * @param near where each unknown is held
   * @param sd how loosely, in the unknown's unit; the first one's is not used
   * @param start unknowns from which the first weights are taken
   */
  static HeldFit of(List<Observed> seen, double[] near, double[] sd, RealVector start) {
    RealVector unknowns = start;
    HeldFit fit;
    double moved;
    int sweeps = 0;
    do {
      fit = solve(seen, near, sd, weights(seen, unknowns));
      moved = fit.unknowns.getLInfDistance(unknowns);
      unknowns = fit.unknowns;
    } while (moved > STILL && ++sweeps < MOST_SWEEPS);
    return fit;
  }

  private static double[] weights(List<Observed> seen, RealVector unknowns) {
    return seen.stream()
        .mapToDouble(
            s -> {
              double r = s.value() - unknowns.dotProduct(s.row());
              return (FREEDOM + 1) / (FREEDOM + r * r / s.variance());
            })
        .toArray();
  }

  private static HeldFit solve(List<Observed> seen, double[] near, double[] sd, double[] weights) {
    RealMatrix a = new Array2DRowRealMatrix(near.length, near.length);
    RealVector b = new ArrayRealVector(near.length);
    a.setEntry(0, 0, FREE);
    for (int j = 1; j < near.length; j++) {
      double precision = 1 / (sd[j] * sd[j]);
      a.setEntry(j, j, precision);
      b.setEntry(j, near[j] * precision);
    }
    for (int i = 0; i < weights.length; i++) {
      Observed s = seen.get(i);
      double weight = weights[i] / s.variance();
      a = a.add(s.row().outerProduct(s.row()).scalarMultiply(weight));
      b = b.add(s.row().mapMultiply(weight * s.value()));
    }
    RealMatrix covariance = new CholeskyDecomposition(a).getSolver().getInverse();
    return new HeldFit(covariance.operate(b), covariance, weights);
  }

  /** Standard deviation of an unknown. */
  double sd(int unknown) {
    return Math.sqrt(covariance.getEntry(unknown, unknown));
  }
}
