package shim.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import shim.app.http.Refusal;

/** A dial indicator over a real line: heard, told where it stands, missed when it is gone. */
class DialTest {
  private final Dial dial = new Dial();

  @AfterEach
  void letGo() {
    dial.disconnect();
  }

  private static void await(BooleanSupplier condition) {
    Instant until = Instant.now().plus(Duration.ofSeconds(10));
    while (!condition.getAsBoolean()) {
      if (Instant.now().isAfter(until)) {
        throw new AssertionError("waited in vain");
      }
      LockSupport.parkNanos(5_000_000);
    }
  }

  private static void say(Socket to, String line) throws IOException {
    to.getOutputStream().write((line + "\n").getBytes(StandardCharsets.US_ASCII));
    to.getOutputStream().flush();
  }

  @Test
  void aDialIsReadMovedAndMissed() throws IOException {
    try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      dial.connect(Instrument.Wire.TCP, "127.0.0.1:" + server.getLocalPort());
      try (Socket caller = server.accept();
          BufferedReader heard =
              new BufferedReader(
                  new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII))) {
        assertThat(heard.readLine()).isEqualTo("HELLO");
        say(caller, "DIAL on a stand");
        say(caller, "LOAD 214 lbf");
        for (int i = 0; i < 8; i++) {
          say(caller, "LIFT 0.59" + (20 + i % 3) + " in");
        }
        await(() -> dial.now().steady());
        assertThat(dial.now().name()).isEqualTo("on a stand");
        assertThat(dial.now().liftIn()).isBetween(0.5920, 0.5922);
        dial.standAt("5E");
        assertThat(heard.readLine()).isEqualTo("AT 5E");
        assertThat(dial.now().steady()).as("at another valve it starts afresh").isFalse();
        say(caller, "LIFT 0.0100 in");
        await(() -> dial.now().liftIn() < 0.02);
        assertThat(dial.now().steady()).as("on the base circle there is no lift").isFalse();
      }
      await(() -> !dial.now().connected());
      assertThat(dial.now().trouble()).startsWith("the dial is gone").contains("type the figures");
    }
  }

  @Test
  void nobodyThereIsSaidInWords() {
    assertThatThrownBy(() -> dial.connect(Instrument.Wire.TCP, "nowhere"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("the dial does not answer");
    dial.suggest("127.0.0.1:4021");
    assertThat(dial.now().suggested()).isEqualTo("127.0.0.1:4021");
  }
}
