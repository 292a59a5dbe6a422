package shim.app.running;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Query;

/**
 * Records other than runs and events that carry engine hours somebody wrote down. What an older
 * Shim took and cannot be right is left out.
 */
public interface HoursWritten {
  /** The most that is written down for an engine; null where nothing is. */
  @Query(
      "select max(x.engineHours) from #{#entityName} x where x.engineId = :engineId"
          + " and x.engineHours between 0 and 100000")
  @Nullable Double latestHours(UUID engineId);

  /** Fittings of parts: the hours they came out at or, while in, went in at. */
  interface OfStays extends HoursWritten {
    @Override
    @Query(
        "select max(coalesce(x.toHours, x.fromHours)) from #{#entityName} x"
            + " where x.engineId = :engineId"
            + " and coalesce(x.toHours, x.fromHours) between 0 and 100000")
    @Nullable Double latestHours(UUID engineId);
  }
}
