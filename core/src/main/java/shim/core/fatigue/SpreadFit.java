package shim.core.fatigue;

import java.util.Arrays;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleBounds;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.BOBYQAOptimizer;

/**
 * The spreads that explain the readings best: evidence times log-normal priors of s.d. 0.7 about
 * the usual ones. The number of evaluations is bounded; the best point met is taken.
 */
final class SpreadFit {
  private static final double PRIOR_SD = 0.7;
  private static final int FITTED = 5;
  private static final int EVALUATIONS = 30;

  /** So many tests tell four spreads well enough. */
  private static final int ENOUGH_TESTS = 30;

  private static final double WIDEST = 3;

  private final SetData data;
  private final PathKind[] kinds;
  private double best = Double.NEGATIVE_INFINITY;
  private Spreads spreads = Spreads.USUAL;

  SpreadFit(SetData data, PathKind[] kinds) {
    this.data = data.plain().last(ENOUGH_TESTS);
    this.kinds = kinds.clone();
    double[] low = new double[FITTED];
    double[] high = new double[FITTED];
    Arrays.fill(low, -WIDEST);
    Arrays.fill(high, WIDEST);
    try {
      new BOBYQAOptimizer(2 * FITTED + 1, 0.8, 0.05)
          .optimize(
              new MaxEval(EVALUATIONS),
              new ObjectiveFunction(this::value),
              GoalType.MAXIMIZE,
              new InitialGuess(new double[FITTED]),
              new SimpleBounds(low, high));
    } catch (MathIllegalStateException e) {
      // All evaluations are used up: the best of them stands.
      assert best > Double.NEGATIVE_INFINITY;
    }
  }

  private double value(double[] u) {
    Spreads at = at(u);
    double prior = 0;
    for (double v : u) {
      prior -= 0.5 * v * v;
    }
    double value = prior + new SetRun(new Blocks(data, at), kinds).logEvidence();
    if (value > best) {
      best = value;
      spreads = at;
    }
    return value;
  }

  private static Spreads at(double[] u) {
    Spreads s = Spreads.USUAL;
    return new Spreads(
        s.rate() * Math.exp(PRIOR_SD * u[0]),
        s.walk() * Math.exp(PRIOR_SD * u[1]),
        s.setUp() * Math.exp(PRIOR_SD * u[2]),
        s.reading() * Math.exp(PRIOR_SD * u[3]),
        s.setting() * Math.exp(PRIOR_SD * u[4]),
        s.tester(),
        s.settling());
  }

  Spreads spreads() {
    return spreads;
  }
}
