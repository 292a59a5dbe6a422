package shim.core.fatigue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import shim.core.spring.LoadQuestion;
import shim.core.spring.SpringType;
import shim.core.stats.Range;
import shim.core.unit.Figures;

/**
 * One spring in a test under way: what the tester should show, and what the readings so far say
 * against that.
 *
 * @param read as the tester showed it, in the order it was read
 * @param expectedLbf what this tester should show today at the height it stands at
 * @param correctedLbf mean of the readings at the reference height, corrected; empty before any
 * @param loss of its baseline, share
 * @param againstLast change since its last test, share
 * @param repeatability two readings of the same spring differ by less than this in 95 of 100, share
 * @param surprise how far the mean lies from what was predicted, s.d.
 * @param firstSpread s.d. of ln of a single reading about what is predicted
 */
public record TestEntry(
    List<Load> read,
    double expectedLbf,
    OptionalDouble correctedLbf,
    OptionalDouble loss,
    OptionalDouble againstLast,
    double repeatability,
    OptionalDouble surprise,
    double firstSpread) {
  /** A figure this far off is read again before anything is concluded, s.d. */
  private static final double SURPRISING = 3;

  /** Repeatability limit over its s.d., 1.96 times the root of 2 (ISO 5725-6). */
  private static final double REPEATABILITY = 2.77;

  /** A spring that was never tested may lie this far from its data sheet, s.d. of ln. */
  private static final double NEVER_TESTED = 0.05;

  private static final double LEAST_LOSS_SD = 0.002;

  /** Half of an 80 % range over its s.d. */
  private static final double HALF_80 = 1.2816;

  /** One reading as the tester showed it. */
  public record Load(double loadLbf, double heightIn) {}

  /**
   * A spring as it was known before the test.
   *
   * @param hours its own
   * @param heightIn it stands at
   * @param tested the set was tested before
   * @param lastLbf load of its last test at the reference height, corrected
   */
  public record Known(
      String spring,
      SpringType type,
      double hours,
      double heightIn,
      boolean tested,
      OptionalDouble lastLbf) {}

  public TestEntry {
    read = List.copyOf(read);
  }

  /**
   * @param day what the check spring says of the tester; empty without one
   */
  public static TestEntry of(Known known, SpringSet set, List<Load> read, Optional<TesterDay> day) {
    SpringType type = known.type();
    double baseline = set.baselineLbf(known.spring());
    Range loss = set.loss(known.spring(), Math.max(Settling.BASELINE_HOURS, known.hours()));
    boolean settled = known.hours() >= Settling.BASELINE_HOURS && known.tested();
    double expected = settled ? baseline * (1 - loss.mid()) : baseline;
    double gain = Math.exp(day.map(TesterDay::gainLn).orElse(0.0));
    double dayVariance = day.map(d -> square(d.sd())).orElse(square(Spreads.USUAL.tester()));
    double lossSd = Math.max(LEAST_LOSS_SD, (loss.high() - loss.low()) / 2 / HALF_80);
    double steady =
        square(lossSd)
            + dayVariance
            + square(Spreads.USUAL.setUp())
            + (settled ? 0 : square(NEVER_TESTED));
    double reading = square(set.spreads().reading());
    OptionalDouble corrected =
        scaled(read.stream().mapToDouble(l -> atReference(l, type)).average(), 1 / gain);
    double spread = Math.sqrt(steady + reading / Math.max(1, read.size()));
    return new TestEntry(
        read,
        type.curve().move(expected, type.referenceHeightIn(), known.heightIn()).loadLbf() * gain,
        corrected,
        share(corrected, baseline, -1),
        known.lastLbf().isPresent()
            ? share(corrected, known.lastLbf().getAsDouble(), 1)
            : OptionalDouble.empty(),
        REPEATABILITY * set.spreads().reading(),
        corrected.isPresent()
            ? OptionalDouble.of(Math.log(corrected.getAsDouble() / expected) / spread)
            : OptionalDouble.empty(),
        Math.sqrt(steady + reading));
  }

  private static double atReference(Load l, SpringType type) {
    return type.curve().move(l.loadLbf(), l.heightIn(), type.referenceHeightIn()).loadLbf();
  }

  private static OptionalDouble scaled(OptionalDouble v, double by) {
    return v.isPresent() ? OptionalDouble.of(v.getAsDouble() * by) : v;
  }

  /** Change against a load as a share of it: plus for a gain, or minus for a loss. */
  private static OptionalDouble share(OptionalDouble v, double of, int sign) {
    return v.isPresent() ? OptionalDouble.of(sign * (v.getAsDouble() / of - 1)) : v;
  }

  private static double square(double v) {
    return v * v;
  }

  /**
   * What is asked before anything is concluded: a slip of the last figure, or a mean that nothing
   * predicted. A spring that was read again has answered the second.
   */
  public Optional<LoadQuestion> question(boolean readAgain) {
    if (read.isEmpty()) {
      return Optional.empty();
    }
    double last = read.get(read.size() - 1).loadLbf();
    boolean surprising = Figures.above(Math.abs(surprise.orElse(0)), SURPRISING) && !readAgain;
    return LoadQuestion.load(last, expectedLbf)
        .or(
            () ->
                surprising ? Optional.of(LoadQuestion.again(last, expectedLbf)) : Optional.empty());
  }

  /** Readings still wanted. */
  public int more(int repeats, boolean readAgain) {
    int wanted = Math.max(0, repeats - read.size());
    return question(readAgain).isPresent() && !readAgain ? Math.max(1, wanted) : wanted;
  }

  /** A first reading from here to {@link #plainToLbf} is taken without a question. */
  public double plainFromLbf() {
    return Math.max(
        LoadQuestion.plainFromLbf(expectedLbf), expectedLbf * Math.exp(-SURPRISING * firstSpread));
  }

  public double plainToLbf() {
    return Math.min(
        LoadQuestion.plainToLbf(expectedLbf), expectedLbf * Math.exp(SURPRISING * firstSpread));
  }
}
