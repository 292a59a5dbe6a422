package shim.core.change;

import java.util.Optional;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.unit.Angle;
import shim.core.unit.Figures;
import shim.core.walk.Done;
import shim.core.walk.Walk;

/** What every walk asks of the crank: a place it can be at, and a valve's own stop to set it. */
public final class AtStop {
  /** How far off its place a crank is still there, degrees. Common practice, no source. */
  static final double THERE_DEG = 1;

  private AtStop() {}

  /** Why a crank cannot be where it is said to be. */
  public static Optional<String> nowhere(Done bar) {
    return bar.number() >= 0 && bar.number() < Angle.CYCLE_DEG
        ? Optional.empty()
        : Optional.of("say where the crank is: 0 to 720 degrees");
  }

  /**
   * Why lash or preload is not set at a valve now.
   *
   * @param crankDeg null until the crank was brought somewhere
   * @param stopsDeg where the valve may be set
   */
  public static Optional<String> refuses(
      Walk<?> walk,
      Done d,
      Position p,
      @Nullable Double crankDeg,
      DoubleStream stopsDeg,
      JobPlan.Sets sets) {
    boolean here =
        crankDeg != null
            && stopsDeg.anyMatch(s -> Figures.atMost(Angle.distance(s, crankDeg), THERE_DEG));
    if (!here) {
      return Optional.of(p + " may be on its lobe here: bar to its stop first");
    }
    if (Double.isNaN(d.number())) {
      return Optional.of("enter what it reads");
    }
    boolean length = sets == JobPlan.Sets.LENGTH && d.act() == SpringAct.LASH;
    return length && !walk.ticked().contains(p + ":" + SpringAct.ZERO_LASH)
        ? Optional.of("measure the length at zero lash first")
        : Optional.empty();
  }
}
