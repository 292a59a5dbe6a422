package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Which spring from stock goes into a pocket; the order is common practice, no source. */
class SpareTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static Spare spare(String mark, boolean own, double play, double lbf, double hours) {
    OptionalDouble load = lbf > 0 ? OptionalDouble.of(lbf) : NONE;
    return new Spare("id " + mark, mark, own, OptionalDouble.of(play), load, hours);
  }

  private static List<String> order(Spare... spares) {
    return Spare.bestFirst(List.of(spares), 200).stream().map(Spare::mark).toList();
  }

  @Test
  void whatDoesNotGoIntoThePocketComesLast() {
    assertThat(order(spare("wide", true, -0.001, 200, 0), spare("fits", false, 0, 150, 9)))
        .containsExactly("fits", "wide");
    Spare unknown = new Spare("u", "unknown", true, NONE, OptionalDouble.of(200), 0);
    assertThat(order(spare("fits", false, 0.02, 200, 0), unknown))
        .as("a pocket that was never measured holds nothing against it")
        .containsExactly("unknown", "fits");
  }

  @Test
  void itsOwnSetComesBeforeANearerLoad() {
    assertThat(order(spare("near", false, 0, 200, 0), spare("own", true, 0, 180, 5)))
        .containsExactly("own", "near");
  }

  @Test
  void thenTheNearestLoadAboveOrBelow() {
    assertThat(
            order(
                spare("never read", true, 0, 0, 0),
                spare("far", true, 0, 190, 0),
                spare("over", true, 0, 204, 0),
                spare("under", true, 0, 197, 0)))
        .containsExactly("under", "over", "far", "never read");
  }

  @Test
  void thenTheFewestHoursThenTheMark() {
    assertThat(
            order(
                spare("b", true, 0, 200, 2),
                spare("c", true, 0, 200, 1),
                spare("a", true, 0, 200, 2)))
        .containsExactly("c", "a", "b");
  }

  @Test
  void theMiddleOfTheOthersIsWanted() {
    assertThat(Spare.wantedLbf(List.of(210.0, 190.0, 214.0), 220)).isEqualTo(210);
    assertThat(Spare.wantedLbf(List.of(), 220)).isEqualTo(220);
  }
}
