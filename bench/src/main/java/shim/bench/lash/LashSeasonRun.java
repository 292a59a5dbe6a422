package shim.bench.lash;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import shim.core.drift.Gap;
import shim.core.drift.LashRound;
import shim.core.engine.HeatState;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.stats.Robust;
import shim.core.unit.Known;

/** One engine's rounds over a season, with what truly happened. */
final class LashSeasonRun {
  private static final double HOT_THOU = 16;
  private static final double TOLERANCE_THOU = 2;
  private static final double SET_THOU = 0.5;
  private static final double SETTLE_THOU = 0.3;
  private static final double LEAST_RATE = 0.4;
  private static final double MOST_RATE = 2;
  private static final double FAULTY = 0.5;
  private static final Map<ValveKind, Double> GROWTH_THOU =
      Map.of(ValveKind.INTAKE, 2.0, ValveKind.EXHAUST, 4.0);

  /** A valve's truth: it drifts from an hour at a rate; a rate of 0 is healthy. */
  record Fault(Position position, double fromHours, double thouPerHour) {}

  /** What was written at one valve, thou; {@code left} null where it stayed as found. */
  record Written(double found, @Nullable Double left) {}

  /** One round as written. */
  record Sheet(double hours, HeatState state, String hand, Map<Position, Written> valves) {}

  final Layout layout;
  final List<Sheet> sheets = new ArrayList<>();
  final List<Fault> faults = new ArrayList<>();
  final Map<Position, Integer> slipRound = new HashMap<>();
  private final LashLaw law;
  private final Random random;
  private final Map<Position, Double> hot = new HashMap<>();
  private final Map<Position, Double> own = new HashMap<>();
  private final Map<Position, Double> grows = new HashMap<>();

  LashSeasonRun(LashLaw law, Random random) {
    this(law, random, -1, 0);
  }

  /**
   * @param slippedRound a round that reads off as a whole by an extra amount; -1: none
   */
  LashSeasonRun(LashLaw law, Random random, int slippedRound, double slipThou) {
    this.law = law;
    this.random = random;
    layout = layout(law);
    double season = law.rounds() * law.hoursBetween();
    List<Position> valves = layout.positions();
    for (Position p : valves) {
      hot.put(p, HOT_THOU + random.nextGaussian() * SET_THOU);
      own.put(p, random.nextGaussian() * law.own());
      grows.put(p, Known.in(GROWTH_THOU, p.kind()) + random.nextGaussian() * 0.4);
      if (random.nextDouble() < law.slipShare()) {
        slipRound.put(p, 2 + random.nextInt(law.rounds() - 2));
      }
    }
    boolean faulty = random.nextDouble() < FAULTY;
    while (faulty && faults.size() < law.atOnce()) {
      Fault f = fault(valves, season);
      if (faultAt(f.position()).isEmpty()) {
        faults.add(f);
        slipRound.remove(f.position());
      }
    }
    double hours = 0;
    for (int n = 0; n < law.rounds(); n++) {
      double dt = n == 0 ? 0 : law.hoursBetween() * (0.5 + random.nextDouble());
      run(n, hours, hours + dt);
      hours += dt;
      sheets.add(sheet(n, hours, n == slippedRound ? slipThou : 0));
    }
  }

  private Fault fault(List<Position> valves, double season) {
    double rate = LEAST_RATE + (MOST_RATE - LEAST_RATE) * random.nextDouble();
    Position p = valves.get(random.nextInt(valves.size()));
    double from = season * (0.1 + 0.5 * random.nextDouble());
    return new Fault(p, from, random.nextDouble() < 0.7 ? rate : -rate);
  }

  private void run(int n, double from, double to) {
    for (Position p : layout.positions()) {
      double moved = (to - from) * Known.in(own, p) + random.nextGaussian() * 0.1;
      if (p.kind() == ValveKind.EXHAUST) {
        moved -= law.exhaustsClosePerHour() * (to - from);
      }
      moved += faultAt(p).map(f -> worn(f, to) - worn(f, from)).orElse(0.0);
      if (slipRound.getOrDefault(p, -1) == n) {
        moved += (random.nextBoolean() ? 1 : -1) * (3 + 3 * random.nextDouble());
      }
      hot.merge(p, moved, Double::sum);
    }
  }

  /** What is wrong with a valve. */
  Optional<Fault> faultAt(Position p) {
    return faults.stream().filter(f -> f.position().equals(p)).findAny();
  }

  private double worn(Fault fault, double hours) {
    double t = Math.max(0, hours - fault.fromHours());
    return fault.thouPerHour() * (law.speedsUp() ? t * t / (t + 3) : t);
  }

  private Sheet sheet(int n, double hours, double slip) {
    HeatState state = random.nextDouble() < law.coldShare() ? HeatState.COLD : HeatState.HOT;
    int hand = random.nextInt(law.hands().length);
    double offset = law.hands()[hand] + random.nextGaussian() * law.roundOffset() + slip;
    Map<Position, Written> valves = new HashMap<>();
    List<Position> order = layout.positions();
    for (int i = 0; i < order.size(); i++) {
      Position p = order.get(i);
      double cooled = state == HeatState.HOT ? law.cooling() * i / (order.size() - 1.0) : 0;
      double cold = state == HeatState.COLD ? Known.in(grows, p) : 0;
      double target = HOT_THOU + (state == HeatState.COLD ? Known.in(GROWTH_THOU, p.kind()) : 0);
      double found = read(Known.in(hot, p) + cold + offset + cooled);
      Double left = null;
      if (Math.abs(found - target) > TOLERANCE_THOU) {
        double set = target + random.nextGaussian() * SET_THOU;
        hot.put(p, set - cold - offset - cooled);
        left = read(set);
        hot.merge(p, random.nextGaussian() * SETTLE_THOU, Double::sum);
      }
      valves.put(p, new Written(found, left));
    }
    return new Sheet(hours, state, "h" + hand, valves);
  }

  private double read(double gap) {
    double felt = gap + law.feel() * (law.laplace() ? laplace() : random.nextGaussian());
    return Math.max(0, Math.round(felt / law.leaf()) * law.leaf());
  }

  private double laplace() {
    double u = random.nextDouble() - 0.5;
    return -Math.signum(u) * Math.log(1 - 2 * Math.abs(u)) / Math.sqrt(2);
  }

  /** The rounds as Shim takes them. */
  List<LashRound> rounds() {
    return IntStream.range(0, sheets.size()).mapToObj(this::round).toList();
  }

  private LashRound round(int n) {
    Sheet s = sheets.get(n);
    return new LashRound(
        "r" + n,
        n,
        s.hours(),
        s.state(),
        s.hand(),
        layout.positions().stream()
            .map(
                p -> {
                  Written w = Known.in(s.valves(), p);
                  return new LashRound.Read(
                      p,
                      Gap.about(w.found(), law.leaf()),
                      w.left() == null ? null : Gap.about(w.left(), law.leaf()));
                })
            .toList(),
        Set.of());
  }

  /** The engine's growth as one pair of rounds would have found it. */
  static Growth growth() {
    return new Growth(
        Map.of(
            ValveKind.INTAKE, new Robust.Mean(0.0021, 0.0006, 8),
            ValveKind.EXHAUST, new Robust.Mean(0.0038, 0.0006, 8)));
  }

  private static Layout layout(LashLaw law) {
    List<Layout.Bank> banks = new ArrayList<>();
    List<Integer> firing = new ArrayList<>();
    for (int b = 0; b < law.banks(); b++) {
      List<Integer> cylinders = new ArrayList<>();
      List<Position> valves = new ArrayList<>();
      for (int i = 0; i < law.cylindersInBank(); i++) {
        int c = i * law.banks() + b + 1;
        cylinders.add(c);
        firing.add(c);
        valves.add(new Position(c, ValveKind.EXHAUST, 0));
        valves.add(new Position(c, ValveKind.INTAKE, 0));
      }
      banks.add(new Layout.Bank("bank " + b, cylinders, valves));
    }
    int n = firing.size();
    return new Layout(
        law.banks() == 1 ? Layout.Arrangement.INLINE : Layout.Arrangement.V,
        banks,
        firing,
        IntStream.range(0, n).mapToObj(i -> 720.0 / n).toList(),
        Layout.Rotation.CLOCKWISE);
  }
}
