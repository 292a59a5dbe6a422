package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import shim.core.engine.Position;
import shim.core.lash.EyeFindings.Finding;
import shim.core.lash.EyeFindings.Look;
import shim.core.lash.EyeFindings.Part;
import shim.core.lash.EyeFindings.Renewed;

/** What a round's eye saw stands until the part is renewed or seen whole. */
class EyeFindingsTest {
  private static final Position E5 = Position.parse("5E");
  private static final Position I5 = Position.parse("5I");

  private static Look look(Position p, long order, @Nullable Seen spring, @Nullable Seen rocker) {
    return new Look(p, order, order / 10.0, spring, rocker);
  }

  private static List<String> standing(List<Look> looks, Renewed... renewed) {
    return EyeFindings.standing(looks, List.of(renewed)).stream()
        .map(f -> f.valve() + " " + f.said().code() + " " + f.engineHours())
        .toList();
  }

  @Test
  void itStandsWhileNobodySaysOtherwise() {
    assertThat(
            standing(
                List.of(
                    look(E5, 10, Seen.BROKEN, Seen.WORN),
                    look(I5, 10, Seen.WHOLE, null),
                    look(E5, 20, null, null))))
        .containsExactly("5E SEEN.SPRING_BROKEN 1.0", "5E SEEN.ROCKER_WORN 1.0");
  }

  @Test
  void theLatestLookCountsForEachPart() {
    assertThat(
            standing(
                List.of(
                    look(E5, 20, Seen.WHOLE, null),
                    look(E5, 10, Seen.BROKEN, Seen.LOOSE),
                    look(E5, 15, null, Seen.WORN))))
        .containsExactly("5E SEEN.ROCKER_WORN 1.5");
  }

  @Test
  void aRenewedPartEndsItFromThenOn() {
    List<Look> broken = List.of(look(E5, 10, Seen.BROKEN, null));
    assertThat(standing(broken, new Renewed(E5, Part.SPRING, 11))).isEmpty();
    assertThat(standing(broken, new Renewed(E5, Part.SPRING, 10))).as("in before it").hasSize(1);
    assertThat(standing(broken, new Renewed(E5, Part.ROCKER, 11))).hasSize(1);
    assertThat(standing(broken, new Renewed(I5, Part.SPRING, 11))).hasSize(1);
  }

  @ParameterizedTest
  @EnumSource(
      value = Seen.class,
      names = {"BROKEN", "LOOSE", "WORN"})
  void eachHasItsWords(Seen seen) {
    assertThat(EyeFindings.at(seen, seen)).hasSize(2);
    assertThat(EyeFindings.at(Seen.WHOLE, null)).isEmpty();
    assertThat(EyeFindings.standing(List.of(look(E5, 1, seen, null)), List.of()))
        .extracting(Finding::part)
        .containsExactly(Part.SPRING);
  }
}
