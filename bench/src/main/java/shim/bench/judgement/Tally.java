package shim.bench.judgement;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import shim.bench.judgement.Said.Judge;
import shim.core.fatigue.Limits;

/** All that was said on one population, counted. */
final class Tally {
  static final double[] RATES = {0.001, 0.003, 0.01, 0.03};

  private final Map<Judge, Curve> curves = new EnumMap<>(Judge.class);
  private final Curve words = new Curve();
  private final Curve healthyInside = new Curve();
  private final Curve failingInside = new Curve();
  private final Set<Integer> changedForNothing = new HashSet<>();
  private int seasons;
  private int judgements;
  private int asked;
  private int notShown;
  private int incoherent;

  Tally() {
    for (Judge j : Judge.values()) {
      curves.put(j, new Curve());
    }
  }

  void add(Said.OfSeason season) {
    seasons++;
    asked += season.asked();
    for (Said s : season.said()) {
      judgements++;
      incoherent += s.coherent() ? 0 : 1;
      if (s.shown()) {
        add(s);
      } else {
        notShown += s.due() ? 1 : 0;
      }
    }
  }

  private void add(Said s) {
    if (s.running()) {
      (s.failing() ? failingInside : healthyInside).due(s.season(), s.inside() ? 1 : 0);
    }
    if (s.due()) {
      words.due(s.season(), s.changed() ? 1 : 0);
      s.figures().forEach((j, f) -> curve(j).due(s.season(), f));
    } else if (s.good()) {
      words.good(s.season(), s.changed() ? 1 : 0);
      s.figures().forEach((j, f) -> curve(j).good(s.season(), f));
      if (s.changed()) {
        changedForNothing.add(100 * s.season() + s.spring());
      }
    }
  }

  Curve curve(Judge j) {
    Curve c = curves.get(j);
    if (c == null) {
      throw new IllegalStateException("no curve of " + j);
    }
    return c;
  }

  Curve.Share missed(Judge j, double rate) {
    return curve(j).missedBelow(curve(j).thresholdFor(rate));
  }

  String table(String title) {
    StringBuilder out = new StringBuilder();
    line(out, "### %s", title);
    line(
        out,
        "%d seasons, %d judgements due, %d good, %d due that no reading shows",
        seasons,
        words.dueCount(),
        words.goodCount(),
        notShown);
    line(out, "");
    line(out, "| changed for nothing | %s |", heads());
    line(out, "|---|%s", "---|".repeat(Judge.values().length));
    for (double rate : RATES) {
      StringBuilder row = new StringBuilder();
      for (Judge j : Judge.values()) {
        row.append(" | ").append(percent(missed(j, rate)));
      }
      line(out, "| %.1f %%%s |", 100 * rate, row);
    }
    line(out, "");
    line(out, "%s", words());
    return out.toString();
  }

  private static String heads() {
    StringBuilder out = new StringBuilder();
    for (Judge j : Judge.values()) {
      out.append(out.isEmpty() ? "" : " | ").append(j.words).append(" misses");
    }
    return out.toString();
  }

  /** How the words do, and the ranges. */
  private String words() {
    return String.format(
        Locale.ROOT,
        "By its words: %s of those due are not *change*, %s of the good ones are: %.2f springs a season"
            + " for nothing; %.2f settings more in a hundred judgements. By chance over %.2f alone: %s and %s."
            + " 80 %% ranges hold %s of the healthy, %s of the failing. Hours left and chance disagree in %d of %d.",
        percent(words.missedBelow(1)),
        percent(words.falseFrom(1)),
        changedForNothing.size() / (double) seasons,
        100.0 * asked / judgements,
        Limits.USUAL.changeAt(),
        percent(curve(Judge.SHIM).missedBelow(Limits.USUAL.changeAt())),
        percent(curve(Judge.SHIM).falseFrom(Limits.USUAL.changeAt())),
        percent(held(healthyInside)),
        percent(held(failingInside)),
        incoherent,
        judgements);
  }

  Curve.Share missedByWord() {
    return words.missedBelow(1);
  }

  Curve.Share falseByWord() {
    return words.falseFrom(1);
  }

  Curve.Share healthyHeld() {
    return held(healthyInside);
  }

  Curve.Share failingHeld() {
    return held(failingInside);
  }

  double askedInHundred() {
    return 100.0 * asked / judgements;
  }

  private static Curve.Share held(Curve of) {
    Curve.Share out = of.missedBelow(1);
    return new Curve.Share(1 - out.value(), out.error());
  }

  static String percent(Curve.Share s) {
    return String.format(Locale.ROOT, "%.2f ± %.2f %%", 100 * s.value(), 100 * s.error());
  }

  private static void line(StringBuilder out, String text, Object... args) {
    out.append(String.format(Locale.ROOT, text, args)).append('\n');
  }
}
