package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Lifters put on record and under their valves in one go: all or none. */
class LifterSetApiTest extends ApiTest {
  private String engine;

  @BeforeEach
  void anEngine() {
    engine = engine(resource("v8.json"));
  }

  private MvcTestResult set(UUID id, String name, String hand) {
    return put(
        "/api/engines/" + engine + "/lifter-sets/" + id,
        """
        {"kind":"ROLLER_SOLID","setName":"%s","linkBars":true,"hoursBefore":4,"fromHours":0,\
        "hand":"%s"}"""
            .formatted(name, hand));
  }

  private MvcTestResult fitNew(String valve, String mark, String hand) {
    return put(
        "/api/lifter-fittings/" + UUID.randomUUID(),
        """
        {"lifterId":"%s","lifter":{"kind":"ROLLER_SOLID","mark":"%s","hoursBefore":2,\
        "scrapped":false},"engineId":"%s","valve":"%s","fromHours":0,"hand":"%s"}"""
            .formatted(UUID.randomUUID(), mark, engine, valve, hand));
  }

  private MvcTestResult lifters() {
    return get("/api/engines/" + engine + "/lifters");
  }

  @Test
  void aSetGoesUnderEveryEmptyValveAndTheBarsTieTheTwoOfACylinder() {
    assertThat(fitNew("3E", "old", "KV")).hasStatus(204);
    UUID id = UUID.randomUUID();
    assertThat(set(id, "S1", "KV")).hasStatus(204);
    assertThat(set(id, "S1", "KV")).as("safe to repeat").hasStatus(204);
    assertThat(lifters())
        .bodyJson()
        .extractingPath("$.valves[*].lifter.mark")
        .asArray()
        .hasSize(16)
        .contains("old", "S1 1E", "S1 8I")
        .doesNotContain("S1 3E");
    assertThat(partner("1E")).isEqualTo("S1 1I");
    assertThat(partner("8I")).isEqualTo("S1 8E");
    assertThat(lifters())
        .bodyJson()
        .extractingPath("$.valves[?(@.position=='3I')].lifter.partner")
        .asArray()
        .as("its neighbour was there before and is tied to nothing")
        .isEmpty();
    assertThat(shelved()).doesNotContain("S1 ");
  }

  /** Marks of the lifters in no engine; other tests leave theirs there. */
  private String shelved() {
    List<Object> marks = new ArrayList<>();
    assertThat(lifters())
        .bodyJson()
        .extractingPath("$.shelf[*].mark")
        .asArray()
        .satisfies(all -> Collections.addAll(marks, all));
    return marks.toString();
  }

  private String partner(String valve) {
    return text(lifters(), "$.valves[?(@.position=='" + valve + "')].lifter.partner");
  }

  @Test
  void withoutInitialsNothingIsKept() {
    assertThat(set(UUID.randomUUID(), "S2", " "))
        .hasStatus(422)
        .bodyText()
        .contains("write your initials");
    assertThat(fitNew("1I", "unsigned", "")).hasStatus(422);
    assertThat(shelved()).doesNotContain("S2 ", "unsigned");
    assertThat(lifters()).bodyJson().extractingPath("$.valves[*].lifter").asArray().isEmpty();
  }

  @Test
  void aNewLifterWhoseValveIsTakenLeavesNoTrace() {
    assertThat(fitNew("1I", "first", "KV")).hasStatus(204);
    assertThat(fitNew("1I", "second", "KV"))
        .hasStatus(422)
        .bodyText()
        .contains("1I has a lifter already: take it out first");
    assertThat(shelved()).doesNotContain("second");
  }
}
