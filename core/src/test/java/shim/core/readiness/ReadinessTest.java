package shim.core.readiness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.readiness.Readiness.Area;
import shim.core.readiness.Readiness.Item;
import shim.core.readiness.Readiness.State;

class ReadinessTest {
  private static Item item(Area area, State asks, String words) {
    return new Item(area, asks, words, null, null);
  }

  @Test
  void theWorstItemDecidesAndIsNamed() {
    Readiness r =
        Readiness.of(
            List.of(
                item(Area.LASH, State.READY_BUT, "3 valves were never set"),
                item(Area.SPRINGS, State.NOT_READY, "the spring at 3E falls due"),
                item(Area.LIFTERS, State.READY, "all looked at")));
    assertThat(r.state()).isEqualTo(State.NOT_READY);
    assertThat(r.sentence()).isEqualTo("Not ready: the spring at 3E falls due.");
    assertThat(r.items().get(0).area()).isEqualTo(Area.SPRINGS);
  }

  @Test
  void manyReasonsAreCountedNotListed() {
    Readiness r =
        Readiness.of(
            List.of(
                item(Area.LASH, State.READY_BUT, "a"),
                item(Area.LASH, State.READY_BUT, "b"),
                item(Area.LASH, State.READY_BUT, "c"),
                item(Area.LASH, State.READY_BUT, "d")));
    assertThat(r.sentence()).isEqualTo("Ready, but: a; b; and 2 more.");
  }

  @Test
  void withNothingAgainstItItSaysOnlyThat() {
    assertThat(Readiness.of(List.of()).sentence())
        .isEqualTo("Nothing measured speaks against the next event.")
        .doesNotContain("safe");
  }
}
