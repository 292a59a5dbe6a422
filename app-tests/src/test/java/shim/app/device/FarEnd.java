package shim.app.device;

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

/** The other end of an instrument's line: says lines, hears what it is told, hangs up. */
final class FarEnd implements AutoCloseable {
  private final ServerSocket server;
  private Socket caller;
  private BufferedReader heard;

  FarEnd() throws IOException {
    server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
  }

  String address() {
    return "127.0.0.1:" + server.getLocalPort();
  }

  FarEnd answer() throws IOException {
    caller = server.accept();
    heard =
        new BufferedReader(
            new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
    return this;
  }

  String hear() throws IOException {
    return heard.readLine();
  }

  void say(String line) throws IOException {
    caller.getOutputStream().write((line + "\n").getBytes(StandardCharsets.US_ASCII));
    caller.getOutputStream().flush();
  }

  void hangUp() throws IOException {
    caller.close();
  }

  @Override
  public void close() throws IOException {
    server.close();
  }

  static void await(BooleanSupplier condition) {
    Instant until = Instant.now().plus(Duration.ofSeconds(10));
    while (!condition.getAsBoolean()) {
      if (Instant.now().isAfter(until)) {
        throw new AssertionError("waited in vain");
      }
      LockSupport.parkNanos(5_000_000);
    }
  }
}
