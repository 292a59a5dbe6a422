package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** What cannot be is refused at its field, in words, and nothing is kept of it. */
class BadInputApiTest extends ApiTest {
  private static void refuses(MvcTestResult answer, int status, String field, String words) {
    assertThat(answer).hasStatus(status);
    assertThat(answer).bodyJson().extractingPath("$.errors[0].field").isEqualTo(field);
    assertThat(answer).bodyJson().extractingPath("$.errors[0].message").asString().contains(words);
  }

  @ParameterizedTest
  @CsvSource({
    "plannedHours, 100001, hours: 0 to 100000",
    "plannedHours, -0.1, hours: 0 to 100000",
    "runHours, 1e300, beyond all measure",
    "runHours, '\"NaN\"', beyond all measure",
    "date, '\"9999-01-01\"', between 1900 and 2200",
    "plannedHours, '\"much\"', a number",
    "name, '\" \"', give the event a name",
    "name, null, give the event a name",
    "engineId, '\"x\"', an id",
    "sort, 1, no entry named"
  })
  void anEventThatCannotBe(String field, String value, String words) {
    String engine = engine(resource("v8.json"));
    String sound =
        "{\"engineId\":\"%s\",\"name\":\"Sprint\",\"date\":\"2026-06-01\",\"plannedHours\":1}"
            .formatted(engine);
    String spoiled =
        sound.contains("\"" + field + "\"")
            ? sound.replaceAll(
                "\"" + field + "\":(\"[^\"]*\"|[0-9.]+)", "\"" + field + "\":" + value)
            : sound.replace("}", ",\"" + field + "\":" + value + "}");
    MvcTestResult answer = put("/api/events/" + UUID.randomUUID(), spoiled);
    refuses(answer, answer.getResponse().getStatus(), field, words);
    assertThat(answer.getResponse().getStatus()).isIn(400, 422);
    assertThat(get("/api/engines/" + engine + "/events")).bodyText().isEqualTo("[]");
  }

  @Test
  void allThatIsMissingIsNamedTogether() {
    assertThat(
            put(
                "/api/rounds/" + UUID.randomUUID(),
                "{\"stops\":0,\"engineHours\":-1,\"onMarks\":false,\"lookAtSprings\":false}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[*].field")
        .asArray()
        .contains("engineId", "state", "hand", "school", "stops", "engineHours");
  }

  @Test
  void noBodyNoJsonWrongKindAndNowhereAreSaid() {
    String event = "/api/events/" + UUID.randomUUID();
    refuses(put(event, ""), 400, "body", "did not arrive");
    refuses(put(event, "{\"name\":"), 400, "body", "no JSON that can be read");
    refuses(put(event, "[]"), 400, "body", "a group of entries");
    refuses(
        http.put().uri(event).contentType(MediaType.APPLICATION_XML).content("<x/>").exchange(),
        415,
        "request",
        "this kind of content");
    refuses(get("/api/nothing"), 404, "request", "nothing at this address");
    refuses(get("/api/rounds/x"), 400, "id", "an id");
    refuses(get("/error"), 404, "request", "nothing at this address");
    refuses(
        put("/api/engines/" + UUID.randomUUID() + "/spring-rules?who=" + "x".repeat(13), "{}"),
        422,
        "who",
        "initials");
  }

  @Test
  void anEmptyEntryInAListIsNamedByItsPlace() {
    refuses(post("/api/calc/practice", "{\"moves\":[null]}"), 422, "moves[0]", "empty");
    String engine = engine(resource("v8.json"));
    refuses(put("/api/engines/" + engine + "/runs", "[null]"), 422, "[0]", "empty");
  }

  @Test
  void whatIsTooLargeIsRefusedBeforeItIsRead() {
    MvcTestResult answer =
        http.put()
            .uri("/api/inspections/" + UUID.randomUUID() + "/photo")
            .contentType(MediaType.IMAGE_JPEG)
            .content(new byte[12_000_001])
            .exchange();
    refuses(answer, 413, "body", "12 MB at most");
    refuses(
        put("/api/events/" + UUID.randomUUID(), " ".repeat(2_000_001)),
        413,
        "body",
        "2 MB at most");
  }

  @Test
  void aHeightOfNothingIsRefused() {
    String engine = engine(resource("v8.json"));
    String type = UUID.randomUUID().toString();
    put(
        "/api/spring-types/" + type,
        """
        {"name":"HV","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}]}""");
    String set =
        """
        {"typeId":"%s","setName":"K","engineHours":0,"hoursBefore":%s,"heightIn":%s,"hand":"KV"}""";
    String at = "/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID();
    refuses(put(at, set.formatted(type, "0", "0")), 422, "heightIn", "{0.1 in} and {10 in}");
    refuses(
        put(at, set.formatted(type, "1e300", "1.95")), 422, "hoursBefore", "beyond all measure");
    refuses(put(at, set.formatted(type, "100001", "1.95")), 422, "hoursBefore", "0 to 100000");
  }
}
