package shim.core.running;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class ExposureTest {
  private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

  private static Exposure.Day day(int day, int overRevs, double cycles) {
    return new Exposure.Day(
        MAY.plusDays(day),
        overRevs,
        cycles > 0 ? OptionalDouble.of(cycles) : OptionalDouble.empty());
  }

  @Test
  void theDaysOfFittingAndRemovalCountAndNoOthers() {
    List<Exposure.Day> days = List.of(day(0, 1, 0), day(1, 2, 0), day(5, 4, 0), day(6, 8, 0));
    Exposure closed =
        Exposure.of(
            List.of(new Exposure.Stay(MAY.plusDays(1), Optional.of(MAY.plusDays(5)), days)));
    assertThat(closed.overRevs()).isEqualTo(6);
    Exposure open =
        Exposure.of(List.of(new Exposure.Stay(MAY.plusDays(1), Optional.empty(), days)));
    assertThat(open.overRevs()).isEqualTo(14);
  }

  @Test
  void allEnginesAddUpAndCyclesAreKnownOnlyWhereALoggerTold() {
    Exposure two =
        Exposure.of(
            List.of(
                new Exposure.Stay(MAY, Optional.of(MAY), List.of(day(0, 1, 9000))),
                new Exposure.Stay(
                    MAY.plusDays(1), Optional.empty(), List.of(day(1, 0, 0), day(2, 2, 500)))));
    assertThat(two).isEqualTo(new Exposure(3, OptionalDouble.of(9500)));
    assertThat(Exposure.of(List.of())).isEqualTo(new Exposure(0, OptionalDouble.empty()));
  }

  @Test
  void anOverRevSpeaksFromTheDayOfTheRoundBeforeTheLast() {
    List<LocalDate> rounds = List.of(MAY, MAY.plusDays(3), MAY.plusDays(9));
    assertThat(Exposure.overRevBetween(rounds, List.of(day(2, 1, 0)))).isFalse();
    assertThat(Exposure.overRevBetween(rounds, List.of(day(3, 1, 0)))).isTrue();
    assertThat(Exposure.overRevBetween(rounds, List.of(day(5, 0, 0)))).isFalse();
    assertThat(Exposure.overRevBetween(rounds.subList(0, 1), List.of(day(5, 1, 0)))).isFalse();
  }
}
