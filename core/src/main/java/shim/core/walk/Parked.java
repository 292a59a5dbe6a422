package shim.core.walk;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A walk that waits.
 *
 * @param until end of a wait that has one: drying, cooling, delivery
 */
public record Parked(String why, Instant since, @Nullable Instant until) {}
