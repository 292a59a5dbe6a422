package shim.core.turnaround;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import shim.core.unit.Known;

/** Lays works one after another, each at the first time at which all it needs is free. */
final class Laying {
  private final Situation now;
  private final boolean takes;
  private final Map<String, Timeline> hands = new LinkedHashMap<>();
  private final Map<String, Timeline> things = new HashMap<>();

  /** How many works each hand may do. */
  private final Map<String, Integer> uses = new HashMap<>();

  private final Map<String, Placed> placed = new LinkedHashMap<>();

  Laying(Situation now) {
    this(now, true);
  }

  /** No work takes hands or things from another: no plan can have any earlier. */
  static Laying untaken(Situation now) {
    return new Laying(now, false);
  }

  private Laying(Situation now, boolean takes) {
    this.now = now;
    this.takes = takes;
    for (Hand h : now.hands()) {
      hands.put(h.name(), Timeline.of(h));
      uses.put(h.name(), (int) now.work().stream().filter(w -> w.may(h)).count());
    }
    now.work().stream().filter(w -> w.begun().isPresent()).forEach(this::begin);
  }

  private void begin(Work w) {
    Work.Begun begun = w.begun().orElseThrow();
    take(new Placed(w, begun.at(), begun.hands(), Placed.Cause.NOW));
  }

  List<Work> works() {
    return now.work();
  }

  /** All works by id in the order they were laid. */
  Map<String, Placed> placed() {
    return placed;
  }

  /**
   * Lays a work with whom it suits best, in any gap; empty when it cannot be before the horizon.
   */
  Optional<Placed> lay(Work w) {
    return lay(w, now.mayDo(w).stream().map(Hand::name).toList(), w.hands(), Integer.MIN_VALUE);
  }

  /** Lays a work for named hands, after all they and its things were taken for so far. */
  Optional<Placed> layNext(Work w, List<String> who) {
    int last =
        Stream.concat(who.stream().map(this::hand), w.holds().stream().map(this::thing))
            .mapToInt(Timeline::lastEnd)
            .max()
            .orElse(Integer.MIN_VALUE);
    return lay(w, who, who.size(), last);
  }

  private Optional<Placed> lay(Work w, List<String> who, int count, int from) {
    Placed known = placed.get(w.id());
    if (known != null) {
      return Optional.of(known);
    }
    OptionalInt ready = ready(w);
    if (ready.isEmpty() || who.size() < count) {
      return Optional.empty();
    }
    int t = Math.max(ready.getAsInt(), from);
    while (true) {
      OptionalInt next = possible(w, who, count, t);
      if (next.isEmpty() || next.getAsInt() + w.minutes() > now.horizon()) {
        return Optional.empty();
      }
      if (next.getAsInt() == t) {
        Placed p = new Placed(w, t, choose(w, who, count, t), cause(w, who, t));
        take(p);
        return Optional.of(p);
      }
      t = next.getAsInt();
    }
  }

  /** The first minute its part is here and all before it is done; empty if that is never. */
  private OptionalInt ready(Work w) {
    int at = Math.max(0, w.notBefore());
    for (Work.After a : w.after()) {
      Placed before = placed.get(a.id());
      if (before == null) {
        return OptionalInt.empty();
      }
      at = Math.max(at, before.end() + a.minutes());
    }
    return w.waits() ? OptionalInt.empty() : OptionalInt.of(at);
  }

  /** No start before the minute this gives can be; the minute itself when it can. */
  private OptionalInt possible(Work w, List<String> who, int count, int t) {
    int at = t;
    for (String thing : w.holds()) {
      OptionalInt e = thing(thing).earliest(t, w.minutes());
      if (e.isEmpty()) {
        return e;
      }
      at = Math.max(at, e.getAsInt());
    }
    if (count == 0) {
      return OptionalInt.of(at);
    }
    List<Integer> each =
        who.stream()
            .map(h -> hand(h).earliest(t, w.minutes()))
            .flatMap(e -> e.stream().boxed())
            .sorted()
            .toList();
    return each.size() < count
        ? OptionalInt.empty()
        : OptionalInt.of(Math.max(at, each.get(count - 1)));
  }

  /** Of those who are free, first who can do least else, then who has least to do. */
  private List<String> choose(Work w, List<String> who, int count, int t) {
    Comparator<String> fewest = Comparator.comparingInt(h -> Known.in(uses, h));
    return who.stream()
        .filter(h -> hand(h).isFree(t, w.minutes()))
        .sorted(fewest.thenComparingInt(h -> hand(h).load()))
        .limit(count)
        .toList();
  }

  private Placed.Cause cause(Work w, List<String> who, int t) {
    for (Work.After a : w.after()) {
      if (Known.in(placed, a.id()).end() + a.minutes() == t) {
        return new Placed.Cause(Placed.Cause.Kind.BEFORE, a.id());
      }
    }
    if (t == 0) {
      return Placed.Cause.NOW;
    }
    if (w.notBefore() == t) {
      return new Placed.Cause(Placed.Cause.Kind.PART, "");
    }
    return Stream.concat(w.holds().stream().map(this::thing), who.stream().map(this::hand))
        .flatMap(line -> line.endingAt(t).stream())
        .findFirst()
        .map(p -> new Placed.Cause(Placed.Cause.Kind.BUSY, p.work().id()))
        .orElse(new Placed.Cause(Placed.Cause.Kind.NOBODY_THERE, ""));
  }

  /** Puts a work where it was laid before. */
  void put(Placed p) {
    if (!placed.containsKey(p.work().id())) {
      take(p);
    }
  }

  private void take(Placed p) {
    placed.put(p.work().id(), p);
    if (!takes) {
      return;
    }
    p.hands().stream().filter(hands::containsKey).forEach(h -> hand(h).take(p));
    p.work().holds().forEach(thing -> thing(thing).take(p));
  }

  private Timeline hand(String name) {
    return Known.in(hands, name);
  }

  private Timeline thing(String name) {
    return things.computeIfAbsent(name, n -> Timeline.always());
  }

  /** What is laid, by time. */
  List<Placed> byTime() {
    List<Placed> all = new ArrayList<>(placed.values());
    all.sort(Comparator.comparingInt(Placed::start).thenComparing(p -> p.work().id()));
    return all;
  }
}
