package shim.app.record;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CellsTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "=1+1",
        "+cmd",
        "-cmd",
        "@SUM(A1)",
        "'=x",
        "'",
        "''",
        "plain",
        "",
        "-1.5",
        "+3",
        "a=b",
        "'quoted'",
        "-",
        "--1",
        "'-1"
      })
  void whatLeavesComesBackUnchanged(String words) {
    assertThat(Cells.in(Cells.out(words))).isEqualTo(words);
  }

  @ParameterizedTest
  @ValueSource(strings = {"=1+1", "+cmd", "-cmd", "@SUM(A1)", "\t=1", "--1"})
  void noCellBeginsAFormula(String words) {
    assertThat(Cells.out(words)).startsWith("'");
  }

  @ParameterizedTest
  @ValueSource(strings = {"-1.5", "+3", "plain", "a=b", "-0,25"})
  void numbersAndPlainWordsStayAsTheyAre(String words) {
    assertThat(Cells.out(words)).isEqualTo(words);
  }
}
