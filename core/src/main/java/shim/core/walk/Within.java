package shim.core.walk;

import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.unit.Figures;

/**
 * What a figure that is read must lie between.
 *
 * @param least null where any small one will do
 * @param most null where any large one will do
 * @param possibleLow below this it cannot be
 * @param possibleHigh above this it cannot be
 */
public record Within(
    Unit unit,
    @Nullable Double least,
    @Nullable Double most,
    double possibleLow,
    double possibleHigh) {

  /** What is read. */
  public enum Unit {
    INCH("in", 3),
    LBF("lbf", 0),
    CC("cc", 1),
    DEG("°", 0),
    PERCENT("%", 0);

    private final String sign;
    private final int digits;

    Unit(String sign, int digits) {
      this.sign = sign;
      this.digits = digits;
    }

    /** In braces where a person may work in another unit. */
    String words(double v) {
      String figure = String.format(Locale.ROOT, "%." + digits + "f", v);
      return switch (this) {
        case INCH, LBF -> "{" + figure + " " + sign + "}";
        case CC, PERCENT -> figure + " " + sign;
        case DEG -> figure + sign;
      };
    }
  }

  /** Anything that can be. */
  public static Within any(Unit unit, double possibleLow, double possibleHigh) {
    return new Within(unit, null, null, possibleLow, possibleHigh);
  }

  public static Within atLeast(Unit unit, double least, double possibleLow, double possibleHigh) {
    return new Within(unit, least, null, possibleLow, possibleHigh);
  }

  /** A figure and its tolerance either way. */
  public static Within about(
      Unit unit, double wanted, double tolerance, double possibleLow, double possibleHigh) {
    return new Within(unit, wanted - tolerance, wanted + tolerance, possibleLow, possibleHigh);
  }

  /** What is wanted, in words; blank where anything is. */
  public String words() {
    if (least != null && most != null) {
      return unit.words(least) + " to " + unit.words(most);
    }
    if (least != null) {
      return "at least " + unit.words(least);
    }
    return most == null ? "" : "at most " + unit.words(most);
  }

  /** Something between the limits. */
  double sound() {
    if (least != null) {
      return most == null ? least : (least + most) / 2;
    }
    return most == null ? (possibleLow + possibleHigh) / 2 : Math.max(possibleLow, most);
  }

  /** Why a figure cannot be; nothing is kept of it. */
  Optional<String> impossible(double v) {
    return v >= possibleLow && v <= possibleHigh
        ? Optional.empty()
        : Optional.of(
            "this lies between " + unit.words(possibleLow) + " and " + unit.words(possibleHigh));
  }

  /** It is within what is wanted. */
  public boolean within(double v) {
    return (least == null || Figures.atLeast(v, least))
        && (most == null || Figures.atMost(v, most));
  }

  /** How a figure is out; empty while it is within. */
  Optional<String> out(double v) {
    return within(v)
        ? Optional.empty()
        : Optional.of(unit.words(v) + " is out of " + words() + ": again, or say why it may stand");
  }
}
