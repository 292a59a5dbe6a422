package shim.core.readiness;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * Springs, lash, lifters and open work in one sentence. The worst item decides; none is averaged
 * away. It never says an engine is safe, only that nothing measured speaks against it.
 *
 * @param items worst first
 */
public record Readiness(State state, String sentence, List<Item> items) {
  /** How an engine stands. */
  public enum State {
    READY("ready"),
    READY_BUT("ready, but"),
    NOT_READY("not ready");

    private final String words;

    State(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What a reason belongs to. */
  public enum Area {
    WORK,
    SPRINGS,
    LASH,
    LIFTERS
  }

  /**
   * One reason.
   *
   * @param position the valve it is about; null when about the whole engine
   * @param reference what it links to within its area, such as a job's id
   */
  public record Item(
      Area area,
      State asks,
      String words,
      @Nullable Position position,
      @Nullable String reference) {}

  public Readiness {
    items = List.copyOf(items);
  }

  public static Readiness of(List<Item> found) {
    List<Item> items =
        found.stream()
            .sorted(Comparator.comparing(Item::asks).reversed().thenComparing(Item::area))
            .toList();
    State state = items.stream().map(Item::asks).max(Comparator.naturalOrder()).orElse(State.READY);
    return new Readiness(state, sentence(state, items), items);
  }

  private static String sentence(State state, List<Item> items) {
    if (state == State.READY) {
      return "Nothing measured speaks against the next event.";
    }
    List<Item> worst = items.stream().filter(i -> i.asks() == state).toList();
    String named = worst.stream().limit(2).map(Item::words).collect(Collectors.joining("; "));
    String more = worst.size() > 2 ? "; and " + (worst.size() - 2) + " more" : "";
    return (state == State.NOT_READY ? "Not ready: " : "Ready, but: ") + named + more + ".";
  }
}
