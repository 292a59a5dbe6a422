package shim.core.walk;

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
            after(WalkAct.ACCEPT, 5),
            after(WalkAct.PARK, 20),
            after(WalkAct.RESUME, 1000),
            after(WalkAct.ORDER, 1010),
            after(WalkAct.RESUME, 9000),
            after(WalkAct.SIGN, 9007));
    assertThat(Worked.minutes(BEGUN, acts)).isCloseTo(20 + 10 + 7, within(1e-9));
  }
}
