package shim.e2e;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.openqa.selenium.Keys;

/** A technician on a walk: says what is done, by keyboard. */
final class Walker {
  private final Browser browser;
  private final RunningShim shim;

  Walker(Browser browser, RunningShim shim) {
    this.browser = browser;
    this.shim = shim;
  }

  /** The step on screen; empty when there is none. */
  String step() {
    return String.valueOf(
        browser.script("return document.querySelector('[data-step]')?.dataset.step ?? ''"));
  }

  /** The step on screen takes the keys. */
  boolean takesKeys() {
    return Boolean.TRUE.equals(
        browser.script(
            "const f = document.activeElement?.closest('form');"
                + "return !!f?.querySelector('[data-step]')"
                + " && !f.querySelector('[type=submit]')?.disabled"
                + " || document.activeElement?.type === 'checkbox'"));
  }

  private String ready() {
    browser.await(this::takesKeys);
    return step();
  }

  /** Does the step at hand as a careful person does, and waits for the next. */
  Walker doIt() {
    String now = press();
    browser.await(() -> !step().equals(now));
    return this;
  }

  /** Does the step at hand; what follows is told by its words, or is just another picture. */
  Walker doItUntilAsked(String words) {
    String now = press();
    browser.await(() -> words == null ? !step().equals(now) : browser.text().contains(words));
    return this;
  }

  /** The lash that is wanted at the step at hand; an engine for practice wants none. */
  private String wanted() {
    if (browser.address().endsWith("/practice")) {
      return "12";
    }
    String figure = "return document.querySelector('section[aria-label=Wanted] .num')?.innerText";
    browser.await(() -> browser.script(figure) != null);
    return String.valueOf(browser.script(figure));
  }

  private String press() {
    String now = ready();
    if (now.equals("ACCEPT")) {
      browser.keys(Keys.SPACE, Keys.ENTER);
    } else if (now.endsWith(":HEIGHT")) {
      browser.keys("1.950", Keys.ENTER);
    } else if (now.endsWith(":LASH")) {
      browser.keys(wanted(), Keys.ENTER);
    } else if (now.startsWith("read:")) {
      browser.keys(Walk.sound(shim.get("/api/jobs/" + job())), Keys.ENTER);
    } else if (now.startsWith("count:")) {
      browser.keys(String.valueOf(onTheBench(now.substring(6))), Keys.ENTER);
    } else {
      browser.keys(Keys.ENTER);
    }
    return now;
  }

  /** Goes on until a step stands on screen. */
  Walker to(String id) {
    for (int i = 0; i < 200 && !step().equals(id); i++) {
      doIt();
    }
    if (!step().equals(id)) {
      throw new AssertionError("the walk never came to " + id);
    }
    return this;
  }

  private String job() {
    return browser.address().replaceAll(".*/jobs/", "");
  }

  /** What a look at the bench tells, a thing that Shim does not say there. */
  private int onTheBench(String item) {
    if (!browser.address().contains("/jobs/")) {
      return inPractice(item);
    }
    Matcher m =
        Pattern.compile("\"item\":\"" + item + "\"[^}]*?\"expected\":(-?\\d+)")
            .matcher(shim.get("/api/jobs/" + job()));
    if (!m.find()) {
      throw new AssertionError("no count of " + item);
    }
    return Integer.parseInt(m.group(1));
  }

  /**
   * The invented job: six tools, two covers, old springs; the old seals are away, all else on the
   * engine.
   */
  private static int inPractice(String item) {
    return switch (item) {
      case "TOOLS" -> 6;
      case "RAGS", "SPRINGS" -> 2;
      default -> 0;
    };
  }
}
