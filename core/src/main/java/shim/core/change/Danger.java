package shim.core.change;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import shim.core.engine.Position;

/**
 * A valve that nothing but its hold keeps up.
 *
 * @param heldBy empty where nothing does
 * @param since when it was unhooked
 * @param lost its hold failed, or there is none
 * @param harder warned of harder: lost, or so for longer than the team allows
 */
public record Danger(
    Position valve,
    Optional<String> heldBy,
    Optional<Instant> since,
    boolean lost,
    boolean harder) {
  /** Common practice, no source, minutes. */
  public static final double USUAL_WARN_AFTER = 20;

  /** A valve may fall into the engine; not where the head is on a bench. */
  public static boolean possibleIn(JobPlan plan) {
    return plan.hold().onTheCrank();
  }

  /** Every valve of a job that could drop. */
  public static List<Danger> in(Job job, Instant now, double warnAfterMinutes) {
    return possibleIn(job.plan())
        ? job.loose().stream().map(p -> at(job, p, now, warnAfterMinutes)).toList()
        : List.of();
  }

  private static Danger at(Job job, Position p, Instant now, double warnAfterMinutes) {
    Optional<Job.Held> held = Optional.ofNullable(job.held().get(p.cylinder()));
    Optional<Instant> since = Optional.ofNullable(job.valve(p).since());
    boolean lost = held.map(Job.Held::lost).orElse(true);
    long allowed = Math.round(60 * warnAfterMinutes);
    boolean tooLong = since.filter(s -> Duration.between(s, now).toSeconds() > allowed).isPresent();
    return new Danger(p, held.map(Job.Held::by), since, lost, lost || tooLong);
  }
}
