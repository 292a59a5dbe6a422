package shim.e2e;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.openqa.selenium.Keys;

/** A technician at a spring test: speaks of springs and loads, not of pages. */
final class Bench {
  private static final Pattern SHOULD = Pattern.compile("should show\\s+(\\d+)");
  private final Browser browser;

  Bench(Browser browser) {
    this.browser = browser;
  }

  /** Begins a test with one reading a spring, all by keyboard. */
  Bench begin(String engineUrl, String hand) {
    browser.open(engineUrl + "/test").sees("Begin with the check spring");
    browser.fill("Your initials", hand);
    if (!"1".equals(browser.script("return localStorage.getItem('shim.repeats')"))) {
      // The arrow moves the focus a moment later: the choice waits for it.
      browser.tabTo("2").keys(Keys.ARROW_LEFT).awaitFocus("1").keys(Keys.SPACE);
      browser.await(
          () -> "1".equals(browser.script("return localStorage.getItem('shim.repeats')")));
    }
    browser.fill("Tester", "lever tester");
    browser.tabTo("Begin with the check spring").keys(Keys.ENTER);
    browser.awaitAddress("/tests/").sees("First the check spring");
    return this;
  }

  /** The check spring's known load, and what the tester shows. */
  Bench check(String known, String shown) {
    browser.fill("Its known load", known);
    browser.fill("The tester shows", shown).keys(Keys.ENTER);
    return this;
  }

  String spring() {
    return browser.valveBeingRead();
  }

  /** What this spring should show today. */
  int should() {
    browser.await(() -> SHOULD.matcher(browser.text()).find());
    Matcher m = SHOULD.matcher(browser.text());
    return m.find() ? Integer.parseInt(m.group(1)) : -1;
  }

  /** Types a load and waits until the next spring, or another answer, stands there. */
  Bench load(String load) {
    String before = spring();
    browser.keys(load, Keys.ENTER);
    browser.await(() -> !before.equals(browser.valveBeingRead()));
    return this;
  }
}
