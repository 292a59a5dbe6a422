package shim.app.demo;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import java.util.function.ToDoubleBiFunction;

/**
 * A lever tester with its weaknesses, speaking the line protocol: it reads a little low today, its
 * needle creeps to its rest, friction stops it a little short, and no two readings agree. It holds
 * the demo's hidden springs; {@code AT} tells it which one is under it.
 */
final class SimulatedTester implements Runnable {
  private static final double TODAY_LN = -0.017;
  private static final double NOISE = 0.005;
  private static final double FRICTION = 0.003;
  private static final double SETTLING_LINES = 3;
  private static final long LINE_NANOS = 60_000_000;

  private final ServerSocket server;
  private final ToDoubleBiFunction<String, Double> truth;
  private final Random random = new Random(5);

  /**
   * @param truth true load at a place and a height, lbf; NaN for an unknown place
   */
  SimulatedTester(ToDoubleBiFunction<String, Double> truth) throws IOException {
    this.truth = truth;
    server = new ServerSocket(0, 2, InetAddress.getLoopbackAddress());
    Thread thread = new Thread(this, "simulated tester");
    thread.setDaemon(true);
    thread.start();
  }

  String address() {
    return "127.0.0.1:" + server.getLocalPort();
  }

  @Override
  public void run() {
    while (!server.isClosed()) {
      try (Socket caller = server.accept()) {
        serve(caller);
      } catch (IOException e) {
        // The caller hung up; the next one is waited for.
        Thread.yield();
      }
    }
  }

  private void serve(Socket caller) throws IOException {
    OutputStream out = caller.getOutputStream();
    BufferedReader in =
        new BufferedReader(
            new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
    write(out, "TESTER lever tester, simulated");
    double rest = 0;
    double needle = 0;
    while (!caller.isClosed()) {
      while (in.ready()) {
        rest = heard(in.readLine(), rest);
        needle = 0;
      }
      needle += (rest - needle) / SETTLING_LINES;
      double flutter = rest == 0 ? 0 : 0.0004 * rest * random.nextGaussian();
      write(out, String.format(Locale.ROOT, "LOAD %.2f lbf", Math.max(0, needle + flutter)));
      LockSupport.parkNanos(LINE_NANOS);
    }
  }

  private static void write(OutputStream out, String line) throws IOException {
    out.write((line + "\n").getBytes(StandardCharsets.US_ASCII));
    out.flush();
  }

  /** Where the needle will come to rest after a line from the host. */
  private double heard(String line, double before) {
    String[] words = line.strip().split("\\s+");
    if (words.length < 3 || !words[0].equals("AT")) {
      return before;
    }
    double load = truth.applyAsDouble(words[1], Double.valueOf(words[2]));
    return Double.isNaN(load)
        ? 0
        : load
            * Math.exp(TODAY_LN - FRICTION * random.nextDouble() + NOISE * random.nextGaussian());
  }
}
