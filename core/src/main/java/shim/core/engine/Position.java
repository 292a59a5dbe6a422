package shim.core.engine;

import java.util.Collection;
import java.util.Comparator;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * One valve of an engine: cylinder number, intake or exhaust, and its ordinal when a cylinder has
 * several of a kind, front first. Written {@code 3E}, or {@code 3I1} and {@code 3I2}.
 *
 * @param cylinder cylinder number, from 1
 * @param kind intake or exhaust
 * @param ordinal 0 when the cylinder has one valve of this kind, else 1 for the front one
 */
public record Position(int cylinder, ValveKind kind, int ordinal) implements Comparable<Position> {
  private static final Pattern WRITTEN = Pattern.compile("(\\d{1,2})([IE])(\\d?)");
  private static final Comparator<Position> ORDER =
      Comparator.comparingInt(Position::cylinder)
          .thenComparing(Position::kind)
          .thenComparingInt(Position::ordinal);

  /** Reads {@code 3E} or {@code 3I1}. */
  public static Position parse(String text) {
    Matcher m = WRITTEN.matcher(text.strip().toUpperCase(Locale.ROOT));
    if (!m.matches()) {
      throw new IllegalArgumentException(
          "\"" + text + "\" is not a valve; write cylinder and I or E, such as 3E");
    }
    int ordinal = m.group(3).isEmpty() ? 0 : Integer.parseInt(m.group(3));
    ValveKind kind = m.group(2).equals("I") ? ValveKind.INTAKE : ValveKind.EXHAUST;
    return new Position(Integer.parseInt(m.group(1)), kind, ordinal);
  }

  /** Several, as people list them: {@code 1I 3E}. */
  public static String list(Collection<Position> valves) {
    return valves.stream().map(Position::toString).collect(Collectors.joining(" "));
  }

  /** In words: {@code cylinder 3's intake}, {@code cylinder 3's front intake}. */
  public String words() {
    String place =
        switch (ordinal) {
          case 1 -> "front ";
          case 2 -> "rear ";
          case 3 -> "third ";
          default -> "";
        };
    return "cylinder " + cylinder + "'s " + place + kind.word();
  }

  @Override
  public int compareTo(Position other) {
    return ORDER.compare(this, other);
  }

  @Override
  public String toString() {
    return cylinder + kind.letter() + (ordinal == 0 ? "" : ordinal);
  }
}
