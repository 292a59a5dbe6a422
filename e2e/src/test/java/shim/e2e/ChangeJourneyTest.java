package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/**
 * Springs of two cylinders changed for another kind by keyboard; killed on the way; watched by a
 * second device.
 */
class ChangeJourneyTest {
  private static String engineWithSprings(RunningShim shim) {
    String engine = Sheets.putV8(shim);
    String type = UUID.randomUUID().toString();
    shim.put(
        "/api/spring-types/" + type,
        """
        {"name":"HV dual","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}],
         "bindIn":1.18,"odIn":1.55}""");
    shim.put(
        "/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID(),
        """
        {"typeId":"%s","setName":"A","engineHours":0,"hoursBefore":0,"heightIn":1.95,"hand":"KV"}"""
            .formatted(type));
    String stiff = Sheets.putKind(shim, "HV stiff", 240, "N", 2);
    shim.put(
        "/api/spring-types/" + stiff + "/kit",
        """
        {"kit":{"retainers":[{"name":"R10","raisesIn":0,"lockDeg":10}],
         "locks":[{"name":"L10","raisesIn":0,"lockDeg":10}],"cups":[]},"hand":"KV"}""");
    return engine;
  }

  @Test
  void twoCylindersByKeyboardWithAKillAndASecondDevice() {
    try (RunningShim shim = RunningShim.empty();
        Browser browser = new Browser(1280, 800);
        Browser other = new Browser(800, 1280)) {
      String engine = engineWithSprings(shim);
      browser.open(shim.url("/engines/" + engine + "/change")).sees("Choose the valves");
      browser.tabTo("3E").keys(Keys.ENTER).tabTo("6I").keys(Keys.ENTER);
      browser.sees("2 to do: 3E 6I").sees("Share a TDC: 1+6");
      browser.choose("Springs at the intakes", "HV stiff");
      browser.choose("Springs at the exhausts", "HV stiff").sees("as it was → as it will be");
      browser.sees("220 →").sees("R10, L10");
      browser.fill("Your initials", "KV").tabTo("Begin:").keys(Keys.ENTER);
      browser.awaitAddress("/jobs/").sees("Read the cautions");
      Walker walker = new Walker(browser, shim).to("3E:SPRING_OUT");
      browser.sees("3E is unhooked").sees("held by air");

      other.open(shim.url("/")).sees("3E is unhooked").sees("nobody bars");
      assertThat(other.axe()).isEmpty();
      assertThat(browser.axe()).isEmpty();
      losesAndRegainsTheAir(browser);
      shim.kill();
      browser.keys(Keys.ENTER).sees("1 step is kept on this device");
      assertThat(walker.step()).isEqualTo("3E:SPRING_OUT");
      shim.start();
      // The step that was said done arrives by itself, once.
      browser.await(() -> !walker.step().equals("3E:SPRING_OUT"));

      walker.to("3E:HEIGHT");
      browser.keys("1.972", Keys.ENTER);
      browser.await(() -> walker.step().equals("3E:SPRING_IN"));
      browser.sees("out of 1.950 in ± 0.005 in");
      browser.press("Something else happened").press("3E: another stack of shims");
      browser.keys("2", Keys.ENTER);
      browser.await(() -> walker.step().equals("3E:HEIGHT"));
      walker.to("3E:HOOK");
      browser.press("No gap").sees("not home");
      walker.to("3E:CLOSE");
      other.await(() -> !other.text().contains("3E is unhooked"));

      walker.to("count:TOOLS");
      browser.keys("5", Keys.ENTER);
      walker.to("SIGN");
      browser.sees("1 tool missing: 6 laid out");
      browser.keys(Keys.ENTER).sees("1 tool missing");
      browser.press("Count the tools again");
      browser.keys("6", Keys.ENTER);
      browser.await(() -> !browser.text().contains("1 tool missing"));
      walker.doIt();
      browser.sees("Signed off by KV");
      assertThat(shim.get("/api/engines/" + engine + "/pockets"))
          .contains("\"mark\":\"N-1\"", "\"mark\":\"N-2\"", "\"retainer\":\"R10\"");
      browser.press("What stays open").sees("re-check lash after the first heat cycle: 3E 6I");
      browser.press("Put right").fill("How", "checked hot, 12 and 12");
      browser.keys(Keys.ENTER);
      browser.await(() -> !browser.text().contains("re-check lash"));
      browser.sees("3E runs a spring of no set among A");
    }
  }

  /** What to do now fills the screen, no key answers it, and the walk goes on where it was. */
  private static void losesAndRegainsTheAir(Browser browser) {
    browser.press("The hold is going at cylinder 3").sees("3E: the hold is lost");
    browser.sees("Fingers on the stem of 3E now").sees("its hold is LOST");
    assertThat(browser.axe()).isEmpty();
    browser.keys(Keys.ENTER, Keys.SPACE).sees("3E: the hold is lost");
    browser.press("The air is back").sees("3E: retainer, spring, damper out");
  }

  /** The crank is left where the rotor points: what air does there is read, and accepted. */
  @Test
  void airGoesOnOffTdcKnowingWhatItDoes() {
    try (RunningShim shim = RunningShim.empty();
        Browser browser = new Browser(800, 1280)) {
      String job = Sheets.startJob(shim, Sheets.putV8(shim));
      Walker walker = new Walker(browser, shim);
      browser.open(shim.url("/jobs/" + job)).sees("Read the cautions");
      walker.to("leg0:BAR");
      browser.sees("cylinder 3 at compression TDC").sees("balancer");
      browser.press("Something else happened").press("The crank stands off TDC");
      browser.keys("-34", Keys.ENTER);
      walker.to("c3:HOLD");
      browser.sees("34° before TDC").sees("lbf·ft").press("Units: thou").sees("N·m");
      assertThat(browser.axe()).isEmpty();
      browser.press("Air on here").await(() -> walker.step().equals("3E:FREE"));
      browser.open(shim.url("/jobs/" + job + "/bar")).sees("Hands off the crank");
    }
  }

  @Test
  void practiceIsWalkedToItsEndAndLeavesNothing() {
    try (RunningShim shim = RunningShim.empty();
        Browser browser = new Browser(1280, 800)) {
      browser.open(shim.url("/practice")).sees("Nothing here is kept");
      Walker walker = new Walker(browser, shim).to("3E:SPRING_OUT");
      browser.keys(Keys.ENTER).sees("the gauge falls through 30 psi");
      browser.press("1 Bar the piston up").sees("No. Never bar");
      browser.press("2 Fingers on the stem").sees("Right. A valve weighs little");
      walker.to("3E:SEAL").doItUntilAsked("The gauge reads 1.966");
      browser.press("2 One shim of 0.015").sees("Right. 1.951");
      walker.to("3E:COMPRESSagain").doItUntilAsked("no gap shows");
      browser.press("3 Take them out, clean").sees("Right. A gap");
      walker.to("3E:CLOSE").doItUntilAsked("one half of the locks jumps out");
      browser.press("2 Air stays on").sees("Right. It jumped now");
      walker.to("c3:RELEASE");
      while (!browser.text().contains("stands a little high")) {
        walker.doItUntilAsked(null);
      }
      browser.press("2 Lift it and feel").sees("Right. Seated");
      walker.to("SIGN").doItUntilAsked("Through, with 1 mistakes explained");
      assertThat(shim.get("/api/engines")).isEqualTo("[]");
    }
  }
}
