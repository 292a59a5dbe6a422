package shim.core.lash;

import java.util.Locale;
import java.util.Optional;

/** Questions asked at entry. A surprising true reading can always be kept. */
public final class Plausible {
  /** Common practice, no source: feeler sets end about here, inch. */
  private static final double WIDEST_LEAF_IN = 0.040;

  private Plausible() {}

  /**
   * Asks about a lash that looks like a slip of the decimal point or of the unit.
   *
   * @param lashIn as read, inch
   * @param targetIn wanted, inch, above zero
   */
  public static Optional<String> askLash(double lashIn, double targetIn) {
    if (lashIn == 0) {
      return Optional.of("no lash at all: is the lifter on the base circle?");
    }
    if (near(lashIn / 10, targetIn)) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%s in is ten times the %.3f target: %s?",
              plain(lashIn),
              targetIn,
              plain(lashIn / 10)));
    }
    if (near(lashIn / 25.4, targetIn)) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%s in is far over the %.3f target; %s mm would be %.4f in: was it mm?",
              plain(lashIn),
              targetIn,
              plain(lashIn),
              lashIn / 25.4));
    }
    if (near(lashIn * 10, targetIn)) {
      return Optional.of(
          String.format(
              Locale.ROOT, "%s in is a tenth of the %.3f target: right?", plain(lashIn), targetIn));
    }
    if (lashIn > Math.max(WIDEST_LEAF_IN, 2.5 * targetIn)) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%s in is far over the %.3f target: did the crank reach its stop, is the nut tight?",
              plain(lashIn),
              targetIn));
    }
    return Optional.empty();
  }

  private static boolean near(double value, double target) {
    return Math.abs(value / target - 1) < 0.5;
  }

  private static String plain(double in) {
    return String.format(Locale.ROOT, "%.4f", in).replaceAll("0$", "");
  }
}
