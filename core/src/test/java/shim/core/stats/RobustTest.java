package shim.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class RobustTest {
  @Test
  void medianAndSpreadIgnoreOneWildReading() {
    assertThat(Robust.median(List.of(1.0, 2.0, 3.0, 1000.0)).getAsDouble()).isEqualTo(2.5);
    assertThat(Robust.scaledMad(List.of(1.0, 2.0, 3.0, 4.0, 1000.0)).getAsDouble())
        .isCloseTo(1.4826, within(1e-9));
    assertThat(Robust.median(List.of())).isEmpty();
    Robust.Mean mean = Robust.Mean.of(List.of(2.0, 4.0));
    assertThat(mean.sd()).isCloseTo(Math.sqrt(2), within(1e-12));
  }
}
