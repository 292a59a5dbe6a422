package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/**
 * An old notebook that does not fit the engine, and limits that cannot be: said, and nothing kept.
 */
class NotebookApiTest extends ApiTest {
  private static final String HEAD = "date,engine_hours,valve,spring,height_in,load,member\n";
  private String engine;

  @BeforeEach
  void fitASet() {
    engine = engine(resource("v8.json"));
    fitSprings(engine, "N");
  }

  private MvcTestResult keep(String lines) {
    return take("KV", true, lines);
  }

  private MvcTestResult take(String hand, boolean keep, String lines) {
    return http.post()
        .uri("/api/engines/" + engine + "/spring-readings?hand=" + hand + "&keep=" + keep)
        .contentType("text/csv")
        .content(HEAD + lines)
        .exchange();
  }

  private void keptTests(int count) {
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.tests.length()")
        .isEqualTo(count);
  }

  @Test
  void aTableMayBeLookedAtUnsignedButNotKept() {
    String line = "2026-05-30,1,1I,,1.95,219,\n";
    assertThat(take("", false, line)).hasStatusOk();
    assertThat(take("", true, line)).hasStatus(422).bodyText().contains("write your initials");
    keptTests(0);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "2026-05-30,1,9X,,1.95,220,      | 9X",
        "2026-05-30,1,1I,,1.95,220,PART  | member is WHOLE, OUTER or INNER",
        "2026-05-30,1,,Z-99,1.95,220,    | no spring is marked \"Z-99\"",
      })
  void aLineThatFitsNothingIsNamedAndNoLineIsKept(String line, String words) {
    assertThat(keep("2026-05-30,1,1I,,1.95,219,\n" + line.strip() + "\n"))
        .hasStatus(422)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .startsWith("line 3: ")
        .contains(words.strip())
        .endsWith("; nothing was kept");
    keptTests(0);
  }

  @Test
  void withoutAHeightTheInstalledOneIsMeantAndAMarkWillDoForAValve() {
    assertThat(keep("2026-05-30,1,1I,,,219,\n2026-05-30,1,,N 1E,1.95,221,\n")).hasStatusOk();
    keptTests(1);
    assertThat(get("/api/engines/" + engine + "/springs"))
        .bodyJson()
        .extractingPath("$.springs[?(@.position=='1E')].lastRawLbf")
        .asArray()
        .containsExactly(221.0);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"lossPercent\":80}             | lossPercent       | between 1 and 50 %",
        "{\"changeAt\":0}                 | changeAt          | between 0.001 and 0.9",
        "{\"heightToleranceIn\":1}        | heightToleranceIn | {0.001 in} to {0.1 in}",
        "{\"topRpm\":90000}               | topRpm            | 500 to 20000 rpm",
        "{\"lockOffsetsIn\":[0.05,0.5]}   | lockOffsetsIn     | within {0.2 in}",
        "{\"links\":[{\"part\":\"STUD\",\"openLbf\":5}]}   | links.STUD   | {50 lbf} and {3000 lbf}",
        "{\"links\":[{\"part\":\"LIFTER\",\"rpm\":5}]}     | links.LIFTER | 500 to 20000 rpm",
        "{\"links\":[{\"part\":\"ROCKER\",\"liftIn\":15}]} | links.ROCKER | {0.1 in} and {1.5 in}",
      })
  void limitsThatCannotBeAreRefusedAtTheirBox(String rules, String field, String words) {
    MvcTestResult answer = put("/api/engines/" + engine + "/spring-rules", rules.strip());
    assertThat(answer).hasStatus(422);
    assertThat(answer).bodyJson().extractingPath("$.errors[0].field").isEqualTo(field.strip());
    assertThat(answer)
        .bodyJson()
        .extractingPath("$.errors[0].message")
        .asString()
        .contains(words.strip());
  }
}
