package shim.core.lash;

import java.util.Optional;
import shim.core.unit.Said;
import shim.core.unit.Units;

/** Questions asked at entry. A surprising true reading can always be kept. */
public final class Plausible {
  /** Common practice, no source: feeler sets end about here, inch. */
  private static final double WIDEST_LEAF_IN = 0.040;

  /** Far over its target, as a multiple of it. */
  private static final double FAR_OVER = 2.5;

  /** So many times a plunger's travel is no reading; it may well be found at its end. */
  private static final double FAR_TRAVEL = 1.5;

  /** A slip of the point lands between half and one and a half of the target. */
  private static final double SLIP = 0.5;

  private Plausible() {}

  /** What a lash looks like. */
  public enum Code implements Said.Code {
    /** Open, or not on the base circle. */
    NO_LASH,
    TEN_TIMES("lashIn", "targetIn", "meantIn"),
    MILLIMETRE("lashIn", "targetIn", "meantIn"),
    /** A tenth of its target or less. */
    TENTH("lashIn", "targetIn"),
    FAR_OVER("lashIn", "targetIn"),
    /** More travel than the plunger has, by far. */
    PRELOAD_FAR_OVER("travelIn", "totalIn"),
    /** The pushrod that is in is far too short to touch. */
    PRELOAD_FAR_UNDER("shortIn", "totalIn");

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("ASK", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

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
  public static Optional<Said> askLash(double lashIn, double targetIn) {
    double lash = EntryGauge.decimal(lashIn);
    if (lash >= EntryGauge.decimal(plainFromIn(targetIn))
        && lash <= EntryGauge.decimal(plainToIn(targetIn))) {
      return Optional.empty();
    }
    if (lashIn == 0) {
      return Optional.of(Said.of(Code.NO_LASH));
    }
    if (near(lashIn / 10, targetIn)) {
      return Optional.of(Said.of(Code.TEN_TIMES, lashIn, targetIn, lashIn / 10));
    }
    if (near(lashIn / Units.MM_PER_INCH, targetIn)) {
      return Optional.of(Said.of(Code.MILLIMETRE, lashIn, targetIn, lashIn / Units.MM_PER_INCH));
    }
    return Optional.of(Said.of(lashIn < targetIn ? Code.TENTH : Code.FAR_OVER, lashIn, targetIn));
  }

  /** Asks about a preload no plunger could have. */
  static Optional<Said> askPreload(PreloadTarget target, double preload) {
    double travel = target.travelIn(preload);
    double total = target.travelIn(target.bottom());
    if (travel > FAR_TRAVEL * total) {
      return Optional.of(Said.of(Code.PRELOAD_FAR_OVER, travel, total));
    }
    return travel < -total
        ? Optional.of(Said.of(Code.PRELOAD_FAR_UNDER, -travel, total))
        : Optional.empty();
  }

  private static boolean near(double value, double target) {
    return Math.abs(value / target - 1) < SLIP;
  }
}
