package shim.e2e;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openqa.selenium.json.Json;

/** The walk of a spring change as a careful person does it, over the API. */
final class Walk {
  private static final Json JSON = new Json();

  private Walk() {}

  @SuppressWarnings("unchecked")
  private static Map<String, Object> state(String view) {
    return (Map<String, Object>)
        ((Map<String, Object>) JSON.toType(view, Json.MAP_TYPE)).get("state");
  }

  static int acts(String view) {
    return ((Number) state(view).get("acts")).intValue();
  }

  /** A figure between the limits of what is read next, as it is typed. */
  @SuppressWarnings("unchecked")
  static String sound(String view) {
    Map<String, Object> next = (Map<String, Object>) state(view).get("next");
    Map<String, Object> within = (Map<String, Object>) next.get("within");
    Number least = (Number) within.get("least");
    Number most = (Number) within.get("most");
    double low = ((Number) within.get("possibleLow")).doubleValue();
    double figure =
        least == null
            ? most == null ? low + 0.05 : Math.max(low, most.doubleValue() / 2)
            : most == null ? least.doubleValue() : (least.doubleValue() + most.doubleValue()) / 2;
    return String.format(Locale.ROOT, "LBF".equals(within.get("unit")) ? "%.0f" : "%.3f", figure);
  }

  /** The act that does the next step; null when there is none. */
  @SuppressWarnings("unchecked")
  static String nextAct(String view) {
    Map<String, Object> state = state(view);
    Map<String, Object> next = (Map<String, Object>) state.get("next");
    if (next == null) {
      return null;
    }
    Map<String, Object> act = new HashMap<>();
    List.of("act", "cylinder", "valve", "figure", "word")
        .forEach(
            k -> {
              if (next.get(k) != null) {
                act.put(k, next.get(k));
              }
            });
    act.put("step", next.get("id"));
    act.put("hand", "KV");
    act.put("basedOn", state.get("acts"));
    if (next.get("within") != null) {
      act.put("figure", Double.valueOf(sound(view)));
    }
    if ("LASH".equals(next.get("act"))) {
      act.put("figure", 0.012);
    }
    if ("COUNTED".equals(next.get("act"))) {
      ((List<Map<String, Object>>) state.get("counts"))
          .stream()
              .filter(c -> next.get("word").equals(c.get("item")))
              .forEach(c -> act.put("figure", c.get("expected")));
    }
    return JSON.toJson(act);
  }
}
