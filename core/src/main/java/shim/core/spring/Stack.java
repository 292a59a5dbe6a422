package shim.core.spring;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.unit.Units;

/**
 * The parts that make an installed height at a valve, beside the spring.
 *
 * @param shimsIn pieces under the spring, thinnest first, inch
 * @param lockIn how much the locks raise the retainer against plain ones
 * @param retainerIn how much the retainer adds to the height against the usual one
 */
public record Stack(List<Double> shimsIn, double lockIn, double retainerIn) {
  /** Nothing under the spring, plain locks, the usual retainer. */
  public static final Stack PLAIN = new Stack(List.of(), 0, 0);

  /** Pieces as people write them: 0.015 0.030, 2 x .015, 0,38 mm. */
  private static final Pattern PIECE = Pattern.compile("(?:(\\d+)\\s*[x×*]\\s*)?(\\d*\\.\\d+)");

  private static final Pattern OFFSET = Pattern.compile("([-−+])\\s*(\\d*\\.\\d+)");
  private static final double THINNEST_IN = 0.002;
  private static final double THICKEST_IN = 0.300;
  private static final int MOST_ALIKE = 6;

  public Stack {
    shimsIn = shimsIn.stream().map(Stack::fine).sorted().toList();
  }

  /** Thicknesses from millimetres come with a tail; a millionth tells pieces apart. */
  static double fine(double inch) {
    return Math.round(inch * 1e6) / 1e6;
  }

  /** All of it together: what it takes off the height of the bare pocket. */
  double takesIn() {
    return shimsIn.stream().mapToDouble(s -> s).sum() - lockIn - retainerIn;
  }

  /** Height of the bare pocket with plain locks and the usual retainer, from one with these. */
  public double bareIn(double heightIn) {
    return fine(heightIn + takesIn());
  }

  /**
   * What is written down of the parts that are in.
   *
   * @return nothing where the shims are not written as thicknesses, so that nobody can tell how
   *     high the bare pocket is
   */
  public static Optional<Stack> read(
      @Nullable String shims, @Nullable String locks, @Nullable String retainer) {
    return pieces(shims).map(p -> new Stack(p, offset(locks), offset(retainer)));
  }

  /**
   * Shims as they are written down once they are in: as somebody wrote them, else as planned where
   * as many pieces were counted.
   */
  public static String written(@Nullable String typed, int pieces, List<Double> plannedIn) {
    if (typed != null) {
      return typed;
    }
    return pieces == plannedIn.size()
        ? plannedIn.stream()
            .map(s -> String.format(Locale.ROOT, "%.3f", s))
            .collect(Collectors.joining(" "))
        : pieces + " pieces";
  }

  /** How many pieces are written down. */
  public static int count(@Nullable String shims) {
    return pieces(shims)
        .map(List::size)
        .orElseGet(
            () ->
                (int)
                    Stream.of(String.valueOf(shims).strip().split("[\\s+;]+"))
                        .filter(s -> s.matches(".*\\d.*"))
                        .count());
  }

  private static Optional<List<Double>> pieces(@Nullable String written) {
    String text = decimals(written);
    List<Double> pieces = new ArrayList<>();
    for (MatchResult m : PIECE.matcher(text).results().toList()) {
      double in = Double.parseDouble(m.group(2)) / unit(text);
      int alike = m.group(1) == null ? 1 : Integer.parseInt(m.group(1));
      if (in < THINNEST_IN || in > THICKEST_IN || alike < 1 || alike > MOST_ALIKE) {
        return Optional.empty();
      }
      for (int i = 0; i < alike; i++) {
        pieces.add(in);
      }
    }
    boolean more = PIECE.matcher(text).replaceAll("").matches(".*[1-9].*");
    boolean words = pieces.isEmpty() && text.matches("(?s).*\\p{L}{2}.*") && !text.contains("no");
    return more || words ? Optional.empty() : Optional.of(pieces);
  }

  /** Locks and retainers are mostly known by name; a height with its sign counts. */
  private static double offset(@Nullable String written) {
    String text = decimals(written);
    return OFFSET
        .matcher(text)
        .results()
        .map(m -> (m.group(1).equals("+") ? 1 : -1) * Double.parseDouble(m.group(2)) / unit(text))
        .filter(v -> Math.abs(v) < THICKEST_IN)
        .findFirst()
        .orElse(0.0);
  }

  private static String decimals(@Nullable String written) {
    return written == null ? "" : written.replaceAll("(\\d),(\\d)", "$1.$2").strip();
  }

  private static double unit(String text) {
    return text.matches("(?s).*\\bmm\\b.*") || text.matches("(?s).*\\dmm.*")
        ? Units.MM_PER_INCH
        : 1;
  }
}
