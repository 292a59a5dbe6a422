package shim.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * NIST/SEMATECH e-Handbook of Statistical Methods, the CUSUM example: target 325, h 4.1959, k
 * 0.3175. Values from memory.
 */
class CusumAgainstReferenceTest {
  private static final List<Double> OBSERVED_13_TO_20 =
      List.of(328.325, 327.25, 327.825, 328.5, 326.675, 327.775, 326.875, 328.35);
  private static final List<Double> UPPER_SUMS =
      List.of(3.01, 4.94, 7.45, 10.63, 11.99, 14.44, 16.00, 19.03);

  private static List<Cusum> sums(List<Double> values) {
    List<Cusum> result = new ArrayList<>();
    Cusum sum = Cusum.around(325, 0.3175);
    for (double v : values) {
      sum = sum.with(v);
      result.add(sum);
    }
    return result;
  }

  @Test
  void upperSumsOfTheHandbook() {
    List<Cusum> sums = sums(OBSERVED_13_TO_20);
    for (int i = 0; i < UPPER_SUMS.size(); i++) {
      assertThat(sums.get(i).up()).isCloseTo(UPPER_SUMS.get(i), within(0.006));
      assertThat(sums.get(i).down()).isZero();
    }
  }

  @Test
  void theSignalIsAtTheFourteenth() {
    List<Cusum> sums = sums(OBSERVED_13_TO_20);
    assertThat(sums.get(0).up()).isLessThan(4.1959);
    assertThat(sums.get(1).up()).isGreaterThan(4.1959);
  }

  @Test
  void theLowerSumIsTheUpperSumOfTheMirrorImage() {
    List<Cusum> mirrored = sums(OBSERVED_13_TO_20.stream().map(v -> 650 - v).toList());
    List<Cusum> sums = sums(OBSERVED_13_TO_20);
    for (int i = 0; i < sums.size(); i++) {
      assertThat(mirrored.get(i).down()).isCloseTo(sums.get(i).up(), within(1e-9));
    }
  }
}
