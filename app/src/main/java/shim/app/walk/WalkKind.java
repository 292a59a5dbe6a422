package shim.app.walk;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.engine.LayoutView;
import shim.app.record.Documents;
import shim.app.walk.JobViews.Bearing;
import shim.app.walk.JobViews.Shown;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.walk.Danger;
import shim.core.walk.Done;
import shim.core.walk.Procedure;
import shim.core.walk.Step;
import shim.core.walk.Walk;

/**
 * A kind of walk, as its feature knows it: how its plan is kept, what its acts mean for the other
 * records, and how it is shown.
 *
 * @param <P> its plan
 * @param <S> what its procedure knows
 */
public interface WalkKind<P extends Record, S> {
  JobKind kind();

  Documents.Kind document();

  Class<P> plan();

  Procedure<S> procedure(P plan);

  List<Position> valves(P plan);

  /** Where the work is, for people. */
  Place place(Begun<P> job);

  /** Valves, crank and fixings as they stand. */
  Shown shown(Walk<S> walk);

  /** What bears on the step at hand beside its own words. */
  default Bearing bearing(Begun<P> job, Walk<S> walk, List<Done> acts, @Nullable Step next) {
    return Bearing.EMPTY;
  }

  /**
   * Lets an act be followed in the other records, in the same transaction.
   *
   * @param acts all acts before this one
   */
  default void follow(Begun<P> job, List<Done> acts, Walk<S> before, Walk<S> after, Done done) {}

  default HeatState heat(P plan) {
    return HeatState.COLD;
  }

  /** Minutes after which a valve that hangs by its hold is warned of harder. */
  default double warnAfterMinutes(UUID engineId) {
    return Danger.USUAL_WARN_AFTER;
  }

  /** Valves per which its past times are counted; none where it is no work in the car. */
  default boolean inCar(P plan) {
    return false;
  }

  /** An engine, or a head on the rack. */
  record Place(String name, LayoutView layout) {}
}
