package shim.core.change;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import shim.core.crank.CrankModel;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.spring.Stack;
import shim.core.unit.Known;

/**
 * What a technician wants of a job, and the plan that comes of it.
 *
 * @param crankLock null lets the torque of air decide
 * @param fromDeg where the crank stands now; null where it does not matter
 */
public record JobWish(
    JobPlan.Kind kind,
    Hold hold,
    AirHold air,
    @Nullable Boolean crankLock,
    Route.School order,
    @Nullable Double fromDeg,
    boolean intakeOff,
    boolean innerOut,
    List<Wanted> valves) {

  /**
   * A valve to be done.
   *
   * @param spring the one that goes in; empty takes the best from stock, or puts the old one back
   * @param sameAgain the old one goes back whatever is in stock
   */
  public record Wanted(Position valve, Optional<Free> spring, boolean newSeal, boolean sameAgain) {}

  /** A spring that can go in. */
  public record Free(String id, String mark) {}

  /**
   * What stands at a valve now.
   *
   * @param mark of its spring
   * @param shims stack as it is written
   * @param spares best match first
   * @param damper the kind of spring that goes in has one
   * @param to what goes in with a spring of another kind; the height wanted and the spares are that
   *     kind's then; null where the kind stays
   */
  public record Pocket(
      String mark,
      @Nullable String shims,
      double targetIn,
      List<Spare> spares,
      boolean damper,
      JobPlan.@Nullable Parts to) {}

  /**
   * What the team has and how it works.
   *
   * @param clampRule torque rule of rocker fixings that clamp the head too
   */
  public record Shop(
      double toleranceIn,
      @Nullable Double gaugeLowIn,
      @Nullable Double gaugeHighIn,
      boolean fixingClampsHead,
      @Nullable String clampRule,
      Schools schools,
      List<JobPlan.Torque> torques) {}

  /** Why nothing can be planned. */
  public enum Refused {
    NO_VALVES,
    /** A head on the bench is held by a block. */
    BENCH_WANTS_BLOCK,
    /** A block cannot get under a head that is on. */
    BLOCK_WANTS_BENCH,
    NO_SUCH_VALVE,
    NO_SPRING_ON_RECORD,
    /** Nothing of the other kind that is wanted lies free. */
    NONE_OF_THAT_KIND
  }

  /** A refusal and the valve it is about, if about one. */
  public record No(Refused why, Optional<Position> valve) {}

  public JobWish {
    valves = List.copyOf(valves);
  }

  /**
   * Whether it can be planned at all.
   *
   * @param pockets of the valves that are wanted, as far as they have a spring
   */
  public Optional<No> refused(Engine engine, Map<Position, Pocket> pockets) {
    if (valves.isEmpty()) {
      return Optional.of(new No(Refused.NO_VALVES, Optional.empty()));
    }
    boolean bench = kind != JobPlan.Kind.IN_CAR;
    if (bench != (hold == Hold.BLOCK)) {
      Refused why = bench ? Refused.BENCH_WANTS_BLOCK : Refused.BLOCK_WANTS_BENCH;
      return Optional.of(new No(why, Optional.empty()));
    }
    for (Wanted w : valves) {
      if (!engine.layout().positions().contains(w.valve())) {
        return Optional.of(new No(Refused.NO_SUCH_VALVE, Optional.of(w.valve())));
      }
      if (!pockets.containsKey(w.valve())) {
        return Optional.of(new No(Refused.NO_SPRING_ON_RECORD, Optional.of(w.valve())));
      }
    }
    Map<Position, Free> in = springs(pockets);
    return valves.stream()
        .map(Wanted::valve)
        .filter(p -> Known.in(pockets, p).to() != null && !in.containsKey(p))
        .findFirst()
        .map(p -> new No(Refused.NONE_OF_THAT_KIND, Optional.of(p)));
  }

  /**
   * Which spring goes in at each valve that gets another: the one asked for, else the best in stock
   * that no other valve of the job takes.
   */
  public Map<Position, Free> springs(Map<Position, Pocket> pockets) {
    Set<String> taken = new HashSet<>();
    valves.forEach(w -> w.spring().map(Free::id).ifPresent(taken::add));
    Map<Position, Free> in = new LinkedHashMap<>();
    for (Wanted w : valves) {
      if (!w.sameAgain()) {
        w.spring()
            .or(() -> best(Known.in(pockets, w.valve()), taken))
            .ifPresent(
                s -> {
                  taken.add(s.id());
                  in.put(w.valve(), s);
                });
      }
    }
    return in;
  }

  private static Optional<Free> best(Pocket pocket, Set<String> taken) {
    return pocket.spares().stream()
        .filter(s -> !taken.contains(s.id()))
        .findFirst()
        .map(s -> new Free(s.id(), s.mark()));
  }

  /** Air turns the crank at the chosen point, or all but does. */
  public boolean lockWanted() {
    return hold == Hold.AIR && air.lockWanted();
  }

  /** The route of least barring by a school. */
  public Route route(Engine engine, Route.School school) {
    return Route.of(
        engine.layout(),
        CrankModel.of(engine),
        hold,
        school,
        valves.stream().map(Wanted::valve).toList(),
        fromDeg);
  }

  /** The plan of it, where nothing is refused. */
  public JobPlan plan(Engine engine, Map<Position, Pocket> pockets, Shop shop) {
    Map<Position, Free> in = springs(pockets);
    return new JobPlan(
        kind,
        hold,
        air.psi(),
        crankLock == null ? lockWanted() : crankLock,
        route(engine, order),
        new TreeMap<>(engine.layout().compressionTdcDeg()),
        valves.stream().map(w -> work(w, Known.in(pockets, w.valve()), in, shop)).toList(),
        JobPlan.Drive.of(engine, shop.fixingClampsHead(), shop.clampRule(), intakeOff, innerOut),
        shop.schools(),
        shop.torques(),
        air);
  }

  private JobPlan.Work work(Wanted w, Pocket pocket, Map<Position, Free> in, Shop shop) {
    Free next = in.get(w.valve());
    return new JobPlan.Work(
        w.valve(),
        kind == JobPlan.Kind.ASSEMBLE ? "" : pocket.mark(),
        next == null ? pocket.mark() : next.mark(),
        w.newSeal(),
        Stack.count(pocket.shims()),
        new JobPlan.Height(
            pocket.targetIn(), shop.toleranceIn(), shop.gaugeLowIn(), shop.gaugeHighIn()),
        pocket.damper(),
        pocket.to());
  }
}
