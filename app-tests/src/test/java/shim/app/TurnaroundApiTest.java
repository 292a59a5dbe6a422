package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** What to do until the truck leaves, on a folder that has nothing else in it. */
@DirtiesContext(classMode = DirtiesContext.ClassMode.BEFORE_CLASS)
class TurnaroundApiTest extends ApiTest {
  private static final String HAND =
      """
      {"hand":{"name":"%s","week":[%s],"away":[],"gone":false}}""";
  private static final String TASK =
      """
      {"id":"%s","hand":"KV","basedOn":%s,"task":{"words":%s,"engineId":%s,"weight":%s,"minutes":%s,"hands":1,
       "only":[],"after":[%s],"begunBy":[]}}""";
  private static final String ORDER =
      """
      {"basedOn":%s,"order":{"part":"outer spring","count":1,"taskId":"%s","state":"%s","measured":[]%s}}""";

  private static String engine = "";

  @BeforeEach
  void anEngineWithAnEventInTenDays() {
    if (engine.isEmpty()) {
      engine = engine(resource("v8.json"));
      event(10);
    }
  }

  private void event(int days) {
    assertThat(
            put(
                "/api/events/" + UUID.randomUUID(),
                "{\"engineId\":\"%s\",\"name\":\"Final\",\"date\":\"%s\",\"plannedHours\":1.5}"
                    .formatted(engine, today().plusDays(days))))
        .hasStatusOk();
  }

  private static String week(String from, String to) {
    return String.join(
        ",",
        List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY")
            .stream()
            .map(d -> "{\"day\":\"%s\",\"from\":\"%s\",\"to\":\"%s\"}".formatted(d, from, to))
            .toList());
  }

  private String task(String words, String engineId, String minutes, String after) {
    String id = UUID.randomUUID().toString();
    MvcTestResult put =
        put(
            "/api/turnaround/tasks",
            TASK.formatted(id, null, quoted(words), quoted(engineId), null, minutes, after));
    assertThat(put).hasStatus(204);
    return id;
  }

  private static String quoted(String text) {
    return text == null ? "null" : "\"" + text + "\"";
  }

  private static String after(String id, int minutes) {
    return "{\"id\":\"%s\",\"minutes\":%d}".formatted(id, minutes);
  }

  /** The turnaround once its plan is made. */
  private String turnaround() {
    for (int i = 0; i < 60; i++) {
      String body = body(get("/api/turnaround"));
      if (body.contains("\"plan\":")) {
        return body;
      }
    }
    throw new AssertionError("no plan was made");
  }

  private static String body(MvcTestResult result) {
    assertThat(result).hasStatusOk();
    try {
      return result.getResponse().getContentAsString();
    } catch (java.io.UnsupportedEncodingException e) {
      throw new AssertionError(e);
    }
  }

  private static <T> T one(String body, String path) {
    List<T> found = JsonPath.read(body, path);
    assertThat(found).as(path + " in " + body).hasSize(1);
    return found.get(0);
  }

  private static LocalDateTime time(String body, String path) {
    return LocalDateTime.parse(one(body, path));
  }

  private static String placed(String id) {
    return "$.plan.placed[?(@.id=='" + id + "')]";
  }

  @Test
  void whatShimKnowsIsATaskAndTheTruckIsAssumedTheEveningBefore() {
    String body = turnaround();
    String id = engine + "/LASH_ROUND";
    assertThat(JsonPath.<Boolean>read(body, "$.truck.assumed")).isTrue();
    assertThat(JsonPath.<List<String>>read(body, "$.tasks[?(@.id=='" + id + "')].because[*].code"))
        .contains("NO_ROUND");
    assertThat(JsonPath.<String>read(body, "$.hands[0].hand.name")).isNotEmpty();
    assertThat(time(body, placed(id) + ".end"))
        .isBefore(LocalDateTime.parse(JsonPath.read(body, "$.truck.leaves")));
  }

  @Test
  void aTaskWaitsForWhatComesBeforeItAndForWhatMustPass() {
    String warm = task("hot round as found", engine, "30", "");
    String cold = task("plugs out cold", engine, "20", after(warm, 240));
    String body = turnaround();
    assertThat(time(body, placed(cold) + ".start"))
        .isAfterOrEqualTo(time(body, placed(warm) + ".end").plusMinutes(240));
    assertThat(JsonPath.<List<String>>read(body, "$.plan.chain")).contains(warm, cold);
  }

  @Test
  void aCircleIsNamedByItsTasks() {
    String first = task("grind the seat", engine, "30", "");
    String second = task("lap the valve", engine, "30", after(first, 0));
    MvcTestResult circle =
        put(
            "/api/turnaround/tasks",
            TASK.formatted(
                first,
                "0",
                quoted("grind the seat"),
                quoted(engine),
                null,
                "30",
                after(second, 0)));
    assertThat(circle).hasStatus(422);
    assertThat(circle)
        .bodyText()
        .contains("these wait for one another")
        .contains("grind the seat")
        .contains("lap the valve");
  }

  @Test
  void whoIsNeverThereIsAskedFor() {
    assertThat(put("/api/turnaround/hands/" + UUID.randomUUID(), HAND.formatted("MO", "")))
        .hasStatus(422)
        .bodyText()
        .contains("choose at least one day");
    assertThat(
            put(
                "/api/turnaround/hands/" + UUID.randomUUID(),
                HAND.formatted("MO", week("17:00", "08:00"))))
        .hasStatus(422)
        .bodyText()
        .contains("the end of the day comes after its begin");
  }

  @Test
  void nobodyIsTwiceInTheTeam() {
    String name = "KV" + UUID.randomUUID().toString().substring(0, 6);
    assertThat(
            put(
                "/api/turnaround/hands/" + UUID.randomUUID(),
                HAND.formatted(name, week("06:00", "22:00"))))
        .hasStatus(204);
    assertThat(
            put(
                "/api/turnaround/hands/" + UUID.randomUUID(),
                HAND.formatted(name, week("06:00", "22:00"))))
        .hasStatus(422)
        .bodyText()
        .contains("somebody of that name");
  }

  @Test
  void aPartDecidesWhenItsTaskCanBegin() {
    String task = task("cup of 3E", engine, "40", "");
    String order = "/api/stock/orders/" + UUID.randomUUID();
    assertThat(put(order, ORDER.formatted(null, task, "WANTED", ""))).hasStatus(204);
    assertThat(
            JsonPath.<List<String>>read(turnaround(), "$.plan.left[?(@.id=='" + task + "')].why"))
        .containsExactly("PART_UNKNOWN");

    LocalDate due = today().plusDays(3);
    String ordered = ",\"orderedOn\":\"%s\",\"dueOn\":\"%s\"".formatted(today(), due);
    assertThat(put(order, ORDER.formatted("0", task, "ORDERED", ordered))).hasStatus(204);
    assertThat(time(turnaround(), placed(task) + ".start")).isAfterOrEqualTo(due.atTime(12, 0));

    assertThat(put(order, ORDER.formatted("1", task, "REFUSED", "")))
        .hasStatus(422)
        .bodyText()
        .contains("say what was wrong with it");
    assertThat(
            put(
                order,
                ORDER.formatted(
                    "1", task, "REFUSED", ",\"found\":\"bore 0.5 too wide\",\"leadDays\":60")))
        .hasStatus(204);
    String late = turnaround();
    assertThat(
            JsonPath.<List<Boolean>>read(
                late, "$.orders[?(@.order.taskId=='" + task + "')].tooLate"))
        .containsExactly(true);
    assertThat(JsonPath.<List<String>>read(late, "$.plan.late")).contains(task);
  }

  @Test
  void aRoundThatIsSignedStillCoolsForWhatWaitsForIt() {
    String other = engine(resource("v8.json").replace("Test V8", "Cooling V8"));
    String after = "{\"id\":\"%s/LASH_ROUND\",\"minutes\":%s}";
    String task = task("hands on the hot head", other, "20", after.formatted(other, 600));
    String round = UUID.randomUUID().toString();
    assertThat(put("/api/rounds/" + round, start(other, "HOT", 0.0))).hasStatusOk();
    for (int cylinder = 1; cylinder <= 8; cylinder++) {
      read(round, cylinder + "I", "0.018");
      read(round, cylinder + "E", "0.020");
    }
    assertThat(put("/api/rounds/" + round + "/signature", "{\"initials\":\"KV\"}")).hasStatusOk();
    LocalDateTime signed = LocalDateTime.now(CLOCK);
    String body = turnaround();
    assertThat(JsonPath.<List<Object>>read(body, "$.tasks[?(@.id=='" + other + "/LASH_ROUND')]"))
        .as("signed, so it is no more to be done")
        .isEmpty();
    assertThat(time(body, placed(task) + ".start")).isAfterOrEqualTo(signed.plusMinutes(590));
  }

  private void read(String round, String valve, String lash) {
    for (String phase : List.of("FOUND", "LEFT")) {
      assertThat(
              put(
                  "/api/rounds/" + round + "/readings/" + UUID.randomUUID(),
                  entry(valve, phase, lash, "null")))
          .hasStatusOk();
    }
  }

  @Test
  void whatHasComeIsMeasuredBeforeItsTaskBegins() {
    String task = task("cup of 5E", engine, "40", "");
    UUID id = UUID.randomUUID();
    String order = "/api/stock/orders/" + id;
    assertThat(put(order, ORDER.formatted(null, task, "ARRIVED", ""))).hasStatus(204);
    String body = turnaround();
    String measuring = "$.tasks[?(@.id=='order/" + id + "')]";
    assertThat(JsonPath.<List<String>>read(body, measuring + ".kind")).containsExactly("ARRIVAL");
    assertThat(JsonPath.<List<String>>read(body, measuring + ".words"))
        .containsExactly("outer spring");
    assertThat(time(body, placed(task) + ".start"))
        .isAfterOrEqualTo(time(body, placed("order/" + id) + ".end"));
    assertThat(
            put(
                "/api/turnaround/tasks",
                "{\"id\":\"order/%s\",\"task\":{\"minutes\":25,\"only\":[],\"after\":[],\"begunBy\":[]}}"
                    .formatted(id)))
        .as("a person knows better how long it takes")
        .hasStatus(204);
    assertThat(JsonPath.<List<Integer>>read(turnaround(), measuring + ".minutes"))
        .containsExactly(25);
    assertThat(put(order, ORDER.formatted("0", task, "MEASURED", ""))).hasStatus(204);
    assertThat(JsonPath.<List<String>>read(turnaround(), measuring + ".kind")).isEmpty();
  }

  @Test
  void nobodyOverwritesUnseen() {
    String id = task("drain the fuel", null, "30", "");
    assertThat(
            put(
                "/api/turnaround/tasks",
                TASK.formatted(id, "0", quoted("drain the tank"), "null", null, "25", "")))
        .hasStatus(204);
    assertThat(
            put(
                "/api/turnaround/tasks",
                TASK.formatted(id, "0", quoted("drain nothing"), "null", null, "20", "")))
        .hasStatus(409)
        .bodyText()
        .contains("someone else changed this meanwhile");
  }

  @Test
  void theRealThingTicksItsTaskAndNobodyElse() {
    assertThat(
            put(
                "/api/turnaround/tasks",
                """
                {"id":"%s/LASH_ROUND","task":{"only":[],"after":[],"begunBy":[],
                 "doneAt":"2026-11-30T09:00:00Z","doneBy":"KV"}}"""
                    .formatted(engine)))
        .hasStatus(422)
        .bodyText()
        .contains("ticks it by itself");
    assertThat(
            put(
                "/api/turnaround/tasks",
                """
                {"id":"%s/LASH_ROUND","task":{"weight":"MUST","minutes":35,"only":[],"after":[],"begunBy":[]}}"""
                    .formatted(engine)))
        .hasStatus(204);
    String body = turnaround();
    String at = "$.tasks[?(@.id=='" + engine + "/LASH_ROUND')]";
    assertThat(JsonPath.<List<Integer>>read(body, at + ".minutes")).containsExactly(35);
    assertThat(JsonPath.<List<String>>read(body, at + ".weight")).containsExactly("MUST");
  }

  @Test
  void whatSlipsIsToldAgainstThePlanPeopleWorkTo() {
    String id = task("retainer of 2I", engine, "30", "");
    turnaround();
    assertThat(put("/api/turnaround/agreed", "{\"hand\":\"KV\"}")).hasStatus(204);
    String agreed = turnaround();
    assertThat(JsonPath.<List<Object>>read(agreed, "$.agreed.slips")).isEmpty();
    String order = "/api/stock/orders/" + UUID.randomUUID();
    assertThat(put(order, ORDER.formatted(null, id, "WANTED", ",\"leadDays\":4"))).hasStatus(204);
    assertThat(
            JsonPath.<List<String>>read(turnaround(), "$.agreed.slips[?(@.id=='" + id + "')].kind"))
        .containsExactly("LATER");
  }

  @Test
  void aTruckThatHasLeftIsNoTruck() {
    assertThat(
            put("/api/turnaround/truck", "{\"truck\":{\"day\":\"2020-01-01\",\"at\":\"10:00\"}}"))
        .hasStatus(422)
        .bodyText()
        .contains("give a time to come");
  }
}
