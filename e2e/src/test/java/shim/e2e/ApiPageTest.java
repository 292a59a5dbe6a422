package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Whoever has the API's page and a shell gets what the page shows: each of its blocks is run. */
class ApiPageTest {
  private static final Pattern BLOCK = Pattern.compile("(?s)```sh\n(.*?)```\n```text\n(.*?)```");

  @Test
  void everyBlockPrintsWhatIsShown() throws IOException, InterruptedException {
    String page = Files.readString(Path.of("..", "docs", "api.md"));
    List<MatchResult> blocks = BLOCK.matcher(page).results().toList();
    assertThat(blocks).hasSizeGreaterThan(3);
    try (RunningShim shim = RunningShim.empty()) {
      for (MatchResult block : blocks) {
        assertThat(run(block.group(1), shim.url("")))
            .as(block.group(1))
            .isEqualTo(block.group(2).strip());
      }
    }
  }

  private static String run(String script, String address)
      throws IOException, InterruptedException {
    ProcessBuilder shell = new ProcessBuilder("bash", "-c", script);
    shell.environment().put("SHIM", address);
    Process running = shell.start();
    String said = new String(running.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    running.waitFor();
    return said.strip();
  }
}
