package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

class RoundApiTest extends ApiTest {
  private static final String V8 = resource("v8.json");
  private String engine;
  private String round;

  @BeforeEach
  void begin() {
    engine = engine(V8);
    round = begin("HOT", 3.0);
  }

  private String begin(String state, double hours) {
    String id = UUID.randomUUID().toString();
    assertThat(put("/api/rounds/" + id, start(engine, state, hours))).hasStatusOk();
    return id;
  }

  private String read(String round, String valve, String phase, String figure) {
    String id = UUID.randomUUID().toString();
    assertThat(put(reading(round, id), entry(valve, phase, figure, "null"))).hasStatusOk();
    return id;
  }

  private static String reading(String round, String id) {
    return "/api/rounds/" + round + "/readings/" + id;
  }

  private Object of(String round, String valve, String path) {
    Object[] found = {null};
    assertThat(get("/api/rounds/" + round))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='" + valve + "')]" + path)
        .asArray()
        .satisfies(a -> found[0] = a.length == 0 ? null : a[0]);
    return found[0];
  }

  @Test
  void aReadingSaysAtOnceInOrOutAndHowFarToTurn() {
    read(round, "1I", "FOUND", "0.026");
    assertThat(of(round, "1I", ".foundVerdict")).isEqualTo("WIDE");
    assertThat(of(round, "1I", ".turn.direction")).isEqualTo("TIGHTEN");
    assertThat(of(round, "1I", ".turn.degrees")).isEqualTo(35);
    assertThat(of(round, "1I", ".status")).isEqualTo("FOUND");
    read(round, "1I", "LEFT", "0.018");
    assertThat(of(round, "1I", ".status")).isEqualTo("DONE");
  }

  @Test
  void aRepeatChangesNothingAndAnUnseenOverwriteIsRefused() {
    String id = read(round, "1I", "FOUND", "0.018");
    assertThat(put(reading(round, id), entry("1I", "FOUND", "0.018", "null"))).hasStatusOk();
    assertThat(of(round, "1I", ".found.version")).isEqualTo(0);
    String other = UUID.randomUUID().toString();
    assertThat(put(reading(round, other), entry("1I", "FOUND", "0.021", "null")))
        .hasStatus(409)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("already has a figure as found by KV: 0.018");
    assertThat(put(reading(round, id), entry("1I", "FOUND", "0.021", "0"))).hasStatusOk();
    assertThat(of(round, "1I", ".found.typed")).isEqualTo("0.021");
    assertThat(get("/api/rounds/" + round + "/revisions"))
        .bodyJson()
        .extractingPath("$[*].typed")
        .asArray()
        .containsExactly("0.018", "0.021");
  }

  @Test
  void aFigureTakenBackStaysInTheHistory() {
    String id = read(round, "1I", "FOUND", "0.018");
    assertThat(delete(reading(round, id) + "?hand=KV")).hasStatusOk();
    assertThat(of(round, "1I", ".status")).isEqualTo("OPEN");
    assertThat(get("/api/rounds/" + round + "/revisions"))
        .bodyJson()
        .extractingPath("$[1].change")
        .isEqualTo("DEL");
  }

  @Test
  void anEntryAnswersWithWhatItChanged() throws Exception {
    String id = UUID.randomUUID().toString();
    MvcTestResult read = put(reading(round, id), entry("3E", "FOUND", "0.020", "null"));
    assertThat(read).bodyJson().extractingPath("$.valves[*].position").isEqualTo(List.of("3E"));
    assertThat(read).bodyJson().extractingPath("$.valves[0].status").isEqualTo("FOUND");
    assertThat(read).bodyJson().extractingPath("$.changes").isEqualTo(1);
    MvcTestResult whole = get("/api/rounds/" + round);
    assertThat(whole).bodyJson().extractingPath("$.changes").isEqualTo(1);
    assertThat(whole)
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='3E')]")
        .isEqualTo(JsonPath.read(read.getResponse().getContentAsString(), "$.valves"));
    String look = "{\"skipped\":true,\"hand\":\"KV\"}";
    assertThat(put("/api/rounds/" + round + "/valves/5I", look))
        .bodyJson()
        .extractingPath("$.valves[*].status")
        .isEqualTo(List.of("SKIPPED"));
    assertThat(put("/api/rounds/" + round + "/crank", "{\"crankDeg\":90,\"by\":\"KV\"}"))
        .bodyJson()
        .extractingPath("$.valves")
        .isEqualTo(List.of());
    assertThat(delete(reading(round, id) + "?hand=KV"))
        .bodyJson()
        .extractingPath("$.valves[*].status")
        .isEqualTo(List.of("OPEN"));
    // Taken back before, and its answer lost: which valve it was is not known any more.
    assertThat(delete(reading(round, id) + "?hand=KV"))
        .bodyJson()
        .extractingPath("$.valves")
        .asArray()
        .hasSize(16);
  }

  @Test
  void driftIsTakenFromTheSameStateAndNotAcrossAChangedPart() {
    read(round, "1I", "FOUND", "0.018");
    put(
        reading(round, UUID.randomUUID().toString()),
        "{\"valve\":\"1I\",\"phase\":\"LEFT\",\"form\":\"SAME\",\"hand\":\"KV\"}");
    read(round, "2I", "FOUND", "0.018");
    read(round, "2I", "LEFT", "0.018");
    String change =
        """
        {"engineId":"%s","valves":["2I"],"part":"PUSHROD","engineHours":3.0,"hand":"KV"}
        """
            .formatted(engine);
    assertThat(put("/api/chain-changes/" + UUID.randomUUID(), change)).hasStatus(204);
    String later = begin("HOT", 5.0);
    read(later, "1I", "FOUND", "0.021");
    read(later, "2I", "FOUND", "0.021");
    assertThat(((Number) of(later, "1I", ".driftIn")).doubleValue())
        .isCloseTo(0.003, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(of(later, "2I", ".driftIn")).isNull();
    assertThat(of(later, "2I", ".noDrift").toString()).contains("new baseline");
    String cold = begin("COLD", 5.1);
    read(cold, "1I", "FOUND", "0.013");
    assertThat(of(cold, "1I", ".noDrift").toString()).contains("no earlier cold round");
  }

  @Test
  void aSignedRoundIsNotChangedAnyMore() {
    read(round, "1I", "FOUND", "0.018");
    assertThat(put("/api/rounds/" + round + "/signature", "{\"initials\":\" \"}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].field")
        .isEqualTo("initials");
    assertThat(put("/api/rounds/" + round + "/signature", "{\"initials\":\"KV\"}")).hasStatusOk();
    assertThat(
            put(
                reading(round, UUID.randomUUID().toString()),
                entry("1E", "FOUND", "0.018", "null")))
        .hasStatus(409);
  }

  @Test
  void whatCannotBeIsRefusedInWords() {
    String path = reading(round, UUID.randomUUID().toString());
    assertThat(put(path, entry("9I", "FOUND", "0.018", "null")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .isEqualTo("this engine has no valve 9I");
    assertThat(put(path, entry("1I", "FOUND", "-0.018", "null"))).hasStatus(422);
    assertThat(put(path, entry("1I", "FOUND", "0.018", "null").replace("FIGURE", "TURNS")))
        .hasStatus(422);
    assertThat(put(path, entry("1I", "LEFT", "0.018", "null").replace("FIGURE", "SAME")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("as found first");
  }

  @Test
  void aSkippedValveComesBackAndALookIsKept() {
    String look = "{\"spring\":\"BROKEN\",\"skipped\":true,\"hand\":\"KV\"}";
    assertThat(put("/api/rounds/" + round + "/valves/3E", look)).hasStatusOk();
    assertThat(of(round, "3E", ".status")).isEqualTo("SKIPPED");
    read(round, "3E", "FOUND", "0.020");
    assertThat(of(round, "3E", ".status")).isEqualTo("FOUND");
    assertThat(get("/api/rounds/" + round + "/looks"))
        .bodyJson()
        .extractingPath("$.now[0].said.code")
        .isEqualTo("SEEN.SPRING_BROKEN");
  }

  @Test
  void pastItsStopTheCrankIsToldWhatMayBeSet() {
    assertThat(get("/api/rounds/" + round + "/past-stop?crankDeg=60&missedDeg=40"))
        .bodyJson()
        .extractingPath("$.roundDeg")
        .isEqualTo(700.0);
    String crank = "{\"crankDeg\":400,\"by\":\"MO\"}";
    assertThat(put("/api/rounds/" + round + "/crank", crank))
        .bodyJson()
        .extractingPath("$.crankBy")
        .isEqualTo("MO");
  }

  @Test
  void eventsAreKeptWithTheirHours() {
    String event =
        """
        {"engineId":"%s","name":"Larch Hill","date":"2026-12-05","plannedHours":1.2}
        """
            .formatted(engine);
    assertThat(put("/api/events/" + UUID.randomUUID(), event))
        .bodyJson()
        .extractingPath("$[0].plannedHours")
        .isEqualTo(1.2);
    assertThat(put("/api/events/" + UUID.randomUUID(), event.replace("Larch Hill", "")))
        .hasStatus(422);
  }
}
