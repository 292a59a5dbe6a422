package shim.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.openqa.selenium.Keys;
import org.openqa.selenium.json.Json;
import org.openqa.selenium.json.TypeToken;

/** On the demo: the round with its troubles, two devices, every view, and the pictures. */
class DemoJourneyTest {
  private static final Json JSON = new Json();
  private static RunningShim shim;
  private static Browser browser;

  @BeforeAll
  static void start() {
    shim = RunningShim.demo();
    browser = new Browser(1280, 800);
  }

  @AfterAll
  static void stop() {
    browser.close();
    shim.close();
  }

  private static String engine(String name) {
    browser.open(shim.url("/")).press(name).awaitAddress("/engines/");
    return browser.address().replaceAll(".*/engines/", "");
  }

  private static String begin(String engineName, String hand) {
    String id = engine(engineName);
    browser.open(shim.url("/engines/" + id + "/start")).sees("Begin the round");
    browser.fill("Your initials", hand).press("Begin the round").awaitAddress("/rounds/");
    return browser.address().replaceAll(".*/rounds/", "");
  }

  @Test
  void anOpenValveIsTurnedLockedAndReadAgainAndTheOtherDeviceSeesIt() {
    String id = begin("Hill V8", "KV");
    Round round = new Round(browser).crankIsThere();
    String valve = round.valve();
    round.found("26");
    browser.sees("wide, over by").sees("Tighten").sees("Drift").sees("Hold the adjuster");
    round.left("24");
    browser.sees("As left, read again after setting");
    round.left("19");
    try (Browser second = new Browser(800, 1280)) {
      second.open(shim.url("/rounds/" + id)).sees("1/16");
      second.sees("goes / not");
      String theirs = new Round(second).valve();
      assertThat(theirs).isNotEqualTo(valve);
      new Round(second).found("19").fine();
      browser.sees("2/16");
    }
  }

  @Test
  void aSlipIsAskedAboutAndATrueSurpriseIsKept() {
    begin("Paddock four", "MO");
    Round round = new Round(browser);
    if (round.crankMustMove()) {
      round.crankIsThere();
    }
    round.ready();
    browser.keys("160", Keys.ENTER).sees("ten times the");
    browser.keys("16", Keys.ENTER).sees("As left: lock it");
    // At once, without waiting for an answer: what is typed after "take back" is the new figure.
    browser.keys("u", "18/17", Keys.ENTER).sees("the leaf that goes is the thinner one");
    browser.over("16+", Keys.ENTER).sees("try the next leaf");
    browser.over("160", Keys.ENTER).sees("ten times the");
    browser.keys(Keys.ENTER).sees("As left: lock it");
    browser.keys("s");
    browser.keys("k").sees("Stop");
  }

  /** Every page of every engine speaks of the same hours: those that Shim gives. */
  @Test
  void everyPageOfEveryEngineAgreesOnItsHours() {
    List<Map<String, Object>> engines =
        JSON.toType(
            shim.get("/api/engines"), new TypeToken<List<Map<String, Object>>>() {}.getType());
    for (Map<String, Object> one : engines) {
      String id = String.valueOf(one.get("id"));
      double hours = ((Number) answer(id, "/hours").get("hours")).doubleValue();
      for (String page : List.of("/springs", "/lifters", "/readiness")) {
        assertThat(((Number) answer(id, page).get("engineHours")).doubleValue())
            .as(one.get("name") + page)
            .isEqualTo(hours);
      }
      String shown = String.format(Locale.ROOT, "%.1f", hours);
      browser.open(shim.url("/engines/" + id)).sees("now " + shown + " h");
      browser.open(shim.url("/engines/" + id + "/start")).sees("Begin the round");
      assertThat(browser.valueOf("Engine hours now"))
          .isEqualTo(String.valueOf(Math.round(hours * 100) / 100.0).replaceAll("\\.0$", ""));
    }
  }

  private static Map<String, Object> answer(String engine, String page) {
    return JSON.toType(shim.get("/api/engines/" + engine + page), Json.MAP_TYPE);
  }

  @Test
  void goingPastAStopSaysWhatMayBeSetThere() {
    begin("Hill V8", "KV");
    new Round(browser).crankIsThere();
    browser.keys("p").sees("Do not turn back").sees("May be set where it stands");
    browser.press("Go round").sees("Stop 1");
  }

  @Test
  void hydraulicPreloadIsReadInTurnsAndBottomingIsRefused() {
    begin("Night V8", "MO");
    Round round = new Round(browser).crankIsThere();
    browser.keys("1/4", Keys.ENTER).sees("Tighten 90°");
    browser.keys("2", Keys.ENTER).sees("would bottom");
    browser.over("0", Keys.ENTER).sees("above zero");
    browser.over("1/2", Keys.ENTER);
    assertThat(round.valve()).isNotEmpty();
  }

  @Test
  void aFixedRockerShowsWhatEachPushrodWouldGive() {
    engine("Workshop six");
    browser.press("Go on with the round").awaitAddress("/rounds/").sees("Pushrod in place");
    browser.press("1I, 7").sees("Fit 9.7850 in for a lash of");
  }

  @Test
  void theHoursRailTakesThePlanBack() {
    engine("Hill V8");
    browser.sees("As left").press("Hot round at 3.6 h").sees("as it was at 3.6 h");
    browser.press("5E, ").sees("lash in thou over engine hours");
  }

  @Test
  void aHydraulicEnginesHistoryIsInTurns() {
    String id = engine("Night V8");
    browser.open(shim.url("/engines/" + id + "/lash"));
    browser.sees("preload in turns").sees("The plunger hides wear");
  }

  @Test
  void theKeysOfAScreenAreListedInOnePlace() {
    browser.open(shim.url("/")).press("Keys").sees("the crank went past its stop");
    browser.keys(Keys.ESCAPE);
    browser.await(() -> !browser.text().contains("the crank went past its stop"));
  }

  private static List<String> views() {
    String v8 = engine("Hill V8");
    String signed = shim.get("/api/engines/" + v8 + "/rounds");
    String round = signed.replaceAll("(?s).*?\"id\":\"([^\"]+)\"[^}]*\"signedBy\".*", "$1");
    String six = engine("Workshop six");
    String open =
        shim.get("/api/engines/" + six + "/rounds")
            .replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    List<String> views =
        new ArrayList<>(List.of("/", "/engines", "/engines/new", "/parts", "/parts/lists"));
    for (String view :
        List.of(
            "",
            "/lash",
            "/lash/order",
            "/lash/sheet",
            "/setup",
            "/start",
            "/springs",
            "/test",
            "/setup/springs",
            "/spring-sheet",
            "/pockets",
            "/spring-compare",
            "/spring-box",
            "/order-sheet",
            "/change",
            "/setup/changes",
            "/setup/files",
            "/lifters",
            "/lifters?valve=5E",
            "/inspect",
            "/inspect?pass=covers",
            "/inspect?pass=lobes")) {
      views.add("/engines/" + v8 + view);
    }
    views.addAll(
        List.of(
            "/rounds/" + open,
            "/rounds/" + open + "/bar",
            "/rounds/" + round + "/end",
            "/rounds/" + round + "/sheet",
            "/tests/" + springTest(v8),
            "/practice",
            "/jobs/" + job(engine("Paddock four"))));
    String head = shim.get("/api/heads").replaceAll("(?s).*?\"id\":\"([^\"]+)\".*", "$1");
    views.add("/parts/heads");
    // Assembling, the book and the box are looked at in their own journey.
    for (String view : List.of("", "/measure", "/springs", "/order", "/on")) {
      views.add("/heads/" + head + view);
    }
    return views;
  }

  /** A job that stands before its first step. */
  private static String job(String engine) {
    String id = "22222222-2222-4222-8222-222222222222";
    shim.put(
        "/api/jobs/" + id,
        """
        {"engineId":"%s","engineHours":2.5,"hand":"MO","ask":{"kind":"IN_CAR","hold":"PISTON",
         "intakeOff":false,"innerOut":false,"state":"COLD","valves":[{"valve":"2E",
         "newSeal":true,"sameAgain":true,"standIn":false}]}}"""
            .formatted(engine));
    return id;
  }

  /** A test with the check spring and two springs read, standing at the third. */
  private static String springTest(String engine) {
    String id = "11111111-1111-4111-8111-111111111111";
    shim.put(
        "/api/spring-tests/" + id,
        """
        {"engineId":"%s","engineHours":10.1,"place":"HEAD","state":"COLD","order":"FIRING",
         "tester":"lever tester","repeats":1,"hand":"KV"}"""
            .formatted(engine));
    shim.put(
        "/api/spring-tests/" + id + "/checks/11111111-1111-4111-8111-111111111112",
        """
        {"name":"check spring 1","knownLbf":215,"loadLbf":212,"side":"START","hand":"KV"}""");
    shim.put(
        "/api/spring-tests/" + id + "/readings/11111111-1111-4111-8111-111111111113",
        """
        {"valve":"1I","heightIn":1.95,"loadLbf":210,"member":"WHOLE","again":false,"hand":"KV"}""");
    return id;
  }

  @Test
  void theCrewChiefKnowsWhoDoesWhatAndWhatALatePartMeans() {
    browser.open(shim.url("/")).sees("to spare").sees("decides the end");
    browser.sees("Order today").sees("it cannot arrive before the truck");
    browser.fill("Your initials", "KV").press("Work to this plan");
    browser.await(() -> !browser.text().contains("Nobody has agreed"));

    browser.press("Outer spring").sees("This waits for it").press("measured, goes back");
    browser.fill("Days it takes", "9").fill("What else is wrong with it", "a nick in the wire");
    browser.keys(Keys.ENTER).sees("not ready by then").sees("Other than agreed");
    browser.sees("refused: a nick in the wire");

    browser.press("Outer spring").press("measured, good").fill("Its load", "221");
    browser.keys(Keys.ENTER).sees("to spare");
  }

  @Test
  void aTaskIsAddedByKeyboardAndWhatWaitsForItselfIsRefused() {
    browser.open(shim.url("/")).sees("to spare").press("A task");
    browser.fill("What is to be done", "Tape the ducts").fill("Minutes", "10");
    browser.keys(Keys.ENTER).sees("Tape the ducts");
    browser.press("Who is there").sees("KV").press("Somebody more");
    browser.fill("Name or initials", "kv").keys(Keys.ENTER);
    browser.sees("somebody of that name is in the team already");
  }

  @Test
  void everyViewIsAccessibleInBothThemesAndSizesAndNeverScrollsSideways() {
    TreeSet<String> wrong = new TreeSet<>();
    for (String view : views()) {
      browser.size(1280, 800);
      browser.open(shim.url(view));
      look(view, browser::axe, wrong);
      // A theme is colours and nothing else, and they are the same however the tablet is held.
      browser.coloursOfTheOtherTheme().forEach(f -> wrong.add(view + " in the other theme " + f));
      if (AT_THE_CAR.stream().anyMatch(view::contains)) {
        browser.size(800, 1280);
        look(view + " upright", browser::axeWithoutColours, wrong);
      }
    }
    browser.size(1280, 800);
    assertThat(String.join("\n", wrong)).isEmpty();
  }

  /** A tablet is held upright for these. */
  private static final List<String> AT_THE_CAR =
      List.of(
          "/rounds",
          "/tests",
          "/jobs",
          "/start",
          "/inspect?",
          "/lifters?",
          "/pockets",
          "/test",
          "/measure");

  private static void look(String view, Supplier<Set<String>> axe, Set<String> wrong) {
    browser.await(() -> !browser.text().contains("One moment"));
    String at = view.replaceAll("[0-9a-f-]{36}", "…") + ": ";
    axe.get().forEach(f -> wrong.add(at + f));
    browser.smallTargets().forEach(t -> wrong.add(at + "small " + t));
    if (browser.sidewaysOverflow() > 0) {
      wrong.add(at + "scrolls sideways by " + browser.sidewaysOverflow());
    }
  }

  @Test
  @EnabledIfSystemProperty(named = "shim.shots", matches = "true")
  void pictures() throws Exception {
    Path folder = Files.createDirectories(Path.of("..", "docs", "screenshots"));
    List<String> views = views();
    List<String> names =
        List.of(
            "home",
            "",
            "",
            "",
            "",
            "engine",
            "lash-history",
            "setting-order",
            "",
            "",
            "",
            "springs",
            "",
            "",
            "",
            "pockets",
            "",
            "",
            "",
            "change-plan",
            "",
            "",
            "",
            "lifter-story",
            "",
            "inspection",
            "",
            "round",
            "",
            "round-end",
            "",
            "spring-test",
            "",
            "",
            "",
            "head",
            "",
            "head-springs",
            "",
            "");
    for (int i = 0; i < views.size(); i++) {
      if (names.get(i).isEmpty()) {
        continue;
      }
      boolean upright = List.of("round", "bar", "spring-test", "inspection").contains(names.get(i));
      browser.size(upright ? 800 : 1280, upright ? 1280 : 800);
      browser.open(shim.url(views.get(i)));
      browser.theme(i % 2 == 0 ? "dark" : "light");
      browser.await(() -> !browser.text().contains("One moment"));
      browser.script("return document.fonts.ready.then(() => 1)");
      browser.picture(folder.resolve(names.get(i) + ".png"));
    }
    browser.size(1280, 800);
    browser.open(shim.url("/engines/" + engine("Hill V8") + "/springs"));
    browser.press("3E, ").sees("In its pocket");
    browser.picture(folder.resolve("spring-life.png"));
    for (String cam : List.of("", "/clearance", "/float")) {
      browser.open(shim.url("/engines/" + engine("Hill V8") + "/cam" + cam));
      browser.await(() -> !browser.text().contains("One moment"));
      browser.picture(folder.resolve("cam" + cam.replace('/', '-') + ".png"));
    }
    browser.size(800, 1280);
    browser.open(shim.url("/jobs/" + job(engine("Paddock four"))));
    new Walker(browser, shim).to("2E:SPRING_OUT");
    browser.sees("2E is unhooked");
    browser.picture(folder.resolve("walk.png"));
    browser.size(1280, 800);
  }
}
