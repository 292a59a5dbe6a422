package shim.core.lifter;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import shim.core.drift.ValveDrift;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.Lifter;
import shim.core.fatigue.Verdict;
import shim.core.stats.Range;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/**
 * How one lifter stands: its worst finding, never an average.
 *
 * @param reasons worst first
 * @param toInterval running hours left to its interval; below zero: over it
 * @param toTrend hours until its valve's lash has opened by what counts as worn, when it opens
 * @param dueBefore number of the coming event before which it falls due, 0 the next
 */
public record LifterOutlook(
    Verdict verdict,
    List<LifterReason> reasons,
    OptionalDouble toInterval,
    Optional<Range> toTrend,
    OptionalInt dueBefore) {
  /** Lift lost at the valve from which a lobe counts as worn, thou: common practice, no source. */
  static final double WORN_THOU = 5;

  /** Chance of lifter or lobe from which a trend is taken to be theirs. */
  private static final double THEIRS = 0.5;

  /** Chance from which something else is looked at before a lifter is changed. */
  private static final double MAY_BE = 0.1;

  /** Open load above which a kind of lifter is worth watching, lbf: common practice, no source. */
  private static final Map<Lifter, Double> OPEN_LBF =
      Map.of(
          Lifter.FLAT_SOLID, 300.0,
          Lifter.FLAT_HYDRAULIC, 300.0,
          Lifter.ROLLER_HYDRAULIC, 420.0,
          Lifter.ROLLER_SOLID, 850.0);

  public LifterOutlook {
    reasons = List.copyOf(reasons);
  }

  public static LifterOutlook of(LifterFacts facts) {
    List<LifterReason> reasons = new ArrayList<>(seen(facts));
    OptionalDouble left = left(facts);
    OptionalInt due = dueAt(left, facts.comingHours());
    interval(facts, left, due).ifPresent(reasons::add);
    Optional<Range> toTrend = toTrend(facts);
    trend(facts, toTrend).ifPresent(reasons::add);
    openLoad(facts).ifPresent(reasons::add);
    if (facts.overRevs() > 0) {
      reasons.add(LifterReason.of(LifterReason.Kind.OVER_REV, Verdict.RUN, facts.overRevs()));
    }
    if (facts.hours().isEmpty()) {
      reasons.add(LifterReason.of(LifterReason.Kind.NOT_ON_RECORD, Verdict.RUN));
    } else if (facts.seen().stream().noneMatch(s -> s.look().ofTheLifter())) {
      reasons.add(LifterReason.of(LifterReason.Kind.NOT_LOOKED_AT, Verdict.RUN));
    }
    reasons.sort(Comparator.comparing(LifterReason::asks).reversed());
    Verdict verdict =
        reasons.stream().map(LifterReason::asks).reduce(Verdict.RUN, Verdict::orWorse);
    return new LifterOutlook(verdict, reasons, left, toTrend, due(facts, due, toTrend, verdict));
  }

  /** Only the last finding of each look counts. */
  private static List<LifterReason> seen(LifterFacts facts) {
    Map<Look, Grade> latest = new EnumMap<>(Look.class);
    facts.seen().stream()
        .filter(s -> s.look().ofTheLifter())
        .forEach(s -> latest.put(s.look(), s.grade()));
    return latest.entrySet().stream()
        .filter(e -> e.getValue().level() != Level.GOOD)
        .map(
            e ->
                new LifterReason(
                    LifterReason.Kind.SEEN,
                    e.getValue().level().asks(),
                    Said.of(LifterReason.Kind.SEEN).named(e.getKey().saying(e.getValue()))))
        .toList();
  }

  private static OptionalDouble left(LifterFacts f) {
    return f.intervalHours().isEmpty() || f.hours().isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(f.intervalHours().getAsDouble() - f.hours().getAsDouble());
  }

  /** The first event that would end beyond the hours left. */
  private static OptionalInt dueAt(OptionalDouble left, List<Double> coming) {
    double sum = 0;
    for (int i = 0; i < coming.size() && left.isPresent(); i++) {
      sum += coming.get(i);
      if (sum > left.getAsDouble()) {
        return OptionalInt.of(i);
      }
    }
    return OptionalInt.empty();
  }

  private static Optional<LifterReason> interval(
      LifterFacts f, OptionalDouble left, OptionalInt due) {
    if (left.isEmpty()) {
      return Optional.empty();
    }
    boolean over = left.getAsDouble() < 0;
    boolean next = due.isPresent() && due.getAsInt() == 0;
    Verdict after = due.isPresent() && due.getAsInt() == 1 ? Verdict.WATCH : Verdict.RUN;
    return why(
        over
            ? LifterReason.Kind.OVER_INTERVAL
            : next ? LifterReason.Kind.INTERVAL_AT_NEXT : LifterReason.Kind.INTERVAL,
        over || next ? Verdict.CHANGE : after,
        f.hours().getAsDouble(),
        f.intervalHours().getAsDouble());
  }

  /** Hours until the lash has opened by what counts as worn, from the valve's own rate. */
  private static Optional<Range> toTrend(LifterFacts f) {
    return f.drift()
        .filter(d -> d.signal() == ValveDrift.Signal.OPENING)
        .filter(d -> d.thouPerHour() != null && d.movedThou() != null)
        .map(
            d -> {
              double rest = WORN_THOU - d.moved().mid();
              return new Range(
                  hours(WORN_THOU - d.moved().high(), d.rate().high()),
                  hours(rest, d.rate().mid()),
                  hours(WORN_THOU - d.moved().low(), d.rate().low()));
            });
  }

  private static double hours(double restThou, double thouPerHour) {
    return restThou <= 0 ? 0 : thouPerHour <= 0 ? Double.POSITIVE_INFINITY : restThou / thouPerHour;
  }

  private static Optional<LifterReason> trend(LifterFacts f, Optional<Range> toTrend) {
    Optional<ValveDrift> signal =
        f.drift().filter(d -> d.strength() == Strength.WATCH || d.strength() == Strength.FINDING);
    if (signal.isEmpty() || !signal.get().signal().opens()) {
      return Optional.empty();
    }
    List<Diagnosis.Suspect> causes = causes(f, signal.get());
    double theirs = theirs(causes);
    if (theirs < 0.05) {
      return Optional.empty();
    }
    ValveDrift d = signal.get();
    if (d.signal().steps() || d.strength() == Strength.WATCH || toTrend.isEmpty()) {
      return why(
          d.signal().steps() ? LifterReason.Kind.WENT_WIDE_ONCE : LifterReason.Kind.MAY_BE_OPENING,
          Verdict.WATCH);
    }
    double next = f.comingHours().isEmpty() ? 0 : f.comingHours().get(0);
    double then = d.moved().mid() + d.rate().mid() * next;
    double[] figures = {d.moved().mid(), d.begun().orElseThrow().likeliestHours(), then, WORN_THOU};
    if (then < WORN_THOU || theirs < THEIRS) {
      return why(LifterReason.Kind.TREND, Verdict.WATCH, figures);
    }
    return lookFirst(f, causes)
        .map(look -> lookFirst(look, figures))
        .or(() -> why(LifterReason.Kind.TREND, Verdict.CHANGE, figures));
  }

  private static LifterReason lookFirst(Look look, double[] figures) {
    LifterReason.Kind kind = LifterReason.Kind.LOOK_FIRST;
    return new LifterReason(kind, Verdict.WATCH, Said.of(kind, figures).named(look.title()));
  }

  /** The cheapest look not yet made at something other than the lifter that may explain it. */
  private static Optional<Look> lookFirst(LifterFacts f, List<Diagnosis.Suspect> causes) {
    Set<Look> made = EnumSet.noneOf(Look.class);
    f.seen().forEach(s -> made.add(s.look()));
    return Stream.of(Look.values())
        .filter(l -> !made.contains(l) && l.minutes() < Look.LOBE_LIFT.minutes())
        .filter(l -> causes.stream().anyMatch(s -> mayBe(s) && Rules.speaks(l, s.cause())))
        .min(Comparator.comparingInt(Look::minutes));
  }

  private static boolean mayBe(Diagnosis.Suspect s) {
    return s.cause() != Cause.LIFTER && s.cause() != Cause.LOBE && s.share() >= MAY_BE;
  }

  private static List<Diagnosis.Suspect> causes(LifterFacts f, ValveDrift d) {
    Set<Symptom> symptoms = EnumSet.noneOf(Symptom.class);
    Symptom.of(d.signal()).ifPresent(symptoms::add);
    return Diagnosis.suspects(symptoms, f.seen());
  }

  /** Share of lifter and lobe among the causes, with all that was seen. */
  private static double theirs(List<Diagnosis.Suspect> causes) {
    return causes.stream()
        .filter(s -> s.cause() == Cause.LIFTER || s.cause() == Cause.LOBE)
        .mapToDouble(Diagnosis.Suspect::share)
        .sum();
  }

  private static Optional<LifterReason> openLoad(LifterFacts f) {
    Double limit = OPEN_LBF.get(f.kind());
    if (limit == null
        || f.openLbf().isEmpty()
        || !Figures.above(f.openLbf().getAsDouble(), limit)) {
      return Optional.empty();
    }
    return why(LifterReason.Kind.OPEN_LOAD, Verdict.WATCH, f.openLbf().getAsDouble(), limit);
  }

  private static OptionalInt due(
      LifterFacts f, OptionalInt byInterval, Optional<Range> toTrend, Verdict verdict) {
    if (verdict == Verdict.CHANGE && !f.comingHours().isEmpty()) {
      return OptionalInt.of(0);
    }
    OptionalInt byTrend =
        toTrend
            .map(r -> dueAt(OptionalDouble.of(r.mid()), f.comingHours()))
            .orElse(OptionalInt.empty());
    return byTrend.isEmpty()
        ? byInterval
        : byInterval.isEmpty()
            ? byTrend
            : OptionalInt.of(Math.min(byInterval.getAsInt(), byTrend.getAsInt()));
  }

  private static Optional<LifterReason> why(
      LifterReason.Kind kind, Verdict asks, double... figures) {
    return Optional.of(LifterReason.of(kind, asks, figures));
  }
}
