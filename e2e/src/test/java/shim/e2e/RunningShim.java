package shim.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;

/** The packaged application as its own process, as a user starts it. */
final class RunningShim implements AutoCloseable {
  private static final Path JAR = Path.of("..", "app", "target", "shim.jar");
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private final Path data;
  private final String mode;
  private final int port;
  private Process process;

  private RunningShim(String mode, Path data) {
    this.mode = mode;
    this.data = data;
    this.port = freePort();
    start();
  }

  static RunningShim empty() {
    return new RunningShim("start", tempFolder());
  }

  static RunningShim demo() {
    return new RunningShim("demo", tempFolder());
  }

  private static Path tempFolder() {
    try {
      return Files.createTempDirectory("shim-journey");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int freePort() {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  ProcessBuilder command() {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-jar",
            JAR.toString(),
            mode,
            "--port=" + port,
            "--data=" + data)
        .redirectErrorStream(true);
  }

  /** Starts it and waits until it says it is ready. */
  void start() {
    try {
      process = command().start();
      CompletableFuture<Void> ready = new CompletableFuture<>();
      Process started = process;
      Thread reader = new Thread(() -> read(started, ready));
      reader.setDaemon(true);
      reader.start();
      ready.get(120, TimeUnit.SECONDS);
    } catch (Exception e) {
      throw new IllegalStateException("Shim did not start", e);
    }
  }

  private static void read(Process process, CompletableFuture<Void> ready) {
    StringBuilder said = new StringBuilder();
    try (var lines = process.inputReader()) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        said.append(line).append('\n');
        if (line.contains("Shim is ready")) {
          ready.complete(null);
        }
      }
    } catch (IOException e) {
      ready.completeExceptionally(e);
    }
    ready.completeExceptionally(new IllegalStateException("it ended saying: " + said));
  }

  /** Ends the process the hard way, as a flat battery would. */
  void kill() {
    try {
      process.destroyForcibly().waitFor();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** Ends it as Ctrl-C does and returns its exit code. */
  int stop() throws InterruptedException {
    process.destroy();
    process.waitFor(30, TimeUnit.SECONDS);
    return process.exitValue();
  }

  String url(String path) {
    return "http://127.0.0.1:" + port + path;
  }

  String get(String path) {
    try {
      HttpRequest request =
          HttpRequest.newBuilder(URI.create(url(path))).timeout(Duration.ofSeconds(20)).build();
      return HTTP.send(request, HttpResponse.BodyHandlers.ofString()).body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  String put(String path, String json) {
    try {
      HttpRequest request =
          HttpRequest.newBuilder(URI.create(url(path)))
              .timeout(Duration.ofSeconds(20))
              .header("Content-Type", "application/json")
              .PUT(HttpRequest.BodyPublishers.ofString(json))
              .build();
      return HTTP.send(request, HttpResponse.BodyHandlers.ofString()).body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  Path data() {
    return data;
  }

  @Override
  public void close() {
    kill();
  }
}
