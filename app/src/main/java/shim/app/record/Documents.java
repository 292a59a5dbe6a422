package shim.app.record;

import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import shim.core.unit.Said;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Documents in the database, so that what was stored once can be read for ever. Each is stored with
 * the version of its kind: {@code {"version": 1, "document": …}}. A kind whose shape changes gets
 * one more step from the version before, and a kept sample of that version in the tests. What was
 * stored before there were versions is version 0.
 */
@Component
public class Documents {
  private static final String VERSION = "version";
  private static final String DOCUMENT = "document";

  /** Kinds of documents with the steps from each version to the next. */
  public enum Kind {
    ENGINE_SHEET,
    SPRING_SHEET,
    SPRING_RULES,
    LIFTER_RULES,
    CHANGE_RULES,
    JOB_PLAN,
    PLAN_TASK,
    PLAN_HAND,
    PLAN_TRUCK,
    PLAN_AGREED,
    /** At first nothing was measured on arrival, and no kinds were known. */
    PART_ORDER(List.of(Documents::nothingMeasured)),
    PART_KIND,
    SERVICE,
    SPRING_KIT,
    HEAD_SHEET,
    ASSEMBLY_PLAN,
    HEADS_ON_PLAN,
    CAM_BENCH,
    CAM_SITTING,
    LOBE_TABLE,
    OTHER_CAM,
    /**
     * What was said of a round when it was signed; at first its whole story was kept, and until
     * version 2 in words.
     */
    ROUND_LOOKS(List.of(d -> d.isArray() ? d : d.path("first"), Documents::wordsAsSaid));

    private final List<UnaryOperator<JsonNode>> steps;

    Kind() {
      this(List.of());
    }

    Kind(List<UnaryOperator<JsonNode>> steps) {
      this.steps = steps;
    }

    /** The version that is written now. */
    public int version() {
      return steps.size();
    }

    private JsonNode newest(JsonNode document, int version) {
      JsonNode d = document;
      for (UnaryOperator<JsonNode> step : steps.subList(version, steps.size())) {
        d = step.apply(d);
      }
      return d;
    }
  }

  private static JsonNode nothingMeasured(JsonNode order) {
    if (order instanceof ObjectNode o) {
      o.putArray("measured");
    }
    return order;
  }

  /** Each line's words become something said that was kept. */
  private static JsonNode wordsAsSaid(JsonNode looks) {
    for (JsonNode look : looks) {
      if (look instanceof ObjectNode line && line.has("words")) {
        ObjectNode said = line.putObject("said");
        said.put("code", Said.KEPT);
        said.putObject("figures");
        said.set("name", line.remove("words"));
      }
    }
    return looks;
  }

  private final JsonMapper json;

  Documents(JsonMapper json) {
    this.json = json;
  }

  public String write(Kind kind, Object document) {
    ObjectNode stored = json.createObjectNode();
    stored.put(VERSION, kind.version());
    stored.set(DOCUMENT, json.valueToTree(document));
    return json.writeValueAsString(stored);
  }

  /** A document as a file holds it. */
  public JsonNode tree(Object document) {
    return json.valueToTree(document);
  }

  /** A document as it stands in a file; every figure in it is looked through by who takes it. */
  public <T> T record(JsonNode document, Class<T> as) {
    return json.treeToValue(document, as);
  }

  /** Reads any version up to now; one of a later Shim is an error in words. */
  public <T> T read(Kind kind, String stored, Class<T> as) {
    JsonNode tree = json.readTree(stored);
    boolean versioned = tree.size() == 2 && tree.has(VERSION) && tree.has(DOCUMENT);
    int version = versioned ? tree.path(VERSION).asInt() : 0;
    if (version > kind.version()) {
      throw new IllegalStateException(
          kind + " was stored by a later Shim, in version " + version + ": start that one");
    }
    return json.treeToValue(kind.newest(versioned ? tree.path(DOCUMENT) : tree, version), as);
  }
}
