package shim.e2e;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** From an engine without springs to its first test, and a reading while Shim is down. */
class OwnSpringsJourneyTest {
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
  void aSetIsPutInTestedExchangedAndNoReadingIsLost() {
    String engine = shim.url("/engines/" + Sheets.putV8(shim));
    browser.open(engine + "/springs").press("Put the set in").sees("from its data sheet");
    browser.fill("Name", "Own dual").fill("Seat height", "1.950").fill("Load there", "220");
    browser.fill("Open height", "49.5").tabToNext("Load there").over("505");
    browser.fill("Your initials", "KV").press("Put the set in").sees("was it mm?");
    browser.tabBackTo("Open height").over("1.300");
    browser.press("Put the set in").sees("Exchange a spring");
    Bench bench = new Bench(browser).begin(engine, "KV").check("215", "215");
    browser.sees("should show");
    bench.load("221").load("218");
    browser.sees("2/16");
    shim.kill();
    bench.load("219");
    browser.sees("kept on this device");
    shim.start();
    browser.sees("3/16");
    browser.press("End of test").sees("The check spring once more");
    browser.press("Without it").press("End the test").sees("This test is over");
    browser.open(engine + "/spring-setup").fill("Mark of a new spare", "S-1");
    browser.press("Write it down");
    browser.await(
        () -> browser.script("return document.body.innerHTML").toString().contains("S-1<"));
    browser.choose("Spring that goes in", "S-1");
    browser.fill("Your initials", "KV").press("Exchange").sees("Exchanged. The old one");
    browser.open(engine + "/springs").sees("S-1");
    browser.press("8I, ").sees("one test so far: the set's usual rate is assumed");
  }
}
