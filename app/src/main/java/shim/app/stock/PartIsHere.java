package shim.app.stock;

import java.util.UUID;

/**
 * A part that a parked job waits for is here and fits, and nothing else it waits for is away.
 *
 * @param part in the words it was ordered with
 */
public record PartIsHere(UUID jobId, String part, String hand) {}
