package shim.core.turnaround;

import java.util.List;
import java.util.Optional;
import shim.core.engine.Position;
import shim.core.readiness.Readiness;

/**
 * A work with what it is.
 *
 * @param engine the engine it is done on; empty for none
 * @param positions the valves it is about; empty when about the whole engine
 * @param because the reasons it comes of; none where a person wants it
 * @param past how well its minutes are known
 */
public record Task(
    Kind kind,
    Optional<String> engine,
    List<Position> positions,
    List<Readiness.Reason> because,
    PastTimes past,
    Work work) {
  /**
   * Kinds of work, with what is usual where the team has timed none: common practice, no source.
   */
  public enum Kind {
    SPRING_TEST(1, 10, 3),
    SPRINGS_AGAIN(1, 10, 4),
    LIFTER_LOOK(1, 10, 10),
    OPEN_JOB(2, 60, 0),
    SPRING_CHANGE(2, 20, 25),
    LIFTER_CHANGE(3, 45, 45),
    ROCKER_REPAIR(3, 15, 20),
    OPEN_ITEM(3, 30, 0),
    /** Whenever the engine is free. */
    PLUGS(0, 20, 2),
    OIL(0, 35, 0),
    FUEL(0, 30, 0),
    /** Lash, or preload, of all valves or of those that were worked at: the last of all. */
    LASH_ROUND(4, 15, 3),
    /** A part that has come is measured before it goes on. */
    ARRIVAL(0, 10, 0),
    /** Wanted by a person. */
    BY_HAND(0, 30, 0);

    private final int step;
    private final int once;
    private final int each;

    Kind(int step, int once, int each) {
      this.step = step;
      this.once = once;
      this.each = each;
    }

    /** Its place in the working order on one engine; 0 has none. */
    int step() {
      return step;
    }

    /** Usual minutes for some valves. */
    public double usual(int valves) {
      return once + each * (double) valves;
    }
  }

  public Task {
    positions = List.copyOf(positions);
    because = List.copyOf(because);
  }

  public Task with(Work given) {
    return new Task(kind, engine, positions, because, past, given);
  }
}
