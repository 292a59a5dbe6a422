package shim.core.walk;

import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** A walk on its way to the next: the one place where its parts are changed, on copies. */
public final class Folding<S> {
  private static final int MINUTE_SECONDS = 60;

  private final Procedure<S> procedure;
  private final Map<Integer, Held> held;
  private final Map<String, Tally> counts;
  private final Set<String> ticked;
  private S own;
  private boolean accepted;
  private @Nullable Parked parked;
  private End end;

  Folding(Walk<S> w) {
    procedure = w.procedure();
    own = w.own();
    held = new TreeMap<>(w.held());
    counts = new TreeMap<>(w.counts());
    ticked = new LinkedHashSet<>(w.ticked());
    accepted = w.accepted();
    parked = w.parked();
    end = w.end();
  }

  Walk<S> with(Done d) {
    procedure.undo(this, d);
    if (d.act() == WalkAct.UNTICK) {
      ticked.remove(d.text());
    } else if (!d.step().isEmpty()) {
      ticked.add(d.step());
    }
    if (d.act() instanceof WalkAct a) {
      common(a, d);
    }
    procedure.follow(this, d);
    if (d.act() == WalkAct.DROPPED && !hanging(Objects.requireNonNull(d.valve()).cylinder())) {
      held.remove(d.valve().cylinder());
    }
    return new Walk<>(procedure, own, accepted, held, counts, ticked, parked, end);
  }

  private void common(WalkAct act, Done d) {
    switch (act) {
      case ACCEPT -> accepted = true;
      case LAY_OUT ->
          count(
              d.text(),
              t -> d.step().isEmpty() ? t.more((int) d.number()) : t.laid((int) d.number()));
      case PUT_AWAY -> count(d.text(), t -> t.putAway((int) d.number()));
      case COUNTED -> count(d.text(), t -> t.found((int) d.number()));
      case PARK ->
          parked =
              new Parked(
                  d.text(),
                  d.at(),
                  d.figure() == null
                      ? null
                      : d.at().plusSeconds(Math.round(MINUTE_SECONDS * d.number())));
      case ORDER -> parked = new Parked("on order: " + d.text(), d.at(), null);
      case RESUME -> parked = null;
      case SIGN -> end = End.SIGNED;
      case ABANDON -> end = End.ABANDONED;
      case HOLD -> hold(cylinder(d), d.at(), false);
      case RELEASE -> held.remove(cylinder(d));
      case AIR_LOST -> lose(cylinder(d), d.at());
      case REHELD -> held.put(cylinder(d), new Held(d.text(), d.at(), false));
      case TICK, UNTICK, READ, TORQUE, DROPPED -> {
        // Its step is ticked, nothing else.
      }
    }
  }

  private static int cylinder(Done d) {
    return Objects.requireNonNull(d.cylinder());
  }

  private void lose(int c, Instant at) {
    if (hanging(c)) {
      hold(c, at, true);
    } else {
      held.remove(c);
    }
  }

  private void hold(int c, Instant at, boolean lost) {
    held.put(c, new Held(procedure.heldBy(), at, lost));
  }

  /** A hold nobody put on is one that was lost. */
  public void loseIfFree(int cylinder, Instant at) {
    held.putIfAbsent(cylinder, new Held(procedure.heldBy(), at, true));
  }

  /** Some valve of a cylinder hangs by its hold. */
  public boolean hanging(int cylinder) {
    return procedure.hanging(own).keySet().stream().anyMatch(p -> p.cylinder() == cylinder);
  }

  public S own() {
    return own;
  }

  public void own(S next) {
    own = next;
  }

  public void count(Thing thing, UnaryOperator<Tally> with) {
    count(thing.name(), with);
  }

  private void count(String thing, UnaryOperator<Tally> with) {
    counts.put(thing, with.apply(counts.getOrDefault(thing, Tally.NONE)));
  }

  /** Its step is to be done again. */
  public void again(String step) {
    ticked.remove(step);
  }

  public void again(Predicate<String> steps) {
    ticked.removeIf(steps);
  }
}
