package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Jobs of the other kinds: heads off, a head assembled, pistons for air, lifters that pump up. */
class BenchJobApiTest extends ApiTest {
  private static final String V8 = resource("v8.json");

  private String withSprings(String sheet) {
    String engine = engine(sheet);
    fitSprings(engine, "S");
    return engine;
  }

  private String begin(String engine, String kind, String hold, String more, String... valves) {
    String job = UUID.randomUUID().toString();
    String asked =
        String.join(
            ",",
            List.of(valves).stream()
                .map(
                    v ->
                        "{\"valve\":\"%s\",\"newSeal\":true,\"sameAgain\":true,\"standIn\":false}"
                            .formatted(v))
                .toList());
    MvcTestResult r =
        put(
            "/api/jobs/" + job,
            """
            {"engineId":"%s","engineHours":4,"hand":"KV","ask":{"kind":"%s","hold":"%s",
             "intakeOff":true,%s"state":"COLD","valves":[%s]}}"""
                .formatted(engine, kind, hold, more, asked));
    assertThat(r).hasStatusOk();
    return text(r);
  }

  private String finish(String view) {
    return finish(view, Map.of("LASH", 0.5));
  }

  /** All steps to the signature, with what is entered where something is set. */
  private String finish(String view, Map<String, Double> set) {
    String now = view;
    while (!JsonPath.read(now, "$.state.end").equals("SIGNED")) {
      Map<String, Object> next = JsonPath.read(now, "$.state.next");
      Map<String, Object> e = new HashMap<>();
      List.of("act", "cylinder", "valve", "figure", "word").forEach(k -> e.put(k, next.get(k)));
      e.put("step", next.get("id"));
      e.put("hand", "KV");
      e.put("basedOn", JsonPath.read(now, "$.state.acts"));
      if (set.containsKey(next.get("act"))) {
        e.put("figure", set.get(next.get("act")));
      }
      if (next.get("act").equals("COUNTED")) {
        List<Integer> there =
            JsonPath.read(now, "$.state.counts[?(@.item=='" + next.get("word") + "')].expected");
        e.put("figure", there.get(0));
      }
      String path = "/api/jobs/" + JsonPath.read(now, "$.id") + "/acts/" + UUID.randomUUID();
      MvcTestResult r = put(path, JsonPath.parse(e).jsonString());
      assertThat(r).as(String.valueOf(next.get("id"))).hasStatusOk();
      now = text(r);
    }
    return now;
  }

  private static List<String> titles(String view) {
    return JsonPath.read(view, "$.state.steps[*].step.title");
  }

  @Test
  void withTheHeadsOffABlockHoldsTheValvesAndNobodyBars() {
    String engine = withSprings(V8);
    String view = begin(engine, "HEADS_OFF", "BLOCK", "\"innerOut\":false,", "3E", "3I");
    assertThat(titles(view))
        .contains("Cylinder 3: block under the valves")
        .noneMatch(t -> t.startsWith("Bar to") || t.contains("rockers") || t.contains("lash"));
    String done = finish(view);
    assertThat(get("/api/danger")).bodyJson().extractingPath("$").asArray().isEmpty();
    assertThat(JsonPath.<List<String>>read(done, "$.state.valves[*].mark")).containsOnly("HOME");
    assertThat(get("/api/engines/" + engine + "/rounds"))
        .bodyJson()
        .extractingPath("$")
        .asArray()
        .isEmpty();
    assertThat(get("/api/engines/" + engine + "/readiness"))
        .as("signed, but its heads lie on the bench")
        .bodyJson()
        .hasPathSatisfying("$.state", p -> p.assertThat().isEqualTo("NOT_READY"))
        .hasPathSatisfying(
            "$.reasons[*].code", p -> p.assertThat().asArray().contains("NOT_WHOLE"));
  }

  @Test
  void aHeadIsAssembledWithTheInnerOutAndTheReminderStaysOpen() {
    String engine = withSprings(V8);
    String more = "\"innerOut\":true,\"breakInHours\":1.5,";
    String view = begin(engine, "ASSEMBLE", "BLOCK", more, "1E", "1I", "3I");
    assertThat(titles(view))
        .containsSubsequence(
            "Valves numbered to their guides",
            "Each valve lapped and leak-checked",
            "Guides gauged",
            "Stems and guides: assembly lube")
        .contains("1E: spring in, the inner left out")
        .noneMatch(t -> t.contains("free the locks"));
    finish(view);
    assertThat(get("/api/engines/" + engine + "/open-items"))
        .bodyJson()
        .extractingPath("$[?(@.kind=='INNER_OUT')].dueHours")
        .asArray()
        .containsExactly(5.5);
  }

  /** By the team's own hours, or by laps whichever comes first. */
  @Test
  void lashIsSetAnewAfterABreakInByHoursOrByUse() {
    String engine = withSprings(V8);
    assertThat(
            put("/api/engines/" + engine + "/change-rules", "{\"resetHours\":9,\"resetUsed\":40}"))
        .hasStatusOk();
    finish(begin(engine, "ASSEMBLE", "BLOCK", "\"innerOut\":true,\"breakInHours\":1,", "1E"));
    assertThat(get("/api/engines/" + engine + "/open-items"))
        .bodyJson()
        .hasPathSatisfying(
            "$[?(@.kind=='RESET')].dueUsed", p -> p.assertThat().asArray().containsExactly(40.0))
        .hasPathSatisfying(
            "$[?(@.kind=='RESET')].dueHours", p -> p.assertThat().asArray().containsExactly(13.0));
    String run =
        """
        [{"id":"%s","run":{"engineId":"%s","kind":"TEST_DAY","date":"2026-06-01","minutes":6,
         "overRevs":0,"fromLogger":false,"hand":"KV","used":%s}}]""";
    String path = "/api/engines/" + engine + "/runs";
    assertThat(put(path, run.formatted(UUID.randomUUID(), engine, "39"))).hasStatus2xxSuccessful();
    assertThat(dueWords(engine)).noneMatch(w -> w.contains("set anew"));
    assertThat(put(path, run.formatted(UUID.randomUUID(), engine, "1"))).hasStatus2xxSuccessful();
    assertThat(dueWords(engine)).anyMatch(w -> w.contains("set anew"));
  }

  private List<String> dueWords(String engine) {
    try {
      return JsonPath.read(
          get("/api/engines/" + engine + "/readiness").getResponse().getContentAsString(),
          "$.reasons[?(@.code=='OPEN_ITEM')].because.name");
    } catch (java.io.UnsupportedEncodingException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void onThePistonTwoCylindersAreDoneAtOneStopAndTheOilIsLookedAt() {
    String engine = withSprings(V8);
    String view = begin(engine, "IN_CAR", "PISTON", "\"innerOut\":false,", "1E", "6I");
    assertThat(titles(view))
        .contains("Bar to TDC of cylinder 1 and 6")
        .containsSubsequence(
            "Drain the oil and look at it before the engine is cranked", "Fresh oil in");
    assertThat((Boolean) JsonPath.read(view, "$.state.crank.locked")).isFalse();
  }

  @Test
  void aHydraulicEnginesPreloadIsReadInTurns() {
    String sheet =
        V8.replace("ROLLER_SOLID", "ROLLER_HYDRAULIC")
            .replace("\"thread\"", "\"plungerTravelIn\":0.15,\"preloadTurns\":0.5,\"thread\"");
    String engine = withSprings(sheet);
    String done = finish(begin(engine, "IN_CAR", "AIR", "\"innerOut\":false,", "3E"));
    assertThat(titles(done)).anySatisfy(t -> assertThat(t).contains("3E: set the preload"));
    String rounds = text(get("/api/engines/" + engine + "/rounds"));
    assertThat(get("/api/rounds/" + JsonPath.read(rounds, "$[0].id")))
        .bodyJson()
        .extractingPath("$.valves[0].left.form")
        .isEqualTo("TURNS");
  }

  /** Where nothing turns, the walk measures the length and keeps which part went in. */
  @Test
  void aPreloadWhereNothingTurnsIsSetByLength() {
    String sheet =
        V8.replace("ROLLER_SOLID", "ROLLER_HYDRAULIC")
            .replace("SCREW_PUSHROD_END", "PUSHROD_LENGTH")
            .replace(
                "\"thread\"",
                "\"plungerTravelIn\":0.08,\"preload\":{\"fromIn\":0.025,\"toIn\":0.06},"
                    + "\"partsIn\":\"7.850 7.900\",\"partIntakeIn\":7.85,\"partExhaustIn\":7.85,"
                    + "\"thread\"");
    String engine = withSprings(sheet);
    String begun = begin(engine, "IN_CAR", "AIR", "\"innerOut\":false,", "3E");
    finish(begun, Map.of("ZERO_LASH", 7.85, "LASH", 7.9));
    String rounds = text(get("/api/engines/" + engine + "/rounds"));
    String round = text(get("/api/rounds/" + JsonPath.read(rounds, "$[0].id")));
    assertThat((String) JsonPath.read(round, "$.valves[0].leftVerdict")).isEqualTo("IN");
    assertThat((Double) JsonPath.read(round, "$.valves[0].found.zeroLashIn")).isEqualTo(7.85);
    assertThat((Double) JsonPath.read(round, "$.valves[0].left.partSizeIn")).isEqualTo(7.9);
  }
}
