package shim.core.walk;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * Something done, or about to be.
 *
 * @param step the script's step it does; blank when it is none
 * @param figure crank degrees, psi, inch, a count or lash, by the act
 * @param word a part's mark, what is counted, an answer, a reason, by the act
 */
public record Done(
    Act act,
    String step,
    @Nullable Integer cylinder,
    @Nullable Position valve,
    @Nullable Double figure,
    @Nullable String word,
    String hand,
    Instant at) {

  /** The last of some acts that is meant; a step may be done more than once. */
  public static Optional<Done> last(List<Done> acts, Predicate<Done> meant) {
    return acts.stream().filter(meant).reduce((a, b) -> b);
  }

  /** No number where none was given. */
  public double number() {
    return figure == null ? Double.NaN : figure;
  }

  public String text() {
    return word == null ? "" : word.strip();
  }
}
