package shim.app.lash;

import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.lash.RoundStory;

/**
 * What to look at first at the end of a round, most pressing first.
 *
 * @param now by the rules and with the figures of today
 * @param onTheDay what was said when it was signed; empty before
 */
record RoundLooksView(List<RoundStory.Look> now, @Nullable List<RoundStory.Look> onTheDay) {}
