package shim.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A picture of shares for a page of docs: one row a population, one mark a judge, each with its
 * standard error.
 */
public final class Dots {
  private static final int WIDTH = 860;
  private static final int LEFT = 330;
  private static final int ROW = 30;
  private static final int TOP = 56;
  private static final String[] MARKS = {"M-6 0H6M0-6V6", "M-5-5H5V5H-5Z", "M0-6L6 5H-6Z"};
  private static final String[] COLOURS = {"#c2410c", "#1d4e89", "#6b7280"};

  private final String title;
  private final List<String> judges;
  private final double most;
  private final List<String> rows = new ArrayList<>();

  /**
   * @param most the scale's end, share
   */
  public Dots(String title, List<String> judges, double most) {
    this.title = title;
    this.judges = List.copyOf(judges);
    this.most = most;
  }

  /** One population: a share and its standard error for each judge. */
  public void row(String name, double[] share, double[] error) {
    double y = TOP + ROW * (rows.size() + 0.5);
    StringBuilder out = new StringBuilder();
    add(out, "<text x='%d' y='%.1f' text-anchor='end'>%s</text>", LEFT - 14, y + 4, name);
    add(out, "<path d='M%d %.1fH%d' stroke='#d1d5db'/>", LEFT, y, WIDTH - 20);
    for (int j = 0; j < share.length; j++) {
      double yj = y + 6 * (j - (share.length - 1) / 2.0);
      add(
          out,
          "<path d='M%.1f %.1fH%.1f' stroke='%s' stroke-width='1.5'/>",
          x(share[j] - error[j]),
          yj,
          x(share[j] + error[j]),
          COLOURS[j]);
      add(
          out,
          "<path d='%s' transform='translate(%.1f %.1f)' fill='%s' stroke='%s' stroke-width='2'/>",
          MARKS[j],
          x(share[j]),
          yj,
          COLOURS[j],
          COLOURS[j]);
    }
    rows.add(out.toString());
  }

  private double x(double share) {
    return LEFT + (WIDTH - 20 - LEFT) * Math.max(0, Math.min(1, share / most));
  }

  /** The picture as SVG. */
  public String svg() {
    int height = TOP + ROW * rows.size() + 40;
    StringBuilder out = new StringBuilder();
    add(
        out,
        "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 %d %d' font-family='sans-serif'"
            + " font-size='13' fill='#111827'>",
        WIDTH,
        height);
    add(out, "<rect width='%d' height='%d' fill='#fbf9f4'/>", WIDTH, height);
    add(out, "<text x='16' y='22' font-size='15'>%s</text>", title);
    for (int j = 0; j < judges.size(); j++) {
      double x = LEFT + 150 * j;
      add(
          out,
          "<path d='%s' transform='translate(%.1f 38)' fill='%s' stroke='%s' stroke-width='2'/>",
          MARKS[j],
          x + 6,
          COLOURS[j],
          COLOURS[j]);
      add(out, "<text x='%.1f' y='42'>%s</text>", x + 18, judges.get(j));
    }
    rows.forEach(r -> out.append(r));
    int steps = 5;
    for (int k = 0; k <= steps; k++) {
      double share = most * k / steps;
      add(
          out,
          "<text x='%.1f' y='%d' text-anchor='middle'>%.0f %%</text>",
          x(share),
          height - 14,
          100 * share);
    }
    return out.append("</svg>\n").toString();
  }

  private static void add(StringBuilder out, String text, Object... args) {
    out.append(String.format(Locale.ROOT, text, args)).append('\n');
  }
}
