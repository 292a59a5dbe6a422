package shim.core.lifter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A measured lobe: a half cosine of 300 degrees, so that its figures are known exactly. */
class LiftTableTest {
  private static final double LIFT = 0.512;
  private static final double OPEN_DEG = 300;

  private static double lift(double fromCentreDeg) {
    return Math.abs(fromCentreDeg) < OPEN_DEG / 2
        ? LIFT * Math.cos(Math.PI * fromCentreDeg / OPEN_DEG)
        : 0;
  }

  private static List<LiftTable.Point> lobe(double from, double to, double centre, double sign) {
    List<LiftTable.Point> points = new ArrayList<>();
    for (double deg = from; deg <= to; deg += 5) {
      double away = (deg - centre + 1080) % 720 - 360;
      points.add(new LiftTable.Point(deg, 0.020 + sign * lift(away)));
    }
    return points;
  }

  @ParameterizedTest
  @CsvSource({"0, 715, 250", "0, 715, 10", "0, 715, 700", "-200, 200, 0", "-360, 360, 110"})
  void theLiftIsOverTheBaseCircleWhereverTheTableBegins(double from, double to, double centre) {
    LiftTable table = new LiftTable(lobe(from, to, centre, 1));
    assertThat(table.liftIn()).isCloseTo(LIFT, within(1e-9));
    assertThat(table.runOutIn()).isCloseTo(0, within(1e-9));
    assertThat(table.countedDown()).isFalse();
    assertThat(table.centreDeg().orElseThrow()).isCloseTo((centre + 720) % 720, within(1e-6));
    double half = OPEN_DEG / Math.PI * Math.acos(0.050 / LIFT);
    assertThat(table.durationDeg(0.050).orElseThrow()).isCloseTo(2 * half, within(0.2));
  }

  /** A good 0.512 lobe read 0.456 on a table of 120 degrees each way: "the lobe is gone". */
  @ParameterizedTest
  @ValueSource(doubles = {100, 120, 150})
  void aTableThatShowsNoBaseCircleIsRefusedWithWhatToDo(double each) {
    assertThatThrownBy(() -> new LiftTable(lobe(-each, each, 0, 1)))
        .hasMessageContaining("the base circle is not in this table")
        .hasMessageContaining("stood still");
  }

  @Test
  void aDialThatCountsDownIsTurnedRound() {
    LiftTable down = new LiftTable(lobe(-200, 200, 0, -1));
    assertThat(down.countedDown()).isTrue();
    assertThat(down.liftIn()).isCloseTo(LIFT, within(1e-9));
    assertThat(down.durationDeg(0.020))
        .isEqualTo(new LiftTable(lobe(-200, 200, 0, 1)).durationDeg(0.020));
  }

  @Test
  void runOutIsHowFarTheBaseCircleWanders() {
    List<LiftTable.Point> points =
        lobe(0, 715, 250, 1).stream()
            .map(
                p ->
                    new LiftTable.Point(
                        p.crankDeg(), p.dialIn() + 0.001 * Math.sin(Math.toRadians(p.crankDeg()))))
            .toList();
    LiftTable table = new LiftTable(points);
    assertThat(table.runOutIn()).isBetween(0.001, 0.002 + 1e-12);
    assertThat(table.liftIn()).isCloseTo(LIFT, within(0.002));
  }

  @Test
  void aLobeCutOffByTheTablesEndHasNoDuration() {
    LiftTable table = new LiftTable(lobe(-300, 60, 0, 1));
    assertThat(table.liftIn()).isCloseTo(LIFT, within(1e-9));
    assertThat(table.durationDeg(0.050)).isEmpty();
    assertThat(table.durationDeg(0.500)).isPresent();
    assertThat(table.durationDeg(0.600)).as("higher than it is").isEmpty();
  }

  @Test
  void aTableWithoutALobeIsRefusedInWords() {
    List<LiftTable.Point> flat = new ArrayList<>();
    for (int deg = 0; deg < 200; deg += 10) {
      flat.add(new LiftTable.Point(deg, 0.1));
    }
    assertThatThrownBy(() -> new LiftTable(flat)).hasMessageContaining("no lobe in them");
    assertThatThrownBy(() -> new LiftTable(flat.subList(0, 5))).hasMessageContaining("at least 12");
    flat.set(3, new LiftTable.Point(30, Double.NaN));
    assertThatThrownBy(() -> new LiftTable(flat)).hasMessageContaining("every row needs");
  }
}
