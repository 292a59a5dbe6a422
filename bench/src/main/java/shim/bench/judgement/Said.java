package shim.bench.judgement;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What all judges said of one spring at one test.
 *
 * @param due its true load is under the limit at the end of the next event by more than 1.5 points
 * @param good it is over it by more than that
 * @param shown the fault has cost a percent by the test, so a reading can show it
 * @param failing a fault has cost three percent by the test
 * @param running it has lost less than a fifth, so somebody may still run it
 * @param figures of every judge
 * @param changed the word was change
 * @param inside the true loss lay in the 80 % range
 * @param coherent hours left and chance say the same
 */
record Said(
    int season,
    int spring,
    boolean due,
    boolean good,
    boolean shown,
    boolean failing,
    boolean running,
    Map<Judge, Double> figures,
    boolean changed,
    boolean inside,
    boolean coherent) {
  /** Who judges. */
  enum Judge {
    SHIM("Shim"),
    BARE("bare model"),
    CORRECTED("check-corrected paper"),
    LINE("corrected line"),
    PAPER("paper");

    final String words;

    Judge(String words) {
      this.words = words;
    }
  }

  /** A season's judgements, and how many more settings were asked for. */
  record OfSeason(List<Said> said, int asked) {}

  static Map<Judge, Double> figures(
      double shim, double bare, double corrected, double line, double paper) {
    Map<Judge, Double> figures = new EnumMap<>(Judge.class);
    figures.put(Judge.SHIM, shim);
    figures.put(Judge.BARE, bare);
    figures.put(Judge.CORRECTED, corrected);
    figures.put(Judge.LINE, line);
    figures.put(Judge.PAPER, paper);
    return figures;
  }
}
