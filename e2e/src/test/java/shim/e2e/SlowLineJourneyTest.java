package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.json.Json;

/**
 * The far end of the paddock: answers held back 0.2 to 3 s at random, a tenth of them lost, some
 * sent twice, on a tablet six times slower. Fingers wait for nothing, and the record is what they
 * entered.
 */
class SlowLineJourneyTest {
  private static final Duration LONG = Duration.ofSeconds(120);
  private static RunningShim shim;

  @BeforeAll
  static void start() {
    shim = RunningShim.empty();
  }

  @AfterAll
  static void stop() {
    shim.close();
  }

  private static String begin(String engine, boolean leaves) {
    if (leaves) {
      String sheet =
          shim.get("/api/engines/" + engine)
              .replaceAll("(?s).*\"sheet\":(\\{.*\\}),\"layout\":\\{\"arrangement.*", "$1");
      shim.put(
          "/api/engines/" + engine + "?basedOn=0",
          sheet.replaceFirst("\"cam\":", "\"rules\":{\"inTolerance\":\"LEAVE\"},\"cam\":"));
    }
    String round = UUID.randomUUID().toString();
    shim.put(
        "/api/rounds/" + round,
        """
        {"engineId":"%s","state":"HOT","hand":"KV","engineHours":3,"school":"BEST_STOPS",
         "stops":2,"onMarks":false,"lookAtSprings":true}"""
            .formatted(engine));
    return round;
  }

  /** Found and left at each valve in working order, as they were typed. */
  @SuppressWarnings("unchecked")
  private static List<String> record(String round) {
    Map<String, Object> view = new Json().toType(shim.get("/api/rounds/" + round), Json.MAP_TYPE);
    return ((List<Map<String, Object>>) view.get("valves"))
        .stream()
            .map(v -> read(v.get("found")) + "/" + read(v.get("left")) + " " + v.get("status"))
            .toList();
  }

  private static String read(Object reading) {
    return reading instanceof Map<?, ?> r
        ? r.get("form").equals("SAME") ? "same" : String.valueOf(r.get("typed"))
        : "-";
  }

  @Test
  void sixteenValvesAsFastAsTheFingersGo() {
    String round = begin(Sheets.putV8(shim), false);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.PADDOCK, 11);
        Browser browser = new Browser(800, 1280)) {
      browser.open(line.url("/rounds/" + round));
      browser.await(browser::figureIsReady, LONG);
      browser.slowDown(6);
      // One burst of keys: nothing is waited for, not even the screen.
      StringBuilder keys = new StringBuilder();
      List<String> expected = new ArrayList<>();
      for (int i = 0; i < 16; i++) {
        if (i == 0 || i == 8) {
          keys.append(Keys.ENTER);
        }
        keys.append(
            i % 3 == 0
                ? "22\uE00718\uE007"
                : i % 3 == 1 ? "18\uE007\uE007" : "18/19\uE00717\uE007");
        expected.add(i % 3 == 0 ? "22/18 DONE" : i % 3 == 1 ? "18/same DONE" : "18/19/17 DONE");
      }
      browser.keys(keys);
      browser.await(browser::nothingWaits, LONG);
      assertThat(record(round)).containsExactlyElementsOf(expected);
      assertThat(line.lost()).as("the line was bad").isGreaterThan(2);
      browser.await(() -> browser.address().endsWith("/end"), LONG);
      assertThat(browser.text()).doesNotContain("another hand", "not taken");
    }
  }

  @Test
  void takenBackSkippedAndReadAgainLandWhereTheyWereMeant() {
    String round = begin(Sheets.putV8(shim), false);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.PADDOCK, 12);
        Browser browser = new Browser(1280, 800)) {
      browser.open(line.url("/rounds/" + round));
      browser.await(browser::figureIsReady, LONG);
      browser.slowDown(6);
      browser.keys(
          Keys.ENTER,
          "22",
          Keys.ENTER,
          "u",
          "21",
          Keys.ENTER,
          "18",
          Keys.ENTER, // read anew
          "k",
          "18",
          Keys.ENTER,
          Keys.ENTER, // skipped; the next one
          "180",
          Keys.ENTER,
          "19",
          Keys.ENTER,
          Keys.ENTER); // a slip, put right
      browser.await(browser::nothingWaits, LONG);
      assertThat(record(round).stream().limit(4))
          .containsExactly("21/18 DONE", "-/- SKIPPED", "18/same DONE", "19/same DONE");
    }
  }

  @Test
  void sixteenValvesInSixteenFiguresByTheHouseRule() {
    String round = begin(Sheets.putV8(shim), true);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.PADDOCK, 13);
        Browser browser = new Browser(1280, 800)) {
      browser.open(line.url("/rounds/" + round));
      browser.await(browser::figureIsReady, LONG);
      browser.keys("18", Keys.ENTER).sees("in, left as found");
      for (int i = 1; i < 16; i++) {
        browser.keys("18", Keys.ENTER);
      }
      browser.await(browser::nothingWaits, LONG);
      assertThat(record(round)).hasSize(16).allMatch(r -> r.endsWith("18/same DONE"));
    }
  }

  @Test
  void aLineThatIsCutAndJoinedLosesNothingAndShowsWhatWasSeen() {
    String round = begin(Sheets.putV8(shim), false);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.GOOD, 14);
        Browser browser = new Browser(1280, 800)) {
      browser.open(line.url("/rounds/" + round)).sees("0/16");
      browser.await(browser::figureIsReady);
      browser.keys(Keys.ENTER, "22", Keys.ENTER).sees("Tighten");
      browser.await(browser::opensWithoutNetwork);
      browser.await(() -> browser.keepsAsSeen("\"typed\":\"22\""));
      line.cut(true);
      browser.keys("18", Keys.ENTER, "19", Keys.ENTER).sees("kept on this device");
      // The page is opened anew with nobody at the other end.
      browser.again().sees("1/16").sees("kept on this device").sees("Shim does not answer");
      browser.await(browser::figureIsReady);
      browser.keys("18", Keys.ENTER).sees("2/16");
      browser.press("What waits").sees("as found 19").sees("Hand over as a file");
      assertThat(browser.axe()).isEmpty();
      line.cut(false);
      browser.await(browser::nothingWaits, LONG);
      assertThat(record(round).stream().limit(2)).containsExactly("22/18 DONE", "19/18 DONE");
      browser.sees("all that was entered here is with Shim");
    }
  }

  @Test
  void anInspectionOnTheSameLine() {
    String engine = Sheets.putV8(shim);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.PADDOCK, 16);
        Browser browser = new Browser(800, 1280)) {
      browser.open(line.url("/engines/" + engine + "/inspect"));
      browser.await(() -> browser.text().contains("What is open"), LONG);
      browser.fill("Your initials", "KV").press("Noise");
      browser.await(browser::panelIsReady, LONG);
      browser.slowDown(6);
      browser.keys("12" + "11".repeat(15));
      browser.await(browser::nothingWaits, LONG);
      String kept = shim.get("/api/engines/" + engine + "/lifters");
      assertThat(kept.split("\"look\":\"TICK_COLD\"", -1)).hasSize(17);
      assertThat(kept.split("\"look\":\"TICK_HOT\"", -1)).hasSize(17);
    }
  }

  @Test
  void aWalkOnTheSameLineTakesEachStepOnce() {
    String engine = Sheets.putV8(shim);
    String job = Sheets.startJob(shim, engine);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.PADDOCK, 17);
        Browser browser = new Browser(1280, 800)) {
      browser.open(line.url("/jobs/" + job));
      browser.await(() -> browser.text().contains("Read the cautions"), LONG);
      browser.keys(Keys.SPACE, Keys.ENTER);
      Walker walker = new Walker(browser, shim);
      for (int i = 0; i < 5; i++) {
        String step = "Step " + (i + 2) + " of";
        // A step may stand on screen while the answer to the one before is still on its way.
        browser.await(() -> browser.text().contains(step) && walker.takesKeys(), LONG);
        // A hand that presses twice does one step.
        browser.keys(Keys.ENTER, Keys.ENTER);
      }
      browser.await(browser::nothingWaits, LONG);
      assertThat(Walk.acts(shim.get("/api/jobs/" + job))).isEqualTo(6);
      assertThat(browser.text()).doesNotContain("meanwhile", "not taken");
    }
  }

  @Test
  void aSpringTestOnTheSameLine() {
    String engine = Sheets.putV8(shim);
    Sheets.putSprings(shim, engine);
    String test = UUID.randomUUID().toString();
    shim.put(
        "/api/spring-tests/" + test,
        """
        {"engineId":"%s","engineHours":2,"place":"HEAD","state":"COLD","order":"BANK",
         "tester":"lever","repeats":1,"hand":"KV"}"""
            .formatted(engine));
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.PADDOCK, 15);
        Browser browser = new Browser(800, 1280)) {
      browser.open(line.url("/tests/" + test));
      browser.await(() -> browser.text().contains("No check spring today"), LONG);
      browser.slowDown(6);
      browser.press("No check spring today");
      browser.await(() -> !browser.valveBeingRead().isEmpty(), LONG);
      for (int i = 0; i < 16; i++) {
        browser.keys(String.valueOf(212 + i), Keys.ENTER);
      }
      browser.await(browser::nothingWaits, LONG);
      String kept = shim.get("/api/spring-tests/" + test);
      assertThat(kept).contains("\"done\":16");
      for (int i = 0; i < 16; i++) {
        assertThat(kept.split("\"typed\":\"" + (212 + i) + "\"", -1)).hasSize(2);
      }
    }
  }
}
