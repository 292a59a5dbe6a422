package shim.core.change;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/** Steps written one after another, each named once by what is done and where. */
abstract class StepList {
  private final List<Step> steps = new ArrayList<>();

  List<Step> all() {
    return List.copyOf(steps);
  }

  void tick(String id, String title, String... look) {
    set(add("tick:" + id, Act.TICK, title).looking(look));
  }

  Step add(Act act, String title) {
    return add(act.name(), act, null, null, title);
  }

  Step add(String id, Act act, String title) {
    return add(id, act, null, null, title);
  }

  Step at(int c, Act act, String title) {
    return add("c" + c + ":" + act, act, c, null, title);
  }

  Step at(int c, Act act, String what, String title) {
    return add("tick:c" + c + ":" + what, act, c, null, title);
  }

  Step at(Position p, Act act, String title) {
    return add(p + ":" + act, act, null, p, title);
  }

  Step at(Position p, Act act, String what, String title) {
    return add("tick:" + p + ":" + what, act, null, p, title);
  }

  Step add(String id, Act act, @Nullable Integer c, @Nullable Position p, String title) {
    Step s = new Step(id, act, c, p, null, null, title, List.of(), null);
    steps.add(s);
    return s;
  }

  /** Puts a step that was made more of in the place of the one just added. */
  void set(Step s) {
    steps.set(steps.size() - 1, s);
  }
}
