package shim.core.crank;

import java.util.ArrayList;
import java.util.List;
import shim.core.engine.Position;
import shim.core.unit.Angle;
import shim.core.unit.Figures;

/**
 * A setting order: where to bar and what to set there.
 *
 * @param school the school followed
 * @param stops in the order they are reached, barring only in the running direction
 * @param worstSlackDeg slack at the tightest valve, crank degrees
 * @param totalBarDeg barring from the first stop to the last, crank degrees
 */
public record SettingPlan(
    School school, List<Stop> stops, double worstSlackDeg, double totalBarDeg) {

  /** One valve to be set at a stop, with its slack there in crank degrees. */
  public record Setting(Position position, double slackDeg) {}

  /**
   * @param crankDeg crank position in the cycle, degrees after compression TDC of the first in
   *     firing order
   * @param barDeg barring from the stop before, crank degrees; 0 for the first
   */
  public record Stop(double crankDeg, double barDeg, List<Setting> settings) {
    public Stop {
      settings = List.copyOf(settings);
    }
  }

  public SettingPlan {
    stops = List.copyOf(stops);
  }

  /**
   * The same plan begun where the crank stands: the stop that is the least barring away comes
   * first, the ones before it after the last.
   *
   * @param crankDeg where the crank stands, degrees of the cycle
   */
  public SettingPlan from(double crankDeg) {
    int first = 0;
    for (int i = 1; i < stops.size(); i++) {
      if (ahead(crankDeg, stops.get(i)) < ahead(crankDeg, stops.get(first))) {
        first = i;
      }
    }
    List<Stop> turned = new ArrayList<>();
    double at = crankDeg;
    double total = 0;
    for (int i = 0; i < stops.size(); i++) {
      Stop s = stops.get((first + i) % stops.size());
      double bar = ahead(at, s);
      total += i == 0 ? 0 : bar;
      turned.add(new Stop(s.crankDeg(), bar, s.settings()));
      at = s.crankDeg();
    }
    return new SettingPlan(school, turned, worstSlackDeg, total);
  }

  /** Nobody turns back: a hair past a stop is all but a cycle away from it. */
  private static double ahead(double fromDeg, Stop to) {
    return Angle.forward(fromDeg, to.crankDeg());
  }

  /** Valves this plan would set on their lobe or ramp: a plan with any is not to be followed. */
  public List<Setting> offBaseCircle() {
    return stops.stream()
        .flatMap(s -> s.settings().stream())
        .filter(s -> Figures.below(s.slackDeg(), 0))
        .toList();
  }

  /** All valves in working order. */
  public List<Position> workingOrder() {
    return stops.stream().flatMap(s -> s.settings().stream()).map(Setting::position).toList();
  }
}
