package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Springs of another kind with the engine in the car: every part goes in and comes out. */
class OtherKindApiTest extends JobApi {
  private String stiff;

  @BeforeEach
  void anotherKindLiesInStock() {
    stiff = UUID.randomUUID().toString();
    put(
        "/api/spring-types/" + stiff,
        SHEET.replace("HV dual", "HV stiff").replace("220", "240").replace("505", "530"));
    put(
        "/api/spring-types/" + stiff + "/kit",
        """
        {"kit":{"retainers":[{"name":"R10","raisesIn":0,"lockDeg":10}],
         "locks":[{"name":"L10","raisesIn":0,"lockDeg":10},{"name":"L10 tall","raisesIn":0.05,"lockDeg":10}],
         "cups":[]},"hand":"KV"}""");
    written("3E", "0.015");
    written("3I", "0.015");
    written("5E", "two thick ones");
  }

  private void written(String v, String shims) {
    String was = text(get("/api/engines/" + engine + "/pockets"));
    List<String> fitting = JsonPath.read(was, "$.pockets[?(@.position=='" + v + "')].fittingId");
    List<String> spring =
        JsonPath.read(was, "$.pockets[?(@.position=='" + v + "')].fitting.springId");
    assertThat(
            put(
                "/api/fittings/" + fitting.get(0),
                """
                {"springId":"%s","engineId":"%s","valve":"%s","fromHours":0,"heightIn":1.950,
                 "shims":"%s","retainer":"R7","locks":"plain","sealGapIn":0.8,"pocketIn":1.556,
                 "hand":"KV"}"""
                    .formatted(spring.get(0), engine, v, shims)))
        .hasStatus(204);
  }

  private void stock(int n) {
    String was = type;
    type = stiff;
    for (int i = 1; i <= n; i++) {
      spare("S-" + i + " " + engine.substring(0, 6));
    }
    type = was;
  }

  private String askFor(String... valves) {
    return ask(
        "AIR",
        String.join(
            ",",
            List.of(valves).stream()
                .map(v -> valve(v).replace("}", ",\"toKind\":\"" + stiff + "\"}"))
                .toList()));
  }

  private MvcTestResult plan(String... valves) {
    return post("/api/engines/" + engine + "/job-plan", askFor(valves));
  }

  /** 240 and 530 are the sheet's loads at the two heights: the same as before by 20 and 25 more. */
  @Test
  void thePlanShowsEachValveAsItWasAndAsItWillBe() {
    stock(2);
    String plan = text(plan("3E", "3I"));
    List<Double> before = JsonPath.read(plan, "$.valves[*].change.before.seatLbf");
    List<Double> after = JsonPath.read(plan, "$.valves[*].change.after.seatLbf");
    assertThat(before).containsOnly(220.0);
    assertThat(after).containsOnly(240.0);
    List<String> retainers = JsonPath.read(plan, "$.valves[*].change.parts.retainer");
    assertThat(retainers).containsOnly("R10");
    List<List<Double>> shims = JsonPath.read(plan, "$.valves[*].change.parts.shimsIn");
    assertThat(shims).allSatisfy(s -> assertThat(s).containsExactly(0.015));
    List<String> laid = JsonPath.read(plan, "$.layOut[*].item");
    assertThat(laid).contains("RETAINERS", "LOCKS", "SHIMS", "SPRINGS");
  }

  @Test
  void theWalkPutsInEveryPartAndTheRecordsFollow() {
    stock(2);
    MvcTestResult begun =
        put(
            "/api/jobs/" + job,
            "{\"engineId\":\"%s\",\"engineHours\":10.1,\"hand\":\"KV\",\"ask\":%s}"
                .formatted(engine, askFor("3E", "3I")));
    assertThat(begun).hasStatusOk();
    String done = walkTo(text(begun), "none");
    assertThat(JsonPath.<Object>read(done, "$.state.end")).isEqualTo("SIGNED");
    String now = text(get("/api/engines/" + engine + "/pockets"));
    List<String> types = JsonPath.read(now, "$.pockets[?(@.position=='3E')].typeId");
    List<String> retainers = JsonPath.read(now, "$.pockets[?(@.position=='3E')].fitting.retainer");
    List<String> shims = JsonPath.read(now, "$.pockets[?(@.position=='3E')].fitting.shims");
    List<Double> gaps = JsonPath.read(now, "$.pockets[?(@.position=='3E')].fitting.sealGapIn");
    assertThat(types).containsExactly(stiff);
    assertThat(retainers).containsExactly("R10");
    assertThat(shims).containsExactly("0.015");
    assertThat(gaps).containsExactly(0.8);
    List<String> odd = JsonPath.read(now, "$.oddRetainers[*].part");
    assertThat(odd).as("two of three known retainers are R10: nobody is odd").isEmpty();
  }

  @Test
  void whatIsNotThereOrCannotBeIsSaidAtTheValves() {
    assertThat(text(plan("3E"))).contains("no spring of that kind lies free for 3E");
    stock(1);
    assertThat(text(plan("3E", "3I"))).contains("lies free for");
    assertThat(text(plan("5E"))).contains("5E: measure its height and write its shims");
    String wide = stiff;
    put(
        "/api/spring-types/" + wide,
        SHEET.replace("HV dual", "HV stiff").replace("1.55}", "1.60}"));
    String shown = text(plan("3E"));
    List<String> against = JsonPath.read(shown, "$.against[*].said.code");
    assertThat(against).contains("FIT.WIDER_THAN_POCKET");
    MvcTestResult begun =
        put(
            "/api/jobs/" + job,
            "{\"engineId\":\"%s\",\"engineHours\":10.1,\"hand\":\"KV\",\"ask\":%s}"
                .formatted(engine, askFor("3E")));
    assertThat(begun).hasStatus(422);
    assertThat(text(begun)).contains("does not go in at 3E");
  }
}
