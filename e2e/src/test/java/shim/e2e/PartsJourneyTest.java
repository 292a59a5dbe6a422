package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A part from the walk that misses it to the walk that goes on; what people note; days moved. */
class PartsJourneyTest extends OnTheHillV8 {
  @Test
  void aCupWithTheWrongBoreGoesBackAndTheRightOneTakesTheWalkUpAgain() {
    String four =
        shim.get("/api/engines")
            .replaceAll("(?s).*\"id\":\"([^\"]+)\",\"name\":\"Paddock four\".*", "$1");
    String job = UUID.randomUUID().toString();
    shim.put(
        "/api/jobs/" + job,
        """
        {"engineId":"%s","engineHours":2.5,"hand":"MO","ask":{"kind":"IN_CAR","hold":"PISTON",
         "intakeOff":false,"innerOut":false,"state":"COLD","valves":[{"valve":"2E",
         "newSeal":true,"sameAgain":true,"standIn":false}]}}"""
            .formatted(four));
    browser.open(shim.url("/")).fill("Your initials", "KV");
    browser.open(shim.url("/jobs/" + job)).sees("Read the cautions");
    new Walker(browser, shim).doIt();
    browser.press("Something else happened");
    browser.press("A part is missing").keys("cup for 2E", Keys.ENTER);
    browser.sees("on order: cup for 2E");

    browser.press("Parts").sees("Order today").press("cup for 2E").sees("It is");
    browser.choose("One of these kinds", "Spring cup").press("ordered");
    browser.tabTo("Keep this part").keys(Keys.ENTER).sees("On its way 2");
    browser.press("cup for 2E").press("measured, good");
    browser.fill("Its bore", "0.5695").fill("Its thickness", "0.060").keys(Keys.ENTER);
    browser.sees("its bore is too small: it goes back");
    assertThat(browser.valueOf("Its bore")).as("nothing is lost").isEqualTo("0.5695");
    browser.press("measured, goes back").tabTo("Keep this part").keys(Keys.ENTER);
    browser.sees("went back: bore 0.5695 in, too small; order it anew");
    assertThat(browser.axe()).isEmpty();

    browser.press("cup for 2E").press("measured, good").fill("Its bore", "0.572");
    browser.keys(Keys.ENTER).await(() -> !browser.text().contains("cup for 2E"));
    browser.open(shim.url("/jobs/" + job)).sees("Something else happened");
    assertThat(browser.text()).doesNotContain("on order: cup for 2E");
  }

  @Test
  void whatFallsDueIsOrderedWithOneMoreKeyAndStandsOnThePaper() {
    browser.open(shim.url("/parts")).sees("Falls due").tabTo("Order 2").keys(Keys.ENTER);
    browser
        .sees("One of these kinds")
        .fill("Supplier", "Harrow Rollers")
        .fill("Days it takes", "21");
    browser.tabTo("Keep this part").keys(Keys.ENTER).sees("Harrow Rollers");
    browser.press("Packing and order list").sees("To order,").sees("Harrow Rollers");
    browser.sees("To take along");
    assertThat(browser.printedPages()).isEqualTo(1);
    browser.open(shim.url("/")).press("Calendar").sees("Address to subscribe to");
    assertThat(browser.axe()).isEmpty();
  }

  @Test
  void aNoteAtAValveIsHeardByReadinessAndTakesPartInThePlan() {
    browser.open(v8).sees("Open work").press("Note something");
    browser.fill("What", "stand-in until the new one comes").choose("At which valve", "4E");
    browser.fill("Which part", "pushrod").fill("Your initials", "KV");
    browser.tabTo("Note it").keys(Keys.ENTER).sees("4E: pushrod: stand-in until the new one comes");
    // Where in whose day it falls hangs on the hour: all of every day is looked through.
    browser.open(shim.url("/")).sees("Who is there");
    browser.await(
        () -> {
          browser.script(
              "[...document.querySelectorAll('button')]"
                  + ".filter(b => /^and \\d+ more$/.test(b.innerText)).forEach(b => b.click())");
          return browser.text().contains("pushrod: stand-in until the new one comes");
        });
  }

  @Test
  void aPlannedEventIsPutOnAnotherDayAlongTheRail() {
    browser.open(v8).sees("Rounds");
    String was = dayOf("Larch Hill, closing meeting");
    browser.keys(Keys.ARROW_RIGHT).sees("becomes").keys(Keys.ENTER);
    browser.await(() -> !browser.text().contains("becomes"));
    browser.await(() -> !dayOf("Larch Hill, closing meeting").equals(was));
  }

  /** The day a planned event stands on along the rail, reached by keyboard. */
  private static String dayOf(String event) {
    browser.tabTo("Day of " + event);
    return String.valueOf(
        browser.script("return document.activeElement.getAttribute('aria-valuetext')"));
  }

  @Test
  void oldAddressesLeadToTheRooms() {
    browser.open(v8 + "/crank").awaitAddress("/lash/order").sees("Setting order");
    browser.open(v8 + "/files").awaitAddress("/setup/files");
  }
}
