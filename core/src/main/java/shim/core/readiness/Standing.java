package shim.core.readiness;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import shim.core.drift.ValveDrift;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.lash.EyeFindings;
import shim.core.running.Service;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/**
 * How one engine stands before its next event, as its features say; readiness is made of it.
 *
 * @param engineHours now
 * @param endHours engine hours at the end of the next event
 * @param endsOn the day of the next event; empty where none is known
 * @param seen what the eye saw in a round and still stands
 * @param services what is done again by hours
 */
public record Standing(
    double engineHours,
    double endHours,
    Optional<LocalDate> endsOn,
    List<Open> open,
    List<Spring> springs,
    List<Position> withoutSpring,
    Lash lash,
    List<Lifter> lifters,
    List<EyeFindings.Finding> seen,
    List<Service> services) {
  /**
   * Work that is open.
   *
   * @param job the job, where it is one; else an item to be put right
   * @param valve it is about; empty when about the whole engine
   * @param dueHours engine hours by which an item is to be put right
   * @param dueOn the day by which it is; it always counts where neither is said
   * @param stops nothing runs until it is done
   */
  public record Open(
      Optional<String> job,
      String what,
      Optional<Position> valve,
      OptionalDouble dueHours,
      Optional<LocalDate> dueOn,
      boolean stops) {
    /** It is to be put right before the end of an event; an event without a day may be any day. */
    boolean due(double endHours, Optional<LocalDate> endsOn) {
      boolean byHours = dueHours.isPresent() && Figures.atMost(dueHours.getAsDouble(), endHours);
      boolean byDay = dueOn.isPresent() && (endsOn.isEmpty() || !dueOn.get().isAfter(endsOn.get()));
      return byHours || byDay || dueHours.isEmpty() && dueOn.isEmpty();
    }
  }

  /**
   * One spring in its place.
   *
   * @param because its first reason
   * @param waits it is to be changed, once it has been read again
   */
  public record Spring(
      Position position, Verdict verdict, Optional<Said> because, boolean tested, boolean waits) {}

  /**
   * How the last rounds left the lash.
   *
   * @param openRound one that was begun and not signed
   * @param lastHours engine hours of the last round that was signed
   * @param undone valves not done in it, or left outside their tolerance
   */
  public record Lash(Optional<String> openRound, OptionalDouble lastHours, List<Position> undone) {}

  /**
   * One valve's lifter, with what its lash and its noise say.
   *
   * @param because the lifter's first reason
   * @param lash what the lash shows
   * @param looked somebody has looked since the lash began to move
   * @param noisy it ticks when hot
   */
  public record Lifter(
      Position position,
      Verdict verdict,
      Optional<Said> because,
      ValveDrift.Strength drift,
      Said lash,
      boolean looked,
      boolean noisy) {}

  /** Engine hours since the last signed round; empty without one. */
  public OptionalDouble ranSinceRound() {
    OptionalDouble last = lash.lastHours();
    return last.isPresent() ? OptionalDouble.of(engineHours - last.getAsDouble()) : last;
  }

  public Standing {
    open = List.copyOf(open);
    springs = List.copyOf(springs);
    withoutSpring = List.copyOf(withoutSpring);
    lifters = List.copyOf(lifters);
    seen = List.copyOf(seen);
  }
}
