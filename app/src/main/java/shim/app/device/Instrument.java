package shim.app.device;

import jakarta.annotation.PreDestroy;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.app.http.Refusal;

/** An instrument on a line: its live figure, and what happened when it fell silent. */
abstract class Instrument {
  private final String noun;
  private final Steady steady;
  private final Object lock = new Object();
  private @Nullable String suggested;
  private @Nullable TesterLine line;
  private @Nullable String address;
  private @Nullable String name;
  private @Nullable String trouble;
  private double live;
  private int turn;

  /** How it is wired. */
  public enum Wire {
    TCP,
    SERIAL
  }

  /**
   * @param noun what it is called
   */
  Instrument(String noun, Steady steady) {
    this.noun = noun;
    this.steady = steady;
  }

  /** The figure in a line, if the line is this instrument's. */
  abstract OptionalDouble figure(Spoken spoken);

  /** Its state now; the figure is the mean of the last ones once they lie close together. */
  record Live(
      boolean connected,
      @Nullable String name,
      @Nullable String address,
      double figure,
      boolean steady,
      @Nullable String trouble,
      @Nullable String suggested) {}

  /** Offers an address to connect to. */
  public void suggest(String tcpAddress) {
    suggested = tcpAddress;
  }

  Live live() {
    synchronized (lock) {
      boolean ready = line != null && steady.steady();
      return new Live(
          line != null, name, address, ready ? steady.mean() : live, ready, trouble, suggested);
    }
  }

  /** Connects; one connected before is let go. */
  public void connect(Wire wire, String to) {
    disconnect();
    try {
      TesterLine fresh = wire == Wire.TCP ? new TcpLine(to) : new SerialLine(to);
      synchronized (lock) {
        line = fresh;
        address = to;
        trouble = null;
        turn++;
        Thread reader = new Thread(new Listener(fresh, turn), noun);
        reader.setDaemon(true);
        reader.start();
      }
      say("HELLO");
    } catch (IOException e) {
      throw Refusal.invalid(
          "address", "the " + noun + " does not answer at " + to + ": " + e.getMessage());
    }
  }

  /** Begins afresh at a new place, and tells the instrument. */
  void moveTo(String words) {
    synchronized (lock) {
      steady.clear();
    }
    say(words);
  }

  private void say(String words) {
    TesterLine to;
    synchronized (lock) {
      to = line;
    }
    if (to == null) {
      return;
    }
    try {
      to.out().write((words + "\n").getBytes(StandardCharsets.US_ASCII));
      to.out().flush();
    } catch (IOException e) {
      gone(e);
    }
  }

  @PreDestroy
  public void disconnect() {
    synchronized (lock) {
      if (line != null) {
        line.close();
      }
      line = null;
      name = null;
      turn++;
      steady.clear();
    }
  }

  private void gone(Exception e) {
    synchronized (lock) {
      if (line != null) {
        line.close();
        line = null;
        trouble =
            "the "
                + noun
                + " is gone ("
                + e.getMessage()
                + "): type the figures, or connect it again";
        steady.clear();
      }
    }
  }

  /** Hears one line until it falls silent or another takes its place. */
  private final class Listener implements Runnable {
    private final TesterLine from;
    private final int mine;

    Listener(TesterLine from, int mine) {
      this.from = from;
      this.mine = mine;
    }

    @Override
    public void run() {
      try (BufferedReader lines =
          new BufferedReader(new InputStreamReader(from.in(), StandardCharsets.US_ASCII))) {
        for (String said = lines.readLine(); said != null; said = lines.readLine()) {
          if (!hear(said)) {
            return;
          }
        }
        lost(new IOException("it hung up"));
      } catch (IOException e) {
        lost(e);
      }
    }

    private boolean hear(String said) {
      synchronized (lock) {
        if (turn != mine) {
          return false;
        }
        Spoken.parse(said).ifPresent(this::take);
        return true;
      }
    }

    private void take(Spoken spoken) {
      if (spoken instanceof Spoken.Name who) {
        name = who.name();
      }
      figure(spoken)
          .ifPresent(
              f -> {
                live = f;
                steady.add(f);
              });
    }

    private void lost(IOException e) {
      boolean current;
      synchronized (lock) {
        current = turn == mine;
      }
      if (current) {
        gone(e);
      }
    }
  }
}
