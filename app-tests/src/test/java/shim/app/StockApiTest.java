package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Parts from the walk that misses one, over the order and the measuring, to the walk again. */
@DirtiesContext(classMode = DirtiesContext.ClassMode.BEFORE_CLASS)
class StockApiTest extends JobApi {
  private static final String CUP =
      """
      {"hand":"KV","basedOn":%s,"part":{"name":"%s","engines":[],"place":"shelf B3","count":%s,
       "take":2,"price":14.5,"supplier":"Quarry","leadDays":12,
       "measures":[{"what":"BORE","wanted":0.570,"below":0,"above":0.002}]}}""";

  private String kind(String name, int count) {
    String id = UUID.randomUUID().toString();
    assertThat(
            put("/api/stock/parts/" + id, CUP.formatted(null, name.replace("\"", "\\\""), count)))
        .hasStatus(204);
    return id;
  }

  private MvcTestResult order(String id, Integer basedOn, String state, String more) {
    return put(
        "/api/stock/orders/" + id,
        """
        {"hand":"KV","basedOn":%s,"order":{"part":"cup","count":2,"state":"%s",
         "orderedOn":"2026-11-20"%s}}"""
            .formatted(basedOn, state, more));
  }

  private <T> List<T> stock(String path) {
    return JsonPath.read(text(get("/api/stock")), path);
  }

  @Test
  void aWalkThatParksMakesTheOrderAndTheRightPartTakesItUpAgain() {
    String kind = kind("Cup " + engine, 0);
    Map<String, Object> park = entry(walkTo(begin(), "leg0:BAR"), "ORDER");
    park.put("word", "spring cup 3E");
    assertThat(act(park)).hasStatusOk();
    String line = this.<String>stock("$.orders[?(@.order.jobId=='" + job + "')].id").get(0);
    String of =
        ",\"jobId\":\"%s\",\"engineId\":\"%s\",\"kindId\":\"%s\"".formatted(job, engine, kind);

    String narrow = of + ",\"measured\":[{\"what\":\"BORE\",\"figure\":0.560}]";
    assertThat(order(line, 0, "MEASURED", narrow))
        .hasStatus(422)
        .bodyText()
        .contains("order.measured.BORE")
        .contains("its bore is too small: it goes back");
    assertThat(order(line, 0, "MEASURED", of + ",\"measured\":[]"))
        .hasStatus(422)
        .bodyText()
        .contains("measure its bore before it goes on");
    assertThat(order(line, 0, "REFUSED", narrow)).as("the bore says why").hasStatus(204);
    assertThat(stock("$.orders[?(@.id=='" + line + "')].arrival[0].found"))
        .containsExactly("TOO_SMALL");
    assertThat(parked()).as("still waiting").isNotEmpty();

    String good = of + ",\"measured\":[{\"what\":\"BORE\",\"figure\":0.572}]";
    assertThat(order(line, 1, "MEASURED", good)).as("at its limit").hasStatus(204);
    assertThat(parked()).as("taken up again").isEmpty();
    assertThat(stock("$.kinds[?(@.id=='" + kind + "')].there"))
        .as("it goes on the engine, not on the shelf")
        .containsExactly(0);
    assertThat(order(line, 1, "MEASURED", good)).as("safe to repeat").hasStatus(204);
  }

  private List<Object> parked() {
    Map<String, Object> state = JsonPath.read(text(get("/api/jobs/" + job)), "$.state");
    return state.get("parked") == null ? List.of() : List.of(state.get("parked"));
  }

  @Test
  void aJobWaitsUntilAllItsPartsAreHere() {
    Map<String, Object> park = entry(walkTo(begin(), "leg0:BAR"), "ORDER");
    park.put("word", "seal");
    act(park);
    String seal = this.<String>stock("$.orders[?(@.order.jobId=='" + job + "')].id").get(0);
    String of = ",\"measured\":[],\"jobId\":\"%s\",\"engineId\":\"%s\"".formatted(job, engine);
    String cup = UUID.randomUUID().toString();
    assertThat(order(cup, null, "ORDERED", of)).hasStatus(204);
    assertThat(order(seal, 0, "MEASURED", of)).hasStatus(204);
    assertThat(parked()).isNotEmpty();
    assertThat(order(cup, 0, "MEASURED", of)).hasStatus(204);
    assertThat(parked()).isEmpty();
  }

  @Test
  void aJobParkedForTheNightIsNotTakenUpByAPart() {
    Map<String, Object> park = entry(walkTo(begin(), "leg0:BAR"), "PARK");
    park.put("word", "night");
    assertThat(act(park)).hasStatusOk();
    String of = ",\"measured\":[],\"jobId\":\"%s\",\"engineId\":\"%s\"".formatted(job, engine);
    assertThat(order(UUID.randomUUID().toString(), null, "MEASURED", of)).hasStatus(204);
    assertThat(parked()).isNotEmpty();
  }

  @Test
  void whatComesAndFitsLiesOnTheShelf() {
    String kind = kind("Cup for the shelf", 1);
    String at = "$.kinds[?(@.id=='" + kind + "')]";
    assertThat(stock(at + ".wanted")).containsExactly(2);
    assertThat(stock(at + ".missing")).containsExactly(1);
    String id = UUID.randomUUID().toString();
    String of = ",\"kindId\":\"%s\",\"measured\":[%s]";
    assertThat(order(id, null, "ORDERED", of.formatted(kind, ""))).hasStatus(204);
    assertThat(stock(at + ".missing")).as("on the way").containsExactly(0);
    String bore = "{\"what\":\"BORE\",\"figure\":0.571}";
    assertThat(order(id, 0, "MEASURED", of.formatted(kind, bore))).hasStatus(204);
    assertThat(stock(at + ".there")).containsExactly(3);
    assertThat(order(id, 0, "MEASURED", of.formatted(kind, bore))).hasStatus(204);
    assertThat(stock(at + ".there")).as("counted once").containsExactly(3);
  }

  @Test
  void springsOnRecordArePartsAndFallDueBeforeAnEvent() {
    LocalDate on = today().plusDays(12);
    put(
        "/api/events/" + UUID.randomUUID(),
        "{\"engineId\":\"%s\",\"name\":\"Final\",\"date\":\"%s\",\"plannedHours\":1.5}"
            .formatted(engine, on));
    String at = "$.kinds[?(@.id=='" + type + "')]";
    assertThat(stock(at + ".sort")).containsExactly("SPRINGS");
    assertThat(stock(at + ".fitted")).containsExactly(16);
    assertThat(stock(at + ".there")).as("the two spares").containsExactly(2);
    put(
        "/api/engines/" + engine + "/spring-rules",
        """
        {"lossLimitPercent":10,"intervalHours":1}""");
    put(
        "/api/stock/parts/" + type,
        "{\"part\":{\"name\":\"HV dual\",\"engines\":[],\"count\":0,\"take\":0,\"leadDays\":20,\"measures\":[]}}");
    String set = UUID.randomUUID().toString();
    String name = "R " + engine.substring(0, 6);
    assertThat(
            put(
                "/api/engines/" + engine + "/lifter-sets/" + set,
                """
                {"setName":"%s","kind":"ROLLER_SOLID","linkBars":false,"hoursBefore":30,"fromHours":0,
                 "hand":"KV"}"""
                    .formatted(name)))
        .hasStatus(204);
    put("/api/engines/" + engine + "/lifter-rules", "{\"rollerSolidHours\":31}");
    String lifters = "$.kinds[?(@.sheet.name=='" + name + "')]";
    String kind = this.<String>stock(lifters + ".id").get(0);
    put(
        "/api/stock/parts/" + kind,
        "{\"part\":{\"name\":\"%s\",\"engines\":[],\"count\":0,\"take\":0,\"leadDays\":20,\"measures\":[]}}"
            .formatted(name));
    List<Map<String, Object>> due = stock("$.due[?(@.kindId=='" + kind + "')]");
    assertThat(due).as("31 h of 30 h with 1.5 h to come").hasSize(1);
    assertThat(due.get(0))
        .containsEntry("orderBy", on.minusDays(21).toString())
        .containsEntry("order", "TOO_LATE")
        .containsEntry("lacking", 16)
        .containsEntry("event", "Final");
    assertThat(stock(lifters + ".wanted")).containsExactly(16);
  }

  @Test
  void theListsLeaveAsTablesAndComeBackAsTheyWere() {
    String name = "Cup, \"thin\"; " + engine;
    kind(name, 1);
    String id = UUID.randomUUID().toString();
    put(
        "/api/stock/orders/" + id,
        """
        {"order":{"part":"=cup, \\"%s\\"","count":3,"engineId":"%s","supplier":"Beck; Sons","leadDays":8,
         "price":14.50,"state":"ORDERED","orderedOn":"2026-11-20","dueOn":"2099-12-04","measured":[]}}"""
            .formatted(id, engine));
    List<NamedCsvRecord> orders = table("/api/stock/order-list.csv");
    NamedCsvRecord line =
        orders.stream().filter(r -> r.getField("part").contains(id)).findFirst().orElseThrow();
    assertThat(line.getField("part")).as("no spreadsheet runs it").startsWith("'=cup, \"");
    assertThat(line.getField("supplier")).isEqualTo("Beck; Sons");
    assertThat(line.getField("count")).isEqualTo("3");
    assertThat(line.getField("price")).isEqualTo("14.5");
    assertThat(line.getField("comes")).isEqualTo("2099-12-04");
    NamedCsvRecord packed =
        table("/api/stock/packing-list.csv").stream()
            .filter(r -> r.getField("part").equals(name))
            .findFirst()
            .orElseThrow();
    assertThat(
            List.of(packed.getField("take"), packed.getField("there"), packed.getField("missing")))
        .containsExactly("2", "1", "1");
  }

  private List<NamedCsvRecord> table(String path) {
    return CsvReader.builder().ofNamedCsvRecord(text(get(path))).stream().toList();
  }

  @Test
  void whatCannotBeIsRefusedAtItsField() {
    String id = UUID.randomUUID().toString();
    for (String bad : List.of("1e300", "-1", "\"NaN\"")) {
      assertThat(put("/api/stock/parts/" + id, CUP.formatted(null, "x", 1).replace("0.570", bad)))
          .as(bad)
          .hasStatus(422);
    }
    assertThat(put("/api/stock/parts/" + id, CUP.formatted(null, " ", 1)))
        .hasStatus(422)
        .bodyText()
        .contains("say which part");
    assertThat(
            put(
                "/api/stock/parts/" + id,
                CUP.formatted(null, "x", 1)
                    .replace("}]", "},{\"what\":\"BORE\",\"wanted\":1,\"below\":0,\"above\":0}]")))
        .hasStatus(422)
        .bodyText()
        .contains("each measure once");
    assertThat(order(id, null, "ORDERED", ",\"measured\":[],\"dueOn\":\"2026-11-19\""))
        .hasStatus(422)
        .bodyText()
        .contains("it cannot come before it was ordered");
    assertThat(order(id, null, "REFUSED", ",\"measured\":[]"))
        .hasStatus(422)
        .bodyText()
        .contains("say what was wrong with it");
  }
}
