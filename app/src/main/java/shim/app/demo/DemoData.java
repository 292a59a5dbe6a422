package shim.app.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.engine.Engines;
import shim.app.lash.Form;
import shim.app.lash.Part;
import shim.app.lash.Rounds;
import shim.app.record.Ids;
import shim.app.running.Events;
import shim.core.crank.School;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.WrittenRound.Phase;
import shim.core.season.LashSeason;
import shim.core.season.LashSeason.Fault;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.season.LashSeason.Truth;

/**
 * Fills an empty demo: engines, and a season that the seeded simulation ran on them. Mid-season on
 * the hill V8, eight events run, one exhaust lobe beginning to open its lash.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoData implements ApplicationRunner {
  private static final double[] EVENT_HOURS = {1.2, 2.5, 3.6, 5.0, 6.4, 7.7, 8.9, 10.1};
  private static final List<String> EVENT_NAMES =
      List.of(
          "Larch Hill",
          "Quarry Sprint",
          "Six Hours of Fenmoor",
          "Larch Hill II",
          "Dry Beck Climb",
          "Fenmoor Night",
          "Stonegate Sprint",
          "Harrow Top");

  /** The exhaust whose lobe begins to go. */
  static final String OPENING = "5E";

  private static final int DAYS_BETWEEN = 16;

  private final Engines engines;
  private final Rounds rounds;
  private final Events events;
  private final DemoSprings springs;
  private final DemoLifters lifters;
  private final Clock clock;

  DemoData(
      Engines engines,
      Rounds rounds,
      Events events,
      DemoSprings springs,
      DemoLifters lifters,
      Clock clock) {
    this.engines = engines;
    this.rounds = rounds;
    this.events = events;
    this.springs = springs;
    this.lifters = lifters;
    this.clock = clock;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (!engines.all().isEmpty()) {
      return;
    }
    hillV8();
    paddockFour();
    nightV8();
    workshopSix();
    UUID v8 = id("Hill V8");
    springs.fill(v8, id("Paddock four"), DemoData::id, this::startOf, id(v8 + EVENT_NAMES.get(7)));
    lifters.fill(
        v8,
        id("Paddock four"),
        id("Night V8"),
        new DemoLifters.Season(DemoData::id, this::startOf));
  }

  private static UUID id(String name) {
    return Ids.of("demo " + name);
  }

  private UUID keep(EngineSheet sheet) {
    UUID id = id(String.valueOf(sheet.name()));
    engines.put(id, sheet, null, "KV");
    return id;
  }

  private Instant daysAgo(long days) {
    return clock.instant().truncatedTo(ChronoUnit.HOURS).minus(days, ChronoUnit.DAYS);
  }

  private void hillV8() {
    UUID engine = keep(DemoEngines.hillV8());
    Truth truth =
        new Truth(
            Map.of(ValveKind.INTAKE, -0.0055, ValveKind.EXHAUST, -0.0065),
            List.of(new Fault(Position.parse(OPENING), 6.2, 0.0014)));
    List<RoundPlan> plans =
        List.of(
            new RoundPlan(0.0, HeatState.COLD, "KV", 0),
            new RoundPlan(0.3, HeatState.HOT, "KV", 0),
            new RoundPlan(1.2, HeatState.HOT, "KV", 0),
            new RoundPlan(2.5, HeatState.HOT, "MO", 0.0005),
            new RoundPlan(3.6, HeatState.HOT, "KV", 0),
            new RoundPlan(5.0, HeatState.HOT, "KV", 0),
            new RoundPlan(6.4, HeatState.HOT, "MO", 0.0005),
            new RoundPlan(7.7, HeatState.HOT, "KV", 0),
            new RoundPlan(8.9, HeatState.HOT, "KV", 0));
    season(engine, truth, plans, 41, School.BEST_STOPS, 2);
    long days = (long) DAYS_BETWEEN * EVENT_HOURS.length;
    double before = 0;
    for (int i = 0; i < EVENT_HOURS.length; i++) {
      double ran = EVENT_HOURS[i] - before;
      before = EVENT_HOURS[i];
      event(engine, EVENT_NAMES.get(i), days - 1 - (long) DAYS_BETWEEN * (i + 1) + 9, ran, ran);
    }
    event(engine, "Six Hours of Fenmoor, final", -9, 1.4, null);
    event(engine, "Larch Hill, closing meeting", -30, 0.9, null);
    rounds.change(
        id("pushrod 2I"),
        new Rounds.PartsChanged(
            engine,
            List.of(Position.parse("2I")),
            Part.PUSHROD,
            3.6,
            "KV",
            "tip marked, renewed",
            startOf(3.55)));
  }

  /** A round at some engine hours lies a day after the event that ended there. */
  private Instant startOf(double hours) {
    return daysAgo(Math.round(135 - hours * 12)).plus(Math.round(hours * 60), ChronoUnit.MINUTES);
  }

  private void event(UUID engine, String name, long daysAgo, double planned, @Nullable Double ran) {
    LocalDate date = LocalDate.ofInstant(daysAgo(daysAgo), ZoneOffset.UTC);
    double rounded = Math.round(planned * 10) / 10.0;
    events.put(
        id(engine + name),
        new Events.EventEntry(
            engine, name, date, rounded, ran == null ? null : Math.round(ran * 10) / 10.0));
  }

  private void season(
      UUID engine, Truth truth, List<RoundPlan> plans, long seed, School school, int stops) {
    LashSeason season = new LashSeason(engines.get(engine).engine(), truth, new Random(seed));
    for (LashSeason.Round round : season.rounds(plans)) {
      keep(engine, round, school, stops);
    }
  }

  private void keep(UUID engine, LashSeason.Round round, School school, int stops) {
    RoundPlan plan = round.plan();
    UUID id = id(engine + "round" + plan.engineHours() + plan.state());
    Instant at = startOf(plan.engineHours());
    rounds.start(
        id,
        new Rounds.RoundStart(
            engine,
            plan.state(),
            plan.hand(),
            plan.engineHours(),
            round.headTempF(),
            school,
            stops,
            false,
            true,
            null,
            at,
            null,
            null));
    for (LashSeason.Written w : round.valves()) {
      rounds.read(id, id(id + "F" + w.position()), figure(w, Phase.FOUND, plan.hand()), at);
      rounds.read(id, id(id + "L" + w.position()), left(w, plan.hand()), at);
    }
    rounds.sign(
        id,
        new Rounds.SignOff(
            plan.hand(),
            plan.state() == HeatState.HOT ? Double.valueOf(round.headTempF() - 31) : null,
            null,
            rules(engine)),
        at.plus(35, ChronoUnit.MINUTES));
  }

  private List<String> rules(UUID engine) {
    EngineSheet.UseSheet use = engines.get(engine).sheet().use();
    return use == null || use.classRules() == null
        ? List.of()
        : use.classRules().stream().map(EngineSheet.ClassRule::rule).toList();
  }

  private static Rounds.ReadingEntry left(LashSeason.Written w, String hand) {
    return w.adjusted()
        ? figure(w, Phase.LEFT, hand)
        : new Rounds.ReadingEntry(
            w.position(),
            Phase.LEFT,
            Form.SAME,
            null,
            null,
            null,
            null,
            null,
            hand,
            null,
            null,
            null);
  }

  private static Rounds.ReadingEntry figure(LashSeason.Written w, Phase phase, String hand) {
    double in = phase == Phase.FOUND ? w.foundIn() : w.leftIn();
    String typed = String.format(Locale.ROOT, "%.0f", in * 1000);
    return new Rounds.ReadingEntry(
        w.position(), phase, Form.FIGURE, in, null, null, typed, null, hand, null, null, null);
  }

  private void paddockFour() {
    UUID engine = keep(DemoEngines.paddockFour());
    Truth truth = new Truth(Map.of(ValveKind.INTAKE, 0.0018, ValveKind.EXHAUST, 0.0022), List.of());
    season(
        engine,
        truth,
        List.of(
            new RoundPlan(2.0, HeatState.HOT, "MO", 0.0003),
            new RoundPlan(4.1, HeatState.HOT, "MO", 0.0003),
            new RoundPlan(6.3, HeatState.HOT, "KV", 0)),
        7,
        School.FULL_LIFT_COMPANION,
        8);
    event(engine, "Dry Beck Climb", -16, 0.8, null);
  }

  private void nightV8() {
    UUID engine = keep(DemoEngines.nightV8());
    Instant at = startOf(2);
    UUID round = id(engine + "preload");
    rounds.start(
        round,
        new Rounds.RoundStart(
            engine,
            HeatState.COLD,
            "MO",
            2.0,
            64.0,
            School.TWO_STOPS,
            2,
            false,
            true,
            null,
            at,
            null,
            null));
    Random random = new Random(11);
    for (Position p : engines.get(engine).engine().layout().positions()) {
      double turns = 0.5 + random.nextInt(5) * 0.0625 - 0.125;
      rounds.read(
          round,
          id(round + "F" + p),
          new Rounds.ReadingEntry(
              p,
              Phase.FOUND,
              Form.TURNS,
              turns,
              null,
              null,
              String.valueOf(turns),
              null,
              "MO",
              null,
              null,
              null),
          at);
      rounds.read(
          round,
          id(round + "L" + p),
          new Rounds.ReadingEntry(
              p, Phase.LEFT, Form.SAME, null, null, null, null, null, "MO", null, null, null),
          at);
    }
    rounds.sign(
        round,
        new Rounds.SignOff("MO", null, null, rules(engine)),
        at.plus(40, ChronoUnit.MINUTES));
    event(engine, "Fenmoor Night II", -23, 6.0, null);
  }

  private void workshopSix() {
    UUID engine = keep(DemoEngines.workshopSix());
    UUID round = id(engine + "open");
    rounds.start(
        round,
        new Rounds.RoundStart(
            engine,
            HeatState.COLD,
            "KV",
            14.5,
            61.0,
            School.COMPRESSION_TDC,
            6,
            false,
            true,
            null,
            daysAgo(0),
            null,
            null));
    double[] found = {0.012, 0.016, 0.019, 0.015};
    List<String> valves = List.of("1I", "1E", "5I", "5E");
    for (int i = 0; i < valves.size(); i++) {
      Position p = Position.parse(valves.get(i));
      rounds.read(
          round,
          id(round + "F" + p),
          new Rounds.ReadingEntry(
              p,
              Phase.FOUND,
              Form.FIGURE,
              found[i],
              null,
              null,
              String.format(Locale.ROOT, "%.0f", found[i] * 1000),
              null,
              "KV",
              null,
              null,
              null),
          daysAgo(0));
    }
    event(engine, "Larch Hill, closing meeting", -30, 0.7, null);
  }
}
