package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/**
 * A tablet on the team's network: a plain address that is no secure context, where browsers keep
 * back their own id maker, their service worker and more. Everything at the car works there too.
 */
class TabletJourneyTest {
  private static final String NAME = "shim.paddock";
  private static RunningShim shim;
  private static Browser tablet;

  @BeforeAll
  static void start() {
    shim = RunningShim.lan();
    tablet = new Browser(800, 1280, List.of("--host-resolver-rules=MAP " + NAME + " 127.0.0.1"));
    tablet.open(shim.tablet(NAME)).sees("Describe your first engine");
    assertThat(tablet.script("return window.isSecureContext")).isEqualTo(false);
  }

  @AfterAll
  static void stop() {
    tablet.close();
    shim.close();
  }

  private static String at(String path) {
    return shim.tablet(NAME).replaceAll("/\\?.*", path);
  }

  @Test
  void aNewEngineARoundAndItsEnd() {
    tablet.open(at("/engines/new")).sees("Begin from the nearest").press("Flat four");
    tablet.fill("Name", "Tablet four").sees("Firing order");
    String engine = Sheets.putV8(shim);
    tablet.open(at("/engines/" + engine + "/start")).sees("Run the valves");
    tablet.fill("Your initials", "AB").press("Begin the round").awaitAddress("/rounds/");
    tablet.await(tablet::figureIsReady);
    tablet.keys(Keys.ENTER, "18", Keys.ENTER).sees("by AB");
    tablet.keys(Keys.ENTER).sees("1/16");
    tablet.thumb("1").thumb("9").press("Enter").sees("found");
    tablet.keys("s").sees("Spring (S)");
    String round = tablet.address().replaceAll(".*/rounds/", "");
    tablet.await(() -> shim.get("/api/rounds/" + round).contains("\"spring\":\"WHOLE\""));
    assertThat(shim.get("/api/rounds/" + round)).contains("\"typed\":\"19\"");
  }

  @Test
  void aSpringSetAndItsTest() {
    String engine = at("/engines/" + Sheets.putV8(shim));
    tablet.open(engine + "/springs").press("Put the set in").sees("from its data sheet");
    tablet.fill("Name", "Own dual").fill("Seat height", "1.950").fill("Load there", "220");
    tablet.fill("Open height", "1.300").tabToNext("Load there").over("505");
    tablet.fill("Your initials", "KV").press("Put the set in").sees("Exchange a spring");
    Bench bench = new Bench(tablet).begin(engine, "KV").check("215", "215");
    tablet.sees("should show");
    bench.load("221").load("218");
    tablet.sees("2/16");
  }

  @Test
  void anInspection() {
    String engine = at("/engines/" + Sheets.putV8(shim));
    tablet.open(engine + "/inspect").sees("What is open");
    tablet.fill("Your initials", "KV").press("Noise");
    tablet.await(tablet::panelIsReady);
    tablet.keys("1");
    tablet.await(() -> tablet.text().contains("1/"));
    assertThat(tablet.text()).doesNotContain("kept on this device");
  }

  @Test
  void aWalkOfASpringChange() {
    String id = Sheets.putV8(shim);
    Sheets.putSprings(shim, id);
    tablet.open(at("/engines/" + id + "/change")).sees("Choose the valves");
    tablet.tabTo("3E").keys(Keys.ENTER).sees("1 to do: 3E");
    tablet.fill("Your initials", "KV").tabTo("Begin:").keys(Keys.ENTER).awaitAddress("/jobs/");
    new Walker(tablet, shim).doIt().doIt().doIt();
    assertThat(tablet.text()).doesNotContain("kept on this device");
  }

  @Test
  void theScriptIsCompressedAndKeptByItsName() throws Exception {
    String page = shim.get("/");
    String script = page.replaceAll("(?s).*src=\"(/assets/[^\"]+)\".*", "$1");
    var headers = shim.headersOf(script);
    assertThat(headers.firstValue("Content-Encoding")).hasValue("gzip");
    assertThat(headers.firstValue("Cache-Control"))
        .hasValueSatisfying(v -> assertThat(v).contains("max-age=31536000", "immutable"));
  }
}
