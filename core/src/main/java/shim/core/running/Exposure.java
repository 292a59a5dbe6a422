package shim.core.running;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a part has been through in all engines it was in.
 *
 * @param cycles valve cycles of the runs whose logger told; empty when none did
 */
public record Exposure(int overRevs, OptionalDouble cycles) {
  /** A run, known by its day. */
  public record Day(LocalDate date, int overRevs, OptionalDouble cycles) {}

  /**
   * A stay in one engine.
   *
   * @param out day of the removal; empty while it is in
   * @param days all runs of that engine
   */
  public record Stay(LocalDate in, Optional<LocalDate> out, List<Day> days) {
    /** Runs of the day of fitting and of the day of removal count: nobody wrote down the hour. */
    private boolean saw(LocalDate day) {
      return !day.isBefore(in) && out.map(o -> !day.isAfter(o)).orElse(true);
    }
  }

  public static Exposure of(List<Stay> stays) {
    List<Day> seen =
        stays.stream().flatMap(s -> s.days().stream().filter(d -> s.saw(d.date()))).toList();
    double cycles = seen.stream().mapToDouble(d -> d.cycles().orElse(0)).sum();
    return new Exposure(
        seen.stream().mapToInt(Day::overRevs).sum(),
        cycles > 0 ? OptionalDouble.of(cycles) : OptionalDouble.empty());
  }

  /**
   * Whether an engine was over-revved where the last round would show it: on or after the day of
   * the round before.
   *
   * @param rounds days of its rounds, in order
   */
  public static boolean overRevBetween(List<LocalDate> rounds, List<Day> days) {
    int n = rounds.size();
    return n >= 2
        && days.stream().anyMatch(d -> d.overRevs() > 0 && !d.date().isBefore(rounds.get(n - 2)));
  }
}
