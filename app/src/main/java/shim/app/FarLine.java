package shim.app;

import java.io.PrintStream;
import java.time.Duration;
import java.util.Locale;
import shim.app.http.Progress;

/**
 * How far work is that takes long, on the command line: a line at each tenth, so that a log of it
 * can be read too. Ctrl-C stops it; what is begun is cleared at the next start.
 */
final class FarLine implements Progress {
  private static final int TENTHS = 10;

  private static final Duration LONG = Duration.ofSeconds(2);

  private final PrintStream out;
  private final long began = System.nanoTime();
  private Stage stage = Stage.WAITING;
  private long tenth;

  FarLine(PrintStream out) {
    this.out = out;
  }

  @Override
  public void at(Stage now, long done, long all) {
    if (System.nanoTime() - began < LONG.toNanos()) {
      return;
    }
    long tenths = all > 0 ? done * TENTHS / all : 0;
    if (now == stage && tenths == tenth) {
      return;
    }
    stage = now;
    tenth = tenths;
    out.println(
        all > 0
            ? String.format(Locale.ROOT, "shim: %s, %d of %d", words(now), done, all)
            : "shim: " + words(now));
  }

  private static String words(Stage stage) {
    return switch (stage) {
      case WAITING -> "waiting";
      case ARRIVING -> "the file comes, bytes";
      case UNPACKING -> "photos are unpacked";
      case READING -> "every row is read through";
      case TAKING_IN -> "entries are taken in";
      case COMPUTING -> "what follows from them is computed";
      case PACKING -> "photos are packed";
      case REPLACING -> "it is put in place";
    };
  }
}
