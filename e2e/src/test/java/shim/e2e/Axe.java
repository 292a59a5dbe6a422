package shim.e2e;

import com.deque.html.axecore.providers.EmbeddedResourceAxeProvider;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.openqa.selenium.JavascriptExecutor;

/**
 * Axe in the page, asked for what is wrong and for nothing else: its list of all that is well is
 * longer than the page. A page of Shim has no frames.
 */
final class Axe {
  private static final String SCRIPT = script();
  private static final String ASK =
      "const done = arguments[1];"
          + "axe.run(document, { ...arguments[0], resultTypes: ['violations'] }).then(found => done("
          + "found.violations.filter(v => ['serious', 'critical'].includes(v.impact)).map(v => v.id + ': '"
          + " + v.nodes.slice(0, 3).map(n => n.html + ' ' + n.failureSummary).join(' | '))),"
          + " trouble => done(['axe failed: ' + trouble]))";

  private final JavascriptExecutor page;

  Axe(JavascriptExecutor page) {
    this.page = page;
  }

  private static String script() {
    try {
      return new EmbeddedResourceAxeProvider().getScript();
    } catch (Exception e) {
      throw new ExceptionInInitializerError(e);
    }
  }

  /** Serious and critical findings, in words; the options are axe's own. */
  Set<String> of(Map<String, ?> options) {
    if (!Boolean.TRUE.equals(page.executeScript("return !!window.axe"))) {
      page.executeScript(SCRIPT);
    }
    List<?> found = (List<?>) page.executeAsyncScript(ASK, options);
    return found.stream().map(String::valueOf).collect(Collectors.toSet());
  }
}
