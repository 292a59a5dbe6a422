package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.openqa.selenium.Keys;

/** From a signal to its cause, and an inspection by keyboard and by thumb, on the demo season. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class LifterJourneyTest extends OnTheHillV8 {
  /** What is asked now: "5E WHEEL". */
  private static String question() {
    return String.valueOf(
        browser.script("return document.querySelector('[data-question]')?.dataset.question ?? ''"));
  }

  /** Answers by keys and waits until the next question stands there. */
  private static void answer(CharSequence... keys) {
    String before = question();
    browser.keys(keys);
    browser.await(() -> !question().equals(before) && browser.panelIsReady());
  }

  private static void begin(String pass) {
    browser.open(v8 + "/inspect").sees("What is open to be looked at?");
    browser.fill("Your initials", "KV").press(pass);
    browser.await(() -> !question().isEmpty() && browser.panelIsReady());
  }

  @Test
  @Order(1)
  void aStrangerSaysWhichLobeSinceWhenWhyAndWhatToCheckFirst() {
    browser.open(shim.url("/engines")).sees("✕ not ready: ");
    browser.press("Hill V8").awaitAddress("/engines/").sees("not ready for");
    browser.press("✕ 5E's lash: opening").awaitAddress("valve=5E");
    browser.sees("Its lash is opening").sees("began about 6.");
    browser.sees("all valves alike in the same rounds");
    browser.sees("Check first: jam nut").sees("lobe going flat");
    browser.press("← all valves").sees("What all valves did alike");
    browser.sees("Hot and cold rounds are joined by this engine's own growth");
    browser.sees("no rate that stands out");
  }

  @Test
  @Order(2)
  void findingsNarrowTheCausesDown() {
    browser.open(v8 + "/lifters?valve=5E").sees("jam nut slipped").press("○ tight");
    browser.sees("write your initials first").fill("Your initials", "KV").press("○ tight");
    browser.sees("Ruled out: jam nut slipped").sees("Check first: rocker");
    browser.press("○ good").sees("Check first: rocker underside");
    browser.press("○ clean").sees("Check first: pushrod");
    browser.press("○ straight").sees("Check first: lift at the valve");
  }

  @Test
  @Order(3)
  void aLobeIsReadByTheDialAndTellsTheSameStory() {
    begin("Lobe survey");
    browser.press("Connect a dial").sees("Address, host:port");
    browser.tabTo("Address, host:port").keys(Keys.ENTER).sees("moving");
    browser.press("5E").sees("steady");
    browser.await(() -> question().startsWith("5E") && browser.panelIsReady());
    browser.await(() -> browser.text().contains("in steady"));
    answer("t");
    browser.open(v8 + "/lifters?valve=5E").sees("short").sees("lift at the valve short");
    browser.sees("lift missing");
    browser.press("← all valves").sees("the same story");
  }

  @Test
  @Order(4)
  void liftersAreInspectedFromTheKeyboard() {
    begin("Lifters out");
    assertThat(question()).isEqualTo("1E WHEEL");
    answer(Keys.ENTER);
    assertThat(question()).isEqualTo("1E AXLE_PLAY");
    answer("1");
    answer("2");
    assertThat(question()).isEqualTo("1I WHEEL");
    answer(Keys.ARROW_LEFT);
    browser.sees("Seen already: smooth");
    answer(Keys.ARROW_RIGHT);
    answer(Keys.ARROW_RIGHT);
    assertThat(question()).isEqualTo("3I WHEEL");
    answer("g");
    assertThat(question()).isEqualTo("3E WHEEL");
    answer(Keys.ARROW_LEFT);
    browser.sees("Seen already: smooth");
    answer("k");
    browser.press("5E").await(() -> question().equals("5E WHEEL"));
    answer("3");
    browser.press("What it says").awaitAddress("/lifters").press("5E");
    browser.sees("wheel pitted").sees("surface breaking up");
  }

  @Test
  @Order(5)
  void aLeakDownIsEnteredWithAThumb() {
    browser.size(800, 1280);
    begin("Cylinders");
    assertThat(browser.smallTargets()).isEmpty();
    assertThat(question()).isEqualTo("Cylinder 1 SEAT_LEAK");
    browser.thumb("1").thumb("2").press("Enter");
    browser.await(() -> question().equals("Cylinder 1 SEAT_FLUID"));
    browser.press("1○dry");
    browser.await(() -> question().equals("Cylinder 2 SEAT_LEAK"));
    browser.press("Enter").sees("a figure in %, or one of the words");
    browser.press("End of this pass").sees("What is open to be looked at?");
    browser.size(1280, 800);
    browser.open(v8 + "/lifters").sees("Cylinders and oil").sees("leak-down leaks");
  }

  @Test
  @Order(6)
  void aLifterIsChangedAndItsLashBeginsANewStory() {
    browser.open(v8 + "/lifters?valve=3I").sees("over it").press("Lifter R3I");
    browser.fill("Why it comes out", "over its interval").press("Take out");
    browser.sees("Lifter: none on record");
    browser.fill("Its mark", "R31").press("Put it in at 3I").sees("Lifter R31");
    browser.sees("not enough rounds");
  }

  @Test
  @Order(7)
  void aLiftTableGivesTheLiftAndABrokenOneSaysWhy() throws IOException {
    begin("Lobe survey");
    Path broken = Files.writeString(Files.createTempFile("lift", ".csv"), "10,0.1\n20,much\n");
    browser.upload("Lift table of 1E", broken).sees("line 2: \"much\" is no number");
    StringBuilder csv = new StringBuilder("deg,lift\n");
    for (int deg = 0; deg < 360; deg += 10) {
      double lift = Math.max(0, 0.55 * Math.cos(Math.toRadians(deg - 180)));
      csv.append(String.format(Locale.ROOT, "%d,%.4f%n", deg, lift));
    }
    Path good = Files.writeString(Files.createTempFile("lift", ".csv"), csv);
    browser.upload("Lift table of 1E", good);
    browser.await(() -> question().startsWith("1I"));
    browser.open(v8 + "/lifters").sees("Lift at the valves against the card").sees("0.550 in");
  }

  @Test
  @Order(8)
  void theNoisyHydraulicLifterIsBroughtUp() {
    browser.open(shim.url("/")).press("Night V8").awaitAddress("/engines/");
    browser.sees("4E ticks when hot").press("! 4E ticks when hot").awaitAddress("valve=4E");
    browser.sees("the plunger hides wear").sees("hydraulic plunger").sees("Check first:");
  }

  /** The last round by itself shows 5E only three thou out; all rounds show what it is. */
  @Test
  @Order(9)
  void theEndOfARoundSpeaksFromAllRoundsAndLeadsToTheValve() {
    String rounds = shim.get(v8.replaceAll(".*(/engines/)", "/api$1") + "/rounds");
    String last = rounds.replaceAll("(?s)^\\[\\{\"id\":\"([^\"]+)\".*", "$1");
    browser.open(shim.url("/rounds/" + last + "/end"));
    browser.sees("5E opening").sees("thou an hour since about 6.");
    browser.press("all its rounds").awaitAddress("valve=5E");
    browser.sees("all valves alike in the same rounds");
  }
}
