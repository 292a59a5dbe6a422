package shim.app.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

class ApiDocumentTest {
  private static final JsonMapper JSON = JsonMapper.shared();
  private static final String SCHEMAS =
      """
      {"components":{"schemas":{
        "Spring":{"type":"object","properties":{"mark":{"type":"string"},
          "hours":{"type":"number"},"loads":{"type":"array","items":{"type":"number"}},
          "figures":{"type":"object","additionalProperties":{"type":"number"}}}}}}}""";

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "{\"mark\":\"NaN\",\"hours\":1} | false",
        "{\"hours\":\"NaN\"} | true",
        "{\"hours\":\"12\"} | false",
        "{\"loads\":[1,\"-Infinity\"]} | true",
        "{\"figures\":{\"next\":\"Infinity\"}} | true",
        "{\"unheardOf\":\"NaN\"} | false"
      })
  void aFigureIsToldFromAName(String answer, boolean endless) {
    ApiDocument api = new ApiDocument(JSON.readTree(SCHEMAS));
    assertThat(
            api.endless(
                JSON.readTree(answer), JSON.readTree("{\"$ref\":\"#/components/schemas/Spring\"}")))
        .isEqualTo(endless);
  }
}
