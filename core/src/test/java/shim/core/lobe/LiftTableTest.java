package shim.core.lobe;

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
  @CsvSource({
    "0, 715, 250",
    "0, 720, 250",
    "0, 715, 10",
    "0, 715, 700",
    "-200, 200, 0",
    "-360, 360, 110"
  })
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

  /** Never shortened to what it has: what is missing is said, at the end where it is missing. */
  @Test
  void aLobeCutOffByTheTablesEndIsRefusedWithHowMuchMore() {
    assertThatThrownBy(() -> new LiftTable(lobe(-300, 60, 0, 1)))
        .hasMessageContaining("still for 150° before the lobe and 0° after")
        .hasMessageEndingWith("Measure 20° more after");
    assertThatThrownBy(() -> new LiftTable(lobe(-165, 200, 0, 1)))
        .hasMessageContaining("still for 15° before")
        .hasMessageEndingWith("Measure 5° more before");
    assertThat(new LiftTable(lobe(-170, 170, 0, 1)).durationDeg(0.600)).as("too high").isEmpty();
  }

  /** 0.0010 is still, a hair more is not. */
  @Test
  void standsStillWithinOneThouExactly() {
    List<LiftTable.Point> exact = new ArrayList<>(lobe(-200, 200, 0, 1));
    exact.set(2, new LiftTable.Point(-190, 0.021));
    assertThat(new LiftTable(exact).liftIn()).isCloseTo(LIFT, within(1e-9));
    exact.set(2, new LiftTable.Point(-190, 0.02101));
    assertThatThrownBy(() -> new LiftTable(exact)).hasMessageContaining("5° before");
  }

  @Test
  void aDialThatDoesNotComeBackHasSlipped() {
    List<LiftTable.Point> off =
        lobe(-200, 200, 0, 1).stream()
            .map(p -> p.crankDeg() < 0 ? p : new LiftTable.Point(p.crankDeg(), p.dialIn() + 0.004))
            .toList();
    assertThat(new LiftTable(off).liftIn()).as("0.004 is run-out").isCloseTo(LIFT, within(0.003));
    List<LiftTable.Point> slipped =
        off.stream()
            .map(p -> p.crankDeg() < 0 ? p : new LiftTable.Point(p.crankDeg(), p.dialIn() + 0.0001))
            .toList();
    assertThatThrownBy(() -> new LiftTable(slipped)).hasMessageContaining("it has slipped");
  }

  /** A wheel of 360 degrees that passes its zero while the lobe is on. */
  @Test
  void aWheelThatPassesItsZeroIsCountedOn() {
    List<LiftTable.Point> wheel =
        lobe(160, 560, 360, 1).stream()
            .map(p -> new LiftTable.Point(p.crankDeg() % 360, p.dialIn()))
            .toList();
    LiftTable table = new LiftTable(wheel);
    assertThat(table.centreDeg().orElseThrow()).isCloseTo(360, within(1e-6));
    assertThat(table.stepDeg()).isEqualTo(5);
    assertThat(table.lifts()).hasSameSizeAs(wheel);
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
