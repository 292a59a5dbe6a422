package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Several devices at one moment: the same again is the same, something else is told who was first.
 */
class TogetherApiTest extends ApiTest {
  private static final int DEVICES = 4;
  private static final int TIMES = 8;

  /** Sends all at once and returns the statuses. */
  private List<Integer> atOnce(List<String[]> calls) throws Exception {
    ExecutorService hands = Executors.newFixedThreadPool(calls.size());
    CyclicBarrier start = new CyclicBarrier(calls.size());
    try {
      List<Future<Integer>> answers = new ArrayList<>();
      for (String[] c : calls) {
        answers.add(
            hands.submit(
                () -> {
                  start.await();
                  return put(c[0], c[1]).getResponse().getStatus();
                }));
      }
      List<Integer> statuses = new ArrayList<>();
      for (Future<Integer> a : answers) {
        statuses.add(a.get());
      }
      return statuses;
    } finally {
      hands.shutdown();
    }
  }

  private String round() {
    String id = UUID.randomUUID().toString();
    put("/api/rounds/" + id, start(engine(resource("v8.json")), "HOT", 3.0));
    return id;
  }

  /** Kinds of entry, each as address and body with an id still to be put in. */
  static Stream<String> kinds() {
    return Stream.of("reading", "look", "event", "engine", "finding", "run", "test", "round");
  }

  private String[] call(String kind, String engine, String round, String id) {
    return switch (kind) {
      case "reading" ->
          new String[] {
            "/api/rounds/" + round + "/readings/" + id, entry("1I", "FOUND", "0.021", "null")
          };
      case "look" ->
          new String[] {
            "/api/rounds/" + round + "/valves/1I",
            "{\"spring\":\"WHOLE\",\"skipped\":false,\"hand\":\"KV\"}"
          };
      case "event" ->
          new String[] {
            "/api/events/" + id,
            "{\"engineId\":\"%s\",\"name\":\"Sprint\",\"date\":\"2026-06-01\",\"plannedHours\":1}"
                .formatted(engine)
          };
      case "engine" -> new String[] {"/api/engines/" + id, resource("v8.json")};
      case "finding" ->
          new String[] {
            "/api/inspections/" + id,
            """
            {"engineId":"%s","valve":"1I","look":"ROCKER","grade":"%s","engineHours":1,"hand":"KV"}"""
                .formatted(engine, text(get("/api/looks"), "$[?(@.look=='ROCKER')].grades[0].word"))
          };
      case "run" ->
          new String[] {
            "/api/engines/" + engine + "/runs",
            """
            [{"id":"%s","run":{"engineId":"%s","kind":"RACE","date":"2026-06-01","minutes":20,
              "overRevs":0,"fromLogger":false,"hand":"KV"}}]"""
                .formatted(id, engine)
          };
      case "round" -> new String[] {"/api/rounds/" + id, start(engine, "HOT", 3.0)};
      default ->
          new String[] {
            "/api/engines/" + engine + "/open-items/" + id,
            "{\"kind\":\"ODD\",\"words\":\"odd\",\"hand\":\"KV\"}"
          };
    };
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void theSameSentByFourAtOnceIsTakenOnce(String kind) throws Exception {
    String engine = engine(resource("v8.json"));
    String round = round();
    for (int i = 0; i < TIMES; i++) {
      String[] call = call(kind, engine, round, new UUID(i, kind.hashCode()).toString());
      if (kind.equals("reading") && i > 0) {
        round = round();
        call = call(kind, engine, round, UUID.randomUUID().toString());
      }
      assertThat(atOnce(java.util.Collections.nCopies(DEVICES, call)))
          .as(kind)
          .allMatch(s -> s == 200 || s == 204);
    }
  }

  @Test
  void twoHandsAtOneValveAreTakenOnceAndToldWhoWasFirst() throws Exception {
    for (int i = 0; i < TIMES; i++) {
      String round = round();
      List<String[]> calls = new ArrayList<>();
      for (int d = 0; d < DEVICES; d++) {
        calls.add(
            new String[] {
              "/api/rounds/" + round + "/readings/" + UUID.randomUUID(),
              entry("1I", "FOUND", "0.02" + d, "null")
            });
      }
      assertThat(atOnce(calls)).containsExactlyInAnyOrder(200, 409, 409, 409);
    }
  }
}
