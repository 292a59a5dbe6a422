package shim.app.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.function.DoubleFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.engine.Engines;
import shim.app.lash.Form;
import shim.app.lash.Rounds;
import shim.app.record.Ids;
import shim.app.running.Events;
import shim.core.crank.School;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.WrittenRound.Phase;
import shim.core.season.LashSeason;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.season.PreloadSeason;

/** Writes what a simulated season said into the demo: rounds as they were read, events as run. */
@Component
@ConditionalOnProperty("shim.demo")
class DemoRounds {
  private final Engines engines;
  private final Rounds rounds;
  private final Events events;
  private final Clock clock;

  DemoRounds(Engines engines, Rounds rounds, Events events, Clock clock) {
    this.engines = engines;
    this.rounds = rounds;
    this.events = events;
    this.clock = clock;
  }

  /** Where a season's rounds go: their order, and when each was made. */
  record Into(UUID engine, School school, int stops, DoubleFunction<Instant> dateOf) {}

  static UUID id(String name) {
    return Ids.of("demo " + name);
  }

  UUID keep(EngineSheet sheet) {
    UUID id = id(String.valueOf(sheet.name()));
    engines.put(id, sheet, null, "KV");
    return id;
  }

  Instant daysAgo(long days) {
    return clock.instant().truncatedTo(ChronoUnit.HOURS).minus(days, ChronoUnit.DAYS);
  }

  /** A round at some engine hours lies a day after the event that ended there. */
  Instant startOf(double hours) {
    return daysAgo(Math.round(135 - hours * 12)).plus(Math.round(hours * 60), ChronoUnit.MINUTES);
  }

  void event(UUID engine, String name, long daysAgo, double planned, @Nullable Double ran) {
    LocalDate date = LocalDate.ofInstant(daysAgo(daysAgo), ZoneOffset.UTC);
    double rounded = Math.round(planned * 10) / 10.0;
    events.put(
        id(engine + name),
        new Events.EventEntry(
            engine, name, date, rounded, ran == null ? null : Math.round(ran * 10) / 10.0));
  }

  /**
   * @param begun valves read as found in the last round, which somebody then went away from; none
   *     where it was signed like the others
   */
  void lash(
      Into into, LashSeason.Truth truth, List<RoundPlan> plans, long seed, List<Position> begun) {
    LashSeason season =
        new LashSeason(engines.get(into.engine()).engine(), truth, new Random(seed));
    RoundPlan last = plans.get(plans.size() - 1);
    for (LashSeason.Round round : season.rounds(plans)) {
      UUID id = start(into, round.plan(), round.headTempF());
      Instant at = into.dateOf().apply(round.plan().engineHours());
      String hand = round.plan().hand();
      if (round.plan().equals(last) && !begun.isEmpty()) {
        round.valves().stream()
            .filter(w -> begun.contains(w.position()))
            .forEach(
                w -> {
                  Position p = w.position();
                  rounds.read(
                      id, id(id + "F" + p), gap(p, Phase.FOUND, w.foundIn(), null, hand), at);
                });
        return;
      }
      for (LashSeason.Written w : round.valves()) {
        Position p = w.position();
        rounds.read(id, id(id + "F" + p), gap(p, Phase.FOUND, w.foundIn(), null, hand), at);
        rounds.read(
            id,
            id(id + "L" + p),
            w.adjusted() ? gap(p, Phase.LEFT, w.leftIn(), w.partIn(), hand) : same(p, hand),
            at);
      }
      boolean hot = round.plan().state() == HeatState.HOT;
      sign(into, id, round.plan(), hot ? Double.valueOf(round.headTempF() - 31) : null);
    }
  }

  void preload(Into into, List<PreloadSeason.Fault> faults, List<RoundPlan> plans, long seed) {
    PreloadSeason season =
        new PreloadSeason(engines.get(into.engine()).engine(), faults, new Random(seed));
    for (PreloadSeason.Round round : season.rounds(plans)) {
      UUID id = start(into, round.plan(), 64);
      Instant at = into.dateOf().apply(round.plan().engineHours());
      String hand = round.plan().hand();
      for (PreloadSeason.Written w : round.valves()) {
        Position p = w.position();
        rounds.read(id, id(id + "F" + p), turns(p, Phase.FOUND, w.foundTurns(), hand), at);
        rounds.read(
            id,
            id(id + "L" + p),
            w.adjusted() ? turns(p, Phase.LEFT, w.leftTurns(), hand) : same(p, hand),
            at);
      }
      sign(into, id, round.plan(), null);
    }
  }

  private UUID start(Into into, RoundPlan plan, double headTempF) {
    UUID id = id(into.engine() + "round" + plan.engineHours() + plan.state());
    rounds.start(
        id,
        new Rounds.RoundStart(
            into.engine(),
            plan.state(),
            plan.hand(),
            plan.engineHours(),
            headTempF,
            into.school(),
            into.stops(),
            false,
            true,
            null,
            into.dateOf().apply(plan.engineHours()),
            null,
            null));
    return id;
  }

  private void sign(Into into, UUID round, RoundPlan plan, @Nullable Double headTempF) {
    Instant at = into.dateOf().apply(plan.engineHours()).plus(35, ChronoUnit.MINUTES);
    rounds.sign(round, new Rounds.SignOff(plan.hand(), headTempF, null, rules(into.engine())), at);
  }

  private List<String> rules(UUID engine) {
    EngineSheet.UseSheet use = engines.get(engine).sheet().use();
    return use == null || use.classRules() == null
        ? List.of()
        : use.classRules().stream().map(EngineSheet.ClassRule::rule).toList();
  }

  private static Rounds.ReadingEntry gap(
      Position p, Phase phase, double in, @Nullable Double partIn, String hand) {
    String typed = String.format(Locale.ROOT, "%.0f", in * 1000);
    return new Rounds.ReadingEntry(
        p, phase, Form.FIGURE, in, null, null, typed, partIn, hand, null, null, null);
  }

  private static Rounds.ReadingEntry turns(Position p, Phase phase, double turns, String hand) {
    String typed = String.valueOf(turns);
    return new Rounds.ReadingEntry(
        p, phase, Form.TURNS, turns, null, null, typed, null, hand, null, null, null);
  }

  private static Rounds.ReadingEntry same(Position p, String hand) {
    return new Rounds.ReadingEntry(
        p, Phase.LEFT, Form.SAME, null, null, null, null, null, hand, null, null, null);
  }
}
