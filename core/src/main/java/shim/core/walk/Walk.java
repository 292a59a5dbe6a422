package shim.core.walk;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * A walk as it stands: what every act so far has made of it. {@link #refuses} stops what would
 * hurt; {@link #after} only follows what was allowed.
 *
 * @param own what the procedure knows of its work
 * @param held by cylinder, while its hold is on
 * @param counts by the name of the {@link Thing}
 * @param ticked steps that are done
 */
public record Walk<S>(
    Procedure<S> procedure,
    S own,
    boolean accepted,
    Map<Integer, Held> held,
    Map<String, Tally> counts,
    Set<String> ticked,
    @Nullable Parked parked,
    End end) {
  /** Any figure will do where only the turn of a step is asked about. */
  private static final double SOUND = 0.01;

  public Walk {
    held = Collections.unmodifiableMap(held);
    counts = Collections.unmodifiableMap(counts);
    ticked = Collections.unmodifiableSet(ticked);
  }

  /** A walk before its first act. */
  public static <S> Walk<S> begin(Procedure<S> procedure) {
    return new Walk<>(
        procedure, procedure.begin(), false, Map.of(), Map.of(), Set.of(), null, End.OPEN);
  }

  /** What a list of acts has made of it. */
  public static <S> Walk<S> of(Procedure<S> procedure, List<Done> acts) {
    Walk<S> walk = begin(procedure);
    for (Done act : acts) {
      walk = walk.after(act);
    }
    return walk;
  }

  /** Why an act must not be done now; empty when it may. */
  public Optional<String> refuses(Done act) {
    return new WalkGuard<>(this).refuses(act);
  }

  /** The walk once an act is done; the act is not questioned here. */
  public Walk<S> after(Done act) {
    return new Folding<>(this).with(act);
  }

  /** Steps that are not done, in their order. */
  public Stream<Step> open() {
    return procedure.steps().stream().filter(s -> !ticked.contains(s.id()));
  }

  /** The next step; none once the walk is over. */
  public Optional<Step> next() {
    return end == End.OPEN ? open().findFirst() : Optional.empty();
  }

  /** Why a step could not be done now, whatever is entered. */
  public Optional<String> refuses(Step step) {
    Double figure = step.figure() == null ? Double.valueOf(SOUND) : step.figure();
    if (step.act() == WalkAct.COUNTED) {
      figure = (double) Math.max(0, count(step.text()).expected());
    } else if (step.within() != null) {
      figure = step.within().sound();
    }
    return refuses(step.done(figure, step.word(), "?", Instant.EPOCH));
  }

  public Tally count(Thing thing) {
    return count(thing.name());
  }

  public Tally count(String thing) {
    return counts.getOrDefault(thing, Tally.NONE);
  }

  /** Valves that nothing but their hold keeps up. */
  public List<Position> loose() {
    return procedure.hanging(own).keySet().stream().sorted().toList();
  }

  /** The hold of a cylinder failed, and nothing is in its place. */
  public boolean lost(int cylinder) {
    Held h = held.get(cylinder);
    return h != null && h.lost();
  }

  /** All that is open before sign-off. */
  public List<String> openForSigning() {
    List<String> open = new ArrayList<>(procedure.open(this));
    held.forEach((c, h) -> open.add("the hold is still on at cylinder " + c));
    procedure.things().forEach(t -> count(t).difference(t).ifPresent(open::add));
    open()
        .filter(s -> s.act() != WalkAct.SIGN && s.act() != WalkAct.COUNTED)
        .forEach(s -> open.add("not done: " + s.title()));
    return open;
  }

  /** What else may be done now, beside the next step. */
  public List<Otherwise> others() {
    return end == End.OPEN ? Others.of(this) : List.of();
  }
}
