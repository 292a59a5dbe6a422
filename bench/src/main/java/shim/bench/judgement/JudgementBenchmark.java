package shim.bench.judgement;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.Verdict;

/**
 * Runs the seasons and prints the table. A spring is due when its true load at the end of the next
 * event is under the limit by more than 1.5 % of baseline; it is good while that load is over it by
 * more than 1.5 %. Each is judged at every test while it is due; beside it the stricter count at
 * the first such test alone. A fault that has cost less than one percent by the test, about one
 * reading's scatter, is shown by no reading: counted apart.
 */
public final class JudgementBenchmark {
  private static final int[] SIZES = {4, 8, 12, 16, 24, 32};
  private static final double[] RATES = {0.001, 0.003, 0.01, 0.03};
  private static final double CLEAR = 0.015;
  private static final int FIRST_JUDGED = 2;

  private static final double SHOWN = 0.01;

  private final Curve shim = new Curve();
  private final Curve paper = new Curve();
  private final Curve line = new Curve();
  private final Curve corrected = new Curve();
  private final Curve first = new Curve();
  private final Curve paperFirst = new Curve();
  private final Curve lineFirst = new Curve();
  private int notShown;
  private int inside;
  private int intervals;
  private int verdictMissed;
  private int verdictFalse;

  private JudgementBenchmark() {}

  /**
   * @param args seasons a population, and the seed
   */
  public static void main(String[] args) {
    int seasons = args.length > 0 ? Integer.parseInt(args[0]) : 120;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 4711L;
    List<Law> laws =
        List.of(new Law.Powers(), new Law.Bedding(), new Law.HotEvents(), new Law.OverRevs());
    say("seasons %d a population, seed %d", seasons, seed);
    for (boolean checked : new boolean[] {true, false}) {
      for (Law law : laws) {
        JudgementBenchmark b = new JudgementBenchmark();
        IntStream.range(0, seasons)
            .parallel()
            .mapToObj(
                i ->
                    b.judge(
                        new Season(law, SIZES[i % SIZES.length], checked, new Random(seed + i))))
            .toList()
            .forEach(b::add);
        b.print(law, checked);
      }
    }
    DriftDay.main(args);
  }

  /** What all judges said of one spring at one test. */
  private record Said(
      boolean due,
      boolean good,
      boolean first,
      boolean shown,
      double shim,
      boolean changed,
      boolean inside,
      double paper,
      double line,
      double corrected) {}

  private List<Said> judge(Season s) {
    List<Said> said = new ArrayList<>();
    SetHistory history = s.history();
    boolean[] wasDue = new boolean[s.truths.size()];
    for (int t = FIRST_JUDGED; t < s.tests(); t++) {
      SpringSet set = SpringSet.of(history.upTo(t + 1), SetPrior.USUAL);
      for (int i = 0; i < wasDue.length; i++) {
        Said one = judge(s, set, t, i, !wasDue[i]);
        said.add(one);
        wasDue[i] |= one.due();
      }
    }
    return said;
  }

  private static Said judge(Season s, SpringSet set, int t, int i, boolean first) {
    double end = s.hours[t + 1];
    double loss = s.trueLoss(i, end);
    SpringOutlook o =
        set.judge(
            new Situation(
                "s" + i, s.hours[t], List.of(end - s.hours[t]), false, java.util.Optional.empty()),
            Limits.USUAL);
    return new Said(
        loss > Season.LIMIT + CLEAR,
        loss < Season.LIMIT - CLEAR,
        first,
        s.truths.get(i).faultLn(end) == 0 || s.truths.get(i).faultLn(s.hours[t]) >= SHOWN,
        o.underAtNext(),
        o.verdict() == Verdict.CHANGE,
        loss >= o.lossAtNext().low() && loss <= o.lossAtNext().high(),
        Rivals.paper(s, t, i),
        Rivals.line(s, t, i),
        Rivals.correctedLine(s, t, i));
  }

  private void add(List<Said> season) {
    for (Said s : season) {
      if (!s.shown()) {
        notShown += s.due() ? 1 : 0;
        continue;
      }
      intervals++;
      inside += s.inside() ? 1 : 0;
      if (s.due()) {
        shim.due(s.shim());
        paper.due(s.paper());
        line.due(s.line());
        corrected.due(s.corrected());
        if (s.first()) {
          first.due(s.shim());
          paperFirst.due(s.paper());
          lineFirst.due(s.line());
        }
        verdictMissed += s.changed() ? 0 : 1;
      } else if (s.good()) {
        shim.good(s.shim());
        paper.good(s.paper());
        line.good(s.line());
        corrected.good(s.corrected());
        verdictFalse += s.changed() ? 1 : 0;
      }
    }
  }

  private void print(Law law, boolean checked) {
    say("");
    say("### %s, %s check spring", law.words(), checked ? "with" : "without");
    say(
        "%d judgements due (%d at the first test due), %d good, %d due that no reading shows",
        shim.dueCount(), first.dueCount(), shim.goodCount(), notShown);
    say("");
    say(
        "| false changes | Shim misses | paper misses | line misses | of paper | of line | corrected line misses | first test: Shim | paper | line |");
    say("|---|---|---|---|---|---|---|---|---|---|");
    for (double rate : RATES) {
      double s = shim.missedBelow(shim.thresholdFor(rate));
      double p = paper.missedBelow(paper.thresholdFor(rate));
      double l = line.missedBelow(line.thresholdFor(rate));
      say(
          "| %.1f %% | %.1f %% | %.1f %% | %.1f %% | %.2f | %.2f | %.1f %% | %.1f %% | %.1f %% | %.1f %% |",
          100 * rate,
          100 * s,
          100 * p,
          100 * l,
          s / p,
          s / l,
          100 * corrected.missedBelow(corrected.thresholdFor(rate)),
          100 * first.missedBelow(shim.thresholdFor(rate)),
          100 * paperFirst.missedBelow(paper.thresholdFor(rate)),
          100 * lineFirst.missedBelow(line.thresholdFor(rate)));
    }
    say("");
    say(
        "default p* %.2f: misses %.1f %%, false changes %.2f %%; with the verdict's other reasons"
            + " %.1f %% and %.2f %%; 80 %% intervals hold %.1f %%",
        Limits.USUAL.changeAt(),
        100 * shim.missedBelow(Limits.USUAL.changeAt()),
        100 * shim.falseFrom(Limits.USUAL.changeAt()),
        100.0 * verdictMissed / shim.dueCount(),
        100.0 * verdictFalse / shim.goodCount(),
        100.0 * inside / intervals);
  }

  static void say(String text, Object... args) {
    System.out.println(String.format(Locale.ROOT, text, args));
  }
}
