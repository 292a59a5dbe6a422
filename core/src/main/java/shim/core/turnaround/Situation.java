package shim.core.turnaround;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import shim.core.unit.Known;

/**
 * What is to be planned.
 *
 * @param truck minutes from the plan's begin until the truck leaves
 * @param horizon minutes beyond which nothing is planned
 */
public record Situation(int truck, int horizon, List<Work> work, List<Hand> hands) {
  public Situation {
    work = List.copyOf(work);
    hands = List.copyOf(hands);
  }

  Map<String, Work> byId() {
    Map<String, Work> all = new LinkedHashMap<>();
    work.forEach(w -> all.put(w.id(), w));
    return all;
  }

  List<Hand> mayDo(Work w) {
    return hands.stream().filter(w::may).toList();
  }

  /** The ids of works that wait for one another in a circle; nothing can be planned with one. */
  public static Optional<List<String>> circle(List<Work> work) {
    return Order.circle(work);
  }

  Situation with(Predicate<Work> which) {
    return new Situation(truck, horizon, work.stream().filter(which).toList(), hands);
  }

  Situation until(int given) {
    return new Situation(truck, given, work, hands);
  }

  /** What must be there for something heavier weighs as much as that. */
  Situation weighed() {
    Map<String, Work> all = byId();
    List<Work> order = Order.of(work);
    for (int i = order.size() - 1; i >= 0; i--) {
      Work w = Known.in(all, order.get(i).id());
      for (Work.After a : w.after()) {
        Work before = Known.in(all, a.id());
        if (before.weight().compareTo(w.weight()) > 0) {
          all.put(a.id(), before.weighing(w.weight()));
        }
      }
    }
    return new Situation(truck, horizon, List.copyOf(all.values()), hands);
  }

  /** Minutes from the begin of each work to the end of the longest row of works behind it. */
  Map<String, Integer> tails() {
    Map<String, Integer> tails = new HashMap<>();
    List<Work> order = Order.of(work);
    for (int i = order.size() - 1; i >= 0; i--) {
      Work w = order.get(i);
      int own = tails.merge(w.id(), w.minutes(), (behind, mine) -> behind + mine);
      w.after().forEach(a -> tails.merge(a.id(), a.minutes() + own, Math::max));
    }
    return tails;
  }
}
