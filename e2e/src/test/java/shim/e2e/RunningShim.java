package shim.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The packaged application as its own process, as a user starts it. */
final class RunningShim implements AutoCloseable {
  private static final Path ROOT = Path.of("..").toAbsolutePath().normalize();
  private static final Pattern ADDRESS = Pattern.compile("ready: .*127\\.0\\.0\\.1:(\\d+)/");
  private static final HttpClient HTTP = HttpClient.newHttpClient();
  private final Path data;
  private final String mode;

  /** Shim takes a free one at its first start and keeps it. */
  private volatile int port;

  private final List<String> more;
  private final Map<String, String> settings = new HashMap<>();
  private Process process;

  /** What it printed when it last started. */
  private volatile String said = "";

  private RunningShim(String mode, Path data, String... more) {
    this.more = List.of(more);
    this.mode = mode;
    this.data = data;
    start();
  }

  /** On an empty folder. */
  static RunningShim empty() {
    return asNew("start");
  }

  /** With the demo's data. */
  static RunningShim demo() {
    return asNew("demo", "--keep");
  }

  /** Those that journeys have left: they go on running, for a start takes longer than a restore. */
  private static final Map<String, RunningShim> LEFT = new ConcurrentHashMap<>();

  static {
    Runtime.getRuntime()
        .addShutdownHook(new Thread(() -> LEFT.values().forEach(RunningShim::kill)));
  }

  /** What it held when it was new, as its own backup. */
  private byte[] blank = {};

  private static RunningShim asNew(String mode, String... more) {
    RunningShim left = LEFT.remove(mode);
    if (left != null) {
      left.renew();
      return left;
    }
    RunningShim fresh = new RunningShim(mode, tempFolder(), more);
    fresh.blank =
        fresh
            .ask("/api/backup", HttpRequest.newBuilder(), HttpResponse.BodyHandlers.ofByteArray())
            .body();
    fresh.clear();
    return fresh;
  }

  /** Puts back what it held when it was new, by its own means. */
  private void renew() {
    for (String instrument : List.of("dial", "tester", "encoder")) {
      send("DELETE", "/api/" + instrument, "application/json", new byte[0]);
    }
    String checked =
        ask(
                "/api/restore-check",
                sending("POST", "application/zip", blank),
                HttpResponse.BodyHandlers.ofString())
            .body();
    Matcher id = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"").matcher(checked);
    if (!id.find()
        || send("PUT", "/api/restore/" + id.group(1), "application/json", new byte[0]) != 204) {
      throw new IllegalStateException("it could not be made new: " + checked);
    }
    clear();
  }

  /** Nothing but its data is left in the folder. */
  private void clear() {
    for (String name : List.of("backups", "replaced")) {
      try (Stream<Path> all = Files.walk(data.resolve(name))) {
        for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
          Files.delete(p);
        }
      } catch (NoSuchFileException e) {
        // There was none.
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  /** Listening on the network, as tablets reach it. */
  static RunningShim lan() {
    return new RunningShim("start", tempFolder(), "--lan");
  }

  /** The address for a tablet, under another name of this machine; the key of this run in it. */
  String tablet(String name) {
    Matcher key = Pattern.compile("\\?key=(\\w+)").matcher(said);
    if (!key.find()) {
      throw new AssertionError("no key was printed: " + said);
    }
    return "http://" + name + ":" + port + "/?key=" + key.group(1);
  }

  private static Path tempFolder() {
    try {
      return Files.createTempDirectory("shim-journey");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  ProcessBuilder command() {
    List<String> words = new ArrayList<>(List.of(mode, "--port=" + port, "--data=" + data));
    words.addAll(more);
    ProcessBuilder command = command(words);
    command.environment().putAll(settings);
    return command;
  }

  /** The packaged application with these words, as the launcher runs it. */
  static ProcessBuilder command(List<String> words) {
    List<String> all = new ArrayList<>();
    all.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
    all.add("@app/java.args");
    all.addAll(words);
    return new ProcessBuilder(all).directory(ROOT.toFile()).redirectErrorStream(true);
  }

  /** A setting that no person is offered, for trials. */
  RunningShim with(String name, String value) {
    settings.put(name, value);
    return this;
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

  private void read(Process process, CompletableFuture<Void> ready) {
    StringBuilder all = new StringBuilder();
    try (var lines = process.inputReader()) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        all.append(line).append('\n');
        said = all.toString();
        Matcher address = ADDRESS.matcher(line);
        if (address.find()) {
          port = Integer.parseInt(address.group(1));
        }
        if (line.contains("Stop it with")) {
          ready.complete(null);
        }
      }
    } catch (IOException e) {
      ready.completeExceptionally(e);
    }
    ready.completeExceptionally(new IllegalStateException("it ended saying: " + all));
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

  /** Asks Shim; the thread that is told to end meanwhile ends. */
  private <T> HttpResponse<T> ask(
      String path, HttpRequest.Builder request, HttpResponse.BodyHandler<T> as) {
    try {
      return HTTP.send(
          request.uri(URI.create(url(path))).timeout(Duration.ofSeconds(20)).build(), as);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static HttpRequest.Builder sending(String method, String type, byte[] body) {
    return HttpRequest.newBuilder()
        .header("Content-Type", type)
        .method(method, HttpRequest.BodyPublishers.ofByteArray(body));
  }

  String get(String path) {
    return ask(path, HttpRequest.newBuilder(), HttpResponse.BodyHandlers.ofString()).body();
  }

  String put(String path, String json) {
    byte[] body = json.getBytes(StandardCharsets.UTF_8);
    return ask(path, sending("PUT", "application/json", body), HttpResponse.BodyHandlers.ofString())
        .body();
  }

  /** How an address is answered to a browser that takes compressed content. */
  HttpHeaders headersOf(String path) {
    HttpRequest.Builder request = HttpRequest.newBuilder().header("Accept-Encoding", "gzip");
    return ask(path, request, HttpResponse.BodyHandlers.discarding()).headers();
  }

  /** Sends bytes and answers with the status alone; below zero when nobody answered. */
  int send(String method, String path, String type, byte[] body) {
    try {
      return ask(path, sending(method, type, body), HttpResponse.BodyHandlers.discarding())
          .statusCode();
    } catch (UncheckedIOException | IllegalStateException e) {
      return -1;
    }
  }

  /** Starts it and ends it the hard way after some time, wherever it then is. */
  void startAndKill(long afterMs) {
    try {
      process = command().redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
      process.waitFor(afterMs, TimeUnit.MILLISECONDS);
      kill();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** On a folder of one's own, not started yet. */
  static RunningShim on(Path folder) {
    return new RunningShim(folder);
  }

  private RunningShim(Path folder) {
    this.more = List.of();
    this.mode = "start";
    this.data = folder;
  }

  Path data() {
    return data;
  }

  @Override
  public void close() {
    boolean again = blank.length > 0 && process.isAlive();
    if (!again || LEFT.putIfAbsent(mode, this) != null) {
      kill();
    }
  }
}
