package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What Shim took is safe: the process is killed between two readings. */
class KillJourneyTest {
  @Test
  void everyAcknowledgedReadingSurvivesTheKill() {
    try (RunningShim shim = RunningShim.empty();
        Browser browser = new Browser(1280, 800)) {
      String engine = Sheets.putV8(shim);
      browser.open(shim.url("/engines/" + engine + "/start"));
      browser.fill("Your initials", "AB");
      browser.press("Begin the round").awaitAddress("/rounds/");
      Round round = new Round(browser).crankIsThere();
      String first = round.valve();
      round.found("23");
      browser.sees("tighten").sees("wide");
      shim.kill();

      // With Shim gone the next figure is kept on this device, and the work goes on.
      round.left("18");
      browser.sees("kept on this device");
      shim.start();
      browser.await(() -> !browser.text().contains("kept on this device"));

      String id = browser.address().replaceAll(".*/rounds/", "");
      String kept = shim.get("/api/rounds/" + id);
      assertThat(kept).contains("\"typed\":\"23\"").contains("\"typed\":\"18\"");
      browser.open(shim.url("/rounds/" + id)).sees("1/16");
      assertThat(round.valve()).isNotEqualTo(first);
    }
  }

  @Test
  void aSecondShimOnTheSameFolderOrPortSaysSoInOneLine() throws Exception {
    try (RunningShim shim = RunningShim.empty()) {
      Process second = shim.command().start();
      String said = new String(second.getInputStream().readAllBytes());
      assertThat(second.waitFor()).isEqualTo(1);
      assertThat(said.strip().lines().toList()).hasSize(1);
      assertThat(said).contains("is in use");

      ProcessBuilder other = shim.command();
      other.command().replaceAll(a -> a.startsWith("--port=") ? "--port=0" : a);
      Process locked = other.start();
      assertThat(new String(locked.getInputStream().readAllBytes()))
          .contains("data folder")
          .contains("in use by a running Shim");
      assertThat(shim.stop()).as("Ctrl-C ends cleanly").isIn(0, 130, 143);
    }
  }
}
