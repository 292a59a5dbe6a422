package shim.e2e;

import java.util.HashMap;
import java.util.List;
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
