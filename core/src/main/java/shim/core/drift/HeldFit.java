package shim.core.drift;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * Weighted least squares whose unknowns are each held near a value by a spring of their own: normal
 * priors. The first unknown is left free.
 */
final class HeldFit {
  /** Enough to keep the equations solvable where nothing speaks of the free unknown. */
  private static final double FREE = 1e-9;

  private RealMatrix a;
  private RealVector b;

  /**
   * @param near where each unknown is held
   * @param sd how loosely, in the unknown's unit; the first one's is not used
   */
  HeldFit(double[] near, double[] sd) {
    a = new Array2DRowRealMatrix(near.length, near.length);
    b = new ArrayRealVector(near.length);
    a.setEntry(0, 0, FREE);
    for (int j = 1; j < near.length; j++) {
      double precision = 1 / (sd[j] * sd[j]);
      a.setEntry(j, j, precision);
      b.setEntry(j, near[j] * precision);
    }
  }

  /** One observation: row · unknowns is about the value. */
  void add(RealVector row, double value, double weight) {
    a = a.add(row.outerProduct(row).scalarMultiply(weight));
    b = b.add(row.mapMultiply(weight * value));
  }

  /** The unknowns with their covariance. */
  record Solved(RealVector unknowns, RealMatrix covariance) {
    double sd(int unknown) {
      return Math.sqrt(covariance.getEntry(unknown, unknown));
    }
  }

  Solved solve() {
    RealMatrix covariance = new CholeskyDecomposition(a).getSolver().getInverse();
    return new Solved(covariance.operate(b), covariance);
  }
}
