package shim.core.change;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.walk.Otherwise;
import shim.core.walk.Step;
import shim.core.walk.WalkAct;

/** What else may happen in a spring change, beside the next step. */
final class SpringOthers {
  private SpringOthers() {}

  static List<Otherwise> of(Job job, @Nullable Step next) {
    List<Otherwise> all = new ArrayList<>();
    job.valves().keySet().forEach(p -> valve(all, p, next));
    all.add(Otherwise.whole(SpringAct.LOCK, null, "Lock the crank", ""));
    all.add(Otherwise.whole(SpringAct.UNLOCK, null, "Unlock the crank", ""));
    for (Item i : List.of(Item.LOCKS, Item.RETAINERS, Item.SEALS)) {
      String old = "Old " + i.many() + " to scrap or spares, in all";
      all.add(Otherwise.more(i));
      all.add(Otherwise.whole(WalkAct.PUT_AWAY, i.name(), old, "pieces"));
    }
    all.add(Otherwise.whole(SpringAct.BAR, null, "The crank was barred elsewhere", "degrees"));
    if (next != null && next.act() == SpringAct.BAR && job.plan().hold() == Hold.AIR) {
      all.add(offTdc(next));
    }
    return all;
  }

  private static void valve(List<Otherwise> all, Position p, @Nullable Step next) {
    all.add(Otherwise.at(p, SpringAct.JUMPED, "A lock of " + p + " jumped", ""));
    all.add(Otherwise.at(p, SpringAct.ACCEPT_HEIGHT, p + ": its height may stand", "why"));
    if (next != null && next.act() == SpringAct.HEIGHT && p.equals(next.valve())) {
      all.add(skip(p, next));
    }
    all.add(Otherwise.at(p, SpringAct.STACK, p + ": another stack of shims", "pieces"));
    all.add(Otherwise.at(p, SpringAct.SPRING_OUT, p + ": take the spring out again", "why"));
    all.add(Otherwise.at(p, SpringAct.UNHOOK, p + ": take the locks out again", ""));
    all.add(Otherwise.at(p, SpringAct.COMPRESS, p + ": compress it once more", ""));
    all.add(Otherwise.at(p, SpringAct.CLOSE, p + ": let it up again", ""));
  }

  /** A height is left open as the step at hand, so that the walk goes on. */
  private static Otherwise skip(Position p, Step next) {
    String words = p + ": its height is not measured";
    return new Otherwise(SpringAct.SKIP_HEIGHT, null, p, null, words, "why", next.id(), null);
  }

  private static Otherwise offTdc(Step next) {
    String words = "The crank stands off TDC, and stays there";
    String asks = "degrees past TDC, before it with a minus";
    return new Otherwise(SpringAct.BAR, null, null, null, words, asks, next.id(), next.figure());
  }
}
