package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Heads from bare to running: measured, given springs, assembled, put on, taken off. */
class HeadApiTest extends JobApi {
  private static final String FIXINGS =
      """
      {"kind":"STUD","perSide":4,"sequence":[2,3,1,4],"stepsLbfFt":[40,65],"lubricant":"moly paste",
       "fastenerLbfFt":65,"engineLbfFt":70,"chosen":"FASTENER_MAKER","reason":"other studs",
       "waiting":[4],"oneAtATime":false}""";
  private String head;
  private List<String> valves;

  @BeforeEach
  void keepBareHeads() {
    head = UUID.randomUUID().toString();
    String made =
        text(
            put(
                "/api/heads/" + head,
                """
                {"head":{"name":"Spare pair","madeFor":"%s","bought":true,"fixings":%s},"hand":"KV"}"""
                    .formatted(engine, FIXINGS)));
    valves = JsonPath.read(made, "$.layout.banks[*].valves[*]");
    assertThat(valves).hasSize(16);
  }

  private MvcTestResult read(String what, String valve, Object figure) {
    return put(
        "/api/heads/" + head + "/readings/" + UUID.randomUUID(),
        "{\"what\":\"%s\",\"valve\":\"%s\",\"figure\":%s,\"hand\":\"KV\"}"
            .formatted(what, valve, figure));
  }

  private void measure() {
    for (String v : valves) {
      assertThat(read("HEIGHT", v, 1.966)).hasStatusOk();
      assertThat(read("POCKET", v, 1.555)).hasStatusOk();
      assertThat(read("SEAL_GAP", v, 0.9)).hasStatusOk();
    }
  }

  private void sixteenSprings() {
    for (int i = 0; i < 16; i++) {
      spare("H" + i + " " + head.substring(0, 6));
    }
  }

  private MvcTestResult assemble(String more) {
    return put(
        "/api/assemblies/" + job,
        """
        {"headId":"%s","hand":"KV","ask":{"typeIntake":"%s","typeExhaust":"%s","valves":[%s]}}"""
            .formatted(head, type, type, more));
  }

  private MvcTestResult on(String id, String onto) {
    return put(
        "/api/heads-on/" + id,
        """
        {"headId":"%s","engineId":"%s","engineHours":12.5,"hand":"MO","ask":{"gasket":"0.040, up",
         "intakeRod":"7.850","exhaustRod":"8.100","newLifters":true,"state":"COLD"}}"""
            .formatted(head, onto));
  }

  private static String field(MvcTestResult r, String field) {
    assertThat(r).hasStatus4xxClientError();
    List<String> words = JsonPath.read(text(r), "$.errors[?(@.field=='" + field + "')].message");
    assertThat(words).as(text(r)).isNotEmpty();
    return words.get(0);
  }

  @Test
  void aBareHeadIsMeasuredAndOfAPocketTheWidestCounts() {
    read("POCKET", "3E", 1.556);
    read("POCKET", "3E", 1.562);
    String third = text(read("POCKET", "3E", 1.555));
    List<Double> counts =
        JsonPath.read(third, "$.shows[?(@.what=='POCKET' && @.place.valve=='3E')].figure");
    List<Boolean> apart =
        JsonPath.read(third, "$.shows[?(@.what=='POCKET' && @.place.valve=='3E')].apart");
    assertThat(counts).containsExactly(1.562);
    assertThat(apart).containsExactly(true);
    String id = JsonPath.read(third, "$.readings[1].id");
    String back =
        text(put("/api/heads/" + head + "/readings/" + id + "/taken-back", "{\"hand\":\"KV\"}"));
    counts = JsonPath.read(back, "$.shows[?(@.what=='POCKET' && @.place.valve=='3E')].figure");
    assertThat(counts).containsExactly(1.556);
    List<Integer> missing = JsonPath.read(back, "$.measures[?(@.what=='POCKET')].missing");
    assertThat(missing).containsExactly(16);
  }

  @ParameterizedTest
  @CsvSource({
    "HEIGHT, 3E, 49.5, figure, between {0.500 in} and {6.000 in}",
    "HEIGHT, 9E, 1.95, valve, not measured there",
    "CHAMBER, 3E, 62, valve, not measured there",
    "HEIGHT, 3E, 1e300, figure, ''"
  })
  void aFigureThatCannotBeIsRefusedAtItsField(
      String what, String valve, String figure, String field, String words) {
    assertThat(field(read(what, valve, figure), field)).contains(words);
  }

  @Test
  void theKindsAreRankedForTheseHeadsWithTheirParts() {
    measure();
    String wide = UUID.randomUUID().toString();
    put("/api/spring-types/" + wide, SHEET.replace("HV dual", "wide").replace("1.55}", "1.60}"));
    assertThat(
            put(
                "/api/spring-types/" + type + "/kit",
                """
                {"kit":{"retainers":[],"locks":[{"name":"plain","raisesIn":0}],"cups":[]},"hand":"KV"}"""))
        .hasStatusOk();
    String choice = text(get("/api/heads/" + head + "/springs"));
    List<String> mine = JsonPath.read(choice, "$.kinds[?(@.kind.id=='" + type + "')].verdict");
    List<List<Double>> shims =
        JsonPath.read(choice, "$.kinds[?(@.kind.id=='" + type + "')].at[0].way.shimsIn");
    List<String> other =
        JsonPath.read(choice, "$.kinds[?(@.kind.id=='" + wide + "')].reasons[*].said.code");
    assertThat(mine).containsExactly("FITS");
    assertThat(shims.get(0)).containsExactly(0.015);
    assertThat(other).contains("FIT.WIDER_THAN_POCKET");
    assertThat(
            field(
                put(
                    "/api/spring-types/" + type + "/kit",
                    "{\"kit\":{\"retainers\":[{\"name\":\"x\",\"raisesIn\":3}],\"locks\":[],\"cups\":[]},\"hand\":\"KV\"}"),
                "kit.retainers[0].raisesIn"))
        .contains("0.3 in");
  }

  @Test
  void whatIsMissingBeforeAnAssemblyIsNamed() {
    assertThat(field(assemble(""), "ask.typeIntake")).startsWith("measure the height first: ");
    measure();
    assertThat(field(assemble("\"9E\""), "ask.valves")).contains("no valve 9E");
    assertThat(field(assemble(""), "ask.typeIntake")).contains("lie in stock, 16 are needed");
    read("POCKET", "3E", 1.560);
    String narrow = UUID.randomUUID().toString();
    put("/api/spring-types/" + narrow, SHEET.replace("1.55}", "1.60}"));
    String was = type;
    type = narrow;
    assertThat(field(assemble(""), "ask.typeIntake")).contains("does not go in at");
    type = was;
  }

  @Test
  void headsAreAssembledByTheBookPutOnAnEngineAndRunWithTheirSprings() {
    measure();
    sixteenSprings();
    String begun = text(assemble(""));
    assertThat(JsonPath.<Object>read(begun, "$.placeName")).isEqualTo("Spare pair");
    String signed = walkTo(begun, "none");
    assertThat(JsonPath.<Object>read(signed, "$.state.end")).isEqualTo("SIGNED");
    String rack = text(get("/api/heads/" + head));
    assertThat(JsonPath.<List<?>>read(rack, "$.springs")).hasSize(16);
    assertThat(JsonPath.<Object>read(rack, "$.springs[0].shims")).isEqualTo("0.015");
    assertThat(JsonPath.<Double>read(rack, "$.springs[0].coilGapIn")).isEqualTo(0.08);
    String book = text(get("/api/heads/" + head + "/book"));
    assertThat(JsonPath.<List<?>>read(book, "$.sides[*].valves[*]")).hasSize(16);
    List<String> hands = JsonPath.read(book, "$.sides[0].valves[0].lines[*].hand");
    assertThat(hands).hasSizeGreaterThan(15).containsOnly("KV");

    assertThat(field(on(UUID.randomUUID().toString(), engine), "engineId"))
        .contains("come off first");
    String other = engine(resource("v8.json"));
    String four = engine(resource("v8.json").replace("v8-odd-even", "v8-odd-even"));
    job = UUID.randomUUID().toString();
    String walking = text(on(job, other));
    assertThat(JsonPath.<List<?>>read(walking, "$.state.fixings")).hasSize(8);
    assertThat(on(UUID.randomUUID().toString(), four)).hasStatus(409);
    String done = walkTo(walking, "none");
    assertThat(JsonPath.<Object>read(done, "$.state.end")).isEqualTo("SIGNED");
    String pockets = text(get("/api/engines/" + other + "/pockets"));
    assertThat(JsonPath.<List<?>>read(pockets, "$.pockets")).hasSize(16);
    assertThat(JsonPath.<List<Double>>read(pockets, "$.pockets[*].fitting.heightIn"))
        .containsOnly(1.95);
    List<String> open =
        JsonPath.read(text(get("/api/engines/" + other + "/open-items")), "$[*].kind");
    assertThat(open).containsExactlyInAnyOrder("RECHECK", "RESET");
    List<String> rounds =
        JsonPath.read(text(get("/api/engines/" + other + "/rounds")), "$[*].signedBy");
    assertThat(rounds).containsExactly("KV");

    MvcTestResult off =
        put(
            "/api/heads/" + head + "/off",
            "{\"engineId\":\"%s\",\"engineHours\":14.0,\"hand\":\"MO\"}".formatted(other));
    assertThat(off).hasStatusOk();
    assertThat(JsonPath.<List<?>>read(text(off), "$.springs")).hasSize(16);
    assertThat(JsonPath.<Object>read(text(off), "$.stays[0].toHours")).isEqualTo(14.0);
    List<String> now =
        JsonPath.read(
            text(get("/api/engines/" + other + "/open-items")),
            "$[?(@.kind=='HEADS_ON' && !@.closedAt)].words");
    assertThat(now).singleElement().satisfies(w -> assertThat(w).contains("heads are off"));
  }

  @Test
  void headsWithoutARecordGetOneWhenTheyComeOff() {
    String id = UUID.randomUUID().toString();
    String off = "{\"engineId\":\"%s\",\"engineHours\":3,\"name\":\"Pair 1\",\"hand\":\"KV\"}";
    assertThat(
            field(
                put("/api/heads/" + id + "/off", off.formatted(engine).replace("Pair 1", " ")),
                "name"))
        .contains("give the heads a name");
    String view = text(put("/api/heads/" + id + "/off", off.formatted(engine)));
    assertThat(JsonPath.<List<?>>read(view, "$.springs")).hasSize(16);
    List<Double> heights = JsonPath.read(view, "$.shows[?(@.what=='HEIGHT')].figure");
    assertThat(heights).hasSize(16).containsOnly(1.950);
    assertThat(JsonPath.<Object>read(view, "$.stays[0].engineId")).isEqualTo(engine);
    assertThat(
            JsonPath.<List<?>>read(text(get("/api/engines/" + engine + "/pockets")), "$.pockets"))
        .isEmpty();
    List<String> elsewhere = JsonPath.read(view, "$.springs[*].springId");
    MvcTestResult fit =
        put(
            "/api/fittings/" + UUID.randomUUID(),
            "{\"springId\":\"%s\",\"engineId\":\"%s\",\"valve\":\"3E\",\"fromHours\":4,\"hand\":\"KV\"}"
                .formatted(elsewhere.get(0), engine));
    assertThat(field(fit, "springId")).contains("on a head on the rack");
  }

  @ParameterizedTest
  @CsvSource({
    "'[2,3,1,4]', '[2,3,1]', head.fixings.sequence, 4 is left out",
    "'[2,3,1,4]', '[2,3,1,1,4]', head.fixings.sequence, 1 stands twice",
    "'[40,65]', '[40,60]', head.fixings.stepsLbfFt, the last step",
    "other studs, '', head.fixings.reason, the two figures differ"
  })
  void fixingsThatCannotBeAreNamedAtTheirField(
      String was, String then, String field, String words) {
    MvcTestResult r =
        put(
            "/api/heads/" + UUID.randomUUID(),
            """
            {"head":{"name":"x","madeFor":"%s","bought":false,"fixings":%s},"hand":"KV"}"""
                .formatted(engine, FIXINGS.replace(was, then)));
    assertThat(field(r, field)).contains(words);
  }

  @Test
  void anAssemblyIsParkedAndNamedOnItsHeadAndAnotherIsNotBegunBesideIt() {
    measure();
    sixteenSprings();
    String begun = text(assemble("\"3E\""));
    job = UUID.randomUUID().toString();
    assertThat(assemble("\"3I\"")).hasStatus(409);
    List<String> open =
        JsonPath.read(text(get("/api/heads")), "$[?(@.id=='" + head + "')].openJob");
    assertThat(open).containsExactly((String) JsonPath.read(begun, "$.id"));
    List<Integer> measured =
        JsonPath.read(text(get("/api/heads")), "$[?(@.id=='" + head + "')].measured");
    assertThat(measured).containsExactly(16);
  }
}
