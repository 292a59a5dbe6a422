package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class EngineApiTest extends ApiTest {
  private static final String V8 = resource("v8.json");

  @Test
  void aSheetIsCheckedWithoutBeingKept() {
    var result = post("/api/calc/sheet", V8);
    assertThat(result).bodyJson().extractingPath("$.problems").asArray().isEmpty();
    assertThat(result).bodyJson().extractingPath("$.facts.timing.advanceDeg").isEqualTo(4.0);
    assertThat(result).bodyJson().extractingPath("$.layout.banks[0].valves[0]").isEqualTo("1E");
    assertThat(result).bodyJson().extractingPath("$.facts.windows.length()").isEqualTo(16);
    assertThat(result)
        .bodyJson()
        .extractingPath("$.facts.targets[?(@.kind=='INTAKE' && @.state=='COLD')].targetIn")
        .asArray()
        .satisfies(t -> assertThat(((Number) t[0]).doubleValue()).isCloseTo(0.012, within(1e-9)));
  }

  @Test
  void aHalfWrittenSheetStillShowsItsLayout() {
    var result = post("/api/calc/sheet", V8.replace("\"thread\":\"7/16-20\"", "\"thread\":\"x\""));
    assertThat(result).bodyJson().extractingPath("$.problems[0].field").isEqualTo("drive.thread");
    assertThat(result).bodyJson().extractingPath("$.layout.firingOrder[1]").isEqualTo(8);
    assertThat(result).bodyJson().doesNotHavePath("$.facts");
  }

  @Test
  void allProblemsOfARefusedEngineAreNamedAtTheirFields() {
    String wrong = V8.replace("1-8-4-3-6-5-7-2", "1-8-4-3-6-5-7-7").replace("1.6", "16");
    var result = put("/api/engines/" + UUID.randomUUID(), wrong);
    assertThat(result).hasStatus(422);
    assertThat(result).bodyJson().extractingPath("$.type").isEqualTo("urn:shim:invalid");
    assertThat(result)
        .bodyJson()
        .extractingPath("$.errors[*].field")
        .asArray()
        .contains("layout.firingOrder", "drive.ratioIntake");
  }

  @Test
  void twoPeopleCannotOverwriteEachOthersSheetUnseen() {
    String id = engine(V8);
    assertThat(put("/api/engines/" + id + "?basedOn=0", V8.replace("Test V8", "Mine")))
        .hasStatusOk();
    assertThat(put("/api/engines/" + id + "?basedOn=0", V8.replace("Test V8", "Theirs")))
        .hasStatus(409);
    assertThat(get("/api/engines/" + id)).bodyJson().extractingPath("$.name").isEqualTo("Mine");
  }

  @Test
  void plansTurnsAndTargetsAnswerWithYourOwnNumbers() {
    var plan =
        post(
            "/api/calc/setting-plan",
            "{\"sheet\":" + V8 + ",\"school\":\"COMPRESSION_TDC\",\"stops\":1,\"onMarks\":false}");
    assertThat(plan).bodyJson().extractingPath("$.stops.length()").isEqualTo(8);
    assertThat(plan).bodyJson().extractingPath("$.refused").asArray().isEmpty();
    var all =
        post("/api/calc/setting-plans", "{\"sheet\":" + V8 + ",\"stops\":2,\"onMarks\":true}");
    assertThat(all).bodyJson().extractingPath("$.trade.length()").isEqualTo(15);
    assertThat(all).bodyJson().extractingPath("$.markCostDeg").isNotNull();
    var turn =
        post(
            "/api/calc/turn",
            """
            {"adjuster":"FULCRUM_NUT","thread":"3/8-24","ratio":1.5,"foundIn":0.03,"wantedIn":0.017}
            """);
    assertThat(turn).bodyJson().extractingPath("$.turn.degrees").isEqualTo(45);
    var target =
        post(
            "/api/calc/lash-target",
            "{\"sheet\":" + V8 + ",\"state\":\"COLD\",\"grownIntakeIn\":[-0.005,-0.005]}");
    assertThat(target)
        .bodyJson()
        .extractingPath("$.targets[*].targetIn")
        .asArray()
        .satisfies(t -> assertThat(((Number) t[0]).doubleValue()).isCloseTo(0.013, within(1e-9)));
    assertThat(target)
        .bodyJson()
        .extractingPath("$.targets[*].from.code")
        .isEqualTo(List.of("TARGET.OWN_GROWTH", "TARGET.TABLE_ALUMINIUM_HEADS"));
  }

  @Test
  void nonsenseIsRefusedInPlainWords() {
    assertThat(post("/api/calc/sheet", "{\"name\":")).hasStatus(400);
    assertThat(
            post(
                "/api/calc/setting-plan",
                "{\"sheet\":"
                    + V8
                    + ",\"school\":\"TWO_STOPS\","
                    + "\"stops\":99,\"onMarks\":false}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .isEqualTo("1 to 64 stops are possible");
    assertThat(get("/api/engines/" + UUID.randomUUID())).hasStatus(404);
    assertThat(get("/api/engines/nonsense")).hasStatus(400);
  }

  @Test
  void onlyThisMachineIsAnswered() {
    assertThat(
            http.get()
                .uri("/api/about")
                .with(
                    r -> {
                      r.setServerName("evil.example");
                      return r;
                    })
                .exchange())
        .hasStatus(403);
    assertThat(
            http.get()
                .uri("/api/about")
                .with(
                    r -> {
                      r.setRemoteAddr("192.168.1.20");
                      return r;
                    })
                .exchange())
        .hasStatus(403);
  }
}
