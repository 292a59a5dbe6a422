package shim.core.season;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import shim.core.engine.Position;
import shim.core.spring.LoadCurve;
import shim.core.unit.Known;

/**
 * The springs of an engine over a season with a known truth: they settle, wear a little, each at a
 * rate of its own, and some fail from an hour on. A simulated technician reads them with a tester
 * that has its days. Random numbers come from outside, so a season repeats; {@link #trueLbf} is
 * what the simulated tester feels too.
 */
public final class SpringSeason {
  private static final double READING = 0.007;
  private static final double CHECK = 0.002;

  private final LoadCurve curve;
  private final double referenceIn;
  private final Map<Position, Hidden> hidden = new LinkedHashMap<>();
  private final RandomGenerator random;

  /** What nobody sees: level, settling and wear of one spring, ln. */
  private record Hidden(
      double level, double settling, double wearPerHour, double from, double speed) {
    double lossLn(double hours) {
      double fault = speed * Math.pow(Math.max(0, hours - from), 1.2);
      return settling * Math.pow(hours, 0.4) + wearPerHour * hours + fault;
    }
  }

  /** A spring that fails: from an hour of its own on, at a loss (ln) in the first hour. */
  public record Failing(Position position, double fromHours, double lossInFirstHour) {}

  /**
   * A test to be made.
   *
   * @param testerLn how much the tester reads high that day
   */
  public record TestPlan(double hours, String hand, double testerLn, boolean withCheck) {}

  /** What was written at one valve. */
  public record ReadAt(Position position, double heightIn, List<Double> loadsLbf) {}

  /** One finished test: check readings at start and end, over a known load. */
  public record Tested(TestPlan plan, List<Double> checkLbf, List<ReadAt> valves) {}

  /**
   * @param referenceIn height at which new springs give the curve's load
   */
  public SpringSeason(
      List<Position> positions,
      LoadCurve curve,
      double referenceIn,
      List<Failing> failing,
      RandomGenerator random) {
    this.curve = curve;
    this.referenceIn = referenceIn;
    this.random = random;
    for (Position p : positions) {
      Failing f =
          failing.stream()
              .filter(x -> x.position().equals(p))
              .findFirst()
              .orElse(new Failing(p, 1e9, 0));
      hidden.put(
          p,
          new Hidden(
              0.008 + 0.012 * random.nextGaussian(),
              0.013 * Math.exp(0.15 * random.nextGaussian()),
              0.0008 * Math.exp(0.2 * random.nextGaussian()),
              f.fromHours(),
              f.lossInFirstHour()));
    }
  }

  /** True load of a spring at some of its hours and a height, lbf. */
  public double trueLbf(Position p, double hours, double heightIn) {
    Hidden h = hidden.get(p);
    if (h == null) {
      throw new IllegalArgumentException("no spring at " + p);
    }
    double at = curve.loadAt(referenceIn) * Math.exp(h.level() - h.lossLn(hours));
    return curve.move(at, referenceIn, heightIn).loadLbf();
  }

  /** Makes a test: repeats of every spring, rounded as a dial is read. */
  public Tested test(TestPlan plan, Map<Position, Double> heightsIn, int repeats, double checkLbf) {
    List<Double> check = new ArrayList<>();
    if (plan.withCheck()) {
      check.add(dial(checkLbf * Math.exp(plan.testerLn() + CHECK * random.nextGaussian())));
      check.add(dial(checkLbf * Math.exp(plan.testerLn() + CHECK * random.nextGaussian())));
    }
    double setUp = 0.002 * random.nextGaussian();
    List<ReadAt> valves = new ArrayList<>();
    for (Position p : hidden.keySet()) {
      double height = Known.in(heightsIn, p);
      List<Double> loads = new ArrayList<>();
      for (int r = 0; r < repeats; r++) {
        double noise = plan.testerLn() + setUp + READING * random.nextGaussian();
        loads.add(dial(trueLbf(p, plan.hours(), height) * Math.exp(noise)));
      }
      valves.add(new ReadAt(p, height, loads));
    }
    return new Tested(plan, check, valves);
  }

  private static double dial(double lbf) {
    return Math.round(lbf * 2) / 2.0;
  }
}
