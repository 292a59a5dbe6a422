package shim.core.crank;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.DoubleFunction;
import shim.core.unit.Angle;

/**
 * For k stops, the k crank positions that leave the most slack at the tightest valve; exact.
 *
 * <p>At a wanted slack s the positions at which a valve has at least s form an arc of the 720
 * circle. All valves can be set from k stops with slack s if k points hit every arc. The fewest
 * points come from a greedy sweep started at each arc in turn (one point of some best answer can be
 * pushed to the end of an arc). The best s is one at which the end of one arc meets the start of
 * another, so only those values are searched, by bisection, since fewer stops are needed the less
 * slack is asked for. With n different windows: O(n² log n) a sweep over all starts, O(log n)
 * sweeps for each k.
 */
public final class BestStops {
  /** Degrees; far below what a crank can be set to, far above rounding. */
  private static final double EPS_DEG = 1e-7;

  private final List<ValveWindow> windows;
  private final DoubleFunction<List<Double>> points;
  private final double[] slacks;
  private final Map<Integer, List<Double>> sweeps = new HashMap<>();

  /**
   * The best answer with at most k stops.
   *
   * @param stops how many stops were allowed
   * @param worstSlackDeg slack at the tightest valve, crank degrees; negative where some valve
   *     would be on its lobe
   * @param anglesDeg the stops, crank degrees, ascending; fewer than allowed where more do not help
   */
  public record Best(int stops, double worstSlackDeg, List<Double> anglesDeg) {}

  private record Arc(double fromDeg, double lengthDeg) {
    boolean holds(double pointDeg) {
      double ahead = Angle.forward(fromDeg - EPS_DEG, pointDeg);
      return lengthDeg >= Angle.CYCLE_DEG || ahead <= lengthDeg + 2 * EPS_DEG;
    }

    double toDeg() {
      return Angle.inCycle(fromDeg + lengthDeg);
    }
  }

  private BestStops(
      List<ValveWindow> windows, DoubleFunction<List<Double>> points, TreeSet<Double> slacks) {
    this.windows = windows;
    this.points = points;
    this.slacks = slacks.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Stops anywhere on the circle. */
  public static BestStops anywhere(List<ValveWindow> valves) {
    List<ValveWindow> windows = distinct(valves);
    TreeSet<Double> slacks = new TreeSet<>();
    for (ValveWindow i : windows) {
      for (ValveWindow j : windows) {
        double s = (i.centreDeg() - j.centreDeg() + i.mostSlackDeg() + j.mostSlackDeg()) / 2;
        for (int turn = -1; turn <= 1; turn++) {
          double candidate = s + turn * 360;
          if (Math.abs(candidate) <= 360) {
            slacks.add(candidate);
          }
        }
      }
    }
    return new BestStops(
        windows, s -> windows.stream().map(w -> arc(w, s).toDeg()).distinct().toList(), slacks);
  }

  /**
   * Stops only at given crank positions, such as those with a mark on the balancer.
   *
   * @param allowedDeg crank degrees, at least one
   */
  public static BestStops among(List<ValveWindow> valves, List<Double> allowedDeg) {
    List<ValveWindow> windows = distinct(valves);
    List<Double> allowed = allowedDeg.stream().map(Angle::inCycle).distinct().sorted().toList();
    TreeSet<Double> slacks = new TreeSet<>();
    windows.forEach(w -> allowed.forEach(a -> slacks.add(w.slackDeg(a))));
    return new BestStops(windows, s -> allowed, slacks);
  }

  private static List<ValveWindow> distinct(List<ValveWindow> valves) {
    Map<List<Double>, ValveWindow> seen = new java.util.LinkedHashMap<>();
    valves.forEach(
        w -> seen.putIfAbsent(List.of(w.centreDeg(), w.halfOpenDeg(), w.marginDeg()), w));
    return List.copyOf(seen.values());
  }

  /** Number of different windows; more stops than this cannot help. */
  public int distinctWindows() {
    return windows.size();
  }

  /**
   * The best answer with at most k stops.
   *
   * @param k number of stops, one or more
   */
  public Best with(int k) {
    if (k < 1) {
      throw new IllegalArgumentException("at least one stop is needed, not " + k);
    }
    int useful = Math.min(k, windows.size());
    int low = 0;
    int high = slacks.length - 1;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (sweep(mid).size() <= useful) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    List<Double> angles = sweep(low).stream().sorted().toList();
    return new Best(k, worst(angles), angles);
  }

  /** Slack at the tightest valve when each is set at the stop that suits it best. */
  private double worst(List<Double> angles) {
    return windows.stream()
        .mapToDouble(w -> angles.stream().mapToDouble(w::slackDeg).max().orElseThrow())
        .min()
        .orElseThrow();
  }

  private List<Double> sweep(int slackIndex) {
    return sweeps.computeIfAbsent(slackIndex, i -> fewest(slacks[i]));
  }

  /** The fewest points that hit every arc at this slack; one more than there are arcs if none. */
  private List<Double> fewest(double slackDeg) {
    List<Arc> arcs = windows.stream().map(w -> arc(w, slackDeg)).toList();
    List<Double> allowed = points.apply(slackDeg);
    List<Double> best = impossible(arcs.size());
    if (arcs.stream().anyMatch(a -> a.lengthDeg() < -EPS_DEG)) {
      return best;
    }
    for (double first : allowed) {
      List<Double> hit = from(first, arcs, allowed, best.size());
      if (hit.size() < best.size()) {
        best = hit;
      }
    }
    return best;
  }

  private List<Double> from(double first, List<Arc> arcs, List<Double> allowed, int beat) {
    record Ahead(Arc arc, double endDeg) {}
    List<Double> hit = new ArrayList<>(List.of(first));
    List<Ahead> open =
        arcs.stream()
            .filter(a -> !a.holds(first))
            .map(a -> new Ahead(a, Angle.forward(first, a.toDeg())))
            .sorted(Comparator.comparingDouble(Ahead::endDeg))
            .toList();
    double last = -1;
    for (Ahead a : open) {
      double start = a.endDeg() - a.arc().lengthDeg();
      if (last >= start - EPS_DEG) {
        continue;
      }
      last = furthest(first, a.endDeg(), allowed);
      if (last < start - EPS_DEG || hit.size() + 1 >= beat) {
        return impossible(arcs.size());
      }
      hit.add(Angle.inCycle(first + last));
    }
    return hit;
  }

  /** Distance from the first point to the last allowed point not beyond an arc's end. */
  private static double furthest(double first, double endDeg, List<Double> allowed) {
    double furthest = -1;
    for (double p : allowed) {
      double ahead = Angle.forward(first, p);
      if (ahead <= endDeg + EPS_DEG && ahead > furthest) {
        furthest = ahead;
      }
    }
    return furthest;
  }

  private static List<Double> impossible(int arcs) {
    return java.util.Collections.nCopies(arcs + 1, 0.0);
  }

  private static Arc arc(ValveWindow w, double slackDeg) {
    double half = w.mostSlackDeg() - slackDeg;
    return new Arc(Angle.inCycle(w.centreDeg() + 360 - half), 2 * half);
  }
}
