package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.jayway.jsonpath.Configuration;
import com.jayway.jsonpath.JsonPath;
import com.jayway.jsonpath.PathNotFoundException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** The cam bench through its calls: degreed, measured, held beside others, cleared, sprung. */
class CamApiTest extends ApiTest {
  private static final String BOTTOM =
      "\"bottomEnd\":{\"boreIn\":4.0,\"strokeIn\":3.48,\"rodIn\":6.0,";
  private String engine;

  @BeforeEach
  void keepAnEngine() {
    engine = engine(resource("v8.json").replace("\"bottomEnd\":{", BOTTOM));
  }

  private String sitting(String kind, String more) {
    String id = UUID.randomUUID().toString();
    assertThat(
            put(
                "/api/cam-sittings/" + id,
                """
                {"engineId":"%s","kind":"%s","engineHours":12.5,"startedAt":"2026-05-02T09:30:00Z",
                 "hand":"KV"%s}"""
                    .formatted(engine, kind, more)))
        .hasStatusOk();
    return id;
  }

  private MvcTestResult read(String sitting, String what, Object figure, String more) {
    return put(
        "/api/cam-sittings/" + sitting + "/readings/" + UUID.randomUUID(),
        "{\"what\":\"%s\",\"figure\":%s,\"hand\":\"KV\"%s}".formatted(what, figure, more));
  }

  private String degreed(double late) {
    String id = sitting("DEGREE", ",\"pointerMoved\":true,\"heightsIn\":[0.05]");
    read(id, "STOP_BEFORE", 28.5, "");
    read(id, "STOP_AFTER", 31.0, "");
    read(id, "INTAKE_UP", 59.5 + late, ",\"at\":0.05");
    read(id, "INTAKE_DOWN", 152.5 + late, ",\"at\":0.05");
    read(id, "EXHAUST_UP", 160.5 - late, ",\"at\":0.05");
    read(id, "EXHAUST_DOWN", 67.5 - late, ",\"at\":0.05");
    return id;
  }

  private static double number(String json, String path) {
    Object at = JsonPath.read(json, path);
    if (at instanceof List<?> all) {
      assertThat(all).as(path).isNotEmpty();
      at = all.get(0);
    }
    return ((Number) at).doubleValue();
  }

  /** A figure nobody knows is left out. */
  private static boolean has(String json, String path) {
    try {
      JsonPath.<Object>read(json, path);
      return true;
    } catch (PathNotFoundException e) {
      return false;
    }
  }

  @Test
  void aCamDegreedIsLateAndTheDriveIsOfferedBestFirst() {
    String id = degreed(1.5);
    String view = text(get("/api/cam-sittings/" + id + "/degree"));
    assertThat(number(view, "$.zeroStandsDeg")).isEqualTo(1.25);
    assertThat(number(view, "$.stands.iclDeg")).isEqualTo(107.5);
    assertThat(number(view, "$.stands.lateDeg")).isCloseTo(1.5, within(1e-9));
    assertThat(JsonPath.<String>read(view, "$.stands.verdict")).isEqualTo("LEAVE");
    assertThat(JsonPath.<List<Double>>read(view, "$.corrections[*].mark"))
        .containsExactly(0.0, 4.0, -4.0);
    String room = text(get("/api/engines/" + engine + "/cam"));
    assertThat(JsonPath.<List<String>>read(room, "$.degreeings[*].id")).containsExactly(id);
    put(
        "/api/engines/" + engine + "/cam/bench",
        "{\"bench\":{\"driveOffers\":[-2,-1,0,1,2],\"driveMarked\":\"CAM\"},\"hand\":\"KV\"}");
    view = text(get("/api/cam-sittings/" + id + "/degree"));
    assertThat(number(view, "$.corrections[0].crankDeg")).isEqualTo(2);
  }

  @Test
  void aFigureTakenBackIsAskedForAgainAndContradictionsAreSaid() {
    String id = sitting("DEGREE", ",\"pointerMoved\":true");
    String first = UUID.randomUUID().toString();
    String body = "{\"what\":\"STOP_BEFORE\",\"figure\":30,\"hand\":\"KV\"}";
    assertThat(put("/api/cam-sittings/" + id + "/readings/" + first, body)).hasStatusOk();
    assertThat(put("/api/cam-sittings/" + id + "/readings/" + first, body)).hasStatusOk();
    read(id, "STOP_AFTER", 31, "");
    String view = text(get("/api/cam-sittings/" + id + "/degree"));
    assertThat(JsonPath.<List<Object>>read(view, "$.readings")).hasSize(2);
    put("/api/cam-sittings/" + id + "/readings/" + first + "/taken-back", "{\"hand\":\"KV\"}");
    view = text(get("/api/cam-sittings/" + id + "/degree"));
    assertThat(has(view, "$.wanted[0].figure")).isFalse();
    assertThat(has(view, "$.zeroStandsDeg")).isFalse();
    read(id, "STOP_BEFORE", 30, "");
    read(id, "INTAKE_UP", 150, ",\"at\":0.05");
    read(id, "INTAKE_DOWN", 60, ",\"at\":0.05");
    view = text(get("/api/cam-sittings/" + id + "/degree"));
    assertThat(JsonPath.<String>read(view, "$.contradiction")).contains("comes after");
  }

  @ParameterizedTest
  @CsvSource({
    "DEGREE, STOP_BEFORE, 121, '', figure",
    "DEGREE, STOP_BEFORE, 1e300, '', figure",
    "DEGREE, INTAKE_UP, 60, '', at",
    "CLEARANCE, GAP, 0.1, '', valve",
    "CLEARANCE, GAP, 0.1, ',\"valve\":\"9E\"', valve",
    "CLEARANCE, GAP, 0.1, ',\"valve\":\"1E\",\"at\":75', entry",
    "PUSHRODS, ROD, 78.5, ',\"valve\":\"1E\"', figure"
  })
  void aFigureThatCannotBeIsRefusedAtItsField(
      String kind, String what, String figure, String more, String field) {
    MvcTestResult r = read(sitting(kind, ""), what, figure, more);
    assertThat(r).hasStatus4xxClientError();
    assertThat(JsonPath.<List<String>>read(text(r), "$.errors[*].field")).contains(field);
  }

  private static String csv(double half, double lift, String name) {
    StringBuilder csv = new StringBuilder("deg," + name + "\n");
    for (int a = 0; a <= 400; a += 2) {
      double x = (a - 200) / half;
      double l = Math.abs(x) < 1 ? lift * Math.pow(1 - x * x, 3) : 0;
      csv.append(String.format(Locale.ROOT, "%d,%.4f%n", a, l));
    }
    return csv.toString();
  }

  private static String lobe(String csv, String valve) {
    return "{\"csv\":\"%s\",\"valve\":\"%s\",\"on\":\"LOBE\",\"camDegrees\":false}"
        .formatted(csv.replace("\n", "\\n").replace("\r", ""), valve);
  }

  private String measured(String valve, boolean design, double lift) {
    return measured(lobe(csv(168, lift, "lift"), valve), design);
  }

  private String measured(String table, boolean design) {
    String id = UUID.randomUUID().toString();
    String kept =
        "{\"table\":%s,\"column\":0,\"name\":\"own dial\",\"design\":%s,\"engineHours\":3,\"hand\":\"KV\"}"
            .formatted(table, design);
    assertThat(put("/api/engines/" + engine + "/cam/lobes/" + id, kept)).hasStatusOk();
    return id;
  }

  @Test
  void aMeasuredLobeIsLookedAtKeptAndThenStandsForAllOfItsKind() {
    String seen =
        text(
            post(
                "/api/engines/" + engine + "/cam/lobes/preview",
                lobe(csv(168, 0.42, "lift mm").replace("deg,lift mm", "deg,a mm"), "1I")));
    assertThat(JsonPath.<List<Boolean>>read(seen, "$[*].mm")).containsExactly(true);
    assertThat(JsonPath.<List<String>>read(seen, "$[*].refused").get(0)).contains("no lobe");
    String id = measured("1I", false, 0.42);
    measured("1I", true, 0.425);
    String room = text(get("/api/engines/" + engine + "/cam"));
    assertThat(number(room, "$.lobes[?(@.design==false)].differsIn"))
        .isCloseTo(0.005, within(2e-4));
    double half = 168 * Math.sqrt(1 - Math.cbrt(0.050 / 0.42));
    assertThat(
            number(
                room,
                "$.lobes[?(@.design==false)].figures.durations[?(@.liftIn==0.05)].durationDeg"))
        .isCloseTo(2 * half, within(0.3));
    String before = facts();
    put("/api/engines/" + engine + "/cam/lobes/" + id + "/use", "{\"hand\":\"KV\"}");
    String after = facts();
    String path = "$.windows[?(@.position=='1I')].opensDeg";
    assertThat(number(after, path)).isNotEqualTo(number(before, path));
    assertThat(number(after, path))
        .isCloseTo(360 + 106 - 168 * Math.sqrt(1 - Math.cbrt(0.001 / 0.42)), within(1.5));
    assertThat(JsonPath.<List<String>>read(after, "$.lobes[?(@.kind=='INTAKE')].measuredOn"))
        .containsExactly("1I");
    room = text(get("/api/engines/" + engine + "/cam"));
    assertThat(JsonPath.<List<Boolean>>read(room, "$.lobes[?(@.design==false)].inUse"))
        .containsExactly(true);
    String aside = "/api/engines/" + engine + "/cam/lobes/" + id + "/aside";
    String left = text(put(aside, "{\"hand\":\"KV\"}"));
    assertThat(JsonPath.<List<Boolean>>read(left, "$.lobes[*].design")).containsExactly(true);
    put("/api/engines/" + engine + "/cam/by-the-card", "{\"kind\":\"INTAKE\",\"hand\":\"KV\"}");
    assertThat(number(facts(), path)).isEqualTo(number(before, path));
  }

  /**
   * The same readings are two lobes: the dial stood on the lobe, and on a valve behind a rocker of
   * 1.6.
   */
  @Test
  void readingsOfAValveAreTheLobesByTheRatio() {
    String table = lobe(csv(168, 0.42, "lift"), "1I");
    measured(table, true);
    measured(table.replace("\"on\":\"LOBE\"", "\"on\":\"VALVE\""), false);
    String room = text(get("/api/engines/" + engine + "/cam"));
    assertThat(number(room, "$.lobes[?(@.design==true)].figures.liftIn"))
        .isCloseTo(0.42, within(5e-4));
    assertThat(number(room, "$.lobes[?(@.design==false)].figures.liftIn"))
        .isCloseTo(0.42 / 1.6, within(5e-4));
  }

  /** What the engine's sheet comes to now. */
  private String facts() {
    Object sheet = JsonPath.read(text(get("/api/engines/" + engine)), "$.sheet");
    String checked =
        text(
            post(
                "/api/calc/sheet",
                Configuration.defaultConfiguration().jsonProvider().toJson(sheet)));
    Object facts = JsonPath.read(checked, "$.facts");
    return Configuration.defaultConfiguration().jsonProvider().toJson(facts);
  }

  /** Both lobes of a cylinder on one wheel: centres at 246 and 466, 220 apart. */
  @Test
  void lobesOfOneWheelTellTheirSeparation() {
    for (String[] lobe : new String[][] {{"1E", "246"}, {"1I", "466"}}) {
      StringBuilder csv = new StringBuilder();
      for (int a = -200; a <= 200; a += 4) {
        double x = a / 165.0;
        double l = Math.abs(x) < 1 ? 0.42 * Math.pow(1 - x * x, 3) : 0;
        csv.append(String.format(Locale.ROOT, "%d,%.4f\n", a + Integer.parseInt(lobe[1]), l));
      }
      assertThat(
              put(
                  "/api/engines/" + engine + "/cam/lobes/" + UUID.randomUUID(),
                  "{\"table\":%s,\"column\":0,\"name\":\"wheel\",\"design\":false,\"engineHours\":3,\"hand\":\"KV\"}"
                      .formatted(lobe(csv.toString(), lobe[0]))))
          .hasStatusOk();
    }
    String room = text(get("/api/engines/" + engine + "/cam"));
    assertThat(JsonPath.<List<Double>>read(room, "$.lobes[*].lsaDeg"))
        .hasSize(2)
        .allSatisfy(lsa -> assertThat(lsa).isCloseTo(110, within(0.05)));
  }

  @Test
  void aTableWithoutItsBaseCircleIsNotKept() {
    String cut = csv(168, 0.42, "lift").lines().skip(30).reduce("", (a, b) -> a + b + "\n");
    MvcTestResult r =
        put(
            "/api/engines/" + engine + "/cam/lobes/" + UUID.randomUUID(),
            "{\"table\":%s,\"column\":0,\"name\":\"cut\",\"design\":false,\"engineHours\":3,\"hand\":\"KV\"}"
                .formatted(lobe(cut, "1I")));
    assertThat(r).hasStatus(422);
    assertThat(text(r)).contains("Measure").contains("more before");
  }

  private static final String ANGLES =
      "{\"bench\":{\"intake\":{\"valveAngleDeg\":15,\"headIn\":2.02,\"pocketIn\":2.12},"
          + "\"exhaust\":{\"valveAngleDeg\":12}},\"hand\":\"KV\"}";

  @Test
  void gapsAreMovedLiveAndWhatNobodyMeasuredIsNotProved() {
    String id = sitting("CLEARANCE", ",\"travelIn\":0.5,\"school\":\"CHECKING_SPRING\"");
    read(id, "GAP", 0.120, ",\"valve\":\"1I\",\"at\":10,\"touched\":true");
    read(id, "GAP", 0.300, ",\"valve\":\"1E\",\"at\":-10,\"touched\":false");
    String bare = text(get("/api/cam-sittings/" + id + "/clearance"));
    assertThat(JsonPath.<List<String>>read(bare, "$.missing"))
        .containsExactly("VALVE_ANGLE_INTAKE", "VALVE_ANGLE_EXHAUST");
    put("/api/engines/" + engine + "/cam/bench", ANGLES);
    String now = text(get("/api/cam-sittings/" + id + "/clearance"));
    String four = text(get("/api/cam-sittings/" + id + "/clearance?advanceDeg=4"));
    String tighter = text(get("/api/cam-sittings/" + id + "/clearance?tighterIn=0.004"));
    String thicker = text(get("/api/cam-sittings/" + id + "/clearance?raisesIn=0.010"));
    String least = "$.valves[?(@.valve=='1I')].leastIn";
    assertThat(number(four, least)).isLessThan(number(now, least));
    assertThat(number(tighter, least)).isCloseTo(number(now, least) - 0.004, within(1e-4));
    assertThat(number(thicker, least))
        .isCloseTo(number(now, least) + 0.010 * Math.cos(Math.toRadians(15)), within(1e-6));
    assertThat(JsonPath.<List<Object>>read(now, "$.open")).hasSize(14);
    assertThat(JsonPath.<List<String>>read(now, "$.valves[?(@.valve=='1E')].margin"))
        .isSubsetOf("NOT_PROVED", "ENOUGH");
    assertThat(number(now, "$.valves[?(@.valve=='1I')].radialIn")).isCloseTo(0.05, within(1e-9));
    assertThat(JsonPath.<List<Object>>read(now, "$.valves[0].curve")).hasSize(121);
    assertThat(JsonPath.<Boolean>read(now, "$.byCard")).isTrue();
    assertThat(get("/api/cam-sittings/" + id + "/clearance?advanceDeg=NaN")).hasStatus(422);
    assertThat(get("/api/cam-sittings/" + id + "/clearance?ratioIntake=1e300")).hasStatus(422);
    degreed(1.5);
    String found = text(get("/api/cam-sittings/" + id + "/clearance"));
    assertThat(JsonPath.<Boolean>read(found, "$.centreFrom")).isTrue();
    String room = text(get("/api/engines/" + engine + "/cam"));
    assertThat(number(room, "$.degreeings[0].corrections[?(@.mark==4)].leastIntakeIn"))
        .isLessThan(number(room, "$.degreeings[0].corrections[?(@.mark==0)].leastIntakeIn"));
  }

  /** What was measured with one cam stays measured with it when another card is written down. */
  @Test
  void aGapKeepsTheCamItWasMeasuredWith() {
    put("/api/engines/" + engine + "/cam/bench", ANGLES);
    String id = sitting("CLEARANCE", "");
    read(id, "GAP", 0.120, ",\"valve\":\"1I\",\"at\":10,\"touched\":true");
    String least = "$.valves[?(@.valve=='1I')].leastIn";
    double four = number(text(get("/api/cam-sittings/" + id + "/clearance?advanceDeg=4")), least);
    String earlier =
        resource("v8.json")
            .replace("\"bottomEnd\":{", BOTTOM)
            .replace("\"intakeCentreDeg\":106", "\"intakeCentreDeg\":102")
            .replace("\"lsaDeg\":110", "\"lsaDeg\":108");
    assertThat(put("/api/engines/" + engine, earlier)).hasStatusOk();
    assertThat(number(text(get("/api/cam-sittings/" + id + "/clearance")), least))
        .isCloseTo(four, within(1e-9));
  }

  /** Knowing the cam better does not make room: a gap says the same, measured before or after. */
  @Test
  void aLobeMeasuredLaterIsReadIntoTheGapsOfTheSameCam() {
    put("/api/engines/" + engine + "/cam/bench", ANGLES);
    String gap = ",\"valve\":\"1I\",\"at\":10,\"touched\":true";
    String before = sitting("CLEARANCE", "");
    read(before, "GAP", 0.120, gap);
    String lobe = measured("1I", false, 0.42);
    put("/api/engines/" + engine + "/cam/lobes/" + lobe + "/use", "{\"hand\":\"KV\"}");
    String after = sitting("CLEARANCE", "");
    read(after, "GAP", 0.120, gap);
    String least = "$.valves[?(@.valve=='1I')].leastIn";
    String asked = "/clearance?advanceDeg=4";
    assertThat(number(text(get("/api/cam-sittings/" + before + asked)), least))
        .isEqualTo(number(text(get("/api/cam-sittings/" + after + asked)), least));
  }

  @Test
  void weightsThatCannotBeAreRefusedWhereTheyAreWritten() {
    for (String bad : List.of("-5", "2001", "1e300")) {
      assertThat(
              put(
                  "/api/engines/" + engine + "/cam/bench",
                  "{\"bench\":{\"intake\":{\"valveG\":%s}},\"hand\":\"KV\"}".formatted(bad)))
          .hasStatus4xxClientError();
    }
  }

  @Test
  void camsSideBySideWarnAboutSolidAndHydraulic() {
    String other = UUID.randomUUID().toString();
    String card =
        """
        {"other":{"engineId":"%s","name":"street","hydraulic":%s,"cam":{"card":"street",
         "liftAt":"LOBE","liftIntakeIn":0.35,"liftExhaustIn":0.35,"lsaDeg":112,"intakeCentreDeg":108,
         "intake":[{"tappetLiftIn":0.05,"durationDeg":215}],
         "exhaust":[{"tappetLiftIn":0.05,"durationDeg":220}],"lashIntakeIn":0.016,"lashState":"HOT"}},
         "hand":"KV"}""";
    String path = "/api/engines/" + engine + "/cam/others/" + other;
    assertThat(put(path, card.formatted(engine, "true"))).hasStatusOk();
    String sides = text(get("/api/engines/" + engine + "/cam/side-by-side"));
    assertThat(JsonPath.<Boolean>read(sides, "$.mixed")).isTrue();
    assertThat(JsonPath.<List<String>>read(sides, "$.cams[*].name")).containsExactly("", "street");
    assertThat(number(sides, "$.cams[1].figures.intake.grossIn")).isCloseTo(0.56, within(1e-9));
    assertThat(has(sides, "$.cams[1].figures.overlapDeg")).isFalse();
    assertThat(has(sides, "$.cams[1].figures.intake.movingDeg.high")).isFalse();
    assertThat(put(path, card.formatted(engine, "false").replace("\"lsaDeg\":112,", "")))
        .hasStatus4xxClientError();
    assertThat(
            put(path, card.formatted(engine, "false").replace("}},\n", "},\"removed\":true},\n")))
        .hasStatus4xxClientError();
  }

  @Test
  void theTeamsLashIsChosenAndTheCardsIsNeverLost() {
    String path = "/api/engines/" + engine + "/cam/lash";
    String tuning = text(get(path));
    double card = number(tuning, "$.lashes.cardIntakeIn");
    assertThat(
            put(
                path,
                "{\"intakeIn\":%s,\"exhaustIn\":null,\"hand\":\"KV\"}".formatted(card - 0.002)))
        .hasStatusOk();
    String after = text(get(path));
    assertThat(number(after, "$.lashes.teamIntakeIn")).isCloseTo(card - 0.002, within(1e-12));
    assertThat(number(after, "$.lashes.cardIntakeIn")).isEqualTo(card);
    assertThat(put(path, "{\"intakeIn\":0.2,\"hand\":\"KV\"}")).hasStatus4xxClientError();
    assertThat(put(path, "{\"intakeIn\":null,\"exhaustIn\":null,\"hand\":\"KV\"}")).hasStatusOk();
    assertThat(has(text(get(path)), "$.lashes.teamIntakeIn")).isFalse();
  }

  @Test
  void pushrodsAreCoveredByFewLengthsAndTheRestAreOneOffs() {
    String id = sitting("PUSHRODS", ",\"state\":\"HOT\"");
    read(id, "ROD", 7.850, ",\"valve\":\"1I\"");
    read(id, "ROD", 7.853, ",\"valve\":\"3I\"");
    read(id, "ROD", 8.100, ",\"valve\":\"1E\"");
    read(id, "TIP_WIDTH", 0.07, ",\"valve\":\"1I\"");
    String view = text(get("/api/cam-sittings/" + id + "/pushrods?sizesIn=7.85,8.0"));
    assertThat(JsonPath.<Map<String, Double>>read(view, "$.choices[0].at"))
        .containsOnlyKeys("1I", "3I");
    assertThat(JsonPath.<List<Double>>read(view, "$.choices[0].lengthsIn")).containsExactly(7.85);
    assertThat(JsonPath.<Map<String, Double>>read(view, "$.choices[0].oneOffs"))
        .containsOnlyKeys("1E");
    assertThat(JsonPath.<List<Object>>read(view, "$.open")).hasSize(13);
    assertThat(get("/api/cam-sittings/" + id + "/pushrods?sizesIn=NaN")).hasStatus4xxClientError();
  }

  @Test
  void whatIsMissingForTheFloatIsNamedAndThenItsSpeedIsTold() {
    String bare = text(get("/api/engines/" + engine + "/cam/float"));
    assertThat(JsonPath.<List<String>>read(bare, "$.sides[0].missing"))
        .containsExactly("WEIGHTS", "LOBE", "SPRINGS");
    fitSprings(engine, "set " + engine.substring(0, 6));
    measured("1I", false, 0.42);
    put(
        "/api/engines/" + engine + "/cam/bench",
        """
        {"bench":{"topRpm":7200,"intake":{"valveAngleDeg":15,"headIn":2.02,"valveG":112,"retainerG":22,
         "locksG":6,"springG":150,"rockerGIn2":380,"armIn":1.45,"pushrodG":88,"lifterG":120}},
         "hand":"KV"}""");
    String view = text(get("/api/engines/" + engine + "/cam/float"));
    assertThat(JsonPath.<List<String>>read(view, "$.sides[0].missing")).isEmpty();
    assertThat(number(view, "$.sides[0].fresh.rpm")).isBetween(4000.0, 15000.0);
    assertThat(number(view, "$.sides[0].atMostRpm")).isGreaterThan(3000);
    assertThat(JsonPath.<List<Object>>read(view, "$.sides[0].springs")).hasSize(8);
    assertThat(JsonPath.<List<Object>>read(view, "$.sides[0].freshCurve")).hasSize(46);
    assertThat(JsonPath.<List<String>>read(view, "$.sides[1].missing"))
        .containsExactly("WEIGHTS", "LOBE");
  }
}
