package shim.core.head;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import shim.core.change.JobPlan;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/**
 * What putting heads on an engine is to do; fixed when it begins.
 *
 * @param head name of the heads that go on
 * @param gasket part, and which way round
 * @param intakeRod pushrod of the intakes, by part or length; blank where the engine has none
 * @param stops crank positions at which lash or preload is set
 * @param torques the team's other torque lines: rockers, plugs, intake
 */
public record HeadsOnPlan(
    String head,
    List<AssemblyPlan.Side> sides,
    String gasket,
    Fixings fixings,
    String intakeRod,
    String exhaustRod,
    JobPlan.Drive drive,
    boolean newLifters,
    List<Stop> stops,
    List<JobPlan.Torque> torques,
    @Nullable Boolean overLifters) {

  /** A crank position and the valves that are on their base circle there. */
  public record Stop(double crankDeg, List<Position> valves) {
    public Stop {
      valves = List.copyOf(valves);
    }
  }

  public HeadsOnPlan {
    sides = List.copyOf(sides);
    stops = List.copyOf(stops);
    torques = List.copyOf(torques);
  }

  public List<Position> valves() {
    return sides.stream().flatMap(s -> s.valves().stream()).toList();
  }

  Set<Integer> cylinders() {
    Set<Integer> all = new TreeSet<>();
    valves().forEach(p -> all.add(p.cylinder()));
    return all;
  }

  List<Position> of(int cylinder) {
    return valves().stream().filter(p -> p.cylinder() == cylinder).toList();
  }

  /** Which of the heads a cylinder is under, from 0. */
  int sideOf(int cylinder) {
    for (int i = 0; i < sides.size(); i++) {
      if (sides.get(i).valves().stream().anyMatch(p -> p.cylinder() == cylinder)) {
        return i;
      }
    }
    throw new IllegalArgumentException("no cylinder " + cylinder + " under these heads");
  }

  String rod(Position p) {
    return p.kind() == ValveKind.INTAKE ? intakeRod : exhaustRod;
  }
}
