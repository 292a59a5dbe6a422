package shim.core.turnaround;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Small turnarounds against every order and every choice of hands, tried one after another by code
 * that shares nothing with the planner but the works. Among the plans in which nothing can begin
 * earlier there is always one with the earliest end (active schedules; common knowledge of
 * scheduling, from memory).
 */
class PlanAgainstExhaustiveSearchTest {
  private static final int STEP = 15;

  @ParameterizedTest
  @ValueSource(longs = {11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
  void noPlanEndsEarlier(long seed) {
    Situation now = Turnarounds.random(seed, 6, 2);
    Plan plan = Plan.of(now);
    assertThat(plan.best()).isTrue();
    assertThat(plan.musts()).isEqualTo(new Every(now).earliest());
  }

  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23, 24})
  void threeHandsToo(long seed) {
    Situation now = Turnarounds.random(seed, 5, 3);
    assertThat(Plan.of(now).musts()).isEqualTo(new Every(now).earliest());
  }

  /** Tries everything. */
  private static final class Every {
    private final Situation now;
    private final Map<String, int[]> taken = new HashMap<>();
    private final Map<String, Integer> ends = new HashMap<>();
    private int best = Integer.MAX_VALUE;

    Every(Situation now) {
      this.now = now;
    }

    int earliest() {
      next(0);
      return best;
    }

    private void next(int end) {
      if (end >= best) {
        return;
      }
      if (ends.size() == now.work().size()) {
        best = end;
        return;
      }
      for (Work w : now.work()) {
        if (!ends.containsKey(w.id())
            && w.after().stream().allMatch(a -> ends.containsKey(a.id()))) {
          for (List<Hand> who : choices(w)) {
            int start = start(w, who);
            ends.put(w.id(), start + w.minutes());
            lines(w, who).forEach(l -> mark(l, start, w.minutes(), 1));
            next(Math.max(end, start + w.minutes()));
            lines(w, who).forEach(l -> mark(l, start, w.minutes(), -1));
            ends.remove(w.id());
          }
        }
      }
    }

    private int start(Work w, List<Hand> who) {
      int t = w.notBefore();
      for (Work.After a : w.after()) {
        t = Math.max(t, ends.get(a.id()) + a.minutes());
      }
      while (!fits(w, who, t)) {
        t += STEP;
      }
      return t;
    }

    private boolean fits(Work w, List<Hand> who, int t) {
      int end = t + w.minutes();
      return who.stream()
              .allMatch(h -> h.there().stream().anyMatch(s -> s.from() <= t && end <= s.to()))
          && lines(w, who).stream()
              .allMatch(
                  l -> {
                    int[] line = line(l);
                    for (int i = t / STEP; i < end / STEP; i++) {
                      if (line[i] > 0) {
                        return false;
                      }
                    }
                    return true;
                  });
    }

    private List<String> lines(Work w, List<Hand> who) {
      List<String> lines = new ArrayList<>(w.holds());
      who.forEach(h -> lines.add("hand " + h.name()));
      return lines;
    }

    private int[] line(String name) {
      return taken.computeIfAbsent(name, n -> new int[2 * now.horizon() / STEP]);
    }

    private void mark(String name, int start, int minutes, int by) {
      int[] line = line(name);
      for (int i = start / STEP; i < (start + minutes) / STEP; i++) {
        line[i] += by;
      }
    }

    private List<List<Hand>> choices(Work w) {
      List<Hand> may = now.hands().stream().filter(w::may).toList();
      List<List<Hand>> all = new ArrayList<>();
      for (int bits = 0; bits < 1 << may.size(); bits++) {
        if (Integer.bitCount(bits) == w.hands()) {
          List<Hand> some = new ArrayList<>();
          for (int i = 0; i < may.size(); i++) {
            if ((bits >> i & 1) == 1) {
              some.add(may.get(i));
            }
          }
          all.add(some);
        }
      }
      return all;
    }
  }
}
