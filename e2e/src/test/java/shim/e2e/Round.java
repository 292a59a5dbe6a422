package shim.e2e;

import org.openqa.selenium.Keys;

/** A technician on a lash round: speaks of valves and figures, not of pages. */
final class Round {
  private final Browser browser;

  Round(Browser browser) {
    this.browser = browser;
  }

  String valve() {
    return browser.valveNow();
  }

  /** Enter: the crank is at its stop, or on with what stands there. */
  Round enter() {
    ready();
    browser.keys(Keys.ENTER);
    return this;
  }

  /** The box takes the keys; a person waits for its cursor too. */
  Round ready() {
    browser.await(() -> browser.figureIsReady());
    return this;
  }

  Round crankIsThere() {
    enter();
    browser.await(
        () ->
            browser.text().contains("Went past") && !browser.text().contains("The crank is there"));
    return this;
  }

  /** Looked at once the page takes figures: before that it says nothing of the crank. */
  boolean crankMustMove() {
    ready();
    return browser.text().contains("The crank is there");
  }

  /** Types the figure as found and waits until Shim has taken it. */
  Round found(String figure) {
    browser.await(() -> browser.figureLabel().startsWith("As found") && browser.figureIsReady());
    browser.keys(figure, Keys.ENTER);
    browser.await(() -> !browser.figureLabel().startsWith("As found in"));
    return this;
  }

  /** Types what it reads after locking. */
  Round left(String figure) {
    browser.await(() -> browser.figureLabel().startsWith("As left") && browser.figureIsReady());
    browser.keys(figure, Keys.ENTER);
    return this;
  }

  /** As found is fine, by one key; waits for the next valve or the end. */
  Round fine() {
    String before = valve();
    enter();
    browser.await(() -> browser.address().endsWith("/end") || !browser.valveNow().equals(before));
    return this;
  }
}
