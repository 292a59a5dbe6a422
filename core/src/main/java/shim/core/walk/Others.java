package shim.core.walk;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** What may be done beside the next step: offered only where it is allowed. */
final class Others {
  private Others() {}

  static <S> List<Otherwise> of(Walk<S> walk) {
    Step next = walk.next().orElse(null);
    List<Otherwise> all = new ArrayList<>();
    for (int c : walk.held().keySet()) {
      all.add(Otherwise.at(c, WalkAct.AIR_LOST, "The hold is going at cylinder " + c, ""));
      all.add(Otherwise.at(c, WalkAct.REHELD, "Cylinder " + c + " is held again", "what holds it"));
      all.add(Otherwise.at(c, WalkAct.RELEASE, "Let the hold of cylinder " + c + " go", ""));
    }
    walk.loose().forEach(p -> all.add(Otherwise.at(p, WalkAct.DROPPED, p + " has dropped", "")));
    all.addAll(walk.procedure().others(walk, next));
    counted(walk, all);
    all.add(Otherwise.whole(WalkAct.PARK, null, "Park the job", "what it waits for"));
    all.add(
        Otherwise.whole(WalkAct.ORDER, null, "A part is missing: order it and park", "which part"));
    all.add(
        Otherwise.whole(
            WalkAct.PARK, "drying or cooling", "Wait for drying or cooling", "minutes"));
    all.add(Otherwise.whole(WalkAct.PARK, "delivery", "Wait for a delivery", "minutes"));
    all.add(Otherwise.whole(WalkAct.RESUME, null, "Take the job up again", ""));
    all.add(Otherwise.whole(WalkAct.ABANDON, null, "End it unfinished", "why"));
    return all.stream().filter(o -> !same(o, next)).filter(o -> allowed(walk, o)).toList();
  }

  /** What does not add up is counted again. */
  private static void counted(Walk<?> walk, List<Otherwise> all) {
    walk.procedure().things().stream()
        .filter(t -> walk.ticked().contains("count:" + t.name()))
        .filter(t -> walk.count(t).difference(t).isPresent())
        .map(
            t ->
                Otherwise.whole(
                    WalkAct.COUNTED, t.name(), "Count the " + t.many() + " again", "pieces"))
        .forEach(all::add);
  }

  private static boolean same(Otherwise o, @Nullable Step next) {
    return next != null
        && o.step() == null
        && o.act() == next.act()
        && Objects.equals(o.cylinder(), next.cylinder())
        && Objects.equals(o.valve(), next.valve());
  }

  private static boolean allowed(Walk<?> walk, Otherwise o) {
    if (o.fromDeg() != null) {
      return true;
    }
    String word = Objects.requireNonNullElse(o.word(), "x");
    String step = Objects.requireNonNullElse(o.step(), "");
    return walk.refuses(
            new Done(o.act(), step, o.cylinder(), o.valve(), 1.0, word, "?", Instant.EPOCH))
        .isEmpty();
  }
}
