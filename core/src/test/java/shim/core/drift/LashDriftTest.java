package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static shim.core.drift.DriftRounds.HOURS_BETWEEN;
import static shim.core.drift.DriftRounds.V8;
import static shim.core.drift.DriftRounds.analysis;
import static shim.core.drift.DriftRounds.at;
import static shim.core.drift.DriftRounds.opening;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import shim.core.drift.CommonStory.Group;
import shim.core.drift.ValveDrift.Signal;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.stats.Range;

/** What the rounds of a season are found to say, and what they must never be found to say. */
class LashDriftTest {
  private static ValveDrift valve(LashDrift drift, String p) {
    return drift.valves().get(at(p));
  }

  private static List<Position> findings(LashDrift drift) {
    return drift.valves().values().stream()
        .filter(v -> v.strength() == Strength.FINDING)
        .map(ValveDrift::position)
        .toList();
  }

  @Test
  void oneValveThatOpensIsFoundWithItsBeginAndItsRate() {
    LashDrift d = analysis(new DriftRounds(3, opening("5E", 6.2, 1.2)).rounds(11));
    ValveDrift v = valve(d, "5E");
    assertThat(findings(d)).containsExactly(at("5E"));
    assertThat(v.signal()).isEqualTo(Signal.OPENING);
    assertThat(v.begun().orElseThrow().lowHours()).isLessThanOrEqualTo(6.2);
    assertThat(v.begun().orElseThrow().highHours()).isGreaterThanOrEqualTo(6.2);
    assertThat(v.begun().orElseThrow().likeliestHours()).isCloseTo(6.2, within(1.5));
    assertThat(v.thouPerHour().mid()).isCloseTo(1.2, within(0.4));
    assertThat(v.probability().get(Signal.OPENING)).isGreaterThan(0.95);
  }

  /** An interval that says 80 % holds about that share of two hundred seasons. */
  @Test
  void intervalsOfTheRateHoldWhatTheySay() {
    int holds = 0;
    for (int seed = 100; seed < 300; seed++) {
      double rate = 0.7 + 0.01 * (seed % 100);
      ValveDrift v =
          valve(analysis(new DriftRounds(seed, opening("5E", 5, rate)).rounds(12)), "5E");
      Range r = v.thouPerHour();
      holds += v.signal() == Signal.OPENING && r.low() <= rate && rate <= r.high() ? 1 : 0;
    }
    assertThat(holds / 200.0).isBetween(0.68, 0.90);
  }

  @Test
  void oneValveThatCloses() {
    LashDrift d = analysis(new DriftRounds(5, opening("2I", 4, -0.9)).rounds(11));
    assertThat(findings(d)).containsExactly(at("2I"));
    assertThat(valve(d, "2I").signal()).isEqualTo(Signal.CLOSING);
    assertThat(valve(d, "2I").movedThou().mid()).isCloseTo(-0.9 * 8.5, within(1.8));
  }

  @Test
  void aSlippedJamNutIsAStepNotADrift() {
    LashDrift d =
        analysis(
            new DriftRounds(8, (p, h) -> p.equals(at("3I")) && h > 5.5 ? 6.0 : 0.0).rounds(11));
    ValveDrift v = valve(d, "3I");
    assertThat(v.signal()).isEqualTo(Signal.STEP_OPEN);
    assertThat(v.movedThou().mid()).isCloseTo(6, within(1.0));
    assertThat(v.begun().orElseThrow().lowHours()).isEqualTo(4 * HOURS_BETWEEN);
    assertThat(v.begun().orElseThrow().highHours()).isEqualTo(5 * HOURS_BETWEEN);
    assertThat(v.thouPerHour()).isNull();
  }

  @Test
  void allExhaustsClosingIsAFindingOfItsOwnAndNoValves() {
    LashDrift d =
        analysis(
            new DriftRounds(13, (p, h) -> p.kind() == ValveKind.EXHAUST ? -0.35 * h : 0.0)
                .rounds(11));
    assertThat(findings(d)).isEmpty();
    CommonStory story = CommonStory.of(d.rounds(), 2);
    CommonStory.Trend exhausts =
        story.trends().stream().filter(t -> t.group() == Group.EXHAUSTS).findFirst().orElseThrow();
    assertThat(exhausts.clear()).isTrue();
    assertThat(exhausts.thouPerHour().mid()).isCloseTo(-0.35, within(0.1));
    assertThat(exhausts.said().code()).isEqualTo("COMMON.EXHAUSTS_MOVE");
    assertThat(exhausts.said().figure("thouPerHour")).isEqualTo(exhausts.thouPerHour().mid());
  }

  @Test
  void aWholeBankMovingIsTheBank() {
    int blamed = 0;
    for (int seed = 1; seed <= 20; seed++) {
      LashDrift d =
          analysis(
              new DriftRounds(seed, (p, h) -> V8.bankOf(p.cylinder()) == 1 ? 0.4 * h : 0.0)
                  .rounds(11));
      blamed += findings(d).size();
      assertThat(CommonStory.of(d.rounds(), 2).trends())
          .filteredOn(CommonStory.Trend::clear)
          .extracting(CommonStory.Trend::group)
          .contains(Group.SECOND_BANK)
          .doesNotContain(Group.EXHAUSTS);
    }
    assertThat(blamed).as("valves blamed of 320").isLessThanOrEqualTo(3);
  }

  @Test
  void aRoundReadTooWarmIsNamedAndNoValveIsBlamed() {
    DriftRounds season = new DriftRounds(21, (p, h) -> 0);
    for (int n = 0; n < 9; n++) {
      season.round("r" + n, n * HOURS_BETWEEN, HeatState.HOT, "KV", n == 5 ? -6 : 0);
    }
    LashDrift d = analysis(season.all());
    assertThat(findings(d)).isEmpty();
    assertThat(CommonStory.of(d.rounds(), 2).offRounds())
        .singleElement()
        .satisfies(r -> assertThat(r.round()).isEqualTo("r5"))
        .satisfies(r -> assertThat(r.said().code()).isEqualTo("COMMON.ROUND_READ_OFF"))
        .satisfies(r -> assertThat(r.said().figure("thou")).as("tight").isNegative());
  }

  @Test
  void eachHandIsFoundAndTakenOut() {
    DriftRounds season = new DriftRounds(22, (p, h) -> 0);
    for (int n = 0; n < 12; n++) {
      boolean mine = n % 2 == 0;
      season.round(
          "r" + n, n * HOURS_BETWEEN, HeatState.HOT, mine ? "KV" : "MO", mine ? 0.8 : -0.8);
    }
    LashDrift d = analysis(season.all());
    Map<String, Double> hands = CommonStory.of(d.rounds(), 2).handThou();
    assertThat(hands.get("KV") - hands.get("MO")).isCloseTo(1.6, within(0.5));
    assertThat(CommonStory.of(d.rounds(), 2).trends()).noneMatch(CommonStory.Trend::clear);
    assertThat(findings(d)).isEmpty();
  }

  @Test
  void hotAndColdRoundsAreJoinedThroughTheGrowth() {
    DriftRounds season = new DriftRounds(31, opening("7E", 5, 1.2));
    for (int n = 0; n < 11; n++) {
      season.round(
          "r" + n, n * HOURS_BETWEEN, n % 3 == 1 ? HeatState.COLD : HeatState.HOT, "KV", 0);
    }
    assertThat(findings(analysis(season.all()))).containsExactly(at("7E"));
  }

  @Test
  void withoutAKnownGrowthAChangeOfStateBlamesNobody() {
    DriftRounds season = new DriftRounds(33, (p, h) -> 0);
    for (int n = 0; n < 8; n++) {
      season.round("r" + n, n * HOURS_BETWEEN, n < 4 ? HeatState.HOT : HeatState.COLD, "KV", 0);
    }
    LashDrift d = LashDrift.of(V8, season.all(), new Growth(Map.of()), DriftRules.USUAL);
    assertThat(findings(d)).isEmpty();
    assertThat(valve(d, "1I").points()).hasSize(7);
    assertThat(valve(d, "1I").points().get(3).sdThou()).isGreaterThan(10);
  }

  @Test
  void shiftingAWholeRoundChangesNoVerdictOfAValve() {
    List<LashRound> rounds = new DriftRounds(41, opening("5E", 6, 0.8)).rounds(10);
    for (int shifted = 0; shifted < rounds.size(); shifted++) {
      List<LashRound> moved = new ArrayList<>(rounds);
      moved.set(shifted, shift(rounds.get(shifted), 7.5));
      same(analysis(moved), analysis(rounds));
    }
  }

  private static LashRound shift(LashRound r, double thou) {
    return new LashRound(
        r.name(),
        r.order(),
        r.engineHours(),
        r.state(),
        r.hand(),
        r.reads().stream()
            .map(
                x ->
                    new LashRound.Read(x.position(), shift(x.found(), thou), shift(x.left(), thou)))
            .toList(),
        r.renewed());
  }

  private static Gap shift(Gap gap, double thou) {
    return gap == null ? null : new Gap(gap.lowThou() + thou, gap.highThou() + thou);
  }

  private static void same(LashDrift a, LashDrift b) {
    for (Position p : V8.positions()) {
      ValveDrift x = a.valves().get(p);
      ValveDrift y = b.valves().get(p);
      assertThat(x.signal()).isEqualTo(y.signal());
      assertThat(x.sum()).isCloseTo(y.sum(), within(1e-5));
      for (Signal s : Signal.values()) {
        assertThat(x.probability().get(s)).isCloseTo(y.probability().get(s), within(1e-5));
      }
    }
  }

  @Test
  void theOrderInWhichRoundsAreEnteredDoesNotMatter() {
    List<LashRound> rounds = new ArrayList<>(new DriftRounds(43, opening("4I", 3, 1)).rounds(9));
    LashDrift straight = analysis(rounds);
    Collections.shuffle(rounds, new Random(1));
    same(analysis(rounds), straight);
  }

  @Test
  void aNewPartInTheChainBeginsANewStory() {
    List<LashRound> rounds = new DriftRounds(47, opening("5E", 3, 1.5)).rounds(9);
    assertThat(findings(analysis(rounds))).containsExactly(at("5E"));
    LashRound last = rounds.get(8);
    List<LashRound> renewed = new ArrayList<>(rounds.subList(0, 8));
    renewed.add(
        new LashRound(
            last.name(),
            last.order(),
            last.engineHours(),
            last.state(),
            last.hand(),
            last.reads(),
            Set.of(at("5E"))));
    LashDrift d = analysis(renewed);
    assertThat(valve(d, "5E").strength()).isEqualTo(Strength.UNKNOWN);
    assertThat(findings(d)).isEmpty();
  }

  @Test
  void settingTheLashDoesNotHideADrift() {
    List<LashRound> rounds = new DriftRounds(53, opening("1E", 2, 1.6)).rounds(9);
    long timesSet =
        rounds.stream()
            .flatMap(r -> r.reads().stream())
            .filter(x -> x.position().equals(at("1E")) && x.left() != null)
            .count();
    assertThat(timesSet).isGreaterThan(2);
    ValveDrift path = valve(analysis(rounds), "1E");
    double opened = path.points().get(7).pathThou() - path.points().get(0).pathThou();
    assertThat(opened).as("settings taken out").isCloseTo(1.6 * 8, within(2.0));
    assertThat(valve(analysis(rounds), "1E").signal()).isEqualTo(Signal.OPENING);
  }

  @Test
  void oneOrNoRoundSaysNothingYet() {
    LashDrift none = analysis(List.of());
    assertThat(none.valves().values())
        .allSatisfy(v -> assertThat(v.strength()).isEqualTo(Strength.UNKNOWN));
    LashDrift one = analysis(new DriftRounds(3, (p, h) -> 0).rounds(1));
    assertThat(one.valves().values())
        .allSatisfy(v -> assertThat(v.signal()).isEqualTo(Signal.STEADY))
        .allSatisfy(v -> assertThat(v.thouPerHour()).isNull());
    assertThat(CommonStory.of(one.rounds(), 2).trends()).isEmpty();
  }

  @Test
  void probabilitiesAreAWholeAndWiderScatterIsLearned() {
    LashDrift d = analysis(new DriftRounds(61, (p, h) -> 0).rounds(10));
    assertThat(d.valves().values())
        .allSatisfy(
            v ->
                assertThat(v.probability().values().stream().mapToDouble(x -> x).sum())
                    .isCloseTo(1, within(1e-9)));
    Random rough = new Random(4);
    List<LashRound> noisy = new DriftRounds(61, (p, h) -> rough.nextGaussian() * 1.5).rounds(10);
    LashDrift wild = analysis(noisy);
    assertThat(wild.scatter()).isGreaterThan(1.5 * d.scatter());
    assertThat(findings(wild).stream().collect(Collectors.toSet())).hasSizeLessThanOrEqualTo(1);
  }
}
