package shim.core.turnaround;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import shim.core.unit.Known;

/** Lays works again in the order and with the hands of a plan, each as early as that lets it. */
final class Again {
  private Again() {}

  /** Starts by an order that was searched; none is later than it was there. */
  static Collection<Placed> inOrder(Situation now, Map<String, Solver.Start> starts) {
    Laying laying = new Laying(now);
    now.work().stream()
        .filter(w -> w.begun().isEmpty())
        .sorted(
            Comparator.comparingInt((Work w) -> Known.in(starts, w.id()).minute())
                .thenComparing(Work::id))
        .forEach(w -> laying.layNext(w, Known.in(starts, w.id()).hands()));
    return laying.placed().values();
  }

  /**
   * A plan's works with other minutes; empty when one of them finds no place before the horizon.
   */
  static Optional<Map<String, Placed>> withMinutes(
      Situation now, List<Placed> plan, Map<String, Integer> minutes) {
    List<Work> work =
        plan.stream().map(p -> p.work().lasting(Known.in(minutes, p.work().id()))).toList();
    Laying laying = new Laying(new Situation(now.truck(), now.horizon(), work, now.hands()));
    for (int i = 0; i < work.size(); i++) {
      if (work.get(i).begun().isEmpty()
          && laying.layNext(work.get(i), plan.get(i).hands()).isEmpty()) {
        return Optional.empty();
      }
    }
    return Optional.of(laying.placed());
  }
}
