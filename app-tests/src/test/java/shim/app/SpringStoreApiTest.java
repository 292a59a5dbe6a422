package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Types, springs, fittings and readings as they are kept. */
class SpringStoreApiTest extends ApiTest {
  private static final String TYPE =
      """
      {"name":"Store dual","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}],
       "bindIn":1.18,"odIn":1.55,"lifeHours":20}
      """;
  private String engine;
  private String type;

  @BeforeEach
  void anEngineAndAType() {
    engine = engine(resource("v8.json"));
    type = UUID.randomUUID().toString();
    assertThat(put("/api/spring-types/" + type, TYPE)).hasStatusOk();
  }

  private String spring(String mark, String batch, String broke) {
    String id = UUID.randomUUID().toString();
    String body =
        """
        {"typeId":"%s","mark":"%s","batch":%s,"hoursBefore":0,"scrapped":false,"brokeAtHours":%s}"""
            .formatted(type, mark, batch, broke);
    assertThat(put("/api/springs/" + id, body)).hasStatus(204);
    return id;
  }

  private String fit(String spring, String valve, double from) {
    String id = UUID.randomUUID().toString();
    assertThat(put("/api/fittings/" + id, fitting(spring, valve, from))).hasStatus(204);
    return id;
  }

  private String fitting(String spring, String valve, double from) {
    return """
        {"springId":"%s","engineId":"%s","valve":"%s","fromHours":%s,"heightIn":1.95,"hand":"KV"}"""
        .formatted(spring, engine, valve, from);
  }

  private String test(double hours, String state, String at) {
    String id = UUID.randomUUID().toString();
    String body =
        """
        {"engineId":"%s","engineHours":%s,"place":"BENCH","state":"%s","order":"BANK",
         "tester":"bench","repeats":1,"hand":"KV","startedAt":"%s"}"""
            .formatted(engine, hours, state, at);
    assertThat(put("/api/spring-tests/" + id, body)).hasStatusOk();
    return id;
  }

  private void read(String test, String spring, double height, double load, String member) {
    String body =
        """
        {"springId":"%s","heightIn":%s,"loadLbf":%s,"member":"%s","again":false,"hand":"KV"}"""
            .formatted(spring, height, load, member);
    assertThat(put("/api/spring-tests/" + test + "/readings/" + UUID.randomUUID(), body))
        .hasStatusOk();
  }

  private void end(String test) {
    assertThat(put("/api/spring-tests/" + test + "/end", "{\"hand\":\"KV\"}")).hasStatusOk();
  }

  @Test
  void aTypeIsListedAndAContradictionRefused() {
    assertThat(get("/api/spring-types"))
        .bodyJson()
        .extractingPath("$[?(@.id=='" + type + "')].sheet.name")
        .asArray()
        .containsExactly("Store dual");
    assertThat(
            put(
                "/api/spring-types/" + UUID.randomUUID(),
                TYPE.replace("\"bindIn\":1.18", "\"bindIn\":2.1")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .isEqualTo("bindIn");
    assertThat(
            put(
                "/api/springs/" + UUID.randomUUID(),
                "{\"typeId\":\"%s\",\"mark\":\" \",\"hoursBefore\":0,\"scrapped\":false}"
                    .formatted(type)))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .isEqualTo("give the spring its mark");
  }

  @Test
  void aFittingMakesSenseOrIsRefused() {
    String a = spring("S-a", "null", "null");
    String id = fit(a, "1I", 2);
    assertThat(put("/api/fittings/" + UUID.randomUUID(), fitting(a, "9I", 2)))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .isEqualTo("this engine has no valve 9I");
    String b = spring("S-b", "null", "null");
    assertThat(put("/api/fittings/" + UUID.randomUUID(), fitting(b, "1I", 3)))
        .bodyJson()
        .extractingPath("$.detail")
        .isEqualTo("1I has a spring already: take it out first");
    assertThat(
            put(
                "/api/fittings/" + id + "/removal",
                "{\"toHours\":1,\"scrapped\":true,\"hand\":\"KV\"}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("put in at 2.00 h");
    assertThat(
            put(
                "/api/fittings/" + id + "/removal",
                "{\"toHours\":5,\"scrapped\":true,\"hand\":\"KV\"}"))
        .hasStatus(204);
    assertThat(put("/api/fittings/" + UUID.randomUUID(), fitting(a, "1I", 6)))
        .bodyJson()
        .extractingPath("$.detail")
        .isEqualTo("spring S-a is scrapped");
  }

  @Test
  void anExchangeIsDoneAsAWholeOrNotAtAll() {
    String a = spring("S-a", "null", "null");
    String b = spring("S-b", "null", "null");
    String old = fit(a, "1I", 0);
    String half =
        """
        {"out":"%s","removal":{"toHours":4,"scrapped":true,"hand":"KV"},"in":%s}"""
            .formatted(old, fitting(b, "9I", 4));
    assertThat(put("/api/fittings/" + UUID.randomUUID() + "/exchange", half)).hasStatus(422);
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.springs[0].mark")
        .isEqualTo("S-a");
    String whole = half.replace("9I", "1I");
    assertThat(put("/api/fittings/" + UUID.randomUUID() + "/exchange", whole)).hasStatus(204);
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .hasPathSatisfying("$.springs[0].mark", p -> p.assertThat().isEqualTo("S-b"))
        .hasPathSatisfying("$.springs[0].hours", p -> p.assertThat().isEqualTo(0.0));
  }

  @Test
  void millimetresAreNotTakenForInches() {
    String a = spring("S-a", "null", "null");
    String inMm = fitting(a, "1I", 0).replace("\"heightIn\":1.95", "\"heightIn\":49.5");
    assertThat(put("/api/fittings/" + UUID.randomUUID(), inMm))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("was it mm?");
    fit(a, "1I", 0);
    String test = test(1, "COLD", "2026-02-01T10:00:00Z");
    String body =
        """
        {"valve":"1I","heightIn":49.5,"loadLbf":218,"member":"WHOLE","again":false,"hand":"KV"}""";
    assertThat(put("/api/spring-tests/" + test + "/readings/" + UUID.randomUUID(), body))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .isEqualTo("heightIn");
    assertThat(
            put(
                "/api/spring-tests/" + test + "/readings/" + UUID.randomUUID(),
                body.replace("49.5", "1.3")))
        .as("an open height is no slip")
        .hasStatusOk();
  }

  @Test
  void onTheBenchASpringIsNamedByItselfAndItsInnerIsShownButNotJudged() {
    String a = spring("S-a", "null", "null");
    fit(a, "1I", 0);
    String test = test(1, "COLD", "2026-02-01T10:00:00Z");
    read(test, a, 1.95, 218, "WHOLE");
    read(test, a, 1.95, 70, "INNER");
    assertThat(get("/api/spring-tests/" + test))
        .bodyJson()
        .hasPathSatisfying("$.valves[0].readings.length()", p -> p.assertThat().isEqualTo(1))
        .hasPathSatisfying("$.others[0].member", p -> p.assertThat().isEqualTo("INNER"));
    end(test);
    assertThat(get("/api/springs/" + a + "/life"))
        .bodyJson()
        .extractingPath("$.points[0].rawMeanLbf")
        .asNumber()
        .satisfies(n -> assertThat(n.doubleValue()).isCloseTo(218, within(1e-9)));
  }

  @Test
  void hotAndColdAreKeptApart() {
    String a = spring("S-a", "null", "null");
    fit(a, "1I", 0);
    for (int i = 1; i <= 3; i++) {
      String cold = test(i, "COLD", "2026-02-0" + i + "T10:00:00Z");
      read(cold, a, 1.95, 218 - i, "WHOLE");
      end(cold);
    }
    String hot = test(4, "HOT", "2026-02-04T10:00:00Z");
    read(hot, a, 1.95, 207, "WHOLE");
    end(hot);
    assertThat(get("/api/springs/" + a + "/life"))
        .bodyJson()
        .extractingPath("$.points[*].used")
        .asArray()
        .containsExactly(true, true, true, false);
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.springs[0].said.tests")
        .isEqualTo(3);
  }

  @Test
  void aReadingAtAnotherHeightIsMovedAndFarOnesMarked() {
    String a = spring("S-a", "null", "null");
    fit(a, "1I", 0);
    String test = test(1, "COLD", "2026-02-01T10:00:00Z");
    read(test, a, 1.93, 226, "WHOLE");
    end(test);
    assertThat(get("/api/springs/" + a + "/life"))
        .bodyJson()
        .hasPathSatisfying("$.points[0].far", p -> p.assertThat().isEqualTo(true))
        .hasPathSatisfying(
            "$.points[0].rawMeanLbf",
            p ->
                p.assertThat()
                    .asNumber()
                    .satisfies(
                        n ->
                            assertThat(n.doubleValue())
                                .isCloseTo(226 - 0.02 * 285 / 0.65, within(1e-6))));
  }

  @Test
  void oneBrokenSpringCondemnsItsBatchAtThoseHours() {
    String a = spring("S-a", "\"box 7\"", "null");
    String b = spring("S-b", "\"box 7\"", "1.5");
    fit(a, "1I", 0);
    String out = fit(b, "1E", 0);
    put("/api/fittings/" + out + "/removal", "{\"toHours\":1.5,\"scrapped\":true,\"hand\":\"KV\"}");
    String test = test(1.5, "COLD", "2026-02-01T10:00:00Z");
    read(test, a, 1.95, 218, "WHOLE");
    end(test);
    List<Object> kinds = new ArrayList<>();
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .hasPathSatisfying("$.springs[0].said.verdict", p -> p.assertThat().isEqualTo("CHANGE"))
        .hasPathSatisfying(
            "$.springs[0].said.reasons[*].kind",
            p -> p.assertThat().asArray().satisfies(k -> kinds.addAll(List.of(k))));
    assertThat(kinds).contains("BATCH");
  }

  @Test
  void aSpringThatWasNeverFittedHasNoLifeYet() {
    assertThat(get("/api/springs/" + spring("S-a", "null", "null") + "/life"))
        .hasStatus(404)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("never fitted");
  }

  @Test
  void boxesAreSortedAndChainsWeighedWithoutKeeping() {
    String sort =
        """
        {"sheet":%s,"box":[{"mark":"weak","loadLbf":214,"atHeightIn":1.95,"odIn":1.55},
          {"mark":"strong","loadLbf":226,"atHeightIn":1.95,"odIn":1.55}],
         "pockets":[{"position":"1I","heightIn":1.957,"diameterIn":0},
          {"position":"2I","heightIn":1.943,"diameterIn":0}],
         "targetIn":1.95,"toleranceIn":0.008,"shimsIn":[0.015]}"""
            .formatted(TYPE);
    assertThat(post("/api/calc/spring-sort", sort))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.chosen.placed[0].mark")
        .isEqualTo("strong");
    String chain =
        """
        {"limits":[{"part":"ROTATOR","openLbf":220},{"part":"STUD","openLbf":400}],
         "duty":{"openLbf":330,"grossLiftIn":0.5,"topRpm":7000}}""";
    assertThat(post("/api/calc/weakest-link", chain))
        .bodyJson()
        .hasPathSatisfying("$.links[0].part", p -> p.assertThat().isEqualTo("ROTATOR"))
        .hasPathSatisfying("$.links[0].used", p -> p.assertThat().isEqualTo(1.5));
  }

  @Test
  void aTesterThatIsNotThereIsSaidAndNothingElseChanges() {
    assertThat(put("/api/tester", "{\"wire\":\"TCP\",\"address\":\"nowhere\"}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("host:port");
    assertThat(get("/api/tester")).bodyJson().extractingPath("$.connected").isEqualTo(false);
    assertThat(delete("/api/tester")).hasStatusOk();
  }
}
