package shim.bench.lash;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import shim.bench.Dots;
import shim.core.drift.DriftRules;
import shim.core.drift.LashDrift;
import shim.core.drift.LashRound;
import shim.core.drift.ValveDrift;
import shim.core.engine.Position;
import shim.core.stats.Cusum;
import shim.core.stats.Robust;
import shim.core.unit.Known;

/**
 * Share of drifting valves found and rounds needed, at equal false alarms per healthy valve and
 * season. A healthy valve raises a false alarm when its figure passes the threshold at any round of
 * the season; a drifting one is found at the first round after its begin at which it does. Rounds
 * are counted from the first round after the begin; those never found count as all that were left.
 */
public final class LashBenchmark {
  /** Judges in the picture, by their place in the list. */
  private static final List<Integer> PICTURED = List.of(0, 1, 3);

  private static final double[] RATES = {0.003, 0.01, 0.03};

  /** Allowance of the rough CUSUM, thou: half of a move worth finding. */
  private static final double ROUGH_K = 0.5;

  /** Slipped seasons are run thrice, so fewer of them. */
  private static final int SLIP_SHARE = 5;

  private LashBenchmark() {}

  /** One judge's figure of every valve at every round, round by round. */
  private record Scores(boolean drifting, int firstRound, double[] figure) {}

  /** A judge. */
  private record Judge(String words, ToDoubleFunction<At> figure) {}

  /** A valve at a round. */
  private record At(LashSeasonRun season, LashDrift drift, Position p, int n) {}

  /**
   * @param args seasons a population; the seed; a file for the picture
   */
  public static void main(String[] args) throws IOException {
    int seasons = args.length > 0 ? Integer.parseInt(args[0]) : 2000;
    long seed = args.length > 1 ? Long.parseLong(args[1]) : 815L;
    say("Run: seasons %d a population, seed %d", seasons, seed);
    List<Judge> judges =
        List.of(
            new Judge("Shim, odds of any change", a -> Known.in(a.drift().valves(), a.p()).sum()),
            new Judge("rough CUSUM", LashBenchmark::rough),
            new Judge("last time", a -> Math.abs(lastTime(a, a.p()))),
            new Judge("last time, less the kind's median", LashBenchmark::lessMedian));
    Dots picture =
        new Dots(
            "Drifting valves not found where one healthy valve in 100 is blamed in a season",
            List.of("Shim", "rough CUSUM", "last time, less the kind's median"),
            1);
    for (LashLaw law : LashLaw.all()) {
      List<Found> found = population(law, seasons, seed, judges);
      picture.row(
          law.name(),
          found.stream().mapToDouble(f -> 1 - f.share()).toArray(),
          found.stream().mapToDouble(Found::error).toArray());
    }
    slipped(Math.max(1, seasons / SLIP_SHARE), seed);
    if (args.length > 2) {
      Files.writeString(Path.of(args[2]), picture.svg());
    }
  }

  private static void slipped(int seasons, long seed) {
    say("");
    say("### One round of each of %d seasons slipped as a whole", seasons);
    say("| population | healthy valves found, as read | round +4 thou | round −6 thou |");
    say("|---|---|---|---|");
    for (LashLaw law : LashLaw.all()) {
      say(
          "| %s | %.2f %% | %.2f %% | %.2f %% |",
          law.words(),
          blamed(law, seasons, seed, 0),
          blamed(law, seasons, seed, 4),
          blamed(law, seasons, seed, -6));
    }
  }

  /** Percent of healthy valves that stand as a finding at any time of the season. */
  private static double blamed(LashLaw law, int seasons, long seed, double slip) {
    Judge sum = new Judge("", a -> Known.in(a.drift().valves(), a.p()).sum());
    return 100
        * IntStream.range(0, seasons)
            .parallel()
            .mapToObj(
                i -> {
                  Random random = new Random(seed + i);
                  int round = 2 + new Random(i).nextInt(law.rounds() - 3);
                  return season(new LashSeasonRun(law, random, round, slip), List.of(sum)).get(sum);
                })
            .flatMap(List::stream)
            .filter(s -> !s.drifting())
            .mapToInt(
                s ->
                    java.util.Arrays.stream(s.figure()).max().orElse(0)
                            >= DriftRules.USUAL.findingAt()
                        ? 1
                        : 0)
            .average()
            .orElse(0);
  }

  /** Share found at a threshold with its standard error, and rounds needed. */
  private record Found(double share, double error, double rounds) {}

  /** What the pictured judges find where one healthy valve in a hundred is blamed. */
  private static List<Found> population(LashLaw law, int seasons, long seed, List<Judge> judges) {
    Map<Judge, List<Scores>> scores = new HashMap<>();
    judges.forEach(j -> scores.put(j, new ArrayList<>()));
    List<Map<Judge, List<Scores>>> all =
        IntStream.range(0, seasons)
            .parallel()
            .mapToObj(i -> season(new LashSeasonRun(law, new Random(seed + i)), judges))
            .toList();
    all.forEach(m -> m.forEach((j, s) -> Known.in(scores, j).addAll(s)));
    long drifting = Known.in(scores, judges.get(0)).stream().filter(Scores::drifting).count();
    say("");
    say("### %s", law.words());
    say(
        "%d drifting valves, %d healthy",
        drifting, Known.in(scores, judges.get(0)).size() - drifting);
    say("");
    say("| judge | false alarms | threshold | found | rounds needed |");
    say("|---|---|---|---|---|");
    for (Judge j : judges) {
      for (double rate : RATES) {
        line(j.words(), Known.in(scores, j), threshold(Known.in(scores, j), rate));
      }
    }
    for (int t = 3; t <= 6; t++) {
      line("flag " + t + " thou since last time", Known.in(scores, judges.get(2)), t - 1e-9);
    }
    line("Shim at its finding line", Known.in(scores, judges.get(0)), DriftRules.USUAL.findingAt());
    line("Shim at its watch line", Known.in(scores, judges.get(0)), DriftRules.USUAL.watchAt());
    say("");
    names(
        IntStream.range(0, seasons)
            .parallel()
            .mapToObj(i -> named(new LashSeasonRun(law, new Random(seed + i))))
            .flatMap(List::stream)
            .toList());
    return PICTURED.stream()
        .map(
            j -> {
              List<Scores> of = Known.in(scores, judges.get(j));
              return found(of, threshold(of, 0.01));
            })
        .toList();
  }

  /**
   * What the word "finding" said of one changed valve when it first stood.
   *
   * @param stepped it truly slipped, else it drifts
   * @param namedStep it was called a step
   * @param offHours named begin less the true one, hours
   * @param held the true begin lay in the range named
   */
  private record Named(boolean stepped, boolean namedStep, double offHours, boolean held) {}

  private static List<Named> named(LashSeasonRun season) {
    List<LashRound> rounds = season.rounds();
    List<Named> named = new ArrayList<>();
    Set<Position> open = new HashSet<>(season.slipRound.keySet());
    season.faults.forEach(f -> open.add(f.position()));
    for (int n = 2; n <= rounds.size() && !open.isEmpty(); n++) {
      LashDrift drift =
          LashDrift.of(
              season.layout, rounds.subList(0, n), LashSeasonRun.growth(), DriftRules.USUAL);
      for (Position p : List.copyOf(open)) {
        ValveDrift v = Known.in(drift.valves(), p);
        int last = n - 1;
        boolean began =
            season.slipRound.getOrDefault(p, 0) <= last
                && season
                    .faultAt(p)
                    .map(f -> f.fromHours() < season.sheets.get(last).hours())
                    .orElse(true);
        if (began && v.strength() == ValveDrift.Strength.FINDING) {
          open.remove(p);
          named.add(named(season, p, v));
        }
      }
    }
    return named;
  }

  private static Named named(LashSeasonRun season, Position p, ValveDrift v) {
    ValveDrift.Begun begun = v.begun().orElseThrow();
    boolean stepped = season.slipRound.containsKey(p);
    double low =
        stepped
            ? season.sheets.get(season.slipRound.getOrDefault(p, 0) - 1).hours()
            : season.faultAt(p).orElseThrow().fromHours();
    double high = stepped ? season.sheets.get(season.slipRound.getOrDefault(p, 0)).hours() : low;
    double off = Math.max(0, Math.max(low - begun.likeliestHours(), begun.likeliestHours() - high));
    return new Named(
        stepped, v.signal().steps(), off, begun.highHours() >= low && begun.lowHours() <= high);
  }

  private static void names(List<Named> all) {
    for (boolean stepped : new boolean[] {false, true}) {
      List<Named> of = all.stream().filter(n -> n.stepped() == stepped).toList();
      if (!of.isEmpty()) {
        double[] off = of.stream().mapToDouble(Named::offHours).sorted().toArray();
        say(
            "%s: %d found by the word, %.0f %% first named a %s; begin off by %.2f h (median), its"
                + " 80 %% range holds %.0f %%.",
            stepped ? "Steps" : "Drifts",
            of.size(),
            100.0 * of.stream().filter(n -> n.namedStep() != stepped).count() / of.size(),
            stepped ? "drift" : "step",
            off[off.length / 2],
            100.0 * of.stream().filter(Named::held).count() / of.size());
      }
    }
  }

  private static Map<Judge, List<Scores>> season(LashSeasonRun season, List<Judge> judges) {
    List<LashRound> rounds = season.rounds();
    Map<Judge, List<Scores>> result = new HashMap<>();
    judges.forEach(j -> result.put(j, new ArrayList<>()));
    List<LashDrift> upTo =
        IntStream.rangeClosed(1, rounds.size())
            .mapToObj(
                n ->
                    LashDrift.of(
                        season.layout,
                        rounds.subList(0, n),
                        LashSeasonRun.growth(),
                        DriftRules.USUAL))
            .toList();
    for (Position p : season.layout.positions()) {
      if (season.slipRound.containsKey(p)) {
        continue;
      }
      Optional<LashSeasonRun.Fault> fault = season.faultAt(p);
      boolean drifting = fault.isPresent();
      int first =
          fault
              .map(
                  f -> (int) season.sheets.stream().filter(s -> s.hours() <= f.fromHours()).count())
              .orElse(0);
      for (Judge j : judges) {
        double[] figure =
            IntStream.range(0, rounds.size())
                .mapToDouble(n -> j.figure().applyAsDouble(new At(season, upTo.get(n), p, n)))
                .toArray();
        Known.in(result, j).add(new Scores(drifting, first, figure));
      }
    }
    return result;
  }

  /** Tabular CUSUM of what a valve moved since last time, less the median of its kind. */
  private static double rough(At a) {
    Cusum sums = Cusum.around(0, ROUGH_K);
    for (int n = 1; n <= a.n(); n++) {
      sums = sums.with(ownMove(new At(a.season(), a.drift(), a.p(), n)));
    }
    return Math.max(sums.up(), sums.down());
  }

  /** As found less as left the last time in the same state, thou. */
  private static double lastTime(At a, Position p) {
    LashSeasonRun.Sheet now = a.season().sheets.get(a.n());
    for (int m = a.n() - 1; m >= 0; m--) {
      LashSeasonRun.Sheet then = a.season().sheets.get(m);
      LashSeasonRun.Written w = Known.in(then.valves(), p);
      if (then.state() == now.state()) {
        return Known.in(now.valves(), p).found() - (w.left() == null ? w.found() : w.left());
      }
    }
    return 0;
  }

  private static double lessMedian(At a) {
    return Math.abs(ownMove(a));
  }

  private static double ownMove(At a) {
    double median =
        Robust.median(
                a.season().layout.positions().stream()
                    .filter(q -> q.kind() == a.p().kind())
                    .map(q -> lastTime(a, q))
                    .toList())
            .orElse(0);
    return lastTime(a, a.p()) - median;
  }

  private static double threshold(List<Scores> scores, double rate) {
    List<Double> healthy =
        scores.stream()
            .filter(s -> !s.drifting())
            .map(s -> java.util.Arrays.stream(s.figure()).max().orElse(0))
            .sorted(Comparator.reverseOrder())
            .toList();
    return Math.nextUp(healthy.get((int) Math.floor(rate * healthy.size())));
  }

  private static void line(String words, List<Scores> scores, double threshold) {
    double alarms =
        scores.stream()
            .filter(s -> !s.drifting())
            .mapToInt(
                s -> java.util.Arrays.stream(s.figure()).anyMatch(f -> f >= threshold) ? 1 : 0)
            .average()
            .orElse(0);
    Found found = found(scores, threshold);
    say(
        "| %s | %.2f %% | %.2f | %.1f ± %.1f %% | %.2f |",
        words, 100 * alarms, threshold, 100 * found.share(), 100 * found.error(), found.rounds());
  }

  private static Found found(List<Scores> scores, double threshold) {
    List<Scores> drifting = scores.stream().filter(Scores::drifting).toList();
    double found =
        drifting.stream().mapToInt(s -> foundAt(s, threshold) == null ? 0 : 1).average().orElse(0);
    double rounds =
        drifting.stream()
            .mapToInt(
                s -> {
                  Integer at = foundAt(s, threshold);
                  return (at == null ? s.figure().length - 1 : at) - s.firstRound() + 1;
                })
            .average()
            .orElse(0);
    return new Found(found, Math.sqrt(found * (1 - found) / drifting.size()), rounds);
  }

  private static @Nullable Integer foundAt(Scores s, double threshold) {
    for (int n = s.firstRound(); n < s.figure().length; n++) {
      if (s.figure()[n] >= threshold) {
        return n;
      }
    }
    return null;
  }

  static void say(String text, Object... args) {
    System.out.println(String.format(Locale.ROOT, text, args));
  }
}
