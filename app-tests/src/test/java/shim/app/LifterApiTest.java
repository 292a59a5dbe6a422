package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Lifters, what is seen, drift and readiness, as the pages ask for them. */
class LifterApiTest extends ApiTest {
  private static final List<String> VALVES =
      List.of(
          "1E", "1I", "3I", "3E", "5E", "5I", "7I", "7E", "2E", "2I", "4I", "4E", "6E", "6I", "8I",
          "8E");
  private String engine;
  private double setBack;

  @BeforeEach
  void anEngine() {
    engine = engine(resource("v8.json"));
  }

  private String lifter(String mark, double before) {
    String id = UUID.randomUUID().toString();
    assertThat(
            put(
                "/api/lifters/" + id,
                """
                {"kind":"ROLLER_SOLID","mark":"%s","hoursBefore":%s,"scrapped":false}"""
                    .formatted(mark, before)))
        .hasStatus(204);
    return id;
  }

  private MvcTestResult fit(String fitting, String lifter, String valve, double from) {
    return put(
        "/api/lifter-fittings/" + fitting,
        """
        {"lifterId":"%s","engineId":"%s","valve":"%s","fromHours":%s,"hand":"KV"}"""
            .formatted(lifter, engine, valve, from));
  }

  private MvcTestResult see(String body) {
    return put(
        "/api/inspections/" + UUID.randomUUID(),
        """
        {"engineId":"%s","engineHours":3,"hand":"KV",%s}"""
            .formatted(engine, body));
  }

  private String lifters() {
    return "/api/engines/" + engine + "/lifters";
  }

  private static String id() {
    return UUID.randomUUID().toString();
  }

  /** A hot round with leaves; 5E opens after three hours. */
  private String round(int n, Random random) {
    String round = id();
    double hours = n * 1.25;
    String start =
        start(engine, "HOT", hours)
            .replace(
                "\"engineId\"",
                "\"startedAt\":\"2026-0"
                    + (n / 9 + 1)
                    + "-0"
                    + (n % 9 + 1)
                    + "T10:00:00Z\",\"engineId\"");
    assertThat(put("/api/rounds/" + round, start)).hasStatusOk();
    for (String v : VALVES) {
      double opened = v.equals("5E") ? Math.max(0, hours - 3) * 1.2 - setBack : 0;
      long gap = Math.round(18 + random.nextGaussian() * 0.5 + opened);
      boolean set = gap > 20;
      setBack += set && v.equals("5E") ? opened : 0;
      read(round, v, "FOUND", gap);
      read(round, v, "LEFT", set ? 18 : gap);
    }
    assertThat(put("/api/rounds/" + round + "/signature", "{\"initials\":\"KV\"}")).hasStatusOk();
    return round;
  }

  private void read(String round, String valve, String phase, long thou) {
    String entry = entry(valve, phase, "0.0" + thou, "null");
    assertThat(put("/api/rounds/" + round + "/readings/" + id(), entry)).hasStatusOk();
  }

  /** Eight rounds, by their ids. */
  private List<String> season() {
    Random random = new Random(5);
    return IntStream.range(0, 8).mapToObj(n -> round(n, random)).toList();
  }

  private List<Object> drifting(String looks, String when) {
    List<Object> words = new ArrayList<>();
    assertThat(get(looks))
        .bodyJson()
        .extractingPath("$." + when + "[?(@.said.code =~ /LASH.OPENING|LASH.CLOSING/)].said")
        .asArray()
        .satisfies(w -> Collections.addAll(words, w));
    return words;
  }

  @Test
  void theEndOfARoundSpeaksFromAllRoundsAndKeepsWhatWasSaidThatDay() {
    List<String> rounds = season();
    String last = "/api/rounds/" + rounds.get(7) + "/looks";
    assertThat(drifting(last, "now"))
        .as("no other valve goes its own way")
        .singleElement()
        .asString()
        .contains("LASH.OPENING", "thouPerHour=1.1", "name=jam nut");
    assertThat(drifting("/api/rounds/" + rounds.get(2) + "/looks", "now"))
        .as("at 2.5 h it had not begun, and later rounds do not speak there")
        .isEmpty();
    assertThat(see("\"valve\":\"5E\",\"look\":\"JAM_NUT\",\"grade\":\"tight\"")).hasStatus(204);
    assertThat(drifting(last, "now"))
        .as("what has been looked at is not asked for again")
        .singleElement()
        .asString()
        .contains("name=")
        .doesNotContain("name=jam nut", "name=}");
    assertThat(drifting(last, "onTheDay")).singleElement().asString().contains("name=jam nut");
    assertThat(get("/api/rounds/" + id() + "/looks")).hasStatus(404);
  }

  @Test
  void aSeasonOfRoundsNamesTheValveItsBeginAndWhatToLookAtFirst() {
    season();
    MvcTestResult drift = get("/api/engines/" + engine + "/lash-drift");
    assertThat(drift)
        .bodyJson()
        .extractingPath("$.valves[?(@.strength=='FINDING')].position")
        .asArray()
        .containsExactly("5E");
    assertThat(drift)
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='5E')].signal")
        .asArray()
        .containsExactly("OPENING");
    MvcTestResult story = get("/api/engines/" + engine + "/valves/5E/story");
    assertThat(story).bodyJson().extractingPath("$.causes[0].cause").isEqualTo("lobe going flat");
    assertThat(story)
        .bodyJson()
        .extractingPath("$.valve.drift.begun")
        .asNumber()
        .satisfies(h -> assertThat(h.doubleValue()).isCloseTo(3, within(1.3)));
    assertThat(see("\"valve\":\"5E\",\"look\":\"WHEEL\",\"grade\":\"smooth\"")).hasStatus(204);
    assertThat(see("\"valve\":\"5E\",\"look\":\"LOBE_LIFT\",\"liftIn\":0.60")).hasStatus(204);
    assertThat(get("/api/engines/" + engine + "/valves/5E/story"))
        .bodyJson()
        .extractingPath("$.causes[0].share")
        .asNumber()
        .satisfies(s -> assertThat(s.doubleValue()).isGreaterThan(0.8));
    assertThat(get("/api/engines/" + engine + "/readiness"))
        .bodyJson()
        .extractingPath("$.reasons[?(@.asks=='NOT_READY')].positions[*]")
        .asArray()
        .contains("5E");
    // Another lifter: the lash begins a new story, so it speaks of nothing until it is read again.
    String old = lifter("A", 10);
    assertThat(fit(id(), old, "5E", 0)).hasStatus(204);
    String fitted = text(get(lifters()), "$.valves[?(@.position=='5E')].lifter.fittingId");
    assertThat(
            put(
                "/api/lifter-fittings/" + fitted + "/removal",
                "{\"toHours\":8.75,\"scrapped\":true,\"hand\":\"KV\",\"why\":\"wheel\"}"))
        .hasStatus(204);
    assertThat(fit(id(), lifter("B", 0), "5E", 8.75)).hasStatus(204);
    assertThat(get("/api/engines/" + engine + "/lash-drift"))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='5E')].strength")
        .asArray()
        .containsExactly("UNKNOWN");
    assertThat(fit(id(), old, "7E", 8.75))
        .hasStatus(422)
        .bodyText()
        .contains("lifter A is scrapped");
  }

  @Test
  void aLifterKeepsItsHoursItsPartnerAndItsRebuilds() {
    String a = lifter("A", 30);
    String b = id();
    assertThat(
            put(
                "/api/lifters/" + b,
                "{\"kind\":\"ROLLER_SOLID\",\"mark\":\"B\",\"partnerId\":\""
                    + a
                    + "\",\"hoursBefore\":30,\"scrapped\":false}"))
        .hasStatus(204);
    assertThat(fit(id(), a, "1I", 0)).hasStatus(204);
    assertThat(put("/api/engines/" + engine + "/lifter-rules", "{\"rollerSolidHours\":32}"))
        .hasStatusOk();
    assertThat(
            put(
                "/api/events/" + id(),
                "{\"engineId\":\""
                    + engine
                    + "\",\"name\":\"Run\",\"date\":\"2026-03-01\",\"plannedHours\":3,\"runHours\":3}"))
        .hasStatusOk();
    MvcTestResult over = get(lifters());
    assertThat(over)
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='1I')].verdict")
        .asArray()
        .containsExactly("CHANGE");
    assertThat(over)
        .bodyText()
        .contains("LIFTER.OVER_INTERVAL", "\"hours\":33.0,\"intervalHours\":32.0")
        .contains("\"partner\":\"B\"");
    assertThat(over)
        .bodyJson()
        .extractingPath("$.shelf[*].mark")
        .asArray()
        .contains("B")
        .doesNotContain("A");
    assertThat(
            put(
                "/api/lifter-rebuilds/" + id(),
                "{\"lifterId\":\""
                    + a
                    + "\",\"ownHours\":33,\"what\":\"wheel and needles\",\"hand\":\"KV\"}"))
        .hasStatus(204);
    assertThat(get(lifters()))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='1I')].verdict")
        .asArray()
        .containsExactly("RUN");
    assertThat(fit(id(), a, "3I", 3)).hasStatus(422).bodyText().contains("still under 1I");
    assertThat(fit(id(), b, "1I", 3)).hasStatus(422).bodyText().contains("has a lifter already");
    assertThat(
            put(
                "/api/lifters/" + a,
                "{\"kind\":\"ROLLER_SOLID\",\"mark\":\"A\",\"partnerId\":\""
                    + a
                    + "\",\"hoursBefore\":0,\"scrapped\":false}"))
        .hasStatus(422);
    assertThat(put("/api/engines/" + engine + "/lifter-rules", "{\"rollerSolidHours\":0}"))
        .hasStatus(422)
        .bodyText()
        .contains("between 1 and 5000");
  }

  /** Hours and over-revs go with the lifter, whichever engine it ran in. */
  @Test
  void aLifterMovedToAnotherEngineKeepsWhatItHasBeenThrough() {
    String a = lifter("Roamer", 10);
    String fitting = id();
    assertThat(fit(fitting, a, "1I", 0)).hasStatus(204);
    overRev(LocalDate.now(CLOCK.withZone(ZoneOffset.UTC)), 2);
    overRev(LocalDate.now(CLOCK.withZone(ZoneOffset.UTC)).minusDays(9), 5);
    assertThat(removal(fitting, -1, "early")).hasStatus(422);
    assertThat(removal(fitting, 6, "moved")).hasStatus(204);
    String first = engine;
    engine = engine(resource("v8.json"));
    assertThat(fit(id(), a, "8E", 0)).hasStatus(204);
    ran(2.5);
    assertThat(get(lifters()))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='8E')].lifter.hours")
        .asArray()
        .containsExactly(18.5);
    assertThat(get(lifters()))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='8E')].lifter.overRevs")
        .asArray()
        .as("those of the other engine while it was in there, not those before")
        .containsExactly(2);
    assertThat(get("/api/engines/" + first + "/valves/1I/story"))
        .bodyJson()
        .extractingPath("$.lives[0].toHours")
        .isEqualTo(6.0);
    assertThat(get("/api/engines/" + first + "/lifters"))
        .bodyText()
        .doesNotContain("\"mark\":\"Roamer\"");
  }

  private MvcTestResult removal(String fitting, double toHours, String why) {
    return put(
        "/api/lifter-fittings/" + fitting + "/removal",
        """
        {"toHours":%s,"scrapped":false,"hand":"KV","why":"%s"}"""
            .formatted(toHours, why));
  }

  private void overRev(LocalDate day, int times) {
    String run =
        """
        [{"id":"%s","run":{"engineId":"%s","kind":"RACE","date":"%s","minutes":20,\
        "overRevs":%s,"fromLogger":false,"hand":"KV"}}]"""
            .formatted(id(), engine, day, times);
    assertThat(put("/api/engines/" + engine + "/runs", run)).hasStatusOk();
  }

  private void ran(double hours) {
    String event =
        """
        {"engineId":"%s","name":"Run","date":"2026-03-01","plannedHours":3,"runHours":%s}""";
    assertThat(put("/api/events/" + id(), event.formatted(engine, hours))).hasStatusOk();
  }

  /** What was seen of the lifter before says nothing of the one that is in now. */
  @Test
  void anotherLifterIsNotJudgedByTheFindingsOfTheOneBefore() {
    String fitting = id();
    assertThat(fit(fitting, lifter("A", 10), "3E", 0)).hasStatus(204);
    assertThat(see("\"valve\":\"3E\",\"look\":\"WHEEL\",\"grade\":\"pitted\"")).hasStatus(204);
    assertThat(verdict("3E")).isEqualTo("CHANGE");
    assertThat(removal(fitting, 3, "wheel")).hasStatus(204);
    assertThat(fit(id(), lifter("B", 0), "3E", 3)).hasStatus(204);
    assertThat(verdict("3E")).isEqualTo("RUN");
    assertThat(get(lifters())).bodyJson().extractingPath("$.shelf[0].mark").isEqualTo("A");
  }

  private String verdict(String valve) {
    return text(get(lifters()), "$.valves[?(@.position=='" + valve + "')].verdict");
  }

  @Test
  void findingsAreGradedAndPlacedAndRefusedInWords() {
    assertThat(see("\"valve\":\"1I\",\"look\":\"WHEEL\",\"grade\":\"fuzzy\""))
        .hasStatus(422)
        .bodyText()
        .contains("smooth, rough, pitted, blue");
    assertThat(see("\"valve\":\"9I\",\"look\":\"WHEEL\",\"grade\":\"rough\""))
        .hasStatus(422)
        .bodyText()
        .contains("at which valve");
    assertThat(see("\"look\":\"SEAT_LEAK\",\"figure\":12"))
        .hasStatus(422)
        .bodyText()
        .contains("which cylinder");
    assertThat(see("\"valve\":\"1I\",\"look\":\"OIL\",\"grade\":\"clean\""))
        .hasStatus(422)
        .bodyText()
        .contains("whole engine");
    assertThat(see("\"valve\":\"1I\",\"look\":\"GUIDE_GAP\",\"figure\":6,\"otherSide\":0.5"))
        .hasStatus(204);
    assertThat(see("\"cylinder\":3,\"look\":\"SEAT_LEAK\",\"figure\":12")).hasStatus(204);
    assertThat(see("\"look\":\"OIL\",\"grade\":\"glitter\"")).hasStatus(204);
    MvcTestResult all = get(lifters());
    assertThat(all)
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='1I')].seen[0].grade")
        .asArray()
        .containsExactly("touching");
    assertThat(all).bodyJson().extractingPath("$.cylinders[0].grade").isEqualTo("leaks");
    assertThat(all).bodyJson().extractingPath("$.engine[0].level").isEqualTo("WORN");
    String id = text(get(lifters()), "$.valves[?(@.position=='1I')].seen[0].id");
    assertThat(delete("/api/inspections/" + id)).hasStatus(204);
    assertThat(get(lifters()))
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='1I')].seen[0]")
        .asArray()
        .isEmpty();
    assertThat(delete("/api/inspections/" + id)).as("sent once more").hasStatus(204);
  }

  @Test
  void aPhotoStaysWithItsFinding() {
    String id = id();
    assertThat(
            put(
                "/api/inspections/" + id,
                "{\"engineId\":\""
                    + engine
                    + "\",\"engineHours\":3,\"hand\":\"KV\",\"valve\":\"1I\",\"look\":\"WHEEL\",\"grade\":\"rough\"}"))
        .hasStatus(204);
    byte[] png = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n', 1};
    assertThat(
            http.put()
                .uri("/api/inspections/" + id + "/photo")
                .contentType(MediaType.IMAGE_PNG)
                .content(png))
        .hasStatus(204);
    assertThat(
            http.put()
                .uri("/api/inspections/" + id + "/photo")
                .contentType(MediaType.IMAGE_PNG)
                .content(new byte[] {1, 2}))
        .hasStatus(422);
    assertThat(get("/api/findings/" + id + "/photo")).hasStatusOk();
    assertThat(get(lifters())).bodyText().contains("\"photo\":true");
  }

  @Test
  void liftersTravelWithTheEnginesFile() {
    String a = lifter("A", 30);
    assertThat(fit(id(), a, "1I", 0)).hasStatus(204);
    assertThat(see("\"valve\":\"1I\",\"look\":\"WHEEL\",\"grade\":\"rough\"")).hasStatus(204);
    String file = text(get("/api/engines/" + engine + "/file"));
    assertThat(file).contains("\"mark\":\"A\"", "\"look\":\"WHEEL\"");
    comesBackInAsAnotherEngine(engine);
  }

  @Test
  void anEngineWithNothingOnRecordSaysSo() {
    MvcTestResult r = get("/api/engines/" + engine + "/readiness");
    assertThat(r).bodyJson().extractingPath("$.state").isEqualTo("READY_BUT");
    assertThat(r).bodyText().contains("NO_SPRINGS", "NO_ROUND");
  }
}
