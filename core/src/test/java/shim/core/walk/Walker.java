package shim.core.walk;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.UnaryOperator;

/** Walks procedures for tests: as a careful person, as one who presses anything, and all ways. */
public final class Walker {
  public static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

  private Walker() {}

  /** What must hold of every act that is allowed. */
  public interface Law<S> {
    void holds(Walk<S> before, Done act, Walk<S> after);
  }

  /** What a careful person enters at a step. */
  public static Done doing(Step s, Walk<?> walk) {
    Double figure = s.figure() == null ? Double.valueOf(0.018) : s.figure();
    if (s.act() == WalkAct.COUNTED) {
      figure = (double) walk.count(s.text()).expected();
    } else if (s.within() != null) {
      figure = s.within().sound();
    }
    return s.done(figure, s.word(), "KV", NOON);
  }

  /** Goes until a step is next; every step on the way must be allowed. */
  public static <S> Walk<S> to(Procedure<S> procedure, String id) {
    Walk<S> walk = Walk.begin(procedure);
    while (true) {
      Step next = walk.next().orElse(null);
      if (next == null || next.id().equals(id)) {
        return walk;
      }
      Done done = doing(next, walk);
      Optional<String> refused = walk.refuses(done);
      if (refused.isPresent()) {
        throw new AssertionError(next.id() + " refused: " + refused.get());
      }
      walk = walk.after(done);
    }
  }

  /** Every state that can be reached; counts grow for ever and are left out. */
  public static <S> int all(Procedure<S> procedure, List<Done> acts, Law<S> law) {
    return all(procedure, acts, law, t -> t);
  }

  /**
   * @param kept which ticks tell states apart
   */
  public static <S> int all(
      Procedure<S> procedure, List<Done> acts, Law<S> law, UnaryOperator<Set<String>> kept) {
    Set<Walk<S>> seen = new HashSet<>();
    Deque<Walk<S>> todo = new ArrayDeque<>(List.of(bounded(Walk.begin(procedure), kept)));
    seen.add(todo.peek());
    while (!todo.isEmpty()) {
      Walk<S> walk = todo.poll();
      for (Done d : acts) {
        if (d.act() == WalkAct.SIGN || walk.refuses(d).isPresent()) {
          continue;
        }
        Walk<S> after = bounded(walk.after(d), kept);
        law.holds(walk, d, after);
        if (seen.add(after)) {
          todo.add(after);
        }
      }
    }
    return seen.size();
  }

  private static <S> Walk<S> bounded(Walk<S> w, UnaryOperator<Set<String>> kept) {
    return new Walk<>(
        w.procedure(),
        w.own(),
        w.accepted(),
        w.held(),
        Map.of(),
        kept.apply(w.ticked()),
        w.parked(),
        w.end());
  }

  /** Somebody who mostly goes on and now and then presses anything; how it ended. */
  public static <S> Walk<S> random(
      Procedure<S> procedure, List<Done> acts, Random random, int presses, Law<S> law) {
    Walk<S> walk = Walk.begin(procedure);
    for (int i = 0; i < presses && walk.end() == End.OPEN; i++) {
      Walk<S> now = walk;
      Done any = acts.get(random.nextInt(acts.size()));
      Done d = random.nextInt(4) > 0 ? walk.next().map(s -> doing(s, now)).orElse(any) : any;
      if (d.act() == WalkAct.ABANDON || walk.refuses(d).isPresent()) {
        continue;
      }
      Walk<S> after = walk.after(d);
      law.holds(walk, d, after);
      walk = after;
    }
    return walk;
  }
}
