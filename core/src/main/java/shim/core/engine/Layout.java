package shim.core.engine;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import shim.core.unit.Angle;

/**
 * Cylinders, banks, valves and firing order of an engine. Built by {@link SheetCheck}, which
 * refuses what contradicts itself with words for a technician; this constructor guards the same
 * invariants against programming errors.
 *
 * @param banks banks, cylinders front to rear, valves front to rear
 * @param firingOrder cylinder numbers in firing order
 * @param intervalsDeg crank degrees from each firing to the next; sums to 720
 * @param rotation direction of the crank seen from the front
 * @param arrangement how the banks stand to each other
 */
public record Layout(
    Arrangement arrangement,
    List<Bank> banks,
    List<Integer> firingOrder,
    List<Double> intervalsDeg,
    Rotation rotation) {

  /** How the banks stand: the valve plan is drawn from it. */
  public enum Arrangement {
    INLINE,
    V,
    FLAT
  }

  /** Direction of crank rotation seen from the front of the engine. */
  public enum Rotation {
    CLOCKWISE,
    ANTICLOCKWISE
  }

  /**
   * One bank.
   *
   * @param name what the team calls it
   * @param cylinders numbers, front to rear
   * @param valves valves, front to rear
   */
  public record Bank(String name, List<Integer> cylinders, List<Position> valves) {
    public Bank {
      cylinders = List.copyOf(cylinders);
      valves = List.copyOf(valves);
    }
  }

  public Layout {
    banks = List.copyOf(banks);
    firingOrder = List.copyOf(firingOrder);
    intervalsDeg = List.copyOf(intervalsDeg);
    double sum = intervalsDeg.stream().mapToDouble(Double::doubleValue).sum();
    if (intervalsDeg.size() != firingOrder.size() || !(Math.abs(sum - Angle.CYCLE_DEG) < 1e-6)) {
      throw new IllegalArgumentException("firing intervals sum to " + sum + " deg, not 720");
    }
  }

  /** Number of cylinders. */
  public int cylinderCount() {
    return firingOrder.size();
  }

  /** All valves, bank by bank, front to rear. */
  public List<Position> positions() {
    return banks.stream().flatMap(b -> b.valves().stream()).toList();
  }

  /** Index of the bank that holds a cylinder. */
  public int bankOf(int cylinder) {
    for (int i = 0; i < banks.size(); i++) {
      if (banks.get(i).cylinders().contains(cylinder)) {
        return i;
      }
    }
    throw new IllegalArgumentException("no cylinder " + cylinder + " in this engine");
  }

  /**
   * Compression TDC of each cylinder in crank degrees after that of the first in the firing order.
   * Iterates in firing order.
   */
  public Map<Integer, Double> compressionTdcDeg() {
    Map<Integer, Double> result = new LinkedHashMap<>();
    double at = 0;
    for (int k = 0; k < firingOrder.size(); k++) {
      result.put(firingOrder.get(k), at);
      at += intervalsDeg.get(k);
    }
    return result;
  }

  /** Compression TDC of one cylinder, crank degrees after that of the first in the firing order. */
  public double compressionTdcDeg(int cylinder) {
    Double at = compressionTdcDeg().get(cylinder);
    if (at == null) {
      throw new IllegalArgumentException("no cylinder " + cylinder + " in this engine");
    }
    return at;
  }

  /** The cylinder whose TDC is exactly one turn away: it stands at gas-exchange TDC meanwhile. */
  public Optional<Integer> companion(int cylinder) {
    double wanted = compressionTdcDeg(cylinder) + 360;
    return compressionTdcDeg().entrySet().stream()
        .filter(e -> Angle.distance(e.getValue(), wanted) < 1e-6)
        .map(Map.Entry::getKey)
        .findFirst();
  }

  /** Groups of cylinders that reach TDC together, in firing order. */
  public List<List<Integer>> sharedTdc() {
    Map<Long, List<Integer>> groups = new LinkedHashMap<>();
    compressionTdcDeg()
        .forEach(
            (cylinder, deg) ->
                groups
                    .computeIfAbsent(Math.round(deg % 360 * 1000) % 360_000, x -> new ArrayList<>())
                    .add(cylinder));
    return List.copyOf(groups.values());
  }

  /** True when every firing interval is the same. */
  public boolean evenFire() {
    return intervalsDeg.stream().allMatch(d -> Math.abs(d - intervalsDeg.get(0)) < 1e-6);
  }
}
