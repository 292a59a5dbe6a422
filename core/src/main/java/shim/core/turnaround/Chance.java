package shim.core.turnaround;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/**
 * The chance that all that must be done ends before the truck leaves, when people keep to the order
 * and the hands of a plan and each work takes as long as its like took before. Works are drawn by
 * themselves: a bad day for all is not in it.
 */
final class Chance {
  /** Turnarounds that are drawn; the chance is known to within three in a hundred. */
  static final int DRAWN = 1000;

  private static final long SEED = 1130;

  private Chance() {}

  static double of(Situation now, List<Placed> plan) {
    SplittableRandom random = new SplittableRandom(SEED);
    int inTime = 0;
    for (int i = 0; i < DRAWN; i++) {
      Map<String, Integer> minutes = new HashMap<>();
      plan.forEach(p -> minutes.put(p.work().id(), drawn(p.work(), random)));
      boolean made =
          Again.withMinutes(now, plan, minutes)
              .map(laid -> laid.values().stream().allMatch(p -> made(now, p)))
              .orElse(false);
      inTime += made ? 1 : 0;
    }
    return (double) inTime / DRAWN;
  }

  private static boolean made(Situation now, Placed p) {
    return p.work().weight() != Weight.MUST || p.end() <= now.truck();
  }

  private static int drawn(Work w, SplittableRandom random) {
    double factor = Math.exp(w.spread() * random.nextGaussian());
    return (int) Math.max(1, Math.round(w.minutes() * factor));
  }
}
