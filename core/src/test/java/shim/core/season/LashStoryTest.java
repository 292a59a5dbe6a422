package shim.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.drift.CommonStory;
import shim.core.drift.DriftRules;
import shim.core.drift.Gap;
import shim.core.drift.LashDrift;
import shim.core.drift.LashRound;
import shim.core.drift.ValveDrift;
import shim.core.drift.ValveDrift.Signal;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.season.LashSeason.Fault;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.season.LashSeason.Truth;
import shim.core.stats.Robust;

/** The drift analysis on simulated seasons of the demo's kind, whose truth is known. */
class LashStoryTest {
  private static final Engine ENGINE = Engines.engine(Engines.sheet("v8-odd-even"));
  private static final Map<ValveKind, Double> GROWN =
      Map.of(ValveKind.INTAKE, -0.0055, ValveKind.EXHAUST, -0.0065);
  private static final double[] HOURS = {0.3, 1.2, 2.5, 3.6, 5.0, 6.4, 7.7, 8.9};

  private static LashDrift season(long seed, List<Fault> faults, double secondHandIn) {
    List<RoundPlan> plans = new ArrayList<>();
    for (int i = 0; i < HOURS.length; i++) {
      boolean other = i % 3 == 2;
      plans.add(
          new RoundPlan(
              HOURS[i],
              i == 3 ? HeatState.COLD : HeatState.HOT,
              other ? "MO" : "KV",
              other ? secondHandIn : 0));
    }
    List<LashSeason.Round> written =
        new LashSeason(ENGINE, new Truth(GROWN, faults), new Random(seed)).rounds(plans);
    List<LashRound> rounds = new ArrayList<>();
    for (LashSeason.Round r : written) {
      rounds.add(
          new LashRound(
              "round " + rounds.size(),
              rounds.size(),
              r.plan().engineHours(),
              r.plan().state(),
              r.plan().hand(),
              r.valves().stream().map(LashStoryTest::read).toList(),
              Set.of()));
    }
    Growth growth =
        new Growth(
            Map.of(
                ValveKind.INTAKE, new Robust.Mean(-0.0053, 0.0008, 8),
                ValveKind.EXHAUST, new Robust.Mean(-0.0066, 0.0008, 8)));
    return LashDrift.of(ENGINE.layout(), rounds, growth, DriftRules.USUAL);
  }

  private static LashRound.Read read(LashSeason.Written w) {
    return new LashRound.Read(
        w.position(),
        Gap.about(w.foundIn() * 1000, 1),
        w.adjusted() ? Gap.about(w.leftIn() * 1000, 1) : null);
  }

  private static ValveDrift valve(LashDrift d, String p) {
    return d.valves().get(Position.parse(p));
  }

  @Test
  void theOpeningLobeIsNamedInMostSeasonsAndAlmostNoOtherValve() {
    int named = 0;
    int others = 0;
    for (long seed = 1; seed <= 30; seed++) {
      LashDrift d = season(seed, List.of(new Fault(Position.parse("5E"), 5.0, 0.0014)), 0.0005);
      named += valve(d, "5E").signal() == Signal.OPENING ? 1 : 0;
      others +=
          (int)
              d.valves().values().stream()
                  .filter(v -> v.strength() == Strength.FINDING)
                  .filter(v -> !v.position().equals(Position.parse("5E")))
                  .count();
    }
    assertThat(named).as("of 30 seasons").isGreaterThanOrEqualTo(27);
    assertThat(others).as("of 450 healthy valves").isLessThanOrEqualTo(5);
  }

  @Test
  void aSinkingSeatClosesAndIsNeverCalledOpening() {
    int closing = 0;
    for (long seed = 1; seed <= 20; seed++) {
      LashDrift d = season(seed, List.of(new Fault(Position.parse("2I"), 2, -0.001)), 0);
      ValveDrift v = valve(d, "2I");
      closing += v.signal() == Signal.CLOSING ? 1 : 0;
      assertThat(v.signal()).isNotEqualTo(Signal.OPENING);
    }
    assertThat(closing).as("of 20 seasons").isGreaterThanOrEqualTo(16);
  }

  @Test
  void aHeavyHandIsTakenOut() {
    double apart = 0;
    for (long seed = 1; seed <= 10; seed++) {
      Map<String, Double> hands =
          CommonStory.of(season(seed, List.of(), 0.0015).rounds(), 2).handThou();
      apart += (hands.get("MO") - hands.get("KV")) / 10;
    }
    assertThat(apart).isBetween(0.4, 1.6);
  }

  @Test
  void aHealthySeasonStaysQuiet() {
    int found = 0;
    for (long seed = 100; seed < 130; seed++) {
      found +=
          (int)
              season(seed, List.of(), 0.0005).valves().values().stream()
                  .filter(v -> v.strength() == Strength.FINDING)
                  .count();
    }
    assertThat(found).as("of 480 healthy valves").isLessThanOrEqualTo(5);
  }
}
