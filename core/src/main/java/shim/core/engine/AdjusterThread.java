package shim.core.engine;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import shim.core.unit.Units;

/**
 * An adjuster thread by the name on the part. Inch threads carry their threads per inch (ASME
 * B1.1), metric ones their pitch in mm (ISO 261); a bare number is a pitch.
 *
 * @param name as written
 * @param pitchIn advance per turn, inch
 */
public record AdjusterThread(String name, double pitchIn) {
  private static final Pattern INCH = Pattern.compile("(\\d+/\\d+|#?\\d+)\\s*-\\s*(\\d+)");
  private static final Pattern METRIC =
      Pattern.compile("M(\\d+)(?:\\s*[X×]\\s*(\\d+(?:\\.\\d+)?))?");
  private static final Pattern PITCH = Pattern.compile("(\\d*\\.?\\d+)\\s*(MM|IN)");

  /** ISO 261 coarse pitches, mm, for a metric name without one. */
  private static final Map<Integer, Double> COARSE_MM =
      Map.of(5, 0.8, 6, 1.0, 8, 1.25, 10, 1.5, 12, 1.75);

  /** Reads a thread name; empty when it is none. */
  public static Optional<AdjusterThread> parse(String text) {
    String t = text.strip().toUpperCase(Locale.ROOT).replace(',', '.').replace("\"", "");
    return pitchIn(t)
        .filter(p -> p > 0.01 && p < 0.12)
        .map(p -> new AdjusterThread(text.strip(), p));
  }

  private static Optional<Double> pitchIn(String t) {
    Matcher inch = INCH.matcher(t);
    if (inch.matches()) {
      int perInch = Integer.parseInt(inch.group(2));
      return perInch == 0 ? Optional.empty() : Optional.of(1.0 / perInch);
    }
    Matcher metric = METRIC.matcher(t);
    if (metric.matches()) {
      Double mm =
          metric.group(2) == null
              ? COARSE_MM.get(Integer.parseInt(metric.group(1)))
              : Double.valueOf(metric.group(2));
      return Optional.ofNullable(mm).map(p -> p / Units.MM_PER_INCH);
    }
    Matcher pitch = PITCH.matcher(t);
    if (pitch.matches()) {
      double p = Double.parseDouble(pitch.group(1));
      return Optional.of(pitch.group(2).equals("MM") ? p / Units.MM_PER_INCH : p);
    }
    return Optional.empty();
  }
}
