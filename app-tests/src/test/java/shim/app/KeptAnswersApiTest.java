package shim.app;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** An answer is kept until the records change, whoever asks. */
class KeptAnswersApiTest extends ApiTest {
  private static String mark(MvcTestResult answer) {
    return String.valueOf(answer.getResponse().getHeader("ETag"));
  }

  private MvcTestResult askedWith(String path, String mark) {
    return http.get().uri(path).header("If-None-Match", mark).exchange();
  }

  @Test
  void whoHasTheAnswerIsToldSoUntilSomethingChanges() {
    String engine = engine(resource("v8.json"));
    String hours = "/api/engines/" + engine + "/hours";
    MvcTestResult first = get(hours);
    assertThat(first).hasStatusOk();
    assertThat(first.getResponse().getHeader("Cache-Control")).isEqualTo("private, no-cache");
    assertThat(askedWith(hours, mark(first))).hasStatus(304);
    assertThat(text(get(hours))).isEqualTo(text(first));

    UUID event = UUID.randomUUID();
    put(
        "/api/events/" + event,
        "{\"engineId\":\"%s\",\"name\":\"Larch\",\"date\":\"2030-01-01\",\"plannedHours\":1.2}"
            .formatted(engine));
    MvcTestResult after = askedWith(hours, mark(first));
    assertThat(after).hasStatusOk();
    assertThat(text(after)).contains("Larch").isNotEqualTo(text(first));
    assertThat(mark(after)).isNotEqualTo(mark(first));
  }

  /** Asked twice by each: the first is computed, the second kept. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"gzip|true", "br, GZIP ;q=0.5|true", "gzip;q=0, br|false", "identity|false"})
  void anAnswerIsPackedForWhoTakesItPacked(String takes, boolean packed) throws IOException {
    String hours = "/api/engines/" + engine(resource("v8.json")) + "/hours";
    String plain = text(http.get().uri(hours).header("Cache-Control", "no-store").exchange());
    for (int time = 1; time <= 2; time++) {
      var answer = http.get().uri(hours).header("Accept-Encoding", takes).exchange().getResponse();
      assertThat(answer.getHeaders("Vary")).contains("Accept-Encoding");
      assertThat(answer.getHeader("Content-Encoding")).isEqualTo(packed ? "gzip" : null);
      byte[] body = answer.getContentAsByteArray();
      assertThat(answer.getContentLength()).isEqualTo(body.length);
      if (packed) {
        body = new GZIPInputStream(new ByteArrayInputStream(body)).readAllBytes();
      }
      assertThat(new String(body, UTF_8)).isEqualTo(plain);
    }
  }

  @Test
  void aRefusalIsNotKept() {
    String nowhere = "/api/engines/" + UUID.randomUUID();
    MvcTestResult refused = get(nowhere);
    assertThat(refused).hasStatus(404);
    assertThat(refused.getResponse().getHeader("ETag")).isNull();
    assertThat(get(nowhere)).hasStatus(404);
  }

  @Test
  void whatHangsByAnInstrumentIsAskedEveryTime() {
    assertThat(get("/api/tester").getResponse().getHeader("ETag")).isNull();
    assertThat(get("/api/danger").getResponse().getHeader("ETag")).isNull();
  }
}
