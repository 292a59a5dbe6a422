package shim.e2e;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * A bad line between a page and Shim: it holds answers back, loses requests on the way there or the
 * way back, and sends some twice. Seeded; the page itself always arrives.
 */
final class FaultProxy implements AutoCloseable {
  private static final Set<String> NOT_CARRIED =
      Set.of("connection", "content-length", "host", "upgrade", "transfer-encoding", "expect");
  private static final long TENTH_NS = TimeUnit.MILLISECONDS.toNanos(100);
  private final HttpServer server;
  private final ExecutorService hands = Executors.newCachedThreadPool();
  private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor();
  private final HttpClient client =
      HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
  private final String target;
  private final Random random;
  private final Line line;
  private final AtomicInteger lost = new AtomicInteger();
  private final AtomicInteger carried = new AtomicInteger();
  private volatile boolean cut;
  private volatile int bytesPerSecond;

  /**
   * How bad it is.
   *
   * @param leastMs least an answer is held back
   * @param mostMs most an answer is held back
   * @param lostShare share of requests lost, half on the way there, half on the way back
   * @param twiceShare share sent twice
   */
  record Line(int leastMs, int mostMs, double lostShare, double twiceShare) {
    static final Line PADDOCK = new Line(200, 3000, 0.1, 0.03);
    static final Line GOOD = new Line(0, 1, 0, 0);
  }

  FaultProxy(RunningShim shim, Line line, long seed) {
    this.target = shim.url("");
    this.line = line;
    this.random = new Random(seed);
    try {
      server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 64);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    server.setExecutor(hands);
    server.createContext("/", this::carry);
    server.start();
  }

  String url(String path) {
    return "http://127.0.0.1:" + server.getAddress().getPort() + path;
  }

  /** Nothing goes through until it is joined again. */
  void cut(boolean now) {
    cut = now;
  }

  /** So fast entries and files go to Shim from now on, also those on their way; 0 is at once. */
  void goes(int bytes) {
    bytesPerSecond = bytes;
  }

  int lost() {
    return lost.get();
  }

  int carried() {
    return carried.get();
  }

  private record Fate(int holdMs, boolean lostThere, boolean lostBack, boolean twice) {}

  private synchronized Fate fate(boolean page) {
    if (page) {
      return new Fate(0, false, false, false);
    }
    double d = random.nextDouble();
    int hold = line.leastMs() + random.nextInt(line.mostMs() - line.leastMs());
    return new Fate(
        hold,
        d < line.lostShare() / 2,
        d >= line.lostShare() / 2 && d < line.lostShare(),
        random.nextDouble() < line.twiceShare());
  }

  private void carry(HttpExchange x) throws IOException {
    byte[] body = x.getRequestBody().readAllBytes();
    Fate fate = fate(!x.getRequestURI().getPath().startsWith("/api/"));
    if (cut || fate.lostThere()) {
      lost.incrementAndGet();
      x.close();
      return;
    }
    clock.schedule(
        () -> hands.execute(() -> deliver(x, body, fate)), fate.holdMs(), TimeUnit.MILLISECONDS);
  }

  private void deliver(HttpExchange x, byte[] body, Fate fate) {
    try {
      HttpResponse<byte[]> answer = send(x, body);
      if (fate.twice()) {
        answer = send(x, body);
      }
      if (cut || fate.lostBack()) {
        lost.incrementAndGet();
      } else {
        carried.incrementAndGet();
        answer(x, answer);
      }
    } catch (IOException e) {
      lost.incrementAndGet();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } finally {
      x.close();
    }
  }

  private HttpResponse<byte[]> send(HttpExchange x, byte[] body)
      throws IOException, InterruptedException {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(target + x.getRequestURI()))
            .timeout(Duration.ofSeconds(60))
            .method(x.getRequestMethod(), slowly(body));
    x.getRequestHeaders()
        .forEach(
            (name, values) -> {
              if (!NOT_CARRIED.contains(name.toLowerCase())) {
                values.forEach(v -> request.header(name, v));
              }
            });
    return client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
  }

  /** A tenth of a second's bytes at a time, as long as the line is slow. */
  private HttpRequest.BodyPublisher slowly(byte[] body) {
    if (bytesPerSecond == 0 || body.length == 0) {
      return HttpRequest.BodyPublishers.ofByteArray(body);
    }
    InputStream drops =
        new ByteArrayInputStream(body) {
          @Override
          public int read(byte[] into, int from, int most) {
            int now = bytesPerSecond;
            if (now == 0) {
              return super.read(into, from, most);
            }
            LockSupport.parkNanos(TENTH_NS);
            return super.read(into, from, Math.min(most, Math.max(1, now / 10)));
          }
        };
    return HttpRequest.BodyPublishers.fromPublisher(
        HttpRequest.BodyPublishers.ofInputStream(() -> drops), body.length);
  }

  private static void answer(HttpExchange x, HttpResponse<byte[]> answer) throws IOException {
    answer
        .headers()
        .map()
        .forEach(
            (name, values) -> {
              if (!NOT_CARRIED.contains(name.toLowerCase()) && !name.startsWith(":")) {
                x.getResponseHeaders().put(name, values);
              }
            });
    byte[] body = answer.body();
    x.sendResponseHeaders(answer.statusCode(), body.length == 0 ? -1 : body.length);
    try (OutputStream out = x.getResponseBody()) {
      if (body.length > 0) {
        out.write(body);
      }
    }
  }

  @Override
  public void close() {
    server.stop(0);
    clock.shutdownNow();
    hands.shutdownNow();
  }
}
