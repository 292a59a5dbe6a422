package shim.core.running;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What a logger's header means: which column is time, speed and temperature, in which unit. The
 * best title of each is taken, and titles of other things are passed over: a driveshaft's speed is
 * not the engine's, and neither is its limiter.
 *
 * @param heat column of the temperature; −1 when there is none
 * @param secondsPer seconds in one unit of the time column
 * @param timeUnit the time's unit is written down; else it is taken for seconds
 * @param celsius the temperature is in °C, else °F
 */
public record LoggerColumns(
    int time,
    int rpm,
    int heat,
    double secondsPer,
    boolean timeUnit,
    boolean celsius,
    String words) {
  /** Units of a time column. */
  public enum TimeUnit {
    MILLISECONDS(0.001),
    SECONDS(1),
    MINUTES(60),
    HOURS(3600);

    private final double seconds;

    TimeUnit(double seconds) {
      this.seconds = seconds;
    }

    private static TimeUnit of(double seconds) {
      return Arrays.stream(values()).filter(u -> u.seconds == seconds).findFirst().orElseThrow();
    }
  }

  /**
   * Columns a person chose, instead of what their titles say.
   *
   * @param heat −1 for none
   * @param unit of time; null leaves it to the title
   * @param celsius unit of the temperature; null leaves it to the title
   */
  public record Chosen(
      int time, int rpm, int heat, @Nullable TimeUnit unit, @Nullable Boolean celsius) {}

  private static final int EXACT_DIGITS = 15;
  private static final double[] POWERS = {
    1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9, 1e10, 1e11, 1e12, 1e13, 1e14, 1e15
  };
  private static final Pattern UNIT =
      Pattern.compile("[\\[(]\\s*([^\\])]+?)\\s*[\\])]|_(ms|s|min|h|c|f)$");
  private static final Pattern FIGURE =
      Pattern.compile("[-+]?[\\d.,' \u00a0\u202f]*\\d[\\d.]*([eE][-+]?\\d+)?");
  private static final Pattern GROUPED = Pattern.compile("[-+]?\\d{1,3}(,\\d{3})+(\\.\\d+)?");
  private static final Pattern GROUPED_BY_POINTS =
      Pattern.compile("[-+]?\\d{1,3}(\\.\\d{3})+,\\d+");

  /** Words of a title: the best first; none of the others may stand in it. */
  private record Title(List<List<String>> best, Set<String> never) {
    /** How well a title fits: higher is better, below zero is not it. */
    int fits(Set<String> words) {
      if (words.stream().anyMatch(never::contains)) {
        return -1;
      }
      for (int i = 0; i < best.size(); i++) {
        if (words.containsAll(best.get(i))) {
          return best.size() - i;
        }
      }
      return -1;
    }
  }

  private static Title title(String best, String never) {
    return new Title(
        Arrays.stream(best.split(",")).map(b -> List.of(b.strip().split(" "))).toList(),
        Set.of(never.split(" ")));
  }

  private static final Title TIME =
      title("time, timestamp, zeit, temps, seconds, elapsed", "lap sector gap to date");
  private static final Title SPEED =
      title(
          "engine rpm, engine speed, rpm, drehzahl, motordrehzahl, revs, regime",
          "limit limiter limiting target driveshaft drive shaft propshaft prop wheel input output"
              + " turbo gearbox clutch fan pump cut shift max");
  private static final Title HEAT =
      title(
          "oil temp, oil temperature, water temp, water temperature, coolant, ect, water, oil, temp,"
              + " temperature, degc, degf",
          "duty injector air intake inlet ambient exhaust egt tyre tire brake gear gearbox trans"
              + " pressure press fuel level");

  /** Reads a header; empty when no time or no engine speed is found. */
  public static Optional<LoggerColumns> read(List<String> header) {
    return read(header, header);
  }

  /**
   * Reads a header whose units stand in a row of their own.
   *
   * @param units one for each column, or the header again where they stand in it
   */
  public static Optional<LoggerColumns> read(List<String> header, List<String> units) {
    int time = find(header, TIME);
    int rpm = find(header, SPEED);
    return time < 0 || rpm < 0
        ? Optional.empty()
        : read(header, units, new Chosen(time, rpm, find(header, HEAT), null, null));
  }

  /** Reads a header of which a person says what is what; empty where it has no such columns. */
  public static Optional<LoggerColumns> read(
      List<String> header, List<String> units, Chosen chosen) {
    int time = chosen.time();
    int rpm = chosen.rpm();
    int heat = chosen.heat() < header.size() ? chosen.heat() : -1;
    if (Math.min(time, rpm) < 0 || Math.max(time, rpm) >= header.size()) {
      return Optional.empty();
    }
    String timeUnit = unit(header, units, time);
    double written =
        switch (timeUnit) {
          case "ms", "msec", "milliseconds" -> 0.001;
          case "min", "minutes" -> 60;
          case "h", "hours" -> 3600;
          default -> 1;
        };
    double per = chosen.unit() == null ? written : chosen.unit().seconds;
    boolean celsius =
        heat >= 0
            && Objects.requireNonNullElseGet(
                chosen.celsius(), () -> unit(header, units, heat).replace("°", "").startsWith("c"));
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
    return Optional.of(
        new LoggerColumns(
            time, rpm, heat, per, chosen.unit() != null || !timeUnit.isEmpty(), celsius, words));
  }

  private static int find(List<String> header, Title wanted) {
    int best = -1;
    int fits = 0;
    for (int i = 0; i < header.size(); i++) {
      int here = wanted.fits(words(header.get(i)));
      if (here > fits) {
        best = i;
        fits = here;
      }
    }
    return best;
  }

  private static Set<String> words(String title) {
    return Set.copyOf(
        Arrays.stream(
                title
                    .replaceAll("(\\p{Ll})(\\p{Lu})", "$1 $2")
                    .replace("°", " deg")
                    .toLowerCase(Locale.ROOT)
                    .split("[^\\p{L}]+"))
            .filter(w -> !w.isEmpty())
            .toList());
  }

  private static String unit(List<String> header, List<String> units, int column) {
    String own = column < units.size() && units != header ? units.get(column).strip() : "";
    if (!own.isEmpty()) {
      return own.toLowerCase(Locale.ROOT).replaceAll("[\\[\\]()]", "").strip();
    }
    Matcher m = UNIT.matcher(header.get(column).strip().toLowerCase(Locale.ROOT));
    return m.find() ? String.valueOf(m.group(1) == null ? m.group(2) : m.group(1)) : "";
  }

  /** What is taken, to be shown and chosen otherwise. */
  public Chosen chosen() {
    return new Chosen(time, rpm, heat, TimeUnit.of(secondsPer), celsius);
  }

  /** A row of figures: what stands before it is the header. */
  public static boolean isData(List<String> row) {
    return row.stream().filter(LoggerColumns::figure).count() > 1;
  }

  /** A row under the header that names units and has no figure where time and speed stand. */
  public boolean isUnits(List<String> row) {
    return row.size() > Math.max(time, rpm)
        && !row.get(time).isBlank()
        && !figure(row.get(time))
        && !figure(row.get(rpm));
  }

  private static boolean figure(String text) {
    return FIGURE.matcher(text.strip()).matches();
  }

  /**
   * A figure with a decimal point or comma; thousands may be grouped. Plain figures of up to 15
   * digits take a short way: both the digits and the power of ten are exact, so their quotient is
   * the nearest double, as parsing would give.
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
        return uncommon(text);
      }
    }
    return seen == 0 ? Double.parseDouble(text) : digits / POWERS[Math.max(0, decimals)];
  }

  /** Signs, exponents, and thousands grouped by blanks, ticks, commas or points. */
  private static double uncommon(String text) {
    String t = text.strip().replaceAll("(?<=\\d)[ \u00a0\u202f'](?=\\d{3})", "");
    if (GROUPED.matcher(t).matches()
        && (t.indexOf('.') >= 0 || t.indexOf(',') != t.lastIndexOf(','))) {
      return Double.parseDouble(t.replace(",", ""));
    }
    if (GROUPED_BY_POINTS.matcher(t).matches()) {
      return Double.parseDouble(t.replace(".", "").replace(',', '.'));
    }
    return Double.parseDouble(t.replace(',', '.'));
  }

  /** A temperature of this file in °F. */
  public double fahrenheit(double value) {
    return celsius ? value * 9 / 5 + 32 : value;
  }
}
