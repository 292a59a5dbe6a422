package shim.core.crank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.CamCard;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/**
 * Two-stop valve lists as generic service manuals print them, and the "rule of nine" of inline
 * fours; values from memory. The optimum slacks are derived and agree with brute force.
 */
class SettingOrderAgainstHandbookTest {
  private static CrankModel model(String preset, double duration) {
    return CrankModel.of(
        Engines.layout(preset), Engines.camCard(duration, 106, 114), Optional.empty());
  }

  private static Set<String> valves(SettingPlan plan, int stop) {
    return plan.stops().get(stop).settings().stream()
        .map(s -> s.position().toString())
        .collect(Collectors.toCollection(TreeSet::new));
  }

  private static Set<String> list(String valves) {
    return new TreeSet<>(Arrays.asList(valves.split(" ")));
  }

  private static SettingPlan twoStops(String preset) {
    return new SettingPlanner(model(preset, 290))
        .plan(School.TWO_STOPS, 2, List.of())
        .orElseThrow();
  }

  @Test
  void twoStopsOfAV8() {
    SettingPlan plan = twoStops("v8-odd-even");
    assertThat(valves(plan, 0)).isEqualTo(list("1E 3E 4E 8E 1I 2I 5I 7I"));
    assertThat(valves(plan, 1)).isEqualTo(list("2E 5E 6E 7E 3I 4I 6I 8I"));
    assertThat(plan.worstSlackDeg()).isCloseTo(36, within(1e-9));
    assertThat(plan.totalBarDeg()).isEqualTo(360);
  }

  @Test
  void twoStopsOfAnInlineSix() {
    SettingPlan plan = twoStops("inline-6");
    assertThat(valves(plan, 0)).isEqualTo(list("1I 2I 4I 1E 3E 5E"));
    assertThat(valves(plan, 1)).isEqualTo(list("3I 5I 6I 2E 4E 6E"));
  }

  @Test
  void twoStopsOfAnInlineFour() {
    assertThat(valves(twoStops("inline-4"), 0)).isEqualTo(list("1I 2I 1E 3E"));
  }

  @Test
  void ruleOfNine() {
    CrankModel model = model("inline-4", 280);
    List<Position> front = model.layout().positions();
    SettingPlan plan =
        new SettingPlanner(model).plan(School.FULL_LIFT_COMPANION, 0, List.of()).orElseThrow();
    for (SettingPlan.Stop stop : plan.stops()) {
      int set = front.indexOf(stop.settings().get(0).position()) + 1;
      Position open =
          model.windows().stream()
              .filter(w -> Math.abs(w.centreDeg() - stop.crankDeg()) < 1e-6)
              .map(ValveWindow::position)
              .findFirst()
              .orElseThrow();
      assertThat(set + front.indexOf(open) + 1).as("valve %d with %s open", set, open).isEqualTo(9);
    }
    assertThat(plan.stops()).hasSize(8);
  }

  @Test
  void bestStops() {
    BestStops v8 = BestStops.anywhere(model("v8-odd-even", 290).windows());
    assertThat(v8.with(2).worstSlackDeg()).isCloseTo(45, within(1e-6));
    assertThat(v8.with(3).worstSlackDeg()).isCloseTo(90, within(1e-6));
    assertThat(v8.with(4).worstSlackDeg()).isCloseTo(135, within(1e-6));
    assertThat(v8.with(8).worstSlackDeg()).isCloseTo(180, within(1e-6));
    assertThat(v8.with(16).worstSlackDeg()).isCloseTo(200, within(1e-6));
    assertThat(BestStops.anywhere(model("inline-6", 290).windows()).with(2).worstSlackDeg())
        .isCloseTo(70, within(1e-6));
    assertThat(BestStops.anywhere(model("inline-4", 290).windows()).with(2).worstSlackDeg())
        .isCloseTo(90, within(1e-6));
  }

  @Test
  void cardArithmetic() {
    Layout layout = Engines.layout("v8-odd-even");
    CamCard card =
        new CamCard(
            new CamCard.Lobe(ValveKind.INTAKE, 0.3, List.of(new CamCard.Duration(0.05, 218)), 106),
            new CamCard.Lobe(
                ValveKind.EXHAUST, 0.3, List.of(new CamCard.Duration(0.05, 218)), 114));
    CamTiming timing = CamTiming.of(card);
    assertThat(timing.ivoBtdcDeg()).isEqualTo(3);
    assertThat(timing.ivcAbdcDeg()).isEqualTo(35);
    assertThat(timing.evoBbdcDeg()).isEqualTo(43);
    assertThat(timing.evcAtdcDeg()).isEqualTo(-5);
    assertThat(timing.overlapDeg()).isEqualTo(-2);
    assertThat(timing.lsaDeg()).isEqualTo(110);
    assertThat(timing.advanceDeg()).isEqualTo(4);
    assertThat(CrankModel.of(layout, card, Optional.empty()).windows().get(0).marginDeg())
        .isEqualTo(45);
  }

  /** Common practice, no source. */
  @Test
  void rampMargins() {
    assertThat(RampMargin.usualDeg(0.004)).isEqualTo(15);
    assertThat(RampMargin.usualDeg(0.006)).isEqualTo(15);
    assertThat(RampMargin.usualDeg(0.0105)).isCloseTo(22.5, within(1e-9));
    assertThat(RampMargin.usualDeg(0.015)).isEqualTo(30);
    assertThat(RampMargin.usualDeg(0.020)).isEqualTo(30);
    assertThat(RampMargin.usualDeg(0.035)).isCloseTo(37.5, within(1e-9));
    assertThat(RampMargin.usualDeg(0.050)).isEqualTo(45);
    assertThat(RampMargin.usualDeg(0.2)).isEqualTo(45);
  }
}
