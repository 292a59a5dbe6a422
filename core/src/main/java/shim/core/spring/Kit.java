package shim.core.spring;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.unit.Figures;

/**
 * The parts a kind of spring can be had with. Names are the team's own.
 *
 * @param retainers that fit it
 * @param locks that go with them
 * @param cups and locators that fit under it
 */
public record Kit(List<RetainerPart> retainers, List<LockPart> locks, List<CupPart> cups) {
  /** Nothing known but the spring. */
  public static final Kit NONE = new Kit(List.of(), List.of(), List.of());

  /** The cut in a valve stem that locks grip. */
  public enum Groove {
    SQUARE,
    ROUND,
    /** Several shallow beads. */
    MULTI
  }

  /**
   * A retainer.
   *
   * @param raisesIn what it adds to the installed height against the usual one
   * @param lockDeg angle of its taper; null where it is not known
   */
  public record RetainerPart(String name, double raisesIn, @Nullable Double lockDeg) {}

  /**
   * A pair of lock halves.
   *
   * @param raisesIn how much they raise the retainer against plain ones
   * @param lockDeg angle of their taper
   * @param stemIn stem diameter they are made for
   */
  public record LockPart(
      String name,
      double raisesIn,
      @Nullable Double lockDeg,
      @Nullable Double stemIn,
      @Nullable Groove groove) {}

  /**
   * A cup or locator under the spring.
   *
   * @param insideIn diameter the spring stands in
   * @param thickIn what it takes off the installed height
   */
  public record CupPart(String name, double insideIn, double thickIn) {}

  /** What the stems of a kind of valve are like; nulls where nobody measured. */
  public record Stem(@Nullable Double stemIn, @Nullable Groove groove) {
    public static final Stem UNKNOWN = new Stem(null, null);
  }

  /** Why locks do not go together with a retainer and a stem. */
  public enum Mismatch {
    ANGLE,
    STEM,
    GROOVE
  }

  /** Locks for a stem of another diameter differ by far more; readings by less. Practice. */
  private static final double STEM_IN = 0.002;

  public Kit {
    retainers = List.copyOf(retainers);
    locks = List.copyOf(locks);
    cups = List.copyOf(cups);
  }

  /** What speaks against locks, as far as anything is known. */
  public static Optional<Mismatch> mismatch(
      LockPart lock, @Nullable RetainerPart retainer, Stem stem) {
    if (retainer != null && differ(lock.lockDeg(), retainer.lockDeg(), 0)) {
      return Optional.of(Mismatch.ANGLE);
    }
    if (differ(lock.stemIn(), stem.stemIn(), STEM_IN)) {
      return Optional.of(Mismatch.STEM);
    }
    boolean groove =
        lock.groove() != null && stem.groove() != null && lock.groove() != stem.groove();
    return groove ? Optional.of(Mismatch.GROOVE) : Optional.empty();
  }

  private static boolean differ(@Nullable Double a, @Nullable Double b, double by) {
    return a != null && b != null && Figures.above(Math.abs(a - b), by);
  }
}
