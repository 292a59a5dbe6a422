package shim.e2e;

/** The things of a page that can have the focus, by the names a person reads. */
final class Names {
  private static final String NAME =
      "const name = e => (e.getAttribute('aria-label')"
          + " || (e.labels && e.labels[0] && e.labels[0].innerText)"
          + " || e.innerText || e.tagName).trim();"
          + "const named = e => name(e).startsWith(arguments[0]);";

  private final Browser browser;

  Names(Browser browser) {
    this.browser = browser;
  }

  /** What has the focus. */
  String focused() {
    return String.valueOf(browser.script(NAME + "return name(document.activeElement)", ""));
  }

  /** Whether the page has such a thing: a form may come a moment after its page. */
  boolean has(String name) {
    return Boolean.TRUE.equals(
        browser.script(
            NAME
                + "return [...document.querySelectorAll("
                + "'a[href], button, input, select, textarea, summary, [tabindex]')].some(named)",
            name));
  }

  /**
   * Goes to the next box of that name as a click does, and says whether it is there: that Tab leads
   * to it is shown where a journey says {@code tabTo}.
   */
  boolean goTo(String label) {
    return Boolean.TRUE.equals(
        browser.script(
            NAME
                + "const now = document.activeElement;"
                + "window.goneTo = now;"
                + "if (named(now)) return true;"
                + "const boxes = [...document.querySelectorAll('input, select, textarea')]"
                + ".filter(e => !e.disabled && e.tabIndex >= 0 && e.checkVisibility()"
                + " && !e.closest('[inert], [aria-hidden=true]') && named(e));"
                + "const next = boxes.find(e => now.compareDocumentPosition(e) & 4) ?? boxes[0];"
                + "next?.focus();"
                + "window.goneTo = next;"
                + "return !!next && document.activeElement === next",
            label));
  }

  /** Whether the box that was gone to has the focus still: an answer may have taken it away. */
  boolean stillThere() {
    return Boolean.TRUE.equals(browser.script("return document.activeElement === window.goneTo"));
  }
}
