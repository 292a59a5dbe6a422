package shim.core.lash;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.jspecify.annotations.Nullable;

/**
 * The bounds a lash is held against the moment it is entered, so that a screen on a slow line can
 * say in or out before Shim has answered. All inch; each bound itself still belongs to its range.
 * Bounds and figures are compared as decimals to a tenth of a millionth of an inch, so that 0.020
 * against 0.018 ± 0.002 is in.
 *
 * @param inFromIn least lash that is in
 * @param inToIn most lash that is in
 * @param floorIn lowest lash the maker allows
 * @param plainFromIn least lash that is taken without a question
 * @param plainToIn most lash that is taken without a question
 */
public record EntryGauge(
    double inFromIn,
    double inToIn,
    @Nullable Double floorIn,
    double plainFromIn,
    double plainToIn) {
  private static final int DECIMALS = 7;

  /** The bounds of one valve's target. */
  public static EntryGauge of(LashTarget target) {
    return new EntryGauge(
        decimal(target.targetIn() - target.toleranceIn()),
        decimal(target.targetIn() + target.toleranceIn()),
        target.floorIn() == null ? null : Double.valueOf(decimal(target.floorIn())),
        decimal(Plausible.plainFromIn(target.targetIn())),
        decimal(Plausible.plainToIn(target.targetIn())));
  }

  /** How a lash stands to the bounds. */
  public LashVerdict judge(double lashIn) {
    double lash = decimal(lashIn);
    if (floorIn != null && lash < floorIn) {
      return LashVerdict.BELOW_FLOOR;
    }
    if (lash < inFromIn) {
      return LashVerdict.TIGHT;
    }
    return lash > inToIn ? LashVerdict.WIDE : LashVerdict.IN;
  }

  static double decimal(double inch) {
    return Double.isFinite(inch)
        ? BigDecimal.valueOf(inch).setScale(DECIMALS, RoundingMode.HALF_EVEN).doubleValue()
        : inch;
  }
}
