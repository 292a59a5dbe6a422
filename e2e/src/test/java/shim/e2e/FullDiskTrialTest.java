package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.support.ui.FluentWait;

/**
 * A disk that fills up under Shim, and is cleared again: on a small disk of memory, where allowed.
 */
class FullDiskTrialTest {
  private static final String EVENT =
      "{\"engineId\":\"%s\",\"name\":\"Sprint\",\"date\":\"2026-06-01\",\"plannedHours\":1}";

  private static boolean run(String... command) throws Exception {
    Process p = new ProcessBuilder(command).redirectErrorStream(true).start();
    return p.waitFor(20, TimeUnit.SECONDS) && p.exitValue() == 0;
  }

  private static Path smallDisk() throws Exception {
    Path disk = Files.createTempDirectory("shim-small-disk");
    assumeTrue(
        run("mount", "-t", "tmpfs", "-o", "size=80m", "tmpfs", disk.toString()),
        "no disk of memory may be mounted here");
    return disk;
  }

  private static void fill(Path file) {
    try (OutputStream out = Files.newOutputStream(file)) {
      byte[] piece = new byte[1 << 20];
      while (true) {
        out.write(piece);
      }
    } catch (IOException e) {
      // The disk is full: that was wanted.
    }
  }

  private static int event(RunningShim shim, String engine) {
    return shim.send(
        "PUT",
        "/api/events/" + UUID.randomUUID(),
        "application/json",
        EVENT.formatted(engine).getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void itIsSaidNothingIsHalfKeptAndWritingGoesOnByItself() throws Exception {
    Path disk = smallDisk();
    try (RunningShim shim = RunningShim.on(disk.resolve("data"));
        Browser browser = new Browser(1280, 800)) {
      shim.start();
      String engine = Sheets.putV8(shim);
      assertThat(event(shim, engine)).isEqualTo(200);
      browser.open(shim.url("/")).sees("Test V8");

      fill(disk.resolve("filler"));
      assertThat(event(shim, engine)).isEqualTo(507);
      byte[] photo = new byte[300_000];
      photo[0] = (byte) 0xFF;
      photo[1] = (byte) 0xD8;
      photo[2] = (byte) 0xFF;
      assertThat(
              shim.send(
                  "PUT", "/api/inspections/" + UUID.randomUUID() + "/photo", "image/jpeg", photo))
          .isEqualTo(507);
      assertThat(shim.get("/api/engines/" + engine + "/events")).contains("Sprint");
      assertThat(shim.get("/actuator/health")).contains("\"status\":\"DOWN\"");
      browser.sees("disk of the machine that runs Shim is full");
      try (var all = Files.walk(disk.resolve("data"))) {
        assertThat(all.filter(p -> p.toString().endsWith(".part")).toList()).isEmpty();
      }

      Files.delete(disk.resolve("filler"));
      assertThat(event(shim, engine)).isEqualTo(200);
      assertThat(shim.get("/actuator/health")).endsWith("\"status\":\"UP\"}");
      browser.await(() -> !browser.text().contains("is full"));
      System.out.println("trial: a full disk was said, and writing went on without a restart");
    } finally {
      run("umount", "-l", disk.toString());
    }
  }

  /**
   * Without the reserve the store itself meets the full disk and closes; it comes back by itself.
   */
  @Test
  void aStoreThatClosedItselfIsOpenedAnewWithAllThatWasAcknowledged() throws Exception {
    Path disk = smallDisk();
    try (RunningShim shim =
        RunningShim.on(disk.resolve("data")).with("SHIM_DISK_RESERVE_BYTES", "0")) {
      shim.start();
      String engine = Sheets.putV8(shim);
      int kept = 0;
      for (int i = 0; i < 20; i++) {
        kept += event(shim, engine) == 200 ? 1 : 0;
      }
      fill(disk.resolve("filler"));
      for (int i = 0; i < 20; i++) {
        kept += event(shim, engine) == 200 ? 1 : 0;
      }
      assertThat(event(shim, engine)).isEqualTo(507);
      assertThat(shim.get("/actuator/health")).contains("\"status\":\"DOWN\"");
      Files.delete(disk.resolve("filler"));
      new FluentWait<>(shim)
          .withTimeout(Duration.ofSeconds(60))
          .pollingEvery(Duration.ofMillis(300))
          .until(s -> event(s, engine) == 200);
      String events = shim.get("/api/engines/" + engine + "/events");
      assertThat(events.split("\"name\":\"Sprint\"", -1).length - 1)
          .as("acknowledged, and one more")
          .isGreaterThanOrEqualTo(kept + 1);
      System.out.println(
          "trial: the store closed itself on a full disk and was opened anew; " + kept + " kept");
    } finally {
      run("umount", "-l", disk.toString());
    }
  }
}
