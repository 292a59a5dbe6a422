package shim.core.drift;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.ToDoubleBiFunction;
import shim.core.Engines;
import shim.core.engine.HeatState;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.stats.Robust;

/** Rounds for tests: a V8 read with leaves of one thou and a feel of half a thou. */
public final class DriftRounds {
  public static final Layout V8 = Engines.engine(Engines.sheet("v8-odd-even")).layout();
  static final Growth GROWN =
      new Growth(
          Map.of(
              ValveKind.INTAKE, new Robust.Mean(0.002, 0.0005, 8),
              ValveKind.EXHAUST, new Robust.Mean(0.004, 0.0005, 8)));
  public static final double HOURS_BETWEEN = 1.25;

  private final Random random;
  private final ToDoubleBiFunction<Position, Double> truth;
  private final Map<Position, Double> set = new HashMap<>();
  private final List<LashRound> rounds = new ArrayList<>();

  /**
   * @param truth how far a valve has moved at an hour, thou
   */
  public DriftRounds(long seed, ToDoubleBiFunction<Position, Double> truth) {
    this.random = new Random(seed);
    this.truth = truth;
  }

  public static Position at(String written) {
    return Position.parse(written);
  }

  public static ToDoubleBiFunction<Position, Double> opening(
      String valve, double fromHours, double thouPerHour) {
    return (p, h) -> p.equals(at(valve)) ? Math.max(0, h - fromHours) * thouPerHour : 0;
  }

  /** Makes rounds, hot, by one hand, every valve out by more than 2 thou set to 16 again. */
  public List<LashRound> rounds(int count) {
    for (int n = 0; n < count; n++) {
      round("r" + n, n * HOURS_BETWEEN, HeatState.HOT, "KV", 0);
    }
    return List.copyOf(rounds);
  }

  public DriftRounds round(
      String name, double hours, HeatState state, String hand, double offThou) {
    List<LashRound.Read> reads = new ArrayList<>();
    for (Position p : V8.positions()) {
      double cold =
          state == HeatState.COLD ? GROWN.coldMinusHotIn(p.kind()).orElseThrow().mean() * 1000 : 0;
      double base = set.computeIfAbsent(p, x -> 16 + random.nextGaussian() * 0.5);
      double moved = truth.applyAsDouble(p, hours);
      double gap = base + moved + cold + offThou;
      double found = leaf(gap);
      Gap left = null;
      if (Math.abs(found - 16 - cold) > 2) {
        double to = 16 + random.nextGaussian() * 0.5;
        set.put(p, to - offThou - moved);
        left = Gap.about(leaf(to + cold), 1);
      }
      reads.add(new LashRound.Read(p, Gap.about(found, 1), left));
    }
    rounds.add(new LashRound(name, rounds.size(), hours, state, hand, reads, Set.of()));
    return this;
  }

  List<LashRound> all() {
    return List.copyOf(rounds);
  }

  private double leaf(double gap) {
    return Math.max(0, Math.round(gap + random.nextGaussian() * 0.5));
  }

  public static LashDrift analysis(List<LashRound> rounds) {
    return LashDrift.of(V8, rounds, GROWN, DriftRules.USUAL);
  }
}
