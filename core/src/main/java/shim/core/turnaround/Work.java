package shim.core.turnaround;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A piece of work that is to be done.
 *
 * @param minutes it usually takes
 * @param spread standard deviation of the logarithm of its minutes
 * @param hands how many are at it at once
 * @param only who may do it; empty when anyone may
 * @param holds what it has for itself while it lasts: an engine whose crank it turns, a tester
 * @param after what must be done before it
 * @param notBefore minutes since the plan's begin before which it cannot begin: a part comes then
 * @param waits it cannot be planned: nobody knows yet when its part comes
 * @param begun who is at it since when; it is never moved
 */
public record Work(
    String id,
    Weight weight,
    int minutes,
    double spread,
    int hands,
    Set<String> only,
    Set<String> holds,
    List<After> after,
    int notBefore,
    boolean waits,
    Optional<Begun> begun) {
  /**
   * Something that comes before.
   *
   * @param minutes that must pass after it, needing nobody: cooling, drying, sealant
   */
  public record After(String id, int minutes) {}

  /**
   * Work that people are at.
   *
   * @param at minutes since the plan's begin, below zero when it was begun before
   */
  public record Begun(int at, List<String> hands) {
    public Begun {
      hands = List.copyOf(hands);
    }
  }

  public Work {
    only = Set.copyOf(only);
    holds = Set.copyOf(holds);
    after = List.copyOf(after);
  }

  /** Work for one pair of hands, with nothing else to it. */
  public static Work of(String id, Weight weight, int minutes) {
    return new Work(
        id, weight, minutes, 0, 1, Set.of(), Set.of(), List.of(), 0, false, Optional.empty());
  }

  public Work spread(double given) {
    return new Work(id, weight, minutes, given, hands, only, holds, after, notBefore, waits, begun);
  }

  public Work hands(int given) {
    return new Work(
        id, weight, minutes, spread, given, only, holds, after, notBefore, waits, begun);
  }

  public Work only(Set<String> given) {
    return new Work(
        id, weight, minutes, spread, hands, given, holds, after, notBefore, waits, begun);
  }

  public Work holds(Set<String> given) {
    return new Work(
        id, weight, minutes, spread, hands, only, given, after, notBefore, waits, begun);
  }

  /** One thing more that comes before. */
  public Work after(String before, int wait) {
    List<After> all = new ArrayList<>(after);
    all.add(new After(before, wait));
    return after(all);
  }

  public Work after(List<After> given) {
    return new Work(
        id, weight, minutes, spread, hands, only, holds, given, notBefore, waits, begun);
  }

  public Work notBefore(int given) {
    return new Work(id, weight, minutes, spread, hands, only, holds, after, given, waits, begun);
  }

  public Work waits(boolean given) {
    return new Work(
        id, weight, minutes, spread, hands, only, holds, after, notBefore, given, begun);
  }

  public Work begun(Begun given) {
    return new Work(
        id,
        weight,
        minutes,
        spread,
        hands,
        only,
        holds,
        after,
        notBefore,
        waits,
        Optional.of(given));
  }

  public Work lasting(int given) {
    return new Work(id, weight, given, spread, hands, only, holds, after, notBefore, waits, begun);
  }

  public Work weighing(Weight given) {
    return new Work(id, given, minutes, spread, hands, only, holds, after, notBefore, waits, begun);
  }

  boolean may(Hand hand) {
    return only.isEmpty() || only.contains(hand.name());
  }
}
