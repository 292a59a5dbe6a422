package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
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
      browser.sees("Tighten").sees("wide");
      shim.kill();

      // With Shim gone the next figure is kept on this device, and the work goes on.
      round.left("18");
      browser.sees("kept on this device");
      shim.start();
      browser.await(() -> !browser.text().contains("kept on this device"));
      browser.await(browser::nothingWaits);

      String id = browser.address().replaceAll(".*/rounds/", "");
      String kept = shim.get("/api/rounds/" + id);
      assertThat(kept).contains("\"typed\":\"23\"").contains("\"typed\":\"18\"");
      browser.open(shim.url("/rounds/" + id)).sees("1/16");
      assertThat(round.valve()).isNotEqualTo(first);
    }
  }

  @Test
  void whatIsSeenAndPhotographedWhileShimIsGoneIsKeptAndSent() throws IOException {
    try (RunningShim shim = RunningShim.empty();
        Browser browser = new Browser(1280, 800)) {
      String engine = Sheets.putV8(shim);
      browser.open(shim.url("/engines/" + engine + "/lifters")).fill("Name of the set", "S1");
      browser.fill("Your initials", "AB").press("Put 16 in");
      browser.await(() -> !browser.text().contains("No lifter of this engine is on record"));
      browser.open(shim.url("/engines/" + engine + "/inspect")).press("Noise");
      browser.await(browser::panelIsReady);
      shim.kill();

      browser.upload("Photo", picture()).sees(".png");
      browser.keys("2").sees("2 findings are kept on this device");
      // The page is left while Shim is still gone.
      browser.open("about:blank");
      shim.start();
      browser.open(shim.url("/engines/" + engine + "/inspect")).press("Noise");
      browser.await(browser::nothingWaits);

      browser.await(() -> !browser.text().contains("kept on this device"));
      String kept = shim.get("/api/engines/" + engine + "/lifters");
      assertThat(kept).contains("\"look\":\"TICK_COLD\"").contains("\"photo\":true");
      try (Stream<Path> photos = Files.list(shim.data().resolve("photos"))) {
        assertThat(photos).hasSize(1);
      }
    }
  }

  /** A picture of one grey point. */
  private static Path picture() throws IOException {
    Path file = Files.createTempFile("wheel", ".png");
    ImageIO.write(new BufferedImage(1, 1, BufferedImage.TYPE_BYTE_GRAY), "png", file.toFile());
    return file;
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
