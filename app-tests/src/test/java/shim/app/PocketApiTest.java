package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What stands in each pocket, what another spring would do there, and a test inside a round. */
class PocketApiTest extends ApiTest {
  private static final String DUAL =
      """
      {"name":"HV dual","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}],
       "bindIn":1.18,"odIn":1.55}""";
  private static final String STIFF =
      """
      {"name":"stiff","loads":[{"heightIn":1.95,"loadLbf":260},{"heightIn":1.3,"loadLbf":640}],
       "bindIn":1.25}""";
  private String engine;

  @BeforeEach
  void fitASet() {
    engine = engine(resource("v8.json"));
    String type = UUID.randomUUID().toString();
    assertThat(put("/api/spring-types/" + type, DUAL)).hasStatusOk();
    assertThat(
            put(
                "/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID(),
                """
                {"typeId":"%s","setName":"A","engineHours":0,"hoursBefore":0,"heightIn":1.950,
                 "hand":"KV"}"""
                    .formatted(type)))
        .hasStatus(204);
  }

  private String pockets() {
    try {
      return get("/api/engines/" + engine + "/pockets").getResponse().getContentAsString();
    } catch (java.io.UnsupportedEncodingException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static <T> T at(String json, String valve, String path) {
    List<T> found = JsonPath.read(json, "$.pockets[?(@.position=='" + valve + "')]." + path);
    return found.get(0);
  }

  @Test
  void aHeightMeasuredAnewKeepsWhatElseStandsThereAndOffersWays() {
    String before = pockets();
    assertThat((Boolean) at(before, "3E", "within")).isTrue();
    String fitting = at(before, "3E", "fittingId");
    String spring = at(before, "3E", "fitting.springId");
    String entry =
        """
        {"springId":"%s","engineId":"%s","valve":"3E","fromHours":0,"heightIn":1.995,
         "shims":"0.030","retainer":"10 degree","locks":"+0.050","locator":"cup","sealGapIn":0.76,
         "pocketIn":1.556,"hand":"KV","why":"measured"}"""
            .formatted(spring, engine);
    assertThat(put("/api/fittings/" + fitting, entry)).hasStatus(204);
    String after = pockets();
    assertThat((Boolean) at(after, "3E", "within")).isFalse();
    assertThat((String) at(after, "3E", "fitting.retainer")).isEqualTo("10 degree");
    assertThat((String) at(after, "3E", "fitting.locks")).isEqualTo("+0.050");
    List<List<Double>> ways =
        JsonPath.read(after, "$.pockets[?(@.position=='3E')].ways[*].way.shimsIn");
    assertThat(ways).as("0.030 is in and +0.050 locks").contains(List.of(0.015, 0.060));
    assertThat((String) at(after, "3E", "ways[0].way.kind"))
        .as("plain locks instead of +0.050 are nothing more to buy: 1.945, at the tolerance")
        .isEqualTo("LOCKS");
    assertThat(put("/api/fittings/" + fitting, entry.replace("\"0.030\"", "\"two thin\"")))
        .hasStatus(204);
    List<?> none = at(pockets(), "3E", "ways");
    assertThat(none).as("nobody can say what is in").isEmpty();
    double seatThere = ((Number) at(after, "3E", "ways[0].fit.seatLbf")).doubleValue();
    assertThat(seatThere)
        .as("a way nearer to the target brings the seat load back")
        .isGreaterThan(((Number) at(after, "3E", "fit.seatLbf")).doubleValue());
    assertThat(put("/api/fittings/" + fitting, entry.replace("1.995", "49.5")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .isEqualTo("heightIn");
  }

  @Test
  void theTeamsClearancesAreHeldAndOnesThatContradictAreRefusedAtTheirBox() {
    String path = "/api/engines/" + engine + "/spring-rules";
    assertThat(put(path, "{\"clearances\":{\"bindIn\":0.05,\"bindStopIn\":0.06}}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .isEqualTo("clearances.bindStopIn");
    assertThat(put(path, "{\"clearances\":{\"sealIn\":1e300}}")).hasStatus(422);
    assertThat(put(path, "{\"clearances\":{\"bindIn\":0.30}}")).hasStatus(200);
    List<String> said = JsonPath.read(pockets(), "$.pockets[0].fit.remarks[*].said.code");
    assertThat(said).contains("FIT.CLOSE_TO_BIND");
    assertThat(put(path, "{}")).hasStatus(200);
  }

  @Test
  void twoCandidatesStandBesideEachOtherWithThisCamOrAProposedOne() {
    String path = "/api/engines/" + engine + "/spring-candidates";
    assertThat(post(path, "{\"sheets\":[" + DUAL + "," + STIFF + "]}"))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying("$.length()", p -> p.assertThat().isEqualTo(2))
        .hasPathSatisfying("$[0].kinds[0].fit.heightIn", p -> p.assertThat().isEqualTo(1.95))
        .hasPathSatisfying("$[1].kinds[0].fit.seatLbf", p -> p.assertThat().isEqualTo(260.0));
    assertThat(post(path, "{\"sheets\":[" + STIFF + "],\"liftIntakeIn\":0.68}"))
        .bodyJson()
        .extractingPath("$[0].kinds[0].fit.remarks[?(@.weight=='STOP')].said")
        .asArray()
        .hasSize(1);
    assertThat(post(path, "{\"sheets\":[" + DUAL + ",{\"name\":\"blank\"}]}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .asString()
        .startsWith("sheets[1].");
    assertThat(post(path, "{\"sheets\":[" + DUAL + "],\"heightExhaustIn\":49.5}")).hasStatus(422);
    assertThat(post(path, "{\"sheets\":[]}")).hasStatus(422);
  }

  @Test
  void aSheetThatIsNoneNamesItsFieldsAlsoWhereNothingIsKept() {
    assertThat(
            post(
                "/api/calc/spring-fit",
                """
                {"sheet":{"name":"x"},"measured":{"heightIn":1.95},"lifter":"ROLLER_SOLID"}"""))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .asString()
        .startsWith("sheet.");
    assertThat(post("/api/calc/lash-target", "{\"sheet\":{\"name\":\"x\"},\"state\":\"HOT\"}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .asString()
        .startsWith("sheet.");
  }

  @Test
  void aRoundKnowsTheTestThatGoesWithIt() {
    String round = UUID.randomUUID().toString();
    assertThat(
            put(
                "/api/rounds/" + round,
                """
                {"engineId":"%s","state":"HOT","hand":"KV","engineHours":1,"school":"BEST_STOPS",
                 "stops":2,"onMarks":false,"lookAtSprings":true}"""
                    .formatted(engine)))
        .hasStatusOk();
    assertThat(get("/api/rounds/" + round + "/spring-test"))
        .hasStatusOk()
        .bodyJson()
        .doesNotHavePath("$.testId");
    String test = UUID.randomUUID().toString();
    assertThat(
            put(
                "/api/spring-tests/" + test,
                """
                {"engineId":"%s","roundId":"%s","engineHours":1,"place":"HEAD","state":"HOT",
                 "order":"STOPS","tester":"lever","repeats":1,"hand":"KV"}"""
                    .formatted(engine, round)))
        .hasStatusOk();
    assertThat(get("/api/rounds/" + round + "/spring-test"))
        .bodyJson()
        .extractingPath("$.testId")
        .isEqualTo(test);
  }
}
