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

/** An instrument that speaks the line protocol: its figure creeps to rest and flutters there. */
final class SimulatedInstrument implements Runnable {
  private static final double SETTLING_LINES = 3;
  private static final long LINE_NANOS = 60_000_000;

  private final ServerSocket server;
  private final Nature nature;
  private final Random random = new Random(5);

  /**
   * What it is.
   *
   * @param greeting its first line
   * @param line format of a figure's line
   * @param flutter share of its figure by which it trembles
   * @param rest where it comes to rest at a place and a height; NaN for an unknown place
   */
  record Nature(
      String greeting, String line, double flutter, ToDoubleBiFunction<String, Double> rest) {}

  SimulatedInstrument(Nature nature) throws IOException {
    this.nature = nature;
    server = new ServerSocket(0, 2, InetAddress.getLoopbackAddress());
    Thread thread = new Thread(this, nature.greeting());
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
    write(out, nature.greeting());
    double rest = 0;
    double needle = 0;
    while (!caller.isClosed()) {
      while (in.ready()) {
        rest = heard(in.readLine(), rest);
        needle = 0;
      }
      needle += (rest - needle) / SETTLING_LINES;
      double flutter = rest == 0 ? 0 : nature.flutter() * rest * random.nextGaussian();
      write(out, String.format(Locale.ROOT, nature.line(), Math.max(0, needle + flutter)));
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
    if (words.length < 2 || !words[0].equals("AT")) {
      return before;
    }
    double height = words.length > 2 ? Double.parseDouble(words[2]) : 0;
    double rest = nature.rest().applyAsDouble(words[1], height);
    return Double.isNaN(rest) ? 0 : rest;
  }
}
