package shim.core.fatigue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import shim.core.stats.Normal;
import shim.core.stats.Range;
import shim.core.unit.Figures;

/**
 * A set of springs judged by all its tests: the public face of the model.
 *
 * <p>Minimum data: one reading; with one or two tests the usual rate is assumed and said so. Range
 * of validity: loads that change slowly but for sudden steps; hours from the baseline of 1 h on.
 */
public final class SpringSet {
  private final SetHistory history;
  private final SetFit fit;
  private final Map<String, Integer> index = new HashMap<>();
  private final double usualLbf;
  private double @Nullable [] odd;

  private SpringSet(SetHistory history, SetPrior prior) {
    this.history = history;
    SetReader reader = new SetReader(history);
    fit = new SetFit(reader.read(prior));
    usualLbf = reader.usualLbf();
    for (int i = 0; i < history.springs().size(); i++) {
      index.put(history.springs().get(i).id(), i);
    }
  }

  /** Solves a set. */
  public static SpringSet of(SetHistory history, SetPrior prior) {
    return new SpringSet(history, prior);
  }

  /** The spreads the set itself showed, or the usual ones. */
  public Spreads spreads() {
    return fit.spreads();
  }

  /** The day of a test, tester and set-up together: ln of reading over truth, and its s.d. */
  public TesterDay day(int test) {
    Normal day = fit.run().day(test);
    return new TesterDay(day.mean(), day.sd(), OptionalDouble.empty());
  }

  /** Loss since the baseline that the set has in common, at some hours; 80 % range. */
  public Range commonLoss(double hours) {
    double settled = Settling.of(hours) - Settling.of(Settling.BASELINE_HOURS);
    SetRun run = fit.run();
    Range ln = run.common(settled, hours - Settling.BASELINE_HOURS).eighty();
    return new Range(-Math.expm1(-ln.low()), -Math.expm1(-ln.mid()), -Math.expm1(-ln.high()));
  }

  /**
   * Loss of one spring at some hours, from its last test on: the middle and the 80 % range. The
   * mean would not do: far ahead a path that runs away carries it off, however improbable it is.
   */
  public Range loss(String spring, double hours) {
    Mix mix = fit.mix(of(spring));
    return new Range(
        mix.lossQuantile(hours, 0.1), mix.lossQuantile(hours, 0.5), mix.lossQuantile(hours, 0.9));
  }

  private int of(String spring) {
    Integer i = index.get(spring);
    if (i == null) {
      throw new IllegalArgumentException("no reading names spring " + spring);
    }
    return i;
  }

  private double nominalLbf(int spring) {
    return history.springs().get(spring).nominalLbf().orElse(usualLbf);
  }

  /** Load of one spring at the baseline, lbf, corrected. */
  public double baselineLbf(String spring) {
    int i = of(spring);
    double at = Math.max(Settling.BASELINE_HOURS, lastHours(i));
    return nominalLbf(i) * Math.exp(fit.mix(i).baselineLn(at));
  }

  private double lastHours(int spring) {
    return fit.run().data().tracks().get(spring).lastHours();
  }

  /** The verdict on one spring. */
  public SpringOutlook judge(Situation s, Limits limits) {
    int i = of(s.spring());
    Mix mix = fit.mix(i);
    double end = s.hoursAfter(1);
    DoubleUnaryOperator under = h -> under(mix, i, limits, h);
    Range lossNow = loss(s.spring(), s.hoursNow());
    Range lossAtNext = loss(s.spring(), end);
    SpringFacts facts =
        new SpringFacts(
            history,
            fit,
            i,
            under.applyAsDouble(end),
            under.applyAsDouble(s.hoursAfter(2)),
            under(mix.ifSlipped(), i, limits, end),
            oddness(i),
            lossNow,
            lossAtNext);
    List<Reason> reasons =
        new Reasons(facts, mix, s, limits, nominalLbf(i), baselineLbf(s.spring())).all();
    Verdict verdict = reasons.stream().map(Reason::asks).reduce(Verdict.RUN, Verdict::orWorse);
    return new SpringOutlook(
        s.spring(),
        verdict,
        reasons,
        lossNow,
        lossAtNext,
        facts.underAtNext(),
        facts.underAfter(),
        left(s, limits, under),
        due(s, limits, under),
        fit.ownWay(i),
        facts.surprise(),
        facts.oddness(),
        baselineLbf(s.spring()),
        facts.tests(),
        decides(i, s, limits, verdict, facts.underAtNext()),
        OnPaper.of(history, s.spring(), limits.loss()));
  }

  /** What one more setting is worth; nothing where something else than the loss asks for change. */
  private double decides(int i, Situation s, Limits limits, Verdict verdict, double under) {
    boolean changes = verdict == Verdict.CHANGE;
    boolean untested = fit.run().data().tracks().get(i).count() == 0;
    if (untested || changes && !Figures.atLeast(under, limits.changeAt())) {
      return 0;
    }
    double now = Math.max(Settling.BASELINE_HOURS, s.hoursNow());
    double end = Math.max(now, s.hoursAfter(1));
    return new NextReading(fit.mix(i), now, end, fit.spreads().ofOneMore())
        .decides(changes, -Math.log1p(-limits.loss()), limits.changeAt());
  }

  private double under(Mix mix, int i, Limits limits, double hours) {
    double loss = mix.lossAbove(hours, limits.loss());
    double load =
        limits
            .leastLoadLbf()
            .map(l -> mix.loadBelow(hours, Math.log(l / nominalLbf(i))))
            .orElse(0.0);
    return Math.max(loss, load);
  }

  private static Range left(Situation s, Limits limits, DoubleUnaryOperator under) {
    double[] p = {0.1, 0.5, 0.9};
    double life = limits.lifeHours().orElse(Double.POSITIVE_INFINITY);
    double[] h =
        IntStream.range(0, p.length)
            .mapToDouble(
                k -> Math.min(life, Mix.hoursUntil(s.hoursNow(), life, p[k], under)) - s.hoursNow())
            .map(v -> Math.max(0, v))
            .toArray();
    return new Range(h[0], h[1], h[2]);
  }

  private static OptionalInt due(Situation s, Limits limits, DoubleUnaryOperator under) {
    double life = limits.lifeHours().orElse(Double.POSITIVE_INFINITY);
    for (int e = 0; e < s.comingHours().size(); e++) {
      double end = s.hoursAfter(e + 1);
      if (end > life || under.applyAsDouble(end) >= limits.changeAt()) {
        return OptionalInt.of(e);
      }
    }
    return OptionalInt.empty();
  }

  /** Robust z of a spring's loss by its last reading, within its set at the last test. */
  private OptionalDouble oddness(int spring) {
    if (odd == null) {
      odd = Oddness.of(fit, history.tests().size() - 1);
    }
    double z = odd[spring];
    return Double.isNaN(z) ? OptionalDouble.empty() : OptionalDouble.of(z);
  }
}
