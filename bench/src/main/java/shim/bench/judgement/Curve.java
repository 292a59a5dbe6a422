package shim.bench.judgement;

import java.util.Arrays;

/** One judge's figures for springs that were due and for springs that were good. */
final class Curve {
  private final Figures due = new Figures();
  private final Figures good = new Figures();

  /** Figures with the season each belongs to. */
  private static final class Figures {
    private double[] value = new double[1024];
    private int[] season = new int[1024];
    private int size;

    void add(int of, double figure) {
      if (size == value.length) {
        value = Arrays.copyOf(value, 2 * size);
        season = Arrays.copyOf(season, 2 * size);
      }
      value[size] = figure;
      season[size++] = of;
    }
  }

  /**
   * A share with its standard error; seasons count as independent, the judgements within one do
   * not.
   */
  record Share(double value, double error) {}

  void due(int season, double figure) {
    due.add(season, figure);
  }

  void good(int season, double figure) {
    good.add(season, figure);
  }

  int dueCount() {
    return due.size;
  }

  int goodCount() {
    return good.size;
  }

  /** The lowest threshold that changes no more than this share of good springs. */
  double thresholdFor(double falseRate) {
    double[] sorted = Arrays.copyOf(good.value, good.size);
    Arrays.sort(sorted);
    int allowed = Math.min((int) Math.floor(falseRate * sorted.length), sorted.length - 1);
    return Math.nextUp(sorted[sorted.length - 1 - allowed]);
  }

  Share missedBelow(double threshold) {
    return share(due, threshold, false);
  }

  Share falseFrom(double threshold) {
    return share(good, threshold, true);
  }

  private static Share share(Figures of, double threshold, boolean from) {
    int seasons = of.size == 0 ? 0 : Arrays.stream(of.season, 0, of.size).max().orElseThrow() + 1;
    double[] hit = new double[seasons];
    double[] all = new double[seasons];
    double sum = 0;
    for (int k = 0; k < of.size; k++) {
      boolean counts = of.value[k] >= threshold == from;
      hit[of.season[k]] += counts ? 1 : 0;
      all[of.season[k]]++;
      sum += counts ? 1 : 0;
    }
    double share = sum / of.size;
    double squares = 0;
    for (int s = 0; s < seasons; s++) {
      squares += (hit[s] - share * all[s]) * (hit[s] - share * all[s]);
    }
    return new Share(share, Math.sqrt(squares) / of.size);
  }
}
