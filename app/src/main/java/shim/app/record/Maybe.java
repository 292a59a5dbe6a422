package shim.app.record;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** A figure that a row may lack, as core takes it. */
public final class Maybe {
  private Maybe() {}

  public static OptionalDouble of(@Nullable Double figure) {
    return figure == null ? OptionalDouble.empty() : OptionalDouble.of(figure);
  }
}
