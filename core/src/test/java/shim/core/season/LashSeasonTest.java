package shim.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

class LashSeasonTest {
  private static final Engine ENGINE = Engines.engine(Engines.sheet("v8-odd-even"));
  private static final Map<ValveKind, Double> GROWTH =
      Map.of(ValveKind.INTAKE, -0.005, ValveKind.EXHAUST, -0.006);

  private static List<LashSeason.Round> season(long seed, List<LashSeason.Fault> faults) {
    List<LashSeason.RoundPlan> plans =
        IntStream.rangeClosed(1, 8)
            .mapToObj(i -> new LashSeason.RoundPlan(i * 1.2, HeatState.HOT, "KV", 0))
            .toList();
    return new LashSeason(ENGINE, new LashSeason.Truth(GROWTH, faults), new Random(seed))
        .rounds(plans);
  }

  private static double opened(List<LashSeason.Round> rounds, String valve) {
    double sum = 0;
    for (int i = 1; i < rounds.size(); i++) {
      sum += written(rounds.get(i), valve).foundIn() - written(rounds.get(i - 1), valve).leftIn();
    }
    return sum;
  }

  private static LashSeason.Written written(LashSeason.Round round, String valve) {
    return round.valves().stream()
        .filter(w -> w.position().equals(Position.parse(valve)))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void theSameSeedMakesTheSameSeason() {
    assertThat(season(3, List.of())).isEqualTo(season(3, List.of()));
    assertThat(season(3, List.of())).isNotEqualTo(season(4, List.of()));
  }

  @Test
  void aFaultOpensItsValveAndNoOther() {
    List<LashSeason.Fault> fault = List.of(new LashSeason.Fault(Position.parse("5E"), 4.0, 0.0015));
    List<LashSeason.Round> rounds = season(3, fault);
    assertThat(opened(rounds, "5E")).isGreaterThan(0.005);
    for (Position p : ENGINE.layout().positions()) {
      if (!p.toString().equals("5E")) {
        assertThat(Math.abs(opened(rounds, p.toString()))).as("%s", p).isLessThan(0.004);
      }
    }
  }

  @Test
  void whatIsOutIsSetAndWhatIsInIsLeftAlone() {
    for (LashSeason.Round round : season(9, List.of())) {
      for (LashSeason.Written w : round.valves()) {
        double target = ENGINE.lash().targetIn(w.position().kind());
        boolean out = Math.abs(w.foundIn() - target) > ENGINE.rules().toleranceIn() + 1e-9;
        assertThat(w.adjusted()).isEqualTo(out);
        if (!out) {
          assertThat(w.leftIn()).isEqualTo(w.foundIn());
        }
      }
    }
  }

  @Test
  void theColdEngineShowsItsGrowth() {
    List<LashSeason.RoundPlan> pair =
        List.of(
            new LashSeason.RoundPlan(0, HeatState.COLD, "KV", 0),
            new LashSeason.RoundPlan(0.2, HeatState.HOT, "KV", 0));
    List<LashSeason.Round> rounds =
        new LashSeason(ENGINE, new LashSeason.Truth(GROWTH, List.of()), new Random(5)).rounds(pair);
    double grown =
        ENGINE.layout().positions().stream()
            .filter(p -> p.kind() == ValveKind.EXHAUST)
            .mapToDouble(
                p ->
                    written(rounds.get(0), p.toString()).leftIn()
                        - written(rounds.get(1), p.toString()).foundIn())
            .average()
            .orElseThrow();
    assertThat(grown).isBetween(-0.0075, -0.0045);
  }
}
