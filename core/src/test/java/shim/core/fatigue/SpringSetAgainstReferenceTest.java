package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.descriptive.rank.Median;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;
import shim.core.stats.Normal;
import shim.core.stats.Robust;
import shim.core.unit.Known;

/**
 * The arrow solution against one dense step over all readings: the covariance of everything read is
 * written down from the model's formulas and solved by the numeric library (Hipparchus 4).
 */
class SpringSetAgainstReferenceTest {
  private static final SetPrior PRIOR = SetPrior.USUAL;
  private static final Spreads S = Spreads.USUAL;

  /** Covariance of V at two hours: rate and integrated random walk, closed form. */
  private static double path(double s, double t, double kappa) {
    double low = Math.min(s, t);
    double high = Math.max(s, t);
    return S.rate() * S.rate() * s * t
        + kappa * S.walk() * S.walk() * low * low * (3 * high - low) / 6;
  }

  private record Seen(int spring, int test, double hours, double read, double noise) {}

  private static List<Seen> seen(SetData data) {
    List<Seen> all = new ArrayList<>();
    for (int i = 0; i < data.tracks().size(); i++) {
      Track k = data.tracks().get(i);
      for (int t : k.seenTests()) {
        all.add(new Seen(i, t, k.hours()[t], k.read()[t], k.noise()[t]));
      }
    }
    return all;
  }

  private static double cov(Seen x, Seen y, SetData data, double[] kappa) {
    double lx = Settling.of(x.hours);
    double ly = Settling.of(y.hours);
    double c = SetPrior.BOX_SD * SetPrior.BOX_SD;
    c += lx * ly * PRIOR.settlingSd() * PRIOR.settlingSd();
    c += x.hours * y.hours * PRIOR.wearPerHourSd() * PRIOR.wearPerHourSd();
    if (x.test == y.test) {
      c += data.dayVariances()[x.test] + S.setUp() * S.setUp();
    }
    if (x.spring == y.spring) {
      c += 0.03 * 0.03 + S.settling() * S.settling() * lx * ly;
      c += path(x.hours, y.hours, kappa[x.spring]);
    }
    return c + (x.equals(y) ? S.reading() * S.reading() * x.noise + S.setting() * S.setting() : 0);
  }

  private static double mean(Seen x, SetData data) {
    return data.dayMeans()[x.test]
        - PRIOR.settling() * Settling.of(x.hours)
        - PRIOR.wearPerHour() * x.hours;
  }

  /** Covariance of a reading with minus ln(1 − loss) of a spring at some hours. */
  private static double withLoss(Seen x, int spring, double at, double[] kappa) {
    double settled = Settling.of(at) - Settling.of(1);
    double c = -Settling.of(x.hours) * settled * PRIOR.settlingSd() * PRIOR.settlingSd();
    c -= x.hours * (at - 1) * PRIOR.wearPerHourSd() * PRIOR.wearPerHourSd();
    if (x.spring == spring) {
      c -= S.settling() * S.settling() * Settling.of(x.hours) * settled;
      c -= path(x.hours, at, kappa[spring]) - path(x.hours, 1, kappa[spring]);
    }
    return c;
  }

  private static double lossVariance(int spring, double at, double[] kappa) {
    double settled = Settling.of(at) - Settling.of(1);
    double k = kappa[spring];
    return settled * settled * PRIOR.settlingSd() * PRIOR.settlingSd()
        + (at - 1) * (at - 1) * PRIOR.wearPerHourSd() * PRIOR.wearPerHourSd()
        + S.settling() * S.settling() * settled * settled
        + path(at, at, k)
        - 2 * path(at, 1, k)
        + path(1, 1, k);
  }

  @Test
  void theArrowSolutionIsTheDenseOne() {
    SetHistory history =
        new Sets(5, 3).extra((i, h) -> i == 2 && h > 3 ? 0.01 * (h - 3) : 0).history();
    SetData data = new SetReader(history).read(PRIOR);
    PathKind[] kinds = new PathKind[5];
    Arrays.fill(kinds, PathKind.WITH_SET);
    kinds[2] = PathKind.OWN_WAY;
    double[] kappa = {1, 1, PathKind.OWN_WAY.kappa(), 1, 1};
    SetRun run = new SetRun(new Blocks(data, S), kinds);
    List<Seen> all = seen(data);
    int n = all.size();
    RealMatrix c = MatrixUtils.createRealMatrix(n, n);
    RealVector r = MatrixUtils.createRealVector(new double[n]);
    for (int i = 0; i < n; i++) {
      r.setEntry(i, all.get(i).read - mean(all.get(i), data));
      for (int j = 0; j < n; j++) {
        c.setEntry(i, j, cov(all.get(i), all.get(j), data, kappa));
      }
    }
    LUDecomposition lu = new LUDecomposition(c);
    RealVector weighed = lu.getSolver().solve(r);
    double dense =
        -0.5 * (n * Math.log(2 * Math.PI) + Math.log(lu.getDeterminant()) + r.dotProduct(weighed));
    assertThat(run.logEvidence() - data.repeatsDensity(S.reading())).isCloseTo(dense, within(1e-6));

    double last = Sets.HOURS[Sets.HOURS.length - 1];
    for (int spring : new int[] {0, 2}) {
      for (double at : new double[] {last, last + 2}) {
        RealVector with = MatrixUtils.createRealVector(new double[n]);
        for (int i = 0; i < n; i++) {
          with.setEntry(i, withLoss(all.get(i), spring, at, kappa));
        }
        double prior =
            PRIOR.settling() * (Settling.of(at) - Settling.of(1)) + PRIOR.wearPerHour() * (at - 1);
        double variance =
            lossVariance(spring, at, kappa) - with.dotProduct(lu.getSolver().solve(with));
        Outlook.Ahead loss = run.outlook(spring).lossLn(at);
        assertThat(loss.mean()).isCloseTo(prior + with.dotProduct(weighed), within(1e-9));
        double events = 0.0007 * 0.0007 * (at - last);
        assertThat(loss.variance()).isCloseTo(variance + events, within(1e-9));
      }
    }
  }

  @Test
  void theLastReadingStandsAgainstAllOthersAsTheDenseSolutionSays() {
    SetData data = new SetReader(new Sets(4, 8).history()).read(PRIOR);
    PathKind[] kinds = new PathKind[4];
    Arrays.fill(kinds, PathKind.WITH_SET);
    Dense dense = Dense.of(data, -1, -1);
    List<Seen> all = dense.all;
    RealMatrix inverse = dense.inverse;
    RealVector weighed = inverse.operate(dense.rest);
    int n = all.size();
    SetRun run = new SetRun(new Blocks(data, S), kinds);
    for (int i = 0; i < n; i++) {
      if (all.get(i).test == data.tests() - 1) {
        double z = weighed.getEntry(i) / Math.sqrt(inverse.getEntry(i, i));
        assertThat(run.surprise(all.get(i).spring)).isCloseTo(z, within(1e-6));
      }
    }
  }

  /** Every reading of a set in one dense normal distribution, all springs healthy. */
  private record Dense(List<Seen> all, RealMatrix inverse, RealVector rest, double log) {
    static Dense of(SetData data, int slipped, int at) {
      List<Seen> all = seen(data);
      double[] kappa = new double[data.tracks().size()];
      Arrays.fill(kappa, 1);
      int n = all.size();
      RealMatrix c = MatrixUtils.createRealMatrix(n, n);
      RealVector r = MatrixUtils.createRealVector(new double[n]);
      for (int i = 0; i < n; i++) {
        r.setEntry(i, all.get(i).read - mean(all.get(i), data));
        for (int j = 0; j < n; j++) {
          c.setEntry(i, j, cov(all.get(i), all.get(j), data, kappa));
        }
        if (all.get(i).spring == slipped && all.get(i).test == at) {
          c.addToEntry(i, i, Spreads.SLIP * Spreads.SLIP);
        }
      }
      LUDecomposition lu = new LUDecomposition(c);
      return new Dense(all, lu.getSolver().getInverse(), r, Math.log(lu.getDeterminant()));
    }

    /** What is left of the readings once a fault of one spring is taken out. */
    RealVector without(int spring, Fault fault, double size) {
      RealVector left = rest.copy();
      for (int i = 0; i < all.size(); i++) {
        if (all.get(i).spring == spring) {
          left.addToEntry(i, size * fault.lost(all.get(i).hours));
        }
      }
      return left;
    }

    double logLikelihood(RealVector left) {
      return -0.5 * (log + left.dotProduct(inverse.operate(left)));
    }
  }

  /** Chance of a fault of one size, integrated over its half-normal size in small steps. */
  private static double integrated(Dense dense, int spring, Fault fault, double healthy) {
    double sum = 0;
    for (double[] size : fault.sizes()) {
      int steps = 4000;
      double step = 6 * size[0] / steps;
      for (int k = 0; k < steps; k++) {
        double a = (k + 0.5) * step;
        double density = 2 / size[0] * Normal.density(a / size[0]);
        double log = dense.logLikelihood(dense.without(spring, fault, a)) - healthy;
        sum += size[1] * step * density * Math.exp(log);
      }
    }
    return sum;
  }

  @Test
  void anAccountWeighsWhatTheDenseSolutionSays() {
    int spring = 2;
    SetData data =
        new SetReader(new Sets(4, 3).extra((i, h) -> i == 2 && h > 5 ? 0.024 : 0).history())
            .read(PRIOR);
    PathKind[] kinds = new PathKind[4];
    Arrays.fill(kinds, PathKind.WITH_SET);
    List<Possible> likely = new SetRun(new Blocks(data, S), kinds).accounts(spring).likely();
    Possible healthy =
        likely.stream()
            .filter(p -> p.fault() == null && p.slipColumn() < 0)
            .findAny()
            .orElseThrow();
    double noFault = 1 - Fault.all(Sets.HOURS).stream().mapToDouble(Fault::prior).sum();
    Dense right = Dense.of(data, -1, -1);
    double base = right.logLikelihood(right.rest);
    int last = data.tests() - 1;
    Dense wrong = Dense.of(data, spring, last);
    Possible slip =
        likely.stream()
            .filter(p -> p.fault() == null && p.slipColumn() == last)
            .findAny()
            .orElseThrow();
    double slips = 3 * 0.01;
    assertThat(slip.weight() / healthy.weight())
        .isCloseTo(
            0.01 / (1 - slips) * Math.exp(wrong.logLikelihood(wrong.rest) - base),
            withinPercentage(0.01));
    // Spreads of a size that weigh next to nothing are left out: faults that have all of theirs.
    Map<Fault, List<Possible>> byFault =
        likely.stream()
            .filter(p -> p.fault() != null && p.slipColumn() < 0)
            .collect(Collectors.groupingBy(p -> Objects.requireNonNull(p.fault())));
    List<Fault> faults =
        byFault.keySet().stream()
            .filter(f -> Known.in(byFault, f).size() == f.sizes().length)
            .limit(3)
            .toList();
    assertThat(faults).hasSize(3);
    for (Fault f : faults) {
      double weight = Known.in(byFault, f).stream().mapToDouble(Possible::weight).sum();
      double ratio = f.prior() / noFault * integrated(right, spring, f, base);
      assertThat(weight / healthy.weight()).as("%s", f).isCloseTo(ratio, withinPercentage(0.1));
    }
  }

  /** With a fault of known size, loss is the dense one of what is left, and the fault's cost. */
  @Test
  void theOutlookOfAnAccountIsTheDenseOneWithItsFaultTakenOut() {
    int spring = 1;
    double size = 0.03;
    SetData data =
        new SetReader(new Sets(4, 3).extra((i, h) -> i == 1 && h > 5 ? 0.03 : 0).history())
            .read(PRIOR);
    PathKind[] kinds = new PathKind[4];
    Arrays.fill(kinds, PathKind.WITH_SET);
    Accounts accounts = new SetRun(new Blocks(data, S), kinds).accounts(spring);
    Possible some =
        accounts.likely().stream()
            .filter(p -> p.fault() != null && p.slipColumn() < 0)
            .findFirst()
            .orElseThrow();
    Fault fault = some.fault();
    Mix mix = accounts.mix();
    int at = accounts.likely().indexOf(some);
    Possible placed = mix.accounts().get(at);
    Mix known =
        new Mix(
            mix.outlook(),
            List.of(new Possible(1, fault, placed.column(), size, 0, 0, 0, 0, 0)),
            0);
    Dense dense = Dense.of(data, -1, -1);
    double ahead = 9;
    RealVector with = MatrixUtils.createRealVector(new double[dense.all.size()]);
    double[] kappa = {1, 1, 1, 1};
    for (int i = 0; i < dense.all.size(); i++) {
      with.setEntry(i, withLoss(dense.all.get(i), spring, ahead, kappa));
    }
    double prior =
        PRIOR.settling() * (Settling.of(ahead) - Settling.of(1))
            + PRIOR.wearPerHour() * (ahead - 1);
    double loss =
        prior
            + with.dotProduct(dense.inverse.operate(dense.without(spring, fault, size)))
            + size * (fault.lost(ahead) - fault.lost(1));
    assertThat(known.meanLossLn(ahead)).isCloseTo(loss, within(1e-9));
  }

  @Test
  void ourFactorIsTheLibrarys() {
    double[][] lower = {{4}, {1, 3}, {-0.5, 0.7, 2}};
    double[][] full = {{4, 1, -0.5}, {1, 3, 0.7}, {-0.5, 0.7, 2}};
    double[] pull = {1, -2, 0.3};
    Shared ours = new Shared(lower, pull);
    CholeskyDecomposition theirs = new CholeskyDecomposition(MatrixUtils.createRealMatrix(full));
    RealVector x = theirs.getSolver().solve(MatrixUtils.createRealVector(pull));
    for (int k = 0; k < pull.length; k++) {
      assertThat(ours.mean(k)).isCloseTo(x.getEntry(k), within(1e-12));
    }
    assertThat(ours.logDeterminant()).isCloseTo(Math.log(theirs.getDeterminant()), within(1e-12));
    RealVector v = MatrixUtils.createRealVector(new double[] {1, 2, 3});
    assertThat(ours.variance(v.toArray()))
        .isCloseTo(v.dotProduct(theirs.getSolver().solve(v)), within(1e-12));
  }

  /** NIST StRD, Norris: certified slope, intercept and residual s.d. */
  @Test
  void theLibrarysStraightLineGivesNistNorris() {
    double[][] norris = {
      {0.2, 0.1}, {337.4, 338.8}, {118.2, 118.1}, {884.6, 888.0}, {10.1, 9.2}, {226.5, 228.1},
      {666.3, 668.5}, {996.3, 998.5}, {448.6, 449.1}, {777.0, 778.9}, {558.2, 559.2}, {0.4, 0.3},
      {0.6, 0.1}, {775.5, 778.1}, {666.9, 668.8}, {338.0, 339.3}, {447.5, 448.9}, {11.6, 10.8},
      {556.0, 557.7}, {228.1, 228.3}, {995.8, 998.0}, {887.6, 888.8}, {120.2, 119.6}, {0.3, 0.3},
      {0.3, 0.6}, {556.8, 557.6}, {339.1, 339.3}, {887.2, 888.0}, {999.0, 998.5}, {779.0, 778.9},
      {11.1, 10.2}, {118.3, 117.6}, {229.2, 228.9}, {669.1, 668.4}, {448.9, 449.2}, {0.5, 0.2}
    };
    SimpleRegression line = new SimpleRegression();
    line.addData(norris);
    assertThat(line.getSlope()).isCloseTo(1.00211681802045, within(1e-12));
    assertThat(line.getIntercept()).isCloseTo(-0.262323073774029, within(1e-11));
    assertThat(Math.sqrt(line.getMeanSquareError())).isCloseTo(0.884796396144373, within(1e-10));
  }

  @Test
  void medianAndItsDeviationAreTheLibrarys() {
    double[] v = {216.2, 218.0, 217.1, 209.5, 216.9, 217.7, 215.8};
    double median = new Median().evaluate(v);
    double[] away = Arrays.stream(v).map(x -> Math.abs(x - median)).toArray();
    List<Double> list = Arrays.stream(v).boxed().toList();
    assertThat(Robust.median(list).orElseThrow()).isEqualTo(median);
    assertThat(Robust.scaledMad(list).orElseThrow())
        .isCloseTo(1.4826 * new Median().evaluate(away), within(1e-12));
  }
}
