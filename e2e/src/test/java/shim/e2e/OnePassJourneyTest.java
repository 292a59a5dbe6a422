package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Lash and springs at the same stop; heights and parts by keyboard; another spring held beside. */
class OnePassJourneyTest extends OnTheHillV8 {
  @Test
  void eachSpringIsTestedAtTheStopOfItsValve() {
    browser.open(v8 + "/start").sees("Begin the round").fill("Your initials", "KV");
    browser.tabTo("Test each spring's seat load at the same stop").keys(Keys.SPACE);
    browser.fill("Tester", "lever tester");
    browser.tabTo("Begin the round").keys(Keys.ENTER).awaitAddress("/rounds/");
    Bench bench = new Bench(browser);
    browser.sees("First the check spring");
    bench.check("215", "213");
    Round round = new Round(browser);
    for (int i = 1; i <= 2; i++) {
      if (round.crankMustMove()) {
        round.crankIsThere();
      }
      String valve = round.valve();
      round.found(valve.endsWith("E") ? "20" : "18").enter();
      browser.sees("should show");
      assertThat(bench.spring()).isEqualTo(valve);
      browser.keys(String.valueOf(bench.should()), Keys.ENTER);
      browser.await(() -> !valve.equals(round.valve()));
      browser.sees("springs " + i + "/16");
    }
    browser.press("End of round").sees("The spring test of this round is open, 2 of 16 read");
    browser.press("go on with it").awaitAddress("/tests/").sees("2/16");
    browser.press("End of test").sees("once more").press("Without it").press("End the test");
    browser.press("To the end of the round").awaitAddress("/end").sees("2 of 16 valves");
  }

  @Test
  void aHeightOutOfToleranceIsPutRightByKeyboard() {
    browser
        .open(v8 + "/pockets")
        .sees("1 out of tolerance")
        .sees("put in 0.015 (then 0.015 + 0.030");
    browser.fill("Your initials", "KV").tabBackTo("Installed height");
    browser.over("1.9.5", Keys.ENTER).sees("is no measure");
    browser.over("49.5 mm", Keys.ENTER).sees("all within ±0.005");
    assertThat(browser.valveBeingRead()).startsWith("8I");
    browser.press("Another spring here?").sees("Does this spring carry this cam?");
    browser.fill("Intake lift at the valve", "0.76").sees("lift 0.760").sees("rocker at 106 %");
    browser.open(v8 + "/order-sheet").sees("measures for ordering");
    assertThat(browser.printedPages()).isEqualTo(1);
  }

  @Test
  void limitsThatCannotBeReadAreNotLost() {
    browser.open(v8 + "/spring-setup").fill("Loss limit", "ten");
    browser.fill("stud: open load", "5oo");
    browser.tabTo("Keep these").keys(Keys.ENTER);
    browser.sees("\"ten\" cannot be read").sees("\"5oo\" cannot be read");
    browser.fill("Loss limit", "10").fill("stud: open load", "5");
    browser
        .tabTo("Keep these")
        .keys(Keys.ENTER)
        .sees("an open load lies between 50 lbf and 3000 lbf");
    browser.fill("stud: open load", "520").tabTo("Keep these").keys(Keys.ENTER).sees("Kept.");
    browser.open(v8 + "/pockets").press("1I, ").sees("stud at 9").sees("of 520 lbf open");
  }

  @Test
  void thePlanLooksAheadToTheEndOfAPlannedEvent() {
    browser.open(v8 + "/springs").sees("The set over its hours");
    browser.press("As predicted for the end of Six Hours of Fenmoor, final");
    browser.sees("Loss in % as predicted for 11.5 h");
  }
}
