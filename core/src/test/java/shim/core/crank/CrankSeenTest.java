package shim.core.crank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.crank.CrankSeen.What;
import shim.core.engine.Engine;
import shim.core.engine.Position;

/** Where a crank stands by what is seen of it, and a plan that begins there. */
class CrankSeenTest {
  private static final Engine V8 = Engines.engine(Engines.sheet("v8-odd-even"));
  private static final CrankModel MODEL = CrankModel.of(V8).orElseThrow();

  private static List<Double> places(
      What what, @Nullable String valve, @Nullable Integer cylinder, @Nullable Double deg) {
    Position p = valve == null ? null : Position.parse(valve);
    return new CrankSeen(what, p, cylinder, deg).places(MODEL);
  }

  /** 1-8-4-3-6-5-7-2 with ICL 106: cylinder 8 fires 90 after 1, its intake is fully open 466 on. */
  @Test
  void aValveSeenMovingSaysWhere() {
    assertThat(places(What.COMPRESSION_TDC, null, 8, null)).containsExactly(90.0);
    assertThat(places(What.FULL_LIFT, "8I", null, null).get(0)).isCloseTo(556, within(1e-9));
    for (String valve : List.of("1I", "1E", "6E", "2I")) {
      double opens = places(What.JUST_OPENS, valve, null, null).get(0);
      double closes = places(What.ALMOST_CLOSED, valve, null, null).get(0);
      double full = places(What.FULL_LIFT, valve, null, null).get(0);
      assertThat(Math.floorMod(Math.round(full - opens), 720)).isEqualTo(145);
      assertThat(Math.floorMod(Math.round(closes - full), 720)).isEqualTo(145);
    }
  }

  @Test
  void aMarkAloneLeavesTwoPlacesATurnApart() {
    assertThat(places(What.MARK, null, null, 90.0)).containsExactly(90.0, 450.0);
    assertThat(places(What.MARK, null, null, -30.0)).containsExactly(690.0, 330.0);
  }

  @Test
  void whatIsNotThisEnginesSaysNothing() {
    assertThat(places(What.FULL_LIFT, "9I", null, null)).isEmpty();
    assertThat(places(What.FULL_LIFT, null, null, null)).isEmpty();
    assertThat(places(What.COMPRESSION_TDC, null, 9, null)).isEmpty();
    assertThat(places(What.MARK, null, null, Double.NaN)).isEmpty();
    assertThat(places(What.MARK, null, null, 1e300)).isEmpty();
  }

  /**
   * Wherever the crank stands, every valve is still set once, at its own stop, on the way round.
   */
  @Test
  void aPlanBegunAnywhereBarsToTheNearestStopAheadAndSetsTheSameValvesThere() {
    for (School school : School.values()) {
      SettingPlan plan = new SettingPlanner(MODEL).plan(school, 4, List.of()).orElseThrow();
      for (double from = 0; from < 720; from += 7.5) {
        SettingPlan turned = plan.from(from);
        assertThat(turned.stops())
            .extracting(SettingPlan.Stop::settings)
            .containsExactlyInAnyOrderElementsOf(
                plan.stops().stream().map(SettingPlan.Stop::settings).toList());
        double first = turned.stops().get(0).barDeg();
        double start = from;
        assertThat(plan.stops())
            .allSatisfy(
                s ->
                    assertThat(Math.floorMod((long) ((s.crankDeg() - start) * 1e6), 720_000_000L))
                        .isGreaterThanOrEqualTo((long) (first * 1e6) - 2));
        double at = from;
        for (SettingPlan.Stop s : turned.stops()) {
          assertThat(Math.IEEEremainder(at + s.barDeg() - s.crankDeg(), 720))
              .isCloseTo(0, within(1e-6));
          at = s.crankDeg();
        }
        assertThat(turned.totalBarDeg() + first)
            .isCloseTo(
                turned.stops().stream().mapToDouble(SettingPlan.Stop::barDeg).sum(), within(1e-6));
        assertThat(turned.worstSlackDeg()).isEqualTo(plan.worstSlackDeg());
      }
    }
  }
}
