package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

class LoggerApiTest extends ApiTest {
  private MvcTestResult logger(String text) {
    return http.post()
        .uri("/api/calc/logger?overRevRpm=6500")
        .contentType("text/csv")
        .content(text)
        .exchange();
  }

  @Test
  void aFileWithSemicolonsAndDecimalCommasIsUnderstood() {
    StringBuilder csv = new StringBuilder("Lap;Oil temp [°C];RPM;Time (s)\n");
    for (int i = 0; i <= 1200; i++) {
      csv.append("1;90,5;")
          .append(1000 + 5 * i)
          .append(",0;")
          .append(i / 10)
          .append(',')
          .append(i % 10)
          .append('\n');
    }
    assertThat(logger(csv.toString()))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying(
            "$.sum.cycles",
            p ->
                p.assertThat()
                    .asNumber()
                    .satisfies(n -> assertThat(n.doubleValue()).isCloseTo(4000, within(0.01))))
        .hasPathSatisfying("$.sum.overRevs", p -> p.assertThat().isEqualTo(1))
        .hasPathSatisfying("$.separator", p -> p.assertThat().isEqualTo(";"))
        .hasPathSatisfying(
            "$.sum.hottest",
            p ->
                p.assertThat()
                    .asNumber()
                    .satisfies(n -> assertThat(n.doubleValue()).isCloseTo(194.9, within(0.01))))
        .hasPathSatisfying("$.words", p -> p.assertThat().asString().contains("\"RPM\""));
  }

  private MvcTestResult chosen(String text, String columns) {
    return http.post()
        .uri("/api/calc/logger?overRevRpm=6500&" + columns)
        .contentType("text/csv")
        .content(text)
        .exchange();
  }

  /** What the titles do not say a person may; what they say wrongly a person may say otherwise. */
  @Test
  void columnsAreShownAndCanBeChosen() {
    String odd = "car 7;;\nT;N;W\n[ms];;[C]\n0;3000;80\n100;3000;90\n200;3000;85\n";
    assertThat(logger(odd))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying("$.ask", p -> p.assertThat().isEqualTo("COLUMNS"))
        .hasPathSatisfying("$.titles", p -> p.assertThat().asArray().containsExactly("T", "N", "W"))
        .doesNotHavePath("$.sum");
    assertThat(chosen(odd, "time=0&rpm=1&heat=2"))
        .hasStatusOk()
        .bodyJson()
        .doesNotHavePath("$.ask")
        .hasPathSatisfying("$.chosen.unit", p -> p.assertThat().isEqualTo("MILLISECONDS"))
        .hasPathSatisfying("$.chosen.celsius", p -> p.assertThat().isEqualTo(true))
        .hasPathSatisfying("$.sum.rows", p -> p.assertThat().isEqualTo(3))
        .hasPathSatisfying("$.sum.hottest", p -> p.assertThat().isEqualTo(194.0));
    String plain = "Time,RPM,Prop\n0,3000,900\n10,3000,900\n20,3000,900\n30,3000,900\n";
    assertThat(chosen(plain, "time=0&rpm=2&timeUnit=MILLISECONDS"))
        .hasStatusOk()
        .bodyJson()
        .hasPathSatisfying("$.sum.topRpm", p -> p.assertThat().isEqualTo(900.0))
        .hasPathSatisfying("$.words", p -> p.assertThat().asString().contains("\"Prop\""));
    assertThat(chosen(plain, "time=0&rpm=9"))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.ask")
        .isEqualTo("COLUMNS");
  }

  @Test
  void aBrokenFileSaysLineAndReason() {
    assertThat(logger("time,rpm\n0,1000\n1,fast\n"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("line 3")
        .contains("nothing was kept");
    assertThat(logger("time,rpm\n5,1000\n1,1000\n"))
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("time runs backwards");
    assertThat(logger("made by a;b;c\nTime,RPM\ns,rpm\n0,3000\n,3000\n1,\n1,3000\n"))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.sum.rows")
        .isEqualTo(2);
    assertThat(logger("Time,RPM\n0,3000\n10,3000\n20,3000\n30,3000\n"))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.ask")
        .isEqualTo("TIME_UNIT");
    assertThat(logger("Time [s],RPM\n0,3000\n10,3000\n20,3000\n30,3000\n")).hasStatusOk();
    assertThat(logger("nothing here\n"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("is this a logger's CSV?");
    assertThat(logger("time,rpm\n0,1000\n1\n"))
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("line 3: a column is missing");
  }

  @Test
  void aDaysRunsAreKeptInOneGoAndAnEventsHoursAreThoseOfItsRuns() {
    String engine = engine(resource("v8.json"));
    String event = UUID.randomUUID().toString();
    put(
        "/api/events/" + event,
        "{\"engineId\":\"%s\",\"name\":\"Larch Hill\",\"date\":\"2026-05-05\",\"plannedHours\":1}"
            .formatted(engine));
    String first = UUID.randomUUID().toString();
    String day =
        "["
            + run(first, engine, event, 30)
            + ","
            + run(UUID.randomUUID().toString(), engine, event, 15)
            + "]";
    assertThat(put("/api/engines/" + engine + "/runs", day))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.length()")
        .isEqualTo(2);
    assertThat(get("/api/engines/" + engine + "/events"))
        .bodyJson()
        .extractingPath("$[0].runHours")
        .isEqualTo(0.75);
    assertThat(get("/api/engines/" + engine + "/hours"))
        .bodyJson()
        .extractingPath("$.hours")
        .isEqualTo(0.75);
    String bad = "[" + run(first, engine, event, 0) + "]";
    assertThat(put("/api/engines/" + engine + "/runs", bad)).hasStatus(422);
    assertThat(delete("/api/runs/" + first)).hasStatusOk();
    assertThat(get("/api/engines/" + engine + "/hours"))
        .bodyJson()
        .extractingPath("$.hours")
        .isEqualTo(0.25);
  }

  private static String run(String id, String engine, String event, int minutes) {
    return """
        {"id":"%s","run":{"engineId":"%s","eventId":"%s","kind":"HILL_RUN","date":"2026-05-05",
         "minutes":%d,"overRevs":0,"fromLogger":false,"hand":"KV"}}"""
        .formatted(id, engine, event, minutes);
  }
}
