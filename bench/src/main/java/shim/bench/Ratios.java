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
                    .include(BestStopsBenchmark.class.getSimpleName())
                    .forks(1)
                    .warmupIterations(3)
                    .warmupTime(TimeValue.seconds(2))
                    .measurementIterations(5)
                    .measurementTime(TimeValue.seconds(2))
                    .build())
            .run();
    double sixteen = of(results, "sixteenCylindersAllStops");
    double eight = of(results, "eightCylindersAllStops");
    double sampled = of(results, "eightCylindersAllStopsSampled");
    System.out.println();
    say("16 cylinders, 4 valves, all k exact: %.1f ms", sixteen);
    say("8 cylinders, 2 valves, all k exact: %.1f ms", eight);
    say("the same on 720 whole degrees: %.1f ms, %.1f times as long", sampled, sampled / eight);
    say("16 cylinders against 8: %.1f times as long", sixteen / eight);
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
