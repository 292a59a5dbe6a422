package shim.e2e;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** A class of journeys that shares one demo and one browser, and begins at the hill V8. */
abstract class OnTheHillV8 {
  static RunningShim shim;
  static Browser browser;

  /** Address of the hill V8's page. */
  static String v8;

  @BeforeAll
  static void start() {
    shim = RunningShim.demo();
    browser = new Browser(1280, 800);
    browser.open(shim.url("/")).press("Hill V8").awaitAddress("/engines/");
    v8 = browser.address();
  }

  @AfterAll
  static void stop() {
    browser.close();
    shim.close();
  }
}
