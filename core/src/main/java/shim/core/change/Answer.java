package shim.core.change;

import java.util.Optional;
import java.util.stream.Stream;

/** An answer at a step that takes one of a few. */
public enum Answer {
  /** The halves of the lock stand apart, as they should. */
  GAP,
  NO_GAP,
  /** A spring that came out goes back in where it was. */
  AGAIN,
  SPARE,
  SCRAP,
  /** To scrap, found broken. */
  BROKEN,
  /** Air goes on with the crank off TDC, knowing what it does there. */
  OFF_TDC;

  /** As it was given. Walks of before it had a code wrote it down in words. */
  public static Optional<Answer> of(String said) {
    return switch (said) {
      case "gap" -> Optional.of(GAP);
      case "no gap" -> Optional.of(NO_GAP);
      case "in again" -> Optional.of(AGAIN);
      case "spare" -> Optional.of(SPARE);
      case "scrap: broken" -> Optional.of(BROKEN);
      default ->
          said.startsWith("scrap")
              ? Optional.of(SCRAP)
              : Stream.of(values()).filter(c -> c.name().equals(said)).findFirst();
    };
  }

  boolean goesSomewhere() {
    return switch (this) {
      case AGAIN, SPARE, SCRAP, BROKEN -> true;
      case GAP, NO_GAP, OFF_TDC -> false;
    };
  }

  boolean forGood() {
    return this == SCRAP || this == BROKEN;
  }
}
