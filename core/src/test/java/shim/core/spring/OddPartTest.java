package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import shim.core.engine.Position;

/** One odd retainer in a set; intakes and exhausts may well differ. */
class OddPartTest {
  private static Position at(String valve) {
    return Position.parse(valve);
  }

  @Test
  void theOneThatDiffersFromMostOfItsKindIsNamed() {
    assertThat(
            OddPart.in(
                Map.of(
                    at("1I"), "R10", at("3I"), "r10 ", at("5I"), "R7", at("1E"), "R7", at("3E"),
                    "R7")))
        .containsExactly(new OddPart(at("5I"), "R7", "R10"));
  }

  @Test
  void halfAndHalfIsNoSetAndWhatIsNotWrittenSaysNothing() {
    assertThat(OddPart.in(Map.of(at("1I"), "R10", at("3I"), "R7"))).isEmpty();
    assertThat(OddPart.in(Map.of(at("1I"), "R10", at("3I"), "R10", at("5I"), " "))).isEmpty();
    assertThat(OddPart.in(Map.of())).isEmpty();
  }
}
