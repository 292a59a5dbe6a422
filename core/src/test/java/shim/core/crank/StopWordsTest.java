package shim.core.crank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.EngineSheet.BankSheet;
import shim.core.engine.EngineSheet.LayoutSheet;
import shim.core.engine.Layout;
import shim.core.engine.Position;

class StopWordsTest {
  private static CrankModel model(String preset) {
    return CrankModel.of(Engines.layout(preset), Engines.camCard(280, 106, 112), Optional.empty());
  }

  private static String look(CrankModel model, double crankDeg) {
    return StopWords.of(model, crankDeg, Optional.empty()).look();
  }

  @Test
  void everyStopOfTheOpeningSchoolIsFoundAtAValve() {
    CrankModel model = model("inline-4");
    SettingPlan plan =
        new SettingPlanner(model).plan(School.OPENING_CLOSING_ONE_TRIP, 0, List.of()).orElseThrow();
    for (SettingPlan.Stop stop : plan.stops()) {
      assertThat(look(model, stop.crankDeg()))
          .as("at %s", stop.crankDeg())
          .containsAnyOf("almost closed", "just begins to open", "compression TDC");
    }
  }

  @Test
  void fullLiftIsSaidAtTheCompanion() {
    CrankModel model = model("inline-4");
    double centre = model.window(Position.parse("4E")).centreDeg();
    assertThat(look(model, centre)).isEqualTo("cylinder 4's exhaust at full lift");
  }

  @Test
  void beforeAndPastTdcAreToldApart() {
    CrankModel model = model("inline-4");
    assertThat(look(model, 180 + 25)).isEqualTo("25° past cylinder 3's compression TDC");
    assertThat(look(model, 180 - 25)).isEqualTo("25° before cylinder 3's compression TDC");
  }

  @Test
  void theBalancerCountsFromNumberOneWhicheverFiresFirst() {
    LayoutSheet sheet =
        new LayoutSheet(
            null, List.of(new BankSheet("h", "1 2 3 4", "EIIEEIIE")), "3-4-2-1", null, null);
    Layout layout = Engines.engine(Engines.with(Engines.sheet("inline-4"), sheet)).layout();
    CrankModel model = CrankModel.of(layout, Engines.camCard(280, 106, 112), Optional.empty());
    assertThat(layout.compressionTdcDeg(1)).isEqualTo(540);
    assertThat(StopWords.of(model, 540, Optional.empty()).balancerDeg()).isZero();
    assertThat(StopWords.of(model, 570, Optional.empty()).balancer())
        .isEqualTo("balancer 30° past number 1's TDC mark");
    SettingPlan two = new SettingPlanner(model).plan(School.TWO_STOPS, 2, List.of()).orElseThrow();
    assertThat(two.stops().get(0).crankDeg()).as("number 1, not the first to fire").isEqualTo(540);
  }

  @Test
  void theRotorPointsAtALeadAtTheTimingNotAtTdc() {
    CrankModel model = model("inline-4");
    assertThat(StopWords.of(model, -30, Optional.of(30.0)).rotor())
        .hasValueSatisfying(r -> assertThat(r).startsWith("rotor at number 1's lead"));
    assertThat(StopWords.of(model, 0, Optional.of(30.0)).rotor())
        .hasValueSatisfying(r -> assertThat(r).startsWith("rotor 15° past number 1's lead"));
    assertThat(StopWords.of(model, 0, Optional.empty()).rotor()).isEmpty();
  }

  @Test
  void aFourValveCylinderIsSetBothOfAKindAtOneStop() {
    LayoutSheet sheet =
        new LayoutSheet(
            null,
            List.of(new BankSheet("h", "1 2 3 4", "EIIEEIIEEIIEEIIE")),
            "1-3-4-2",
            null,
            null);
    CrankModel model =
        CrankModel.of(
            Engines.engine(Engines.with(Engines.sheet("inline-4"), sheet)).layout(),
            Engines.camCard(260, 106, 112),
            Optional.empty());
    SettingPlan plan =
        new SettingPlanner(model)
            .plan(School.OPENING_CLOSING_TWO_TRIPS, 0, List.of())
            .orElseThrow();
    assertThat(plan.stops()).hasSize(8);
    for (SettingPlan.Stop stop : plan.stops()) {
      Set<Integer> cylinders = new HashSet<>();
      stop.settings().forEach(s -> cylinders.add(s.position().cylinder()));
      assertThat(stop.settings()).hasSize(2);
      assertThat(cylinders).hasSize(1);
    }
  }
}
