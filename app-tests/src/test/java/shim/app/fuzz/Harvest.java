package shim.app.fuzz;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import tools.jackson.databind.JsonNode;

/** True values by the name of their field and true objects by the name of their schema. */
final class Harvest {
  private static final int MOST = 60;
  private final ApiDocument api;
  private final Map<String, List<JsonNode>> byField = new HashMap<>();
  private final Map<String, List<JsonNode>> bySchema = new HashMap<>();
  private final Map<String, List<String>> ids = new HashMap<>();

  Harvest(ApiDocument api) {
    this.api = api;
  }

  /** Takes in what a call answered; ids belong to the address they came from. */
  void take(ApiDocument.Operation call, JsonNode answer) {
    take(api.answer(call), answer);
    collect(call.path(), answer);
  }

  private void collect(String path, JsonNode answer) {
    String kind = path.substring(path.lastIndexOf('/') + 1);
    for (JsonNode one : answer.isArray() ? answer : List.of(answer)) {
      if (one.path("id").isString()) {
        add(ids, kind, one.path("id").asString());
      }
    }
  }

  private void take(JsonNode schema, JsonNode value) {
    JsonNode s = api.resolve(schema);
    if (value.isObject()) {
      if (schema.has("$ref")) {
        add(bySchema, ApiDocument.name(schema), value);
      }
      for (Map.Entry<String, JsonNode> p : value.properties()) {
        if (p.getValue().isValueNode()) {
          add(byField, p.getKey(), p.getValue());
        }
        take(s.path("properties").path(p.getKey()), p.getValue());
      }
    } else if (value.isArray()) {
      value.forEach(v -> take(s.path("items"), v));
    }
  }

  private static <T> void add(Map<String, List<T>> to, String key, T value) {
    List<T> list = to.computeIfAbsent(key, k -> new ArrayList<>());
    if (list.size() < MOST && !list.contains(value)) {
      list.add(value);
    }
  }

  Optional<JsonNode> field(String name, Random random) {
    return any(byField, name, random);
  }

  Optional<JsonNode> object(String schema, Random random) {
    return any(bySchema, schema, random);
  }

  /** An id that stands at this place of a path: an engine's behind {@code /engines/}. */
  Optional<String> id(String path, String parameter, Random random) {
    String before = path.substring(0, path.indexOf("{" + parameter + "}") - 1);
    return any(ids, before.substring(before.lastIndexOf('/') + 1), random);
  }

  private static <T> Optional<T> any(Map<String, List<T>> from, String key, Random random) {
    List<T> list = from.getOrDefault(key, List.of());
    return list.isEmpty() ? Optional.empty() : Optional.of(list.get(random.nextInt(list.size())));
  }
}
