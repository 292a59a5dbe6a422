package shim.core.spring;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/**
 * A part that differs from those of most other valves of its kind.
 *
 * @param among what most of them have
 */
public record OddPart(Position valve, String part, String among) {
  /**
   * The odd ones of a set: where more than half of the valves of a kind have one part, those that
   * have another. Where nothing is written nobody can tell, and nothing is said.
   */
  public static List<OddPart> in(Map<Position, String> parts) {
    List<OddPart> odd = new ArrayList<>();
    for (ValveKind kind : ValveKind.values()) {
      Map<Position, String> of = new TreeMap<>();
      parts.forEach(
          (p, part) -> {
            if (p.kind() == kind && !part.isBlank()) {
              of.put(p, part.strip());
            }
          });
      Map<String, Integer> counts = new HashMap<>();
      of.values().forEach(v -> counts.merge(name(v), 1, Integer::sum));
      of.values().stream()
          .filter(v -> 2 * counts.getOrDefault(name(v), 0) > of.size())
          .findFirst()
          .ifPresent(
              most ->
                  of.forEach(
                      (p, v) -> {
                        if (!name(v).equals(name(most))) {
                          odd.add(new OddPart(p, v, most));
                        }
                      }));
    }
    return odd;
  }

  private static String name(String part) {
    return part.toLowerCase(Locale.ROOT);
  }
}
