package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.engine.HeatState.COLD;
import static shim.core.engine.HeatState.HOT;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.engine.HeatState;
import shim.core.spring.LoadCurve;

class CountingTest {
  private static LoadCurve.Moved moved(double lbf, double byIn) {
    return new LoadCurve.Moved(lbf, 300, byIn);
  }

  @Test
  void theStateOfMostReadingsCounts() {
    assertThat(Counting.of(List.of(HOT, HOT, COLD)).state()).isEqualTo(HOT);
    assertThat(Counting.of(List.of(HOT, COLD)).state()).as("half and half").isEqualTo(COLD);
    assertThat(Counting.of(List.of(HOT, COLD, COLD)).state()).isEqualTo(COLD);
    assertThat(Counting.of(List.of()).state()).isEqualTo(COLD);
  }

  @ParameterizedTest
  @CsvSource({
    "HOT,  true,  220, 0.1,     true",
    "HOT,  true,  220, -0.1,    true",
    "HOT,  true,  220, 0.1001,  false",
    "HOT,  true,  220, -0.1001, false",
    "COLD, true,  220, 0,       false",
    "HOT,  false, 220, 0,       false",
    "HOT,  true,  0,   0,       false"
  })
  void aReadingCountsNearItsHeightAndInTheSameState(
      HeatState state, boolean whole, double lbf, double byIn, boolean counts) {
    assertThat(new Counting(HOT).counts(state, whole, moved(lbf, byIn))).isEqualTo(counts);
  }

  /** 2.05 less 1.95 is a hair over a tenth in binary. */
  @Test
  void aTenthOfAnInchIsATenth() {
    assertThat(new Counting(HOT).counts(HOT, true, moved(220, 2.05 - 1.95))).isTrue();
    assertThat(new Counting(HOT).counts(HOT, true, moved(220, 1.9 - 1.8))).isTrue();
  }

  @ParameterizedTest
  @CsvSource({
    "2026-05-02, 2026-05-01, true",
    "2026-05-01, 2026-05-01, false",
    "2026-04-30, 2026-05-01, false",
    ",           2026-05-01, false",
    "2026-05-02, ,           false"
  })
  void anOverRevCountsOnADayAfterTheLastTest(LocalDate overRev, LocalDate tested, boolean since) {
    assertThat(Situation.overRevSince(Optional.ofNullable(tested), Optional.ofNullable(overRev)))
        .isEqualTo(since);
  }
}
