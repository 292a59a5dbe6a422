package shim.core.running;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a logger's header means: which column is time, speed and temperature, in which unit.
 *
 * @param heat column of the temperature; −1 when there is none
 * @param secondsPer seconds in one unit of the time column
 * @param celsius the temperature is in °C, else °F
 */
public record LoggerColumns(
    int time, int rpm, int heat, double secondsPer, boolean celsius, String words) {
  private static final int EXACT_DIGITS = 15;
  private static final double[] POWERS = {
    1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };
  private static final Pattern UNIT =
      Pattern.compile("[\\[(]\\s*([^\\])]+?)\\s*[\\])]|_(ms|s|min|h|c|f)$");

  /** Reads a header; empty when no time or no engine speed is found. */
  public static Optional<LoggerColumns> read(List<String> header) {
    int time = find(header, "time", "zeit", "temps", "seconds", "timestamp");
    int rpm = find(header, "rpm", "engine speed", "drehzahl", "revs", "regime");
    int heat = find(header, "temp", "ect", "water", "oil", "°c", "°f");
    if (time < 0 || rpm < 0) {
      return Optional.empty();
    }
    String timeUnit = unit(header.get(time));
    double per =
        switch (timeUnit) {
          case "ms", "msec", "milliseconds" -> 0.001;
          case "min", "minutes" -> 60;
          case "h", "hours" -> 3600;
          default -> 1;
        };
    boolean celsius = heat >= 0 && unit(header.get(heat)).replace("°", "").startsWith("c");
    String words =
        String.format(
            Locale.ROOT,
            "time from \"%s\" in %s, speed from \"%s\"%s",
            header.get(time).strip(),
            per == 0.001 ? "ms" : per == 60 ? "minutes" : per == 3600 ? "hours" : "seconds",
            header.get(rpm).strip(),
            heat < 0
                ? ", no temperature"
                : ", temperature from \""
                    + header.get(heat).strip()
                    + "\" in "
                    + (celsius ? "°C" : "°F"));
    return Optional.of(new LoggerColumns(time, rpm, heat, per, celsius, words));
  }

  private static int find(List<String> header, String... names) {
    for (String name : names) {
      for (int i = 0; i < header.size(); i++) {
        if (header.get(i).toLowerCase(Locale.ROOT).contains(name)) {
          return i;
        }
      }
    }
    return -1;
  }

  private static String unit(String title) {
    Matcher m = UNIT.matcher(title.strip().toLowerCase(Locale.ROOT));
    return m.find() ? String.valueOf(m.group(1) == null ? m.group(2) : m.group(1)) : "";
  }

  /**
   * A figure with a decimal point or comma. Plain figures of up to 15 digits take a short way: both
   * the digits and the power of ten are exact, so their quotient is the nearest double, as parsing
   * would give.
   */
  public static double number(String text) {
    long digits = 0;
    int decimals = -1;
    int seen = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c >= '0' && c <= '9' && seen < EXACT_DIGITS) {
        digits = digits * 10 + (c - '0');
        seen++;
        decimals += decimals >= 0 ? 1 : 0;
      } else if ((c == '.' || c == ',') && decimals < 0) {
        decimals = 0;
      } else {
        return Double.parseDouble(text.strip().replace(',', '.'));
      }
    }
    return seen == 0 ? Double.parseDouble(text) : digits / POWERS[Math.max(0, decimals)];
  }

  /** A temperature of this file in °F. */
  public double fahrenheit(double value) {
    return celsius ? value * 9 / 5 + 32 : value;
  }
}
