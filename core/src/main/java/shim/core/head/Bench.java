package shim.core.head;

import java.util.Collections;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/** A head on the bench as far as it is assembled. */
public record Bench(Map<Position, OnBench> valves) {
  /** On the way from a bare valve to a finished one. */
  public enum Stage {
    BARE("bare"),
    SPRING_ON("its spring on, no locks"),
    COMPRESSED("compressed"),
    HOOKED("compressed, locks in"),
    CLOSED("closed, locks not proved"),
    PROVED("locks proved");

    private final String words;

    Stage(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** A tool is on it. */
    boolean underTool() {
      return this == COMPRESSED || this == HOOKED;
    }
  }

  /**
   * One valve.
   *
   * @param spring mark of the one on it; null while none is
   * @param shims pieces under it
   */
  public record OnBench(Stage stage, @Nullable String spring, int shims) {
    OnBench to(Stage next) {
      return new OnBench(next, spring, shims);
    }
  }

  public Bench {
    valves = Collections.unmodifiableMap(valves);
  }

  static Bench bare(AssemblyPlan plan) {
    Map<Position, OnBench> all = new TreeMap<>();
    plan.valves().forEach(v -> all.put(v.valve(), new OnBench(Stage.BARE, null, 0)));
    return new Bench(all);
  }

  public OnBench at(Position valve) {
    return Objects.requireNonNull(valves.get(valve), "no such valve: " + valve);
  }

  Bench with(Position valve, OnBench next) {
    Map<Position, OnBench> all = new TreeMap<>(valves);
    all.put(valve, next);
    return new Bench(all);
  }

  /** The valve the tool is on. */
  Optional<Position> underTool() {
    return valves.entrySet().stream()
        .filter(e -> e.getValue().stage().underTool())
        .map(Map.Entry::getKey)
        .findFirst();
  }
}
