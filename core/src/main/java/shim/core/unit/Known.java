package shim.core.unit;

import java.util.Map;

/** What must be there: a miss is a fault of Shim, never of what was typed. */
public final class Known {
  private Known() {}

  /** What a map has for a key that is in it. */
  public static <K, V> V in(Map<K, V> map, K key) {
    V value = map.get(key);
    if (value == null) {
      throw new IllegalStateException("nothing known of " + key);
    }
    return value;
  }
}
