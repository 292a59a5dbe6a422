package shim.core.lash;

import java.util.Locale;
import java.util.Optional;

/** Questions asked at entry. A surprising true reading can always be kept. */
public final class Plausible {
  /** Common practice, no source: feeler sets end about here, inch. */
  private static final double WIDEST_LEAF_IN = 0.040;

  /** Far over its target, as a multiple of it. */
  private static final double FAR_OVER = 2.5;

  /** A slip of the point lands between half and one and a half of the target. */
  private static final double SLIP = 0.5;

  private Plausible() {}

  /** Least lash that is taken without a question, inch; a tenth of the target and less is asked. */
  static double plainFromIn(double targetIn) {
    return targetIn <= 0 ? 0 : (1 + SLIP) * targetIn / 10;
  }

  /** Most lash that is taken without a question, inch; without a target anything is. */
  static double plainToIn(double targetIn) {
    return targetIn <= 0
        ? 1
        : Math.min((1 - SLIP) * 10 * targetIn, Math.max(WIDEST_LEAF_IN, FAR_OVER * targetIn));
  }

  /**
   * Asks about a lash that looks like a slip of the decimal point or of the unit.
   *
   * @param lashIn as read, inch
   * @param targetIn wanted, inch, above zero
   */
  public static Optional<String> askLash(double lashIn, double targetIn) {
    double lash = EntryGauge.decimal(lashIn);
    if (lash >= EntryGauge.decimal(plainFromIn(targetIn))
        && lash <= EntryGauge.decimal(plainToIn(targetIn))) {
      return Optional.empty();
    }
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
    if (lashIn < targetIn) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%s in is a tenth of the %.3f target, or less: right?",
              plain(lashIn),
              targetIn));
    }
    return Optional.of(
        String.format(
            Locale.ROOT,
            "%s in is far over the %.3f target: did the crank reach its stop, is the nut tight?",
            plain(lashIn),
            targetIn));
  }

  private static boolean near(double value, double target) {
    return Math.abs(value / target - 1) < SLIP;
  }

  private static String plain(double in) {
    return String.format(Locale.ROOT, "%.4f", in).replaceAll("0$", "");
  }
}
