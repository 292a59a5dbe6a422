package shim.app.demo;

import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.device.Dial;
import shim.app.engine.Engines;
import shim.app.lifter.Inspections;
import shim.app.lifter.LifterRules;
import shim.app.lifter.Lifters;
import shim.core.engine.Engine;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lifter.LobeSurvey;
import shim.core.lifter.Look;

/**
 * Lifters of the demo: the hill V8's rollers with one over its interval since it came from another
 * engine, its opening exhaust lobe not looked at yet; the night V8's hydraulic ones with one that
 * ticks; the four's flat tappets after a survey of their lobes.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoLifters {
  private final Engines engines;
  private final Lifters lifters;
  private final LifterRules rules;
  private final Inspections inspections;
  private final Dial dial;

  DemoLifters(
      Engines engines, Lifters lifters, LifterRules rules, Inspections inspections, Dial dial) {
    this.engines = engines;
    this.lifters = lifters;
    this.rules = rules;
    this.inspections = inspections;
    this.dial = dial;
  }

  /** Where things are and when they were. */
  record Season(
      Function<String, UUID> id, DoubleFunction<Instant> dateOf, DoubleFunction<Instant> sixAt) {
    Season ofSix() {
      return new Season(id, sixAt, sixAt);
    }
  }

  void fill(UUID v8, UUID four, UUID night, UUID six, Season season) {
    rules.put(v8, new LifterRules.LifterRulesSheet(null, 40.0, null, null), "KV");
    rules.put(night, new LifterRules.LifterRulesSheet(null, null, 120.0, null), "MO");
    rules.put(four, new LifterRules.LifterRulesSheet(60.0, null, null, null), "MO");
    set(v8, Lifter.ROLLER_SOLID, "R", "rollers, spring set", 22.5, true, season);
    set(four, Lifter.FLAT_SOLID, "F", "flat tappets", 12, false, season);
    set(night, Lifter.ROLLER_HYDRAULIC, "H", "hydraulic rollers", 31, true, season);
    rules.put(six, new LifterRules.LifterRulesSheet(90.0, null, null, null), "KV");
    set(six, Lifter.FLAT_SOLID, "W", "flat tappets, six", 20, false, season.ofSix());
    looks(v8, night, season);
    looksOfSix(six, season.ofSix());
    survey(four, season);
  }

  /** A dial over the hill V8's valves: all lobes about full, one short by what its lash opened. */
  void connect(UUID v8) {
    Engine engine = engines.get(v8).engine();
    Random random = new Random(29);
    try {
      SimulatedInstrument simulated =
          new SimulatedInstrument(
              new SimulatedInstrument.Nature(
                  "DIAL indicator, simulated",
                  "LIFT %.4f in",
                  0.0002,
                  (place, height) -> {
                    if (place.startsWith("GAP-")) {
                      return place.endsWith("I") ? 0.114 : 0.148;
                    }
                    Position p = Position.parse(place);
                    double worn = place.equals(DemoData.OPENING) ? 0.0055 : 0.001;
                    return LobeSurvey.wantedIn(engine, p.kind()).orElse(0.0)
                        - worn
                        + random.nextGaussian() * 0.0003;
                  }));
      dial.suggest(simulated.address());
    } catch (IOException e) {
      throw new IllegalStateException("the simulated dial could not start", e);
    }
  }

  private void set(
      UUID engine, Lifter kind, String letter, String name, double before, boolean tied, Season s) {
    UUID last = null;
    for (Position p : positions(engine)) {
      UUID id = s.id().apply("lifter " + letter + " " + p);
      lifters.put(
          id,
          new Lifters.LifterEntry(
              kind,
              letter + p,
              name,
              tied ? last : null,
              // One roller came from another engine with more hours than its brothers.
              (letter + p).equals("R3I") ? before + 8.2 : before,
              false,
              null),
          "KV");
      lifters.fit(
          s.id().apply(engine + "lifter fitting " + p),
          new Lifters.LifterFitting(
              id, null, engine, p, 0, s.dateOf().apply(-0.2), null, null, "KV", "built in"));
      last = last == null ? id : null;
    }
  }

  private List<Position> positions(UUID engine) {
    return engines.get(engine).engine().layout().positions();
  }

  private void looks(UUID v8, UUID night, Season s) {
    for (Position p : List.of(Position.parse("1I"), Position.parse("2E"), Position.parse("7I"))) {
      see(s, v8, p, Look.WHEEL, "smooth", null, 5.0, "KV");
    }
    see(s, v8, Position.parse("6I"), Look.AXLE_PLAY, "some", null, 8.9, "KV");
    see(s, v8, Position.parse("6I"), Look.WHEEL, "smooth", null, 8.9, "KV");
    see(s, v8, Position.parse("2I"), Look.PUSHROD, "tips worn", null, 3.5, "KV");
    see(s, v8, Position.parse("2I"), Look.PUSHROD, "straight", null, 3.6, "KV");
    see(s, v8, null, Look.OIL, "clean", null, 8.9, "MO");
    see(s, night, Position.parse("4E"), Look.TICK_COLD, "ticks", null, 2.0, "MO");
    see(s, night, Position.parse("4E"), Look.TICK_HOT, "ticks", null, 2.0, "MO");
    see(s, night, Position.parse("4I"), Look.TICK_HOT, "quiet", null, 2.0, "MO");
    see(s, night, Position.parse("4E"), Look.GUIDE_GAP, null, 6.0, 2.0, "MO");
    see(s, night, Position.parse("4E"), Look.TICK_HOT, "ticks", null, 9.8, "MO");
  }

  /** What moved the lash of 5I is half looked for: pushrod and lobe are well, the rocker is not. */
  private void looksOfSix(UUID six, Season s) {
    see(s, six, Position.parse("5I"), Look.PUSHROD, "straight", null, 11.8, "KV");
    see(s, six, null, Look.OIL, "clean", null, 11.8, "KV");
    see(s, six, Position.parse("1I"), Look.STEM_TIP, "square", null, 11.8, "KV");
  }

  /** A dial over all lobes of the four: full but for a thou or two. */
  private void survey(UUID four, Season s) {
    Engine engine = engines.get(four).engine();
    Random random = new Random(23);
    for (Position p : positions(four)) {
      double wanted = LobeSurvey.wantedIn(engine, p.kind()).orElse(0.4);
      double worn = p.kind() == ValveKind.EXHAUST ? 0.0015 : 0.0008;
      double lift = Math.round((wanted - worn * (0.5 + random.nextDouble())) * 2000) / 2000.0;
      inspections.put(
          s.id().apply(four + "lift" + p),
          new Inspections.FindingSeen(
              four,
              p,
              null,
              Look.LOBE_LIFT,
              null,
              null,
              null,
              lift,
              null,
              6.3,
              "MO",
              s.dateOf().apply(6.3)));
    }
  }

  private void see(
      Season s,
      UUID engine,
      @Nullable Position p,
      Look look,
      @Nullable String grade,
      @Nullable Double figure,
      double hours,
      String hand) {
    inspections.put(
        s.id().apply(engine + "seen" + p + look + grade + figure),
        new Inspections.FindingSeen(
            engine,
            p,
            null,
            look,
            grade,
            figure,
            null,
            null,
            null,
            hours,
            hand,
            s.dateOf().apply(hours).plusSeconds(3600 + 60L * look.ordinal())));
  }
}
