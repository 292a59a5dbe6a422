package shim.bench.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.TesterDay;
import shim.core.stats.Robust;

/**
 * One simulated season of a set: a test when new and after every event, now and then a reading at a
 * wrong height. Who reads something that does not fit, or is asked to, sets it up and reads it
 * again, and all judges get all of it.
 */
final class Season {
  static final double LIMIT = 0.10;
  private static final double NEW_LBF = 220;
  private static final double SLIP = 0.01;
  private static final double UNFIT = 0.025;
  private static final double CHECK_SD = 0.003;

  final List<Law.Truth> truths;
  final boolean checked;
  private final Law law;
  private final Conditions how;
  private final RandomGenerator random;
  private final double[] hours;
  private final double[][][] raw;
  private final int[] born;
  private final double[] dayLn;
  private final double[] checkStart;
  private final double[] checkEnd;
  private final double[] levelLn;

  Season(Law law, Conditions how, int springs, RandomGenerator r) {
    this(law, how, springs, r, 0);
  }

  Season(Law law, Conditions how, int springs, RandomGenerator r, double lastDayDrift) {
    this.law = law;
    this.how = how;
    this.checked = how.checked();
    random = r;
    int events = 7 + r.nextInt(7);
    hours = new double[events + 2];
    for (int e = 1; e < hours.length; e++) {
      hours[e] = hours[e - 1] + Law.uniform(r, 0.5, 2.2);
    }
    int tests = events + 1;
    truths = law.set(springs, hours[events + 1], r);
    double[] gain = law.tester(tests, r);
    gain[tests - 1] += lastDayDrift;
    jump(gain);
    born =
        IntStream.range(0, springs).map(i -> how.halfNew() && i % 2 == 1 ? tests / 2 : 0).toArray();
    levelLn =
        DoubleStream.generate(() -> Math.log(NEW_LBF) + 0.02 * r.nextGaussian())
            .limit(springs)
            .toArray();
    raw = new double[tests][springs][];
    dayLn = new double[tests];
    checkStart = new double[tests];
    checkEnd = new double[tests];
    for (int t = 0; t < tests; t++) {
      dayLn[t] = gain[t] + 0.003 * r.nextGaussian();
      checkStart[t] = gain[t] + CHECK_SD * r.nextGaussian();
      checkEnd[t] = gain[t] + CHECK_SD * r.nextGaussian();
      for (int i = 0; i < springs; i++) {
        raw[t][i] = reads(i, t) ? setting(i, t) : new double[0];
      }
      if (how.rereads()) {
        readUnfitAgain(t);
      }
    }
  }

  /** From one day on, half the time back again a few days later. */
  private void jump(double[] gain) {
    if (how.jumpLn() == 0) {
      return;
    }
    double size = random.nextBoolean() ? how.jumpLn() : -how.jumpLn();
    int from = 2 + random.nextInt(gain.length - 2);
    int until = random.nextBoolean() ? gain.length : Math.min(gain.length, from + 3);
    for (int t = from; t < until; t++) {
      gain[t] += size;
    }
  }

  private double[] setting(int i, int t) {
    double slip =
        random.nextDouble() < SLIP
            ? (random.nextBoolean() ? 1 : -1) * Law.uniform(random, how.slipLn() / 3, how.slipLn())
            : 0;
    double off = how.settingSd() == 0 ? 0 : how.settingSd() * random.nextGaussian();
    double truth = levelLn[i] - truths.get(i).lossLn(own(i, t)) + dayLn[t] + slip + off;
    return DoubleStream.generate(() -> Math.exp(truth + law.noise(random)))
        .limit(how.repeats())
        .toArray();
  }

  /** What moved against its set by more than readings do is set up and read once more. */
  private void readUnfitAgain(int t) {
    double[] moves =
        IntStream.range(0, truths.size())
            .mapToDouble(
                i -> t > born[i] ? Math.log(mean(raw[t][i]) / mean(raw[t - 1][i])) : Double.NaN)
            .toArray();
    double common =
        Robust.median(DoubleStream.of(moves).filter(m -> !Double.isNaN(m)).boxed().toList())
            .orElse(0);
    for (int i = 0; i < moves.length; i++) {
      if (Math.abs(moves[i] - common) > UNFIT) {
        readAgain(i, t);
      }
    }
  }

  /** Sets a spring up and reads it once more. */
  void readAgain(int i, int t) {
    raw[t][i] =
        DoubleStream.concat(DoubleStream.of(raw[t][i]), DoubleStream.of(setting(i, t))).toArray();
  }

  private static double mean(double[] v) {
    return DoubleStream.of(v).average().orElseThrow();
  }

  /** First test of a spring. */
  int born(int spring) {
    return born[spring];
  }

  boolean reads(int spring, int test) {
    return test >= born[spring];
  }

  /** A spring's own hours at a test, or at the end of the event after the last one. */
  double own(int spring, int test) {
    return Math.max(0, hours[test] - hours[born[spring]]);
  }

  double[] readings(int test, int spring) {
    return raw[test][spring];
  }

  /** What a careful person writes down: the median of the repeats. */
  double written(int test, int spring) {
    return Robust.median(DoubleStream.of(raw[test][spring]).boxed().toList()).orElseThrow();
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

  /** Everything read up to and with a test. */
  SetHistory upTo(int tests) {
    List<SetHistory.Member> members =
        IntStream.range(0, truths.size())
            .mapToObj(i -> new SetHistory.Member("s" + i, Optional.of(NEW_LBF)))
            .toList();
    List<SetHistory.Test> list = new ArrayList<>();
    for (int t = 0; t < tests; t++) {
      list.add(test(t));
    }
    return new SetHistory(members, list);
  }

  private SetHistory.Test test(int t) {
    List<SetHistory.Read> reads = new ArrayList<>();
    for (int i = 0; i < truths.size(); i++) {
      if (reads(i, t)) {
        reads.add(new SetHistory.Read("s" + i, own(i, t), settings(raw[t][i])));
      }
    }
    return new SetHistory.Test(day(t), reads);
  }

  private List<List<Double>> settings(double[] read) {
    return IntStream.range(0, read.length / how.repeats())
        .mapToObj(
            n ->
                DoubleStream.of(read)
                    .skip((long) n * how.repeats())
                    .limit(how.repeats())
                    .boxed()
                    .toList())
        .toList();
  }

  Optional<TesterDay> day(int t) {
    if (!checked) {
      return Optional.empty();
    }
    return TesterDay.of(
        List.of(
            new TesterDay.Check(NEW_LBF, NEW_LBF * Math.exp(checkStart[t]), TesterDay.Side.START),
            new TesterDay.Check(NEW_LBF, NEW_LBF * Math.exp(checkEnd[t]), TesterDay.Side.END)),
        NEW_LBF);
  }

  /** Load of a new spring by its data sheet. */
  static double newLbf() {
    return NEW_LBF;
  }
}
