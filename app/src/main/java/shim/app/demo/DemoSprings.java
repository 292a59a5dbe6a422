package shim.app.demo;

import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.change.ChangeRules;
import shim.app.device.Tester;
import shim.app.engine.Engines;
import shim.app.running.Runs;
import shim.app.spring.SpringRules;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.change.JobPlan;
import shim.core.engine.Position;
import shim.core.fatigue.SetAdvice;
import shim.core.season.SpringSeason;
import shim.core.season.SpringSeason.Failing;
import shim.core.season.SpringSeason.TestPlan;
import shim.core.spring.HeightPlan;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;
import shim.core.spring.WeakestLink;

/**
 * The springs of the demo: on the hill V8 a set in its eleventh hour, one spring falling away from
 * it, and a tester that reads low on the last day; on the others sets that are tested now and then.
 * All invented.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoSprings {
  private static final double CHECK_LBF = 215;
  private static final double[] TESTED = {0.3, 1.2, 2.5, 3.6, 5.0, 6.4, 7.7, 8.9, 10.1};
  private static final double[] TESTER_LN = {
    0.004, -0.003, 0.006, 0.001, -0.004, 0.005, 0.0, 0.003, -0.023
  };

  private final SpringTypes types;
  private final Springs springs;
  private final SpringRules rules;
  private final DemoSets sets;
  private final Runs runs;
  private final Engines engines;
  private final Tester tester;
  private final ChangeRules changes;

  DemoSprings(
      SpringTypes types,
      Springs springs,
      SpringRules rules,
      DemoSets sets,
      Runs runs,
      Engines engines,
      Tester tester,
      ChangeRules changes) {
    this.types = types;
    this.springs = springs;
    this.rules = rules;
    this.sets = sets;
    this.runs = runs;
    this.engines = engines;
    this.tester = tester;
    this.changes = changes;
  }

  /** A stronger pair to hold beside the one that is fitted. */
  private static SpringSheet stiff() {
    return DemoSets.sheet(
        "HV dual, stiff",
        SpringSheet.Form.DUAL_WITH_DAMPER,
        1.950,
        248,
        1.300,
        575,
        1.150,
        1.560,
        0.740,
        25);
  }

  /** Types, sets, rules, a season of tests. */
  void fill(UUID v8, DemoSets.Calendar calendar, UUID lastEvent) {
    Function<String, UUID> id = calendar.id();
    DoubleFunction<Instant> dateOf = calendar.dateOf();
    SpringSheet dual =
        DemoSets.sheet(
            "HV dual, damper",
            SpringSheet.Form.DUAL_WITH_DAMPER,
            1.950,
            220,
            1.300,
            505,
            1.180,
            1.550,
            0.700,
            30);
    types.put(id.apply("dual"), dual, "KV");
    types.put(id.apply("stiff"), stiff(), "KV");
    rules.put(v8, rulesOf(), "KV");
    changes.put(v8, changesOf(), "KV");
    List<Position> positions = engines.get(v8).engine().layout().positions();
    Map<Position, Double> heights = heights(positions);
    sets.set(v8, id.apply("dual"), 1.550, "A", positions, heights, id, dateOf.apply(0));
    SpringSeason season = season(v8, id);
    for (int t = 0; t < TESTED.length; t++) {
      sets.keep(
          v8,
          season.test(
              new TestPlan(TESTED[t], t % 3 == 2 ? "MO" : "KV", TESTER_LN[t], t != 2),
              heights,
              2,
              CHECK_LBF),
          CHECK_LBF,
          id,
          dateOf);
    }
    lastRuns(v8, lastEvent, id, dateOf.apply(10.1));
  }

  /** The hidden truth of the hill V8's springs: the same at every start. */
  private SpringSeason season(UUID v8, Function<String, UUID> id) {
    SpringType type = types.get(id.apply("dual")).type();
    return new SpringSeason(
        engines.get(v8).engine().layout().positions(),
        type.curve(),
        type.referenceHeightIn(),
        List.of(new Failing(Position.parse("3E"), 5.6, 0.0105)),
        new Random(23));
  }

  private static SpringRules.SpringRulesSheet rulesOf() {
    return new SpringRules.SpringRulesSheet(
        1.950,
        1.950,
        0.005,
        HeightPlan.School.FEWEST_PIECES,
        List.of(0.015, 0.030, 0.060),
        List.of(-0.050, 0.050),
        10.0,
        185.0,
        0.2,
        7800.0,
        7400.0,
        SetAdvice.School.MATCHED_SINGLE,
        List.of(
            new WeakestLink.Limit(WeakestLink.Part.ROCKER, 600.0, 0.720, null),
            new WeakestLink.Limit(WeakestLink.Part.LIFTER, 650.0, null, 8200.0),
            new WeakestLink.Limit(WeakestLink.Part.LOCK, 700.0, null, null),
            new WeakestLink.Limit(WeakestLink.Part.STUD, 560.0, null, null),
            new WeakestLink.Limit(WeakestLink.Part.PUSHROD, 680.0, null, null)),
        null,
        null,
        null,
        null,
        null,
        null);
  }

  private static ChangeRules.ChangeRulesSheet changesOf() {
    return new ChangeRules.ChangeRulesSheet(
        80.0,
        18.0,
        null,
        null,
        null,
        null,
        false,
        null,
        1.600,
        2.200,
        20.0,
        List.of(
            new JobPlan.Torque(
                "shaft bolts",
                true,
                List.of(12.0, 22.0),
                "middle outwards",
                "engine oil",
                "the builder's sheet",
                JobPlan.Kind.IN_CAR),
            new JobPlan.Torque(
                "plugs",
                false,
                List.of(12.0),
                "any",
                "dry",
                "the head maker",
                JobPlan.Kind.IN_CAR)),
        null,
        null,
        null);
  }

  /** Heights as they were measured: one valve a little tall. */
  private static Map<Position, Double> heights(List<Position> positions) {
    Random r = new Random(3);
    Map<Position, Double> heights = new HashMap<>();
    for (Position p : positions) {
      heights.put(p, Math.round((1.950 + 0.0015 * r.nextGaussian()) * 1000) / 1000.0);
    }
    heights.put(Position.parse("6I"), 1.962);
    return heights;
  }

  /** A few of the set's own kind that lie free. */
  void spares(Function<String, UUID> id) {
    for (int i = 1; i <= 4; i++) {
      springs.put(
          id.apply("spare " + i),
          new Springs.SpringEntry(
              id.apply("dual"), "B-" + i, "spares", "box B", 0, 1.549, false, null, null),
          "KV");
    }
  }

  private void lastRuns(UUID engine, UUID event, Function<String, UUID> id, Instant at) {
    LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC).minusDays(1);
    double[] minutes = {16, 18, 20, 18};
    double[] best = {71.84, 71.12, 70.96, 71.4};
    for (int i = 0; i < minutes.length; i++) {
      runs.put(
          List.of(
              new Runs.RunView(
                  id.apply("run " + i),
                  new Runs.RunEntry(
                      engine,
                      event,
                      Runs.Kind.HILL_RUN,
                      day,
                      minutes[i],
                      7300.0 + 40 * i,
                      i == 2 ? 1 : 0,
                      null,
                      null,
                      false,
                      "KV",
                      i == 2 ? "missed a gear at the last hairpin" : null,
                      1.0,
                      null,
                      best[i]))));
    }
  }

  /** A tester on whose lever the same springs lie. */
  void connect(UUID v8, Function<String, UUID> id) {
    SpringSeason season = season(v8, id);
    try {
      SimulatedInstrument simulated =
          SimulatedTester.holding(
              (place, height) -> {
                if (place.equals("CHECK")) {
                  return CHECK_LBF;
                }
                try {
                  return season.trueLbf(Position.parse(place), 10.1, height);
                } catch (IllegalArgumentException e) {
                  return Double.NaN;
                }
              });
      tester.suggest(simulated.address());
    } catch (IOException e) {
      throw new IllegalStateException("the simulated tester could not start", e);
    }
  }
}
