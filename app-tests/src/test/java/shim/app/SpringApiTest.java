package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class SpringApiTest extends ApiTest {
  private static final String V8 = resource("v8.json");
  private static final List<String> VALVES =
      List.of(
          "1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E", "5I", "5E", "6I", "6E", "7I", "7E", "8I",
          "8E");
  private String engine;

  @BeforeEach
  void fitASet() {
    engine = engine(V8);
    String type = UUID.randomUUID().toString();
    assertThat(put("/api/spring-types/" + type, TYPE)).hasStatusOk();
    String set =
        """
        {"typeId":"%s","setName":"A","engineHours":0,"hoursBefore":0,"heightIn":1.950,"hand":"KV"}
        """
            .formatted(type);
    assertThat(put("/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID(), set))
        .hasStatus(204);
  }

  private static final String TYPE =
      """
      {"name":"HV dual","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}],
       "bindIn":1.18,"odIn":1.55}
      """;

  private String begin(double hours) {
    String id = UUID.randomUUID().toString();
    assertThat(put("/api/spring-tests/" + id, start(hours, "2026-01-01T10:00:00Z"))).hasStatusOk();
    return id;
  }

  private String start(double hours, String at) {
    return """
        {"engineId":"%s","engineHours":%s,"place":"HEAD","state":"COLD","order":"FIRING",
         "tester":"lever","repeats":1,"hand":"KV","startedAt":"%s"}"""
        .formatted(engine, hours, at);
  }

  private static String load(String valve, double lbf) {
    return """
        {"valve":"%s","heightIn":1.95,"loadLbf":%s,"member":"WHOLE","again":false,"hand":"KV"}"""
        .formatted(valve, lbf);
  }

  private static String check(double lbf, String side) {
    return """
        {"name":"check 1","knownLbf":215,"loadLbf":%s,"side":"%s","hand":"KV"}"""
        .formatted(lbf, side);
  }

  private String read(String test, String valve, double lbf) {
    String id = UUID.randomUUID().toString();
    assertThat(put(reading(test, id), load(valve, lbf))).hasStatusOk();
    return id;
  }

  private static String reading(String test, String id) {
    return "/api/spring-tests/" + test + "/readings/" + id;
  }

  private static String fresh(String test, String what) {
    return "/api/spring-tests/" + test + "/" + what + "/" + UUID.randomUUID();
  }

  /** A season by the table: 3E falls away from the rest, the last day the tester reads 2 % low. */
  private String season() {
    Random r = new Random(4);
    StringBuilder csv =
        new StringBuilder("date;engine_hours;valve;spring;height_in;load;known_lbf\n");
    double[] hours = {0, 1.2, 2.5, 3.6, 5.0, 6.4, 7.7};
    for (int t = 0; t < hours.length; t++) {
      double gain = t == 6 ? 0.98 : 1.0;
      String day = "2026-0" + (t + 1) + "-10;" + hours[t];
      csv.append(day).append(";;check 1;;").append(215 * gain).append(";215\n");
      for (String v : VALVES) {
        for (int n = 0; n < 2; n++) {
          double fault = v.equals("3E") ? 0.02 * Math.max(0, hours[t] - 4) : 0;
          double truth =
              220 * Math.exp(-0.010 * Math.log1p(2 * hours[t]) - 0.001 * hours[t] - fault);
          double lbf = truth * gain * Math.exp(0.006 * r.nextGaussian());
          csv.append(day).append(';').append(v).append(";;1,950;");
          csv.append(String.format(java.util.Locale.GERMANY, "%.1f", lbf)).append(";\n");
        }
      }
    }
    return csv.toString();
  }

  private org.springframework.test.web.servlet.assertj.MvcTestResult table(
      String text, boolean keep) {
    return http.post()
        .uri("/api/engines/" + engine + "/spring-readings?hand=KV&keep=" + keep)
        .contentType("text/csv")
        .content(text)
        .exchange();
  }

  @Test
  void aNotebookIsPreviewedWithItsVerdictsBeforeAnythingIsKept() {
    assertThat(table(season(), false))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.said[?(@.position=='3E')].verdict")
        .asArray()
        .containsExactly("CHANGE");
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.tests")
        .asArray()
        .isEmpty();
    assertThat(table(season(), true)).hasStatusOk();
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.springs[?(@.said.verdict!='RUN')].position")
        .asArray()
        .containsExactly("3E");
  }

  @Test
  void theLowTesterIsShownAndNotToBlame() {
    table(season(), true);
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .hasPathSatisfying(
            "$.tests[6].checkPercent",
            p ->
                p.assertThat()
                    .asNumber()
                    .satisfies(n -> assertThat(n.doubleValue()).isCloseTo(-2.0, within(0.01))))
        .hasPathSatisfying("$.tests[6].warning.kind", p -> p.assertThat().isEqualTo("SINCE_BEFORE"))
        .hasPathSatisfying("$.advice.change", p -> p.assertThat().asArray().containsExactly("3E"))
        .hasPathSatisfying("$.advice.wholeSet", p -> p.assertThat().isEqualTo(false));
  }

  @Test
  void aSpringsLifeHasItsReadingsItsSetAndWhereItGoes() {
    table(season(), true);
    List<Object> ids = new ArrayList<>();
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.springs[?(@.position=='3E')].springId")
        .asArray()
        .satisfies(a -> ids.add(a[0]));
    assertThat(get("/api/springs/" + ids.get(0) + "/life"))
        .bodyJson()
        .hasPathSatisfying("$.points.length()", p -> p.assertThat().isEqualTo(7))
        .hasPathSatisfying("$.points[0].rawLbf.length()", p -> p.assertThat().isEqualTo(2))
        .hasPathSatisfying("$.fan.length()", p -> p.assertThat().isEqualTo(33))
        .hasPathSatisfying("$.said.verdict", p -> p.assertThat().isEqualTo("CHANGE"));
  }

  @Test
  void atTheCarEachFigureStandsAtOnceAgainstSetAndLastTime() {
    table(season(), true);
    String test = UUID.randomUUID().toString();
    put("/api/spring-tests/" + test, start(8.5, "2026-09-01T10:00:00Z"));
    put(fresh(test, "checks"), check(215, "START"));
    read(test, "1I", 212.5);
    assertThat(get("/api/spring-tests/" + test))
        .bodyJson()
        .hasPathSatisfying("$.day.correction", p -> p.assertThat().asNumber().isEqualTo(1.0))
        .hasPathSatisfying(
            "$.valves[?(@.position=='1I')].more", p -> p.assertThat().asArray().containsExactly(0))
        .hasPathSatisfying(
            "$.valves[?(@.position=='1I')].loss",
            p ->
                p.assertThat()
                    .asArray()
                    .allSatisfy(l -> assertThat(((Number) l).doubleValue()).isBetween(0.0, 0.05)));
    read(test, "2I", 190);
    assertThat(get("/api/spring-tests/" + test))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='2I')].ask.code")
        .asArray()
        .containsExactly("READ_AGAIN");
    read(test, "4I", 948);
    assertThat(get("/api/spring-tests/" + test))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='4I')].ask.code")
        .asArray()
        .containsExactly("NEWTON");
  }

  @Test
  void whatCannotBeIsRefusedInWords() {
    String test = begin(1.0);
    assertThat(put(fresh(test, "checks"), check(150, "START")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("reads 30 % low");
    assertThat(put(fresh(test, "readings"), load("1I", 220).replace("1.95", "1.15")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("below bind at {1.180 in}");
    assertThat(put(fresh(test, "readings"), load("9I", 220)))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .isEqualTo("9I has no spring fitted: nothing can be read there");
    assertThat(put("/api/spring-tests/" + UUID.randomUUID(), start(2, "2026-01-02T10:00:00Z")))
        .hasStatus(409)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("KV's test at 1.00 h is still open");
    String id = read(test, "1I", 220);
    assertThat(delete(reading(test, id) + "?hand=KV")).hasStatusOk();
    assertThat(put("/api/spring-tests/" + test + "/end", "{\"hand\":\"KV\"}")).hasStatusOk();
    assertThat(put(fresh(test, "readings"), load("1I", 220))).hasStatus(409);
  }

  @Test
  void aSpringIsAtOneValveAtATimeAndKeepsItsHoursThroughItsFittings() {
    List<String> found = new ArrayList<>();
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .hasPathSatisfying(
            "$.springs[0].springId", p -> p.assertThat().asString().satisfies(found::add))
        .hasPathSatisfying(
            "$.springs[0].fittingId", p -> p.assertThat().asString().satisfies(found::add));
    String again =
        """
        {"springId":"%s","engineId":"%s","valve":"1E","fromHours":3,"hand":"KV"}"""
            .formatted(found.get(0), engine);
    assertThat(put("/api/fittings/" + UUID.randomUUID(), again))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("still fitted at");
    String out = "{\"toHours\":3,\"scrapped\":false,\"hand\":\"KV\"}";
    assertThat(put("/api/fittings/" + found.get(1) + "/removal", out)).hasStatus(204);
    String other = engine(V8);
    String there =
        """
        {"springId":"%s","engineId":"%s","valve":"1E","fromHours":10,"hand":"KV"}"""
            .formatted(found.get(0), other);
    assertThat(put("/api/fittings/" + UUID.randomUUID(), there)).hasStatus(204);
    String run =
        """
        [{"id":"%s","run":{"engineId":"%s","kind":"DYNO","date":"2026-05-05","minutes":690,
          "overRevs":0,"fromLogger":false,"hand":"KV"}}]"""
            .formatted(UUID.randomUUID(), other);
    assertThat(put("/api/engines/" + other + "/runs", run)).hasStatusOk();
    assertThat(get("/api/engines/" + other + "/springs"))
        .bodyJson()
        .extractingPath("$.springs[0].hours")
        .isEqualTo(3 + 1.5);
  }

  @Test
  void readingsAndAnEngineWithEverythingComeBackWithoutLoss() {
    table(season(), true);
    String round = UUID.randomUUID().toString();
    put("/api/rounds/" + round, start(engine, "HOT", 3.0));
    put(
        "/api/rounds/" + round + "/readings/" + UUID.randomUUID(),
        entry("1I", "FOUND", "0.018", "null"));
    put("/api/rounds/" + round + "/signature", "{\"initials\":\"KV\"}");
    String exported = body(get("/api/engines/" + engine + "/spring-readings"));
    String file = body(get("/api/engines/" + engine + "/file"));
    comesBackInAsAnotherEngine(engine);
    assertThat(put("/api/engine-files", file.replace("\"version\":1,", "\"version\":9,")))
        .hasStatus(422);
    engine = engine(V8);
    String type = UUID.randomUUID().toString();
    put("/api/spring-types/" + type, TYPE);
    put(
        "/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID(),
        "{\"typeId\":\"%s\",\"setName\":\"A\",\"engineHours\":0,\"hoursBefore\":0,\"hand\":\"KV\"}"
            .formatted(type));
    assertThat(table(exported, true)).hasStatusOk();
    assertThat(body(get("/api/engines/" + engine + "/spring-readings")).lines())
        .containsExactlyElementsOf(exported.lines().toList());
  }

  private static String body(org.springframework.test.web.servlet.assertj.MvcTestResult r) {
    try {
      return r.getResponse().getContentAsString();
    } catch (java.io.UnsupportedEncodingException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void aTableWithBrokenLinesSaysAllOfThemAndKeepsNothing() {
    String broken =
        "date,engine_hours,valve,height_in,load_psi\n2026-02-01,1,1I,1.95,220 psi\n"
            + "yesterday,1,1E,1.95,220\n2026-02-01,1,2I,1.95,heavy\n";
    assertThat(table(broken, true))
        .hasStatus(422)
        .bodyJson()
        .hasPathSatisfying("$.errors.length()", p -> p.assertThat().isEqualTo(2))
        .hasPathSatisfying(
            "$.errors[0].message", p -> p.assertThat().asString().contains("is no date"))
        .hasPathSatisfying(
            "$.errors[1].message", p -> p.assertThat().asString().startsWith("line 4"));
    assertThat(
            table(
                "date,engine_hours,valve,height_in,load_psi\n2026-02-01,1,1I,1.95,220 psi\n",
                false))
        .hasStatusOk();
  }

  private static String verdictsOf(String again, boolean history) {
    return """
        {"springs":[{"id":"a","nominalLbf":220},{"id":"b","nominalLbf":220}],
         "tests":[{"reads":[{"spring":"a","hours":1,"loadsLbf":[216,217]},
                            {"spring":"b","hours":1,"loadsLbf":[218,217]}],
                   "checks":[{"knownLbf":215,"readLbf":215}]},
                  {"reads":[{"spring":"a","hours":4,"loadsLbf":[214,213.5,213]},
                            {"spring":"b","hours":4,"loadsLbf":[195,196,195.5],"againLbf":%s}],
                   "checks":[{"knownLbf":215,"readLbf":215}]}],
         "comingHours":[1.4],"history":%s}
        """
        .formatted(again, history);
  }

  @Test
  void theJudgementIsAStatelessCall() {
    assertThat(post("/api/calc/spring-verdicts", verdictsOf("[[195,196]]", true)))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying("$[0].verdict", p -> p.assertThat().isEqualTo("RUN"))
        .hasPathSatisfying("$[1].verdict", p -> p.assertThat().isEqualTo("CHANGE"))
        .hasPathSatisfying("$[1].afterEachTest.length()", p -> p.assertThat().isEqualTo(2));
  }

  @Test
  void oneSettingAloneIsReadAgainFirstAndTheHistoryComesWhenAskedFor() {
    assertThat(post("/api/calc/spring-verdicts", verdictsOf("[]", false)))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying("$[1].verdict", p -> p.assertThat().isEqualTo("WATCH"))
        .hasPathSatisfying(
            "$[1].reasons[*].kind", p -> p.assertThat().asArray().contains("READ_AGAIN"))
        .hasPathSatisfying("$[1].afterEachTest.length()", p -> p.assertThat().isEqualTo(1))
        .hasPathSatisfying("$[1].afterEachTest[0].test", p -> p.assertThat().isEqualTo(1));
    assertThat(
            post(
                "/api/calc/spring-verdicts",
                "{\"springs\":[{\"id\":\"a\"}],\"tests\":[],\"comingHours\":[1]}"))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying("$.length()", p -> p.assertThat().isEqualTo(0));
    assertThat(post("/api/calc/spring-verdicts", verdictsOf("[[]]", false)))
        .as("a setting without readings")
        .hasStatus4xxClientError();
    assertThat(post("/api/calc/spring-verdicts", verdictsOf("[[1e300]]", false)))
        .hasStatus4xxClientError();
  }

  @Test
  void rulesAreTheTeamsAndHeightsAreComputedWithoutKeeping() {
    String rules = "{\"changeAt\":0.05,\"shimStockIn\":[0.015,0.030]}";
    assertThat(put("/api/engines/" + engine + "/spring-rules", rules)).hasStatusOk();
    assertThat(put("/api/engines/" + engine + "/spring-rules", "{\"changeAt\":7}")).hasStatus(422);
    assertThat(
            post(
                "/api/calc/spring-height",
                """
                {"measuredIn":1.995,"targetIn":1.95,"toleranceIn":0.005,"stockIn":[0.015,0.03],
                 "locksIn":[],"school":"FEWEST_PIECES"}"""))
        .bodyJson()
        .extractingPath("$.ways[0].kind")
        .isEqualTo("SHIMS");
    assertThat(
            post(
                "/api/calc/spring-fit",
                """
                {"sheet":%s,"measured":{"heightIn":1.95},"lift":{"grossIn":0.7,"netIn":0.68},
                 "lifter":"ROLLER_SOLID"}"""
                    .formatted(TYPE)))
        .bodyJson()
        .extractingPath("$.bindClearanceIn")
        .asNumber()
        .satisfies(n -> assertThat(n.doubleValue()).isCloseTo(0.07, within(1e-9)));
    assertThat(post("/api/calc/spring-sheet", "{\"name\":\"x\"}"))
        .bodyJson()
        .extractingPath("$.problems[0].message")
        .asString()
        .contains("a load at its height is needed");
  }
}
