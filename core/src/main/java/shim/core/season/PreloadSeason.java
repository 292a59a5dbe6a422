package shim.core.season;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.engine.PreloadSpec;
import shim.core.lash.LashVerdict;
import shim.core.lash.PreloadTarget;
import shim.core.season.LashSeason.RoundPlan;
import shim.core.unit.Known;

/**
 * Preload by turns over a season with a known truth: what wears between cam and valve takes turns
 * off it, and a valve may go its own way. A simulated technician counts the turns back to zero lash
 * to a sixteenth, and sets what is out. Random numbers come from outside, so a season repeats.
 */
public final class PreloadSeason {
  private static final double SIXTEENTH = 1.0 / 16;

  /** How well a hand feels zero lash, turns. */
  private static final double FEEL_TURNS = 0.025;

  private static final double LOCK_TURNS = 0.02;

  /** Usual wear of a valve's chain, turns an hour. */
  private static final double WEAR_TURNS = 0.003;

  private final Engine engine;
  private final List<Fault> faults;
  private final RandomGenerator random;
  private final Map<Position, Double> turns = new HashMap<>();
  private double hours;

  /** A valve that loses preload of its own from an hour on, turns an hour. */
  public record Fault(Position position, double fromHours, double turnsPerHour) {}

  /** What was written at one valve, turns. */
  public record Written(Position position, double foundTurns, double leftTurns, boolean adjusted) {}

  /** One finished round. */
  public record Round(RoundPlan plan, List<Written> valves) {}

  /**
   * @throws IllegalArgumentException where the engine's preload is not set by turns
   */
  public PreloadSeason(Engine engine, List<Fault> faults, RandomGenerator random) {
    this.engine = engine;
    this.faults = List.copyOf(faults);
    this.random = random;
    for (Position p : engine.layout().positions()) {
      turns.put(p, target(p).aim() + random.nextGaussian() * LOCK_TURNS);
    }
  }

  private PreloadTarget target(Position p) {
    return PreloadTarget.of(engine.drive(), p.kind())
        .filter(t -> t.unit() == PreloadSpec.Unit.TURNS)
        .orElseThrow(() -> new IllegalArgumentException("no turns are wanted at " + p));
  }

  /** Runs the engine to each round and makes it, in order of hours. */
  public List<Round> rounds(List<RoundPlan> plans) {
    List<Round> result = new ArrayList<>();
    for (RoundPlan plan : plans) {
      runTo(plan.engineHours());
      result.add(new Round(plan, engine.layout().positions().stream().map(this::read).toList()));
    }
    return result;
  }

  private void runTo(double until) {
    double dt = until - hours;
    for (Position p : engine.layout().positions()) {
      double lost = WEAR_TURNS * dt * (1 + 0.5 * random.nextGaussian());
      for (Fault f : faults) {
        if (f.position().equals(p)) {
          lost += f.turnsPerHour() * Math.max(0, until - Math.max(hours, f.fromHours()));
        }
      }
      turns.put(p, Known.in(turns, p) - lost);
    }
    hours = until;
  }

  private Written read(Position p) {
    PreloadTarget target = target(p);
    double found = counted(Known.in(turns, p));
    if (target.judge(found) == LashVerdict.IN) {
      return new Written(p, found, found, false);
    }
    turns.put(p, target.aim() + random.nextGaussian() * LOCK_TURNS);
    return new Written(p, found, counted(Known.in(turns, p)), true);
  }

  private double counted(double trueTurns) {
    double felt = trueTurns + random.nextGaussian() * FEEL_TURNS;
    return Math.max(0, Math.round(felt / SIXTEENTH) * SIXTEENTH);
  }
}
