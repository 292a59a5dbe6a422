package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Everything in one file, and back: from the start screen of an empty Shim, and by command. */
class BackupJourneyTest {
  private static String run(Path data, String... words) throws IOException, InterruptedException {
    List<String> all = new ArrayList<>(List.of(words));
    all.add("--data=" + data);
    Process p = RunningShim.command(all).start();
    String said = new String(p.getInputStream().readAllBytes());
    assertThat(p.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return p.exitValue() + " " + said;
  }

  @Test
  void oneFileOutAndBackInOnAnotherMachine() throws Exception {
    Path file = Files.createTempDirectory("shim-stick").resolve("all.zip");
    try (RunningShim shim = RunningShim.empty()) {
      Sheets.putV8(shim);
      // While it runs, by command: the running Shim makes it.
      assertThat(run(shim.data(), "backup", file.toString())).startsWith("0 backup written");
      assertThat(run(shim.data(), "restore", file.toString())).startsWith("1 ").contains("stop it");
    }
    try (RunningShim other = RunningShim.empty();
        Browser browser = new Browser(1280, 800)) {
      browser.open(other.url("/")).sees("Describe your first engine").press("Put a backup back");
      browser.sees("read through first");
      Path text = Files.writeString(file.resolveSibling("letter.zip"), "dear diary");
      browser.upload("Choose the file", text).sees("this is no backup of Shim");
      browser.upload("Choose the file", file).sees("Whole and readable");
      assertThat(browser.axe()).isEmpty();
      assertThat(other.get("/api/engines")).isEqualTo("[]");
      browser.press("Put it in place").sees("The backup is in place");
      browser.press("To the engines").sees("Test V8");
      browser.press("Backup").press("Back up now");
      browser.await(() -> other.get("/api/backups").contains("\"name\":\"shim-"));
    }
    Path third = Files.createTempDirectory("shim-third");
    assertThat(run(third, "restore", file.toString()))
        .startsWith("0 restored")
        .contains("1 engines");
    assertThat(run(third, "backup", file.resolveSibling("again.zip").toString()))
        .startsWith("0 backup written")
        .contains("1 engines");
    assertThat(run(third, "restore", file.resolveSibling("letter.zip").toString()))
        .startsWith("1 shim: this is no backup");
  }

  @Test
  void aDamagedFolderIsSaidInOneLineAndLeftAsItIs() throws Exception {
    Path folder = Files.createTempDirectory("shim-damaged");
    Path database = Files.writeString(folder.resolve("shim.mv.db"), "dear diary");
    assertThat(run(folder, "start", "--port=0"))
        .startsWith("1 shim: the file")
        .contains("is no database");
    assertThat(database).hasContent("dear diary");
    assertThat(run(folder, "start", "--port=99999")).startsWith("1 shim: there is no port 99999");
  }
}
