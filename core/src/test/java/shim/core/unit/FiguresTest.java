package shim.core.unit;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Held against exact decimal arithmetic. */
class FiguresTest {
  @Test
  void comparesAsExactDecimalsDo() {
    Random random = new Random(12);
    int binaryWrong = 0;
    for (int i = 0; i < 20_000; i++) {
      BigDecimal a = BigDecimal.valueOf(random.nextInt(3000), 3);
      BigDecimal b = BigDecimal.valueOf(random.nextInt(3000), 3);
      BigDecimal limit =
          random.nextInt(3) == 0 ? a.subtract(b) : BigDecimal.valueOf(random.nextInt(400), 3);
      int exact = a.subtract(b).compareTo(limit);
      double gap = a.doubleValue() - b.doubleValue();
      double at = limit.doubleValue();
      binaryWrong += Double.compare(gap, at) != exact ? 1 : 0;
      assertThat(Figures.same(gap, at)).isEqualTo(exact == 0);
      assertThat(Figures.atMost(gap, at)).isEqualTo(exact <= 0);
      assertThat(Figures.atLeast(gap, at)).isEqualTo(exact >= 0);
      assertThat(Figures.below(gap, at)).isEqualTo(exact < 0);
      assertThat(Figures.above(gap, at)).isEqualTo(exact > 0);
    }
    assertThat(binaryWrong).as("what binary comparing gets wrong of these").isGreaterThan(1000);
  }

  @Test
  void knowsTheSignOfWhatIsHugeAndNothingOfWhatIsNoNumber() {
    assertThat(Figures.above(1e300, 0.04)).isTrue();
    assertThat(Figures.below(Double.NEGATIVE_INFINITY, 0)).isTrue();
    assertThat(Figures.atMost(Double.NaN, 1)).isFalse();
    assertThat(Figures.atLeast(Double.NaN, 1)).isFalse();
    assertThat(Figures.same(Double.NaN, Double.NaN)).isFalse();
    assertThat(Figures.below(Double.NaN, 1) || Figures.above(Double.NaN, 1)).isFalse();
  }
}
