package shim.core.change;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import shim.core.engine.Position;

/**
 * Something that stays open on an engine after a job.
 *
 * @param valves concerned; none where it is the whole engine
 * @param dueHours engine hours by which it is to be put right
 * @param odd for a spring of another set, which one among which
 */
public record StaysOpen(
    Kind kind, List<Position> valves, OptionalDouble dueHours, Optional<Odd> odd) {
  /** The first heat cycle is over by then, hours. Common practice, no source. */
  private static final double RECHECK_HOURS = 0.5;

  /** Lash is set anew after a break-in of so many hours. Common practice, no source. */
  private static final double RESET_HOURS = 1;

  /** The inner springs go back after so many hours. Common practice, no source. */
  private static final double BREAK_IN_HOURS = 1;

  /** What kind of thing. */
  public enum Kind {
    ORDER,
    STAND_IN,
    ODD,
    RECHECK,
    INNER_OUT,
    /** A height that was not measured. */
    HEIGHT_OPEN,
    /** The heads are off: nothing runs. */
    HEADS_ON,
    /** Lash or preload is set once more when everything has run in. */
    RESET,
    UNFINISHED,
    /** Written down by a person. */
    NOTED;

    /** The engine does not run until it is done, whatever the hours. */
    public boolean stops() {
      return this == HEADS_ON;
    }
  }

  /** A set among another. */
  public record Odd(String set, String among) {}

  /**
   * What a job leaves open when it is signed.
   *
   * @param skipped valves whose height was not measured
   * @param standIns valves that run a spring until the right one comes
   * @param sets which set's spring stands at each valve of the engine now
   * @param breakInHours that were asked for; empty takes the usual
   * @param resetHours after which lash is set anew; empty takes the break-in's, or the usual
   */
  public static List<StaysOpen> afterSigning(
      JobPlan plan,
      double engineHours,
      Collection<Position> skipped,
      Collection<Position> standIns,
      Map<Position, String> sets,
      OptionalDouble breakInHours,
      OptionalDouble resetHours) {
    List<StaysOpen> open = new ArrayList<>();
    if (plan.kind() == JobPlan.Kind.IN_CAR) {
      List<Position> done = plan.valves().stream().map(JobPlan.Work::valve).toList();
      open.add(of(Kind.RECHECK, done, OptionalDouble.of(engineHours + RECHECK_HOURS)));
      standIns.forEach(p -> open.add(of(Kind.STAND_IN, List.of(p), OptionalDouble.empty())));
      open.addAll(odd(sets));
    }
    if (!skipped.isEmpty()) {
      open.add(of(Kind.HEIGHT_OPEN, skipped.stream().sorted().toList(), OptionalDouble.empty()));
    }
    if (plan.kind() != JobPlan.Kind.IN_CAR) {
      open.add(of(Kind.HEADS_ON, List.of(), OptionalDouble.empty()));
    }
    if (plan.drive().innerOut()) {
      double due = engineHours + breakInHours.orElse(BREAK_IN_HOURS);
      open.add(of(Kind.INNER_OUT, List.of(), OptionalDouble.of(due)));
    }
    if (plan.kind() != JobPlan.Kind.IN_CAR || plan.drive().innerOut()) {
      double due = engineHours + resetHours.orElse(breakInHours.orElse(RESET_HOURS));
      open.add(of(Kind.RESET, List.of(), OptionalDouble.of(due)));
    }
    return open;
  }

  /**
   * What heads that were put on leave open.
   *
   * @param resetHours after which lash is set and fixings are torqued anew; empty takes the usual
   */
  public static List<StaysOpen> afterHeadsOn(
      List<Position> valves, double engineHours, OptionalDouble resetHours) {
    return List.of(
        of(Kind.RECHECK, valves, OptionalDouble.of(engineHours + RECHECK_HOURS)),
        of(Kind.RESET, List.of(), OptionalDouble.of(engineHours + resetHours.orElse(RESET_HOURS))));
  }

  /** Valves whose spring is of another set than most: open until the set is whole again. */
  private static List<StaysOpen> odd(Map<Position, String> sets) {
    String most =
        sets.values().stream()
            .max(Comparator.comparingInt(s -> Collections.frequency(sets.values(), s)))
            .orElse("");
    return new TreeMap<>(sets)
        .entrySet().stream()
            .filter(e -> !e.getValue().equals(most))
            .map(
                e ->
                    new StaysOpen(
                        Kind.ODD,
                        List.of(e.getKey()),
                        OptionalDouble.empty(),
                        Optional.of(new Odd(e.getValue(), most))))
            .toList();
  }

  private static StaysOpen of(Kind kind, List<Position> valves, OptionalDouble dueHours) {
    return new StaysOpen(kind, valves, dueHours, Optional.empty());
  }
}
