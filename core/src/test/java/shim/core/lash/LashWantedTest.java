package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.Engines;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;

/** What is wanted of an engine's valves, and why nothing can be said to be. */
class LashWantedTest {
  /** Tables were written for what engines usually ask; some leave nothing. */
  @ParameterizedTest
  @CsvSource({"0.006, true", "0.008, true", "0.0081, false"})
  void aTableThatLeavesNoLashGivesNoTarget(double hotIn, boolean none) {
    Engine e = Engines.engine(Engines.sheet("inline-4"));
    Engine.Rules r = e.rules();
    Engine aluminium =
        new Engine(
            "heads",
            e.layout(),
            e.drive(),
            e.cam(),
            new Engine.LashSpec(hotIn, hotIn, null, null, HeatState.HOT),
            new Engine.Rules(
                shim.core.engine.HotColdSchool.TABLE,
                0,
                shim.core.engine.Material.IRON,
                shim.core.engine.Material.ALUMINIUM,
                r.toleranceIn(),
                r.feelerStepIn(),
                r.rampMarginDeg(),
                List.of(),
                r.staticTimingDeg(),
                r.inTolerance()));
    Growth growth = new Growth(java.util.Map.of());
    assertThat(LashWanted.of(aluminium, HeatState.COLD, growth).targets()).hasSize(none ? 0 : 2);
    assertThat(LashWanted.of(aluminium, HeatState.HOT, growth).targets()).hasSize(2);
    assertThat(LashWanted.of(aluminium, HeatState.COLD, growth).none()).hasSize(none ? 1 : 0);
    if (none) {
      assertThat(LashWanted.of(aluminium, HeatState.COLD, growth).none().get(0))
          .satisfies(s -> assertThat(s.code()).isEqualTo("NO_TARGET.NO_LASH_BY_TABLE"))
          .satisfies(s -> assertThat(s.figure("shiftThou")).isCloseTo(-6, within(1e-9)));
    }
  }

  @Test
  void aHydraulicEngineSaysThatItHasNoLash() {
    Engine nuts = PreloadTest.engine(PreloadTest.drive(Adjuster.FULCRUM_NUT, 0.5, null));
    assertThat(LashWanted.of(nuts, HeatState.COLD, new Growth(java.util.Map.of())).none())
        .extracting(s -> s.code())
        .containsExactly("NO_TARGET.HYDRAULIC");
  }
}
