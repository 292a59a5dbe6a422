package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static shim.core.drift.DriftRounds.analysis;
import static shim.core.drift.DriftRounds.at;
import static shim.core.drift.DriftRounds.opening;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.HeatState;
import shim.core.unit.Said;

/** What is said of a valve in one line, and the figures that stand beside it. */
class ValveDriftWordsTest {
  @Test
  void aDriftSaysItsRateItsBeginAndHowFar() {
    ValveDrift v =
        analysis(new DriftRounds(3, opening("5E", 6.2, 1.2)).rounds(11)).valves().get(at("5E"));
    Said said = v.said();
    assertThat(said.code()).isEqualTo("LASH.OPENING");
    assertThat(said.figure("sure")).isEqualTo(1);
    assertThat(said.figure("thouPerHour")).isEqualTo(v.rate().mid());
    assertThat(said.figure("sinceHours"))
        .isBetween(said.figure("fromHours"), said.figure("toHours"));
    assertThat(said.figure("movedThou")).isEqualTo(v.moved().mid()).isPositive();
  }

  @Test
  void aStepSaysBetweenWhichRounds() {
    ValveDrift v =
        analysis(new DriftRounds(8, (p, h) -> p.equals(at("3I")) && h > 5.5 ? 6.0 : 0.0).rounds(11))
            .valves()
            .get(at("3I"));
    assertThat(v.said().code()).isEqualTo("LASH.WENT_WIDE");
    assertThat(v.said().figure("fromHours")).isCloseTo(5.0, within(0.05));
    assertThat(v.said().figure("toHours")).isCloseTo(6.3, within(0.05));
    assertThat(v.said().figure("movedThou")).isCloseTo(6, within(1.5));
  }

  @Test
  void whatIsOnlySuspectedIsCalledPerhaps() {
    int perhaps = 0;
    for (int seed = 1; seed < 40; seed++) {
      ValveDrift v =
          analysis(new DriftRounds(seed, opening("5E", 4, 0.7)).rounds(7)).valves().get(at("5E"));
      if (v.strength() == Strength.WATCH) {
        perhaps++;
        assertThat(v.said().figure("sure")).isZero();
        assertThat(v.sum()).isBetween(DriftRules.USUAL.watchAt(), DriftRules.USUAL.findingAt());
      }
    }
    assertThat(perhaps).isPositive();
  }

  @Test
  void theRestIsAsItWas() {
    LashDrift d = analysis(new DriftRounds(3, (p, h) -> 0).rounds(6));
    assertThat(d.valves().get(at("1I")).said().code()).isEqualTo("LASH.STEADY");
    assertThat(analysis(List.of()).valves().get(at("1I")).said().code()).isEqualTo("LASH.UNKNOWN");
  }

  @Test
  void aSmallerRateWorthFindingFindsSlowerDriftsLater() {
    List<LashRound> rounds = new DriftRounds(71, opening("5E", 1, 0.35)).rounds(26);
    LashDrift usual = LashDrift.of(DriftRounds.V8, rounds, DriftRounds.GROWN, DriftRules.USUAL);
    LashDrift fine =
        LashDrift.of(DriftRounds.V8, rounds, DriftRounds.GROWN, DriftRules.USUAL.smallest(0.25));
    assertThat(fine.valves().get(at("5E")).sum())
        .isGreaterThan(usual.valves().get(at("5E")).sum() - 1);
    assertThat(fine.valves().get(at("5E")).strength()).isEqualTo(Strength.FINDING);
  }

  @Test
  void partsChangedAfterTheLastRoundLeaveNothingToSay() {
    List<LashRound> rounds =
        new java.util.ArrayList<>(new DriftRounds(3, opening("5E", 3, 1.5)).rounds(9));
    rounds.add(LashRound.renewal(99, 12, Set.of(at("5E"))));
    LashDrift d = analysis(rounds);
    assertThat(d.valves().get(at("5E")).strength()).isEqualTo(Strength.UNKNOWN);
    assertThat(d.rounds()).hasSize(9);
  }

  @Test
  void aPartialRoundOfTwoValvesBlamesNeither() {
    DriftRounds season = new DriftRounds(81, (p, h) -> 0);
    for (int n = 0; n < 6; n++) {
      season.round("r" + n, n, HeatState.HOT, "KV", 0);
    }
    List<LashRound> rounds = new java.util.ArrayList<>(season.all());
    LashRound last = rounds.get(5);
    rounds.add(
        new LashRound(
            "partial",
            50,
            6.5,
            HeatState.HOT,
            "MO",
            last.reads().stream()
                .limit(2)
                .map(r -> new LashRound.Read(r.position(), Gap.about(24, 1), null))
                .toList(),
            Set.of()));
    assertThat(analysis(rounds).valves().values()).noneMatch(v -> v.strength() == Strength.FINDING);
  }

  @Test
  void aClosingLashSaysSo() {
    LashDrift d = analysis(new DriftRounds(91, opening("8E", 2, -1.4)).rounds(8));
    Said said = d.valves().get(at("8E")).said();
    assertThat(said.code()).isEqualTo("LASH.CLOSING");
    assertThat(said.figure("movedThou")).as("how far, not which way").isPositive();
    assertThat(d.valves().get(at("8E")).movedThou().mid()).isNegative();
  }
}
