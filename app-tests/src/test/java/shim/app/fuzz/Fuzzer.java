package shim.app.fuzz;

import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes requests from the API's own document: mostly sound, each with a few things wrong. A new
 * operation is covered the day it is made.
 */
final class Fuzzer {
  private static final JsonNodeFactory NEW = JsonNodeFactory.instance;
  private static final List<String> NASTY_WORDS =
      List.of(
          "",
          " ",
          "x".repeat(13),
          "x".repeat(81),
          "x".repeat(5000),
          "a\u0000b",
          "=1+1",
          "NaN",
          "Infinity",
          "null",
          "\uD83D\uDD27",
          "../../etc/passwd",
          "3E",
          "99Q",
          "'; drop table x",
          "-1",
          "1e999",
          "2026-13-45",
          "9999-12-31T00:00:00Z",
          "+999999999-01-01");
  private static final List<Double> NASTY_NUMBERS =
      List.of(
          0.0,
          -0.0,
          -1.0,
          1e300,
          -1e300,
          1e-300,
          0.5,
          1e9,
          2147483648.0,
          100001.0,
          -0.001,
          65.0,
          1000.0,
          0.1,
          7.0);
  private static final List<String> NASTY_BODIES =
      List.of(
          "",
          "null",
          "[]",
          "{}",
          "[null]",
          "{",
          "\"x\"",
          "7",
          "[[[[[[]]]]]]",
          "{\"x\":1}",
          "\u0000");
  private static final List<String> NASTY_CONTENT =
      List.of("multipart/form-data", "text/plain", "application/xml", "application/octet-stream");

  private final ApiDocument api;
  private final Harvest harvest;
  private final Random random;

  /** Chance that one value of a body is made wrong. */
  private double wrong;

  Fuzzer(ApiDocument api, Harvest harvest, long seed) {
    this.api = api;
    this.harvest = harvest;
    this.random = new Random(seed);
  }

  /** A request as it goes over the line; the body is null where none is sent. */
  record Shot(ApiDocument.Operation operation, String url, String content, String body) {
    @Override
    public String toString() {
      String shown = body == null ? "no body" : body.substring(0, Math.min(300, body.length()));
      return operation.method().toUpperCase() + " " + url + " [" + content + "] " + shown;
    }
  }

  Shot next(List<ApiDocument.Operation> operations) {
    return shot(operations.get(random.nextInt(operations.size())));
  }

  /** A sound request, as far as the document and what was harvested can tell. */
  Shot sound(ApiDocument.Operation o) {
    wrong = 0;
    return new Shot(o, url(o), o.content(), o.body().isMissingNode() ? null : body(o));
  }

  Shot shot(ApiDocument.Operation o) {
    wrong = random.nextInt(3) == 0 ? 0 : 0.02 + 0.2 * random.nextDouble();
    String url = url(o);
    if (o.body().isMissingNode()) {
      return new Shot(o, url, "", chance(0.05) ? any(NASTY_BODIES) : null);
    }
    if (chance(0.05)) {
      return new Shot(o, url, any(NASTY_CONTENT), body(o));
    }
    if (chance(0.08)) {
      return new Shot(o, url, o.content(), chance(0.2) ? null : any(NASTY_BODIES));
    }
    return new Shot(o, url, o.content(), body(o));
  }

  private String body(ApiDocument.Operation o) {
    if (o.content().contains("json")) {
      return JsonMapper.shared().writeValueAsString(value(o.body(), "", 0));
    }
    return IntStream.range(0, random.nextInt(30))
        .mapToObj(i -> row())
        .reduce("", (a, b) -> a + b + "\n");
  }

  private String row() {
    return chance(0.2)
        ? any(NASTY_WORDS)
        : random.nextInt(720) + (chance(0.5) ? "," : ";") + random.nextDouble() / 2;
  }

  private String url(ApiDocument.Operation o) {
    String url = o.path();
    StringBuilder query = new StringBuilder();
    for (ApiDocument.Parameter p : o.parameters()) {
      if (p.inPath()) {
        url = url.replace("{" + p.name() + "}", encoded(inPath(o, p)));
      } else if (p.required() ? !broken() : chance(0.5)) {
        query.append(query.isEmpty() ? "?" : "&").append(p.name()).append('=');
        query.append(encoded(value(p.schema(), p.name(), 0).asString("")));
      }
    }
    return url + query;
  }

  private String inPath(ApiDocument.Operation o, ApiDocument.Parameter p) {
    if (broken()) {
      return chance(0.5) ? UUID.randomUUID().toString() : "x" + random.nextInt(99);
    }
    return harvest
        .id(o.path(), p.name(), random)
        .or(() -> harvest.field(p.name(), random).map(JsonNode::asString))
        .orElse(UUID.nameUUIDFromBytes(new byte[] {(byte) random.nextInt(20)}).toString());
  }

  private static String encoded(String text) {
    return java.net.URLEncoder.encode(text, java.nio.charset.StandardCharsets.UTF_8)
        .replace("+", "%20");
  }

  private JsonNode value(JsonNode schema, String field, int depth) {
    if (broken()) {
      return nasty();
    }
    JsonNode s = api.resolve(schema);
    if (schema.has("$ref") && chance(0.6)) {
      JsonNode known = harvest.object(ApiDocument.name(schema), random).orElse(null);
      if (known != null) {
        return changed(known.deepCopy());
      }
    }
    return switch (s.path("type").asString("object")) {
      case "array" -> array(s, field, depth);
      case "string" -> text(s, field);
      case "number" -> number(field);
      case "integer" -> NEW.numberNode(harvestedInt(field));
      case "boolean" -> NEW.booleanNode(chance(0.5));
      default -> object(s, depth);
    };
  }

  private JsonNode array(JsonNode s, String field, int depth) {
    ArrayNode list = NEW.arrayNode();
    int n = depth > 4 ? 0 : 1 + random.nextInt(3);
    for (int i = 0; i < n; i++) {
      list.add(value(s.path("items"), field, depth + 1));
    }
    return list;
  }

  private JsonNode object(JsonNode s, int depth) {
    ObjectNode o = NEW.objectNode();
    List<String> required = s.path("required").valueStream().map(JsonNode::asString).toList();
    for (Map.Entry<String, JsonNode> p : s.path("properties").properties()) {
      boolean wanted = required.contains(p.getKey()) ? !broken() : depth < 5 && chance(0.4);
      if (wanted) {
        o.set(p.getKey(), value(p.getValue(), p.getKey(), depth + 1));
      }
    }
    return o;
  }

  private JsonNode text(JsonNode s, String field) {
    if (s.has("enum")) {
      return s.path("enum").get(random.nextInt(s.path("enum").size()));
    }
    JsonNode known = harvest.field(field, random).filter(JsonNode::isString).orElse(null);
    if (known != null && chance(0.8)) {
      return known;
    }
    return switch (s.path("format").asString("")) {
      case "uuid" -> NEW.stringNode(new UUID(7, random.nextInt(40)).toString());
      case "date" -> NEW.stringNode("2026-05-" + (10 + random.nextInt(18)));
      case "date-time" -> NEW.stringNode("2026-05-" + (10 + random.nextInt(18)) + "T10:00:00Z");
      default -> NEW.stringNode(chance(0.5) ? "KV" : "word " + random.nextInt(9));
    };
  }

  private JsonNode number(String field) {
    JsonNode known = harvest.field(field, random).filter(JsonNode::isNumber).orElse(null);
    return known != null && chance(0.7)
        ? known
        : NEW.numberNode(Math.round(random.nextDouble() * 3000) / 1000.0);
  }

  private int harvestedInt(String field) {
    return harvest
        .field(field, random)
        .filter(JsonNode::isInt)
        .map(JsonNode::asInt)
        .orElse(random.nextInt(5));
  }

  /** A true object with here and there something wrong. */
  private JsonNode changed(JsonNode node) {
    if (node instanceof ObjectNode o) {
      for (String name : o.propertyNames().stream().toList()) {
        if (broken()) {
          o.set(name, nasty());
        } else {
          changed(o.get(name));
        }
      }
    } else if (node instanceof ArrayNode a) {
      for (int i = 0; i < a.size(); i++) {
        if (broken()) {
          a.set(i, nasty());
        } else {
          changed(a.get(i));
        }
      }
    }
    return node;
  }

  private JsonNode nasty() {
    return switch (random.nextInt(8)) {
      case 0 -> NEW.nullNode();
      case 1 -> NEW.arrayNode().addNull();
      case 2 -> NEW.objectNode();
      case 3 -> NEW.booleanNode(true);
      case 4, 5 -> NEW.numberNode(any(NASTY_NUMBERS));
      default -> NEW.stringNode(any(NASTY_WORDS));
    };
  }

  private boolean broken() {
    return chance(wrong);
  }

  private boolean chance(double p) {
    return random.nextDouble() < p;
  }

  private <T> T any(List<T> list) {
    return list.get(random.nextInt(list.size()));
  }
}
