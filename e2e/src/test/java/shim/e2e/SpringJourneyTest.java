package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.openqa.selenium.Keys;

/** Springs on the demo: verdict and reasons, a test by keyboard, one by tester, files in. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SpringJourneyTest extends OnTheHillV8 {
  @Test
  @Order(1)
  void aStrangerFindsTheFailingSpringAndThatTheTesterIsNotToBlame() {
    browser.open(shim.url("/engines")).sees("Springs: change 3E");
    browser.press("Springs: change").sees("Change before the next event:");
    browser.sees("lower than it usually does").sees("the check spring takes that out");
    browser.press("3E").sees("has left its set").sees("chance of more than the 10.0 % limit");
    browser.sees("Six Hours of Fenmoor, final").sees("In its pocket").sees("Lash of 3E in thou");
    assertThat(lossShown()).isBetween(5.0, 10.0);
    browser.press("6I, ").sees("Height out of tolerance").sees("put in 0.015 (then 0.015 + 0.030");
    browser.press("Spring test at 3.6 h").sees("as it was at 3.6 h");
  }

  private static double lossShown() {
    String text = browser.text();
    int at = text.indexOf("loss now") + "loss now".length();
    return Double.parseDouble(text.substring(at).strip().split("\\s")[0]);
  }

  @Test
  @Order(2)
  void sixteenSpringsAreTestedByKeyboardAlone() {
    Bench bench = new Bench(browser).begin(v8, "KV").check("215", "150");
    browser.sees("reads 30 % low");
    browser.fill("The tester shows", "213").keys(Keys.ENTER).sees("multiplied by");
    browser.keys("49 potatoes", Keys.ENTER).sees("is no load");
    browser.over(String.valueOf(bench.should() * 10), Keys.ENTER).sees("is ten times the");
    String first = bench.spring();
    bench.load(String.valueOf(bench.should()));
    browser.sees(first + " read").sees("against its set");
    for (int i = 1; i < 15; i++) {
      bench.load(String.valueOf(bench.should()));
    }
    browser.keys(String.valueOf(bench.should() - 30), Keys.ENTER).sees("set it up once more");
    browser.keys(String.valueOf(bench.should()), Keys.ENTER).sees("The check spring once more");
    browser.fill("The tester shows", "213").keys(Keys.ENTER).sees("All read");
    browser.press("End the test").sees("This test is over");
    browser.press("What it says").awaitAddress("/springs").sees("Change before the next event:");
  }

  @Test
  @Order(3)
  void theSimulatedTesterIsReadByOneKeyAndWhenATesterVanishesTypingGoesOn() {
    Bench bench = new Bench(browser).begin(v8, "MO");
    browser.fill("Its known load", "215");
    browser.press("Connect a tester").sees("How it is wired");
    browser.tabTo("Connect").keys(Keys.ENTER).sees("lever tester, simulated");
    browser.sees("steady").tabTo("The tester shows").keys("t").sees("multiplied by");
    for (int i = 0; i < 2; i++) {
      String before = bench.spring();
      browser.await(
          () -> {
            browser.keys("t");
            return !before.equals(browser.valveBeingRead());
          });
    }
    browser.sees("2/16");
    try (OtherTester other = new OtherTester()) {
      browser.script(
          "return fetch('/api/tester', {method: 'PUT', headers: {'Content-Type':"
              + " 'application/json'}, body: JSON.stringify({wire: 'TCP', address: arguments[0]})})"
              + ".then(r => r.status)",
          other.address());
      browser.sees("200.0");
      other.hangUp();
      browser.sees("the tester is gone");
    }
    bench.load(String.valueOf(bench.should()));
    browser.sees("3/16");
    browser.press("End of test").sees("The check spring once more");
    browser.press("Without it").sees("All read");
    browser.press("End the test").sees("This test is over");
  }

  /** A tester that shows 200 and hangs up when told. */
  private static final class OtherTester implements AutoCloseable {
    private final ServerSocket server;
    private final CountDownLatch told = new CountDownLatch(1);

    OtherTester() {
      try {
        server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
      Thread thread = new Thread(this::speak);
      thread.setDaemon(true);
      thread.start();
    }

    String address() {
      return "127.0.0.1:" + server.getLocalPort();
    }

    void hangUp() {
      told.countDown();
    }

    private void speak() {
      try (Socket caller = server.accept()) {
        OutputStream out = caller.getOutputStream();
        while (told.getCount() > 0) {
          out.write("LOAD 200.0 lbf\n".getBytes(StandardCharsets.US_ASCII));
          out.flush();
          LockSupport.parkNanos(50_000_000);
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }

    @Override
    public void close() {
      try {
        server.close();
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  @Test
  @Order(4)
  void aLoggersFileBecomesARun() throws IOException {
    StringBuilder csv = new StringBuilder("Time [s];Engine speed;Oil temp [°C]\n");
    for (int i = 0; i <= 1200; i++) {
      csv.append(i).append(";6000,0;95,5\n");
    }
    Path file = Files.writeString(Files.createTempFile("run", ".csv"), csv);
    browser.open(v8).press("Add a day's runs").sees("Or read a run");
    browser.upload("Or read a run from a logger's CSV", file);
    browser.sees("20.0 min running").sees("60000 cycles").sees("hottest 204 °F");
    browser.press("Take it as the next run").fill("Your initials", "KV");
    browser.press("Keep 1 run").sees("20 min");
    Path broken = Files.writeString(Files.createTempFile("run", ".csv"), "time,rpm\n1,2\n3,four\n");
    browser.press("Add a day's runs").upload("Or read a run from a logger's CSV", broken);
    browser.sees("line 3: a figure cannot be read").press("Close");
  }

  @Test
  @Order(5)
  void aNotebookIsLookedAtBeforeItIsKept() {
    browser.open(v8 + "/files").fill("Your initials", "MO");
    browser.tabBackTo("Table");
    browser.keys("date;engine_hours;valve;height_in;load\n2026-11-24;10,3;1I;1,950;tired\n");
    browser.press("Look at it").sees("\"tired\" in load is not a number");
    browser
        .tabTo("Table")
        .over("date;engine_hours;valve;height_in;load\n2026-11-24;10,3;1I;1,950;209,5\n");
    browser.press("Look at it").sees("Nothing is kept yet.");
    browser.press("Keep it").sees("Kept.");
  }

  @Test
  @Order(6)
  void theSpringSheetFitsOnePage() {
    browser.open(v8 + "/spring-sheet").sees("Seen today");
    assertThat(browser.printedPages()).isEqualTo(1);
  }

  @Test
  @Order(7)
  void anEnginesFileComesBackIn() throws IOException {
    String id = v8.replaceAll(".*/engines/", "");
    Path none = Files.writeString(Files.createTempFile("engine", ".json"), "no file of ours");
    browser.open(v8 + "/files").upload("Import an engine file", none).sees("is no engine file");
    String exported = shim.get("/api/engines/" + id + "/file");
    Path file = Files.writeString(Files.createTempFile("engine", ".json"), exported);
    browser.upload("Import an engine file", file);
    browser.await(() -> browser.address().endsWith("/engines/" + id));
    assertThat(shim.get("/api/engines/" + id + "/file")).isEqualTo(exported);
  }

  @Test
  @Order(8)
  void aFileOnASlowLineSaysHowFarItIsAndStopsAtAPress() throws IOException {
    String id = v8.replaceAll(".*/engines/", "");
    String renamed =
        shim.get("/api/engines/" + id + "/file").replace("Hill V8", "Another name altogether");
    Path file = Files.writeString(Files.createTempFile("engine", ".json"), renamed);
    try (FaultProxy line = new FaultProxy(shim, FaultProxy.Line.GOOD, 1)) {
      browser.open(line.url("/engines/" + id + "/setup/files")).sees("Import an engine file");
      line.goes(2_000);
      browser.upload("Import an engine file", file).sees("The file comes over the line");
      browser.sees("MB of").press("Stop").sees("Stopped. Nothing was changed.");
      line.goes(0);
      assertThat(shim.get("/api/engines")).doesNotContain("Another name altogether");
      // The box takes a file of the same name only from a hand that opens it.
      Path again = Files.copy(file, file.resolveSibling("again-" + file.getFileName()));
      browser.upload("Import an engine file", again);
      browser.await(() -> browser.address().endsWith("/engines/" + id));
      browser.sees("Another name altogether");
    }
  }
}
