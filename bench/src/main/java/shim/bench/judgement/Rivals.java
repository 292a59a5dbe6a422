package shim.bench.judgement;

import org.hipparchus.stat.regression.SimpleRegression;

/** The other judges, each by a figure of its own: the higher, the sooner it changes. */
final class Rivals {
  private Rivals() {}

  /** First test at which a spring is bedded in. */
  private static int baseline(Season s, int upTo, int spring) {
    for (int t = s.born(spring); t < upTo; t++) {
      if (s.own(spring, t) >= 1) {
        return t;
      }
    }
    return upTo;
  }

  /** Paper: today's raw reading against the first one once bedded in. */
  static double paper(Season s, int test, int spring) {
    return 1 - s.written(test, spring) / s.written(baseline(s, test, spring), spring);
  }

  /** The same with each reading divided by what the check spring showed that day. */
  static double correctedPaper(Season s, int test, int spring) {
    return 1 - corrected(s, test, spring) / corrected(s, baseline(s, test, spring), spring);
  }

  private static double corrected(Season s, int test, int spring) {
    return s.written(test, spring) * Math.exp(-s.checkLn(test));
  }

  /** A straight line through the spring's own corrected readings, to the next event's end. */
  static double line(Season s, int test, int spring) {
    SimpleRegression line = new SimpleRegression();
    int from = Math.min(baseline(s, test, spring), test - 1);
    for (int t = from; t <= test; t++) {
      line.addData(s.own(spring, t), corrected(s, t, spring));
    }
    return 1 - line.predict(s.own(spring, test + 1)) / line.predict(1);
  }
}
