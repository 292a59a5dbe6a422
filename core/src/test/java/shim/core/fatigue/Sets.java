package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import shim.core.spring.LoadCurve;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;

/** Sets of springs read over a season, for tests. */
final class Sets {
  static final double NEW_LBF = 220;
  static final double[] HOURS = {0, 1.2, 2.5, 3.6, 5.0, 6.4, 7.7};

  /** Extra loss of one spring at some hours, ln. */
  interface Extra {
    double lossLn(int spring, double hours);
  }

  private final int springs;
  private final Random random;
  private Extra extra = (i, h) -> 0;
  private Extra slip = (i, t) -> 0;
  private DoubleUnaryOperator gain = t -> 0;
  private boolean checked = true;
  private int repeats = 2;
  private Again again = (i, t) -> List.of();

  /** What further settings of a spring at a test read off its true load, ln. */
  interface Again {
    List<Double> offLn(int spring, int test);
  }

  Sets(int springs, long seed) {
    this.springs = springs;
    random = new Random(seed);
  }

  Sets extra(Extra extra) {
    this.extra = extra;
    return this;
  }

  /** What the first setting of a spring at a test, given as its number, reads off; ln. */
  Sets slip(Extra slip) {
    this.slip = slip;
    return this;
  }

  /** Tester gain of each test, ln. */
  Sets gain(DoubleUnaryOperator gain) {
    this.gain = gain;
    return this;
  }

  Sets unchecked() {
    checked = false;
    return this;
  }

  /** One more setting for each figure, read as often as the first. */
  Sets again(Again again) {
    this.again = again;
    return this;
  }

  Sets repeats(int repeats) {
    this.repeats = repeats;
    return this;
  }

  SetHistory history() {
    return history(HOURS);
  }

  SetHistory history(double... hours) {
    List<SetHistory.Test> tests = new ArrayList<>();
    for (int t = 0; t < hours.length; t++) {
      tests.add(test(t, hours[t]));
    }
    return new SetHistory(members(), tests);
  }

  private List<SetHistory.Member> members() {
    return IntStream.range(0, springs)
        .mapToObj(i -> new SetHistory.Member("s" + i, Optional.of(NEW_LBF)))
        .toList();
  }

  private SetHistory.Test test(int t, double hours) {
    double g = gain.applyAsDouble(t);
    List<SetHistory.Read> reads = new ArrayList<>();
    for (int i = 0; i < springs; i++) {
      double truth =
          Math.log(NEW_LBF) - 0.010 * Settling.of(hours) - 0.001 * hours - extra.lossLn(i, hours);
      List<List<Double>> settings =
          new ArrayList<>(List.of(setting(truth + g + slip.lossLn(i, t))));
      again.offLn(i, t).forEach(off -> settings.add(setting(truth + g + off)));
      reads.add(new SetHistory.Read("s" + i, hours, settings));
    }
    List<TesterDay.Check> checks =
        List.of(
            new TesterDay.Check(
                NEW_LBF,
                NEW_LBF * Math.exp(g + 0.002 * random.nextGaussian()),
                TesterDay.Side.START));
    return new SetHistory.Test(checked ? TesterDay.of(checks, NEW_LBF) : Optional.empty(), reads);
  }

  private List<Double> setting(double ln) {
    return IntStream.range(0, repeats)
        .mapToObj(r -> Math.exp(ln + 0.006 * random.nextGaussian()))
        .toList();
  }

  static Situation now(int spring, double hours) {
    return new Situation("s" + spring, hours, List.of(1.4, 0.9), false, Optional.empty());
  }

  /** 300 lbf/in: 220 at 1.95, 505 at 1.0. */
  static SpringType type(String name) {
    return new SpringType(
        name,
        SpringSheet.Form.DUAL,
        new LoadCurve(List.of(new LoadCurve.At(1.95, NEW_LBF), new LoadCurve.At(1.0, 505))),
        1.95,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        0.08,
        Optional.empty());
  }
}
