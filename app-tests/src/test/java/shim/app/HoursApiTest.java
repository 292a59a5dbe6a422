package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Engine hours are the same wherever they are asked for, whatever they were last written at. */
class HoursApiTest extends ApiTest {
  private static final String ROUND = start("%E", "HOT", 14.5);
  private static final String TEST =
      """
      {"engineId":"%E","hand":"KV","engineHours":14.5,"place":"HEAD","state":"COLD",
       "order":"FIRING","repeats":1,"tester":"T"}""";
  private static final String LOOK =
      """
      {"engineId":"%E","valve":"1I","look":"ROCKER","grade":"%G","engineHours":14.5,"hand":"KV"}""";
  private static final String CHANGED =
      """
      {"engineId":"%E","valves":["1I"],"part":"ROCKER","engineHours":14.5,"hand":"KV"}""";
  private static final String JOB =
      """
      {"engineId":"%E","engineHours":14.5,"hand":"KV","ask":{"kind":"IN_CAR","hold":"AIR",
       "intakeOff":false,"innerOut":false,"state":"COLD","valves":[{"valve":"3E",
       "newSeal":false,"sameAgain":true,"standIn":false}]}}""";
  private static final String LIFTERS =
      """
      {"setName":"S","kind":"ROLLER_SOLID","linkBars":false,"hoursBefore":0,"fromHours":14.5,"hand":"KV"}""";

  @ParameterizedTest
  @ValueSource(strings = {"rounds", "spring-tests", "inspections", "chain-changes", "jobs"})
  void whatIsWrittenAnywhereCountsEverywhere(String where) throws Exception {
    String engine = engine(resource("v8.json"));
    fitSprings(engine, "A");
    String body =
        switch (where) {
          case "rounds" -> ROUND;
          case "spring-tests" -> TEST;
          case "inspections" -> LOOK;
          case "chain-changes" -> CHANGED;
          default -> JOB;
        };
    String grade = text(get("/api/looks"), "$[?(@.look=='ROCKER')].grades[0].word");
    String path = "/api/" + where + "/" + UUID.randomUUID();
    assertThat(put(path, body.replace("%E", engine).replace("%G", grade)))
        .matches(a -> a.getResponse().getStatus() < 300);
    agreesOn(engine, 14.5);
  }

  @Test
  void aPartPutInLaterCountsToo() throws Exception {
    String engine = engine(resource("v8.json"));
    fitSprings(engine, "A");
    assertThat(put("/api/engines/" + engine + "/lifter-sets/" + UUID.randomUUID(), LIFTERS))
        .hasStatus(204);
    agreesOn(engine, 14.5);
    String fitting = JsonPath.read(body("/springs", engine), "$.springs[0].fittingId");
    put(
        "/api/fittings/" + fitting + "/removal",
        "{\"toHours\":15.25,\"scrapped\":true,\"hand\":\"KV\"}");
    agreesOn(engine, 15.25);
  }

  @Test
  void aPartRunsOnByTheHoursOfTheEngineItIsIn() throws Exception {
    String engine = engine(resource("v8.json"));
    fitSprings(engine, "A");
    put(
        "/api/engines/" + engine + "/lifter-sets/" + UUID.randomUUID(),
        LIFTERS.replace("14.5", "1"));
    put("/api/rounds/" + UUID.randomUUID(), start(engine, "HOT", 6.25));
    assertThat(JsonPath.<List<Double>>read(body("/springs", engine), "$.springs[*].hours"))
        .hasSize(16)
        .containsOnly(6.25);
    assertThat(JsonPath.<List<Double>>read(body("/lifters", engine), "$.valves[*].lifter.hours"))
        .hasSize(16)
        .containsOnly(5.25);
  }

  private String body(String page, String engine) throws Exception {
    return get("/api/engines/" + engine + page).getResponse().getContentAsString();
  }

  private void agreesOn(String engine, double hours) throws Exception {
    assertThat(JsonPath.<Double>read(body("/hours", engine), "$.hours")).isEqualTo(hours);
    for (String page : List.of("/springs", "/lifters", "/readiness")) {
      assertThat(JsonPath.<Double>read(body(page, engine), "$.engineHours"))
          .as(page)
          .isEqualTo(hours);
    }
  }

  @Test
  void anEventWithoutHoursIsAskedForThem() {
    String engine = engine(resource("v8.json"));
    String event =
        "{\"engineId\":\"%s\",\"name\":\"Final\",\"date\":\"2099-12-04\",\"plannedHours\":0%s}";
    String path = "/api/events/" + UUID.randomUUID();
    assertThat(put(path, event.formatted(engine, "")))
        .hasStatus(422)
        .bodyText()
        .contains("plannedHours", "an event without hours");
    assertThat(put(path, event.formatted(engine, ",\"runHours\":1.2")))
        .as("it is over, and ran")
        .hasStatusOk();
  }

  @Test
  void aRunKeepsHowItWent() {
    String engine = engine(resource("v8.json"));
    String run =
        """
        [{"id":"%s","run":{"engineId":"%s","kind":"HILL_RUN","date":"2026-11-30","minutes":2,
         "overRevs":0,"fromLogger":false,"hand":"KV","powerHp":%s,"bestSeconds":112.3,"note":"loose"}}]""";
    String path = "/api/engines/" + engine + "/runs";
    String id = UUID.randomUUID().toString();
    assertThat(put(path, run.formatted(id, engine, "-1"))).hasStatus(422);
    assertThat(put(path, run.formatted(id, engine, "612.5")))
        .bodyJson()
        .extractingPath("$[0].run.bestSeconds")
        .isEqualTo(112.3);
  }
}
