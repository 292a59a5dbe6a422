package shim.app.http;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.databind.ObjectMapper;

/**
 * Worked examples of the calculations; the tests ask each and hold its answer. Read when somebody
 * asks for the document.
 */
@Lazy
@Component
class ApiExamples {
  private static final String FOLDER = "api-examples/";

  /**
   * One question with its answer.
   *
   * @param address under {@code /api/calc}
   */
  record Example(String address, Object ask, Object answer) {}

  private final Map<String, Example> all = new TreeMap<>();

  ApiExamples(ObjectMapper json) throws IOException {
    Resource[] files =
        new PathMatchingResourcePatternResolver().getResources("classpath*:" + FOLDER + "*.json");
    for (Resource file : files) {
      try (InputStream text = file.getInputStream()) {
        Example example = json.readValue(text, Example.class);
        all.put(example.address(), example);
      }
    }
  }

  Optional<Example> of(String address) {
    return Optional.ofNullable(all.get(address));
  }
}
