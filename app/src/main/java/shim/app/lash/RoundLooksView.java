package shim.app.lash;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import shim.core.engine.ValveKind;
import shim.core.lash.RoundStory;
import shim.core.lash.ShimSwaps;

/**
 * What a round says as a whole, and what to look at first, most pressing first.
 *
 * @param now by the rules and with the figures of today
 * @param onTheDay what was said when it was signed; empty before
 * @param medianDriftIn median drift of a kind of valve, inch
 * @param swaps bucket shims that may change place; null for other engines
 */
record RoundLooksView(
    List<RoundStory.Look> now,
    @Nullable List<RoundStory.Look> onTheDay,
    Map<ValveKind, Double> medianDriftIn,
    @Nullable ShimSwaps swaps) {}
