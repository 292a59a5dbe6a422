package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.jayway.jsonpath.JsonPath;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The bench's arithmetic as calls that keep nothing: worked values of the trade, no source. */
class CamCalcApiTest extends ApiTest {
  private static final String SHEET =
      "\"sheet\":"
          + resource("v8.json")
              .replace(
                  "\"bottomEnd\":{", "\"bottomEnd\":{\"boreIn\":4,\"strokeIn\":3.48,\"rodIn\":6,");

  private static double number(String json, String path) {
    return ((Number) JsonPath.read(json, path)).doubleValue();
  }

  @Test
  void trueTdcAndACamOneAndAHalfLate() {
    assertThat(
            number(
                text(post("/api/calc/cam/tdc", "{\"beforeDeg\":28.5,\"afterDeg\":31}")),
                "$.standsAtDeg"))
        .isEqualTo(1.25);
    String found =
        text(
            post(
                "/api/calc/cam/degree",
                "{"
                    + SHEET
                    + ",\"intake\":[{\"underNoseIn\":0.05,\"upDeg\":61,\"downDeg\":154}],"
                    + "\"exhaust\":[],\"wantedAdvanceDeg\":0}"));
    assertThat(number(found, "$.stands.iclDeg")).isEqualTo(107.5);
    assertThat(number(found, "$.stands.lateDeg")).isEqualTo(1.5);
    assertThat(number(found, "$.corrections[0].mark")).isZero();
  }

  @Test
  void ringGapsAndWires() {
    String ring =
        text(
            post(
                "/api/calc/cam/ring-gap",
                "{\"boreIn\":4.0,\"factor\":0.0065,\"gapIn\":0.029,\"otherGapIn\":0.026}"));
    assertThat(number(ring, "$.wantedIn")).isCloseTo(0.026, within(1e-9));
    assertThat(number(ring, "$.taperIn")).isCloseTo(0.00095, within(5e-6));
    String wire =
        text(
            post(
                "/api/calc/cam/wire",
                "{\"wireIn\":0.092,\"odIn\":0.5625,\"coils\":21,\"steel\":\"MUSIC\",\"peened\":false,"
                    + "\"shutLbf\":5,\"openLbf\":35}"));
    assertThat(number(wire, "$.factor")).isCloseTo(1.23, within(0.005));
  }

  @Test
  void aGapAdvancedByFour() {
    String body =
        "{"
            + SHEET
            + ",\"kind\":\"INTAKE\",\"valveAngleDeg\":15,\"crown\":\"POCKET\",\"atdcDeg\":10,"
            + "\"gapIn\":0.12,\"touched\":true,\"measuredLashIn\":0,\"advanceDeg\":%s,\"lashIn\":0,"
            + "\"raisesIn\":0,\"sunkIn\":0,\"travelIn\":0.5}";
    String now = text(post("/api/calc/cam/gap", body.formatted(0)));
    String four = text(post("/api/calc/cam/gap", body.formatted(4)));
    assertThat(number(four, "$.leastIn")).isLessThan(number(now, "$.leastIn"));
    assertThat(number(now, "$.provesIn")).isBetween(0.1, 0.35);
    assertThat(post("/api/calc/cam/gap", body.formatted("31"))).hasStatus(422);
    assertThat(post("/api/calc/cam/gap", body.formatted("1e300"))).hasStatus4xxClientError();
  }

  @Test
  void pushrodsAndFloat() {
    String rods =
        text(
            post(
                "/api/calc/cam/pushrods",
                "{\"valves\":[{\"valve\":\"1I\",\"aimIn\":7.8925,\"tolIn\":0.0175},"
                    + "{\"valve\":\"1E\",\"aimIn\":8.0,\"tolIn\":0.0175}],"
                    + "\"sizesIn\":[7.85,7.875,7.9,7.925]}"));
    assertThat(number(rods, "$[0].lengthsIn[0]")).isEqualTo(7.9);
    assertThat(number(rods, "$[0].oneOffs['1E']")).isEqualTo(8.0);
    StringBuilder csv = new StringBuilder();
    for (int a = -190; a <= 190; a += 2) {
      double l = Math.abs(a) < 150 ? 0.35 * Math.pow(Math.cos(Math.PI * a / 300), 2) : 0;
      csv.append(String.format(Locale.ROOT, "%d,%.5f\\n", a, l));
    }
    String body =
        """
        {"csv":"%s","perLobe":1,"camDegrees":false,"ratio":1.6,"lashIn":0,
         "train":{"valveG":120,"retainerG":30,"locksG":10,"springG":90,"rockerGIn2":420,"armIn":1.45,
         "pushrodG":80,"lifterG":100},
         "loads":[{"heightIn":1.9,"loadLbf":200},{"heightIn":1.3,"loadLbf":500}],
         "installedIn":1.9,"left":1,"leftBand":0,"boostLbf":0}"""
            .formatted(csv);
    double mass = (120 + 30 + 10 + 30 + 420 / (1.45 * 1.45) + 180 / (1.6 * 1.6)) / 453.59237;
    double omega = Math.sqrt((200 + 500 * 0.56) * 386.0886 / (mass * 0.28 * 2.4 * 2.4));
    assertThat(number(text(post("/api/calc/cam/float", body)), "$.rpm"))
        .isCloseTo(omega * 60 / Math.PI, within(60.0));
    assertThat(post("/api/calc/cam/float", body.replace("\"left\":1,", "\"left\":0,")))
        .hasStatus(422);
  }

  @ParameterizedTest
  @ValueSource(strings = {"NaN", "1e300", "-1", "null"})
  void nonsenseIsRefusedInWords(String bad) {
    assertThat(post("/api/calc/cam/tdc", "{\"beforeDeg\":%s,\"afterDeg\":31}".formatted(bad)))
        .hasStatus4xxClientError();
    assertThat(post("/api/calc/cam/wire", "{\"wireIn\":%s,\"odIn\":0.5}".formatted(bad)))
        .hasStatus4xxClientError();
  }
}
