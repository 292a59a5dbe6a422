package shim.core.change;

import java.util.List;
import shim.core.change.JobPlan.Work;

/** How many pieces of each thing a job takes from stock, and how many old ones go away. */
record NewAndOld(JobPlan plan) {
  private boolean bare() {
    return plan.kind() == JobPlan.Kind.ASSEMBLE;
  }

  /** Valves whose retainer is another than before. */
  private int retained() {
    return bare() ? plan.valves().size() : plan.toAnotherKind().size();
  }

  private int locked() {
    return plan.schools().renewLocks() ? plan.valves().size() : retained();
  }

  private int seals() {
    return (int) plan.valves().stream().filter(Work::newSeal).count();
  }

  /** Laid out before the work begins. */
  int fresh(Item item) {
    return switch (item) {
      case SPRINGS ->
          bare()
              ? plan.valves().size()
              : (int)
                  plan.valves().stream().filter(w -> !w.newSpring().equals(w.oldSpring())).count();
      case SEALS -> seals();
      case RETAINERS -> retained();
      case LOCKS -> 2 * locked();
      case SHIMS ->
          (bare() ? plan.valves() : plan.toAnotherKind()).stream().mapToInt(NewAndOld::shims).sum();
      case TOOLS -> 6;
      case RAGS -> 2;
    };
  }

  /** Exchanged, and no longer looked for on the bench; springs stay there, each with its mark. */
  int old(Item item) {
    List<Work> others = plan.toAnotherKind();
    return bare()
        ? 0
        : switch (item) {
          case LOCKS -> 2 * locked();
          case SEALS -> seals();
          case RETAINERS -> others.size();
          case SHIMS -> others.stream().mapToInt(Work::shims).sum();
          case SPRINGS, TOOLS, RAGS -> 0;
        };
  }

  /** Pieces that go under a spring. */
  static int shims(Work w) {
    return w.to() == null ? w.shims() : w.to().shimsIn().size();
  }
}
