package shim.core.fatigue;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import shim.core.engine.HeatState;
import shim.core.running.PartHours;
import shim.core.spring.SpringType;
import shim.core.unit.Known;

/**
 * Everything on record of the springs an engine has had: each with its hours through all engines it
 * was in, and every test that read one of them, here or elsewhere.
 *
 * @param tests in order of time
 */
public record SpringRecord(List<Spring> springs, List<Test> tests) {
  /**
   * One spring.
   *
   * @param type which springs are judged together
   * @param brokeAtHours its own hours when it broke; empty when it did not
   */
  public record Spring(
      String id,
      String mark,
      String type,
      Optional<String> batch,
      OptionalDouble brokeAtHours,
      PartHours life) {}

  /**
   * One test.
   *
   * @param engine the engine it was of, at its engine hours
   * @param loads in order of time
   */
  public record Test(
      String id,
      String engine,
      double engineHours,
      HeatState state,
      List<TesterDay.Check> checks,
      List<Load> loads) {
    public Test {
      checks = List.copyOf(checks);
      loads = List.copyOf(loads);
    }

    /** What its check spring said of the tester, near a load. */
    public Optional<TesterDay> day(double nearLbf) {
      return TesterDay.of(checks, nearLbf);
    }
  }

  /**
   * One reading as the tester showed it.
   *
   * @param at name of the valve it was read at, for showing; empty on the bench
   * @param whole of the whole spring, not of one of its members
   * @param again the spring was set up anew for it
   */
  public record Load(
      String spring, String at, double heightIn, double loadLbf, boolean whole, boolean again) {}

  public SpringRecord {
    springs = springs.stream().sorted(Comparator.comparing(Spring::mark)).toList();
    tests = List.copyOf(tests);
  }

  /**
   * The springs of each type with their tests, in order of their marks.
   *
   * @param types every type that is named
   */
  public List<TestedSet> sets(Function<String, SpringType> types) {
    Map<String, List<Spring>> byType =
        springs.stream()
            .collect(Collectors.groupingBy(Spring::type, LinkedHashMap::new, Collectors.toList()));
    return byType.entrySet().stream()
        .map(e -> TestedSet.of(e.getKey(), types.apply(e.getKey()), e.getValue(), tests))
        .toList();
  }

  /** Least hours at which another spring of the same batch broke. */
  public Optional<Double> batchBroke(String spring) {
    Spring own = Known.in(byId(), spring);
    return own.batch().isEmpty()
        ? Optional.empty()
        : springs.stream()
            .filter(s -> !s.id().equals(spring) && s.batch().equals(own.batch()))
            .flatMap(s -> s.brokeAtHours().stream().boxed())
            .min(Comparator.naturalOrder());
  }

  /** Each spring by its id. */
  public Map<String, Spring> byId() {
    return springs.stream().collect(Collectors.toMap(Spring::id, s -> s));
  }
}
