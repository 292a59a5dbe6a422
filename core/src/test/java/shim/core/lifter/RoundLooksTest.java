package shim.core.lifter;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.drift.DriftRounds.HOURS_BETWEEN;
import static shim.core.drift.DriftRounds.V8;
import static shim.core.drift.DriftRounds.analysis;
import static shim.core.drift.DriftRounds.at;
import static shim.core.drift.DriftRounds.opening;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import shim.core.drift.CommonStory;
import shim.core.drift.DriftRounds;
import shim.core.drift.LashDrift;
import shim.core.drift.LashRound;
import shim.core.engine.HeatState;
import shim.core.lash.RoundStory;
import shim.core.lash.RoundStory.Weight;
import shim.core.unit.Said;

/** The end of a round speaks from all rounds. */
class RoundLooksTest {
  private static final RoundStory QUIET = new RoundStory(Map.of(), List.of(), List.of(), List.of());

  private static List<RoundStory.Look> looks(RoundStory story, List<LashRound> rounds) {
    LashDrift drift = analysis(rounds);
    return RoundLooks.of(
        story,
        drift,
        CommonStory.of(drift.rounds(), V8.banks().size()),
        rounds.get(rounds.size() - 1).name(),
        p -> List.of());
  }

  @Test
  void aValveThatHasOpenedOverManyRoundsComesFirstWithItsCheapestLook() {
    List<LashRound> rounds = new DriftRounds(3, opening("5E", 6.2, 1.2)).rounds(11);
    assertThat(looks(QUIET, rounds))
        .filteredOn(l -> l.weight() == Weight.FIRST)
        .singleElement()
        .satisfies(
            l -> {
              assertThat(l.position()).isEqualTo(at("5E"));
              assertThat(l.said().code()).isEqualTo("LASH.OPENING");
              assertThat(l.said().name()).as("what to look at first").isNotEmpty();
            });
    assertThat(looks(QUIET, rounds.subList(0, 4)))
        .as("before it began there was nothing to say")
        .isEmpty();
  }

  @Test
  void aRoundReadOffAsAWholeIsNamedAndNoValve() {
    DriftRounds season = new DriftRounds(4, (p, h) -> 0.0);
    for (int n = 0; n < 7; n++) {
      season.round("r" + n, n * HOURS_BETWEEN, HeatState.HOT, "KV", n == 6 ? 5 : 0);
    }
    assertThat(looks(QUIET, season.rounds(0)))
        .singleElement()
        .satisfies(
            l -> {
              assertThat(l.position()).isNull();
              assertThat(l.said().code()).isEqualTo("COMMON.ROUND_READ_OFF");
              assertThat(l.said().figure("thou")).as("wide").isPositive();
            });
  }

  @Test
  void twoRoundsTellOnlyThatAllMovedAndWhatIsOutTonightStays() {
    RoundStory.Look moved =
        new RoundStory.Look(
            RoundStory.About.TOGETHER, Weight.SOON, null, Said.kept("all moved the same way"));
    RoundStory.Look out =
        new RoundStory.Look(
            RoundStory.About.LEFT_OUT, Weight.FIRST, at("2I"), Said.kept("left at 0.0130"));
    RoundStory story = new RoundStory(Map.of(), List.of(), List.of(moved), List.of(out));
    assertThat(looks(story, new DriftRounds(6, (p, h) -> 0.0).rounds(2)))
        .containsExactly(out, moved);
    assertThat(looks(story, new DriftRounds(6, (p, h) -> 0.0).rounds(5)))
        .as("from three rounds on the rates of all rounds speak instead")
        .containsExactly(out);
  }
}
