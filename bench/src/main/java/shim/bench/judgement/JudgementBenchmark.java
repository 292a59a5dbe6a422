package shim.bench.judgement;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import shim.bench.Dots;
import shim.bench.judgement.Said.Judge;
import shim.core.fatigue.Limits;
import shim.core.fatigue.Reason;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.Verdict;

/**
 * Runs the seasons and prints the table. A spring is due when its true load at the end of the next
 * event is under the limit by more than 1.5 % of baseline; it is good while that load is over it by
 * more than 1.5 %. A fault that has cost less than one percent by the test, about one reading's
 * scatter, is shown by no reading: counted apart. What Shim asks to be read again is set up and
 * read once more before anybody judges.
 */
public final class JudgementBenchmark {
  private static final List<Judge> PICTURED = List.of(Judge.SHIM, Judge.BARE, Judge.CORRECTED);

  private static final double CLEAR = 0.015;

  /** Tests of a spring before it is judged. */
  private static final int FIRST_JUDGED = 2;

  private static final double SHOWN = 0.01;

  /** A fault that has cost so much is plain to see: its range is counted as a failing spring's. */
  private static final double PLAIN = 0.03;

  /** A spring that has lost more is on no engine: its range interests nobody. */
  private static final double RUN_AT_ALL = 0.2;

  /** Nobody sets a spring up more often than that in one test. */
  private static final int MOST_AGAIN = 3;

  private JudgementBenchmark() {}

  /**
   * @param args seasons a population; the seed; {@code aside} for the population kept aside, or a
   *     part of a population's title, or nothing; a file for the picture
   */
  public static void main(String[] args) throws IOException {
    int seasons = args.length > 0 ? Integer.parseInt(args[0]) : 120;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 4711L;
    String which = args.length > 2 ? args[2] : "";
    say("Run: %d seasons a population, seed %d", seasons, seed);
    List<Population> all =
        which.equals("aside")
            ? List.of(Population.keptAside())
            : Population.open().stream().filter(p -> p.words().contains(which)).toList();
    Dots picture =
        new Dots(
            "Due springs missed where 3 good ones in 1000 are changed for nothing",
            PICTURED.stream().map(j -> j.words).toList(),
            0.10);
    for (Population p : all) {
      Tally tally = tally(p, seasons, seed);
      say("");
      say("%s", tally.table(p.words()));
      List<Curve.Share> missed = PICTURED.stream().map(j -> tally.missed(j, 0.003)).toList();
      picture.row(
          p.name(),
          missed.stream().mapToDouble(Curve.Share::value).toArray(),
          missed.stream().mapToDouble(Curve.Share::error).toArray());
    }
    if (args.length > 3) {
      Files.writeString(Path.of(args[3]), picture.svg());
    }
    if (which.isEmpty()) {
      DriftDay.main(args);
    }
  }

  static Tally tally(Population p, int seasons, long seed) {
    Tally tally = new Tally();
    int[] sizes = p.conditions().sizes();
    IntStream.range(0, seasons)
        .parallel()
        .mapToObj(
            n ->
                judge(
                    n,
                    new Season(
                        p.law(), p.conditions(), sizes[n % sizes.length], new Random(seed + n))))
        .toList()
        .forEach(tally::add);
    return tally;
  }

  private static Said.OfSeason judge(int n, Season s) {
    List<Said> said = new ArrayList<>();
    BareModel bare = new BareModel(s);
    int asked = 0;
    for (int t = FIRST_JUDGED; t < s.tests(); t++) {
      List<SpringOutlook> outlooks = outlooks(s, t);
      for (int round = 0; round < MOST_AGAIN; round++) {
        int more = readAgain(s, outlooks, t);
        asked += more;
        outlooks = more == 0 ? outlooks : outlooks(s, t);
      }
      double[] under = bare.under(t);
      for (SpringOutlook o : outlooks) {
        int i = Integer.parseInt(o.spring().substring(1));
        if (t - s.born(i) >= FIRST_JUDGED) {
          said.add(judge(n, s, o, t, i, under[i]));
        }
      }
    }
    return new Said.OfSeason(said, asked);
  }

  /** Does what Shim asks for. */
  private static int readAgain(Season s, List<SpringOutlook> outlooks, int t) {
    int more = 0;
    for (SpringOutlook o : outlooks) {
      if (asksAgain(o)) {
        s.readAgain(Integer.parseInt(o.spring().substring(1)), t);
        more++;
      }
    }
    return more;
  }

  /** Of every spring that is read at a test. */
  private static List<SpringOutlook> outlooks(Season s, int t) {
    SpringSet set = SpringSet.of(s.upTo(t + 1), SetPrior.USUAL);
    return IntStream.range(0, s.truths.size())
        .filter(i -> s.reads(i, t))
        .mapToObj(i -> outlook(s, set, t, i))
        .toList();
  }

  private static boolean asksAgain(SpringOutlook o) {
    return o.reasons().stream().anyMatch(r -> r.kind() == Reason.Kind.READ_AGAIN);
  }

  private static SpringOutlook outlook(Season s, SpringSet set, int t, int i) {
    double now = s.own(i, t);
    return set.judge(
        new Situation("s" + i, now, List.of(s.own(i, t + 1) - now), false, Optional.empty()),
        Limits.USUAL);
  }

  private static Said judge(int n, Season s, SpringOutlook o, int t, int i, double bare) {
    double end = s.own(i, t + 1);
    double loss = s.trueLoss(i, end);
    double fault = s.truths.get(i).faultLn(end);
    boolean soon = o.hoursLeft().mid() <= end - s.own(i, t);
    return new Said(
        n,
        i,
        loss > Season.LIMIT + CLEAR,
        loss < Season.LIMIT - CLEAR,
        fault == 0 || s.truths.get(i).faultLn(s.own(i, t)) >= SHOWN,
        s.truths.get(i).faultLn(s.own(i, t)) >= PLAIN,
        s.trueLoss(i, s.own(i, t)) < RUN_AT_ALL,
        Said.figures(
            o.underAtNext(),
            bare,
            Rivals.correctedPaper(s, t, i),
            Rivals.line(s, t, i),
            Rivals.paper(s, t, i)),
        o.verdict() == Verdict.CHANGE,
        loss >= o.lossAtNext().low() && loss <= o.lossAtNext().high(),
        soon == o.underAtNext() >= 0.5 || Math.abs(o.underAtNext() - 0.5) < 0.01);
  }

  static void say(String text, Object... args) {
    System.out.println(String.format(Locale.ROOT, text, args));
  }
}
