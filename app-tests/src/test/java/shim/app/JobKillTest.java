package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.io.IOException;
import java.io.UnsupportedEncodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Value;

/**
 * A flat battery at any step: after every act the database's file is copied as it lies on the disk,
 * which is all that a killed process leaves, and the copy holds every act that was answered.
 */
class JobKillTest extends ApiTest {
  @Value("${shim.data}")
  private String data;

  @Test
  void afterEveryActTheFileOnDiskHoldsIt() throws Exception {
    String engine = engine(resource("v8.json"));
    fitSprings(engine, "K");
    String job = UUID.randomUUID().toString();
    put(
        "/api/jobs/" + job,
        """
        {"engineId":"%s","engineHours":1,"hand":"KV","ask":{"kind":"IN_CAR","hold":"AIR",
         "intakeOff":false,"innerOut":false,"state":"COLD","valves":[{"valve":"3E",
         "newSeal":false,"sameAgain":true,"standIn":false}]}}"""
            .formatted(engine));
    List<String> answered = new ArrayList<>();
    while (true) {
      String view = text(job);
      Map<String, Object> state = JsonPath.read(view, "$.state");
      @SuppressWarnings("unchecked")
      Map<String, Object> next = (Map<String, Object>) state.get("next");
      if (next == null) {
        break;
      }
      assertThat(put("/api/jobs/" + job + "/acts/" + UUID.randomUUID(), entry(view, next)))
          .as(String.valueOf(next.get("id")))
          .hasStatusOk();
      answered.add(String.valueOf(next.get("id")));
      assertThat(stepsInCopy(job)).as("on disk after " + next.get("id")).isEqualTo(answered);
    }
    assertThat(answered).endsWith("SIGN").hasSizeGreaterThan(35);
  }

  private String text(String job) throws UnsupportedEncodingException {
    return get("/api/jobs/" + job).getResponse().getContentAsString();
  }

  private static String entry(String view, Map<String, Object> next) {
    Map<String, Object> e = new HashMap<>();
    List.of("act", "cylinder", "valve", "figure", "word").forEach(k -> e.put(k, next.get(k)));
    e.put("step", next.get("id"));
    e.put("hand", "KV");
    e.put("basedOn", JsonPath.read(view, "$.state.acts"));
    if (next.get("act").equals("LASH")) {
      e.put("figure", 0.012);
    }
    if (next.get("act").equals("COUNTED")) {
      List<Integer> expected =
          JsonPath.read(view, "$.state.counts[?(@.item=='" + next.get("word") + "')].expected");
      e.put("figure", expected.get(0));
    }
    return JsonPath.parse(e).jsonString();
  }

  private List<String> stepsInCopy(String job) throws Exception {
    Path copy = Files.createTempDirectory("shim-flat-battery");
    String name = copy(copy);
    List<String> steps = new ArrayList<>();
    try (Connection c = DriverManager.getConnection("jdbc:h2:" + copy.resolve(name), "shim", "");
        ResultSet rows =
            c.createStatement()
                .executeQuery(
                    "select step from job_act where job_id = '" + job + "' order by place")) {
      while (rows.next()) {
        steps.add(rows.getString(1));
      }
    }
    try (Stream<Path> files = Files.list(copy)) {
      files.forEach(f -> f.toFile().delete());
    }
    Files.delete(copy);
    return steps;
  }

  /** Copies the database as it lies there and returns its name. */
  private String copy(Path to) throws IOException {
    try (Stream<Path> files = Files.list(Path.of(data))) {
      Path db = files.filter(f -> f.toString().endsWith(".mv.db")).findFirst().orElseThrow();
      Files.copy(db, to.resolve(db.getFileName()));
      return db.getFileName().toString().replace(".mv.db", "");
    }
  }
}
