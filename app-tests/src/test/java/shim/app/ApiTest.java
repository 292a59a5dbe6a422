package shim.app;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.http.MediaType;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/**
 * The whole application on an empty data folder, spoken to as the pages do, on a Tuesday that began
 * at seven: what fits into a day must not hang by the hour the tests are run.
 */
@SpringBootTest
@Import(ApiTest.Morning.class)
// A file that is sent would be printed with a failure, and Maven stumbles over it.
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
abstract class ApiTest {
  private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
  private static final LocalDateTime SEVEN = LocalDateTime.of(2026, 12, 1, 7, 0);
  protected static final Clock CLOCK =
      Clock.offset(
          Clock.systemDefaultZone(),
          Duration.between(Instant.now(), SEVEN.atZone(ZoneId.systemDefault()).toInstant()));

  @TestConfiguration(proxyBeanMethods = false)
  static class Morning {
    @Bean
    @Primary
    Clock morning() {
      return CLOCK;
    }
  }

  @Autowired protected MockMvcTester http;

  protected static LocalDate today() {
    return LocalDate.now(CLOCK);
  }

  @DynamicPropertySource
  static void emptyFolder(DynamicPropertyRegistry registry) {
    Path folder = temp();
    registry.add("shim.data", folder::toString);
  }

  private static Path temp() {
    try {
      return Files.createTempDirectory("shim-test");
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  protected MvcTestResult get(String path) {
    return http.get().uri(path).exchange();
  }

  protected MvcTestResult put(String path, String json) {
    return http.put().uri(path).contentType(MediaType.APPLICATION_JSON).content(json).exchange();
  }

  protected MvcTestResult post(String path, String json) {
    return http.post().uri(path).contentType(MediaType.APPLICATION_JSON).content(json).exchange();
  }

  protected MvcTestResult delete(String path) {
    return http.delete().uri(path).exchange();
  }

  /** The first of what a path finds, as text. */
  protected static String text(MvcTestResult r) {
    try {
      return r.getResponse().getContentAsString();
    } catch (java.io.UnsupportedEncodingException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  protected static String text(MvcTestResult result, String path) {
    String[] found = new String[1];
    assertThat(result)
        .bodyJson()
        .extractingPath(path)
        .asArray()
        .satisfies(all -> found[0] = String.valueOf(all[0]));
    return found[0];
  }

  /** An engine's file under other ids throughout, taken in, comes out as it went in. */
  protected void comesBackInAsAnotherEngine(String engineId) {
    String other = underOtherIds(text(get("/api/engines/" + engineId + "/file")));
    assertThat(put("/api/engine-files", other)).hasStatusOk();
    String there = "/api/engines/" + underOtherIds(engineId) + "/file";
    assertThat(text(get(there))).isEqualTo(other);
  }

  private static String underOtherIds(String text) {
    return ID.matcher(text)
        .replaceAll(m -> UUID.nameUUIDFromBytes(m.group().getBytes(UTF_8)).toString());
  }

  protected static String resource(String name) {
    try (var in = ApiTest.class.getResourceAsStream("/" + name)) {
      return new String(in.readAllBytes(), UTF_8);
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  /** Keeps the test V8, or another sheet, and returns its id. */
  protected String engine(String sheet) {
    String id = UUID.randomUUID().toString();
    if (put("/api/engines/" + id, sheet).getResponse().getStatus() != 200) {
      throw new AssertionError("engine refused");
    }
    return id;
  }

  /** Puts a set of springs in, one in every valve. */
  protected void fitSprings(String engineId, String setName) {
    String type = UUID.randomUUID().toString();
    put(
        "/api/spring-types/" + type,
        """
        {"name":"HV","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}]}""");
    put(
        "/api/engines/" + engineId + "/spring-sets/" + UUID.randomUUID(),
        """
        {"typeId":"%s","setName":"%s","engineHours":0,"hoursBefore":0,"heightIn":1.95,"hand":"KV"}"""
            .formatted(type, setName));
  }

  protected static String start(String engineId, String state, double hours) {
    return """
        {"engineId":"%s","state":"%s","hand":"KV","engineHours":%s,"school":"BEST_STOPS",
         "stops":2,"onMarks":false,"lookAtSprings":true}"""
        .formatted(engineId, state, hours);
  }

  protected static String entry(String valve, String phase, String figure, String basedOn) {
    return """
        {"valve":"%s","phase":"%s","form":"FIGURE","figure":%s,"typed":"%s","hand":"KV",
         "basedOn":%s}"""
        .formatted(valve, phase, figure, figure, basedOn);
  }
}
