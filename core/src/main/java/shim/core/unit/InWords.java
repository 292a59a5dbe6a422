package shim.core.unit;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Figures inside a text, in braces with their unit: {@code {1.950 in}}, {@code {22 lbf·ft}}.
 * Whoever shows the text to a person puts them in that person's unit; bare, they still read right.
 */
public final class InWords {
  private InWords() {}

  /** A figure as typed; units that are the same for everybody stand without braces. */
  public static String figure(String figure, String unit) {
    return switch (unit) {
      case "in", "lbf", "lbf/in", "lbf·ft", "psi" -> "{" + figure + " " + unit + "}";
      case "" -> figure;
      default -> figure + " " + unit;
    };
  }

  /** A length, to the thousandth. */
  public static String inch(double in) {
    return String.format(Locale.ROOT, "{%.3f in}", in);
  }

  /** Pieces one upon the other. */
  public static String inches(List<Double> pieces) {
    return pieces.stream().map(InWords::inch).collect(Collectors.joining(" + "));
  }

  public static String torque(double lbfFt) {
    return "{" + plain(lbfFt) + " lbf·ft}";
  }

  public static String pressure(double psi) {
    return String.format(Locale.ROOT, "{%.0f psi}", psi);
  }

  /** A moment; it is shown as the clock on the wall says it. */
  public static String time(Instant at) {
    return "{" + at + "}";
  }

  private static String plain(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }
}
