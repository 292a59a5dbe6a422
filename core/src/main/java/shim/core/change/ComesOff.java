package shim.core.change;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that comes off the engine before a job in the car.
 *
 * @param cylinder null where it is the whole engine's
 */
public record ComesOff(Part part, @Nullable Integer cylinder) {
  /** Which part. */
  public enum Part {
    PLUGS,
    COVERS,
    INTAKE,
    ROCKERS_AND_PUSHRODS,
    ROCKERS_OR_BUCKETS
  }

  public static List<ComesOff> of(JobPlan plan) {
    if (plan.kind() != JobPlan.Kind.IN_CAR) {
      return List.of();
    }
    List<ComesOff> off = new ArrayList<>();
    boolean each = plan.schools().plugsOut() == Schools.PlugsOut.AS_REACHED;
    if (!each) {
      off.add(new ComesOff(Part.PLUGS, null));
    } else if (plan.hold() != Hold.PISTON) {
      plan.cylinders().forEach(c -> off.add(new ComesOff(Part.PLUGS, c)));
    }
    off.add(new ComesOff(Part.COVERS, null));
    if (plan.drive().intakeOff()) {
      off.add(new ComesOff(Part.INTAKE, null));
    }
    Part drive = plan.drive().pushrods() ? Part.ROCKERS_AND_PUSHRODS : Part.ROCKERS_OR_BUCKETS;
    plan.cylinders().forEach(c -> off.add(new ComesOff(drive, c)));
    return off;
  }
}
