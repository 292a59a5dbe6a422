package shim.app.record;

import java.nio.charset.StandardCharsets;
import java.util.UUID;

/** Ids that are the same for the same thing, so that doing it twice does it once. */
public final class Ids {
  private Ids() {}

  public static UUID of(String name) {
    return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
  }
}
