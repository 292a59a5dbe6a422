package shim.core.change;

import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import shim.core.change.JobPlan.Work;
import shim.core.change.ValveState.Pushrod;
import shim.core.change.ValveState.Stage;
import shim.core.engine.Position;

/**
 * A spring change as it stands, beside what every walk knows. {@link SpringChange} follows what was
 * done; {@link Guard} refuses what would hurt.
 *
 * @param crankDeg null until the crank was brought somewhere
 * @param off cylinders whose rockers are off
 * @param scrapped marks of springs that came out for good
 */
public record Job(
    JobPlan plan,
    @Nullable Double crankDeg,
    boolean crankLocked,
    Set<Integer> off,
    Map<Position, ValveState> valves,
    Set<String> scrapped) {
  public Job {
    off = Collections.unmodifiableSet(off);
    valves = Collections.unmodifiableMap(valves);
    scrapped = Collections.unmodifiableSet(scrapped);
  }

  /** A job before its first act. */
  static Job begin(JobPlan plan) {
    Map<Position, ValveState> valves = new TreeMap<>();
    boolean bare = plan.kind() == JobPlan.Kind.ASSEMBLE;
    boolean rods = plan.drive().pushrods() && plan.kind() == JobPlan.Kind.IN_CAR;
    for (Work w : plan.valves()) {
      valves.put(
          w.valve(),
          new ValveState(
              bare ? Stage.UNHOOKED : Stage.ON_SPRING,
              bare ? null : w.oldSpring(),
              !bare,
              bare ? 0 : w.shims(),
              null,
              false,
              rods ? Pushrod.IN_PLACE : Pushrod.NONE,
              false,
              null));
    }
    return new Job(plan, null, false, Set.of(), valves, Set.of());
  }

  /** Where the crank stands off the TDC at which a cylinder's air goes on, and what air does. */
  public Optional<CrankOff> offTdc(int cylinder) {
    return plan.hold() == Hold.AIR ? CrankOff.of(this, cylinder) : Optional.empty();
  }

  public ValveState valve(Position p) {
    return Objects.requireNonNull(valves.get(p), "no such valve in this job: " + p);
  }

  Job crank(@Nullable Double deg, boolean locked) {
    return new Job(plan, deg, locked, off, valves, scrapped);
  }

  Job rockers(Set<Integer> areOff) {
    return new Job(plan, crankDeg, crankLocked, areOff, valves, scrapped);
  }

  Job with(Position p, UnaryOperator<ValveState> change) {
    Map<Position, ValveState> next = new TreeMap<>(valves);
    next.put(p, change.apply(valve(p)));
    return new Job(plan, crankDeg, crankLocked, off, next, scrapped);
  }

  /** All valves of a cylinder. */
  Job each(int cylinder, UnaryOperator<ValveState> change) {
    Job job = this;
    for (Work w : plan.of(cylinder)) {
      job = job.with(w.valve(), change);
    }
    return job;
  }

  Job scrap(String mark) {
    Set<String> next = new TreeSet<>(scrapped);
    next.add(mark);
    return new Job(plan, crankDeg, crankLocked, off, valves, next);
  }
}
