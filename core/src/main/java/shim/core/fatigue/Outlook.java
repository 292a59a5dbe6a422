package shim.core.fatigue;

import java.util.Arrays;

/**
 * One spring's belief carried on in hours: its loss since the baseline and its load, each normal.
 * The future adds the wandering of its rate; reading noise does not belong in it.
 */
final class Outlook {
  private static final int A = 0;
  private static final int W = 1;
  private static final int BOX = 2;
  private static final int OWN = 3;

  /** One event is harder on springs than another: s.d. of an hour's loss, ln. */
  private static final double EVENTS = 0.0007;

  private final Belief x;
  private final OwnPath path;
  private final double fromHours;

  private final int columns;

  /**
   * @param own columns of the springs, then of the shared unknowns
   * @param others further columns whose share is carried along
   * @param explained what each of those would make of the shared unknowns
   */
  Outlook(
      OwnPath path,
      Belief own,
      int springs,
      int column,
      Shared known,
      int[] others,
      double[][] explained,
      double lastHours) {
    this.path = path;
    columns = 1 + others.length;
    x = new Belief(columns, OWN + OwnPath.STATES);
    double[] means = known.means();
    double[][] on = dependence(own, springs, means.length);
    double[][] spread = Arrays.stream(on).map(known::spread).toArray(double[][]::new);
    for (int i = 0; i < on.length; i++) {
      x.reset(i, 0, 0);
      x.mean(0, i, (i < OWN ? 0 : own.mean(column, i - OWN)) + dot(on[i], means));
      for (int c = 0; c < others.length; c++) {
        double direct = i < OWN ? 0 : own.mean(others[c], i - OWN);
        x.mean(1 + c, i, direct + dot(on[i], explained[c]));
      }
    }
    for (int i = 0; i < on.length; i++) {
      for (int j = 0; j <= i; j++) {
        double cov = j < OWN ? 0 : own.cov(i - OWN, j - OWN);
        x.noise(i, j, cov + dot(spread[i], on[j]));
      }
    }
    fromHours = Math.max(lastHours, Settling.BASELINE_HOURS);
    if (lastHours < Settling.BASELINE_HOURS) {
      bedIn(Settling.BASELINE_HOURS - lastHours);
    }
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int k = 0; k < a.length; k++) {
      sum += a[k] * b[k];
    }
    return sum;
  }

  /** How each state hangs on the shared unknowns: one to one, or through what was read. */
  private static double[][] dependence(Belief own, int springs, int unknowns) {
    double[][] on = new double[OWN + OwnPath.STATES][unknowns];
    on[A][Block.SETTLING] = 1;
    on[W][Block.WEAR] = 1;
    on[BOX][Block.BOX] = 1;
    for (int s = 0; s < OwnPath.STATES; s++) {
      for (int k = 0; k < unknowns; k++) {
        on[OWN + s][k] = -own.mean(springs + k, s);
      }
    }
    return on;
  }

  private void bedIn(double dt) {
    x.add(OWN + OwnPath.PATH, OWN + OwnPath.RATE, dt);
    x.noise(OWN + OwnPath.PATH, OWN + OwnPath.PATH, path.wandering(dt));
    x.same(OWN + OwnPath.BASELINE, OWN + OwnPath.PATH);
  }

  /**
   * A figure at some hours.
   *
   * @param shifts what one unit of each further column would put into its mean; the first is zero
   */
  record Ahead(double mean, double variance, double[] shifts) {}

  /** A sum of states at some hours. */
  private record Sum(int[] at, double[] factor, double ahead) {}

  private Sum loss(double hours) {
    double ahead = Math.max(0, hours - fromHours);
    double settled = Settling.of(hours) - Settling.of(Settling.BASELINE_HOURS);
    int[] at = {
      A, W, OWN + OwnPath.SETTLING, OWN + OwnPath.PATH, OWN + OwnPath.RATE, OWN + OwnPath.BASELINE
    };
    double[] factor = {settled, hours - Settling.BASELINE_HOURS, settled, 1, ahead, -1};
    return new Sum(at, factor, ahead);
  }

  private Sum load(double hours) {
    double ahead = Math.max(0, hours - fromHours);
    double settled = Settling.of(hours);
    int[] at = {
      BOX, A, W, OWN + OwnPath.LEVEL, OWN + OwnPath.SETTLING, OWN + OwnPath.PATH, OWN + OwnPath.RATE
    };
    double[] factor = {1, -settled, -hours, 1, -settled, -1, -ahead};
    return new Sum(at, factor, ahead);
  }

  /** Minus ln(1 − loss) at some hours of the spring, from the baseline on. */
  Ahead lossLn(double hours) {
    return of(loss(hours));
  }

  /** ln of load over nominal at some hours, from the baseline on. */
  Ahead loadLn(double hours) {
    return of(load(hours));
  }

  /** Covariance of the load at some hours with the loss at others. */
  double covariance(double loadHours, double lossHours) {
    Sum load = load(loadHours);
    Sum loss = loss(lossHours);
    double sum = 0;
    for (int i = 0; i < load.at().length; i++) {
      for (int j = 0; j < loss.at().length; j++) {
        sum += load.factor()[i] * loss.factor()[j] * x.cov(load.at()[i], loss.at()[j]);
      }
    }
    return sum;
  }

  private Ahead of(Sum s) {
    double variance =
        x.variance(s.at(), s.factor()) + path.wandering(s.ahead()) + EVENTS * EVENTS * s.ahead();
    double[] shifts = new double[columns];
    for (int c = 1; c < columns; c++) {
      shifts[c] = x.predicted(c, s.at(), s.factor());
    }
    return new Ahead(x.predicted(0, s.at(), s.factor()), Math.max(0, variance), shifts);
  }
}
