package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** From an empty folder to a printed sheet, with the keyboard alone. */
class FirstRoundJourneyTest {
  @Test
  void aNewEngineAndItsWholeRoundByKeyboardAlone() {
    try (RunningShim shim = RunningShim.empty();
        Browser browser = new Browser(1280, 800)) {
      browser.open(shim.url("/")).sees("Describe your first engine");
      browser.tabTo("New engine").keys(Keys.ENTER).awaitAddress("/engines/new");
      describeV8(browser);
      browser.tabTo("Keep this engine").keys(Keys.ENTER).sees("No lash round is on record yet");

      browser.tabTo("Run the valves").keys(Keys.ENTER).sees("Begin the round");
      browser.fill("Your initials", "AB").fill("Engine hours now", "3.5");
      browser.tabTo("Begin the round").keys(Keys.ENTER).awaitAddress("/rounds/");
      Round round = new Round(browser);
      browser.await(() -> browser.text().contains("Stop 1"));
      Set<String> seen = new HashSet<>();
      for (int i = 0; i < 16; i++) {
        if (round.crankMustMove()) {
          round.crankIsThere();
        }
        assertThat(seen.add(round.valve())).as("each valve once").isTrue();
        round.found(round.valve().contains("E") ? "20" : "18").fine();
      }
      browser.awaitAddress("/end").sees("16 of").sees("Every valve was left inside its tolerance");
      browser.tabTo("Sign off").keys(Keys.ENTER).sees("Signed off by AB");
      browser.tabTo("Lash sheet").keys(Keys.ENTER);
      browser.sees("firing order").sees("1-8-4-3-6-5-7-2");
    }
  }

  private static void describeV8(Browser browser) {
    browser.sees("Begin from the nearest");
    browser.fill("Name", "Keyboard V8");
    browser.tabTo("V8, odd and even banks").keys(Keys.ENTER).sees("Firing order");
    browser.fill("Firing order", "1-8-4-3-6-5-7-7").sees("cylinder 7 is doubled");
    browser.keys(Keys.BACK_SPACE, "2");
    browser.await(() -> !browser.text().contains("is doubled"));
    browser.fill("Rocker ratio, intake", "16").sees("did you mean 1.6?");
    browser.keys(Keys.BACK_SPACE, ".6");
    browser.fill("Adjuster thread", "7/16-20");
    browser.fill("Lift, intake", "0.42");
    browser.fill("Lobe separation", "110");
    browser.fill("Intake centreline", "106");
    browser.fill("At tappet lift", "0.020").fill("Duration", "280");
    browser.tabToNext("At tappet lift").fill("At tappet lift", "0.020").fill("Duration", "286");
    browser.fill("Lash, intake", "0.45").sees("0.45 mm is 0.0177 in");
    browser.fill("Lash, intake", "0.018").fill("Lash, exhaust", "0.020");
    browser.sees("net lift");
  }
}
