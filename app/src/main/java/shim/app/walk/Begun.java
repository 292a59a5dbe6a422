package shim.app.walk;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A job that was begun.
 *
 * @param engineId null where the work is on a head that lies on the rack
 * @param headId null where it is about no head with a record of its own
 * @param plan as it was when it began
 */
public record Begun<P>(
    UUID id,
    @Nullable UUID engineId,
    @Nullable UUID headId,
    double engineHours,
    Instant startedAt,
    P plan) {
  /** The engine, of a kind of job that always has one. */
  public UUID engine() {
    return java.util.Objects.requireNonNull(engineId);
  }
}
