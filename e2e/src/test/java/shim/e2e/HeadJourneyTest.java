package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Heads from bare to running: measured from the number block, assembled by the book, put on. */
class HeadJourneyTest {
  private static RunningShim shim;
  private static Browser browser;

  @BeforeAll
  static void start() {
    shim = RunningShim.empty();
    browser = new Browser(1280, 800);
  }

  @AfterAll
  static void stop() {
    browser.close();
    shim.close();
  }

  @Test
  void aBoughtHeadIsMeasuredGivenSpringsAssembledAndPutOn() {
    String engine = Sheets.putSingle(shim);
    Sheets.putKind(shim, "HV dual", 220, "S", 2);
    Sheets.putKind(shim, "HV wide", 300, "W", 0);
    browser.open(shim.url("/parts/heads")).sees("On the rack").press("New heads");
    browser.choose("Made for, and valves named as on", "Test single");
    browser.fill("Name", "Bought head").fill("Your initials", "KV").keys(Keys.ENTER);
    browser.awaitAddress("/heads/").sees("the heads are bare");
    String head = browser.address().replaceAll(".*/heads/", "");
    measures();
    browser.press("Which spring for these heads?").sees("HV dual").sees("fits");
    browser.sees("2 × shims 0.015").sees("2 of 2");
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.coloursOfTheOtherTheme()).isEmpty();
    browser.press("Sheet for ordering").sees("measures for ordering springs").sees("1.967");
    assertThat(browser.printedPages()).isEqualTo(1);

    browser.open(shim.url("/heads/" + head)).sees("Assemble them").press("Assemble them");
    browser.sees("Begin the book: 2 valves");
    assertThat(browser.axe()).isEmpty();
    browser.tabTo("Begin the book").keys(Keys.ENTER).awaitAddress("/jobs/");
    Walker walker = new Walker(browser, shim).to("read:1I:height");
    browser.keys("1.970", Keys.ENTER).sees("is out of 1.945 in to 1.955 in");
    browser.over("1.951", Keys.ENTER).await(() -> !walker.step().equals("read:1I:height"));
    walker.to("1I:HOOK");
    browser.press("No gap").sees("relieve its ends");
    walker.to("SIGN").doIt();
    browser.sees("Signed off by KV").press("Assembly book").sees("assembly book");
    browser.sees("retainer to seal at full lift").sees("1.951");
    assertThat(browser.printedPages()).isEqualTo(1);
    assertThat(browser.axe()).isEmpty();
    putsItOn(engine, head);
    assertThat(shim.get("/api/heads/" + head))
        .as("its springs came off with it")
        .contains("\"mark\":\"S-1\"", "\"mark\":\"S-2\"", "\"toHours\":0");
  }

  private static void measures() {
    browser.press("Measure them").sees("Installed height");
    assertThat(browser.axe()).isEmpty();
    for (List<String> figures :
        List.of(
            List.of("1.966", "1.967"),
            List.of("1.556", "1.557", "1.556", "1.555", "1.556", "1.557"),
            List.of("0.760", "0.762"))) {
      for (String figure : figures) {
        browser.await(HeadJourneyTest::boxIsEmpty);
        browser.keys(figure, Keys.ENTER);
      }
    }
    browser.sees("Stem diameter");
    browser.keys("9", Keys.ENTER);
    browser.sees("this lies between 0.150 in and 0.600 in");
  }

  private static boolean boxIsEmpty() {
    return Boolean.TRUE.equals(
        browser.script(
            "const e = document.activeElement; return e?.tagName === 'INPUT' && e.value === ''"));
  }

  /** Four studs, two makers' figures, one that waits for the rockers; then to ready. */
  private static void putsItOn(String engine, String head) {
    browser.open(shim.url("/heads/" + head)).sees("Held down by").press("Write it down");
    browser.fill("Of one head", "4").fill("Sequence, from the middle", "2 3 1");
    browser.fill("Fastener maker's figure", "65").fill("Engine maker's figure", "70");
    browser.fill("Steps", "40 65").fill("Wait for the rockers", "4").fill("Lubricant", "moly");
    browser.keys(Keys.ENTER).sees("4 is left out").sees("say why this one was chosen");
    browser.fill("Sequence, from the middle", "2 3 1 4").fill("Why", "other studs");
    browser.keys(Keys.ENTER).await(() -> browser.text().contains("40 – 65"));
    browser.press("Put them on an engine").fill("Head gasket", "0.040, words up");
    browser.keys(Keys.ENTER).sees("intakes and exhausts are not mixed");
    browser.fill("Intake pushrods", "7.850").fill("Exhaust pushrods", "8.100").keys(Keys.ENTER);
    browser.awaitAddress("/jobs/");
    Walker walker = new Walker(browser, shim).to("torque:side0:3:0");
    browser.sees("waits").sees("1/2");
    assertThat(browser.axe()).isEmpty();
    assertThat(shim.get("/api/engines/" + engine + "/readiness")).contains("JOB");
    walker.to("SIGN").doIt();
    browser.sees("Signed off by KV").press("What stays open");
    browser.sees("re-check lash and look for leaks after the first heat cycle");
    browser.sees("head fixings torqued again");
    browser.open(shim.url("/parts/heads")).sees("on Test single");
    browser.press("Heads come off an engine").sees("Bought head come off");
    browser.press("They are off").awaitAddress("/heads/").sees("on the rack");
    browser.open(shim.url("/engines/" + engine)).sees("heads are off");
  }

  @Test
  void aBoxIsSortedOverBareHeads() {
    String engine = Sheets.putV8(shim);
    Sheets.putKind(shim, "HV dual", 220, "B", 0);
    String head = UUID.randomUUID().toString();
    shim.put(
        "/api/heads/" + head,
        "{\"head\":{\"name\":\"Box pair\",\"madeFor\":\"%s\",\"bought\":false},\"hand\":\"KV\"}"
            .formatted(engine));
    for (String valve : List.of("1E", "1I")) {
      shim.put(
          "/api/heads/" + head + "/readings/" + UUID.randomUUID(),
          "{\"what\":\"HEIGHT\",\"valve\":\"%s\",\"figure\":1.966,\"hand\":\"KV\"}"
              .formatted(valve));
    }
    browser.open(shim.url("/heads/" + head + "/box")).sees("2 measured pockets");
    browser.fill("One spring a line", "B1 218").keys("\nB2 222");
    browser.press("Find the best places").sees("Seat loads differ");
    assertThat(browser.axe()).isEmpty();
  }
}
