package shim.app.record;

import java.time.Duration;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** Time that work took. */
public final class Spent {
  private static final double MILLIS = 60_000;

  private Spent() {}

  /** Minutes for each of some valves; 0 where the end is not known. */
  public static double each(Instant from, @Nullable Instant to, int valves) {
    return to == null ? 0 : Duration.between(from, to).toMillis() / MILLIS / valves;
  }
}
