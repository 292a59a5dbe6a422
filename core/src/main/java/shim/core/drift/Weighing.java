package shim.core.drift;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
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

  /** Chance, before anything is read, that a valve drifts one way within the hours looked at. */
  private static final double DRIFTS = 0.02;

  /** Chance that its adjuster slips one way. */
  private static final double SLIPS = 0.01;

  /** Spreads of a faulty rate, thou an hour: slow ones and fast ones, equally likely. */
  private static final double[] RATES = {0.5, 2};

  /** Spread of a slip, thou. */
  private static final double SLIP_THOU = 4;

  /** Begins within this of the likeliest are all named, log likelihood. */
  private static final double NAMED_WITHIN = 2;

  /** One candidate: a change and what all readings say of it. */
  private record Candidate(
      boolean drift, double lowHours, double hours, double highHours, double prior, Evidence now) {}

  private final Position position;
  private final List<Track.Step> steps;
  private final List<String> rounds;
  private final DriftRules rules;
  private final List<Candidate> candidates = new ArrayList<>();
  private final List<double[]> drifts = new ArrayList<>();
  private final List<double[]> slips = new ArrayList<>();
  private final double lastHours;

  Weighing(Position position, List<Track.Step> steps, List<String> rounds, DriftRules rules) {
    this.position = position;
    this.steps = steps;
    this.rounds = rounds;
    this.rules = rules;
    this.lastHours = steps.isEmpty() ? 0 : steps.get(steps.size() - 1).toHours();
    double[] own = Evidence.drift(steps, Double.NEGATIVE_INFINITY);
    double[] speaking = steps.stream().filter(s -> s.speaks()).mapToDouble(s -> hours(s)).toArray();
    double all = java.util.Arrays.stream(speaking).sum();
    for (int i = 0; i < steps.size(); i++) {
      Track.Step s = steps.get(i);
      if (s.speaks() && all > 0) {
        addDrifts(s, own, hours(s) / all);
        addStep(s, i, own, 1.0 / speaking.length);
      }
    }
  }

  private static double hours(Track.Step s) {
    return s.toHours() - s.fromHours();
  }

  private void addDrifts(Track.Step s, double[] own, double share) {
    double width = hours(s) / BEGINS;
    for (int k = 0; k < BEGINS && width > 0; k++) {
      double at = s.fromHours() + k * width;
      double[] signature = Evidence.drift(steps, at);
      drifts.add(signature);
      candidates.add(new Candidate(true, at, at, at, share / BEGINS, now(signature, own)));
    }
  }

  private void addStep(Track.Step s, int index, double[] own, double share) {
    double[] signature = Evidence.step(steps, index);
    slips.add(signature);
    candidates.add(
        new Candidate(false, s.fromHours(), s.toHours(), s.toHours(), share, now(signature, own)));
  }

  private Evidence now(double[] signature, double[] own) {
    return Evidence.of(steps, signature, own, rules.healthyThouPerHour());
  }

  ValveDrift result() {
    Map<Signal, Double> probability = probabilities();
    List<Compared> points = points();
    Strength strength = strength(points);
    boolean speaks = strength == Strength.FINDING || strength == Strength.WATCH;
    Signal signal = speaks ? likeliest(probability) : Signal.STEADY;
    Sized sized = signal == Signal.STEADY ? steady() : changed(signal);
    return new ValveDrift(
        position, points, probability, strength, signal, sized.rate, sized.moved, sized.begun);
  }

  private Strength strength(List<Compared> points) {
    if (points.isEmpty()) {
      return Strength.UNKNOWN;
    }
    Compared now = points.get(points.size() - 1);
    double drift = Math.max(now.up(), now.down());
    if (Math.max(drift, now.stepped()) >= rules.findingAt()) {
      return Strength.FINDING;
    }
    return drift >= rules.watchAt() ? Strength.WATCH : Strength.STEADY;
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
    Sums sums = new Sums(steps, drifts, slips, rules);
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
                sums.up(i),
                sums.down(i),
                sums.stepped(i)));
      }
    }
    return result;
  }

  private Map<Signal, Double> probabilities() {
    Map<Signal, Double> logs = new EnumMap<>(Signal.class);
    logs.put(Signal.STEADY, Math.log(1 - 2 * DRIFTS - 2 * SLIPS));
    logs.put(Signal.OPENING, total(true, c -> drift(c, 1)) + Math.log(DRIFTS));
    logs.put(Signal.CLOSING, total(true, c -> drift(c, -1)) + Math.log(DRIFTS));
    logs.put(Signal.STEP_OPEN, total(false, c -> slip(c, 1)) + Math.log(SLIPS));
    logs.put(Signal.STEP_TIGHT, total(false, c -> slip(c, -1)) + Math.log(SLIPS));
    double top = logs.values().stream().mapToDouble(d -> d).max().orElse(0);
    double sum = logs.values().stream().mapToDouble(d -> Math.exp(d - top)).sum();
    logs.replaceAll((k, v) -> Math.exp(v - top) / sum);
    return logs;
  }

  private double total(boolean drift, ToDoubleFunction<Candidate> log) {
    double sum = 0;
    double top =
        candidates.stream().filter(c -> c.drift() == drift).mapToDouble(log).max().orElse(0);
    for (Candidate c : candidates) {
      if (c.drift() == drift) {
        sum += c.prior() * Math.exp(log.applyAsDouble(c) - top);
      }
    }
    return candidates.isEmpty() ? 0 : top + Math.log(sum);
  }

  private static double drift(Candidate c, int direction) {
    double slow = c.now().of(direction, RATES[0]);
    double fast = c.now().of(direction, RATES[1]);
    double top = Math.max(slow, fast);
    return top + Math.log((Math.exp(slow - top) + Math.exp(fast - top)) / 2);
  }

  private static double slip(Candidate c, int direction) {
    return c.now().of(direction, SLIP_THOU);
  }

  /** A size with its begin. */
  private record Sized(@Nullable Range rate, @Nullable Range moved, Optional<Begun> begun) {}

  private Sized steady() {
    if (steps.stream().noneMatch(Track.Step::speaks)) {
      return new Sized(null, null, Optional.empty());
    }
    double[] own = Evidence.drift(steps, Double.NEGATIVE_INFINITY);
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
    int direction = signal.opens() ? 1 : -1;
    ToDoubleFunction<Candidate> log =
        signal.steps() ? c -> slip(c, direction) : c -> drift(c, direction);
    List<Candidate> kin = candidates.stream().filter(c -> c.drift() != signal.steps()).toList();
    double top = kin.stream().mapToDouble(log).max().orElse(0);
    Candidate best = kin.stream().max(java.util.Comparator.comparingDouble(log)).orElseThrow();
    List<Candidate> named =
        kin.stream().filter(c -> log.applyAsDouble(c) >= top - NAMED_WITHIN).toList();
    Begun begun =
        new Begun(
            named.stream().mapToDouble(Candidate::lowHours).min().orElseThrow(),
            best.hours(),
            named.stream().mapToDouble(Candidate::highHours).max().orElseThrow());
    double spread = signal.steps() ? SLIP_THOU : RATES[1];
    Range size = mixed(kin, log, top, c -> size(c, spread));
    Range moved =
        signal.steps()
            ? size
            : mixed(kin, log, top, c -> times(size(c, spread), lastHours - c.hours()));
    return new Sized(signal.steps() ? null : size, moved, Optional.of(begun));
  }

  private static Normal size(Candidate c, double spread) {
    double precision = c.now().g() + 1 / (spread * spread);
    return new Normal(c.now().b() / precision, 1 / Math.sqrt(precision));
  }

  private static Normal times(Normal n, double factor) {
    return new Normal(n.mean() * factor, n.sd() * factor);
  }

  private static Range mixed(
      List<Candidate> of,
      ToDoubleFunction<Candidate> log,
      double top,
      java.util.function.Function<Candidate, Normal> size) {
    double weight = 0;
    double mean = 0;
    double square = 0;
    for (Candidate c : of) {
      double w = c.prior() * Math.exp(log.applyAsDouble(c) - top);
      Normal n = size.apply(c);
      weight += w;
      mean += w * n.mean();
      square += w * (n.mean() * n.mean() + n.sd() * n.sd());
    }
    double m = mean / weight;
    return new Normal(m, Math.sqrt(Math.max(0, square / weight - m * m))).eighty();
  }
}
