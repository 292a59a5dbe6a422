package shim.bench.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.TesterDay;
import shim.core.stats.Robust;

/**
 * One simulated season of a set: a test when new and after every event, two repeats, now and then a
 * reading at a wrong height; who reads something that does not fit reads it again from the start,
 * and all three judges get all of it.
 */
final class Season {
  static final double LIMIT = 0.10;
  private static final double NEW_LBF = 220;
  private static final double SLIP = 0.01;
  private static final double UNFIT = 0.025;

  final List<Law.Truth> truths;
  final double[] hours;
  final double[][][] raw;
  final boolean checked;
  private final double[] checkStart;
  private final double[] checkEnd;
  private final double[] levelLn;

  Season(Law law, int springs, boolean checked, RandomGenerator r) {
    this(law, springs, checked, r, 0);
  }

  Season(Law law, int springs, boolean checked, RandomGenerator r, double lastDayDrift) {
    this.checked = checked;
    int events = 7 + r.nextInt(7);
    hours = new double[events + 2];
    for (int e = 1; e < hours.length; e++) {
      hours[e] = hours[e - 1] + Law.uniform(r, 0.5, 2.2);
    }
    int tests = events + 1;
    truths = law.set(springs, hours[events + 1], r);
    double[] gain = law.tester(tests, r);
    gain[tests - 1] += lastDayDrift;
    levelLn = new double[springs];
    for (int i = 0; i < springs; i++) {
      levelLn[i] = Math.log(NEW_LBF) + 0.02 * r.nextGaussian();
    }
    raw = new double[tests][springs][];
    checkStart = new double[tests];
    checkEnd = new double[tests];
    for (int t = 0; t < tests; t++) {
      double setUp = 0.003 * r.nextGaussian();
      checkStart[t] = gain[t] + 0.003 * r.nextGaussian();
      checkEnd[t] = gain[t] + 0.003 * r.nextGaussian();
      for (int i = 0; i < springs; i++) {
        raw[t][i] = setting(law, r, i, t, gain[t] + setUp);
      }
      readAgain(law, r, t, gain[t] + setUp);
    }
  }

  private double[] setting(Law law, RandomGenerator r, int i, int t, double day) {
    double slip =
        r.nextDouble() < SLIP ? (r.nextBoolean() ? 1 : -1) * Law.uniform(r, 0.02, 0.06) : 0;
    double truth = levelLn[i] - truths.get(i).lossLn(hours[t]) + day + slip;
    return new double[] {
      Math.exp(truth + law.noise(r)), Math.exp(truth + law.noise(r)),
    };
  }

  /** What moved against its set by more than readings do is set up and read once more. */
  private void readAgain(Law law, RandomGenerator r, int t, double day) {
    if (t == 0) {
      return;
    }
    List<Double> moves = new ArrayList<>();
    for (int i = 0; i < truths.size(); i++) {
      moves.add(Math.log(mean(raw[t][i]) / mean(raw[t - 1][i])));
    }
    double common = Robust.median(moves).orElseThrow();
    for (int i = 0; i < truths.size(); i++) {
      if (Math.abs(moves.get(i) - common) > UNFIT) {
        double[] again = setting(law, r, i, t, day);
        raw[t][i] = new double[] {raw[t][i][0], raw[t][i][1], again[0], again[1]};
      }
    }
  }

  static double mean(double[] v) {
    double sum = 0;
    for (double x : v) {
      sum += x;
    }
    return sum / v.length;
  }

  /** What a careful person writes down: the median of the repeats. */
  double written(int test, int spring) {
    List<Double> all = new ArrayList<>();
    for (double v : raw[test][spring]) {
      all.add(v);
    }
    return Robust.median(all).orElseThrow();
  }

  /** The tester's error as the check spring showed it; zero without one. */
  double checkLn(int test) {
    return checked ? (checkStart[test] + checkEnd[test]) / 2 : 0;
  }

  int tests() {
    return raw.length;
  }

  /** True loss since the baseline at some hours, share. */
  double trueLoss(int spring, double at) {
    Law.Truth t = truths.get(spring);
    return -Math.expm1(-(t.lossLn(at) - t.lossLn(1)));
  }

  SetHistory history() {
    List<SetHistory.Member> members = new ArrayList<>();
    for (int i = 0; i < truths.size(); i++) {
      members.add(new SetHistory.Member("s" + i, Optional.of(NEW_LBF)));
    }
    List<SetHistory.Test> tests = new ArrayList<>();
    for (int t = 0; t < raw.length; t++) {
      List<SetHistory.Read> reads = new ArrayList<>();
      for (int i = 0; i < truths.size(); i++) {
        List<Double> loads = new ArrayList<>();
        for (double v : raw[t][i]) {
          loads.add(v);
        }
        reads.add(new SetHistory.Read("s" + i, hours[t], loads));
      }
      tests.add(new SetHistory.Test(day(t), reads));
    }
    return new SetHistory(members, tests);
  }

  private Optional<TesterDay> day(int t) {
    if (!checked) {
      return Optional.empty();
    }
    return TesterDay.of(
        List.of(
            new TesterDay.Check(NEW_LBF, NEW_LBF * Math.exp(checkStart[t]), TesterDay.Side.START),
            new TesterDay.Check(NEW_LBF, NEW_LBF * Math.exp(checkEnd[t]), TesterDay.Side.END)),
        NEW_LBF);
  }
}
