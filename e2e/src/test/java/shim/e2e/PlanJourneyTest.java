package shim.e2e;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The days until the truck leaves: what to do now, what to order, and what a late part means. */
class PlanJourneyTest extends OnTheHillV8 {
  @Test
  void theCrewChiefKnowsWhoDoesWhatAndWhatALatePartMeans() {
    browser.open(shim.url("/")).sees("to spare").sees("decides the end");
    browser.sees("Order today").sees("it cannot arrive before the truck");
    browser.fill("Your initials", "KV").press("Work to this plan");
    browser.await(() -> !browser.text().contains("Nobody has agreed"));

    browser.press("Outer spring").sees("This waits for it").press("measured, goes back");
    browser.fill("What is wrong with it", "a nick in the wire").fill("Days it takes", "9");
    browser.keys(Keys.ENTER).sees("not ready by then").sees("Other than agreed");
    browser.sees("refused: a nick in the wire");

    browser.press("Outer spring").press("measured, good").fill("What was measured", "221 at 1.950");
    browser.keys(Keys.ENTER).sees("to spare");
  }

  @Test
  void aTaskIsAddedByKeyboardAndWhatWaitsForItselfIsRefused() {
    browser.open(shim.url("/")).sees("to spare").press("A task");
    browser.fill("What is to be done", "Tape the ducts").fill("Minutes", "10");
    browser.keys(Keys.ENTER).sees("Tape the ducts");
    browser.press("Who is there").sees("KV").press("Somebody more");
    browser.fill("Name or initials", "kv").keys(Keys.ENTER);
    browser.sees("somebody of that name is in the team already");
  }
}
