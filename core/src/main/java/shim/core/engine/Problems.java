package shim.core.engine;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import shim.core.unit.InWords;

/** Collects all problems of a sheet, so that they are reported together. */
public final class Problems {
  private static final Pattern SEPARATORS = Pattern.compile("[\\s,;/]+|(?<=\\d)\\s*-\\s*");
  private final List<Problem> found = new ArrayList<>();

  public void refuse(String field, String message, Object... args) {
    add(field, Problem.Weight.REFUSED, message, args);
  }

  /** Not written down yet. */
  public void missing(String field, String message, Object... args) {
    add(field, Problem.Weight.MISSING, message, args);
  }

  public void ask(String field, String message, Object... args) {
    add(field, Problem.Weight.ASKED, message, args);
  }

  private void add(String field, Problem.Weight weight, String message, Object... args) {
    found.add(new Problem(field, weight, String.format(Locale.ROOT, message, args)));
  }

  public List<Problem> all() {
    return List.copyOf(found);
  }

  public boolean refused() {
    return found.stream().anyMatch(Problem::stops);
  }

  /** A number that must be there and lie in a range; NaN never does. */
  public Optional<Double> number(
      String field, @Nullable Double value, String what, double low, double high, String unit) {
    if (value == null) {
      missing(field, "%s is missing", what);
      return Optional.empty();
    }
    return inRange(field, value, what, low, high, unit);
  }

  /** A number that may be missing but must lie in a range when given. */
  public Optional<Double> optional(
      String field, @Nullable Double value, String what, double low, double high, String unit) {
    return value == null ? Optional.empty() : inRange(field, value, what, low, high, unit);
  }

  private Optional<Double> inRange(
      String field, double value, String what, double low, double high, String unit) {
    if (!(value >= low && value <= high)) {
      refuse(
          field,
          "%s of %s cannot be: %s to %s is possible",
          what,
          InWords.figure(text(value), unit),
          InWords.figure(text(low), unit),
          InWords.figure(text(high), unit));
      return Optional.empty();
    }
    return Optional.of(value);
  }

  /** Numbers a person writes in a row: {@code 1-8-4-3} or {@code 1 3 5 7}. */
  Optional<List<Double>> numbers(String field, @Nullable String typed, String what) {
    List<Double> result = new ArrayList<>();
    if (typed == null || typed.isBlank()) {
      return Optional.of(result);
    }
    for (String part : SEPARATORS.split(typed.strip())) {
      try {
        result.add(Double.valueOf(part));
      } catch (NumberFormatException e) {
        refuse(field, "\"%s\" in %s is not a number", part, what);
        return Optional.empty();
      }
    }
    return Optional.of(result);
  }

  /** A number without needless zeros. */
  public static String text(double value) {
    String s = String.format(Locale.ROOT, "%.4f", value);
    return s.replaceAll("0+$", "").replaceAll("\\.$", "");
  }
}
