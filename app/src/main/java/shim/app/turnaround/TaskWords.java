package shim.app.turnaround;

import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.turnaround.Task;
import shim.core.unit.Said;

/** What a task is called where Shim itself writes it: in refusals and in the calendar. */
final class TaskWords {
  private TaskWords() {}

  static String of(TaskBook.Noted noted) {
    String own = noted.sheet().words();
    if (noted.label() != null) {
      return "measure what came: " + noted.label();
    }
    return own == null ? of(noted.task()) : own.strip();
  }

  private static String of(Task task) {
    String at = Position.list(task.positions());
    return switch (task.kind()) {
      case BY_HAND, ARRIVAL -> "work";
      case LASH_ROUND -> at(at, "run the valves", "set the lash of ");
      case SPRING_TEST -> at(at, "test the springs", "test the springs of ");
      case SPRINGS_AGAIN -> at(at, "read the springs again", "read again the springs of ");
      case SPRING_CHANGE -> at(at, "change the springs", "change the springs of ");
      case LIFTER_LOOK -> at(at, "look at the lifters", "look at the lifters of ");
      case LIFTER_CHANGE -> at(at, "change the lifters", "change the lifters of ");
      case ROCKER_REPAIR -> at(at, "repair the rockers", "repair the rockers of ");
      case PLUGS -> "plugs out, look, gap, in";
      case OIL -> "oil and filter";
      case FUEL -> "drain the fuel and dry what it wetted";
      case OPEN_JOB, OPEN_ITEM -> kept(task);
    };
  }

  private static String at(String valves, String all, String some) {
    return valves.isEmpty() ? all : some + valves;
  }

  private static String kept(Task task) {
    @Nullable String name =
        task.because().stream()
            .findFirst()
            .flatMap(shim.core.readiness.Readiness.Reason::because)
            .map(Said::name)
            .orElse(null);
    return name == null ? "open work" : name;
  }
}
