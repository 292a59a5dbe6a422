package shim.app.fuzz;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** The API as its own document describes it. */
final class ApiDocument {
  private final JsonNode root;

  ApiDocument(JsonNode root) {
    this.root = root;
  }

  /**
   * One call of the API.
   *
   * @param body schema of what it takes; missing where it takes nothing
   * @param content kind of content it takes
   */
  record Operation(
      String method, String path, List<Parameter> parameters, JsonNode body, String content) {
    boolean changes() {
      return !method.equals("get");
    }

    @Override
    public String toString() {
      return method.toUpperCase() + " " + path;
    }
  }

  /** A parameter in the address. */
  record Parameter(String name, boolean inPath, boolean required, JsonNode schema) {}

  List<Operation> operations() {
    List<Operation> all = new ArrayList<>();
    for (Map.Entry<String, JsonNode> path : root.path("paths").properties()) {
      for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
        all.add(operation(method.getKey(), path.getKey(), method.getValue()));
      }
    }
    return all;
  }

  private static Operation operation(String method, String path, JsonNode o) {
    List<Parameter> parameters = new ArrayList<>();
    for (JsonNode p : o.path("parameters")) {
      parameters.add(
          new Parameter(
              p.path("name").asString(),
              p.path("in").asString().equals("path"),
              p.path("required").asBoolean(),
              p.path("schema")));
    }
    Map.Entry<String, JsonNode> content =
        o.path("requestBody").path("content").properties().stream()
            .findFirst()
            .orElse(Map.entry("", o.path("nothing")));
    return new Operation(
        method, path, parameters, content.getValue().path("schema"), content.getKey());
  }

  /** A schema by the name another refers to it with. */
  JsonNode resolve(JsonNode schema) {
    return schema.has("$ref") ? root.path("components").path("schemas").path(name(schema)) : schema;
  }

  static String name(JsonNode schema) {
    String ref = schema.path("$ref").asString("");
    return ref.substring(ref.lastIndexOf('/') + 1);
  }

  /** The schema of what a call answers. */
  JsonNode answer(Operation o) {
    for (Map.Entry<String, JsonNode> status :
        root.path("paths").path(o.path()).path(o.method()).path("responses").properties()) {
      for (Map.Entry<String, JsonNode> content : status.getValue().path("content").properties()) {
        return content.getValue().path("schema");
      }
    }
    return root.path("nothing");
  }

  /**
   * Where a number is promised and what is there is none: a figure without an end, or no figure.
   */
  boolean endless(JsonNode answer, JsonNode schema) {
    JsonNode s = resolve(schema);
    if (answer.isString()) {
      return s.path("type").toString().contains("number")
          && answer.asString().matches("NaN|-?Infinity");
    }
    if (answer.isArray()) {
      return answer.valueStream().anyMatch(a -> endless(a, s.path("items")));
    }
    return answer.isObject()
        && answer.properties().stream()
            .anyMatch(
                p -> {
                  JsonNode own = s.path("properties").path(p.getKey());
                  return endless(
                      p.getValue(), own.isMissingNode() ? s.path("additionalProperties") : own);
                });
  }
}
