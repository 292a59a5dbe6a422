package shim.app.demo;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import shim.app.engine.Engines;
import shim.app.lash.Part;
import shim.app.lash.Rounds;
import shim.core.crank.School;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.season.LashSeason.Fault;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.season.LashSeason.Truth;

/**
 * Fills an empty demo: engines, and a season that the seeded simulation ran on them. Mid-season on
 * the hill V8, eight events run, one exhaust lobe beginning to open its lash.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoData implements SmartLifecycle {
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
  private final DemoRounds written;
  private final DemoOthers others;
  private final DemoSprings springs;
  private final DemoSets sets;
  private final DemoHeads heads;
  private final DemoCam cam;
  private final DemoLifters lifters;
  private final DemoTurnaround turnaround;
  private volatile boolean filled;

  DemoData(
      Engines engines,
      Rounds rounds,
      DemoRounds written,
      DemoOthers others,
      DemoSprings springs,
      DemoSets sets,
      DemoHeads heads,
      DemoCam cam,
      DemoLifters lifters,
      DemoTurnaround turnaround) {
    this.engines = engines;
    this.rounds = rounds;
    this.written = written;
    this.others = others;
    this.springs = springs;
    this.sets = sets;
    this.heads = heads;
    this.cam = cam;
    this.lifters = lifters;
    this.turnaround = turnaround;
  }

  /** Before the first address answers: nobody meets half a demo. */
  @Override
  public int getPhase() {
    return 0;
  }

  @Override
  public boolean isRunning() {
    return filled;
  }

  @Override
  public void stop() {
    filled = false;
  }

  @Override
  public void start() {
    filled = true;
    UUID v8 = DemoRounds.id(String.valueOf(DemoEngines.hillV8().name()));
    if (engines.all().isEmpty()) {
      fill();
    }
    if (engines.all().stream().anyMatch(e -> e.id().equals(v8))) {
      springs.connect(v8, DemoRounds::id);
      lifters.connect(v8);
      cam.connect();
    }
  }

  private void fill() {
    UUID v8 = hillV8();
    UUID four = others.paddockFour();
    UUID night = others.nightV8();
    UUID six = others.workshopSix();
    DemoSets.Calendar calendar =
        new DemoSets.Calendar(DemoRounds::id, written::startOf, others::sixAt);
    springs.fill(v8, calendar, DemoRounds.id(v8 + EVENT_NAMES.get(7)));
    heads.fill(v8, DemoRounds::id);
    springs.spares(DemoRounds::id);
    sets.others(four, night, six, calendar);
    lifters.fill(
        v8,
        four,
        night,
        six,
        new DemoLifters.Season(DemoRounds::id, written::startOf, others::sixAt));
    cam.fill(v8, six, new DemoCam.Dates(written::startOf, others::sixAt), DemoRounds::id);
    turnaround.fill(v8, four);
  }

  private UUID hillV8() {
    UUID engine = written.keep(DemoEngines.hillV8());
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
    written.lash(
        new DemoRounds.Into(engine, School.BEST_STOPS, 2, written::startOf),
        truth,
        plans,
        41,
        List.of());
    long days = (long) DAYS_BETWEEN * EVENT_HOURS.length;
    double before = 0;
    for (int i = 0; i < EVENT_HOURS.length; i++) {
      double ran = EVENT_HOURS[i] - before;
      before = EVENT_HOURS[i];
      written.event(
          engine, EVENT_NAMES.get(i), days - 1 - (long) DAYS_BETWEEN * (i + 1) + 9, ran, ran);
    }
    written.event(engine, "Six Hours of Fenmoor, final", -9, 1.4, null);
    written.event(engine, "Larch Hill, closing meeting", -30, 0.9, null);
    rounds.change(
        DemoRounds.id("pushrod 2I"),
        new Rounds.PartsChanged(
            engine,
            List.of(Position.parse("2I")),
            Part.PUSHROD,
            3.6,
            "KV",
            "tip marked, renewed",
            written.startOf(3.55)));
    return engine;
  }
}
