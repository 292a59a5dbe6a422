package shim.core.stock;

import java.util.ArrayList;
import java.util.List;

/**
 * How many of a kind to take along.
 *
 * @param expected changes to expect
 * @param wanted as many as are enough nine times in ten
 */
public record Spares(double expected, int wanted) {
  /** Chance that those taken along are enough: common practice, no source. */
  private static final double ENOUGH = 0.9;

  /**
   * @param due chance that each part of the kind is to be changed; one does not hang on another
   */
  public static Spares of(List<Double> due) {
    double[] count = new double[due.size() + 1];
    count[0] = 1;
    double expected = 0;
    for (int i = 0; i < due.size(); i++) {
      double p = Math.min(1, Math.max(0, due.get(i)));
      expected += p;
      for (int n = i + 1; n > 0; n--) {
        count[n] = count[n] * (1 - p) + count[n - 1] * p;
      }
      count[0] *= 1 - p;
    }
    int wanted = 0;
    double sum = count[0];
    while (sum < ENOUGH && wanted < due.size()) {
      wanted++;
      sum += count[wanted];
    }
    return new Spares(expected, wanted);
  }

  /**
   * How many each of some needs lacks when they share what there is, the first need first.
   *
   * @param there in stock, or coming
   */
  public static List<Integer> lacking(int there, List<Integer> needs) {
    List<Integer> lacking = new ArrayList<>();
    int left = there;
    for (int need : needs) {
      int given = Math.min(left, need);
      left -= given;
      lacking.add(need - given);
    }
    return lacking;
  }
}
