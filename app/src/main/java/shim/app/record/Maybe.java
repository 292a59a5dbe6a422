package shim.app.record;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** A figure that may be missing: null in rows and answers, empty in core. */
public final class Maybe {
  private Maybe() {}

  public static OptionalDouble of(@Nullable Double figure) {
    return figure == null ? OptionalDouble.empty() : OptionalDouble.of(figure);
  }

  public static @Nullable Double orNull(OptionalDouble figure) {
    return figure.isPresent() ? Double.valueOf(figure.getAsDouble()) : null;
  }
}
