package shim.core.fatigue;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * All that was read of springs of one kind that run together, in order of time. Loads stand at one
 * reference height and one temperature state.
 *
 * @param springs all springs, also those taken out meanwhile
 * @param tests in order of time
 */
public record SetHistory(List<Member> springs, List<Test> tests) {

  /**
   * @param nominalLbf load at the reference height by the data sheet; empty when not known
   */
  public record Member(String id, Optional<Double> nominalLbf) {}

  /**
   * @param day what the check spring said; empty without one
   */
  public record Test(Optional<TesterDay> day, List<Read> reads) {
    public Test {
      reads = List.copyOf(reads);
    }
  }

  /**
   * One spring's repeats in one test.
   *
   * @param hours the spring's own hours of running
   * @param settingsLbf as the tester showed them, moved to the reference height: one list a
   *     setting, one more each time the spring was set up again
   */
  public record Read(String spring, double hours, List<List<Double>> settingsLbf) {
    public Read {
      settingsLbf = settingsLbf.stream().map(List::copyOf).toList();
      if (!(hours >= 0) || Double.isInfinite(hours)) {
        throw new IllegalArgumentException("hours of running cannot be " + hours);
      }
      if (settingsLbf.isEmpty()
          || settingsLbf.stream()
              .anyMatch(s -> s.isEmpty() || s.stream().anyMatch(l -> !(l > 0 && l < 1e6)))) {
        throw new IllegalArgumentException("a load of " + settingsLbf + " lbf cannot be");
      }
    }

    /** All of one setting. */
    public static Read once(String spring, double hours, List<Double> loadsLbf) {
      return new Read(spring, hours, List.of(loadsLbf));
    }

    /** All readings, whichever setting they are of. */
    public List<Double> loadsLbf() {
      return settingsLbf.stream().flatMap(List::stream).toList();
    }

    public double meanLbf() {
      return loadsLbf().stream().mapToDouble(l -> l).average().orElseThrow();
    }
  }

  public SetHistory {
    springs = List.copyOf(springs);
    tests = List.copyOf(tests);
    Set<String> known = new HashSet<>();
    for (Member m : springs) {
      if (!known.add(m.id())) {
        throw new IllegalArgumentException("spring " + m.id() + " is listed twice");
      }
    }
    for (Test t : tests) {
      Set<String> read = new HashSet<>();
      for (Read r : t.reads()) {
        if (!known.contains(r.spring())) {
          throw new IllegalArgumentException("a reading names an unknown spring " + r.spring());
        }
        if (!read.add(r.spring())) {
          throw new IllegalArgumentException(
              "spring " + r.spring() + " stands twice in one test: give repeats together");
        }
      }
    }
    requireOrder(tests);
  }

  private static void requireOrder(List<Test> tests) {
    Map<String, Double> last = new HashMap<>();
    for (Test t : tests) {
      for (Read r : t.reads()) {
        Double before = last.put(r.spring(), r.hours());
        if (before != null && r.hours() < before) {
          throw new IllegalArgumentException(
              String.format(
                  Locale.ROOT,
                  "spring %s has %.2f h in a test after one at %.2f h: tests in order of time",
                  r.spring(),
                  r.hours(),
                  before));
        }
      }
    }
  }

  /** The history up to and with a test. */
  public SetHistory upTo(int tests) {
    return new SetHistory(springs, this.tests.subList(0, tests));
  }
}
