package shim.core.season;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.lash.LashTarget;
import shim.core.unit.Figures;
import shim.core.unit.Known;

/**
 * Lash over a season with a known truth: every valve wears slowly on its own path, all exhaust
 * seats sink a little, faults begin at an hour and go at a rate. A simulated technician reads it
 * with leaves, feels a little tight or loose, and sets what is out. Random numbers come from
 * outside, so a season repeats.
 */
public final class LashSeason {
  private static final double THOU = 0.001;

  /** Round-to-round scatter of one reading, inch. */
  private static final double FEEL_IN = 0.0004;

  /** Scatter of a lash after locking, inch. */
  private static final double LOCK_IN = 0.0006;

  private final Engine engine;
  private final Truth truth;
  private final RandomGenerator random;
  private final Map<Position, Double> hotLashIn = new HashMap<>();
  private final Map<Position, Double> wearInPerHour = new HashMap<>();

  /** Pushrod that is in, where lash is set by its length. */
  private final Map<Position, Double> partIn = new HashMap<>();

  private double hours;

  /**
   * The hidden truth.
   *
   * @param coldMinusHotIn growth of this very engine, inch, intake and exhaust
   * @param faults valves that go their own way
   */
  public record Truth(Map<ValveKind, Double> coldMinusHotIn, List<Fault> faults) {}

  /** One valve's lash changes at a rate from an hour on; inch per hour, above zero opens. */
  public record Fault(Position position, double fromHours, double inPerHour) {}

  /**
   * A round to be made.
   *
   * @param handIn how much this hand reads above the truth, inch
   */
  public record RoundPlan(double engineHours, HeatState state, String hand, double handIn) {}

  /**
   * What the technician wrote at one valve; thou, as read off leaves.
   *
   * @param partIn size that went in, inch; null where none was exchanged
   */
  public record Written(
      Position position,
      double foundIn,
      double leftIn,
      boolean adjusted,
      @Nullable Double partIn) {}

  /** One finished round. */
  public record Round(RoundPlan plan, double headTempF, List<Written> valves) {}

  public LashSeason(Engine engine, Truth truth, RandomGenerator random) {
    this.engine = engine;
    this.truth = truth;
    this.random = random;
    for (Position p : engine.layout().positions()) {
      hotLashIn.put(p, target(p, HeatState.HOT) + random.nextGaussian() * LOCK_IN);
      double common = p.kind() == ValveKind.EXHAUST ? -0.00008 : -0.00003;
      wearInPerHour.put(p, common + random.nextGaussian() * 0.00006);
    }
  }

  private double target(Position p, HeatState state) {
    return LashTarget.of(engine, p.kind(), state, new Growth(Map.of()))
        .wanted()
        .orElseThrow(() -> new IllegalArgumentException("no lash is wanted at " + p))
        .targetIn();
  }

  /** Runs the engine to each round and makes it, in order of hours. */
  public List<Round> rounds(List<RoundPlan> plans) {
    List<Round> result = new ArrayList<>();
    for (RoundPlan plan : plans) {
      runTo(plan.engineHours());
      result.add(round(plan));
    }
    return result;
  }

  private void runTo(double until) {
    double dt = until - hours;
    for (Position p : hotLashIn.keySet().stream().sorted().toList()) {
      double moved = Known.in(wearInPerHour, p) * dt + random.nextGaussian() * 0.0002;
      for (Fault f : truth.faults()) {
        if (f.position().equals(p)) {
          moved += f.inPerHour() * Math.max(0, until - Math.max(hours, f.fromHours()));
        }
      }
      hotLashIn.merge(p, moved, Double::sum);
    }
    hours = until;
  }

  private Round round(RoundPlan plan) {
    List<Written> written = new ArrayList<>();
    double shift = random.nextGaussian() * FEEL_IN / 2;
    for (Position p : engine.layout().positions()) {
      double state =
          plan.state() == HeatState.COLD ? Known.in(truth.coldMinusHotIn(), p.kind()) : 0;
      double found = leaf(Known.in(hotLashIn, p) + state + plan.handIn() + shift);
      double wanted = targetSetBy(p, plan.state());
      boolean adjust = Figures.above(Math.abs(found - wanted), engine.rules().toleranceIn());
      if (!adjust) {
        written.add(new Written(p, found, found, false, null));
      } else if (engine.drive().adjuster() == Adjuster.PUSHROD_LENGTH) {
        written.add(byLength(p, found, wanted, state));
      } else {
        double set = wanted + random.nextGaussian() * LOCK_IN;
        hotLashIn.put(p, set - state);
        written.add(new Written(p, found, leaf(set), true, null));
      }
    }
    double temp =
        plan.state() == HeatState.HOT ? 176 + random.nextInt(14) : 58 + random.nextInt(12);
    return new Round(plan, temp, written);
  }

  /** The length to hand that comes nearest; none better leaves the valve as it is. */
  private Written byLength(Position p, double found, double wanted, double state) {
    Engine.Drive drive = engine.drive();
    double in = partIn.getOrDefault(p, drive.partIn(p.kind()).orElseThrow());
    double ratio = drive.ratio(p.kind());
    double best =
        drive.partSizesIn().stream()
            .min(Comparator.comparing(s -> Math.abs(found - (s - in) * ratio - wanted)))
            .orElse(in);
    if (Figures.same(best, in)) {
      return new Written(p, found, found, false, null);
    }
    hotLashIn.merge(p, -(best - in) * ratio, Double::sum);
    partIn.put(p, best);
    return new Written(p, found, leaf(Known.in(hotLashIn, p) + state), true, best);
  }

  /** The technician sets to the engine's true growth, as Shim will find it. */
  private double targetSetBy(Position p, HeatState state) {
    if (engine.lash().state() == state) {
      return engine.lash().targetIn(p.kind());
    }
    double shift = Known.in(truth.coldMinusHotIn(), p.kind());
    return engine.lash().targetIn(p.kind()) + (state == HeatState.COLD ? shift : -shift);
  }

  private double leaf(double trueIn) {
    double felt = trueIn + random.nextGaussian() * FEEL_IN;
    return Math.max(0, Math.round(felt / THOU) * THOU);
  }
}
