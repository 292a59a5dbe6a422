package shim.core.head;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.Engines;
import shim.core.engine.Layout;
import shim.core.engine.ValveKind;
import shim.core.head.HeadRecord.HeadFault;
import shim.core.head.HeadRecord.HeadReading;
import shim.core.spring.Kit;
import shim.core.spring.SpringChoice;

/** What a bare head shows, and what is measured on it next. */
class HeadRecordTest {
  private static final Layout V8 = Engines.engine(Engines.sheet("v8-odd-even")).layout();

  private static HeadReading at(HeadMeasure what, String valve, double figure) {
    return new HeadReading(what, HeadPlace.of(Heads.at(valve)), figure);
  }

  private static HeadRecord of(HeadReading... readings) {
    return new HeadRecord(V8, List.of(readings));
  }

  @Test
  void ofAPocketTheWidestCountsAndOfTheRestTheLast() {
    HeadRecord r =
        of(
            at(HeadMeasure.POCKET, "3E", 1.556),
            at(HeadMeasure.POCKET, "3E", 1.558),
            at(HeadMeasure.POCKET, "3E", 1.555),
            at(HeadMeasure.HEIGHT, "3E", 1.966),
            at(HeadMeasure.HEIGHT, "3E", 1.964));
    assertThat(r.figure(HeadMeasure.POCKET, Heads.at("3E"))).hasValue(1.558);
    assertThat(r.figure(HeadMeasure.HEIGHT, Heads.at("3E"))).hasValue(1.964);
    assertThat(r.figure(HeadMeasure.HEIGHT, Heads.at("3I"))).isEmpty();
  }

  /** 0.004 apart is still round enough, a thou more is asked about. */
  @ParameterizedTest
  @CsvSource({"1.556, 1.560, false", "1.556, 1.561, true"})
  void aPocketThatIsNotRoundIsAskedAbout(double one, double other, boolean apart) {
    HeadRecord r = of(at(HeadMeasure.POCKET, "3E", one), at(HeadMeasure.POCKET, "3E", other));
    assertThat(r.shows().get(0).apart()).isEqualTo(apart);
    assertThat(
            of(at(HeadMeasure.HEIGHT, "3E", 1.9), at(HeadMeasure.HEIGHT, "3E", 2.0))
                .shows()
                .get(0)
                .apart())
        .as("a height that was read again")
        .isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "HEIGHT, 3E, 1.95, ",
    "HEIGHT, 3E, 0.5, ",
    "HEIGHT, 3E, 6.0, ",
    "HEIGHT, 3E, 0.499, IMPOSSIBLE",
    "HEIGHT, 3E, 6.001, IMPOSSIBLE",
    "HEIGHT, 3E, NaN, IMPOSSIBLE",
    "HEIGHT, 3E, Infinity, IMPOSSIBLE",
    "HEIGHT, 3E, 1e300, IMPOSSIBLE",
    "HEIGHT, 9E, 1.95, NO_SUCH_PLACE",
    "CHAMBER, 3E, 62, NO_SUCH_PLACE"
  })
  void whatCannotBeIsRefused(HeadMeasure what, String valve, double figure, HeadFault fault) {
    assertThat(HeadRecord.fault(V8, at(what, valve, figure))).isEqualTo(Optional.ofNullable(fault));
  }

  @Test
  void valvesWithAHeightCanHaveSpringsChosen() {
    HeadRecord r =
        of(
            at(HeadMeasure.HEIGHT, "3E", 1.964),
            at(HeadMeasure.POCKET, "3E", 1.556),
            at(HeadMeasure.POCKET, "3I", 1.6));
    assertThat(r.bare(Map.of(ValveKind.EXHAUST, Kit.Groove.SQUARE)))
        .containsExactly(
            new SpringChoice.Bare(
                Heads.at("3E"), 1.964, 1.556, null, new Kit.Stem(null, Kit.Groove.SQUARE)));
    assertThat(r.missing(HeadMeasure.POCKET)).hasSize(16);
    assertThat(r.missing(HeadMeasure.HEIGHT)).hasSize(15);
  }
}
