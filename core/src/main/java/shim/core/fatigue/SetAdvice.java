package shim.core.fatigue;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import shim.core.engine.Position;
import shim.core.unit.Figures;

/**
 * One spring or the whole set.
 *
 * @param wholeSet change all of them, not only {@code change}
 * @param change valves whose spring is to be changed
 * @param soon springs due inside the next two events, of {@code of}
 * @param spreadNow largest less smallest loss in the set, share
 * @param spreadAfter the same with those renewed
 */
public record SetAdvice(
    School school,
    boolean wholeSet,
    List<Position> change,
    int soon,
    int of,
    double spreadNow,
    double spreadAfter) {
  /** From this share of the set on, changing all is the smaller work. Common practice. */
  private static final double MANY = 0.34;

  /** With this probability of being under a limit after two events a spring is due soon. */
  private static final double SOON = 0.2;

  /** What a team holds to. */
  public enum School {
    /** A spring from stock that matches the set. */
    MATCHED_SINGLE,
    /** All together, so that all age alike. */
    WHOLE_SET
  }

  /**
   * One spring of the set.
   *
   * @param due it falls due before one of the planned events
   * @param underAfter probability of being under a limit after two events
   * @param lossNow share
   */
  public record Member(
      Position position, Verdict verdict, boolean due, double underAfter, double lossNow) {
    boolean soon() {
      return due || Figures.atLeast(underAfter, SOON);
    }

    boolean goes() {
      return verdict == Verdict.CHANGE;
    }
  }

  public SetAdvice {
    change = List.copyOf(change);
  }

  /** Nothing where no spring is to be changed. */
  public static Optional<SetAdvice> of(List<Member> set, School school) {
    List<Position> change = set.stream().filter(Member::goes).map(Member::position).toList();
    if (change.isEmpty()) {
      return Optional.empty();
    }
    int soon = (int) set.stream().filter(Member::soon).count();
    return Optional.of(
        new SetAdvice(
            school,
            school == School.WHOLE_SET || soon >= MANY * set.size(),
            change,
            soon,
            set.size(),
            spread(set, m -> true),
            spread(set, m -> !m.goes())));
  }

  private static double spread(List<Member> set, Predicate<Member> counts) {
    double[] loss = set.stream().filter(counts).mapToDouble(Member::lossNow).sorted().toArray();
    return loss.length == 0 ? 0 : loss[loss.length - 1] - loss[0];
  }
}
