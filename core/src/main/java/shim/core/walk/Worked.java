package shim.core.walk;

import java.time.Duration;
import java.time.Instant;
import java.util.List;

/** Time that people were at a job. */
public final class Worked {
  private static final double MILLIS_A_MINUTE = 60_000;

  private Worked() {}

  /** Minutes from act to act; while it was parked nobody was at it. */
  public static double minutes(Instant begun, List<Done> acts) {
    double minutes = 0;
    Instant last = begun;
    for (Done act : acts) {
      if (act.act() != WalkAct.RESUME) {
        minutes += Duration.between(last, act.at()).toMillis() / MILLIS_A_MINUTE;
      }
      last = act.at();
    }
    return minutes;
  }
}
