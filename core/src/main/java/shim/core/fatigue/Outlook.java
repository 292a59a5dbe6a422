package shim.core.fatigue;

import java.util.Arrays;
import shim.core.stats.Normal;

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
  private static final double EVENTS = 0.001;

  private final Belief x = new Belief(1, OWN + OwnPath.STATES);
  private final OwnPath path;
  private final double fromHours;

  /**
   * @param own columns of the springs, then of the shared unknowns
   * @param unknowns number of shared unknowns
   */
  Outlook(
      OwnPath path,
      Belief own,
      int springs,
      int column,
      Shared known,
      int unknowns,
      double lastHours) {
    this.path = path;
    double[][] on = dependence(own, springs, unknowns);
    for (int i = 0; i < on.length; i++) {
      double mean = i < OWN ? 0 : own.mean(column, i - OWN);
      for (int k = 0; k < unknowns; k++) {
        mean += on[i][k] * known.mean(k);
      }
      x.reset(i, mean, 0);
    }
    double[][] spread = Arrays.stream(on).map(known::spread).toArray(double[][]::new);
    for (int i = 0; i < on.length; i++) {
      for (int j = 0; j <= i; j++) {
        double cov = j < OWN ? 0 : own.cov(i - OWN, j - OWN);
        for (int k = 0; k < unknowns; k++) {
          cov += spread[i][k] * on[j][k];
        }
        x.noise(i, j, cov);
      }
    }
    fromHours = Math.max(lastHours, Settling.BASELINE_HOURS);
    if (lastHours < Settling.BASELINE_HOURS) {
      bedIn(Settling.BASELINE_HOURS - lastHours);
    }
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
    x.add(OWN + OwnPath.PATH, OWN + OwnPath.RATE, path.carried(dt));
    x.noise(OWN + OwnPath.PATH, OWN + OwnPath.PATH, path.wandering(dt));
    x.same(OWN + OwnPath.BASELINE, OWN + OwnPath.PATH);
  }

  /** Minus ln(1 − loss) at some hours of the spring, from the baseline on. */
  Normal lossLn(double hours) {
    double ahead = Math.max(0, hours - fromHours);
    double settled = Settling.of(hours) - Settling.of(Settling.BASELINE_HOURS);
    int[] at = {
      A, W, OWN + OwnPath.SETTLING, OWN + OwnPath.PATH, OWN + OwnPath.RATE, OWN + OwnPath.BASELINE
    };
    double[] factor = {
      settled, hours - Settling.BASELINE_HOURS, settled, 1, path.carried(ahead), -1
    };
    return of(at, factor, ahead);
  }

  /** ln of load over nominal at some hours, from the baseline on. */
  Normal loadLn(double hours) {
    double ahead = Math.max(0, hours - fromHours);
    double settled = Settling.of(hours);
    int[] at = {
      BOX, A, W, OWN + OwnPath.LEVEL, OWN + OwnPath.SETTLING, OWN + OwnPath.PATH, OWN + OwnPath.RATE
    };
    double[] factor = {1, -settled, -hours, 1, -settled, -1, -path.carried(ahead)};
    return of(at, factor, ahead);
  }

  private Normal of(int[] at, double[] factor, double ahead) {
    double variance = x.variance(at, factor) + path.wandering(ahead) + EVENTS * EVENTS * ahead;
    return new Normal(x.predicted(0, at, factor), Math.sqrt(Math.max(0, variance)));
  }
}
