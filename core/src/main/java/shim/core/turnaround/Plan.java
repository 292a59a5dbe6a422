package shim.core.turnaround;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Who does what when, until the truck leaves.
 *
 * @param placed what is done before the truck leaves and what must be done though it is late, by
 *     time
 * @param left what does not fit before it or cannot be planned
 * @param musts minute at which the last of what must be done ends; the begin where nothing must
 * @param best nothing that must be done can end earlier
 * @param late musts that end after the truck has left or cannot be planned at all
 * @param chance that all musts are done in time, from the spread of past times; empty where some
 *     cannot be planned
 */
public record Plan(
    List<Placed> placed,
    List<Left> left,
    int musts,
    boolean best,
    List<String> late,
    OptionalDouble chance) {
  /** A work that is not in the plan, and why. */
  public record Left(Work work, Why why) {
    /** Why a work is not in the plan. */
    public enum Why {
      /** It would end after the truck has left. */
      NO_TIME,
      /** Nobody knows when its part comes. */
      PART_UNKNOWN,
      /** Something that comes before it is not in the plan. */
      NOT_WITHOUT,
      /** Nobody who may do it is there long enough in one go before the horizon. */
      NOBODY
    }
  }

  public Plan {
    placed = List.copyOf(placed);
    left = List.copyOf(left);
    late = List.copyOf(late);
  }

  public static Plan of(Situation given) {
    return new Planner(given).plan();
  }

  public Optional<Placed> of(String id) {
    return placed.stream().filter(p -> p.work().id().equals(id)).findFirst();
  }

  /**
   * The works that decide when the last must is done, from the first to the last: each begins when
   * the one before it lets it.
   */
  public List<Placed> chain() {
    Map<String, Placed> by = new HashMap<>();
    placed.forEach(p -> by.put(p.work().id(), p));
    Deque<Placed> chain = new ArrayDeque<>();
    Optional<Placed> at =
        placed.stream()
            .filter(p -> p.work().weight() == Weight.MUST)
            .max(Comparator.comparingInt(Placed::end));
    while (at.isPresent()) {
      chain.addFirst(at.get());
      at = Optional.ofNullable(by.get(at.get().cause().name()));
    }
    return new ArrayList<>(chain);
  }
}
