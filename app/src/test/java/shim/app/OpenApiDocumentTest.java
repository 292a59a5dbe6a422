package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The front end's types come from web/openapi.json: it must be the application's own document. */
class OpenApiDocumentTest extends ApiTest {
  private static final Path KEPT = Path.of("..", "web", "openapi.json");
  @Autowired private JsonMapper json;

  @Test
  void theKeptDocumentIsTheApplicationsOwn() throws IOException {
    String served = get("/api/openapi").getResponse().getContentAsString();
    String pretty =
        json.writer()
                .with(SerializationFeature.INDENT_OUTPUT)
                .writeValueAsString(json.readTree(served))
            + "\n";
    if (Boolean.getBoolean("shim.openapi.write")) {
      Files.writeString(KEPT, pretty);
    }
    assertThat(Files.readString(KEPT))
        .as("the API changed: run ./shim types and commit what it renews")
        .isEqualTo(pretty);
  }
}
