package shim.core.change;

import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * Something done, or about to be.
 *
 * @param step the script's step it does; blank when it is none
 * @param figure crank degrees, psi, inch, a count or lash, by the act
 * @param word a spring's mark, an {@link Item}, a {@link Answer}, a reason, by the act
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

  double number() {
    return figure == null ? Double.NaN : figure;
  }

  Optional<Answer> answer() {
    return Answer.of(text());
  }

  String text() {
    return word == null ? "" : word.strip();
  }
}
