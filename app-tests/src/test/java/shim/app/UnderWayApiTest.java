package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.jayway.jsonpath.JsonPath;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import shim.app.http.Progress.Stage;
import shim.app.http.Refusal;
import shim.app.http.UnderWay;

/**
 * Long work that is followed and stopped. A call made inside one that is followed is that work: it
 * runs on the same thread, so no test here waits for a moment.
 */
class UnderWayApiTest extends ApiTest {
  private final String id = UUID.randomUUID().toString();

  @Autowired private UnderWay underWay;

  @Value("${shim.data}")
  private String data;

  private <T> T followed(Supplier<T> work) throws Exception {
    MockHttpServletRequest request = new MockHttpServletRequest("PUT", "/api/engine-files");
    request.addHeader("Shim-Work", id);
    AtomicReference<T> answer = new AtomicReference<>();
    underWay.doFilter(request, new MockHttpServletResponse(), (q, a) -> answer.set(work.get()));
    return answer.get();
  }

  private MvcTestResult stopped(Supplier<MvcTestResult> work) throws Exception {
    return followed(
        () -> {
          assertThat(delete("/api/under-way/" + id)).hasStatusOk();
          return work.get();
        });
  }

  private static void saysSo(MvcTestResult answer) {
    assertThat(answer).hasStatus(409).bodyText().contains("stopped, as you asked: nothing was");
  }

  private String far() {
    return text(get("/api/under-way/" + id));
  }

  private String fileOf(String engine) {
    return text(get("/api/engines/" + engine + "/file"))
        .replace(engine, UUID.randomUUID().toString());
  }

  private String engineWithTwoEvents() {
    String engine = engine(resource("v8.json"));
    for (String name : List.of("Sprint", "Final")) {
      put(
          "/api/events/" + UUID.randomUUID(),
          "{\"engineId\":\"%s\",\"name\":\"%s\",\"date\":\"2099-06-01\",\"plannedHours\":1}"
              .formatted(engine, name));
    }
    return engine;
  }

  @Test
  void howFarItIsIsToldAsLongAsItRuns() throws Exception {
    String during =
        followed(
            () -> {
              underWay.here().at(Stage.TAKING_IN, 3, 8);
              return far();
            });
    assertThat(during).isEqualTo("{\"stage\":\"TAKING_IN\",\"done\":3,\"all\":8,\"stops\":true}");
    assertThat(far()).isEqualTo("{\"stage\":\"WAITING\",\"done\":0,\"all\":0,\"stops\":true}");
    assertThat(delete("/api/under-way/" + id)).as("over").hasStatus(409);
  }

  @Test
  void aFileSaysHowMuchOfItHasComeAndIsNotReadOnOnceItIsStopped() throws Exception {
    MockHttpServletRequest request = new MockHttpServletRequest("PUT", "/api/engine-files");
    request.addHeader("Shim-Work", id);
    request.setContent("{\"format\":\"shim-engine\"}".getBytes(StandardCharsets.UTF_8));
    underWay.doFilter(
        request,
        new MockHttpServletResponse(),
        (q, a) -> {
          InputStream body = q.getInputStream();
          assertThat(body.readNBytes(10)).hasSize(10);
          assertThat(far()).contains("\"stage\":\"ARRIVING\",\"done\":10,\"all\":24");
          assertThat(body.read()).isEqualTo('"');
          assertThat(far()).contains("\"done\":11");
          assertThat(delete("/api/under-way/" + id)).hasStatusOk().bodyText().contains("ARRIVING");
          assertThatThrownBy(body::read).isInstanceOf(Refusal.class);
        });
  }

  @Test
  void whatReplacesGoesThrough() throws Exception {
    followed(
        () -> {
          underWay.here().at(Stage.REPLACING, 0, 0);
          assertThat(delete("/api/under-way/" + id)).hasStatus(409);
          underWay.here().at(Stage.REPLACING, 1, 1);
          return far();
        });
  }

  @Test
  void whatWasStoppedEndsAtItsNextStep() throws Exception {
    followed(
        () -> {
          underWay.here().at(Stage.TAKING_IN, 1, 8);
          assertThat(delete("/api/under-way/" + id)).hasStatusOk();
          assertThatThrownBy(() -> underWay.here().at(Stage.TAKING_IN, 2, 8))
              .isInstanceOf(Refusal.class);
          return "";
        });
  }

  @Test
  void anImportThatIsStoppedHasKeptNothing() throws Exception {
    String file = fileOf(engineWithTwoEvents());
    String came = JsonPath.read(file, "$.id");
    // The file's own events are kept already under their ids: they go as new ones.
    String anew = file.replaceAll("\"id\":\"(?!" + came + ")[0-9a-f-]{36}\"", "\"id\":\"%s\"");
    String whole = anew.formatted(Stream.generate(UUID::randomUUID).limit(99).toArray());
    saysSo(stopped(() -> put("/api/engine-files", whole)));
    assertThat(get("/api/engines/" + came)).hasStatus(404);
    String far =
        followed(
            () -> {
              assertThat(put("/api/engine-files", whole)).hasStatusOk();
              return far();
            });
    assertThat(far).contains("\"stage\":\"TAKING_IN\",\"done\":2,\"all\":2");
    assertThat(get("/api/engines/" + came)).hasStatusOk();
  }

  @Test
  void aNotebookThatIsStoppedHasKeptNothing() throws Exception {
    String engine = engine(resource("v8.json"));
    fitSprings(engine, "U");
    Supplier<MvcTestResult> keep =
        () ->
            http.post()
                .uri("/api/engines/" + engine + "/spring-readings?hand=KV&keep=true")
                .contentType("text/csv")
                .content("date,engine_hours,valve,height_in,load\n2026-05-30,1,1I,1.95,219\n")
                .exchange();
    saysSo(stopped(keep));
    assertThat(text(get("/api/engines/" + engine + "/springs"))).contains("\"tests\":[]");
    assertThat(keep.get()).hasStatusOk();
    assertThat(text(get("/api/engines/" + engine + "/springs"))).doesNotContain("\"tests\":[]");
  }

  @Test
  void aBackupThatIsStoppedLeavesNothingInTheFolder() throws Exception {
    engine(resource("v8.json"));
    byte[] file = get("/api/backup").getResponse().getContentAsByteArray();
    Supplier<MvcTestResult> check =
        () ->
            http.post()
                .uri("/api/restore-check")
                .contentType("application/zip")
                .content(file)
                .exchange();
    saysSo(stopped(check));
    nothingIncoming();
    String far =
        followed(
            () -> {
              String checked = text(check.get());
              assertThat(delete("/api/restore/" + JsonPath.read(checked, "$.id"))).hasStatus(204);
              return far();
            });
    assertThat(far).contains("\"stage\":\"READING\"");
    nothingIncoming();
  }

  private void nothingIncoming() throws IOException {
    try (Stream<Path> all = Files.list(Path.of(data))) {
      assertThat(all.map(p -> p.getFileName().toString()))
          .noneMatch(n -> n.startsWith(".incoming"));
    }
  }
}
