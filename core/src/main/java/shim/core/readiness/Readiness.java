package shim.core.readiness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Stream;
import shim.core.drift.ValveDrift;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.lash.EyeFindings;
import shim.core.running.Service;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/**
 * Springs, lash, lifters and open work together. The worst reason decides; none is averaged away.
 * It never says an engine is safe, only that nothing measured speaks against it.
 *
 * @param reasons worst first
 */
public record Readiness(State state, List<Reason> reasons) {
  /** Running since the last lash round below which it still stands, hours: a warm-up. */
  public static final double WARM_UP_HOURS = 0.2;

  /** How an engine stands. */
  public enum State {
    READY,
    READY_BUT,
    NOT_READY
  }

  /** What a reason belongs to. */
  public enum Area {
    WORK,
    SPRINGS,
    LASH,
    LIFTERS
  }

  /** What a reason says, with its weight. */
  public enum Code {
    /** A job is not signed off; {@code because} names it. */
    OPEN_JOB(Area.WORK, State.NOT_READY),
    /** An item is to be put right before the end of the event; {@code because} says which. */
    OPEN_ITEM(Area.WORK, State.READY_BUT),
    /** The engine is not whole, as {@code because} says: heads on the bench. */
    NOT_WHOLE(Area.WORK, State.NOT_READY),
    /** Due at {@code hours}. */
    PLUGS_DUE(Area.WORK, State.READY_BUT),
    OIL_DUE(Area.WORK, State.READY_BUT),
    FUEL_STANDS(Area.WORK, State.READY_BUT),
    NO_SPRINGS(Area.SPRINGS, State.READY_BUT),
    SPRINGS_NEVER_TESTED(Area.SPRINGS, State.READY_BUT),
    SPRINGS_NOT_TESTED(Area.SPRINGS, State.READY_BUT),
    SPRING_CHANGE(Area.SPRINGS, State.NOT_READY),
    SPRINGS_READ_AGAIN(Area.SPRINGS, State.NOT_READY),
    SPRINGS_WATCH(Area.SPRINGS, State.READY_BUT),
    /** Seen in a round, as {@code because} says: it does not run like this. */
    SPRING_SEEN(Area.SPRINGS, State.NOT_READY),
    VALVES_WITHOUT_SPRING(Area.SPRINGS, State.READY_BUT),
    ROUND_OPEN(Area.LASH, State.READY_BUT),
    NO_ROUND(Area.LASH, State.READY_BUT),
    /** It ran {@code hours} since the last round. */
    RAN_SINCE_ROUND(Area.LASH, State.READY_BUT),
    LEFT_UNDONE(Area.LASH, State.NOT_READY),
    /** A valve's lash moves, as {@code because} says, and nobody has looked. */
    LASH_MOVES(Area.LASH, State.NOT_READY),
    LASH_MOVES_LOOKED_AT(Area.LASH, State.READY_BUT),
    /** Seen in a round, as {@code because} says: it does not run like this. */
    ROCKER_SEEN(Area.LIFTERS, State.NOT_READY),
    TICKS_HOT(Area.LIFTERS, State.READY_BUT),
    LIFTER_CHANGE(Area.LIFTERS, State.NOT_READY),
    LIFTERS_WATCH(Area.LIFTERS, State.READY_BUT);

    private final Area area;
    private final State asks;

    Code(Area area, State asks) {
      this.area = area;
      this.asks = asks;
    }

    public Area area() {
      return area;
    }

    public State asks() {
      return asks;
    }
  }

  /**
   * One reason.
   *
   * @param positions the valves it is about; empty when about the whole engine
   * @param because what the feature it comes from says; empty where the code says all
   * @param reference the job or round it links to
   */
  public record Reason(
      Code code,
      List<Position> positions,
      OptionalDouble hours,
      Optional<Said> because,
      Optional<String> reference) {
    private static Reason of(Code code) {
      return at(code, List.of());
    }

    private static Reason at(Code code, List<Position> positions) {
      return new Reason(
          code, positions, OptionalDouble.empty(), Optional.empty(), Optional.empty());
    }

    private Reason because(Optional<Said> said) {
      return new Reason(code, positions, hours, said, reference);
    }

    private Reason linked(Optional<String> to) {
      return new Reason(code, positions, hours, because, to);
    }
  }

  public Readiness {
    reasons = List.copyOf(reasons);
  }

  public static Readiness of(Standing now) {
    List<Reason> found = new ArrayList<>();
    work(found, now);
    services(found, now);
    springs(found, now);
    lash(found, now);
    now.seen().forEach(f -> found.add(seen(f)));
    now.lifters().forEach(v -> lifter(found, v));
    group(
        found,
        Code.LIFTERS_WATCH,
        now.lifters().stream()
            .filter(v -> v.verdict() == Verdict.WATCH)
            .map(Standing.Lifter::position)
            .toList());
    Comparator<Reason> worst = Comparator.comparing((Reason r) -> r.code().asks()).reversed();
    List<Reason> reasons =
        found.stream().sorted(worst.thenComparing(r -> r.code().area())).toList();
    return new Readiness(reasons.isEmpty() ? State.READY : reasons.get(0).code().asks(), reasons);
  }

  /** Whether a round still stands after some running. */
  public static boolean stands(double ranSinceHours) {
    return Figures.atMost(ranSinceHours, WARM_UP_HOURS);
  }

  /** How one area stands. */
  public State of(Area area) {
    return in(area).map(r -> r.code().asks()).max(Comparator.naturalOrder()).orElse(State.READY);
  }

  public int count(Area area) {
    return (int) in(area).count();
  }

  private Stream<Reason> in(Area area) {
    return reasons.stream().filter(r -> r.code().area() == area);
  }

  private static void work(List<Reason> found, Standing now) {
    for (Standing.Open o : now.open()) {
      if (o.job().isPresent()) {
        found.add(Reason.of(Code.OPEN_JOB).because(kept(o)).linked(o.job()));
      } else if (o.stops()) {
        found.add(Reason.of(Code.NOT_WHOLE).because(kept(o)));
      } else if (o.due(now.endHours(), now.endsOn())) {
        found.add(Reason.at(Code.OPEN_ITEM, o.valve().stream().toList()).because(kept(o)));
      }
    }
  }

  private static void services(List<Reason> found, Standing now) {
    for (Service s : now.services()) {
      if (s.due(now.engineHours(), now.endHours())) {
        Code code =
            switch (s.kind()) {
              case PLUGS -> Code.PLUGS_DUE;
              case OIL -> Code.OIL_DUE;
              case FUEL -> Code.FUEL_STANDS;
            };
        found.add(
            new Reason(
                code,
                List.of(),
                OptionalDouble.of(s.dueAtHours()),
                Optional.empty(),
                Optional.empty()));
      }
    }
  }

  private static Optional<Said> kept(Standing.Open open) {
    return Optional.of(Said.kept(open.what()));
  }

  private static void springs(List<Reason> found, Standing now) {
    if (now.springs().isEmpty()) {
      found.add(Reason.of(Code.NO_SPRINGS));
      return;
    }
    List<Position> untested =
        now.springs().stream().filter(s -> !s.tested()).map(Standing.Spring::position).toList();
    if (untested.size() == now.springs().size()) {
      found.add(Reason.of(Code.SPRINGS_NEVER_TESTED));
    } else {
      group(found, Code.SPRINGS_NOT_TESTED, untested);
    }
    for (Standing.Spring s : now.springs()) {
      if (s.verdict() == Verdict.CHANGE) {
        found.add(Reason.at(Code.SPRING_CHANGE, List.of(s.position())).because(s.because()));
      }
    }
    group(
        found,
        Code.SPRINGS_READ_AGAIN,
        now.springs().stream()
            .filter(Standing.Spring::waits)
            .map(Standing.Spring::position)
            .toList());
    Predicate<Standing.Spring> watched = s -> s.verdict() == Verdict.WATCH && !s.waits();
    group(
        found,
        Code.SPRINGS_WATCH,
        now.springs().stream().filter(watched).map(Standing.Spring::position).toList());
    group(found, Code.VALVES_WITHOUT_SPRING, now.withoutSpring());
  }

  private static void lash(List<Reason> found, Standing now) {
    Standing.Lash lash = now.lash();
    if (lash.openRound().isPresent()) {
      found.add(Reason.of(Code.ROUND_OPEN).linked(lash.openRound()));
    }
    OptionalDouble ran = now.ranSinceRound();
    if (ran.isEmpty()) {
      found.add(Reason.of(Code.NO_ROUND));
      return;
    }
    if (!stands(ran.getAsDouble())) {
      found.add(
          new Reason(Code.RAN_SINCE_ROUND, List.of(), ran, Optional.empty(), Optional.empty()));
    }
    lash.undone().forEach(p -> found.add(Reason.at(Code.LEFT_UNDONE, List.of(p))));
  }

  private static Reason seen(EyeFindings.Finding f) {
    Code code = f.part() == EyeFindings.Part.SPRING ? Code.SPRING_SEEN : Code.ROCKER_SEEN;
    return new Reason(
        code,
        List.of(f.valve()),
        OptionalDouble.of(f.engineHours()),
        Optional.of(f.said()),
        Optional.empty());
  }

  private static void lifter(List<Reason> found, Standing.Lifter v) {
    List<Position> here = List.of(v.position());
    if (v.drift() == ValveDrift.Strength.FINDING) {
      Code code = v.looked() ? Code.LASH_MOVES_LOOKED_AT : Code.LASH_MOVES;
      found.add(Reason.at(code, here).because(Optional.of(v.lash())));
    }
    if (v.noisy()) {
      found.add(Reason.at(Code.TICKS_HOT, here));
    }
    if (v.verdict() == Verdict.CHANGE) {
      found.add(Reason.at(Code.LIFTER_CHANGE, here).because(v.because()));
    }
  }

  private static void group(List<Reason> found, Code code, List<Position> at) {
    if (!at.isEmpty()) {
      found.add(Reason.at(code, at));
    }
  }
}
