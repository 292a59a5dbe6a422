package shim.app.walk;

import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.app.walk.JobViews.Emergency;
import shim.app.walk.JobViews.JobCount;
import shim.app.walk.JobViews.JobHold;
import shim.app.walk.JobViews.JobState;
import shim.app.walk.JobViews.Shown;
import shim.app.walk.JobViews.WalkStep;
import shim.core.walk.Step;
import shim.core.walk.Tally;
import shim.core.walk.Thing;
import shim.core.walk.Walk;

/** Draws a walk as it stands, a real one or one for practice. */
public final class JobShow {
  private JobShow() {}

  public static JobState of(JobKind kind, Walk<?> walk, Shown shown, int acts) {
    List<Step> open = walk.next().isEmpty() ? List.of() : walk.open().limit(2).toList();
    Step next = open.isEmpty() ? null : open.get(0);
    return new JobState(
        kind,
        walk.procedure().title(),
        shown.sets(),
        shown.crank(),
        walk.procedure().steps().stream()
            .map(s -> new WalkStep(s, walk.ticked().contains(s.id())))
            .toList(),
        next,
        next == null ? null : walk.refuses(next).orElse(null),
        open.size() > 1 ? open.get(1) : null,
        shown.valves(),
        shown.fixings(),
        walk.held().entrySet().stream()
            .map(
                e ->
                    new JobHold(
                        e.getKey(), e.getValue().by(), e.getValue().since(), e.getValue().lost()))
            .toList(),
        walk.procedure().things().stream().map(t -> count(t, walk)).toList(),
        walk.others(),
        emergency(walk),
        walk.parked(),
        walk.end(),
        walk.openForSigning(),
        acts);
  }

  private static @Nullable Emergency emergency(Walk<?> walk) {
    return walk.loose().stream()
        .filter(p -> walk.lost(p.cylinder()))
        .findFirst()
        .map(p -> new Emergency(p.cylinder(), p, walk.procedure().whenLost(p)))
        .orElse(null);
  }

  private static JobCount count(Thing thing, Walk<?> walk) {
    Tally t = walk.count(thing);
    return new JobCount(
        thing.name(),
        thing.words(t.expected()),
        t.laidOut(),
        t.off(),
        t.on(),
        t.expected(),
        t.counted(),
        t.difference(thing).orElse(null));
  }
}
