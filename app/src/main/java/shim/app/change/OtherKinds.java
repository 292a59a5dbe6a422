package shim.app.change;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.http.Refusal;
import shim.app.spring.Pockets;
import shim.core.change.JobPlan;
import shim.core.engine.Position;
import shim.core.spring.Fit;
import shim.core.spring.SpringChoice;
import shim.core.spring.SpringChoice.AtValve;
import shim.core.spring.WeakestLink;

/**
 * Springs of another kind at valves that run: the best way at each, with every part that goes in.
 */
@Component
class OtherKinds {
  private final SpringKinds kinds;
  private final Pockets pockets;

  OtherKinds(SpringKinds kinds, Pockets pockets) {
    this.kinds = kinds;
    this.pockets = pockets;
  }

  /** One valve with what it gets. */
  record Other(
      UUID typeId,
      boolean damped,
      AtValve at,
      JobPlan.Parts parts,
      WeakestLink.@Nullable Link weakest) {
    double heightIn() {
      return at.way().targetIn();
    }

    /** Beside what stands there now. */
    JobPlanner.ToKind change(Pockets.PocketView now) {
      WeakestLink.Link was = now.links().isEmpty() ? null : now.links().get(0);
      return new JobPlanner.ToKind(parts, now.fit(), at.fit(), was, weakest);
    }
  }

  /** All valves that get another kind, and what is said of them. */
  record Chosen(Map<Position, Other> at, List<SpringChoice.Against> against) {
    /** What cannot be is not begun. */
    void refuseWhatCannotBe() {
      against.stream()
          .filter(a -> a.weight() == Fit.Weight.STOP)
          .findFirst()
          .ifPresent(
              a -> {
                throw Refusal.invalid(
                    "valves",
                    "the kind that is wanted does not go in at "
                        + Position.list(a.valves())
                        + ": see why not in the plan");
              });
    }
  }

  /**
   * @param wanted kind by valve; a valve that has it already is left as it is
   */
  Chosen choose(UUID engineId, Map<Position, UUID> wanted, Pockets.EnginePockets known) {
    Map<UUID, List<Pockets.PocketView>> byKind = new HashMap<>();
    for (Pockets.PocketView p : known.pockets()) {
      UUID kind = wanted.get(p.position());
      if (kind != null && !kind.equals(p.typeId())) {
        byKind.computeIfAbsent(kind, x -> new ArrayList<>()).add(p);
      }
    }
    Map<Position, Other> at = new HashMap<>();
    List<SpringChoice.Against> against = new ArrayList<>();
    SpringChoice.Asked asked = pockets.asked(engineId);
    byKind.forEach(
        (kind, valves) -> {
          SpringChoice.KindOf of =
              kinds
                  .one(engineId, kind)
                  .orElseThrow(
                      () -> Refusal.invalid("valves", "there is no such kind of spring here"));
          choose(of, asked, valves, at, against);
        });
    return new Chosen(at, against);
  }

  private void choose(
      SpringChoice.KindOf kind,
      SpringChoice.Asked asked,
      List<Pockets.PocketView> valves,
      Map<Position, Other> at,
      List<SpringChoice.Against> against) {
    SpringChoice.Ranked ranked =
        SpringChoice.of(List.of(kind), valves.stream().map(OtherKinds::bare).toList(), asked)
            .kinds()
            .get(0);
    for (AtValve a : ranked.at()) {
      Pockets.PocketView was =
          valves.stream().filter(p -> p.position().equals(a.valve())).findFirst().orElseThrow();
      at.put(
          a.valve(),
          new Other(
              UUID.fromString(kind.id()),
              kind.type().form().damped(),
              a,
              parts(kind, a, was),
              SpringChoice.links(a, asked).stream().findFirst().orElse(null)));
    }
    against.addAll(ranked.reasons());
  }

  private static SpringChoice.Bare bare(Pockets.PocketView p) {
    return p.fitting()
        .bare()
        .orElseThrow(
            () ->
                Refusal.invalid(
                    "valves",
                    p.position()
                        + ": measure its height and write its shims by thickness first, or nobody"
                        + " can say what another kind takes there"));
  }

  private static JobPlan.Parts parts(SpringChoice.KindOf kind, AtValve a, Pockets.PocketView was) {
    Double gap = was.fitting().bare().map(SpringChoice.Bare::sealGapIn).orElse(null);
    return new JobPlan.Parts(
        kind.type().name(),
        a.way().shimsIn(),
        SpringKinds.retainer(a),
        SpringKinds.locks(a),
        SpringKinds.cup(a),
        gap == null ? null : gap + a.way().lockIn(),
        a.cup() == null ? was.fitting().pocketIn() : Double.valueOf(a.cup().insideIn()));
  }
}
