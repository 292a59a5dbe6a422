package shim.core.head;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import shim.core.unit.Figures;

/**
 * What holds a head down, and how it is torqued.
 *
 * @param perSide fixings of one head
 * @param sequence numbers of one head, from the middle outwards as a rule
 * @param stepsLbfFt to the figure that was chosen; one step goes straight to it
 * @param fastenerLbfFt figure of whoever made the fastener; null where there is none
 * @param engineLbfFt figure of whoever made the engine or head; null where there is none
 * @param reason why the chosen figure was chosen; needed where the two differ
 * @param waiting numbers that cannot be reached until the rockers are on
 * @param oneAtATime the gasket is crushed already: one fixing is changed at a time, straight to its
 *     figure
 */
public record Fixings(
    Kind kind,
    int perSide,
    List<Integer> sequence,
    List<Double> stepsLbfFt,
    String lubricant,
    @Nullable Double fastenerLbfFt,
    @Nullable Double engineLbfFt,
    Whose chosen,
    String reason,
    Set<Integer> waiting,
    boolean oneAtATime) {

  /** What kind of fixing. */
  public enum Kind {
    BOLT("bolt", "bolts"),
    STUD("stud nut", "stud nuts");

    private final String one;
    private final String many;

    Kind(String one, String many) {
      this.one = one;
      this.many = many;
    }

    public String one() {
      return one;
    }

    public String many() {
      return many;
    }
  }

  /** Whose figure was chosen. */
  public enum Whose {
    FASTENER_MAKER("the fastener maker's figure"),
    ENGINE_MAKER("the engine maker's figure");

    private final String words;

    Whose(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** What is wrong with them. */
  public enum Fault {
    NONE_LISTED,
    DOUBLED,
    LEFT_OUT,
    UNKNOWN_NUMBER,
    STEPS_FALL,
    NO_FIGURE,
    NOT_THE_FIGURE,
    NO_REASON,
    STEPS_WITH_CRUSHED_GASKET
  }

  /** A fault, and the fixing it is about; 0 where about none. */
  public record Found(Fault fault, int number) {}

  private static final int MOST = 40;

  public Fixings {
    sequence = List.copyOf(sequence);
    stepsLbfFt = List.copyOf(stepsLbfFt);
    waiting = new TreeSet<>(waiting);
  }

  /** The figure that was chosen. */
  public Optional<Double> figure() {
    return Optional.ofNullable(chosen == Whose.FASTENER_MAKER ? fastenerLbfFt : engineLbfFt);
  }

  /** The two makers say something else. */
  public boolean differ() {
    return fastenerLbfFt != null
        && engineLbfFt != null
        && !Figures.same(fastenerLbfFt, engineLbfFt);
  }

  /** All that is wrong, the first of each kind. */
  public List<Found> faults() {
    List<Found> all = new ArrayList<>();
    numbers(all);
    if (stepsLbfFt.isEmpty()
        || IntStream.range(1, stepsLbfFt.size())
            .anyMatch(i -> !(stepsLbfFt.get(i) > stepsLbfFt.get(i - 1)))) {
      all.add(new Found(Fault.STEPS_FALL, 0));
    }
    if (figure().isEmpty()) {
      all.add(new Found(Fault.NO_FIGURE, 0));
    } else if (!stepsLbfFt.isEmpty()
        && !Figures.same(stepsLbfFt.get(stepsLbfFt.size() - 1), figure().get())) {
      all.add(new Found(Fault.NOT_THE_FIGURE, 0));
    }
    if (differ() && reason.isBlank()) {
      all.add(new Found(Fault.NO_REASON, 0));
    }
    if (oneAtATime && stepsLbfFt.size() > 1) {
      all.add(new Found(Fault.STEPS_WITH_CRUSHED_GASKET, 0));
    }
    return all;
  }

  private void numbers(List<Found> all) {
    if (perSide < 1 || perSide > MOST) {
      all.add(new Found(Fault.NONE_LISTED, 0));
      return;
    }
    Set<Integer> seen = new TreeSet<>();
    for (int n : sequence) {
      if (n < 1 || n > perSide) {
        all.add(new Found(Fault.UNKNOWN_NUMBER, n));
      } else if (!seen.add(n)) {
        all.add(new Found(Fault.DOUBLED, n));
      }
    }
    IntStream.rangeClosed(1, perSide)
        .filter(n -> !seen.contains(n))
        .findFirst()
        .ifPresent(n -> all.add(new Found(Fault.LEFT_OUT, n)));
    waiting.stream()
        .filter(n -> n < 1 || n > perSide)
        .findFirst()
        .ifPresent(n -> all.add(new Found(Fault.UNKNOWN_NUMBER, n)));
  }

  /** Those that can be torqued at once, in the sequence. */
  List<Integer> first() {
    return sequence.stream().filter(n -> !waiting.contains(n)).toList();
  }

  /** Those that wait for the rockers, in the sequence. */
  List<Integer> later() {
    return sequence.stream().filter(waiting::contains).toList();
  }
}
