package shim.core.running;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.engine.Position;
import shim.core.running.Fitted.Refused;

class FittedTest {
  private static Fitted at(String stay, String part, String engine, String valve) {
    return new Fitted(stay, part, engine, Position.parse(valve));
  }

  private static final List<Fitted> NOW =
      List.of(at("1", "A", "v8", "1I"), at("2", "B", "other", "2E"));

  @Test
  void aPartIsAtOneValveAtATime() {
    assertThat(at("3", "B", "v8", "3I").refused(NOW))
        .contains(new Fitted.No(Refused.IS_ELSEWHERE, NOW.get(1)));
    assertThat(at("3", "C", "v8", "3I").refused(NOW)).isEmpty();
  }

  @Test
  void aValveHasOnePartOfAKind() {
    assertThat(at("3", "C", "v8", "1I").refused(NOW))
        .contains(new Fitted.No(Refused.VALVE_IS_TAKEN, NOW.get(0)));
    assertThat(at("3", "C", "v8", "2E").refused(NOW)).as("another engine's valve").isEmpty();
  }

  @Test
  void aStayEnteredAgainIsNotInItsOwnWay() {
    assertThat(at("1", "A", "v8", "1I").refused(NOW)).isEmpty();
  }

  @Test
  void nothingComesOutBeforeItWentIn() {
    assertThat(Fitted.inOrder(3.2, 3.2)).isTrue();
    assertThat(Fitted.inOrder(0.3, 0.1 + 0.2)).as("the same hours, summed").isTrue();
    assertThat(Fitted.inOrder(3.2, 3.1)).isFalse();
    assertThat(Fitted.inOrder(3.2, Double.NaN)).isFalse();
  }
}
