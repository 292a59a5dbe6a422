package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Rounds on engines whose lash is not simply turned, and on the history behind them. */
class RoundKindsApiTest extends ApiTest {
  private static final String V8 = resource("v8.json");
  private static final String DRIVE =
      "\"lifter\":\"ROLLER_SOLID\",\"rocker\":\"SHAFT\",\"ratioIntake\":1.6,\"ratioExhaust\":1.5,\n"
          + "  \"adjuster\":\"SCREW_PUSHROD_END\",\"thread\":\"7/16-20\"";

  private String with(String drive) {
    assertThat(V8).contains(DRIVE);
    return engine(V8.replace(DRIVE, drive));
  }

  private String begin(String engine, String state, double hours) {
    String id = UUID.randomUUID().toString();
    assertThat(put("/api/rounds/" + id, start(engine, state, hours))).hasStatusOk();
    return id;
  }

  private String reading(String round) {
    return "/api/rounds/" + round + "/readings/" + UUID.randomUUID();
  }

  private void read(String round, String json) {
    assertThat(put(reading(round), json)).hasStatusOk();
  }

  private static String turns(String valve, String phase, String turns) {
    return """
        {"valve":"%s","phase":"%s","form":"TURNS","figure":%s,"typed":"%s","hand":"MO"}"""
        .formatted(valve, phase, turns, turns);
  }

  private static String part(String valve, String figure, String sizeIn) {
    return """
        {"valve":"%s","phase":"FOUND","form":"FIGURE","figure":%s,"typed":"%s","partSizeIn":%s,
         "hand":"MO"}"""
        .formatted(valve, figure, figure, sizeIn);
  }

  private String text(String round, String path) {
    String[] found = new String[1];
    assertThat(get("/api/rounds/" + round))
        .bodyJson()
        .extractingPath(path)
        .asArray()
        .satisfies(a -> found[0] = String.valueOf(a[0]));
    return found[0];
  }

  private double number(String round, String path) {
    double[] found = new double[1];
    assertThat(get("/api/rounds/" + round))
        .bodyJson()
        .extractingPath(path)
        .asArray()
        .satisfies(a -> found[0] = ((Number) a[0]).doubleValue());
    return found[0];
  }

  @Test
  void aHydraulicRoundCountsTurnsAndRefusesToBottom() {
    String engine =
        with(
            "\"lifter\":\"ROLLER_HYDRAULIC\",\"rocker\":\"STUD\",\"ratioIntake\":1.5,"
                + "\"adjuster\":\"FULCRUM_NUT\",\"thread\":\"3/8-24\",\"plungerTravelIn\":0.08,"
                + "\"preloadTurns\":0.5");
    String round = begin(engine, "COLD", 1);
    assertThat(get("/api/engines/" + engine + "/lash-targets?state=COLD"))
        .bodyJson()
        .extractingPath("$.none[*].code")
        .isEqualTo(List.of("NO_TARGET.HYDRAULIC"));
    read(round, turns("1I", "FOUND", "0.25"));
    assertThat(get("/api/rounds/" + round))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='1I')].preload.change")
        .asArray()
        .containsExactly(0.25);
    assertThat(put(reading(round), turns("1I", "LEFT", "1.5")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("would bottom");
    read(round, turns("1I", "LEFT", "0.5"));
    String broken = "{\"spring\":\"BROKEN\",\"skipped\":false,\"hand\":\"MO\"}";
    assertThat(put("/api/rounds/" + round + "/valves/1I", broken)).hasStatusOk();
    assertThat(get("/api/rounds/" + round + "/looks"))
        .bodyJson()
        .extractingPath("$.now[?(@.position=='1I')].said.code")
        .isEqualTo(List.of("SEEN.SPRING_BROKEN"));
    assertThat(get("/api/engines/" + engine + "/seen-in-rounds"))
        .bodyJson()
        .extractingPath("$[*].said.code")
        .isEqualTo(List.of("SEEN.SPRING_BROKEN"));
    assertThat(get("/api/engines/" + engine + "/readiness"))
        .bodyJson()
        .extractingPath("$.reasons[?(@.code=='SPRING_SEEN')].positions[0]")
        .isEqualTo(List.of("1I"));
    assertThat(put("/api/rounds/" + round + "/valves/1I", broken.replace("BROKEN", "WHOLE")))
        .hasStatusOk();
    assertThat(get("/api/engines/" + engine + "/seen-in-rounds"))
        .bodyJson()
        .extractingPath("$")
        .isEqualTo(List.of());
    assertThat(get("/api/engines/" + engine + "/lash-history"))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='1I')].points[0].leftPreload")
        .asArray()
        .containsExactly(0.5);
    assertThat(put(reading(round), entry("1E", "FOUND", "0.018", "null")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("turns back to zero lash");
  }

  private static final String FIXED =
      "\"lifter\":\"FLAT_HYDRAULIC\",\"rocker\":\"PEDESTAL\",\"ratioIntake\":1.5,"
          + "\"adjuster\":\"PUSHROD_LENGTH\",\"plungerTravelIn\":0.08,"
          + "\"partsIn\":\"7.850 7.875 7.900 7.925 7.950\",\"partIntakeIn\":7.85,"
          + "\"partExhaustIn\":7.85,\"preload\":{\"fromIn\":0.025,\"toIn\":0.06}";

  private static String length(String valve, String phase, String zeroLash, String fitted) {
    return "{\"valve\":\"%s\",\"phase\":\"%s\",\"form\":\"LENGTH\",\"figure\":%s,\"partSizeIn\":%s,\"hand\":\"MO\"}"
        .formatted(valve, phase, zeroLash, fitted);
  }

  /** Measured once at zero lash; what goes in then is judged as strictly as a lash. */
  @Test
  void aHydraulicValveWhereNothingTurnsIsSetByLength() {
    String engine = with(FIXED);
    String round = begin(engine, "COLD", 1);
    read(round, length("1I", "FOUND", "7.850", "null"));
    String at = "$.valves[?(@.position=='1I')].";
    assertThat(text(round, at + "foundVerdict")).isEqualTo("NO_PRELOAD");
    assertThat(number(round, at + "preload.parts.wantedSizeIn")).isCloseTo(7.8925, within(1e-9));
    assertThat(number(round, at + "preload.parts.sizes[0].sizeIn")).isEqualTo(7.9);
    assertThat(put(reading(round), length("1I", "LEFT", "7.850", "7.950")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("1I: ", "would bottom");
    assertThat(put(reading(round), length("1I", "LEFT", "7.850", "null"))).hasStatus(422);
    assertThat(put(reading(round), length("1E", "FOUND", "1e300", "null"))).hasStatus(422);
    assertThat(put(reading(round), turns("1E", "FOUND", "0.5")))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("nothing turns here");
    read(round, length("1I", "LEFT", "7.850", "7.900"));
    assertThat(text(round, at + "leftVerdict")).isEqualTo("IN");
    assertThat(number(round, at + "preload.preload")).isCloseTo(0.050, within(1e-9));
    assertThat(get("/api/engines/" + engine + "/bad-rows"))
        .as("a length is no lash that cannot be")
        .bodyJson()
        .extractingPath("$")
        .isEqualTo(List.of());
  }

  /** Signed while a valve stands without preload, against the rule of its class. */
  @Test
  void theClassRuleRefusesASignatureWhileAValveHasNoPreload() {
    String rule =
        """
        "use":{"classRules":[{"rule":"above zero","source":"7.1","holds":"PRELOAD_ABOVE_ZERO"}]},
        "rules\"""";
    String engine = engine(V8.replace(DRIVE, FIXED).replace("\"rules\"", rule));
    String round = begin(engine, "COLD", 1);
    read(round, length("1I", "FOUND", "7.850", "null"));
    String signature = "{\"initials\":\"MO\",\"rulesChecked\":[\"above zero\"]}";
    assertThat(put("/api/rounds/" + round + "/signature", signature))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.detail")
        .asString()
        .contains("1I: the class rule asks for preload above zero");
    String same = "{\"valve\":\"1I\",\"phase\":\"LEFT\",\"form\":\"SAME\",\"hand\":\"MO\"}";
    assertThat(put(reading(round), same)).as("left as found is left").hasStatus(422);
    read(round, length("1I", "LEFT", "7.850", "7.875"));
    assertThat(put("/api/rounds/" + round + "/signature", signature)).hasStatusOk();
  }

  @Test
  void aFixedRockerIsToldWhatEachPushrodGivesAndRemembersWhatIsIn() {
    String engine =
        with(
            "\"lifter\":\"FLAT_SOLID\",\"rocker\":\"PEDESTAL\",\"ratioIntake\":1.5,"
                + "\"adjuster\":\"PUSHROD_LENGTH\",\"partsIn\":\"7.800 7.810 7.825\","
                + "\"partIntakeIn\":7.8,\"partExhaustIn\":7.8");
    String round = begin(engine, "HOT", 1);
    read(round, part("1I", "0.033", "7.8"));
    assertThat(number(round, "$.valves[?(@.position=='1I')].part.wantedSizeIn"))
        .isCloseTo(7.81, within(1e-9));
    assertThat(number(round, "$.valves[?(@.position=='1I')].part.options[0].sizeIn"))
        .isEqualTo(7.81);
    read(round, part("1I", "0.018", "7.81").replace("FOUND", "LEFT"));
    String next = begin(engine, "HOT", 2);
    assertThat(number(next, "$.valves[?(@.position=='1I')].partNowIn")).isEqualTo(7.81);
    assertThat(number(next, "$.valves[?(@.position=='1E')].partNowIn")).isEqualTo(7.8);
  }

  @Test
  void aBucketEngineSwapsItsOwnShimsFirst() {
    String engine = with("\"lifter\":\"BUCKET\",\"partIntakeIn\":0.1,\"partExhaustIn\":0.1");
    String round = begin(engine, "HOT", 1);
    read(round, part("1I", "0.022", "0.100"));
    read(round, part("3I", "0.014", "0.104"));
    assertThat(get("/api/rounds/" + round + "/looks"))
        .bodyJson()
        .extractingPath("$.swaps.moves[*].to")
        .asArray()
        .containsExactlyInAnyOrder("1I", "3I");
  }

  @Test
  void aColdAndAHotRoundWithNothingTouchedShowTheEnginesOwnGrowth() {
    String engine = engine(V8);
    String cold = begin(engine, "COLD", 1.0);
    String hot = begin(engine, "HOT", 1.3);
    for (String bank : new String[] {"1", "2", "3", "4", "5", "6", "7", "8"}) {
      read(cold, entry(bank + "I", "FOUND", "0.012", "null"));
      read(cold, entry(bank + "I", "LEFT", "0.012", "null"));
      read(hot, entry(bank + "I", "FOUND", "0.017", "null"));
    }
    assertThat(get("/api/engines/" + engine + "/lash-history"))
        .bodyJson()
        .extractingPath("$.growth[0].pairs")
        .isEqualTo(8);
    assertThat(get("/api/engines/" + engine + "/lash-targets?state=COLD"))
        .bodyJson()
        .extractingPath("$.targets[*].targetIn")
        .asArray()
        .satisfies(
            t -> {
              assertThat(((Number) t[0]).doubleValue()).isCloseTo(0.013, within(1e-9));
              assertThat(((Number) t[1]).doubleValue()).isCloseTo(0.014, within(1e-9));
            });
  }

  @Test
  void aClassRuleIsLookedAtOrExplainedBeforeTheSignature() {
    String engine =
        engine(
            V8.replace(
                "\"rules\":",
                "\"use\":{\"classRules\":[{\"rule\":\"lash is checked\",\"source\":\"4.2\"}]},"
                    + "\"rules\":"));
    String path = "/api/rounds/" + begin(engine, "HOT", 1) + "/signature";
    assertThat(put(path, "{\"initials\":\"KV\"}"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .contains("lash is checked");
    assertThat(put(path, "{\"initials\":\"KV\",\"rulesChecked\":[\"lash is checked\"]}"))
        .hasStatusOk();
  }

  @Test
  void leavesAreKeptAsTyped() {
    String round = begin(engine(V8), "HOT", 1);
    read(
        round,
        """
        {"valve":"1I","phase":"FOUND","form":"GO_NO_GO","figure":0.018,"secondFigure":0.019,
         "typed":"18/19","hand":"MO"}""");
    assertThat(number(round, "$.valves[?(@.position=='1I')].found.valueIn"))
        .isCloseTo(0.0185, within(1e-9));
    assertThat(
            put(
                reading(round),
                """
                {"valve":"1E","phase":"FOUND","form":"LEAF","figure":0.018,"feel":"LOOSE",
                 "typed":"18+","hand":"MO"}"""))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .contains("try the next leaf, 0.0190");
  }

  @Test
  void aSchoolThatSetsAValveOnItsLobeCannotBegin() {
    String wild =
        V8.replace("\"durationDeg\":280", "\"durationDeg\":352")
            .replace("\"durationDeg\":286", "\"durationDeg\":352");
    String start = start(engine(wild), "HOT", 1).replace("BEST_STOPS", "TWO_STOPS");
    assertThat(put("/api/rounds/" + UUID.randomUUID(), start))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .contains("inside its lobe or ramp");
  }
}
