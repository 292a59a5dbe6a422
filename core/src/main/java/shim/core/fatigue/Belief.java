package shim.core.fatigue;

import java.util.Arrays;

/**
 * A Gaussian belief over a few numbers, changed step by step. Several means share one covariance:
 * how uncertain a path is depends on when and how carefully it was read, not on what was read. Each
 * step costs at most the square of the number of states, and the states once a column.
 */
final class Belief {
  /** One row a state, so that a step runs along all columns at once. */
  private final double[][] mean;

  private final double[][] cov;
  private final double[] gain;

  /** Nothing known yet: zero means without spread, to be set by {@link #reset}. */
  Belief(int columns, int states) {
    mean = new double[states][columns];
    cov = new double[states][states];
    gain = new double[states];
  }

  double mean(int column, int state) {
    return mean[state][column];
  }

  /** Sets one column's mean of a state. */
  void mean(int column, int state, double value) {
    mean[state][column] = value;
  }

  double cov(int i, int j) {
    return cov[i][j];
  }

  /** Forgets a state: from now on independent of all others. */
  void reset(int state, double value, double variance) {
    Arrays.fill(mean[state], value);
    Arrays.fill(cov[state], 0);
    for (double[] row : cov) {
      row[state] = 0;
    }
    cov[state][state] = variance;
  }

  /** Adds {@code factor} times state {@code from} to state {@code to}. */
  void add(int to, int from, double factor) {
    double[] source = mean[from];
    double[] target = mean[to];
    for (int c = 0; c < target.length; c++) {
      target[c] += factor * source[c];
    }
    double own = cov[to][to] + 2 * factor * cov[to][from] + factor * factor * cov[from][from];
    for (int j = 0; j < cov.length; j++) {
      cov[to][j] += factor * cov[from][j];
      cov[j][to] = cov[to][j];
    }
    cov[to][to] = own;
  }

  /** Multiplies a state. */
  void scale(int state, double by) {
    for (int c = 0; c < mean[state].length; c++) {
      mean[state][c] *= by;
    }
    for (int j = 0; j < cov.length; j++) {
      cov[state][j] *= by;
      cov[j][state] *= by;
    }
  }

  /** Makes one state the same as another from now on. */
  void same(int to, int as) {
    System.arraycopy(mean[as], 0, mean[to], 0, mean[as].length);
    double variance = cov[as][as];
    for (int j = 0; j < cov.length; j++) {
      cov[to][j] = cov[as][j];
      cov[j][to] = cov[as][j];
    }
    cov[to][as] = variance;
    cov[as][to] = variance;
    cov[to][to] = variance;
  }

  void noise(int i, int j, double covariance) {
    cov[i][j] += covariance;
    if (i != j) {
      cov[j][i] += covariance;
    }
  }

  /**
   * Takes in one observation a column of the same sum of states.
   *
   * @param at states in the sum
   * @param factor factor of each
   * @param seen what was seen, one value a column, the first columns at least; becomes what was not
   *     predicted of it
   * @param variance of the observation's own error
   * @return variance of what was not predicted
   */
  double observe(int[] at, double[] factor, double[] seen, double variance) {
    int n = cov.length;
    double spread = variance;
    for (int i = 0; i < n; i++) {
      double sum = 0;
      for (int k = 0; k < at.length; k++) {
        sum += cov[i][at[k]] * factor[k];
      }
      gain[i] = sum;
    }
    for (int k = 0; k < at.length; k++) {
      spread += gain[at[k]] * factor[k];
    }
    for (int k = 0; k < at.length; k++) {
      double f = factor[k];
      double[] m = mean[at[k]];
      for (int c = 0; c < seen.length; c++) {
        seen[c] -= f * m[c];
      }
    }
    for (int i = 0; i < n; i++) {
      double share = gain[i] / spread;
      double[] m = mean[i];
      for (int c = 0; c < seen.length; c++) {
        m[c] += share * seen[c];
      }
    }
    for (int i = 0; i < n; i++) {
      double share = gain[i] / spread;
      for (int j = 0; j <= i; j++) {
        cov[i][j] -= share * gain[j];
        cov[j][i] = cov[i][j];
      }
    }
    return spread;
  }

  /** Mean of a sum of states in one column. */
  double predicted(int column, int[] at, double[] factor) {
    double sum = 0;
    for (int k = 0; k < at.length; k++) {
      sum += mean[at[k]][column] * factor[k];
    }
    return sum;
  }

  /** Variance of a sum of states. */
  double variance(int[] at, double[] factor) {
    double sum = 0;
    for (int k = 0; k < at.length; k++) {
      for (int m = 0; m < at.length; m++) {
        sum += factor[k] * factor[m] * cov[at[k]][at[m]];
      }
    }
    return sum;
  }
}
