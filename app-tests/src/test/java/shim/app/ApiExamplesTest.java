package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every worked example of the API's document is asked, and the answer must be the one it shows. */
class ApiExamplesTest extends ApiTest {
  private static final String JSON = "application/json";
  @Autowired private JsonMapper json;

  private Stream<Map.Entry<String, JsonNode>> calculations() throws IOException {
    return json.readTree(get("/api/openapi").getResponse().getContentAsString())
        .get("paths")
        .propertyStream()
        .filter(p -> p.getKey().startsWith("/api/calc/"))
        .filter(p -> p.getValue().at("/post/requestBody/content").has(JSON))
        .map(p -> Map.entry(p.getKey(), p.getValue().get("post")));
  }

  private static JsonNode shown(JsonNode content) {
    return content.path(JSON).path("example");
  }

  @Test
  void everyCalculationHasOne() throws IOException {
    List<String> without =
        calculations()
            .filter(
                c ->
                    shown(c.getValue().at("/requestBody/content")).isMissingNode()
                        || shown(c.getValue().at("/responses/200/content")).isMissingNode())
            .map(Map.Entry::getKey)
            .toList();
    assertThat(without).as("add it to api-examples").isEmpty();
    assertThat(calculations()).hasSizeGreaterThan(20);
  }

  @TestFactory
  Stream<DynamicTest> eachAnswersAsItIsShown() throws IOException {
    return calculations()
        .map(
            c ->
                DynamicTest.dynamicTest(
                    c.getKey(),
                    () -> {
                      JsonNode ask = shown(c.getValue().at("/requestBody/content"));
                      JsonNode answer =
                          json.readTree(text(post(c.getKey(), json.writeValueAsString(ask))));
                      same("", answer, shown(c.getValue().at("/responses/200/content")));
                    }));
  }

  /** Figures to nine digits: the last ones hang on the order in which a machine adds. */
  private static void same(String at, JsonNode is, JsonNode shown) {
    if (shown.isNumber()) {
      double wanted = shown.asDouble();
      assertThat(is.asDouble())
          .as(at)
          .isCloseTo(wanted, within(Math.max(1e-9, Math.abs(wanted) * 1e-9)));
    } else if (shown.isContainer()) {
      assertThat(is.size()).as(at).isEqualTo(shown.size());
      List<String> fields = new ArrayList<>(shown.propertyNames());
      for (String field : fields) {
        same(at + "/" + field, is.path(field), shown.get(field));
      }
      for (int i = 0; shown.isArray() && i < shown.size(); i++) {
        same(at + "/" + i, is.path(i), shown.get(i));
      }
    } else {
      assertThat(is).as(at).isEqualTo(shown);
    }
  }
}
