package shim.core.stock;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A part that came, measured before it goes on: a cup with the wrong bore goes back.
 *
 * @param lines one for each measure that decides fit
 */
public record Arrival(List<Line> lines) {
  /** One measure as it was found. */
  public record Line(Measure measure, OptionalDouble figure, Measure.Found found) {}

  public Arrival {
    lines = List.copyOf(lines);
  }

  public static Arrival of(List<Measure> wanted, Map<Measure.What, Double> figures) {
    return new Arrival(wanted.stream().map(m -> line(m, figures.get(m.what()))).toList());
  }

  private static Line line(Measure m, @org.jspecify.annotations.Nullable Double figure) {
    OptionalDouble f = figure == null ? OptionalDouble.empty() : OptionalDouble.of(figure);
    return new Line(m, f, m.judge(f));
  }

  /** All is measured and within. */
  public boolean fits() {
    return lines.stream().allMatch(l -> l.found() == Measure.Found.FITS);
  }

  /** One measure at least says no. */
  public boolean wrong() {
    return lines.stream()
        .anyMatch(
            l -> l.found() == Measure.Found.TOO_SMALL || l.found() == Measure.Found.TOO_LARGE);
  }
}
