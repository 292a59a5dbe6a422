package shim.core.walk;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/** Steps written one after another, each named once by what is done and where. */
public abstract class StepList {
  private final List<Step> steps = new ArrayList<>();

  protected List<Step> all() {
    return List.copyOf(steps);
  }

  protected void tick(String id, String title, String... look) {
    set(add("tick:" + id, WalkAct.TICK, title).looking(look));
  }

  protected Step add(Act act, String title) {
    return add(act.name(), act, null, null, title);
  }

  protected Step add(String id, Act act, String title) {
    return add(id, act, null, null, title);
  }

  protected Step at(int c, Act act, String title) {
    return add("c" + c + ":" + act.name(), act, c, null, title);
  }

  protected Step at(int c, Act act, String what, String title) {
    return add("tick:c" + c + ":" + what, act, c, null, title);
  }

  protected Step at(Position p, Act act, String title) {
    return add(p + ":" + act.name(), act, null, p, title);
  }

  protected Step at(Position p, Act act, String what, String title) {
    return add("tick:" + p + ":" + what, act, null, p, title);
  }

  protected Step add(String id, Act act, @Nullable Integer c, @Nullable Position p, String title) {
    Step s = new Step(id, act, c, p, null, null, title, List.of(), null, null);
    steps.add(s);
    return s;
  }

  /** Puts a step that was made more of in the place of the one just added. */
  protected void set(Step s) {
    steps.set(steps.size() - 1, s);
  }

  /** A figure that is read at a place and held against its limit. */
  protected void read(
      String id, @Nullable Position p, String title, Within within, String... look) {
    Step s = add("read:" + id, WalkAct.READ, null, p, title).looking(look);
    set(s.inside(within));
  }

  /** Something is laid out and counted, so that it can be counted in again. */
  protected void layOut(Thing thing, int n, String look) {
    set(
        add("out:" + thing.name(), WalkAct.LAY_OUT, "Lay out " + thing.many() + " and count them")
            .with((double) n, thing.name())
            .looking(look));
  }

  protected void count(Thing thing) {
    set(
        add("count:" + thing.name(), WalkAct.COUNTED, "Count the " + thing.many() + " on the bench")
            .with(null, thing.name()));
  }
}
