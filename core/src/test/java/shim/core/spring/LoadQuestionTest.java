package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LoadQuestionTest {
  @ParameterizedTest
  @CsvSource({
    "2200, TEN_TIMES, 220",
    "22, TENTH, 220",
    "978.6, NEWTON, 220",
    "99.8, KILOGRAM, 220"
  })
  void aSlipIsAskedAboutWithTheFigureThatWouldFit(
      double load, LoadQuestion.Code code, double meant) {
    LoadQuestion q = LoadQuestion.load(load, 220).orElseThrow();
    assertThat(q.code()).isEqualTo(code);
    assertThat(q.read()).isEqualTo(load);
    assertThat(q.expected()).isEqualTo(220);
    assertThat(q.meant().orElseThrow()).isCloseTo(meant, within(0.1));
  }

  @ParameterizedTest
  @ValueSource(doubles = {160, 200, 220, 240, 280})
  void aTiredOrAStrongSpringIsNoSlip(double load) {
    assertThat(LoadQuestion.load(load, 220)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(doubles = {60, 400, 5000})
  void whatFitsNothingIsAskedAboutWithoutAGuess(double load) {
    LoadQuestion q = LoadQuestion.load(load, 220).orElseThrow();
    assertThat(q.meant()).isEmpty();
    assertThat(q.code()).isEqualTo(LoadQuestion.Code.ELSE);
  }

  @ParameterizedTest
  @CsvSource({"49.53, MILLIMETRE, 1.95", "19.5, TEN_TIMES, 1.95"})
  void aHeightInMillimetresOrWithASlippedPoint(double typed, LoadQuestion.Code code, double meant) {
    LoadQuestion q = LoadQuestion.height(typed, 1.95).orElseThrow();
    assertThat(q.code()).isEqualTo(code);
    assertThat(q.meant().orElseThrow()).isCloseTo(meant, within(0.001));
  }

  @ParameterizedTest
  @ValueSource(doubles = {1.9, 1.95, 2.1})
  void aHeightNearTheWantedOneIsNoSlip(double height) {
    assertThat(LoadQuestion.height(height, 1.95)).isEmpty();
  }

  @ParameterizedTest
  @ValueSource(doubles = {1.3, 0.4, 7})
  void anotherHeightIsAskedAboutWithoutAGuess(double height) {
    assertThat(LoadQuestion.height(height, 1.95).orElseThrow().meant()).isEmpty();
  }
}
