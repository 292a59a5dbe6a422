package shim.core.lash;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;
import shim.core.unit.Known;

/**
 * The engine's own growth: cold lash minus hot lash, from rounds that met the same valves in both
 * states with nothing adjusted or exchanged between.
 *
 * @param byKind mean, spread and number of the differences, inch, intake and exhaust apart
 */
public record Growth(Map<ValveKind, Robust.Mean> byKind) {
  /** Longest running between the two rounds of a pair, hours: beyond it wear would join in. */
  public static final double LONGEST_GAP_HOURS = 1.0;

  /** Share of a kind's valves that makes a pair of rounds a full one. */
  static final double FULL_SHARE = 0.75;

  public Growth {
    byKind = Map.copyOf(byKind);
  }

  /** Cold minus hot of a kind of valve, inch, when measured. */
  public Optional<Robust.Mean> coldMinusHotIn(ValveKind kind) {
    return Optional.ofNullable(byKind.get(kind));
  }

  /**
   * @param history every valve's past, any order
   * @param valves all valves of the engine
   */
  public static Growth of(ValveHistory history, List<Position> valves) {
    Map<ValveKind, List<Double>> differences = new EnumMap<>(ValveKind.class);
    Map<ValveKind, Set<Position>> paired = new EnumMap<>(ValveKind.class);
    for (Position p : valves) {
      List<Double> found = pairs(history, p);
      if (!found.isEmpty()) {
        differences.computeIfAbsent(p.kind(), k -> new ArrayList<>()).addAll(found);
        paired.computeIfAbsent(p.kind(), k -> new HashSet<>()).add(p);
      }
    }
    Map<ValveKind, Robust.Mean> result = new EnumMap<>(ValveKind.class);
    for (ValveKind kind : differences.keySet()) {
      long all = valves.stream().filter(p -> p.kind() == kind).count();
      if (Known.in(paired, kind).size() >= FULL_SHARE * all) {
        result.put(kind, Robust.Mean.of(differences.get(kind)));
      }
    }
    return new Growth(result);
  }

  private static List<Double> pairs(ValveHistory history, Position p) {
    List<ValveHistory.Visit> visits =
        history.visits(p).stream()
            .sorted(Comparator.comparingLong(ValveHistory.Visit::order))
            .toList();
    List<Double> result = new ArrayList<>();
    for (int i = 1; i < visits.size(); i++) {
      ValveHistory.Visit before = visits.get(i - 1);
      ValveHistory.Visit after = visits.get(i);
      if (before.state() == after.state()
          || before.leftIn() == null
          || after.foundIn() == null
          || after.engineHours() - before.engineHours() > LONGEST_GAP_HOURS
          || history.changedBetween(p, before.order(), after.order())) {
        continue;
      }
      double cold = before.state() == HeatState.COLD ? before.leftIn() : after.foundIn();
      double hot = before.state() == HeatState.COLD ? after.foundIn() : before.leftIn();
      result.add(cold - hot);
    }
    return result;
  }
}
