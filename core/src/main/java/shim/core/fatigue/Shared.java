package shim.core.fatigue;

/**
 * The shared unknowns solved: a, w, B and one γ a test. Prior and shares of the springs come in as
 * precision and pull.
 *
 * <p>Cholesky's factor is made here on bare rows of the lower triangle: it is asked for a hundred
 * times a verdict, and the numeric library's takes the full matrix and copies it twice. The test
 * holds the two against each other.
 */
final class Shared {
  private final double[][] lower;
  private final double[] mean;
  private final double logDeterminant;
  private final double explained;

  /**
   * @param precision lower triangle, one row longer than the last; not changed
   */
  Shared(double[][] precision, double[] pull) {
    lower = factor(precision);
    double log = 0;
    for (int i = 0; i < lower.length; i++) {
      log += 2 * Math.log(lower[i][i]);
    }
    logDeterminant = log;
    mean = spread(pull);
    explained = dot(pull, mean);
  }

  private static double[][] factor(double[][] a) {
    double[][] l = new double[a.length][];
    for (int i = 0; i < a.length; i++) {
      double[] row = a[i].clone();
      l[i] = row;
      for (int j = 0; j < i; j++) {
        row[j] = (row[j] - dot(row, l[j], j)) / l[j][j];
      }
      double rest = row[i] - dot(row, row, i);
      if (!(rest > 0)) {
        throw new ArithmeticException("the set's precision is not positive");
      }
      row[i] = Math.sqrt(rest);
    }
    return l;
  }

  private static double dot(double[] x, double[] y, int length) {
    double sum = 0;
    for (int k = 0; k < length; k++) {
      sum += x[k] * y[k];
    }
    return sum;
  }

  private static double dot(double[] x, double[] y) {
    return dot(x, y, x.length);
  }

  /** ln of the determinant of the precision. */
  double logDeterminant() {
    return logDeterminant;
  }

  /** vᵀ A⁻¹ v. */
  double explained() {
    return explained;
  }

  double mean(int k) {
    return mean[k];
  }

  /** Means of all of them. */
  double[] means() {
    return mean.clone();
  }

  /** A⁻¹ x: covariance of a sum of shared unknowns with each of them. */
  double[] spread(double[] x) {
    double[] y = forward(x);
    for (int i = y.length - 1; i >= 0; i--) {
      double[] row = lower[i];
      y[i] /= row[i];
      for (int j = 0; j < i; j++) {
        y[j] -= row[j] * y[i];
      }
    }
    return y;
  }

  /** L⁻¹ x, so that the product of two such vectors is xᵀ A⁻¹ y. */
  double[] half(double[] x) {
    return forward(x);
  }

  private double[] forward(double[] x) {
    double[] y = x.clone();
    for (int i = 0; i < y.length; i++) {
      y[i] = (y[i] - dot(lower[i], y, i)) / lower[i][i];
    }
    return y;
  }

  /** Variance of a sum of shared unknowns. */
  double variance(double[] x) {
    double[] y = forward(x);
    return dot(y, y);
  }
}
