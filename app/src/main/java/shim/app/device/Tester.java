package shim.app.device;

import jakarta.annotation.PreDestroy;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import shim.app.http.Refusal;

/** The one tester that is connected, its live reading, and what happened when it fell silent. */
@Service
public class Tester {
  private final Object lock = new Object();
  private final Steady steady = new Steady();
  private @Nullable String suggested;
  private @Nullable TesterLine line;
  private @Nullable String address;
  private @Nullable String name;
  private @Nullable String trouble;
  private double loadLbf;
  private int turn;

  /** How it is wired. */
  public enum Wire {
    TCP,
    SERIAL
  }

  /**
   * The tester now.
   *
   * @param loadLbf live reading
   * @param steady it may be taken
   * @param trouble why there is none any more
   * @param suggested an address that is known to answer
   */
  public record TesterNow(
      boolean connected,
      @Nullable String name,
      @Nullable String address,
      double loadLbf,
      boolean steady,
      @Nullable String trouble,
      @Nullable String suggested,
      List<String> serialPorts) {}

  /** Offers an address to connect to. */
  public void suggest(String tcpAddress) {
    suggested = tcpAddress;
  }

  public TesterNow now() {
    synchronized (lock) {
      boolean ready = line != null && steady.steady();
      return new TesterNow(
          line != null,
          name,
          address,
          ready ? Math.round(steady.mean() * 10) / 10.0 : loadLbf,
          ready,
          trouble,
          suggested,
          SerialLine.ports());
    }
  }

  /** Connects; a tester connected before is let go. */
  public void connect(Wire wire, String to) {
    disconnect();
    try {
      TesterLine fresh = wire == Wire.TCP ? new TcpLine(to) : new SerialLine(to);
      synchronized (lock) {
        line = fresh;
        address = to;
        trouble = null;
        turn++;
        Thread reader = new Thread(new Listener(fresh, turn), "tester");
        reader.setDaemon(true);
        reader.start();
      }
      say("HELLO");
    } catch (IOException e) {
      throw Refusal.invalid(
          "address", "the tester does not answer at " + to + ": " + e.getMessage());
    }
  }

  /** Tells the tester where it stands; one that does not care may ignore it. */
  public void standAt(String place, double heightIn) {
    synchronized (lock) {
      steady.clear();
    }
    say(String.format(java.util.Locale.ROOT, "AT %s %.4f", place, heightIn));
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
            "the tester is gone (" + e.getMessage() + "): type the figures, or connect it again";
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
        Spoken.parse(said)
            .ifPresent(
                s -> {
                  if (s instanceof Spoken.Load load) {
                    loadLbf = load.lbf();
                    steady.add(load.lbf());
                  } else if (s instanceof Spoken.Name who) {
                    name = who.name();
                  }
                });
        return true;
      }
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
