package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TesterHabitTest {
  private static final List<Double> STEADY = List.of(0.001, -0.002, 0.0, 0.002, -0.001);

  private static Optional<TesterHabit> warned(
      List<Double> before, double today, OptionalDouble moved) {
    return TesterHabit.warning(before, new TesterDay(today, 0.002, moved));
  }

  @Test
  void aDayLikeTheOthersIsNoNews() {
    assertThat(warned(STEADY, 0.004, OptionalDouble.empty())).isEmpty();
  }

  @Test
  void aDayFarFromItsHabitIsSaidWithItsDirection() {
    TesterHabit low = warned(STEADY, -0.021, OptionalDouble.empty()).orElseThrow();
    assertThat(low.kind()).isEqualTo(TesterHabit.Kind.SINCE_BEFORE);
    assertThat(low.percent()).isCloseTo(-2.08, within(0.01));
    assertThat(low.habitPercent()).as("the steadiest there is").isCloseTo(0.8, within(1e-9));
    assertThat(warned(STEADY, 0.021, OptionalDouble.empty()).orElseThrow().percent()).isPositive();
  }

  /** The habit is off from its own middle, here half a percent high. */
  @ParameterizedTest
  @CsvSource({"0.017, false", "0.0171, true", "-0.007, false", "-0.0071, true"})
  void itIsFarBeyondThreeTimesItsHabit(double today, boolean far) {
    assertThat(warned(List.of(0.005, 0.005, 0.005), today, OptionalDouble.empty()).isPresent())
        .isEqualTo(far);
  }

  @Test
  void aRestlessTesterMayRoamFurther() {
    List<Double> restless = List.of(0.02, -0.02, 0.015, -0.018, 0.0);
    assertThat(warned(restless, -0.021, OptionalDouble.empty())).isEmpty();
  }

  @Test
  void twoDaysMakeNoHabit() {
    assertThat(warned(List.of(0.0, 0.001), -0.05, OptionalDouble.empty())).isEmpty();
    assertThat(warned(List.of(0.0, 0.001, 0.0), -0.05, OptionalDouble.empty())).isPresent();
  }

  @ParameterizedTest
  @CsvSource({"-0.015, true", "0.0101, true", "0.01, false", "-0.01, false", "0.004, false"})
  void aTesterThatMovedWithinTheTestIsTold(double movedLn, boolean told) {
    Optional<TesterHabit> habit = warned(List.of(), 0, OptionalDouble.of(movedLn));
    assertThat(habit.isPresent()).isEqualTo(told);
    habit.ifPresent(
        h -> {
          assertThat(h.kind()).isEqualTo(TesterHabit.Kind.WITHIN_THE_TEST);
          assertThat(h.percent()).isCloseTo(100 * movedLn, within(0.02));
        });
  }
}
