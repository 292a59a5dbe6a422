package shim.bench.judgement;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleBounds;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.BOBYQAOptimizer;
import shim.core.fatigue.Repeats;
import shim.core.fatigue.TesterDay;
import shim.core.stats.Normal;

/**
 * The plain spring model as a rival: log settling, linear wear, a path of its own that is healthy
 * or 225 times as lively, two sweeps, spreads by evidence from four tests on, a step where a
 * confirmed reading fell by three standard deviations. Written apart from Shim's own, one dense
 * covariance a spring.
 */
final class BareModel {
  private static final double[] KAPPA = {1, 225};
  private static final double[] PRIOR = {0.93, 0.07};
  private static final double[] USUAL = {0.0006, 0.0002, 0.004, 0.008};
  private static final double TESTER = 0.03;
  private static final double LEVEL = 0.05;
  private static final double STEP = 0.15;
  private static final int SHARED = 2;

  private final Season season;
  private final Set<List<Integer>> steps = new HashSet<>();

  BareModel(Season season) {
    this.season = season;
  }

  /** What one spring read. */
  private record Path(
      List<Integer> tests, double[] hours, double[] y, double[] noise, boolean sure) {}

  /** A spring's covariance turned into its share of the shared system. */
  private record Share(
      double[][] cov, RealMatrix inverse, RealMatrix x, RealMatrix precision, double log) {}

  /** Chance that the loss at the end of the next event is over the limit, for every spring. */
  double[] under(int test) {
    Fit fit = new Fit(test);
    fit.sweep();
    if (test >= 3) {
      fit.fitSpreads();
    }
    fit.findSteps();
    fit.sweep();
    double ln = -Math.log1p(-Season.LIMIT);
    double[] p = new double[season.truths.size()];
    for (int i = 0; i < p.length; i++) {
      for (int k = 0; k < KAPPA.length; k++) {
        double w = fit.weights[i][k];
        p[i] +=
            w < 1e-9 || !season.reads(i, test)
                ? 0
                : w * fit.loss(i, k, season.own(i, test + 1)).above(ln);
      }
    }
    return p;
  }

  private final class Fit {
    private final int tests;
    private final int unknowns;
    private final List<Path> paths = new ArrayList<>();
    private final int[] kinds;
    private final double[][] weights;
    private double[] spreads = USUAL;
    private Map<Object, Share> shares = new HashMap<>();
    private final List<Object> patterns = new ArrayList<>();
    private double withinSquares;
    private int withinFree;
    private RealMatrix precision;
    private RealVector pull;
    private double misfit;

    Fit(int test) {
      tests = test + 1;
      unknowns = SHARED + tests;
      kinds = new int[season.truths.size()];
      weights = new double[kinds.length][];
      for (int i = 0; i < kinds.length; i++) {
        Path p = path(i);
        paths.add(p);
        patterns.add(
            List.of(Arrays.toString(p.hours()), Arrays.toString(p.noise())).toString().intern());
      }
      build();
    }

    private Path path(int i) {
      List<Integer> at = new ArrayList<>();
      for (int t = 0; t < tests; t++) {
        if (season.reads(i, t)) {
          at.add(t);
        }
      }
      double[] hours = at.stream().mapToDouble(t -> season.own(i, t)).toArray();
      double[] y = new double[hours.length];
      double[] noise = new double[hours.length];
      boolean sure = false;
      for (int k = 0; k < y.length; k++) {
        double[] read = season.readings(at.get(k), i);
        List<Double> ln =
            Arrays.stream(read).map(v -> Math.log(v / Season.newLbf())).boxed().toList();
        Repeats r = Repeats.of(ln, USUAL[3], Double.NaN);
        y[k] = r.mean();
        noise[k] = r.noise();
        withinSquares += r.squares();
        withinFree += r.free();
        sure = r.agree() && read.length >= 3;
      }
      return new Path(at, hours, y, noise, sure);
    }

    private void build() {
      shares = new HashMap<>();
      double[] mean = new double[unknowns];
      double[] variance = new double[unknowns];
      mean[0] = 0.010;
      variance[0] = 0.010 * 0.010;
      mean[1] = 0.001;
      variance[1] = 0.002 * 0.002;
      for (int t = 0; t < tests; t++) {
        double all = TESTER * TESTER;
        Optional<TesterDay> day = season.day(t);
        double seen = day.map(d -> d.sd() * d.sd()).orElse(Double.POSITIVE_INFINITY);
        mean[SHARED + t] = day.map(d -> d.gainLn() * all / (all + seen)).orElse(0.0);
        variance[SHARED + t] = 1 / (1 / all + 1 / seen) + spreads[2] * spreads[2];
      }
      precision = new Array2DRowRealMatrix(unknowns, unknowns);
      pull = new ArrayRealVector(unknowns);
      misfit = 0;
      for (int k = 0; k < unknowns; k++) {
        precision.setEntry(k, k, 1 / variance[k]);
        pull.setEntry(k, mean[k] / variance[k]);
        misfit += Math.log(variance[k]) + mean[k] * mean[k] / variance[k];
      }
      for (int i = 0; i < kinds.length; i++) {
        give(i, kinds[i], 1);
      }
    }

    private void give(int i, int kind, int sign) {
      Path p = paths.get(i);
      if (p.y().length == 0) {
        return;
      }
      Share s = share(i, kind);
      RealVector y = new ArrayRealVector(p.y(), false);
      RealVector z = s.inverse().operate(y);
      precision = precision.add(s.precision().scalarMultiply(sign));
      pull = pull.add(s.x().preMultiply(z).mapMultiply(sign));
      misfit += sign * (s.log() + y.dotProduct(z));
    }

    private Share share(int i, int kind) {
      Path p = paths.get(i);
      List<Integer> stepped = steps.stream().filter(s -> s.get(0) == i).map(s -> s.get(1)).toList();
      return shares.computeIfAbsent(
          List.of(patterns.get(i), kind, stepped), k -> made(p, kind, stepped));
    }

    private Share made(Path p, int kind, List<Integer> stepped) {
      int n = p.hours().length;
      double[][] cov = new double[n][n];
      RealMatrix x = new Array2DRowRealMatrix(n, unknowns);
      for (int j = 0; j < n; j++) {
        for (int k = 0; k < n; k++) {
          cov[j][k] = LEVEL * LEVEL + path(p.hours()[j], p.hours()[k], kind);
          for (int s : stepped) {
            cov[j][k] += p.tests().get(j) >= s && p.tests().get(k) >= s ? STEP * STEP : 0;
          }
        }
        cov[j][j] += spreads[3] * spreads[3] * p.noise()[j];
        x.setEntry(j, 0, -settled(p.hours()[j]));
        x.setEntry(j, 1, -p.hours()[j]);
        x.setEntry(j, SHARED + p.tests().get(j), 1);
      }
      CholeskyDecomposition c = cholesky(new Array2DRowRealMatrix(cov, false));
      RealMatrix inverse = c.getSolver().getInverse();
      return new Share(
          cov, inverse, x, x.transposeMultiply(inverse.multiply(x)), Math.log(c.getDeterminant()));
    }

    private double path(double t, double u, int kind) {
      double less = Math.min(t, u);
      double more = Math.max(t, u);
      return spreads[0] * spreads[0] * t * u
          + KAPPA[kind] * spreads[1] * spreads[1] * less * less * (3 * more - less) / 6;
    }

    private double logEvidence() {
      CholeskyDecomposition c = cholesky(precision);
      double log = 0;
      for (int k = 0; k < unknowns; k++) {
        log += 2 * Math.log(c.getL().getEntry(k, k));
      }
      return -0.5 * (log + misfit - pull.dotProduct(c.getSolver().solve(pull)));
    }

    void sweep() {
      for (int i = 0; i < kinds.length; i++) {
        double[] log = new double[KAPPA.length];
        for (int k = 0; k < KAPPA.length; k++) {
          put(i, k);
          log[k] = Math.log(PRIOR[k]) + logEvidence();
        }
        double own = 1 / (1 + Math.exp(log[0] - log[1]));
        weights[i] = new double[] {1 - own, own};
        put(i, own > 0.5 ? 1 : 0);
      }
    }

    private void put(int i, int kind) {
      if (kinds[i] != kind) {
        give(i, kinds[i], -1);
        give(i, kind, 1);
        kinds[i] = kind;
      }
    }

    void fitSpreads() {
      double[] best = {Double.NEGATIVE_INFINITY};
      double[][] at = {USUAL};
      try {
        new BOBYQAOptimizer(9, 0.8, 0.05)
            .optimize(
                new MaxEval(30),
                new ObjectiveFunction(
                    u -> {
                      double value = value(u);
                      if (value > best[0]) {
                        best[0] = value;
                        at[0] = spreads;
                      }
                      return value;
                    }),
                GoalType.MAXIMIZE,
                new InitialGuess(new double[4]),
                new SimpleBounds(new double[] {-3, -3, -3, -3}, new double[] {3, 3, 3, 3}));
      } catch (MathIllegalStateException e) {
        // All evaluations are used up: the best of them stands.
      }
      spreads = at[0];
      build();
    }

    private double value(double[] u) {
      spreads = new double[4];
      double prior = 0;
      for (int k = 0; k < 4; k++) {
        spreads[k] = USUAL[k] * Math.exp(0.7 * u[k]);
        prior -= u[k] * u[k] / 2;
      }
      build();
      return prior + logEvidence() + within();
    }

    /** Log density of agreeing repeats about their means. */
    private double within() {
      double v = spreads[3] * spreads[3];
      return -0.5 * (withinFree * Math.log(v) + withinSquares / v);
    }

    void findSteps() {
      RealMatrix cov = cholesky(precision).getSolver().getInverse();
      RealVector known = cov.operate(pull);
      boolean found = false;
      for (int i = 0; i < kinds.length; i++) {
        Path p = paths.get(i);
        if (p.sure() && p.y().length > 1) {
          Share s = share(i, kinds[i]);
          int last = p.y().length - 1;
          RealVector rest = new ArrayRealVector(p.y()).subtract(s.x().operate(known));
          RealMatrix white = s.inverse().multiply(s.x());
          RealVector row = white.getRowVector(last);
          double own = s.inverse().getEntry(last, last) - row.dotProduct(cov.operate(row));
          if (s.inverse().operate(rest).getEntry(last) / Math.sqrt(own) < -3) {
            found |= steps.add(List.of(i, tests - 1));
          }
        }
      }
      if (found) {
        build();
      }
    }

    /** −ln(1 − loss) of a spring on one kind of path, from the baseline to some hours. */
    Normal loss(int i, int kind, double at) {
      put(i, kind);
      RealMatrix cov = cholesky(precision).getSolver().getInverse();
      RealVector known = cov.operate(pull);
      Path p = paths.get(i);
      Share s = share(i, kind);
      List<Integer> stepped = steps.stream().filter(x -> x.get(0) == i).map(x -> x.get(1)).toList();
      int n = p.y().length;
      RealVector with = new ArrayRealVector(n);
      for (int k = 0; k < n; k++) {
        double c = path(at, p.hours()[k], kind) - path(1, p.hours()[k], kind);
        for (int t : stepped) {
          // What gave way after the baseline is part of the loss.
          boolean counts = p.hours()[p.tests().indexOf(t)] > 1;
          c += counts && p.tests().get(k) >= t ? STEP * STEP : 0;
        }
        with.setEntry(k, -c);
      }
      double own = path(at, at, kind) - 2 * path(at, 1, kind) + path(1, 1, kind);
      own +=
          STEP * STEP * stepped.stream().filter(t -> p.hours()[p.tests().indexOf(t)] > 1).count();
      RealVector weight = s.inverse().operate(with);
      RealVector rest = new ArrayRealVector(p.y()).subtract(s.x().operate(known));
      RealVector on = s.x().preMultiply(weight).mapMultiply(-1);
      on.addToEntry(0, settled(at) - settled(1));
      on.addToEntry(1, at - 1);
      double mean =
          weight.dotProduct(rest)
              + (settled(at) - settled(1)) * known.getEntry(0)
              + (at - 1) * known.getEntry(1);
      double variance = own - with.dotProduct(weight) + on.dotProduct(cov.operate(on));
      return new Normal(mean, Math.sqrt(Math.max(1e-12, variance)));
    }
  }

  private static double settled(double hours) {
    return Math.log1p(hours / 0.5);
  }

  private static CholeskyDecomposition cholesky(RealMatrix m) {
    // Sums taken back leave dust of their own on either side.
    return new CholeskyDecomposition(m.add(m.transpose()).scalarMultiply(0.5), 1e-6, 0);
  }
}
