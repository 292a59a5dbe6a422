package shim.app.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import shim.core.engine.Position;

/** Hours follow a part through its fittings, whichever engine it was in. */
class PartHoursTest {
  private static final UUID SPRING = UUID.randomUUID();

  private static Springs.StoredSpring spring(double before) {
    return new Springs.StoredSpring(
        SPRING,
        new Springs.SpringEntry(
            UUID.randomUUID(), "A-1", null, null, before, null, false, null, null));
  }

  private static Springs.StoredFitting fitting(double from, @Nullable Double to) {
    return new Springs.StoredFitting(
        UUID.randomUUID(),
        new Springs.FittingEntry(
            SPRING,
            UUID.randomUUID(),
            Position.parse("1I"),
            from,
            Instant.EPOCH,
            to,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            "KV",
            null));
  }

  @Test
  void aNewSpringHasTheHoursOfItsOneFitting() {
    Springs.StoredFitting here = fitting(3, null);
    assertThat(PartHours.at(spring(0), List.of(here), here, 10.1)).isCloseTo(7.1, within(1e-9));
    assertThat(PartHours.at(spring(0), List.of(here), here, 2)).as("before it was in").isZero();
  }

  @Test
  void earlierEnginesAndHoursBeforeShimAreAdded() {
    Springs.StoredFitting first = fitting(100, 104.0);
    Springs.StoredFitting here = fitting(3, null);
    assertThat(PartHours.at(spring(2.5), List.of(first, here), here, 5))
        .isCloseTo(2.5 + 4 + 2, within(1e-9));
  }

  @Test
  void atAnEarlierFittingTheLaterOnesDoNotCount() {
    Springs.StoredFitting first = fitting(100, 104.0);
    Springs.StoredFitting second = fitting(3, 9.0);
    assertThat(PartHours.at(spring(0), List.of(first, second), first, 102))
        .isCloseTo(2, within(1e-9));
  }

  @Test
  void onTheShelfOnlyWhatIsOverCounts() {
    assertThat(PartHours.shelved(spring(1), List.of(fitting(0, 4.0), fitting(10, 11.5))))
        .isCloseTo(6.5, within(1e-9));
    assertThat(PartHours.shelved(spring(1), List.of())).isEqualTo(1);
  }
}
