package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.drift.DriftRounds.analysis;
import static shim.core.drift.DriftRounds.at;
import static shim.core.drift.DriftRounds.opening;

import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.HeatState;

/** What one more reading of a valve would be worth, and how paper has it. */
class NextLashReadingTest {
  private static ValveDrift valve(LashDrift drift, String p) {
    return drift.valves().get(at(p));
  }

  @Test
  void whereNothingSpeaksOrAllHasBeenSaidAReadingDecidesNothing() {
    assertThat(valve(analysis(new DriftRounds(3, (p, h) -> 0.0).rounds(10)), "5E").decides())
        .isLessThan(0.02);
    ValveDrift sure = valve(analysis(new DriftRounds(3, opening("5E", 3, 1.5)).rounds(12)), "5E");
    assertThat(sure.strength()).isEqualTo(Strength.FINDING);
    assertThat(sure.decides()).isLessThan(0.02);
    assertThat(valve(analysis(List.of()), "5E").decides()).isZero();
  }

  /** Near even odds one reading decides often; where the valve was just set it tells nothing. */
  @Test
  void nearTheLineAReadingDecidesMostUnlessTheValveWasJustSet() {
    int near = 0;
    int decided = 0;
    for (int seed = 0; seed < 60; seed++) {
      List<LashRound> rounds = new DriftRounds(seed, opening("5E", 6, 0.9)).rounds(8);
      ValveDrift v = valve(analysis(rounds), "5E");
      if (read(rounds.get(7)).left() != null) {
        assertThat(v.decides()).as("seed %d", seed).isZero();
      } else if (Math.abs(v.sum() - DriftRules.USUAL.findingAt()) < 0.7) {
        near++;
        decided += v.decides() > 0.1 && v.decides() < 0.7 ? 1 : 0;
      }
    }
    // One that was set a round ago stands by what was read before: one reading more moves it
    // little.
    assertThat(near).isGreaterThan(3);
    assertThat(decided).isGreaterThanOrEqualTo(near - 1);
  }

  @Test
  void onPaperItIsFoundLessLeftLastTimeInTheSameState() {
    List<LashRound> rounds =
        new DriftRounds(3, opening("5E", 0, 4))
            .round("a", 0, HeatState.HOT, "KV", 0)
            .round("b", 1, HeatState.HOT, "KV", 0)
            .round("cold", 1, HeatState.COLD, "KV", 0)
            .round("c", 2, HeatState.HOT, "KV", 0)
            .all();
    ValveDrift.LashOnPaper paper = valve(analysis(rounds), "5E").onPaper().orElseThrow();
    LashRound.Read before = read(rounds.get(1));
    LashRound.Read now = read(rounds.get(3));
    assertThat(paper.lastRound()).isEqualTo("b");
    assertThat(before.left()).as("it was set in b").isNotNull();
    assertThat(paper.lastThou()).isEqualTo(before.left().middleThou());
    assertThat(paper.foundThou()).isEqualTo(now.found().middleThou());
    assertThat(paper.movedThou()).isEqualTo(paper.foundThou() - paper.lastThou());
    assertThat(valve(analysis(rounds.subList(0, 1)), "5E").onPaper()).isEmpty();
  }

  private static LashRound.Read read(LashRound round) {
    return round.reads().stream()
        .filter(r -> r.position().equals(at("5E")))
        .findAny()
        .orElseThrow();
  }
}
