package shim.core.walk;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * What is done in a walk, in which order, and what must not be done when. It is made from a plan
 * that does not change while the walk goes on, so the same plan gives the same steps on any device.
 *
 * @param <S> what the procedure knows of its work beside what every walk knows; immutable
 */
public interface Procedure<S> {
  String title();

  /** Each named once; the first accepts the cautions, the last signs. */
  List<Step> steps();

  /** How things stand before the first act. */
  S begin();

  /** What is counted out and in. */
  List<? extends Thing> things();

  /** Why an act must not be done now; what every walk refuses is asked before. */
  Optional<String> refuses(Walk<S> walk, Done act);

  /** Takes back the ticks of later steps that an act makes due again; as things stood before it. */
  default void undo(Folding<S> walk, Done act) {}

  /** What an act makes of the procedure's own state; it was allowed. */
  default void follow(Folding<S> walk, Done act) {}

  /** What stands in the way of leaving the work for a while; "left" or "closed". */
  default Optional<String> leaving(Walk<S> walk, String how) {
    return Optional.empty();
  }

  /** What is open before signing, beside counts, holds and steps. */
  default List<String> open(Walk<S> walk) {
    return List.of();
  }

  /** Valves that nothing but their hold keeps up, and since when. */
  default Map<Position, Optional<Instant>> hanging(S own) {
    return Map.of();
  }

  /** What hangs by a hold may fall into an engine. */
  default boolean mayDrop() {
    return false;
  }

  /** How valves are held, as in "held by air". */
  default String heldBy() {
    return "";
  }

  /** What to do when a hold is lost under a valve. */
  default List<String> whenLost(Position valve) {
    return List.of();
  }

  /** What may be done beside the next step; only what is allowed is offered. */
  default List<Otherwise> others(Walk<S> walk, @Nullable Step next) {
    return List.of();
  }

  /** Another act may stand for a step's own: a height that is left open with a reason. */
  default boolean standsFor(Act act, Step step) {
    return false;
  }
}
