package shim.core.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.lash.Turn;

/**
 * Sources: ASME B1.1 (threads per inch) and ISO 261 (metric pitches), values from memory; the two
 * worked turns follow from them by geometry.
 */
class AdjusterThreadAgainstHandbookTest {
  @ParameterizedTest
  @CsvSource({
    "3/8-24, 0.0416667", "7/16-20, 0.05", "5/16-24, 0.0416667", "M8x1, 0.0393701",
    "m8 x 1.25, 0.0492126", "M8, 0.0492126", "M10X1, 0.0393701", "0.75 mm, 0.0295276",
  })
  void pitches(String name, double pitchIn) {
    assertThat(AdjusterThread.parse(name)).isPresent();
    assertThat(AdjusterThread.parse(name).get().pitchIn()).isCloseTo(pitchIn, within(1e-6));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "fine", "3/8", "3/8-0", "M99", "2 in", "0.0001 mm"})
  void whatIsNoThread(String name) {
    assertThat(AdjusterThread.parse(name)).isEmpty();
  }

  @Test
  void oneTurnOfAStudNut() {
    AdjusterThread fine = AdjusterThread.parse("3/8-24").orElseThrow();
    AdjusterThread coarse = AdjusterThread.parse("7/16-20").orElseThrow();
    assertThat(Turn.plungerPerTurnIn(Adjuster.FULCRUM_NUT, fine, 1.5))
        .isCloseTo(0.0694, within(5e-5));
    assertThat(Turn.lashPerTurnIn(Adjuster.FULCRUM_NUT, fine, 1.5)).isCloseTo(0.1042, within(5e-5));
    assertThat(Turn.plungerPerTurnIn(Adjuster.FULCRUM_NUT, coarse, 1.6))
        .isCloseTo(0.0813, within(5.1e-5));
    assertThat(Turn.lashPerTurnIn(Adjuster.FULCRUM_NUT, coarse, 1.6))
        .isCloseTo(0.130, within(5e-5));
  }
}
