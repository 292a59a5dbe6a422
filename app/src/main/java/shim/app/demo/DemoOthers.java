package shim.app.demo;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.lash.Rounds;
import shim.core.crank.School;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.WrittenRound.Phase;
import shim.core.season.LashSeason.Fault;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.season.LashSeason.Truth;
import shim.core.season.PreloadSeason;

/**
 * Seasons of the three other engines of the demo, each with a story of its own: an exhaust seat of
 * the four sinks, a lifter of the night V8 loses preload, and a rocker of the six wears its tip.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoOthers {
  /** The six's hours run slower over the calendar. */
  private static final double SIX_HOURS = 14.5;

  private final DemoRounds rounds;
  private final Rounds entries;

  DemoOthers(DemoRounds rounds, Rounds entries) {
    this.rounds = rounds;
    this.entries = entries;
  }

  private static RoundPlan cold(double hours, String hand) {
    return new RoundPlan(hours, HeatState.COLD, hand, 0);
  }

  private static RoundPlan hot(double hours, String hand) {
    return new RoundPlan(hours, HeatState.HOT, hand, hand.equals("MO") ? 0.0003 : 0);
  }

  UUID paddockFour() {
    UUID engine = rounds.keep(DemoEngines.paddockFour());
    rounds.lash(
        new DemoRounds.Into(engine, School.FULL_LIFT_COMPANION, 8, rounds::startOf),
        new Truth(
            Map.of(ValveKind.INTAKE, 0.0018, ValveKind.EXHAUST, 0.0022),
            List.of(new Fault(Position.parse("2E"), 2.6, -0.0016))),
        List.of(hot(0.4, "MO"), hot(2.0, "MO"), hot(3.1, "KV"), hot(4.1, "MO"), hot(6.3, "KV")),
        7);
    rounds.event(engine, "Larch Hill", 111, 2.0, 2.0);
    rounds.event(engine, "Dry Beck Climb, spring", 86, 2.1, 2.1);
    rounds.event(engine, "Larch Hill II", 60, 2.2, 2.2);
    rounds.event(engine, "Dry Beck Climb", -16, 0.8, null);
    return engine;
  }

  UUID nightV8() {
    UUID engine = rounds.keep(DemoEngines.nightV8());
    rounds.preload(
        new DemoRounds.Into(engine, School.TWO_STOPS, 2, rounds::startOf),
        List.of(new PreloadSeason.Fault(Position.parse("4E"), 4.0, 0.055)),
        List.of(cold(0.3, "MO"), cold(2.0, "MO"), cold(6.1, "KV"), cold(9.8, "MO")),
        11);
    rounds.event(engine, "Quarry Sprint", 112, 2.0, 2.0);
    rounds.event(engine, "Fenmoor Night", 63, 4.1, 4.1);
    rounds.event(engine, "Stonegate Night", 19, 3.7, 3.7);
    rounds.event(engine, "Fenmoor Night II", -23, 6.0, null);
    return engine;
  }

  UUID workshopSix() {
    UUID engine = rounds.keep(DemoEngines.workshopSix());
    rounds.lash(
        new DemoRounds.Into(engine, School.COMPRESSION_TDC, 6, this::sixAt),
        new Truth(
            Map.of(ValveKind.INTAKE, 0.002, ValveKind.EXHAUST, 0.002),
            List.of(new Fault(Position.parse("5I"), 8.2, 0.0013))),
        List.of(
            cold(0.6, "KV"), cold(3.2, "KV"), cold(6.4, "MO"), cold(9.1, "KV"), cold(11.8, "KV")),
        5);
    rounds.event(engine, "Larch Hill", 95, 3.2, 3.2);
    rounds.event(engine, "Harrow Top, rally", 62, 5.9, 5.9);
    rounds.event(engine, "Quarry Sprint", 20, 5.4, 5.4);
    rounds.event(engine, "Larch Hill, closing meeting", -30, 0.7, null);
    open(engine);
    return engine;
  }

  Instant sixAt(double hours) {
    return rounds.daysAgo(Math.round(4 + (SIX_HOURS - hours) * 9));
  }

  /** A round of the six that somebody went away from after four valves. */
  private void open(UUID engine) {
    UUID round = DemoRounds.id(engine + "open");
    Instant now = rounds.daysAgo(0);
    entries.start(
        round,
        new Rounds.RoundStart(
            engine,
            HeatState.COLD,
            "KV",
            SIX_HOURS,
            61.0,
            School.COMPRESSION_TDC,
            6,
            false,
            true,
            null,
            now,
            null,
            null));
    double[] found = {0.012, 0.016, 0.019, 0.015};
    List<String> valves = List.of("1I", "1E", "5I", "5E");
    for (int i = 0; i < valves.size(); i++) {
      Position p = Position.parse(valves.get(i));
      entries.read(
          round,
          DemoRounds.id(round + "F" + p),
          DemoRounds.gap(p, Phase.FOUND, found[i], null, "KV"),
          now);
    }
  }
}
