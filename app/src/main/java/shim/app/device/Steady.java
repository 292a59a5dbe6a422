package shim.app.device;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.DoubleUnaryOperator;

/** When a live figure may be taken: the last readings lie close together. */
final class Steady {
  private static final int READINGS = 8;

  private final DoubleUnaryOperator close;
  private final double least;
  private final Deque<Double> last = new ArrayDeque<>();

  /**
   * @param close how far apart they may lie, by the highest of them
   * @param least nothing below this is a reading
   */
  Steady(DoubleUnaryOperator close, double least) {
    this.close = close;
    this.least = least;
  }

  void add(double figure) {
    last.addLast(figure);
    if (last.size() > READINGS) {
      last.removeFirst();
    }
  }

  void clear() {
    last.clear();
  }

  boolean steady() {
    double low = last.stream().mapToDouble(v -> v).min().orElse(0);
    double high = last.stream().mapToDouble(v -> v).max().orElse(0);
    return last.size() == READINGS && low > least && high - low <= close.applyAsDouble(high);
  }

  double mean() {
    return last.stream().mapToDouble(v -> v).average().orElse(0);
  }
}
