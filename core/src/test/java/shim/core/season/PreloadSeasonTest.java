package shim.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.Rocker;
import shim.core.engine.ValveKind;
import shim.core.season.LashSeason.RoundPlan;

/** Seasons of engines whose lash no screw sets: preload by turns, lash by pushrod length. */
class PreloadSeasonTest {
  private static final Position E4 = Position.parse("4E");

  private static Engine engine(
      Lifter lifter, Adjuster adjuster, @Nullable String thread, @Nullable Double partIn) {
    return Engines.engine(
        Engines.with(
            Engines.sheet("v8-odd-even"),
            new DriveSheet(
                lifter,
                Rocker.STUD,
                1.5,
                1.5,
                adjuster,
                thread,
                lifter.hydraulic() ? 0.090 : null,
                lifter.hydraulic() ? 0.5 : null,
                partIn == null ? null : "7.900 7.910 7.920 7.930 7.940",
                partIn,
                partIn,
                false,
                false,
                null,
                false,
                null)));
  }

  private static final Engine HYDRAULIC =
      engine(Lifter.ROLLER_HYDRAULIC, Adjuster.FULCRUM_NUT, "7/16-20", null);

  private static List<RoundPlan> plans(HeatState state) {
    return Stream.of(0.3, 2.0, 4.0, 6.0, 8.0).map(h -> new RoundPlan(h, state, "KV", 0)).toList();
  }

  private static List<PreloadSeason.Round> season(long seed, List<PreloadSeason.Fault> faults) {
    return new PreloadSeason(HYDRAULIC, faults, new Random(seed)).rounds(plans(HeatState.COLD));
  }

  @Test
  void aFaultTakesPreloadOffItsValveAndIsSetAgain() {
    List<PreloadSeason.Round> rounds = season(3, List.of(new PreloadSeason.Fault(E4, 2.0, 0.06)));
    double lost = 0;
    boolean set = false;
    for (int i = 1; i < rounds.size(); i++) {
      lost += at(rounds.get(i - 1)).leftTurns() - at(rounds.get(i)).foundTurns();
      set |= at(rounds.get(i)).adjusted();
    }
    assertThat(lost).isBetween(0.25, 0.55);
    assertThat(set).isTrue();
    assertThat(season(3, List.of())).isEqualTo(season(3, List.of()));
    assertThat(rounds)
        .flatExtracting(PreloadSeason.Round::valves)
        .allSatisfy(w -> assertThat(w.foundTurns() * 16 % 1).isZero())
        .filteredOn(w -> !w.position().equals(E4))
        .allSatisfy(w -> assertThat(w.foundTurns()).isBetween(0.3, 0.7));
  }

  private static PreloadSeason.Written at(PreloadSeason.Round round) {
    return round.valves().stream().filter(w -> w.position().equals(E4)).findFirst().orElseThrow();
  }

  @Test
  void whereNoTurnsAreWantedThereIsNoSuchSeason() {
    Engine solid = engine(Lifter.FLAT_SOLID, Adjuster.FULCRUM_NUT, "7/16-20", null);
    assertThatThrownBy(() -> new PreloadSeason(solid, List.of(), new Random(1)))
        .hasMessageContaining("no turns are wanted");
  }

  /** What a length does to the lash is its own ratio's; only lengths to hand go in. */
  @Test
  void aFixedRockersLashIsSetByTheNearestLengthToHand() {
    Engine fixed = engine(Lifter.FLAT_SOLID, Adjuster.PUSHROD_LENGTH, null, 7.910);
    LashSeason.Truth truth =
        new LashSeason.Truth(
            Map.of(ValveKind.INTAKE, 0.0, ValveKind.EXHAUST, 0.0),
            List.of(new LashSeason.Fault(E4, 0.3, 0.006)));
    List<LashSeason.Written> of4E =
        new LashSeason(fixed, truth, new Random(9))
            .rounds(plans(HeatState.HOT)).stream()
                .flatMap(r -> r.valves().stream())
                .filter(w -> w.position().equals(E4))
                .toList();
    assertThat(of4E).filteredOn(LashSeason.Written::adjusted).isNotEmpty();
    Double in = 7.910;
    for (LashSeason.Written w : of4E) {
      if (w.adjusted()) {
        assertThat(fixed.drive().partSizesIn()).contains(w.partIn());
        assertThat(w.foundIn() - w.leftIn()).isCloseTo((w.partIn() - in) * 1.5, within(0.0021));
        in = w.partIn();
      } else {
        assertThat(w.partIn()).isNull();
      }
    }
  }
}
