package shim.app.device;

import java.util.ArrayDeque;
import java.util.Deque;

/** When a live load may be taken: the last readings lie close together. */
final class Steady {
  private static final int READINGS = 8;
  private static final double CLOSE = 0.006;
  private static final double LEAST_LBF = 5;

  private final Deque<Double> last = new ArrayDeque<>();

  void add(double lbf) {
    last.addLast(lbf);
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
    return last.size() == READINGS && low > LEAST_LBF && high - low <= CLOSE * high;
  }

  double mean() {
    return last.stream().mapToDouble(v -> v).average().orElse(0);
  }
}
