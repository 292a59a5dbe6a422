package shim.core.change;

import java.util.ArrayList;
import java.util.List;
import shim.core.change.ValveState.Stage;

/** What is open before a job is signed off. */
final class Signing {
  private Signing() {}

  static List<String> open(Job job) {
    List<String> open = new ArrayList<>();
    job.valves()
        .forEach(
            (p, v) -> {
              if (v.stage() == Stage.DROPPED) {
                open.add(p + " dropped: the head comes off");
              } else if (v.stage() != Stage.PROVED) {
                open.add(p + " is not finished: " + v.stage().words());
              }
            });
    job.held().forEach((c, h) -> open.add("the hold is still on at cylinder " + c));
    if (job.crankLocked()) {
      open.add("the crank is still locked");
    }
    job.off().forEach(c -> open.add("the rockers of cylinder " + c + " are off"));
    for (Item item : Item.values()) {
      job.count(item).difference(item).ifPresent(open::add);
    }
    Script.of(job.plan()).steps().stream()
        .filter(s -> s.act() != Act.SIGN && s.act() != Act.COUNTED)
        .filter(s -> !job.ticked().contains(s.id()))
        .forEach(s -> open.add("not done: " + s.title()));
    return open;
  }
}
