package shim.core.fatigue;

import java.util.List;
import java.util.Optional;
import shim.core.stats.Robust;
import shim.core.unit.Figures;

/**
 * How a verdict would be reached on paper: the last reading against the first one once bedded in.
 * Medians of the repeats, at the reference height.
 *
 * @param firstHours the spring's own hours at the first of the two
 * @param firstLbf as the tester showed it
 * @param lastHours its own hours at the last
 * @param lastLbf as the tester showed it
 * @param lost share between the two as the tester showed them
 * @param lostCorrected the same with each divided by what the check spring showed that day
 * @param change the corrected loss has reached the limit
 */
public record OnPaper(
    double firstHours,
    double firstLbf,
    double lastHours,
    double lastLbf,
    double lost,
    double lostCorrected,
    boolean change) {

  /** One reading as written, with the day's correction. */
  private record Written(double hours, double lbf, double correction) {}

  /**
   * @return empty before there are two readings
   */
  static Optional<OnPaper> of(SetHistory history, String spring, double limit) {
    List<Written> written =
        history.tests().stream()
            .flatMap(
                t ->
                    t.reads().stream()
                        .filter(r -> r.spring().equals(spring))
                        .map(r -> written(t, r)))
            .toList();
    if (written.size() < 2) {
      return Optional.empty();
    }
    Written last = written.get(written.size() - 1);
    Written first =
        written.stream()
            .filter(w -> w.hours() >= Settling.BASELINE_HOURS && w != last)
            .findFirst()
            .orElse(written.get(0));
    double lost = 1 - last.lbf() / first.lbf();
    double corrected = 1 - last.lbf() * last.correction() / (first.lbf() * first.correction());
    return Optional.of(
        new OnPaper(
            first.hours(),
            first.lbf(),
            last.hours(),
            last.lbf(),
            lost,
            corrected,
            Figures.atLeast(corrected, limit)));
  }

  private static Written written(SetHistory.Test test, SetHistory.Read read) {
    return new Written(
        read.hours(),
        Robust.median(read.loadsLbf()).orElseThrow(),
        test.day().map(TesterDay::correction).orElse(1.0));
  }
}
