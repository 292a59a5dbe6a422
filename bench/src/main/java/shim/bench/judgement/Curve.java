package shim.bench.judgement;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** One judge's figures for springs that were due and for springs that were good. */
final class Curve {
  private final List<Double> due = new ArrayList<>();
  private final List<Double> good = new ArrayList<>();

  void due(double figure) {
    due.add(figure);
  }

  void good(double figure) {
    good.add(figure);
  }

  int dueCount() {
    return due.size();
  }

  int goodCount() {
    return good.size();
  }

  /** The lowest threshold that changes no more than this share of good springs. */
  double thresholdFor(double falseRate) {
    List<Double> sorted = new ArrayList<>(good);
    sorted.sort(Comparator.reverseOrder());
    int allowed = Math.min((int) Math.floor(falseRate * sorted.size()), sorted.size() - 1);
    return Math.nextUp(sorted.get(allowed));
  }

  double missedBelow(double threshold) {
    return due.stream().filter(f -> !(f >= threshold)).count() / (double) due.size();
  }

  double falseFrom(double threshold) {
    return good.stream().filter(f -> f >= threshold).count() / (double) good.size();
  }
}
