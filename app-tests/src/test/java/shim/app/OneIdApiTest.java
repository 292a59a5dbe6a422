package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** An id belongs to one reading at one place for ever, and found comes before left. */
class OneIdApiTest extends ApiTest {
  private String engine;
  private String round;

  @BeforeEach
  void begin() {
    engine = engine(resource("v8.json"));
    round = aRound();
  }

  private String aRound() {
    String id = UUID.randomUUID().toString();
    assertThat(put("/api/rounds/" + id, start(engine, "HOT", 3.0))).hasStatusOk();
    return id;
  }

  private static String at(String round, String reading) {
    return "/api/rounds/" + round + "/readings/" + reading;
  }

  private void has(String round, String valve, String figures) {
    assertThat(get("/api/rounds/" + round))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='" + valve + "')]['found','left'].typed")
        .asArray()
        .satisfies(a -> assertThat(java.util.Arrays.toString(a)).isEqualTo(figures));
  }

  @Test
  void asLeftWantsAsFoundFirst() {
    String left = UUID.randomUUID().toString();
    assertThat(put(at(round, left), entry("1I", "LEFT", "0.018", "null")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .isEqualTo("enter as found first: then how 1I is left");
    String found = UUID.randomUUID().toString();
    put(at(round, found), entry("1I", "FOUND", "0.021", "null"));
    assertThat(put(at(round, left), entry("1I", "LEFT", "0.018", "null"))).hasStatusOk();
    assertThat(delete(at(round, found)))
        .hasStatus(409)
        .bodyText()
        .contains("take 1I as left back first");
    has(round, "1I", "[\"0.021\", \"0.018\"]".replace("\"", ""));
  }

  @Test
  void aKnownIdIsNeverMovedToAnotherValveOrRound() {
    String id = UUID.randomUUID().toString();
    put(at(round, id), entry("1I", "FOUND", "0.021", "null"));
    assertThat(put(at(round, id), entry("3I", "FOUND", "0.019", "null"))).hasStatus(409);
    assertThat(put(at(round, id), entry("1I", "LEFT", "0.019", "0"))).hasStatus(409);
    String other = aRound();
    assertThat(put(at(other, id), entry("1I", "FOUND", "0.021", "null"))).hasStatus(409);
    has(round, "1I", "[0.021]");
    has(round, "3I", "[]");
    has(other, "1I", "[]");
  }

  @Test
  void whatWasTakenBackStaysSoWhenAnOldCopyArrivesLate() {
    String id = UUID.randomUUID().toString();
    put(at(round, id), entry("1I", "FOUND", "0.021", "null"));
    assertThat(delete(at(round, id))).hasStatusOk();
    assertThat(put(at(round, id), entry("1I", "FOUND", "0.021", "null")))
        .hasStatus(409)
        .bodyText()
        .contains("taken back");
    has(round, "1I", "[]");
  }

  @Test
  void aSecondIdForTheSamePlaceIsToldWhoWasFirst() {
    put(at(round, UUID.randomUUID().toString()), entry("1I", "FOUND", "0.021", "null"));
    assertThat(put(at(round, UUID.randomUUID().toString()), entry("1I", "FOUND", "0.02", "0")))
        .hasStatus(409)
        .bodyText()
        .contains("1I already has a figure as found by KV: 0.021");
  }

  @Test
  void aFindingTakenBackStaysSoToo() {
    String id = UUID.randomUUID().toString();
    String seen =
        """
        {"engineId":"%s","valve":"%s","look":"ROCKER","grade":"%s","engineHours":1,"hand":"KV"}""";
    String grade = text(get("/api/looks"), "$[?(@.look=='ROCKER')].grades[0].word");
    assertThat(put("/api/inspections/" + id, seen.formatted(engine, "1I", grade))).hasStatus(204);
    assertThat(put("/api/inspections/" + id, seen.formatted(engine, "3I", grade))).hasStatus(409);
    assertThat(delete("/api/inspections/" + id)).hasStatus(204);
    assertThat(put("/api/inspections/" + id, seen.formatted(engine, "1I", grade))).hasStatus(409);
  }

  @Test
  void everyChangeOfARoundMakesItsAnswerNewer() {
    String id = UUID.randomUUID().toString();
    long[] last = {-1};
    newer(put(at(round, id), entry("1I", "FOUND", "0.021", "null")), last);
    newer(put("/api/rounds/" + round + "/crank", "{\"crankDeg\":90,\"by\":\"KV\"}"), last);
    newer(put("/api/rounds/" + round + "/valves/1I", "{\"skipped\":true,\"hand\":\"KV\"}"), last);
    newer(delete(at(round, id)), last);
  }

  private static void newer(
      org.springframework.test.web.servlet.assertj.MvcTestResult answer, long[] last) {
    assertThat(answer)
        .bodyJson()
        .extractingPath("$.changes")
        .asNumber()
        .satisfies(
            n -> {
              assertThat(n.longValue()).isGreaterThan(last[0]);
              last[0] = n.longValue();
            });
  }
}
