package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Ready, ready but, not ready: what each state of an engine's records makes of it. */
class ReadinessApiTest extends ApiTest {
  private static final List<String> VALVES =
      List.of(
          "1E", "1I", "3I", "3E", "5E", "5I", "7I", "7E", "2E", "2I", "4I", "4E", "6E", "6I", "8I",
          "8E");
  private String engine;

  @BeforeEach
  void anEngine() {
    engine = engine(resource("v8.json"));
  }

  private static String id() {
    return UUID.randomUUID().toString();
  }

  private MvcTestResult readiness() {
    return get("/api/engines/" + engine + "/readiness");
  }

  private void words(String... words) {
    assertThat(readiness()).hasStatusOk().bodyText().contains(words);
  }

  private void reason(String code, String valve) {
    assertThat(readiness())
        .bodyJson()
        .extractingPath("$.reasons[?(@.code=='" + code + "')].positions[*]")
        .asArray()
        .contains(valve);
  }

  private void not(String words) {
    assertThat(readiness()).bodyText().doesNotContain(words);
  }

  private String begin(double hours) {
    String round = id();
    assertThat(put("/api/rounds/" + round, start(engine, "HOT", hours))).hasStatusOk();
    return round;
  }

  private void read(String round, String valve, String found, String left) {
    String at = "/api/rounds/" + round + "/readings/";
    assertThat(put(at + id(), entry(valve, "FOUND", found, "null"))).hasStatusOk();
    if (left != null) {
      assertThat(put(at + id(), entry(valve, "LEFT", left, "null"))).hasStatusOk();
    }
  }

  private void sign(String round) {
    assertThat(put("/api/rounds/" + round + "/signature", "{\"initials\":\"KV\"}")).hasStatusOk();
  }

  private void whole(double hours, String odd, String left) {
    String round = begin(hours);
    for (String v : VALVES) {
      String target = v.endsWith("E") ? "0.020" : "0.018";
      read(round, v, target, v.equals(odd) ? left : target);
    }
    sign(round);
  }

  @Test
  void anOpenRoundIsNamedAndLinked() {
    String round = begin(2);
    words("ROUND_OPEN", round, "NO_ROUND");
    read(round, "1I", "0.018", "0.018");
    words("ROUND_OPEN");
  }

  @Test
  void aWholeRoundLeavesNothingOfTheLash() {
    whole(2, "", "");
    not("ROUND");
    assertThat(readiness())
        .bodyJson()
        .extractingPath("$.areas[?(@.area=='LASH')].state")
        .asArray()
        .containsExactly("READY");
  }

  @Test
  void aValveLeftOutOfToleranceOrUndoneIsNotReady() {
    whole(2, "5I", "0.026");
    reason("LEFT_UNDONE", "5I");
    engine = engine(resource("v8.json"));
    whole(2, "7E", null);
    reason("LEFT_UNDONE", "7E");
  }

  @Test
  void runningSinceTheLastRoundIsSaid() {
    whole(2, "", "");
    String run =
        "{\"engineId\":\"%s\",\"name\":\"Run\",\"date\":\"2026-03-01\",\"plannedHours\":3,\"runHours\":3.5}";
    assertThat(put("/api/events/" + id(), run.formatted(engine))).hasStatusOk();
    assertThat(readiness())
        .bodyJson()
        .extractingPath("$.reasons[?(@.code=='RAN_SINCE_ROUND')].hours")
        .asArray()
        .containsExactly(1.5);
    assertThat(readiness()).bodyJson().extractingPath("$.sinceRound.stands").isEqualTo(false);
  }

  @Test
  void theComingEventIsTheOneItIsAskedFor() {
    String next =
        "{\"engineId\":\"%s\",\"name\":\"Hill\",\"date\":\"2030-03-01\",\"plannedHours\":0.8}";
    assertThat(put("/api/events/" + id(), next.formatted(engine))).hasStatusOk();
    assertThat(readiness()).bodyJson().extractingPath("$.eventName").isEqualTo("Hill");
    assertThat(readiness()).bodyJson().extractingPath("$.plannedHours").asNumber().isEqualTo(0.8);
  }

  @Test
  void anOpenItemCountsUntilItIsPutRight() {
    String item = id();
    String at = "/api/engines/" + engine + "/open-items/" + item;
    String body =
        "{\"kind\":\"STAND_IN\",\"words\":\"odd retainer at 4I until the new one comes\",\"hand\":\"KV\"}";
    assertThat(put(at, body)).hasStatus2xxSuccessful();
    words("odd retainer at 4I");
    assertThat(put(at + "/closed", "{\"hand\":\"KV\",\"why\":\"new one in\"}"))
        .hasStatus2xxSuccessful();
    not("odd retainer");
  }

  @Test
  void aLifterToWatchIsReadyButAndABadOneIsNot() {
    String seen =
        "{\"engineId\":\"%s\",\"engineHours\":1,\"hand\":\"KV\",\"valve\":\"3I\",\"look\":\"WHEEL\",\"grade\":\"%s\"}";
    assertThat(put("/api/inspections/" + id(), seen.formatted(engine, "rough"))).hasStatus(204);
    reason("LIFTERS_WATCH", "3I");
    assertThat(put("/api/inspections/" + id(), seen.formatted(engine, "pitted"))).hasStatus(204);
    reason("LIFTER_CHANGE", "3I");
    words("wheel pitted", "NOT_READY");
    assertThat(readiness()).bodyJson().extractingPath("$.reasons[0].positions[0]").isEqualTo("3I");
  }

  @Test
  void aTickIsAskedAbout() {
    String seen =
        "{\"engineId\":\"%s\",\"engineHours\":1,\"hand\":\"KV\",\"valve\":\"4E\",\"look\":\"TICK_HOT\",\"grade\":\"%s\"}";
    assertThat(put("/api/inspections/" + id(), seen.formatted(engine, "ticks"))).hasStatus(204);
    reason("TICKS_HOT", "4E");
    assertThat(put("/api/inspections/" + id(), seen.formatted(engine, "quiet"))).hasStatus(204);
    not("TICKS_HOT");
  }

  @Test
  void springsThatWereNeverTestedAreSaid() {
    words("NO_SPRINGS");
    String type = id();
    assertThat(
            put(
                "/api/spring-types/" + type,
                "{\"name\":\"R\",\"loads\":[{\"heightIn\":1.95,\"loadLbf\":220},{\"heightIn\":1.3,\"loadLbf\":505}],\"bindIn\":1.18}"))
        .hasStatusOk();
    String set =
        "{\"typeId\":\"%s\",\"setName\":\"A\",\"engineHours\":0,\"hoursBefore\":0,\"hand\":\"KV\"}";
    assertThat(put("/api/engines/" + engine + "/spring-sets/" + id(), set.formatted(type)))
        .hasStatus2xxSuccessful();
    words("SPRINGS_NEVER_TESTED");
    not("NO_SPRINGS");
  }

  @Test
  void anEngineThatIsNotHereIsNotFound() {
    assertThat(get("/api/engines/" + id() + "/readiness")).hasStatus(404);
    assertThat(get("/api/engines/" + engine + "/valves/9E/story")).hasStatus(404);
  }

  @Test
  void whatAPersonNotesAtAValveCountsUntilItIsPutRight() {
    String item = "/api/engines/" + engine + "/open-items/" + id();
    String noted =
        """
        {"kind":"NOTED","words":"stand-in until the new one comes","valve":"%s","part":"pushrod",
         "dueOn":"%s","hand":"KV"}""";
    assertThat(put(item, noted.formatted("9E", "2026-12-04")))
        .hasStatus(422)
        .bodyText()
        .contains("this engine has no valve 9E");
    put(
        "/api/events/" + id(),
        "{\"engineId\":\"%s\",\"name\":\"Final\",\"date\":\"2099-12-04\",\"plannedHours\":1.5}"
            .formatted(engine));
    assertThat(put(item, noted.formatted("4E", "2099-12-05"))).hasStatusOk();
    not("stand-in");
    String sooner = "/api/engines/" + engine + "/open-items/" + id();
    assertThat(put(sooner, noted.formatted("4E", "2099-12-04"))).hasStatusOk();
    words("pushrod: stand-in until the new one comes");
    reason("OPEN_ITEM", "4E");
    assertThat(put(sooner + "/closed", "{\"hand\":\"KV\",\"why\":\"new one in\"}")).hasStatusOk();
    not("stand-in");
  }

  @Test
  void plugsAndFuelAreDueByHoursAndDoneWithOneEntry() {
    String round = begin(10);
    read(round, "1E", "0.018", null);
    String plugs = "/api/engines/" + engine + "/services/PLUGS";
    String done =
        "{\"basedOn\":%s,\"service\":{\"everyHours\":%s,\"doneAtHours\":%s,\"hand\":\"KV\"}}";
    assertThat(put(plugs, done.formatted(null, 5, 10.5)))
        .hasStatus(422)
        .bodyText()
        .contains("service.doneAtHours", "the engine has not run so long");
    assertThat(put(plugs, done.formatted(null, 5, 4))).hasStatusOk();
    words("PLUGS_DUE");
    assertThat(put(plugs, done.formatted(null, 5, 10))).as("unseen").hasStatus(409);
    assertThat(put(plugs, done.formatted(0, 5, 10))).hasStatusOk();
    not("PLUGS_DUE");
    String fuel = "/api/engines/" + engine + "/services/FUEL";
    assertThat(put(fuel, done.formatted(null, 0, 9.9))).hasStatusOk();
    words("FUEL_STANDS");
    assertThat(put(fuel, done.formatted(0, "1e300", 9.9))).hasStatus(422);
    assertThat(put("/api/engines/" + engine + "/services/WATER", done.formatted(null, 1, 1)))
        .matches(r -> r.getResponse().getStatus() / 100 == 4);
  }
}
