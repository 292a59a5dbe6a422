package shim.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.print.PageSize;
import org.openqa.selenium.print.PrintOptions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A real browser in a person's hands: what they see by its words, what they press. */
final class Browser implements AutoCloseable {
  /**
   * Longer than the page's own: a call is given up after 12 s and tried again 8 s later at most,
   * and a busy machine may need its time for the answer.
   */
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  private static final String COLOURS = "color-contrast";

  private final ChromeDriver driver;
  private final Names names = new Names(this);
  private final Axe axe;

  Browser(int width, int height) {
    this(width, height, List.of());
  }

  /** With more to tell the browser at its start, such as which names it knows. */
  Browser(int width, int height, List<String> more) {
    ChromeOptions options = new ChromeOptions();
    options.setBinary("/usr/bin/chromium");
    options.addArguments(
        "--headless=new",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--hide-scrollbars",
        "--lang=en",
        "--user-data-dir=" + freshProfile());
    options.addArguments(more);
    ChromeDriverService service =
        new ChromeDriverService.Builder()
            .usingDriverExecutable(new File("/usr/bin/chromedriver"))
            .build();
    driver = new ChromeDriver(service, options);
    axe = new Axe(driver);
    size(width, height);
  }

  private static Path freshProfile() {
    try {
      return Files.createTempDirectory("shim-browser");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Sets the page's own size; the window's frame does not count. */
  void size(int width, int height) {
    driver.manage().window().setSize(new Dimension(width, height));
    Long innerWidth = (Long) script("return window.innerWidth");
    Long innerHeight = (Long) script("return window.innerHeight");
    driver
        .manage()
        .window()
        .setSize(
            new Dimension(2 * width - innerWidth.intValue(), 2 * height - innerHeight.intValue()));
  }

  Browser open(String url) {
    driver.get(url);
    return this;
  }

  String address() {
    return driver.getCurrentUrl();
  }

  void theme(String theme) {
    script("localStorage.setItem('shim.theme', arguments[0])", theme);
    driver.navigate().refresh();
    await(() -> theme.equals(script("return document.documentElement.dataset.theme")));
  }

  Object script(String js, Object... args) {
    return ((JavascriptExecutor) driver).executeScript(js, args);
  }

  /** What a script gives to its {@code done}, once it does. */
  private Object answer(String js) {
    return ((JavascriptExecutor) driver)
        .executeAsyncScript("const done = arguments[arguments.length - 1];" + js);
  }

  interface Condition {
    boolean holds();
  }

  /** Waits until something holds; a page that redraws meanwhile is asked again. */
  void await(Condition condition) {
    await(condition, PATIENCE);
  }

  /** The same where the line, or the machine, is slow on purpose. */
  void await(Condition condition, Duration patience) {
    try {
      new WebDriverWait(driver, patience, Duration.ofMillis(80))
          // What a sheet still covers, nobody could press yet.
          .ignoring(StaleElementReferenceException.class, ElementClickInterceptedException.class)
          .until(d -> condition.holds());
    } catch (TimeoutException e) {
      throw new AssertionError("waited in vain; the page at " + address() + " says:\n" + text(), e);
    }
  }

  /** Makes the page's processor so many times slower. */
  void slowDown(int times) {
    driver.executeCdpCommand("Emulation.setCPUThrottlingRate", Map.of("rate", times));
  }

  /** Opens the same page anew. */
  Browser again() {
    driver.navigate().refresh();
    return this;
  }

  /** The application itself lies on this device. */
  boolean opensWithoutNetwork() {
    return Boolean.TRUE.equals(
        answer(
            "navigator.serviceWorker.getRegistration().then(async r => done("
                + "!!r?.active && (await caches.keys()).length > 0));"));
  }

  /** What was seen last lies on this device too, with this in it: it is written a moment later. */
  boolean keepsAsSeen(String words) {
    Object kept =
        answer(
            "const open = indexedDB.open('keyval-store');"
                + "open.onerror = () => done('');"
                + "open.onsuccess = () => {"
                + "  const get = open.result.transaction('keyval').objectStore('keyval')"
                + "    .get('shim.last-seen');"
                + "  get.onerror = () => done('');"
                + "  get.onsuccess = () => { open.result.close(); done(get.result || ''); };"
                + "};");
    return String.valueOf(kept).contains(words);
  }

  /** What the page shows, as the browser itself tells it: the driver's own way takes far longer. */
  String text() {
    return String.valueOf(script("return document.body.innerText.replaceAll('\\u00a0', ' ')"));
  }

  /** Waits until the page says this. */
  Browser sees(String words) {
    try {
      await(() -> text().contains(words));
    } catch (AssertionError e) {
      throw new AssertionError("never saw \"" + words + "\": " + e.getMessage(), e);
    }
    return this;
  }

  Browser awaitAddress(String part) {
    await(() -> address().contains(part));
    return this;
  }

  /** Presses a button or link by its words. */
  Browser press(String words) {
    By named =
        By.xpath(
            "//*[self::button or self::a or self::summary or @role='button' or @role='radio']"
                + "[starts-with(normalize-space(.), \""
                + words
                + "\") or starts-with(@aria-label, \""
                + words
                + "\")]");
    await(
        () -> {
          WebElement found = driver.findElement(named);
          if (!found.isEnabled()) {
            return false;
          }
          found.click();
          return true;
        });
    return this;
  }

  /** Presses a key of the keypad on screen. */
  Browser thumb(String key) {
    By named = By.cssSelector("fieldset[aria-label=Keypad] button[aria-label='" + key + "']");
    await(
        () -> {
          driver.findElement(named).click();
          return true;
        });
    return this;
  }

  /** Types on the keyboard into whatever has the focus. */
  Browser keys(CharSequence... keys) {
    new Actions(driver).sendKeys(keys).perform();
    return this;
  }

  /** Types anew over what stands in the box that has the focus. */
  Browser over(CharSequence... keys) {
    focused().sendKeys(Keys.chord(Keys.CONTROL, "a"));
    focused().sendKeys(keys);
    return this;
  }

  private WebElement focused() {
    return driver.switchTo().activeElement();
  }

  /** Presses Tab until the named thing has the focus: all that a keyboard alone can do. */
  Browser tabTo(String name) {
    await(() -> names.has(name));
    return keysTo(Keys.TAB, name);
  }

  private Browser keysTo(CharSequence key, String name) {
    for (int i = 0; i < 160; i++) {
      if (names.focused().startsWith(name)) {
        return this;
      }
      keys(key);
    }
    throw new AssertionError("Tab never reached \"" + name + "\", last: " + names.focused());
  }

  /** Waits until the named thing has the focus. */
  Browser awaitFocus(String name) {
    await(() -> names.focused().startsWith(name));
    return this;
  }

  Browser tabToNext(String name) {
    keys(Keys.TAB);
    return tabTo(name);
  }

  /** Goes to a box and fills it anew. */
  Browser fill(String label, String value) {
    await(
        () -> {
          if (!names.goTo(label)) {
            return false;
          }
          focused().sendKeys(Keys.chord(Keys.CONTROL, "a"), value);
          return names.stillThere();
        });
    return this;
  }

  /** What stands in a box. */
  String valueOf(String label) {
    await(() -> names.goTo(label));
    return String.valueOf(focused().getDomProperty("value"));
  }

  String figureLabel() {
    return driver.findElement(By.cssSelector("label[for=figure]")).getText();
  }

  /** The box has the cursor and the last figure is with Shim. */
  boolean figureIsReady() {
    return Boolean.TRUE.equals(
        script(
            "return document.activeElement?.id === 'figure'"
                + " && !document.querySelector('[aria-busy=true]')"));
  }

  /** The panel with one-key answers has the keys, or its box has, and nothing is on its way. */
  boolean panelIsReady() {
    return Boolean.TRUE.equals(
        script(
            "return document.activeElement?.closest('[data-question]') !== null"
                + " && !document.querySelector('[aria-busy=true]')"));
  }

  /** Shim has all that was entered on this device. */
  boolean nothingWaits() {
    return "[]".equals(script("return localStorage.getItem('shim.outbox') ?? '[]'"));
  }

  String valveNow() {
    return driver.findElement(By.cssSelector("section[aria-label^='Valve '] h2")).getText();
  }

  /** The spring that a test asks for now; empty on other steps. */
  String valveBeingRead() {
    return driver.findElements(By.cssSelector("[data-valve-now]")).stream()
        .findFirst()
        .map(WebElement::getText)
        .orElse("");
  }

  /** Puts a file into a box for files. */
  Browser upload(String label, Path file) {
    By box =
        By.xpath(
            "//label[contains(., \"%1$s\")]//input[@type='file'] | //input[@type='file'][@aria-label=\"%1$s\"]"
                .formatted(label));
    await(
        () -> {
          driver.findElement(box).sendKeys(file.toAbsolutePath().toString());
          return true;
        });
    return this;
  }

  /** Goes back with Shift and Tab until the named box has the focus. */
  Browser tabBackTo(String name) {
    return keysTo(Keys.chord(Keys.SHIFT, Keys.TAB), name);
  }

  /** Axe's serious and critical findings, in words. */
  Set<String> axe() {
    return axe.of(Map.of());
  }

  /** All but the colours. */
  Set<String> axeWithoutColours() {
    return axe.of(Map.of("rules", Map.of(COLOURS, Map.of("enabled", false))));
  }

  /** What axe says of the colours of the theme that is not on. */
  Set<String> coloursOfTheOtherTheme() {
    Object before =
        script(
            "const of = document.documentElement.dataset, before = of.theme;"
                + "of.theme = before === 'dark' ? 'light' : 'dark'; return before;");
    try {
      return axe.of(Map.of("runOnly", List.of(COLOURS)));
    } finally {
      script("document.documentElement.dataset.theme = arguments[0]", before);
    }
  }

  /** Widest overflow of the page, pixels: a page never scrolls sideways. */
  long sidewaysOverflow() {
    return (Long)
        script(
            "return document.documentElement.scrollWidth - document.documentElement.clientWidth");
  }

  /** Visible buttons, links and boxes of the work at hand that a gloved thumb would miss. */
  List<?> smallTargets() {
    return (List<?>)
        script(
            "return [...document.querySelectorAll('main button, main select, main input')]"
                + ".filter(e => e.offsetParent)"
                // What is pressed with a small box in it is its label.
                + ".map(e => ['checkbox', 'radio', 'file'].includes(e.type)"
                + " && e.closest('label') || e)"
                + ".filter(e => { const b = e.getBoundingClientRect();"
                + " return b.height < 43.5 && b.width > 0; })"
                + ".map(e => (e.innerText || e.ariaLabel || e.id) + ' '"
                + " + e.getBoundingClientRect().height)");
  }

  /** Chooses an entry of a list by its words. */
  Browser choose(String label, String words) {
    By list =
        By.xpath(
            "//label[contains(., \""
                + label
                + "\")]//select | //select[@id=//label[contains(., \""
                + label
                + "\")]/@for]");
    await(
        () -> {
          Optional<WebElement> option =
              new Select(driver.findElement(list))
                  .getOptions().stream().filter(o -> o.getText().contains(words)).findFirst();
          option.ifPresent(WebElement::click);
          return option.isPresent();
        });
    return this;
  }

  /** How many sheets of paper the page takes. */
  int printedPages() {
    PrintOptions a4 = new PrintOptions();
    a4.setPageSize(new PageSize(29.7, 21.0));
    byte[] pdf = Base64.getDecoder().decode(driver.print(a4).getContent());
    Matcher pages =
        Pattern.compile("/Type\\s*/Page[^s]").matcher(new String(pdf, StandardCharsets.ISO_8859_1));
    int count = 0;
    while (pages.find()) {
      count++;
    }
    return count;
  }

  void picture(Path file) {
    try {
      Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void close() {
    driver.quit();
  }
}
