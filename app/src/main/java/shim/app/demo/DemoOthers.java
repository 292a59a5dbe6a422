package shim.app.demo;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.core.crank.School;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.season.LashSeason.Fault;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.season.LashSeason.Truth;
import shim.core.season.PreloadSeason;

/**
 * Seasons of the three other engines of the demo, each with a story of its own: an exhaust seat of
 * the four sinks, a lifter of the night V8 loses preload, and a rocker of the six wears its tip, in
 * a round somebody went away from.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoOthers {
  /** The six's hours run slower over the calendar. */
  private static final double SIX_HOURS = 14.5;

  private final DemoRounds rounds;

  DemoOthers(DemoRounds rounds) {
    this.rounds = rounds;
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
        7,
        List.of());
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
            cold(0.6, "KV"),
            cold(3.2, "KV"),
            cold(6.4, "MO"),
            cold(9.1, "KV"),
            cold(11.8, "KV"),
            cold(SIX_HOURS, "KV")),
        5,
        Stream.of("1I", "1E", "5I", "5E").map(Position::parse).toList());
    rounds.event(engine, "Larch Hill", 95, 3.2, 3.2);
    rounds.event(engine, "Harrow Top, rally", 62, 5.9, 5.9);
    rounds.event(engine, "Quarry Sprint", 20, 5.4, 5.4);
    rounds.event(engine, "Larch Hill, closing meeting", -30, 0.7, null);
    return engine;
  }

  Instant sixAt(double hours) {
    return rounds.daysAgo(Math.round((SIX_HOURS - hours) * 9));
  }
}
