package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.engine.Adjuster;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.unit.Said;

class ShimSwapsPropertiesTest {
  private static final LashTarget TARGET =
      new LashTarget(ValveKind.INTAKE, HeatState.COLD, 0.010, null, 0.001, Said.kept("test"), null);

  private static List<ShimSwaps.Measured> engine(Random random, int valves) {
    List<ShimSwaps.Measured> result = new ArrayList<>();
    for (int v = 1; v <= valves; v++) {
      double shim = 0.100 + random.nextInt(8) * 0.001;
      double found = 0.006 + random.nextInt(9) * 0.001;
      result.add(new ShimSwaps.Measured(new Position(v, ValveKind.INTAKE, 0), shim, found, TARGET));
    }
    return result;
  }

  /** Against every permutation of the shims, tried one by one. */
  private static int best(List<ShimSwaps.Measured> valves, int at, Set<Integer> used) {
    if (at == valves.size()) {
      return 0;
    }
    int best = 0;
    for (int s = 0; s < valves.size(); s++) {
      if (used.add(s)) {
        double lash = valves.get(at).lashWith(valves.get(s).shimIn());
        int in = TARGET.judge(lash) == LashVerdict.IN ? 1 : 0;
        best = Math.max(best, in + best(valves, at + 1, used));
        used.remove(s);
      }
    }
    return best;
  }

  @Test
  void noExchangeBringsMoreValvesWithinTolerance() {
    Random random = new Random(12);
    for (int run = 0; run < 60; run++) {
      List<ShimSwaps.Measured> valves = engine(random, 6);
      ShimSwaps swaps = ShimSwaps.of(valves);
      assertThat(swaps.within()).isEqualTo(best(valves, 0, new HashSet<>()));
      assertThat(swaps.wanted()).hasSize(valves.size() - swaps.within());
      assertThat(swaps.moves())
          .allSatisfy(m -> assertThat(TARGET.judge(m.lashIn())).isEqualTo(LashVerdict.IN));
      assertThat(swaps.moves().stream().map(ShimSwaps.Move::from).distinct().count())
          .as("no shim is in two places")
          .isEqualTo(swaps.moves().size());
    }
  }

  @Test
  void whatIsRightStaysWhereItIs() {
    List<ShimSwaps.Measured> right =
        List.of(
            new ShimSwaps.Measured(Position.parse("1I"), 0.100, 0.010, TARGET),
            new ShimSwaps.Measured(Position.parse("2I"), 0.100, 0.0105, TARGET));
    assertThat(ShimSwaps.of(right).moves()).isEmpty();
    assertThat(ShimSwaps.of(List.of()).within()).isZero();
  }

  /** Any part, any ratio: fitting the wanted size gives the target. */
  @ParameterizedTest
  @EnumSource(
      value = Adjuster.class,
      names = {"PUSHROD_LENGTH", "PEDESTAL_SHIM", "BUCKET_SHIM"})
  void theWantedSizeGivesTheTarget(Adjuster adjuster) {
    Random random = new Random(3);
    for (int run = 0; run < 200; run++) {
      double ratio = adjuster == Adjuster.BUCKET_SHIM ? 1 : 1.2 + random.nextDouble();
      double present = adjuster == Adjuster.PUSHROD_LENGTH ? 7.8 : 0.1;
      double found = random.nextInt(40) / 1000.0;
      double wanted =
          PartChoice.of(adjuster, ratio, found, TARGET, present, List.of()).wantedSizeIn();
      PartChoice fitted = PartChoice.of(adjuster, ratio, found, TARGET, present, List.of(wanted));
      assertThat(fitted.options().get(0).lashIn())
          .isCloseTo(0.010, org.assertj.core.api.Assertions.within(1e-9));
      assertThat(fitted.oneOff()).isFalse();
    }
  }

  @Test
  void aTurnedAdjusterHasNoPartToExchange() {
    assertThatThrownBy(() -> PartChoice.of(Adjuster.FULCRUM_NUT, 1.5, 0.02, TARGET, 0.1, List.of()))
        .hasMessageContaining("is turned, not exchanged");
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, 1.0})
  void aLashThatWouldWantAPartBelowZeroIsRefused(double found) {
    assertThatThrownBy(
            () -> PartChoice.of(Adjuster.PEDESTAL_SHIM, 1.5, found, TARGET, 0.02, List.of()))
        .isInstanceOf(LashException.class)
        .hasMessageContaining("check both");
  }
}
