package shim.app.running;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Records other than runs and events that carry engine hours somebody wrote down. */
public interface HoursWritten {
  /** The end of a query for them: what an older Shim took and cannot be right is left out. */
  String SOUND = " between 0 and 100000";

  /** The most that is written down for an engine; null where nothing is. */
  @Nullable Double latestHours(UUID engineId);
}
