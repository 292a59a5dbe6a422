package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/**
 * A row of an older Shim that holds what is refused today takes no page down, and can be mended.
 */
class BadRowTest extends ApiTest {
  @Autowired private JdbcTemplate sql;

  /** Rows are spoilt behind Shim's back here: what was computed before does not count. */
  @Override
  protected MvcTestResult get(String path) {
    return http.get().uri(path).header("Cache-Control", "no-store").exchange();
  }

  private static final List<String> PAGES =
      List.of(
          "",
          "/events",
          "/runs",
          "/hours",
          "/rounds",
          "/springs",
          "/pockets",
          "/lifters",
          "/lash-history",
          "/lash-drift",
          "/readiness",
          "/open-items",
          "/jobs",
          "/file",
          "/spring-readings",
          "/lash-targets?state=HOT",
          "/spring-rules");

  private String engineWithAll() {
    String engine = engine(resource("v8.json"));
    fitSprings(engine, "K");
    assertThat(
            put(
                "/api/engines/" + engine + "/lifter-sets/" + UUID.randomUUID(),
                """
                {"kind":"ROLLER_SOLID","setName":"L","linkBars":false,"fromHours":0,
                 "hoursBefore":0,"hand":"KV"}"""))
        .hasStatus(204);
    event(engine);
    String test = UUID.randomUUID().toString();
    put(
        "/api/spring-tests/" + test,
        """
        {"engineId":"%s","engineHours":2,"place":"HEAD","state":"COLD","order":"BANK",
         "tester":"lever","repeats":1,"hand":"KV"}"""
            .formatted(engine));
    put(
        "/api/spring-tests/" + test + "/readings/" + UUID.randomUUID(),
        """
        {"valve":"1I","heightIn":1.95,"loadLbf":214,"member":"WHOLE","again":false,"hand":"KV"}""");
    put(
        "/api/engines/" + engine + "/runs",
        """
        [{"id":"%s","run":{"engineId":"%s","kind":"RACE","date":"2026-06-01","minutes":20,
          "overRevs":0,"fromLogger":false,"hand":"KV"}}]"""
            .formatted(UUID.randomUUID(), engine));
    String round = UUID.randomUUID().toString();
    put("/api/rounds/" + round, start(engine, "HOT", 3.0));
    put(
        "/api/rounds/" + round + "/readings/" + UUID.randomUUID(),
        entry("1I", "FOUND", "0.021", "null"));
    return engine;
  }

  private String event(String engine) {
    String id = UUID.randomUUID().toString();
    put(
        "/api/events/" + id,
        "{\"engineId\":\"%s\",\"name\":\"Sprint\",\"date\":\"2099-06-01\",\"plannedHours\":1,\"runHours\":null}"
            .formatted(engine));
    return id;
  }

  private List<String> down(String engine, String spoiled) {
    List<String> down = new ArrayList<>();
    for (String page : PAGES) {
      MvcTestResult answer = get("/api/engines/" + engine + page);
      String body = new String(answer.getResponse().getContentAsByteArray());
      if (answer.getResponse().getStatus() != 200
          || body.contains("\"NaN\"")
          || body.contains("Infinity\"")) {
        down.add(spoiled + ": " + page + " " + answer.getResponse().getStatus());
      }
    }
    return down;
  }

  @Test
  void aBadRowIsShownAndMendedWithWhoInItsHistory() {
    String engine = engineWithAll();
    sql.update("update race_event set planned_hours = 1e300 where engine_id = '" + engine + "'");
    sql.update("update lash_reading set figure = -1");
    String at = "/api/engines/" + engine + "/bad-rows";
    assertThat(get(at))
        .bodyJson()
        .extractingPath("$[*].kind")
        .asArray()
        .containsExactly("EVENT_PLANNED_HOURS", "LASH");
    assertThat(get(at)).bodyJson().extractingPath("$[0].label").isEqualTo("Sprint");
    String event = text(get(at), "$[0:1].id");
    String reading = text(get(at), "$[1:2].id");
    String mending = at + "/EVENT_PLANNED_HOURS/" + event;
    assertThat(put(mending, "{\"value\":100001,\"hand\":\"KV\"}")).hasStatus(422);
    assertThat(put(mending, "{\"hand\":\"KV\"}")).hasStatus(422);
    assertThat(put(mending, "{\"value\":2.5,\"hand\":\"KV\"}")).hasStatusOk();
    assertThat(get("/api/engines/" + engine + "/events"))
        .bodyJson()
        .extractingPath("$[0].plannedHours")
        .isEqualTo(2.5);
    assertThat(put(at + "/LASH/" + reading, "{\"hand\":\"KV\"}"))
        .hasStatusOk()
        .bodyText()
        .isEqualTo("[]");
    assertThat(
            sql.queryForObject(
                "select r.who from lash_reading_history h join revision r on r.id = h.rev"
                    + " where h.id = '"
                    + reading
                    + "' and h.revtype = 2",
                String.class))
        .isEqualTo("KV");
    assertThat(put(mending, "{\"value\":2.5,\"hand\":\"KV\"}")).as("done").hasStatus(404);
  }

  /** A sound round stands at 3.5 h; what is written down beyond what can be is not the hours. */
  @Test
  void hoursThatCannotBeAreNotTheEngines() {
    String engine = engineWithAll();
    String of = " where engine_id = '" + engine + "'";
    put("/api/rounds/" + UUID.randomUUID(), start(engine, "HOT", 3.5));
    sql.update("update lash_round set engine_hours = 1e300" + of + " and engine_hours = 3");
    sql.update("update spring_test set engine_hours = 1e300" + of);
    sql.update("update spring_fitting set to_hours = 100001" + of);
    sql.update("update lifter_fitting set from_hours = -1" + of);
    assertThat(get("/api/engines/" + engine + "/hours"))
        .bodyJson()
        .extractingPath("$.hours")
        .isEqualTo(3.5);
    sql.update("update lash_round set engine_hours = 100000" + of);
    assertThat(get("/api/engines/" + engine + "/hours"))
        .bodyJson()
        .extractingPath("$.hours")
        .isEqualTo(100000.0);
    sql.update("update spring_fitting set to_hours = null" + of);
  }

  @Test
  void noBadRowTakesAPageDown() {
    List<String> down = new ArrayList<>();
    for (String spoil :
        List.of(
            "update race_event set planned_hours = 100001",
            "update race_event set planned_hours = 1e300",
            "update race_event set run_hours = 1e300",
            "update race_event set run_hours = -5",
            "update race_run set minutes = 1e300",
            "update spring set hours_before = 1e300",
            "update spring_fitting set height_in = 0",
            "update spring_fitting set height_in = 1e300",
            "update spring_fitting set from_hours = 1e300",
            "update lifter set hours_before = 1e300",
            "update spring_reading set load_lbf = 1e300",
            "update spring_reading set load_lbf = 0",
            "update spring_reading set height_in = 0",
            "update spring_test set engine_hours = 1e300",
            "update lash_round set engine_hours = 1e300",
            "update lash_reading set figure = 1e300",
            "update lash_reading set figure = -1")) {
      String engine = engineWithAll();
      assertThat(down(engine, "sound")).isEmpty();
      String owned =
          spoil.contains("race_") || spoil.contains("lash_round") || spoil.contains("spring_test")
              ? spoil + " where engine_id = '" + engine + "'"
              : spoil;
      sql.update(owned);
      down.addAll(down(engine, spoil));
      sql.update("delete from lash_reading");
      sql.update("delete from spring_reading");
      sql.update("update spring_fitting set height_in = 1.95, from_hours = 0");
      sql.update("update spring set hours_before = 0");
      sql.update("update lifter set hours_before = 0");
    }
    assertThat(down).isEmpty();
  }
}
