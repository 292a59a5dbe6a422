package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A stranger's own inline six from a manual; two hands on one round; a sheet on one page. */
class OwnSixJourneyTest {
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

  private static String begin(String engine, String hand) {
    browser.open(shim.url("/engines/" + engine + "/start")).sees("Begin the round");
    browser.fill("Your initials", hand).press("Begin the round").awaitAddress("/rounds/");
    return browser.address();
  }

  @Test
  void anInlineSixFromAManualIsDescribedRunAndPrinted() {
    browser.open(shim.url("/engines/new")).press("Inline six").sees("Firing order");
    browser.fill("Name", "My six");
    browser.press("Keep this engine").sees("still open").sees("the rocker ratio is missing");
    browser.fill("Rocker ratio, intake", "1,5").fill("Adjuster thread", "5/16-24");
    browser.fill("Lift, intake", "0.27");
    browser.press("The card gives the four events");
    browser.fill("At tappet lift", "0.015");
    browser.fill("IVO", "18").fill("IVC", "58").fill("EVO", "59").fill("EVC", "17");
    browser.fill("Lash, intake", "0.012").fill("Lash, exhaust", "0.015");
    browser.sees("The valve really moves");
    browser.press("Keep this engine").sees("No lash round is on record yet");

    String engine = browser.address().replaceAll(".*/engines/", "");
    begin(engine, "JD");
    Round round = new Round(browser);
    for (int i = 0; i < 12; i++) {
      browser.await(() -> browser.text().contains("Stop"));
      if (round.crankMustMove()) {
        round.crankIsThere();
      }
      round.found(round.valve().contains("E") ? "15" : "12").fine();
    }
    browser.awaitAddress("/end").press("Sign off").sees("Signed off by JD");
    browser.press("Lash sheet").sees("1-5-3-6-2-4");
    assertThat(browser.printedPages()).isEqualTo(1);
  }

  /**
   * Fixed rockers on hydraulic lifters: from the sheet through a round by lengths to a signature.
   */
  @Test
  void aHydraulicFourWithFixedRockersIsSetByLengthAndNotSignedWithoutPreload() {
    browser.open(shim.url("/engines/new")).press("Inline four").sees("Firing order");
    browser.fill("Name", "My hydraulic four");
    browser.choose("Lifters", "flat tappet, hydraulic");
    browser.choose("Lash is set by", "fixed: pushrod length");
    browser.fill("Rocker ratio, intake", "1.5").fill("Plunger travel", "0.080");
    browser.fill("Preload from", "0.025").fill("Preload to", "0.060");
    browser.fill("Intake pushrod", "7.850").fill("Exhaust pushrod", "7.850");
    browser.fill("pushrods to be had", "7.850 7.875 7.900 7.925 7.950");
    browser.fill("Lift, intake", "0.27");
    browser.press("The card gives the four events");
    browser.fill("At tappet lift", "0.006");
    browser.fill("IVO", "18").fill("IVC", "58").fill("EVO", "59").fill("EVC", "17");
    browser.press("Add a class rule").fill("Rule", "some preload").fill("Source", "7.1");
    browser.tabTo("It asks for preload above zero").keys(Keys.SPACE);
    browser.press("Keep this engine").sees("Preload wanted").sees("the class wants it above zero");

    begin(browser.address().replaceAll(".*/engines/", ""), "JD");
    Round round = new Round(browser);
    // One pushrod may serve another valve: all are measured before any is changed.
    for (int i = 0; i < 8; i++) {
      browser.await(() -> browser.figureLabel().startsWith("As found") && browser.figureIsReady());
      if (round.crankMustMove()) {
        round.crankIsThere();
      }
      String valve = round.valve();
      browser.keys(i == 0 ? "7.850" : "7.820", Keys.ENTER);
      browser.await(() -> !round.valve().equals(valve));
    }
    while (!browser.text().contains("7/8")) {
      browser.await(() -> browser.figureLabel().startsWith("As left") && browser.figureIsReady());
      String valve = round.valve();
      boolean none = browser.text().contains("no preload, 0");
      if (!none && round.crankMustMove()) {
        round.crankIsThere();
      }
      browser.keys(none ? Keys.ARROW_RIGHT : Keys.ENTER);
      browser.await(() -> !round.valve().equals(valve));
    }
    browser.sees("no preload").sees("Fit 7.9000 in for 50 thou of plunger");
    browser.press("End of round").sees("Sign off");
    browser.fill("Note", "one is left").press("Sign off").sees("asks for preload above zero");
    browser.press("Go on with the round").sees("the pushrod fitted");
    if (round.crankMustMove()) {
      round.crankIsThere();
    }
    browser.keys("7.950", Keys.ENTER).sees("bottom the plunger");
    browser.over("7.900", Keys.ENTER).awaitAddress("/end").sees("the preload that is wanted");
    browser.fill("Note", "rule looked at").press("Sign off").sees("Signed off by JD");
  }

  @Test
  void everySchoolsBlankSheetFitsOnePage() {
    String engine = Sheets.putV8(shim);
    browser.open(shim.url("/engines/" + engine + "/sheet")).sees("firing order");
    for (String school : new String[] {"two trips", "compression TDC", "two stops"}) {
      browser.choose("Setting order", school).sees("never turn back");
      assertThat(browser.printedPages()).as(school).isEqualTo(1);
    }
  }

  @Test
  void twoHandsAtOneValveChooseWithOpenEyes() {
    String address = begin(Sheets.putV8(shim), "JD");
    Round mine = new Round(browser).crankIsThere();
    String valve = mine.valve();
    try (Browser other = new Browser(1280, 800)) {
      other.open(address).sees(valve);
      other.script("localStorage.setItem('shim.hand', 'MO')");
      other.open(address).sees(valve);
      browser.keys("2");
      new Round(other).found("22");
      browser.sees("found");
      browser.keys("0", Keys.ENTER).sees("MO has entered 22").sees("you read 20");
      browser.press("Put mine in its place").sees("As left: lock it");
      other.sees("by JD");
    }
    browser.keys("19", Keys.ENTER);
    browser.await(() -> !browser.valveNow().equals(valve));
    browser.press("End of round").sees("Adjusted and read again").sees("1 corrections");
  }

  @Test
  void whatWasTypedSurvivesAClosedPage() {
    browser.open(shim.url("/engines/new")).press("Flat four").sees("Firing order");
    browser.fill("Name", "Half a sheet").fill("Lift, intake", "abc").sees("is not a number");
    browser.fill("Lift, intake", "0.31");
    browser.open(shim.url("/")).open(shim.url("/engines/new"));
    browser.sees("What you had typed before is still here");
    browser.fill("Name", "").keys(Keys.TAB);
    browser.press("Throw it away").sees("Begin from the nearest");
  }
}
