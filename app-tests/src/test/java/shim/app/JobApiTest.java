package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** A spring change from its plan to its signature, and what it leaves in the records. */
class JobApiTest extends JobApi {
  @Test
  void thePlanSaysWhatAirDoesWhichSpringsGoInAndWhichOrderBarsLeast() {
    MvcTestResult r =
        post("/api/engines/" + engine + "/job-plan", ask("AIR", valve("3E") + "," + valve("6I")));
    assertThat(r).hasStatusOk();
    String plan = text(r);
    double torque = JsonPath.read(plan, "$.air.torqueLbfFt");
    assertThat(torque).isBetween(32.5, 33.5);
    assertThat((Boolean) JsonPath.read(plan, "$.air.lockWanted")).isTrue();
    double held = JsonPath.read(plan, "$.air.valveHeldLbf");
    assertThat(held).as("80 psi on 2.02 in, by hand").isBetween(256.0, 257.0);
    List<String> in = JsonPath.read(plan, "$.valves[*].newSpring");
    assertThat(in).doesNotHaveDuplicates().allSatisfy(m -> assertThat(m).startsWith("N-"));
    double each = JsonPath.read(plan, "$.routes.CYLINDER_BY_CYLINDER.barDeg");
    double all = JsonPath.read(plan, "$.routes.ALL_SPRINGS_FIRST.barDeg");
    assertThat(all).isGreaterThan(each);
    assertThat(JsonPath.<List<?>>read(plan, "$.sharedTdc")).hasSize(4);
    assertThat(JsonPath.<List<String>>read(plan, "$.cautions")).isNotEmpty();
  }

  @Test
  void theSpareNearestInLoadToTheOthersOfItsKindIsOfferedFirst() {
    String test = UUID.randomUUID().toString();
    put(
        "/api/spring-tests/" + test,
        """
        {"engineId":"%s","engineHours":1,"place":"BENCH","state":"COLD","order":"BANK",
         "tester":"lever","repeats":1,"hand":"KV"}"""
            .formatted(engine));
    String stock = text(get("/api/springs"));
    String mark = "N-2 " + engine.substring(0, 6);
    List<String> id = JsonPath.read(stock, "$[?(@.spring.mark=='" + mark + "')].id");
    String other = "N-1 " + engine.substring(0, 6);
    List<String> weak = JsonPath.read(stock, "$[?(@.spring.mark=='" + other + "')].id");
    load(test, "\"springId\":\"" + weak.get(0) + "\"", 199);
    load(test, "\"springId\":\"" + id.get(0) + "\"", 216);
    load(test, "\"valve\":\"1E\"", 215);
    load(test, "\"valve\":\"5E\"", 217);
    String plan = text(post("/api/engines/" + engine + "/job-plan", ask("AIR", valve("3E"))));
    assertThat((String) JsonPath.read(plan, "$.valves[0].newSpring")).isEqualTo(mark);
    assertThat((Double) JsonPath.read(plan, "$.valves[0].offers[0].loadLbf")).isEqualTo(216);
    assertThat((Double) JsonPath.read(plan, "$.valves[0].offers[0].heightIn")).isEqualTo(1.95);
  }

  private void load(String test, String which, double lbf) {
    assertThat(
            put(
                "/api/spring-tests/" + test + "/readings/" + UUID.randomUUID(),
                "{%s,\"heightIn\":1.95,\"loadLbf\":%s,\"member\":\"WHOLE\",\"again\":false,\"hand\":\"KV\"}"
                    .formatted(which, lbf)))
        .hasStatusOk();
  }

  @Test
  void whatCannotBePlannedIsRefusedAtItsField() {
    String path = "/api/engines/" + engine + "/job-plan";
    assertThat(post(path, ask("AIR", ""))).hasStatus(422);
    assertThat(post(path, ask("AIR", valve("9E"))))
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .isEqualTo("this engine has no valve 9E");
    assertThat(post(path, ask("BLOCK", valve("3E"))))
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .isEqualTo("a block needs the head off");
  }

  @Test
  void theWholeJobLeavesTheRecordsRight() {
    String done = walkTo(begin(), "nothing");
    assertThat((String) JsonPath.read(done, "$.state.end")).isEqualTo("SIGNED");
    assertThat((String) JsonPath.read(done, "$.signedBy")).isEqualTo("KV");
    String springs = text(get("/api/engines/" + engine + "/springs"));
    List<String> mark = JsonPath.read(springs, "$.springs[?(@.position=='3E')].mark");
    assertThat(mark.get(0)).startsWith("N-");
    List<Double> hours = JsonPath.read(springs, "$.springs[?(@.position=='3E')].hours");
    assertThat(hours.get(0)).isZero();
    List<Boolean> scrapped =
        JsonPath.read(text(get("/api/springs")), "$[?(@.spring.mark=='A 3E')].spring.scrapped");
    assertThat(scrapped).contains(true);
    String rounds = text(get("/api/engines/" + engine + "/rounds"));
    assertThat(JsonPath.<List<?>>read(rounds, "$[*]")).hasSize(1);
    String round = text(get("/api/rounds/" + JsonPath.read(rounds, "$[0].id")));
    assertThat(JsonPath.<List<String>>read(round, "$.valves[*].position"))
        .containsExactlyInAnyOrder("3E", "3I");
    assertThat((String) JsonPath.read(round, "$.signedBy")).isEqualTo("KV");
    String items = text(get("/api/engines/" + engine + "/open-items"));
    assertThat(JsonPath.<List<String>>read(items, "$[*].kind"))
        .containsExactlyInAnyOrder("RECHECK", "STAND_IN", "ODD", "ODD");
    String file = text(get("/api/engines/" + engine + "/file"));
    assertThat(JsonPath.<List<?>>read(file, "$.jobs[0].acts")).hasSizeGreaterThan(40);
    assertThat(JsonPath.<List<?>>read(file, "$.openItems")).hasSize(4);
    comesBackInAsAnotherEngine(engine);
    String item = JsonPath.read(items, "$[0].id");
    String close = "/api/engines/" + engine + "/open-items/" + item + "/closed";
    assertThat(put(close, "{\"hand\":\"KV\",\"why\":\" \"}")).hasStatus(422);
    assertThat(put(close, "{\"hand\":\"KV\",\"why\":\"checked hot\"}"))
        .bodyJson()
        .extractingPath("$[0].closedWhy")
        .isEqualTo("checked hot");
    assertThat(
            text(
                post(
                    "/api/engines/" + engine + "/job-plan",
                    ask(
                        "AIR",
                        "{\"valve\":\"1E\",\"sameAgain\":true,\"newSeal\":false,\"standIn\":false}"))))
        .contains("\"minutes\"");
  }

  @Test
  void anUnhookedValveIsToldToEveryDeviceAndStopsWhatWouldDropIt() {
    String view = walkTo(begin(), "3E:SPRING_OUT");
    assertThat(get("/api/danger"))
        .bodyJson()
        .extractingPath("$[?(@.jobId=='" + job + "')].valve")
        .asArray()
        .containsExactly("3E");
    Map<String, Object> bar = entry(view, "BAR");
    bar.put("figure", 90.0);
    assertThat(act(bar))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .contains("3E is unhooked, held by air");
    assertThat(JsonPath.<List<String>>read(view, "$.state.otherwise[*].act"))
        .contains("AIR_LOST")
        .doesNotContain("PARK", "ABANDON", "BAR");
    List<UUID> ids = new ArrayList<>(List.of(UUID.randomUUID()));
    Map<String, Object> lost = entry(view, "AIR_LOST");
    lost.put("cylinder", 3);
    String path = "/api/jobs/" + job + "/acts/" + ids.get(0);
    assertThat(put(path, JsonPath.parse(lost).jsonString())).hasStatusOk();
    assertThat(put(path, JsonPath.parse(lost).jsonString())).as("safe to repeat").hasStatusOk();
    assertThat(get("/api/danger"))
        .bodyJson()
        .extractingPath("$[?(@.jobId=='" + job + "')].harder")
        .asArray()
        .containsExactly(true);
  }

  @Test
  void aHeightThatIsOutShowsItsWaysAndALoadCheckComesBeforeTheSpring() {
    String view = walkTo(begin(), "3E:STACK");
    Map<String, Object> stack = entry(view, "STACK");
    stack.putAll(Map.of("step", "3E:STACK", "valve", "3E", "figure", 1, "word", "0.030"));
    view = text(act(stack));
    Map<String, Object> height = entry(view, "HEIGHT");
    height.putAll(Map.of("step", "3E:HEIGHT", "valve", "3E", "figure", 1.972));
    String out = text(act(height));
    assertThat((String) JsonPath.read(out, "$.state.refused")).contains("out of {1.950 in}");
    assertThat(JsonPath.<List<?>>read(out, "$.bearing.atHeight.ways")).isNotEmpty();
    double seat = JsonPath.read(out, "$.bearing.atHeight.fit.seatLbf");
    assertThat(seat).isBetween(209.0, 212.0);
    Map<String, Object> why = entry(out, "ACCEPT_HEIGHT");
    why.putAll(Map.of("valve", "3E", "word", "one event only"));
    String in = walkTo(text(act(why)), "3E:SEATED");
    assertThat(in).doesNotContain("\"atHeight\"");
    String pockets = text(get("/api/engines/" + engine + "/pockets"));
    List<String> shims = JsonPath.read(pockets, "$.pockets[?(@.position=='3E')].fitting.shims");
    assertThat(shims).containsExactly("0.030");
    List<Double> kept = JsonPath.read(pockets, "$.pockets[?(@.position=='3E')].fitting.heightIn");
    assertThat(kept).containsExactly(1.972);
  }

  @Test
  void aSpringTakenOutElsewhereMeanwhileDoesNotTakeTheWalkDown() {
    String view = walkTo(begin(), "3E:SPRING_IN");
    String pockets = text(get("/api/engines/" + engine + "/pockets"));
    List<String> fitting = JsonPath.read(pockets, "$.pockets[?(@.position=='3E')].fittingId");
    put(
        "/api/fittings/" + fitting.get(0) + "/removal",
        """
        {"toHours":10.1,"scrapped":false,"hand":"MO"}""");
    assertThat(get("/api/jobs/" + job)).hasStatusOk();
    String done = walkTo(view, "none");
    assertThat(JsonPath.<Map<String, Object>>read(done, "$.state")).doesNotContainKey("next");
    List<String> mark =
        JsonPath.read(
            text(get("/api/engines/" + engine + "/pockets")),
            "$.pockets[?(@.position=='3E')].mark");
    assertThat(mark.get(0)).startsWith("N-");
  }

  @Test
  void aMissingPartIsOrderedAndTheJobParksWithWhatIsOpen() {
    String view = walkTo(begin(), "leg0:BAR");
    Map<String, Object> park = entry(view, "PARK");
    park.put("word", "delivery");
    park.put("figure", 90);
    String waits = text(act(park));
    assertThat((String) JsonPath.read(waits, "$.state.parked.until")).isNotNull();
    assertThat(get("/api/engines/" + engine + "/open-items")).bodyText().isEqualTo("[]");
    String back = text(act(entry(waits, "RESUME")));
    Map<String, Object> order = entry(back, "ORDER");
    order.put("word", "intake seals");
    String parked = text(act(order));
    assertThat((String) JsonPath.read(parked, "$.state.parked.why"))
        .isEqualTo("on order: intake seals");
    assertThat(act(entry(parked, "ACCEPT"))).hasStatus(422);
    List<String> wanted =
        JsonPath.read(
            text(get("/api/stock")), "$.orders[?(@.order.jobId=='" + job + "')].order.part");
    assertThat(wanted).as("the order line").containsExactly("intake seals");
    assertThat(act(entry(parked, "RESUME"))).hasStatusOk();
  }

  @Test
  void whoeverIsSecondIsToldAndASecondJobIsNotBegun() {
    String view = begin();
    String on = walkTo(view, "out:RAGS");
    assertThat(act(entry(view, "ACCEPT"))).hasStatus(409);
    assertThat((Integer) JsonPath.read(on, "$.state.acts")).isEqualTo(2);
    String first = job;
    job = UUID.randomUUID().toString();
    assertThat(
            put(
                "/api/jobs/" + job,
                """
                {"engineId":"%s","engineHours":10.1,"hand":"MO","ask":%s}"""
                    .formatted(engine, ask("AIR", valve("1E")))))
        .hasStatus(409);
    assertThat(text(get("/api/engines/" + engine + "/jobs"))).contains(first);
  }

  @Test
  void findingsAndPhotosAreKeptAndOnlyPicturesAreTaken() {
    String view = begin();
    String finding = UUID.randomUUID().toString();
    String path = "/api/jobs/" + job + "/findings/" + finding;
    assertThat(
            put(
                path,
                """
                {"valve":"3E","what":"STEM_TIP","grade":"WORN","note":"mushroomed","hand":"KV"}"""))
        .hasStatusOk();
    assertThat(photo(path, "no picture".getBytes(java.nio.charset.StandardCharsets.UTF_8)))
        .hasStatus(422);
    byte[] png = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n', 1, 2};
    assertThat(photo(path, png)).hasStatusOk();
    assertThat(get("/api/findings/" + finding + "/photo"))
        .hasStatusOk()
        .hasContentType(MediaType.IMAGE_PNG);
    assertThat(JsonPath.<List<?>>read(view, "$.findings")).isEmpty();
    assertThat(get("/api/jobs/" + job))
        .bodyJson()
        .extractingPath("$.findings[0].photo")
        .isEqualTo(true);
  }

  private MvcTestResult photo(String path, byte[] image) {
    return http.put()
        .uri(path + "/photo")
        .contentType(MediaType.APPLICATION_OCTET_STREAM)
        .content(image)
        .exchange();
  }

  @Test
  void theTeamsRulesGiveTheWalkItsTorqueStepsAndRefuseWhatCannotBe() {
    String path = "/api/engines/" + engine + "/change-rules";
    assertThat(put(path, "{\"psi\":900}")).hasStatus(422);
    assertThat(
            put(
                path,
                """
                {"torques":[{"of":"shaft bolts","perCylinder":true,"stepsLbfFt":[15,25],
                 "order":"middle first","lubricant":"oil","source":""}]}"""))
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .contains("whose figure is it");
    assertThat(
            put(
                path,
                """
                {"proving":"BOUNCE","gaugeLowIn":1.7,"gaugeHighIn":2.2,
                 "torques":[{"of":"shaft bolts","perCylinder":true,"stepsLbfFt":[15,25],
                 "order":"middle first","lubricant":"oil","source":"the builder"}]}"""))
        .hasStatusOk();
    List<String> titles = JsonPath.read(begin(), "$.state.steps[*].step.title");
    assertThat(titles)
        .contains("Cylinder 3, shaft bolts: {25 lbf·ft}, step 2 of 2")
        .anySatisfy(t -> assertThat(t).contains("Bounce it with the tool"));
  }

  @Test
  void practiceFollowsMovesAndKeepsNothing() {
    String moves =
        """
        {"moves":[{"act":{"act":"ACCEPT","step":"ACCEPT","hand":"you","basedOn":0}},
                  {"act":{"act":"COMPRESS","valve":"3E","hand":"you","basedOn":0}}]}""";
    String view = text(post("/api/calc/practice", moves));
    assertThat((String) JsonPath.read(view, "$.refused")).contains("air first, or it drops");
    assertThat((Integer) JsonPath.read(view, "$.wrong")).isEqualTo(1);
    assertThat((String) JsonPath.read(view, "$.state.next.id")).isEqualTo("out:TOOLS");
  }
}
