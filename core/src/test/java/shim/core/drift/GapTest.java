package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.engine.HeatState;
import shim.core.lash.LashException;
import shim.core.lash.Reading;
import shim.core.lash.Reading.Feel;

/** Readings as the intervals they leave open; conventions: common practice, no source. */
class GapTest {
  @Test
  void aGoAndANoGoLeafBoundTheGap() {
    Gap gap = Gap.of(new Reading.GoNoGo(0.018, 0.019));
    assertThat(gap.lowThou()).isCloseTo(18, within(1e-9));
    assertThat(gap.highThou()).isCloseTo(19, within(1e-9));
    assertThat(gap.middleThou()).isCloseTo(18.5, within(1e-9));
    assertThat(gap.widthVariance()).isCloseTo(1 / 12.0, within(1e-9));
  }

  @Test
  void oneLeafThatIsSnugLiesLowerThanOneThatIsRight() {
    Gap snug = Gap.of(new Reading.Leaf(0.018, Feel.SNUG, 0.001));
    Gap right = Gap.of(new Reading.Leaf(0.018, Feel.RIGHT, 0.001));
    assertThat(snug.middleThou()).isCloseTo(18, within(1e-9));
    assertThat(right.middleThou()).isCloseTo(18.5, within(1e-9));
  }

  @Test
  void finerLeavesLeaveLessOpen() {
    assertThat(Gap.about(18, 0.5).widthVariance()).isLessThan(Gap.about(18, 1).widthVariance());
    assertThat(Gap.about(0.2, 1).lowThou()).isZero();
  }

  @ParameterizedTest
  @CsvSource({"-1, 3", "5, 4", "3, 1000", "NaN, 4", "3, NaN", "3, Infinity", "-Infinity, 3"})
  void whatIsNoGapIsRefused(double low, double high) {
    assertThatThrownBy(() -> new Gap(low, high)).isInstanceOf(LashException.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
  void aRoundWithoutHoursIsRefused(double hours) {
    assertThatThrownBy(() -> new LashRound("r", 1, hours, HeatState.HOT, "KV", List.of(), Set.of()))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
