package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** A V8 with a set of springs and two spares, and someone who walks a job in it. */
abstract class JobApi extends ApiTest {
  static final String SHEET =
      """
      {"name":"HV dual","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}],
       "bindIn":1.18,"odIn":1.55}""";
  String engine;
  String type;
  String job;

  @BeforeEach
  void fitASetAndKeepTwoSpares() {
    engine = engine(resource("v8.json").replace("\"block\":\"IRON\"", BOTTOM_END));
    type = UUID.randomUUID().toString();
    put("/api/spring-types/" + type, SHEET);
    put(
        "/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID(),
        """
        {"typeId":"%s","setName":"A","engineHours":0,"hoursBefore":0,"heightIn":1.950,"hand":"KV"}"""
            .formatted(type));
    spare("N-1 " + engine.substring(0, 6));
    spare("N-2 " + engine.substring(0, 6));
    job = UUID.randomUUID().toString();
  }

  static final String BOTTOM_END =
      "\"boreIn\":4.0,\"strokeIn\":3.48,\"rodIn\":5.7,\"block\":\"IRON\"";

  void spare(String mark) {
    put(
        "/api/springs/" + UUID.randomUUID(),
        """
        {"typeId":"%s","mark":"%s","hoursBefore":0,"scrapped":false}"""
            .formatted(type, mark));
  }

  static String ask(String hold, String valves) {
    return """
        {"kind":"IN_CAR","hold":"%s","intakeOff":false,"innerOut":false,"state":"COLD",
         "offDeg":10,"headIn":2.02,"valves":[%s]}"""
        .formatted(hold, valves);
  }

  static String valve(String p) {
    return "{\"valve\":\"%s\",\"newSeal\":false,\"sameAgain\":false,\"standIn\":%s}"
        .formatted(p, p.equals("3E"));
  }

  String begin() {
    MvcTestResult r =
        put(
            "/api/jobs/" + job,
            """
            {"engineId":"%s","engineHours":10.1,"hand":"KV","ask":%s}"""
                .formatted(engine, ask("AIR", valve("3E") + "," + valve("3I"))));
    assertThat(r).hasStatusOk();
    return text(r);
  }

  MvcTestResult act(Map<String, Object> entry) {
    return put(
        "/api/jobs/" + job + "/acts/" + UUID.randomUUID(), JsonPath.parse(entry).jsonString());
  }

  static Map<String, Object> entry(String view, String act) {
    Map<String, Object> e = new java.util.HashMap<>();
    e.put("act", act);
    e.put("hand", "KV");
    e.put("basedOn", JsonPath.read(view, "$.state.acts"));
    return e;
  }

  /** A figure between the limits of what is read. */
  private static double sound(Map<String, Object> step) {
    @SuppressWarnings("unchecked")
    Map<String, Object> within = (Map<String, Object>) step.get("within");
    Number least = (Number) within.get("least");
    Number most = (Number) within.get("most");
    if (least != null) {
      return most == null ? least.doubleValue() : (least.doubleValue() + most.doubleValue()) / 2;
    }
    return most == null
        ? ((Number) within.get("possibleLow")).doubleValue()
        : Math.max(most.doubleValue() / 2, ((Number) within.get("possibleLow")).doubleValue());
  }

  /** Does what the walk asks for until a step is next. */
  String walkTo(String view, String id) {
    String now = view;
    while (true) {
      Map<String, Object> state = JsonPath.read(now, "$.state");
      @SuppressWarnings("unchecked")
      Map<String, Object> next = (Map<String, Object>) state.get("next");
      if (next == null || id.equals(next.get("id"))) {
        return now;
      }
      Map<String, Object> e = entry(now, (String) next.get("act"));
      e.put("step", next.get("id"));
      List.of("cylinder", "valve", "figure", "word").forEach(k -> e.put(k, next.get(k)));
      if (next.get("within") != null) {
        e.put("figure", sound(next));
      }
      if (next.get("act").equals("LASH")) {
        e.put("figure", 0.012);
      }
      if (next.get("act").equals("COUNTED")) {
        List<Integer> expected =
            JsonPath.read(now, "$.state.counts[?(@.item=='" + next.get("word") + "')].expected");
        e.put("figure", expected.get(0));
      }
      MvcTestResult r = act(e);
      assertThat(r).as(String.valueOf(next.get("id"))).hasStatusOk();
      now = text(r);
    }
  }
}
