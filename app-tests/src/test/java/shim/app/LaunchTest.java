package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LaunchTest {
  @TempDir Path folder;

  private Launch launch(String... args) {
    List<String> all = new java.util.ArrayList<>(List.of(args));
    all.add("--data=" + folder);
    return Launch.read(all);
  }

  @Test
  void aPortInUseIsOneClearLine() throws IOException {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      int port = taken.getLocalPort();
      assertThat(launch("start", "--port=" + port).refusal())
          .hasValueSatisfying(
              why -> assertThat(why).contains("port " + port + " is in use").doesNotContain("\n"));
    }
  }

  @Test
  void aPortThatIsNoNumberOrCannotBeIsSaid() {
    assertThat(launch("start", "--port=abc").refusal()).isPresent();
    assertThat(launch("start", "--port=99999").refusal())
        .hasValue("there is no port 99999: ports go up to 65535, such as --port=8460");
    assertThat(launch("start", "--port=-1").refusal())
        .hasValueSatisfying(why -> assertThat(why).startsWith("there is no port -1"));
  }

  @Test
  void whoAsksForAnyPortIsToldWhichItIs() {
    Launch launch = launch("start", "--port=0");
    assertThat(launch.port()).isPositive();
    assertThat(launch.address()).isEqualTo("http://127.0.0.1:" + launch.port() + "/");
  }

  @Test
  void aDataFolderThatIsAFileIsSaid() throws IOException {
    Path file = Files.writeString(folder.resolve("file"), "x");
    Launch launch = Launch.read(List.of("start", "--port=0", "--data=" + file.resolve("in")));
    assertThat(launch.refusal())
        .hasValueSatisfying(why -> assertThat(why).contains("cannot be written"));
  }

  @Test
  void theDemoBeginsAnewAndTouchesOnlyItsOwnFiles() throws IOException {
    Files.writeString(folder.resolve("shim.mv.db"), "old");
    Files.writeString(folder.resolve("notes.txt"), "mine");
    Launch launch = launch("demo", "--port=0");
    assertThat(launch.refusal()).isEmpty();
    assertThat(folder.resolve("shim.mv.db")).as("a fresh one").isNotEmptyFile();
    assertThat(folder.resolve("shim.mv.db").toFile().length()).isGreaterThan(1000);
    assertThat(folder.resolve("notes.txt")).hasContent("mine");
    assertThat(launch.settings()).contains("--shim.demo=true", "--server.address=127.0.0.1");
  }

  @Test
  void aDemoThatIsKeptGoesOnFromItsFiles() throws IOException {
    Files.writeString(folder.resolve("shim.mv.db"), "as it was left");
    Launch launch = launch("demo", "--keep", "--port=0");
    assertThat(folder.resolve("shim.mv.db")).hasContent("as it was left");
    assertThat(launch.settings()).contains("--shim.demo=true");
  }

  @Test
  void tabletsAreLetInOnlyWhenAskedForAndWithAKey() {
    Launch lan = launch("start", "--lan", "--port=0");
    assertThat(lan.settings()).contains("--server.address=0.0.0.0", "--shim.lan=true");
    assertThat(lan.key()).hasSize(12);
    assertThat(lan.lanAddresses()).as("told on every machine").isNotEmpty();
    assertThat(lan.lanAddresses()).allSatisfy(a -> assertThat(a).contains("?key=" + lan.key()));
  }
}
