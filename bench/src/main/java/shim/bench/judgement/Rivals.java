package shim.bench.judgement;

import org.hipparchus.stat.regression.SimpleRegression;

/** The other judges, each by a figure of its own: the higher, the sooner it changes. */
final class Rivals {
  private Rivals() {}

  /** First test at which the springs are bedded in. */
  private static int baseline(Season s, int upTo) {
    for (int t = 0; t < upTo; t++) {
      if (s.hours[t] >= 1) {
        return t;
      }
    }
    return upTo;
  }

  /** Paper: today's raw reading against the first one once bedded in. */
  static double paper(Season s, int test, int spring) {
    return 1 - s.written(test, spring) / s.written(baseline(s, test), spring);
  }

  /** A straight line through the spring's own readings, carried to the next event's end. */
  static double line(Season s, int test, int spring) {
    return line(s, test, spring, 0);
  }

  /** The same through readings corrected by the check spring: a harder rival than asked for. */
  static double correctedLine(Season s, int test, int spring) {
    return line(s, test, spring, 1);
  }

  private static double line(Season s, int test, int spring, double correct) {
    SimpleRegression line = new SimpleRegression();
    int from = Math.min(baseline(s, test), test - 1);
    for (int t = from; t <= test; t++) {
      line.addData(s.hours[t], s.written(t, spring) * Math.exp(-correct * s.checkLn(t)));
    }
    return 1 - line.predict(s.hours[test + 1]) / line.predict(1);
  }
}
