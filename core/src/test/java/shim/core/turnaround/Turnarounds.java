package shim.core.turnaround;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;

/** Made-up turnarounds, the same for the same seed. */
final class Turnarounds {
  static final int DAY = 24 * 60;

  private Turnarounds() {}

  /** A hand who is there from eight to six each day; the plan begins at eight. */
  static Hand daily(String name, int days) {
    return new Hand(
        name, IntStream.range(0, days).mapToObj(d -> new Stretch(d * DAY, d * DAY + 600)).toList());
  }

  static Situation random(long seed, int works, int hands) {
    Random random = new Random(seed);
    List<Hand> who = IntStream.range(0, hands).mapToObj(h -> daily("H" + h, 14)).toList();
    List<Work> all = new ArrayList<>();
    for (int i = 0; i < works; i++) {
      Work w =
          Work.of(id(i), Weight.MUST, 15 * (1 + random.nextInt(12)))
              .hands(hands > 1 && random.nextInt(4) == 0 ? 2 : 1)
              .spread(0.2);
      if (w.hands() == 1 && random.nextInt(4) == 0) {
        w = w.only(Set.of("H" + random.nextInt(hands)));
      }
      Set<String> holds = new HashSet<>();
      if (random.nextInt(3) > 0) {
        holds.add("engine " + random.nextInt(3));
      }
      if (random.nextInt(5) == 0) {
        holds.add("tester");
      }
      w = w.holds(holds);
      for (int j = Math.max(0, i - 4); j < i; j++) {
        if (random.nextInt(5) == 0) {
          w = w.after(id(j), random.nextInt(4) == 0 ? 120 : 0);
        }
      }
      all.add(random.nextInt(10) == 0 ? w.notBefore(60 * random.nextInt(12)) : w);
    }
    return new Situation(5 * DAY, 14 * DAY, all, who);
  }

  static String id(int i) {
    return "w" + i;
  }
}
