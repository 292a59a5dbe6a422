package shim.core.walk;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One kind of thing through a job: what was laid out and what came off the engine must be on the
 * engine, on the bench or put away at the end.
 *
 * @param laidOut from stock or the tool box
 * @param off taken off the engine
 * @param on put on the engine
 * @param away old ones that were exchanged, to the spares or to scrap
 * @param counted on the bench at the end; null until counted
 */
public record Tally(int laidOut, int off, int on, int away, @Nullable Integer counted) {
  public static final Tally NONE = new Tally(0, 0, 0, 0, null);

  /** What must be found on the bench. */
  public int expected() {
    return laidOut + off - on - away;
  }

  public Tally laid(int n) {
    return new Tally(n, off, on, away, null);
  }

  public Tally takenOff(int n) {
    return new Tally(laidOut, off + n, on, away, null);
  }

  public Tally putOn(int n) {
    return new Tally(laidOut, off, on + n, away, null);
  }

  /** Pieces put on that were neither laid out nor taken off came from stock just now. */
  public Tally fromStock() {
    return expected() < 0 ? new Tally(laidOut - expected(), off, on, away, counted) : this;
  }

  public Tally putAway(int n) {
    return new Tally(laidOut, off, on, n, null);
  }

  /** Ones from stock beside those that were laid out at first. */
  public Tally more(int n) {
    return new Tally(laidOut + n, off, on, away, null);
  }

  public Tally found(int n) {
    return new Tally(laidOut, off, on, away, n);
  }

  public boolean untouched() {
    return laidOut == 0 && off == 0 && on == 0;
  }

  /** What does not add up, in words. */
  public Optional<String> difference(Thing thing) {
    if (untouched()) {
      return Optional.empty();
    }
    if (counted == null) {
      return Optional.of(thing.many() + " are not counted yet");
    }
    int missing = expected() - counted;
    if (missing == 0) {
      return Optional.empty();
    }
    String sum =
        String.format(": %d laid out, %d off the engine, %d on it", laidOut, off, on)
            + (away == 0 ? "" : ", " + away + " put away")
            + String.format(", %d counted", counted);
    return Optional.of(
        missing > 0
            ? thing.words(missing) + " missing" + sum
            : thing.words(-missing) + " too many" + sum);
  }
}
