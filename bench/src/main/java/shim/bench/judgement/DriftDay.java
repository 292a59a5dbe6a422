package shim.bench.judgement;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.Verdict;

/** The same seasons with and without a tester that reads 2 % low on the last day. */
final class DriftDay {
  private DriftDay() {}

  public static void main(String[] args) {
    int changed = 0;
    int all = 0;
    for (int i = 0; i < 60; i++) {
      Season still = new Season(new Law.Bedding(), Conditions.USUAL, 16, new Random(7000 + i));
      Season drifted =
          new Season(new Law.Bedding(), Conditions.USUAL, 16, new Random(7000 + i), -0.02);
      Verdict[] a = verdicts(still);
      Verdict[] b = verdicts(drifted);
      for (int s = 0; s < a.length; s++) {
        all++;
        changed += a[s] == b[s] ? 0 : 1;
      }
    }
    JudgementBenchmark.say("");
    JudgementBenchmark.say(
        "a day of 2 %% tester drift, check spring used: %d of %d verdicts differ", changed, all);
  }

  private static Verdict[] verdicts(Season s) {
    SpringSet set = SpringSet.of(s.upTo(s.tests()), SetPrior.USUAL);
    int last = s.tests() - 1;
    Verdict[] v = new Verdict[s.truths.size()];
    for (int i = 0; i < v.length; i++) {
      v[i] =
          set.judge(
                  new Situation(
                      "s" + i,
                      s.own(i, last),
                      List.of(s.own(i, last + 1) - s.own(i, last)),
                      false,
                      Optional.empty()),
                  Limits.USUAL)
              .verdict();
    }
    return v;
  }
}
