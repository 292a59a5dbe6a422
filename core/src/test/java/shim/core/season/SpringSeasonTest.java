package shim.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import shim.core.engine.Position;
import shim.core.spring.LoadCurve;

class SpringSeasonTest {
  private static final LoadCurve CURVE = LoadCurve.straight(1.95, 220, 440);
  private static final List<Position> VALVES =
      List.of(
          Position.parse("1I"), Position.parse("1E"), Position.parse("2I"), Position.parse("2E"));

  private static SpringSeason season(long seed) {
    return new SpringSeason(
        VALVES,
        CURVE,
        1.95,
        List.of(new SpringSeason.Failing(Position.parse("2E"), 4, 0.02)),
        new Random(seed));
  }

  private static Map<Position, Double> heights() {
    Map<Position, Double> h = new HashMap<>();
    VALVES.forEach(p -> h.put(p, 1.95));
    return h;
  }

  @Test
  void theSameSeedMakesTheSameSeason() {
    SpringSeason.TestPlan plan = new SpringSeason.TestPlan(3, "KV", 0.01, true);
    assertThat(season(5).test(plan, heights(), 2, 215))
        .isEqualTo(season(5).test(plan, heights(), 2, 215));
    assertThat(season(6).test(plan, heights(), 2, 215))
        .isNotEqualTo(season(5).test(plan, heights(), 2, 215));
  }

  @Test
  void springsLoseLoadAndTheFailingOneMore() {
    SpringSeason s = season(1);
    for (Position p : VALVES) {
      assertThat(s.trueLbf(p, 6, 1.95)).isLessThan(s.trueLbf(p, 1, 1.95));
    }
    double healthy = s.trueLbf(VALVES.get(0), 7, 1.95) / s.trueLbf(VALVES.get(0), 1, 1.95);
    double failing = s.trueLbf(VALVES.get(3), 7, 1.95) / s.trueLbf(VALVES.get(3), 1, 1.95);
    assertThat(healthy - failing).isGreaterThan(0.05);
    double before = s.trueLbf(VALVES.get(3), 4, 1.95) / s.trueLbf(VALVES.get(3), 1, 1.95);
    assertThat(before).isGreaterThan(0.97);
  }

  @Test
  void aLowTesterLowersEveryReadingAndTheCheckSpringAlike() {
    SpringSeason.Tested still =
        season(3).test(new SpringSeason.TestPlan(3, "KV", 0, true), heights(), 2, 215);
    SpringSeason.Tested low =
        season(3).test(new SpringSeason.TestPlan(3, "KV", -0.03, true), heights(), 2, 215);
    assertThat(low.checkLbf().get(0) / still.checkLbf().get(0)).isCloseTo(0.97, within(0.004));
    for (int v = 0; v < VALVES.size(); v++) {
      assertThat(low.valves().get(v).loadsLbf().get(0) / still.valves().get(v).loadsLbf().get(0))
          .isCloseTo(0.97, within(0.004));
    }
  }

  @Test
  void aHeightChangesTheLoadByTheCurve() {
    SpringSeason s = season(2);
    assertThat(s.trueLbf(VALVES.get(0), 2, 1.94) - s.trueLbf(VALVES.get(0), 2, 1.95))
        .isCloseTo(4.4, within(1e-9));
  }

  @Test
  void aValveWithoutSpringIsRefused() {
    assertThatThrownBy(() -> season(1).trueLbf(Position.parse("8E"), 1, 1.95))
        .hasMessage("no spring at 8E");
  }

  @Test
  void withoutCheckSpringThereIsNoCheck() {
    assertThat(
            season(1)
                .test(new SpringSeason.TestPlan(1, "KV", 0, false), heights(), 1, 215)
                .checkLbf())
        .isEmpty();
  }
}
