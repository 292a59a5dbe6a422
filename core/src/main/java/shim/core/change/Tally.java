package shim.core.change;

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
  static final Tally NONE = new Tally(0, 0, 0, 0, null);

  /** What must be found on the bench. */
  public int expected() {
    return laidOut + off - on - away;
  }

  Tally laid(int n) {
    return new Tally(n, off, on, away, null);
  }

  Tally takenOff(int n) {
    return new Tally(laidOut, off + n, on, away, null);
  }

  Tally putOn(int n) {
    return new Tally(laidOut, off, on + n, away, null);
  }

  /** Pieces put on that were neither laid out nor taken off came from stock just now. */
  Tally fromStock() {
    return expected() < 0 ? new Tally(laidOut - expected(), off, on, away, counted) : this;
  }

  Tally putAway(int n) {
    return new Tally(laidOut, off, on, n, null);
  }

  /** Ones from stock beside those that were laid out at first. */
  Tally more(int n) {
    return new Tally(laidOut + n, off, on, away, null);
  }

  Tally found(int n) {
    return new Tally(laidOut, off, on, away, n);
  }

  boolean untouched() {
    return laidOut == 0 && off == 0 && on == 0;
  }

  /** What does not add up, in words. */
  public Optional<String> difference(Item item) {
    if (untouched()) {
      return Optional.empty();
    }
    if (counted == null) {
      return Optional.of(item.many() + " are not counted yet");
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
            ? item.words(missing) + " missing" + sum
            : item.words(-missing) + " too many" + sum);
  }
}
