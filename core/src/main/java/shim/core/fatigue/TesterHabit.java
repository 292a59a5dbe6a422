package shim.core.fatigue;

import java.util.List;
import java.util.Optional;
import shim.core.stats.Robust;
import shim.core.unit.Figures;

/**
 * A tester that has moved more than it usually does, or within the test.
 *
 * @param percent how much it moved; above zero it reads higher
 * @param habitPercent how far it usually lies off, two s.d.; zero where it moved within the test
 */
public record TesterHabit(Kind kind, double percent, double habitPercent) {
  private static final int ENOUGH_DAYS = 3;

  /** No tester is steadier from day to day; from memory. */
  private static final double LEAST_SD = 0.004;

  private static final double FAR = 3;
  private static final double MOVED_LN = 0.01;

  /** When it moved. */
  public enum Kind {
    /** Between the start and the end of one test: what lies in between is read again. */
    WITHIN_THE_TEST,
    /** Since the tests before: the check spring takes that out. */
    SINCE_BEFORE
  }

  /**
   * @param before ln gains of earlier days
   */
  public static Optional<TesterHabit> warning(List<Double> before, TesterDay today) {
    double moved = today.movedLn().orElse(0);
    if (Figures.above(Math.abs(moved), MOVED_LN)) {
      return Optional.of(new TesterHabit(Kind.WITHIN_THE_TEST, percent(moved), 0));
    }
    if (before.size() < ENOUGH_DAYS) {
      return Optional.empty();
    }
    double usual = Robust.median(before).orElseThrow();
    double habit = Math.max(LEAST_SD, Robust.scaledMad(before).orElseThrow());
    double off = today.gainLn() - usual;
    return Figures.above(Math.abs(off), FAR * habit)
        ? Optional.of(new TesterHabit(Kind.SINCE_BEFORE, percent(off), 100 * 2 * habit))
        : Optional.empty();
  }

  private static double percent(double ln) {
    return 100 * Math.expm1(ln);
  }
}
