package shim.app.fatigue;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import shim.core.fatigue.TesterDay;
import shim.core.stats.Robust;

/** Has the tester moved more today than it usually does, or within the test? */
final class TesterHabit {
  private static final int ENOUGH_DAYS = 3;
  private static final double LEAST_SD = 0.004;
  private static final double FAR = 3;
  private static final double MOVED_LN = 0.01;

  private TesterHabit() {}

  /**
   * @param before ln gains of earlier days
   */
  static Optional<String> warning(List<Double> before, TesterDay today) {
    if (today.movedLn().isPresent() && Math.abs(today.movedLn().getAsDouble()) > MOVED_LN) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "the tester moved %.1f %% between start and end: read those in between again",
              100 * Math.expm1(today.movedLn().getAsDouble())));
    }
    if (before.size() < ENOUGH_DAYS) {
      return Optional.empty();
    }
    double usual = Robust.median(before).orElseThrow();
    double habit = Math.max(LEAST_SD, Robust.scaledMad(before).orElseThrow());
    double off = today.gainLn() - usual;
    return Math.abs(off) > FAR * habit
        ? Optional.of(
            String.format(
                Locale.ROOT,
                "the tester reads %.1f %% %s than it usually does (its habit is ±%.1f %%);"
                    + " the check spring takes that out",
                Math.abs(100 * Math.expm1(off)),
                off < 0 ? "lower" : "higher",
                100 * 2 * habit))
        : Optional.empty();
  }
}
