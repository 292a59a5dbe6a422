package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** With a wheel, a dial and a card: late or not, what the valves clear, which rods, what floats. */
class CamJourneyTest {
  private static RunningShim shim;
  private static Browser browser;

  @BeforeAll
  static void start() {
    shim = RunningShim.empty();
    browser = new Browser(1280, 800);
  }

  @AfterAll
  static void stop() {
    browser.close();
    shim.close();
  }

  private static void read(String figure, CharSequence key) {
    browser.await(
        () ->
            Boolean.TRUE.equals(
                browser.script(
                    "const e = document.activeElement;"
                        + "return e?.tagName === 'INPUT' && e.value === '' && e.offsetHeight > 90")));
    browser.keys(figure, key);
  }

  private static void sound() {
    assertThat(browser.axe()).isEmpty();
    assertThat(browser.coloursOfTheOtherTheme()).isEmpty();
    browser.size(800, 1280);
    assertThat(browser.sidewaysOverflow()).isZero();
    browser.size(1280, 800);
  }

  @Test
  void aCamIsDegreedFromTheKeyboardAndFoundLate() {
    String engine = Sheets.putSingle(shim);
    browser.open(shim.url("/engines/" + engine + "/cam")).sees("not degreed");
    browser.tabTo("Degree the cam").keys(Keys.ENTER).sees("Begin with the stop");
    browser.fill("Your initials", "KV").keys(Keys.ENTER).sees("Stop, before");
    sound();
    for (String figure : new String[] {"28.5", "31", "61", "154", "159", "66"}) {
      read(figure, Keys.ENTER);
    }
    browser.sees("1.5° late").sees("true TDC stands at 1.3° on the wheel");
    browser.sees("What the drive can do").sees("4 advanced");
    sound();
    browser.open(shim.url("/engines/" + engine + "/cam")).sees("1.5° late").sees("107.5°");
    browser.sees("usually left alone");
    sound();
  }

  @Test
  void aCheckerThatCannotReachProvesNothingThere() {
    String engine = Sheets.putSingle(shim);
    browser.open(shim.url("/engines/" + engine + "/cam/clearance")).sees("Piston to valve");
    browser.fill("Travel of spring or dial", "0.200").fill("Your initials", "KV");
    browser.keys(Keys.ENTER).sees("Readings are kept").sees("1I");
    read("0.030", "n");
    read("0.140", Keys.ENTER);
    browser.press("Write it down").sees("Intake valves");
    browser.fill("Valve to bore", "15").tabTo("Least gap wanted");
    browser.tabToNext("Valve to bore").keys("12").tabTo("Keep this").keys(Keys.ENTER);
    browser.sees("✓ kept");
    sound();
    browser.open(shim.url("/engines/" + engine + "/cam/clearance")).sees("not proved here");
    browser.sees("never met the piston").sees("What if");
    String before = leastGap();
    browser.tabTo("the cam is turned").keys(Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
    browser.sees("1° advanced").await(() -> !leastGap().equals(before));
    assertThat(Double.parseDouble(leastGap())).isLessThan(Double.parseDouble(before));
    sound();
  }

  private static String leastGap() {
    return String.valueOf(
            browser.script("return document.querySelector('[data-least-gap]').innerText"))
        .replace('−', '-');
  }

  @Test
  void pushrodsAreReadChosenAndPutOnTheList() {
    String engine = Sheets.putSingle(shim);
    browser.open(shim.url("/engines/" + engine + "/cam/pushrods")).sees("Pushrod length");
    browser.fill("Initials of who measures", "KV").tabTo("Begin measuring").keys(Keys.ENTER);
    read("7.850", Keys.ENTER);
    read("8.120", Keys.ENTER);
    browser.fill("Lengths that can be had", "7.800 7.850 7.900");
    browser.sees("1 of 2").sees("one-offs").sees("8.109");
    browser.press("Put 2 on the order list").sees("On the order list");
    sound();
    browser.open(shim.url("/parts/lists")).sees("pushrod 7.850 in").sees("8.109 one-off in");
  }

  @Test
  void aMeasuredLobeIsTakenInAndTellsWhereSpringsLoseHold(@TempDir Path folder) throws IOException {
    String engine = Sheets.putSingle(shim);
    Path cut = folder.resolve("cut.csv");
    Files.writeString(cut, table(-150));
    Path whole = folder.resolve("whole.csv");
    Files.writeString(whole, table(-200));
    browser.open(shim.url("/engines/" + engine + "/cam/lobes")).sees("everything goes by the card");
    browser.press("Take in a lift table").upload("A file with the table", cut);
    browser.press("Look at it").sees("Measure 20° more before");
    browser.upload("A file with the table", whole).press("Look at it").sees("lobe lift 0.400 in");
    assertThat(browser.axe()).isEmpty();
    browser.fill("Your initials", "KV").tabTo("Keep this lobe").keys(Keys.ENTER);
    browser.press("Let this lobe stand for all intakes").sees("go by this lobe");
    sound();
    browser.open(shim.url("/engines/" + engine + "/cam/side-by-side")).sees("by the card alone");
    sound();
    browser.open(shim.url("/engines/" + engine + "/cam/float"));
    browser.sees("wants the weights of the valve train").press("Write down the weights");
    browser.sees("Cam drive and springs");
  }

  /** Degrees and lift at the valve, ratio 1.6, from an angle on to 200 after the nose. */
  private static String table(int from) {
    StringBuilder csv = new StringBuilder("deg,lift in\n");
    for (int a = from; a <= 200; a += 4) {
      double x = a / 165.0;
      double lift = Math.abs(x) < 1 ? 0.640 * Math.pow(1 - x * x, 3) : 0;
      csv.append(String.format(Locale.ROOT, "%d,%.4f%n", a, lift));
    }
    return csv.toString();
  }
}
