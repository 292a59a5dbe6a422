package shim.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;

/**
 * Verdicts for a set with all its tests: 16 springs and 60 tests, half and twice as many of each,
 * 16 springs each with hours of its own; beside it one dense Cholesky factor, by the numeric
 * library, of all the readings of the 16 by 60, which a dense solve needs at least once.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class SpringSetBenchmark {
  private final SetHistory usual = history(16, 60, false);
  private final SetHistory fewTests = history(16, 30, false);
  private final SetHistory manyTests = history(16, 120, false);
  private final SetHistory fewSprings = history(8, 60, false);
  private final SetHistory manySprings = history(32, 60, false);
  private final SetHistory ownHours = history(16, 60, true);
  private final RealMatrix dense = dense(16 * 60);

  private static SetHistory history(int springs, int tests, boolean ownHours) {
    Random random = new Random(9);
    List<SetHistory.Member> members =
        IntStream.range(0, springs)
            .mapToObj(i -> new SetHistory.Member("s" + i, Optional.of(220.0)))
            .toList();
    List<SetHistory.Test> all = new ArrayList<>();
    for (int t = 0; t < tests; t++) {
      double gain = 0.01 * random.nextGaussian();
      List<SetHistory.Read> reads = new ArrayList<>();
      for (int i = 0; i < springs; i++) {
        double hours = 0.4 * t + (ownHours ? 0.3 * i : 0);
        double truth = Math.log(220) - 0.008 * Math.log1p(2 * hours) - 0.001 * hours + gain;
        reads.add(
            SetHistory.Read.once(
                "s" + i,
                hours,
                List.of(
                    Math.exp(truth + 0.007 * random.nextGaussian()),
                    Math.exp(truth + 0.007 * random.nextGaussian()))));
      }
      TesterDay.Check check = new TesterDay.Check(220, 220 * Math.exp(gain), TesterDay.Side.START);
      all.add(new SetHistory.Test(TesterDay.of(List.of(check), 220), reads));
    }
    return new SetHistory(members, all);
  }

  private static RealMatrix dense(int n) {
    RealMatrix m = MatrixUtils.createRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        m.setEntry(i, j, Math.exp(-Math.abs(i - j) / 30.0) + (i == j ? 1 : 0));
      }
    }
    return m;
  }

  private static List<SpringOutlook> verdicts(SetHistory h) {
    SpringSet set = SpringSet.of(h, SetPrior.USUAL);
    int last = h.tests().size() - 1;
    return h.tests().get(last).reads().stream()
        .map(
            r ->
                set.judge(
                    new Situation(
                        r.spring(), r.hours(), List.of(1.4, 0.9), false, Optional.empty()),
                    Limits.USUAL))
        .toList();
  }

  @Benchmark
  public List<SpringOutlook> springs16tests60() {
    return verdicts(usual);
  }

  @Benchmark
  public List<SpringOutlook> springs16tests30() {
    return verdicts(fewTests);
  }

  @Benchmark
  public List<SpringOutlook> springs16tests120() {
    return verdicts(manyTests);
  }

  @Benchmark
  public List<SpringOutlook> springs8tests60() {
    return verdicts(fewSprings);
  }

  @Benchmark
  public List<SpringOutlook> springs32tests60() {
    return verdicts(manySprings);
  }

  @Benchmark
  public List<SpringOutlook> springs16tests60ownHours() {
    return verdicts(ownHours);
  }

  @Benchmark
  public CholeskyDecomposition denseFactor16x60() {
    return new CholeskyDecomposition(dense);
  }
}
