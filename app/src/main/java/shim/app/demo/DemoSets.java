package shim.app.demo;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringTests;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.fatigue.TesterDay;
import shim.core.season.SpringSeason;
import shim.core.season.SpringSeason.Failing;
import shim.core.season.SpringSeason.TestPlan;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;

/** Spring sets of the demo and their tests as a simulated season read them. */
@Component
@ConditionalOnProperty("shim.demo")
class DemoSets {
  private final SpringTypes types;
  private final Springs springs;
  private final SpringTests tests;
  private final Engines engines;

  DemoSets(SpringTypes types, Springs springs, SpringTests tests, Engines engines) {
    this.types = types;
    this.springs = springs;
    this.tests = tests;
    this.engines = engines;
  }

  /** Names of things, and when an engine had run so many hours: the six goes by its own. */
  record Calendar(
      Function<String, UUID> id, DoubleFunction<Instant> dateOf, DoubleFunction<Instant> sixAt) {}

  /**
   * One spring set of the other engines, and its tests.
   *
   * @param name of its kind
   * @param heightIn wanted
   * @param odIn its diameter
   */
  private record Other(
      UUID engine,
      SpringSheet sheet,
      String name,
      double heightIn,
      double odIn,
      double[] tested,
      List<Failing> failing,
      DoubleFunction<Instant> at) {}

  /** The three others: sets that settle, tested now and then; one of the night V8 tires early. */
  void others(UUID four, UUID night, UUID six, Calendar c) {
    SpringSheet single =
        sheet(
            "PF single",
            SpringSheet.Form.SINGLE_WITH_DAMPER,
            1.700,
            105,
            1.280,
            258,
            1.150,
            1.250,
            0.480,
            60);
    SpringSheet hydraulic =
        sheet(
            "NV beehive",
            SpringSheet.Form.BEEHIVE,
            1.800,
            138,
            1.290,
            340,
            1.180,
            1.310,
            0.560,
            90);
    SpringSheet plain =
        sheet(
            "WS single", SpringSheet.Form.SINGLE, 1.640, 92, 1.245, 205, 1.120, 1.210, 0.450, 120);
    double[] atFour = {0.4, 2.0, 4.1, 6.3};
    double[] atNight = {0.3, 6.1, 9.8};
    double[] atSix = {0.6, 6.4, 11.8};
    List<Failing> tired = List.of(new Failing(Position.parse("7I"), 4.5, 0.016));
    other(new Other(four, single, "P", 1.700, 1.250, atFour, List.of(), c.dateOf()), c.id(), 61);
    other(new Other(night, hydraulic, "N", 1.800, 1.310, atNight, tired, c.dateOf()), c.id(), 62);
    other(new Other(six, plain, "W", 1.640, 1.210, atSix, List.of(), c.sixAt()), c.id(), 63);
  }

  private void other(Other o, Function<String, UUID> id, long seed) {
    UUID type = id.apply(String.valueOf(o.sheet().name()));
    types.put(type, o.sheet(), "MO");
    SpringType checked = types.get(type).type();
    List<Position> positions = engines.get(o.engine()).engine().layout().positions();
    Random random = new Random(seed);
    Map<Position, Double> heights = new HashMap<>();
    for (Position p : positions) {
      heights.put(p, Math.round((o.heightIn() + 0.0015 * random.nextGaussian()) * 1000) / 1000.0);
    }
    set(o.engine(), type, o.odIn(), o.name(), positions, heights, id, o.at().apply(0));
    SpringSeason season =
        new SpringSeason(positions, checked.curve(), o.heightIn(), o.failing(), random);
    double check = Math.rint(checked.nominalLbf());
    for (int t = 0; t < o.tested().length; t++) {
      TestPlan plan =
          new TestPlan(
              o.tested()[t], t % 2 == 0 ? "MO" : "KV", 0.006 * random.nextGaussian(), true);
      SpringSeason.Tested tested = season.test(plan, heights, 1, check);
      keep(o.engine(), tested, check, name -> id.apply(o.name() + name), o.at());
    }
  }

  static SpringSheet sheet(
      String name,
      SpringSheet.Form form,
      double seatIn,
      double seatLbf,
      double openIn,
      double openLbf,
      double bindIn,
      double odIn,
      double liftIn,
      double lifeHours) {
    return new SpringSheet(
        name,
        form,
        null,
        List.of(
            new SpringSheet.LoadPoint(seatIn, seatLbf), new SpringSheet.LoadPoint(openIn, openLbf)),
        seatIn,
        null,
        bindIn,
        odIn,
        null,
        liftIn,
        lifeHours,
        10.0,
        null);
  }

  void set(
      UUID engine,
      UUID type,
      double odIn,
      String name,
      List<Position> positions,
      Map<Position, Double> heights,
      Function<String, UUID> id,
      Instant at) {
    for (Position p : positions) {
      UUID spring = id.apply("spring " + name + p);
      springs.put(
          spring,
          new Springs.SpringEntry(
              type, name + "-" + p, "set " + name, "box " + name, 0, odIn, false, null, null),
          "KV");
      springs.fit(
          id.apply("fitting " + name + p),
          new Springs.FittingEntry(
              spring,
              engine,
              p,
              0,
              at,
              null,
              null,
              heights.get(p),
              "0.030",
              "titanium 10°",
              "plus 0",
              "locator",
              0.760,
              odIn + 0.006,
              null,
              "KV",
              "new set"));
    }
  }

  void keep(
      UUID engine,
      SpringSeason.Tested t,
      double checkLbf,
      Function<String, UUID> id,
      DoubleFunction<Instant> dateOf) {
    double hours = t.plan().hours();
    String hand = t.plan().hand();
    UUID test = id.apply("spring test " + hours);
    Instant at = dateOf.apply(hours).plus(2, ChronoUnit.HOURS);
    tests.start(
        test,
        new SpringTests.TestStart(
            engine,
            null,
            hours,
            SpringTests.Place.HEAD,
            HeatState.COLD,
            SpringTests.WorkingOrder.FIRING,
            "lever tester",
            t.valves().get(0).loadsLbf().size(),
            hand,
            null,
            at));
    for (int c = 0; c < t.checkLbf().size(); c++) {
      TesterDay.Side side = c == 0 ? TesterDay.Side.START : TesterDay.Side.END;
      tests.check(
          test,
          id.apply("check " + hours + c),
          new SpringTests.CheckEntry(
              "check spring 1",
              checkLbf,
              t.checkLbf().get(c),
              side,
              text(t.checkLbf().get(c)),
              hand),
          at.plusSeconds(c * 1500L));
    }
    int n = 0;
    for (SpringSeason.ReadAt v : t.valves()) {
      for (double load : v.loadsLbf()) {
        n++;
        tests.read(
            test,
            id.apply("load " + hours + n),
            new SpringTests.LoadEntry(
                v.position(),
                null,
                v.heightIn(),
                load,
                SpringTests.Member.WHOLE,
                text(load),
                false,
                hand,
                null),
            at.plusSeconds(60 + n * 30L));
      }
    }
    tests.end(test, hand, null, at.plus(30, ChronoUnit.MINUTES));
  }

  private static String text(double load) {
    return String.format(Locale.ROOT, "%.1f", load);
  }
}
