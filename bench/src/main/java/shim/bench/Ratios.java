package shim.bench;

import java.util.Collection;
import java.util.Locale;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;

/** Runs the benchmarks once and prints what is claimed of them, as ratios of the same run. */
public final class Ratios {
  private Ratios() {}

  public static void main(String[] args) throws RunnerException {
    Collection<RunResult> results =
        new Runner(
                new OptionsBuilder()
                    .include(args.length > 0 ? args[0] : ".*Benchmark.*")
                    .forks(1)
                    .warmupIterations(3)
                    .warmupTime(TimeValue.seconds(2))
                    .measurementIterations(5)
                    .measurementTime(TimeValue.seconds(2))
                    .build())
            .run();
    System.out.println();
    if (has(results, "sixteenCylindersAllStops")) {
      settingOrder(results);
    }
    if (has(results, "springs16tests60")) {
      springs(results);
    }
    if (has(results, "sliderGaps")) {
      cam(results);
    }
    if (has(results, "millionRowsTallied")) {
      double ours = of(results, "millionRowsTallied");
      double bare = of(results, "millionRowsReadBare");
      say("a million logger rows: %.0f ms, %.2f times the bare CSV library", ours, ours / bare);
    }
  }

  private static void settingOrder(Collection<RunResult> results) {
    double sixteen = of(results, "sixteenCylindersAllStops");
    double eight = of(results, "eightCylindersAllStops");
    double sampled = of(results, "eightCylindersAllStopsSampled");
    say("16 cylinders, 4 valves, all k exact: %.1f ms", sixteen);
    say("8 cylinders, 2 valves, all k exact: %.1f ms", eight);
    say("the same on 720 whole degrees: %.1f ms, %.1f times as long", sampled, sampled / eight);
    say("16 cylinders against 8: %.1f times as long", sixteen / eight);
  }

  private static void springs(Collection<RunResult> results) {
    double usual = of(results, "springs16tests60");
    double dense = of(results, "denseFactor16x60");
    say("verdicts for 16 springs with 60 tests: %.1f ms", usual);
    say(
        "half the tests %.2f, twice the tests %.2f times as long",
        of(results, "springs16tests30") / usual, of(results, "springs16tests120") / usual);
    say(
        "half the springs %.2f, twice the springs %.2f times as long",
        of(results, "springs8tests60") / usual, of(results, "springs32tests60") / usual);
    say(
        "each spring with hours of its own: %.2f times as long",
        of(results, "springs16tests60ownHours") / usual);
    say(
        "one dense factor by the numeric library: %.1f ms, %.1f times as long as all verdicts",
        dense, dense / usual);
  }

  private static void cam(Collection<RunResult> results) {
    double gaps = of(results, "sliderGaps");
    double margin = of(results, "sliderMargin");
    say(
        "16 least gaps and two curves: %.0f µs, %.1f times the bare arithmetic",
        gaps, gaps / of(results, "bareGaps"));
    say(
        "a margin over 46 speeds with bounds: %.0f µs, %.1f times the bare arithmetic",
        margin, margin / of(results, "bareMargin"));
    say("a lift table smoothed: %.1f ms, once", of(results, "tableSmoothed") / 1000);
  }

  private static boolean has(Collection<RunResult> results, String name) {
    return results.stream().anyMatch(r -> r.getPrimaryResult().getLabel().equals(name));
  }

  private static double of(Collection<RunResult> results, String name) {
    return results.stream()
        .filter(r -> r.getPrimaryResult().getLabel().equals(name))
        .findFirst()
        .orElseThrow()
        .getPrimaryResult()
        .getScore();
  }

  private static void say(String text, Object... args) {
    System.out.println(String.format(Locale.ROOT, text, args));
  }
}
