package shim.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.RequestDispatcher;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.boot.webmvc.test.autoconfigure.MockMvcPrint;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every operation of the API under sound and spoiled requests: nothing ends in a server error,
 * every refusal names the field it is about, and afterwards every page still reads. Seeded; {@code
 * -Dshim.fuzz=30000} makes it long.
 */
@SpringBootTest(properties = "shim.demo=true")
@AutoConfigureMockMvc(print = MockMvcPrint.NONE)
class FuzzTest {
  private static final long SEED = 1127;
  private static final int ROUNDS_OF_HARVEST = 3;
  private static final JsonMapper JSON = JsonMapper.shared();
  private final int shots = Integer.getInteger("shim.fuzz", 600);
  @Autowired private MockMvcTester http;

  @DynamicPropertySource
  static void folder(DynamicPropertyRegistry registry) throws IOException {
    String folder = Files.createTempDirectory("shim-fuzz").toString();
    registry.add("shim.data", () -> folder);
  }

  /** What a shot met. */
  private record Met(int status, String body) {
    Optional<String> fault() {
      if (status >= 500) {
        return Optional.of("server error " + status);
      }
      if (status >= 400 && !namesAField()) {
        return Optional.of(status + " names no field");
      }
      if (body.contains("does not go together")) {
        return Optional.of("only the store refused it");
      }
      return Optional.empty();
    }

    /** A name a person gives may be NaN; a figure may not. */
    Optional<String> endless(ApiDocument api, ApiDocument.Operation of) {
      boolean mayBe = body.contains("\"NaN\"") || body.contains("Infinity\"");
      return status < 400 && mayBe && api.endless(JSON.readTree(body), api.answer(of))
          ? Optional.of("an endless figure in the answer")
          : Optional.empty();
    }

    private boolean namesAField() {
      try {
        JsonNode first = JSON.readTree(body).path("errors").path(0);
        return !first.path("field").asString("").isBlank()
            && !first.path("message").asString("").isBlank();
      } catch (RuntimeException e) {
        return false;
      }
    }
  }

  @Test
  void noServerErrorAndEveryRefusalNamesItsField() throws IOException {
    ApiDocument api = new ApiDocument(JSON.readTree(fire("get", "/api/openapi", "", null).body()));
    Harvest harvest = new Harvest(api);
    Fuzzer fuzzer = new Fuzzer(api, harvest, Long.getLong("shim.fuzz.seed", SEED));
    List<ApiDocument.Operation> all = api.operations();
    for (int i = 0; i < ROUNDS_OF_HARVEST; i++) {
      all.stream().filter(o -> !o.changes()).forEach(o -> harvest(harvest, fuzzer.sound(o)));
    }
    Map<String, List<String>> faults = new TreeMap<>();
    Map<Integer, Integer> statuses = new TreeMap<>();
    for (int i = 0; i < shots; i++) {
      Fuzzer.Shot shot = fuzzer.next(all);
      Met met = fire(shot);
      statuses.merge(met.status() / 100, 1, Integer::sum);
      met.fault()
          .or(() -> met.endless(api, shot.operation()))
          .ifPresent(f -> note(faults, shot, f + ": " + met.body()));
    }
    for (int i = 0; i < ROUNDS_OF_HARVEST; i++) {
      for (ApiDocument.Operation o : all) {
        if (!o.changes()) {
          Fuzzer.Shot shot = fuzzer.sound(o);
          Met met = fire(shot);
          met.fault()
              .or(() -> met.endless(api, o))
              .ifPresent(f -> note(faults, shot, "afterwards " + f));
        }
      }
    }
    System.out.println(
        "fuzz: " + shots + " requests over " + all.size() + " operations, answers " + statuses);
    assertThat(faults).as(() -> report(faults)).isEmpty();
    assertThat(statuses.getOrDefault(2, 0)).as("sound requests").isGreaterThan(shots / 10);
  }

  private static void note(Map<String, List<String>> faults, Fuzzer.Shot shot, String fault) {
    String short_ = fault.substring(0, Math.min(260, fault.length()));
    faults
        .computeIfAbsent(shot.operation().toString(), o -> new ArrayList<>())
        .add(short_ + "\n      " + shot);
  }

  private static String report(Map<String, List<String>> faults) {
    StringBuilder text = new StringBuilder();
    faults.forEach(
        (o, f) -> {
          text.append("\n").append(o).append(": ").append(f.size());
          f.stream().limit(3).forEach(x -> text.append("\n   ").append(x));
        });
    return text.toString();
  }

  private void harvest(Harvest harvest, Fuzzer.Shot shot) {
    Met met = fire(shot);
    if (met.status() == 200
        && met.body().length() > 1
        && "[{".contains(met.body().substring(0, 1))) {
      harvest.take(shot.operation(), JSON.readTree(met.body()));
    }
  }

  private Met fire(Fuzzer.Shot shot) {
    return fire(shot.operation().method(), shot.url(), shot.content(), shot.body());
  }

  private Met fire(String method, String url, String content, String body) {
    MockMvcTester.MockMvcRequestBuilder request =
        switch (method) {
          case "get" -> http.get();
          case "put" -> http.put();
          case "post" -> http.post();
          default -> http.delete();
        };
    request.uri(java.net.URI.create(url));
    if (!content.isEmpty()) {
      request.header("Content-Type", content);
    }
    if (body != null) {
      request.content(body.getBytes(StandardCharsets.UTF_8));
    }
    try {
      MockHttpServletResponse answer = request.exchange().getResponse();
      String said = answer.getContentAsString(StandardCharsets.UTF_8);
      boolean toErrorPage = answer.getStatus() >= 400 && said.isEmpty();
      return new Met(answer.getStatus(), toErrorPage ? errorPage(answer.getStatus(), url) : said);
    } catch (Throwable e) {
      return new Met(599, String.valueOf(e));
    }
  }

  /**
   * What a server sends where a request is refused before it reaches Shim; the mock stops there.
   */
  private String errorPage(int status, String url) throws java.io.UnsupportedEncodingException {
    return http.get()
        .uri("/error")
        .requestAttr(RequestDispatcher.ERROR_STATUS_CODE, status)
        .requestAttr(RequestDispatcher.ERROR_REQUEST_URI, url)
        .exchange()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }
}
