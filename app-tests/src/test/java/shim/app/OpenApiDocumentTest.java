package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The front end's types come from web/openapi.json: it must be the application's own document. */
class OpenApiDocumentTest extends ApiTest {
  private static final Path KEPT = Path.of("..", "web", "openapi.json");
  @Autowired private JsonMapper json;

  @Test
  void theKeptDocumentIsTheApplicationsOwn() throws IOException {
    MockHttpServletResponse answer = get("/api/openapi").getResponse();
    assertThat(answer.getStatus()).isEqualTo(200);
    String served = answer.getContentAsString();
    String pretty =
        json.writer()
                .with(SerializationFeature.INDENT_OUTPUT)
                .writeValueAsString(json.readTree(served))
            + "\n";
    if (Boolean.getBoolean("shim.openapi.write")) {
      Files.writeString(KEPT, pretty);
    }
    assertThat(Files.readString(KEPT))
        .as("the API changed: run ./shim types and commit what it renews")
        .isEqualTo(pretty);
  }

  private JsonNode document() throws IOException {
    return json.readTree(get("/api/openapi").getResponse().getContentAsString());
  }

  @Test
  void everyOperationSaysWhatItDoesAndWhatItRefuses() throws IOException {
    List<String> silent = new ArrayList<>();
    document()
        .get("paths")
        .forEachEntry(
            (path, ways) ->
                ways.forEachEntry(
                    (way, operation) -> {
                      boolean told =
                          operation.path("summary").asString("").endsWith(".")
                              && operation.get("responses").has("400")
                              && path.contains("{") == operation.get("responses").has("404")
                              && (operation.get("responses").has("422")
                                  || !operation.has("requestBody"));
                      if (!told) {
                        silent.add(way + " " + path);
                      }
                    }));
    assertThat(silent).isEmpty();
  }

  @Test
  void everyNumberSaysItsUnitAndWhatIsSentItsBounds() throws IOException {
    JsonNode schemas = document().at("/components/schemas");
    List<String> silent = new ArrayList<>();
    schemas.forEachEntry(
        (name, schema) ->
            schema
                .path("properties")
                .forEachEntry(
                    (field, property) -> {
                      JsonNode one = property.has("items") ? property.get("items") : property;
                      String type = one.path("type").asString("");
                      if ((type.equals("number") || type.equals("integer"))
                          && property.path("description").asString("").isBlank()) {
                        silent.add(name + "." + field);
                      }
                    }));
    assertThat(silent)
        .as("name the unit at the end of the field's name, or in api-units.csv")
        .isEmpty();
    JsonNode ratio = schemas.at("/TurnRequest/properties/ratio");
    assertThat(ratio.get("description").asString()).isEqualTo("rocker ratio");
    assertThat(ratio.get("exclusiveMinimum").asInt()).isZero();
    assertThat(ratio.has("minimum")).isFalse();
    assertThat(schemas.at("/TurnRequest/properties/foundIn/maximum").asLong())
        .isEqualTo(1_000_000_000);
  }
}
