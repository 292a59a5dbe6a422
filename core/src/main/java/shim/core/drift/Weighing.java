package shim.core.drift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import shim.core.drift.Odds.Candidate;
import shim.core.drift.ValveDrift.Begun;
import shim.core.drift.ValveDrift.Compared;
import shim.core.drift.ValveDrift.Signal;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.Position;
import shim.core.stats.Normal;
import shim.core.stats.Range;

/** Weighs every begin of a drift and every step of one valve against "as it is". */
final class Weighing {
  /** Begins tried within one interval between readings. */
  private static final int BEGINS = 6;

  /** Spreads of a faulty rate, thou an hour, and of a slip, thou. */
  private static final double RATE_THOU_PER_HOUR = 2;

  private static final double SLIP_THOU = 4;

  /** Share of the odds outside each end of a range. */
  private static final double OUTSIDE = 0.1;

  private final Position position;
  private final List<Track.Step> steps;
  private final List<String> rounds;
  private final DriftRules rules;
  private final List<Candidate> candidates = new ArrayList<>();

  /** The steps and one more reading now. */
  private final List<Track.Step> readAgain;

  private final Odds odds;
  private final double[] own;
  private final double lastHours;

  Weighing(Position position, List<Track.Step> steps, List<String> rounds, DriftRules rules) {
    this.position = position;
    this.steps = steps;
    this.rounds = rounds;
    this.rules = rules;
    this.lastHours = steps.isEmpty() ? 0 : steps.get(steps.size() - 1).toHours();
    own = Evidence.drift(steps, Double.NEGATIVE_INFINITY);
    readAgain = new ArrayList<>(steps);
    if (!steps.isEmpty()) {
      readAgain.add(steps.get(steps.size() - 1).again(rules));
    }
    for (int i = 0; i < steps.size(); i++) {
      Track.Step s = steps.get(i);
      if (s.speaks() && s.toHours() > s.fromHours()) {
        addDrifts(s);
        candidates.add(
            new Candidate(false, s.fromHours(), s.toHours(), Evidence.step(readAgain, i)));
      }
    }
    odds = new Odds(steps, candidates, rules);
  }

  private void addDrifts(Track.Step s) {
    double width = (s.toHours() - s.fromHours()) / BEGINS;
    for (int k = 0; k < BEGINS; k++) {
      double from = s.fromHours() + k * width;
      candidates.add(
          new Candidate(true, from, from + width, Evidence.drift(readAgain, from + width / 2)));
    }
  }

  ValveDrift result() {
    Map<Signal, Double> probability = probabilities();
    List<Compared> points = points();
    Strength strength = strength(points);
    boolean speaks = strength == Strength.FINDING || strength == Strength.WATCH;
    Signal signal = speaks ? likeliest(probability) : Signal.STEADY;
    Sized sized = signal == Signal.STEADY ? steady() : changed(signal);
    return new ValveDrift(
        position,
        points,
        probability,
        strength,
        signal,
        sized.rate,
        sized.moved,
        sized.begun,
        decides(),
        Optional.empty());
  }

  private double decides() {
    return candidates.isEmpty()
        ? 0
        : odds.decides(
            readAgain.get(readAgain.size() - 1).variance(), Compared.odds(rules.findingAt()));
  }

  private Strength strength(List<Compared> points) {
    if (points.isEmpty()) {
      return Strength.UNKNOWN;
    }
    double now = points.get(points.size() - 1).all();
    if (now >= rules.findingAt()) {
      return Strength.FINDING;
    }
    return now >= rules.watchAt() ? Strength.WATCH : Strength.STEADY;
  }

  private static Signal likeliest(Map<Signal, Double> probability) {
    return probability.entrySet().stream()
        .filter(e -> e.getKey() != Signal.STEADY)
        .max(Map.Entry.comparingByValue())
        .map(Map.Entry::getKey)
        .orElse(Signal.STEADY);
  }

  private List<Compared> points() {
    List<Compared> result = new ArrayList<>();
    for (int i = 0; i < steps.size(); i++) {
      Track.Step s = steps.get(i);
      if (s.speaks()) {
        result.add(
            new Compared(
                rounds.get(s.round()),
                s.toHours(),
                s.surprise(),
                Math.sqrt(s.variance()),
                s.stands() - steps.get(0).stands(),
                Compared.scale(odds.after(Signal.OPENING, i)),
                Compared.scale(odds.after(Signal.CLOSING, i)),
                Compared.scale(odds.after(Signal.STEP_OPEN, i) + odds.after(Signal.STEP_TIGHT, i)),
                Compared.scale(odds.all(i))));
      }
    }
    return result;
  }

  private Map<Signal, Double> probabilities() {
    Map<Signal, Double> probability = new EnumMap<>(Signal.class);
    int last = steps.size() - 1;
    double all = last < 0 ? 0 : odds.all(last);
    for (Signal s : Signal.values()) {
      double share = s == Signal.STEADY ? 1 : last < 0 ? 0 : odds.after(s, last);
      probability.put(s, share / (1 + all));
    }
    return probability;
  }

  /** A size with its begin. */
  private record Sized(@Nullable Range rate, @Nullable Range moved, Optional<Begun> begun) {}

  private Sized steady() {
    if (steps.stream().noneMatch(Track.Step::speaks)) {
      return new Sized(null, null, Optional.empty());
    }
    double b = 0;
    double g = 1 / (rules.healthyThouPerHour() * rules.healthyThouPerHour());
    for (int i = 0; i < own.length; i++) {
      Track.Step s = steps.get(i);
      b += s.speaks() ? own[i] * s.surprise() / s.variance() : 0;
      g += s.speaks() ? own[i] * own[i] / s.variance() : 0;
    }
    return new Sized(new Normal(b / g, 1 / Math.sqrt(g)).eighty(), null, Optional.empty());
  }

  private Sized changed(Signal signal) {
    double[] weights = odds.of(signal);
    Range begins = begins(weights);
    double spread = signal.steps() ? SLIP_THOU : RATE_THOU_PER_HOUR;
    Range size = mixed(weights, c -> size(c, spread));
    Range moved =
        signal.steps()
            ? size
            : mixed(weights, c -> times(size(c, spread), lastHours - c.middleHours()));
    return new Sized(
        signal.steps() ? null : size,
        moved,
        Optional.of(new Begun(begins.low(), begins.mid(), begins.high())));
  }

  /** Hours by which a tenth, half and nine tenths of the odds have begun. */
  private Range begins(double[] weights) {
    int[] order =
        IntStream.range(0, weights.length)
            .filter(c -> weights[c] > 0)
            .boxed()
            .sorted(
                (a, b) ->
                    Double.compare(candidates.get(a).fromHours(), candidates.get(b).fromHours()))
            .mapToInt(c -> c)
            .toArray();
    double all = Arrays.stream(weights).sum();
    return new Range(
        begunBy(order, weights, OUTSIDE * all, 0),
        begunBy(order, weights, all / 2, 0.5),
        begunBy(order, weights, (1 - OUTSIDE) * all, 1));
  }

  /**
   * Within a drift's hours its odds are spread evenly; of a step nothing is known but its interval.
   *
   * @param within where in that interval, 0 to 1
   */
  private double begunBy(int[] order, double[] weights, double wanted, double within) {
    double sum = 0;
    Candidate at = candidates.get(order[0]);
    double share = within;
    for (int c : order) {
      if (sum >= wanted) {
        break;
      }
      at = candidates.get(c);
      share = at.drift() ? Math.min(1, (wanted - sum) / weights[c]) : within;
      sum += weights[c];
    }
    return at.fromHours() + share * at.hours();
  }

  private Normal size(Candidate c, double spread) {
    Evidence now =
        Evidence.of(
            steps, Arrays.copyOf(c.signature(), steps.size()), own, rules.healthyThouPerHour());
    double precision = now.g() + 1 / (spread * spread);
    return new Normal(now.b() / precision, 1 / Math.sqrt(precision));
  }

  private static Normal times(Normal n, double factor) {
    return new Normal(n.mean() * factor, n.sd() * factor);
  }

  private Range mixed(double[] weights, Function<Candidate, Normal> size) {
    double weight = 0;
    double mean = 0;
    double square = 0;
    for (int c = 0; c < weights.length; c++) {
      if (weights[c] > 0) {
        Normal n = size.apply(candidates.get(c));
        weight += weights[c];
        mean += weights[c] * n.mean();
        square += weights[c] * (n.mean() * n.mean() + n.sd() * n.sd());
      }
    }
    double m = mean / weight;
    return new Normal(m, Math.sqrt(Math.max(0, square / weight - m * m))).eighty();
  }
}
