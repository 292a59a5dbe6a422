package shim.app.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import shim.app.fatigue.SpringViews.SpringAt;
import shim.app.spring.SpringRules;
import shim.core.fatigue.Verdict;

/** One spring or the whole set, with what speaks for each. */
final class Advice {
  /** From this share of the set on, changing all is the smaller work. */
  private static final double MANY = 0.34;

  private Advice() {}

  static List<String> words(List<SpringAt> springs, SpringRules.SetSchool school) {
    List<SpringAt> change = with(springs, Verdict.CHANGE);
    if (change.isEmpty()) {
      return List.of();
    }
    List<String> words = new ArrayList<>();
    long soon =
        springs.stream()
            .filter(s -> s.said().dueBefore() != null || s.said().underAfter() >= 0.2)
            .count();
    double after = spread(springs, true);
    double before = spread(springs, false);
    String which =
        change.stream().map(s -> s.position().toString()).collect(Collectors.joining(" "));
    boolean whole = school == SpringRules.SetSchool.WHOLE_SET || soon >= MANY * springs.size();
    words.add(
        whole
            ? String.format(
                Locale.ROOT,
                "Change the set: %d of %d are due inside the next two events.",
                soon,
                springs.size())
            : String.format(
                Locale.ROOT,
                "Change %s, matched from stock: %d of %d are due inside the next two events.",
                which,
                soon,
                springs.size()));
    words.add(
        String.format(
            Locale.ROOT,
            "Spread of loss in the set %.1f points now, %.1f with %s renewed.",
            100 * before,
            100 * after,
            which));
    words.add(
        school == SpringRules.SetSchool.WHOLE_SET
            ? "Your school: the whole set, so that all age together. The other: a matched single from"
                + " stock costs less and opens fewer valves."
            : "Your school: a matched single. The other: the whole set, so that all age together and"
                + " none is opened twice.");
    return words;
  }

  private static List<SpringAt> with(List<SpringAt> springs, Verdict v) {
    return springs.stream().filter(s -> s.said().verdict() == v).toList();
  }

  /** Largest less smallest loss now, those to be changed taken out when renewed. */
  private static double spread(List<SpringAt> springs, boolean renewed) {
    double[] loss =
        springs.stream()
            .filter(s -> !renewed || s.said().verdict() != Verdict.CHANGE)
            .mapToDouble(s -> s.said().lossNow().mid())
            .sorted()
            .toArray();
    return loss.length == 0 ? 0 : loss[loss.length - 1] - loss[0];
  }
}
