package shim.app.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.app.http.Refusal;

class ReadingsCsvTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "date,engine_hours,valve,height_in,load\n2026-05-30,1.2,3e,1.950,216.5",
        "date;hours;valve;height;load_lbf\n2026-05-30;1,2;3E;1,950;216,5",
        "valve\tload_psi\tengine_hours\tdate\theight_in\n3E\t216.5 psi\t1.2 h\t2026-05-30\t1.950 in",
        "Load_N;Date;Engine_hours;Valve;Height_mm\n963,04;2026-05-30;1,2;3E;49,53"
      })
  void oneReadingWrittenInManyWays(String table) {
    List<ReadingsCsv.Line> lines = ReadingsCsv.read(table);
    assertThat(lines).hasSize(1);
    ReadingsCsv.Line l = lines.get(0);
    assertThat(l.valve()).isEqualTo("3E");
    assertThat(l.engineHours()).isEqualTo(1.2);
    assertThat(l.loadLbf()).isCloseTo(216.5, within(0.01));
    assertThat(l.heightIn().orElseThrow()).isCloseTo(1.95, within(1e-4));
    assertThat(l.at()).isEqualTo(Instant.parse("2026-05-30T12:00:00Z"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "30.5.2026,1,1I,1.95,220 | is no date",
        "2026-05-30,,1I,1.95,220 | engine_hours is missing",
        "2026-05-30,1,,1.95,220 | which valve",
        "2026-05-30,1,1I,1.95, | load is missing",
        "2026-05-30,1,1I,tall,220 | \"tall\" in height is not a number",
        "2026-05-30,1,1I,1.95,-3 | cannot be",
        "2026-05-30,1,1I,1.95,NaN | is not a number"
      })
  void whatIsWrongIsSaidWithItsLine(String line, String why) {
    Refusal refused =
        catchThrowableOfType(
            Refusal.class,
            () -> ReadingsCsv.read("date,engine_hours,valve,height_in,load\n" + line.strip()));
    assertThat(refused.errors()).hasSize(1);
    assertThat(refused.errors().get(0).message()).startsWith("line 2: ").contains(why.strip());
  }

  @Test
  void anEmptyTableSaysWhatIsWanted() {
    assertThatThrownBy(() -> ReadingsCsv.read("date,load\n"))
        .hasMessageContaining("first names the columns");
  }

  @Test
  void aCheckSpringsLineNeedsNoValve() {
    ReadingsCsv.Line l =
        ReadingsCsv.read("date,engine_hours,load,known_lbf\n2026-05-30,1,211.2,215").get(0);
    assertThat(l.knownLbf()).contains(215.0);
    assertThat(l.valve()).isEmpty();
  }

  @Test
  void whatIsWrittenIsReadBack() {
    ReadingsCsv.Line line =
        new ReadingsCsv.Line(
            2,
            Instant.parse("2026-05-30T10:15:00Z"),
            10.1,
            "HEAD",
            "COLD",
            "lever, the old one",
            "KV",
            "3E",
            "A-3E",
            Optional.of(1.951),
            200.25,
            Optional.empty(),
            "WHOLE",
            true,
            "said \"creaks\"\nsecond line");
    assertThat(ReadingsCsv.read(ReadingsCsv.write(List.of(line)))).containsExactly(line);
  }
}
