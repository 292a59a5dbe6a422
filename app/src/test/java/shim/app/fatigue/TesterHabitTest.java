package shim.app.fatigue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import shim.core.fatigue.TesterDay;

class TesterHabitTest {
  private static final List<Double> STEADY = List.of(0.001, -0.002, 0.0, 0.002, -0.001);

  private static Optional<String> warned(List<Double> before, double today, OptionalDouble moved) {
    return TesterHabit.warning(before, new TesterDay(today, 0.002, moved));
  }

  @Test
  void aDayLikeTheOthersIsNoNews() {
    assertThat(warned(STEADY, 0.004, OptionalDouble.empty())).isEmpty();
  }

  @Test
  void aDayFarFromItsHabitIsSaidWithItsDirection() {
    assertThat(warned(STEADY, -0.021, OptionalDouble.empty()))
        .hasValueSatisfying(w -> assertThat(w).contains("2.1 % lower").contains("takes that out"));
    assertThat(warned(STEADY, 0.021, OptionalDouble.empty()))
        .hasValueSatisfying(w -> assertThat(w).contains("higher"));
  }

  @Test
  void aRestlessTesterMayRoamFurther() {
    List<Double> restless = List.of(0.02, -0.02, 0.015, -0.018, 0.0);
    assertThat(warned(restless, -0.021, OptionalDouble.empty())).isEmpty();
  }

  @Test
  void twoDaysMakeNoHabit() {
    assertThat(warned(List.of(0.0, 0.001), -0.05, OptionalDouble.empty())).isEmpty();
  }

  @Test
  void aTesterThatMovedWithinTheTestIsTold() {
    assertThat(warned(List.of(), 0, OptionalDouble.of(-0.015)))
        .hasValueSatisfying(
            w -> assertThat(w).contains("moved -1.5 % between start and end").contains("again"));
    assertThat(warned(List.of(), 0, OptionalDouble.of(0.004))).isEmpty();
  }
}
