package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

class WorkedTest {
  private static final Instant BEGUN = Instant.parse("2026-11-30T08:00:00Z");

  private static Done after(Act act, long minutes) {
    return new Done(act, "", null, null, null, "x", "KV", BEGUN.plusSeconds(60 * minutes));
  }

  @Test
  void whatIsParkedTakesNobodysTime() {
    assertThat(Worked.minutes(BEGUN, List.of())).isZero();
    List<Done> acts =
        List.of(
            after(Act.ACCEPT, 5),
            after(Act.PARK, 20),
            after(Act.RESUME, 1000),
            after(Act.ORDER, 1010),
            after(Act.RESUME, 9000),
            after(Act.SIGN, 9007));
    assertThat(Worked.minutes(BEGUN, acts)).isCloseTo(20 + 10 + 7, within(1e-9));
  }
}
