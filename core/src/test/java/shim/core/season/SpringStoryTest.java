package shim.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.engine.Position;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;
import shim.core.fatigue.Verdict;
import shim.core.spring.LoadCurve;

/**
 * The demo's story on other seeds: one spring falls away, the tester reads low on the last day. It
 * must be found while its true loss is still under the limit, and nobody else be blamed.
 */
class SpringStoryTest {
  private static final double[] HOURS = {0.3, 1.2, 2.5, 3.6, 5.0, 6.4, 7.7, 8.9, 10.1};
  private static final double NEXT = 1.4;
  private static final Position FAILING = Position.parse("3E");

  private static List<Position> valves() {
    return Stream.of(1, 2, 3, 4, 5, 6, 7, 8)
        .flatMap(c -> Stream.of(Position.parse(c + "I"), Position.parse(c + "E")))
        .toList();
  }

  private static SpringSeason season(long seed) {
    return new SpringSeason(
        valves(),
        LoadCurve.straight(1.95, 220, 440),
        1.95,
        List.of(new SpringSeason.Failing(FAILING, 5.6, 0.0105)),
        new Random(seed));
  }

  private static SetHistory history(SpringSeason season, double lastDayLn) {
    Map<Position, Double> heights = new HashMap<>();
    valves().forEach(p -> heights.put(p, 1.95));
    List<SetHistory.Test> tests = new ArrayList<>();
    for (int t = 0; t < HOURS.length; t++) {
      double tester = t == HOURS.length - 1 ? lastDayLn : 0.002 * (t % 3 - 1);
      double hours = HOURS[t];
      SpringSeason.Tested done =
          season.test(new SpringSeason.TestPlan(hours, "KV", tester, true), heights, 2, 215);
      List<TesterDay.Check> checks =
          List.of(
              new TesterDay.Check(215, done.checkLbf().get(0), TesterDay.Side.START),
              new TesterDay.Check(215, done.checkLbf().get(1), TesterDay.Side.END));
      tests.add(
          new SetHistory.Test(
              TesterDay.of(checks, 215),
              done.valves().stream()
                  .map(v -> SetHistory.Read.once(v.position().toString(), hours, v.loadsLbf()))
                  .toList()));
    }
    return new SetHistory(
        valves().stream()
            .map(p -> new SetHistory.Member(p.toString(), Optional.of(220.0)))
            .toList(),
        tests);
  }

  private static SpringOutlook judge(SpringSet set, Position p) {
    return set.judge(
        new Situation(p.toString(), 10.1, List.of(NEXT, 0.9), false, Optional.empty()),
        Limits.USUAL);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
  void theFailingSpringIsFoundBeforeItsLimitAndTheTesterIsNotToBlame(long seed) {
    SpringSeason season = season(seed);
    SpringSet set = SpringSet.of(history(season, -0.023), SetPrior.USUAL);
    double trueLoss = 1 - season.trueLbf(FAILING, 10.1, 1.95) / season.trueLbf(FAILING, 1, 1.95);
    assertThat(trueLoss).as("not yet at its limit").isLessThan(0.10);
    SpringOutlook failing = judge(set, FAILING);
    assertThat(failing.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(failing.lossNow().mid()).isCloseTo(trueLoss, within(0.015));
    assertThat(valves().stream().filter(p -> !p.equals(FAILING)))
        .allMatch(p -> judge(set, p).verdict() == Verdict.RUN);
    assertThat(set.day(HOURS.length - 1).gainLn()).isCloseTo(-0.023, within(0.010));
  }
}
