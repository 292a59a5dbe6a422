package shim.core.crank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.Engines;
import shim.core.engine.EngineSheet.BankSheet;
import shim.core.engine.EngineSheet.LayoutSheet;
import shim.core.engine.Layout;
import shim.core.engine.Position;

class ValveWindowTest {
  private static final Position E3 = Position.parse("3E");

  @Test
  void slackIsTheWayToTheNearerEndOfTheFreeWindow() {
    ValveWindow w = new ValveWindow(E3, 700, 140, 20);
    assertThat(w.opensDeg()).isEqualTo(560);
    assertThat(w.closesDeg()).isEqualTo(120);
    assertThat(w.freeFromDeg()).isEqualTo(140);
    assertThat(w.freeToDeg()).isEqualTo(540);
    assertThat(w.slackDeg(340)).isEqualTo(w.mostSlackDeg()).isEqualTo(200);
    assertThat(w.slackDeg(150)).isCloseTo(10, within(1e-9));
    assertThat(w.slackDeg(0)).isCloseTo(-140, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, 0, 360})
  void aDurationThatLeavesNoWindowIsRefused(double halfOpenDeg) {
    assertThatThrownBy(() -> new ValveWindow(E3, 0, halfOpenDeg, 15))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new ValveWindow(E3, 0, 140, halfOpenDeg == 0 ? -1 : halfOpenDeg))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.NEGATIVE_INFINITY, -0.001})
  void aTappetLiftBelowZeroHasNoMargin(double lift) {
    assertThatThrownBy(() -> RampMargin.usualDeg(lift))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Odd fire: a V6 with its crank pins paired fires 90 and 150 degrees apart. */
  @Test
  void anOddFireEngineKeepsItsOwnIntervals() {
    LayoutSheet sheet =
        new LayoutSheet(
            Layout.Arrangement.V,
            List.of(new BankSheet("l", "1 3 5", "EIIEEI"), new BankSheet("r", "2 4 6", "IEEIIE")),
            "1-6-5-4-3-2",
            "90-150",
            null);
    Layout layout = Engines.engine(Engines.with(Engines.sheet("v6"), sheet)).layout();
    assertThat(layout.compressionTdcDeg())
        .containsExactlyEntriesOf(ordered(1, 0.0, 6, 90.0, 5, 240.0, 4, 330.0, 3, 480.0, 2, 570.0));
    assertThat(layout.companion(1)).isEmpty();
    CrankModel model = CrankModel.of(layout, Engines.camCard(260, 106, 110), Optional.empty());
    SettingPlan plan =
        new SettingPlanner(model).plan(School.COMPRESSION_TDC, 0, List.of()).orElseThrow();
    assertThat(plan.stops())
        .extracting(SettingPlan.Stop::barDeg)
        .containsExactly(0.0, 90.0, 150.0, 90.0, 150.0, 90.0);
    assertThat(plan.offBaseCircle()).isEmpty();
  }

  private static Map<Integer, Double> ordered(Object... pairs) {
    Map<Integer, Double> map = new java.util.LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      map.put((Integer) pairs[i], (Double) pairs[i + 1]);
    }
    return map;
  }

  @Test
  void aSingleCylinderIsSetAtOneStop() {
    CrankModel model =
        CrankModel.of(Engines.layout("blank"), Engines.camCard(260, 106, 110), Optional.empty());
    BestStops.Best one = BestStops.anywhere(model.windows()).with(1);
    assertThat(one.anglesDeg()).hasSize(1);
    // Both lobes stand 216 apart, so between them on the far side 252 is left to each.
    assertThat(one.worstSlackDeg()).isCloseTo((720 - 216) / 2.0 - 145, within(1e-6));
  }

  @Test
  void noStopsAreNoPlan() {
    CrankModel model =
        CrankModel.of(Engines.layout("blank"), Engines.camCard(260, 106, 110), Optional.empty());
    assertThatThrownBy(() -> BestStops.anywhere(model.windows()).with(0))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
