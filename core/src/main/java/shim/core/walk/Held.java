package shim.core.walk;

import java.time.Instant;

/**
 * A hold that is on.
 *
 * @param by as in "held by air"
 * @param lost it failed, and nothing has been put in its place
 */
public record Held(String by, Instant since, boolean lost) {}
