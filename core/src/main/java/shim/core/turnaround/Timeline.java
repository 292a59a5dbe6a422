package shim.core.turnaround;

import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;

/** When one thing or one pair of hands is free: stretches with what takes them. */
final class Timeline {
  private final NavigableMap<Integer, Integer> free = new TreeMap<>();
  private final NavigableMap<Integer, Placed> taken = new TreeMap<>();

  /** A thing that is there all the time. */
  static Timeline always() {
    Timeline t = new Timeline();
    t.free.put(Integer.MIN_VALUE, Integer.MAX_VALUE);
    return t;
  }

  static Timeline of(Hand hand) {
    Timeline t = new Timeline();
    hand.there().forEach(s -> t.free.put(s.from(), s.to()));
    return t;
  }

  /** The first minute from some minute on with that many free minutes behind it. */
  OptionalInt earliest(int from, int minutes) {
    Map.Entry<Integer, Integer> at = free.floorEntry(from);
    if (at != null && (long) at.getValue() - from >= minutes) {
      return OptionalInt.of(from);
    }
    return free.tailMap(from, false).entrySet().stream()
        .filter(e -> (long) e.getValue() - e.getKey() >= minutes)
        .mapToInt(Map.Entry::getKey)
        .findFirst();
  }

  boolean isFree(int from, int minutes) {
    OptionalInt at = earliest(from, minutes);
    return at.isPresent() && at.getAsInt() == from;
  }

  /** Takes a work's stretch; what of it was not free, because it is begun, stays as it was. */
  void take(Placed p) {
    taken.put(p.start(), p);
    Stretch s = p.stretch();
    for (Map.Entry<Integer, Integer> e : new TreeMap<>(free.headMap(s.to())).entrySet()) {
      if (e.getValue() <= s.from()) {
        continue;
      }
      free.remove(e.getKey());
      if (e.getKey() < s.from()) {
        free.put(e.getKey(), s.from());
      }
      if (e.getValue() > s.to()) {
        free.put(s.to(), e.getValue());
      }
    }
  }

  /** The last minute that is taken; the least of all where nothing is. */
  int lastEnd() {
    return taken.values().stream().mapToInt(Placed::end).max().orElse(Integer.MIN_VALUE);
  }

  /** The work that ends at a minute, if one does. */
  Optional<Placed> endingAt(int minute) {
    return taken.values().stream().filter(p -> p.end() == minute).findFirst();
  }

  /** How much of it is taken. */
  int load() {
    return taken.values().stream().mapToInt(p -> p.work().minutes()).sum();
  }
}
