package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Drift, diagnosis and lift tables as calls that keep nothing. */
class LifterCalcApiTest extends ApiTest {
  private static final List<String> VALVES =
      List.of(
          "1E", "1I", "3I", "3E", "5E", "5I", "7I", "7E", "2E", "2I", "4I", "4E", "6E", "6I", "8I",
          "8E");

  @Test
  void theWholeStoryAsAStatelessCall() {
    StringBuilder rounds = new StringBuilder();
    Random random = new Random(3);
    for (int n = 0; n < 9; n++) {
      StringBuilder reads = new StringBuilder();
      for (String v : VALVES) {
        long gap =
            Math.round(
                18 + random.nextGaussian() * 0.5 - (v.equals("2E") ? Math.max(0, n - 3) * 1.1 : 0));
        reads.append(
            "{\"valve\":\"%s\",\"foundLow\":%s,\"foundHigh\":%s},"
                .formatted(v, gap - 0.5, gap + 0.5));
      }
      reads.setLength(reads.length() - 1);
      rounds.append(
          "{\"name\":\"r%d\",\"engineHours\":%d,\"state\":\"HOT\",\"hand\":\"KV\",\"reads\":[%s]},"
              .formatted(n, n, reads));
    }
    rounds.setLength(rounds.length() - 1);
    String body = "{\"sheet\":" + resource("v8.json") + ",\"rounds\":[" + rounds + "]}";
    MvcTestResult told = post("/api/calc/lash-drift", body);
    assertThat(told)
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.valves[?(@.strength=='FINDING')].position")
        .asArray()
        .containsExactly("2E");
    assertThat(told)
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='2E')].chance.closing")
        .asArray()
        .satisfies(all -> assertThat(((Number) all[0]).doubleValue()).isGreaterThan(0.8));
    assertThat(post("/api/calc/lash-drift", body.replace("\"valve\":\"2E\"", "\"valve\":\"9E\"")))
        .hasStatus(422)
        .bodyText()
        .contains("no valve 9E");
    assertThat(
            post("/api/calc/lash-drift", "{\"sheet\":" + resource("v8.json") + ",\"rounds\":[]}"))
        .hasStatus(422)
        .bodyText()
        .contains("at least one round");
  }

  @Test
  void diagnosisAsAStatelessCall() {
    assertThat(
            post(
                "/api/calc/valve-diagnosis",
                "{\"symptoms\":[\"OPENING\"],\"seen\":[{\"look\":\"WHEEL\",\"grade\":\"pitted\"}]}"))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.causes[0].cause")
        .isEqualTo("LIFTER");
    assertThat(
            post(
                "/api/calc/valve-diagnosis",
                "{\"symptoms\":[],\"seen\":[{\"look\":\"WHEEL\",\"grade\":\"x\"}]}"))
        .hasStatus(422)
        .bodyText()
        .contains("is none of smooth");
  }

  @Test
  void aLiftTableGivesItsLift() {
    StringBuilder csv = new StringBuilder("deg;lift mm\n");
    for (int deg = 0; deg < 360; deg += 10) {
      csv.append(deg)
          .append(';')
          .append(
              ("%.2f".formatted(Math.max(0, 15 * Math.cos(Math.toRadians(deg - 180)))))
                  .replace('.', ','))
          .append('\n');
    }
    assertThat(table(csv.toString()))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.liftIn")
        .asNumber()
        .satisfies(v -> assertThat(v.doubleValue()).isCloseTo(15 / 25.4, within(1e-6)));
    assertThat(table("1,2\n3,x\n")).hasStatus(422).bodyText().contains("line 2", "no number");
    assertThat(table("1,0.1\n2,0.2\n")).hasStatus(422).bodyText().contains("at least 12");
    assertThat(table("12\n")).hasStatus(422).bodyText().contains("two columns");
    assertThat(table("1,0.1\n2\n3,0.1\n")).hasStatus(422).bodyText().contains("line 2");
    assertThat(table("1,0.1\n\n2,\n")).hasStatus(422).bodyText().contains("no number");
    assertThat(table("deg,lift\n1,\"0.1\n2,0.2\n")).hasStatus(422);
    assertThat(table(csv.substring(0, csv.indexOf("\n350;")).replace("\n0;", "\n-10;")))
        .hasStatusOk()
        .bodyJson()
        .extractingPath("$.countedDown")
        .isEqualTo(false);
  }

  private MvcTestResult table(String csv) {
    return http.post()
        .uri("/api/calc/lift-table")
        .contentType(MediaType.TEXT_PLAIN)
        .content(csv)
        .exchange();
  }
}
