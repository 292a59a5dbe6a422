package shim.app.http;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;
import tools.jackson.databind.ObjectMapper;

/**
 * The one page of the front end. At each address it names beforehand which scripts the page there
 * is made of and what it will ask, so that a tablet on a slow line fetches all of it at once.
 */
@Component
class FrontPage {
  private static final String END_OF_HEAD = "</head>";
  private static final Pattern PLAIN = Pattern.compile("[\\w-]+");

  /**
   * As the front end's build tells it.
   *
   * @param path with {@code $id} where an id stands
   */
  record Told(String path, List<String> scripts, List<String> asks) {}

  /**
   * One page.
   *
   * @param scripts links to the scripts the page adds to what every page has
   */
  private record Page(PathPattern path, String scripts, List<String> asks) {}

  private final String html;
  private final List<Page> pages;

  @Autowired
  FrontPage(ObjectMapper json) throws IOException {
    this(
        Objects.requireNonNullElse(text("static/index.html"), "<!doctype html><title>Shim</title>"),
        List.of(
            json.readValue(
                Objects.requireNonNullElse(text("static/pages.json"), "[]"), Told[].class)));
  }

  FrontPage(String html, List<Told> told) {
    this.html = html;
    pages = told.stream().map(this::page).toList();
  }

  private static @Nullable String text(String name) throws IOException {
    try (InputStream file = FrontPage.class.getClassLoader().getResourceAsStream(name)) {
      return file == null ? null : new String(file.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private Page page(Told told) {
    String pattern = told.path().replaceAll("\\$(\\w+)", "{$1}");
    String scripts =
        told.scripts().stream()
            .map(s -> "/" + s)
            .filter(s -> !html.contains(s))
            .map(s -> "<link rel=\"modulepreload\" crossorigin href=\"" + s + "\">")
            .collect(Collectors.joining());
    return new Page(PathPatternParser.defaultInstance.parse(pattern), scripts, told.asks());
  }

  /** The page as it is sent for an address. */
  String at(String address) {
    PathContainer path = PathContainer.parsePath(address);
    return pages.stream()
        .filter(p -> p.path().matches(path))
        .min((a, b) -> PathPattern.SPECIFICITY_COMPARATOR.compare(a.path(), b.path()))
        .map(p -> html.replace(END_OF_HEAD, hints(p, path) + END_OF_HEAD))
        .orElse(html);
  }

  private static String hints(Page page, PathContainer path) {
    PathPattern.PathMatchInfo match = page.path().matchAndExtract(path);
    Map<String, String> ids = match == null ? Map.of() : match.getUriVariables();
    if (!ids.values().stream().allMatch(v -> PLAIN.matcher(v).matches())) {
      return page.scripts();
    }
    return page.asks().stream()
        .map(a -> "<link rel=\"preload\" as=\"fetch\" crossorigin href=\"" + filled(a, ids) + "\">")
        .collect(Collectors.joining("", "", page.scripts()));
  }

  private static String filled(String address, Map<String, String> ids) {
    String all = address;
    for (Map.Entry<String, String> id : ids.entrySet()) {
      all = all.replace("$" + id.getKey(), id.getValue());
    }
    return all;
  }
}
