package shim.core.crank;

import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.unit.Angle;

/**
 * What a person sees of a crank that stands anywhere.
 *
 * @param valve the one that is seen moving
 * @param cylinder the one at compression TDC
 * @param balancerDeg past number 1's TDC mark, crank degrees
 */
public record CrankSeen(
    What what, @Nullable Position valve, @Nullable Integer cylinder, @Nullable Double balancerDeg) {
  /** What it is seen by. */
  public enum What {
    /** The balancer's mark: it is the same once in each of the cycle's two turns. */
    MARK,
    COMPRESSION_TDC,
    FULL_LIFT,
    JUST_OPENS,
    ALMOST_CLOSED
  }

  /**
   * Where the crank may stand, degrees of the cycle.
   *
   * @return one place; two by a mark alone; none while the valve or cylinder is missing or is not
   *     this engine's
   */
  public List<Double> places(CrankModel model) {
    return switch (what) {
      case MARK -> mark(model);
      case COMPRESSION_TDC -> {
        Double tdc = cylinder == null ? null : model.layout().compressionTdcDeg().get(cylinder);
        yield tdc == null ? List.of() : List.of(tdc);
      }
      case FULL_LIFT, JUST_OPENS, ALMOST_CLOSED ->
          model.windows().stream().filter(w -> w.position().equals(valve)).map(this::at).toList();
    };
  }

  private List<Double> mark(CrankModel model) {
    if (balancerDeg == null || !(Math.abs(balancerDeg) <= 360)) {
      return List.of();
    }
    double here = model.layout().compressionTdcDeg(1) + balancerDeg;
    return List.of(Angle.inCycle(here), Angle.inCycle(here + 360));
  }

  private double at(ValveWindow w) {
    return switch (what) {
      case JUST_OPENS -> w.opensDeg();
      case ALMOST_CLOSED -> w.closesDeg();
      case FULL_LIFT, MARK, COMPRESSION_TDC -> w.centreDeg();
    };
  }
}
