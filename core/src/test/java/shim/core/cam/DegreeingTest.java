package shim.core.cam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.cam.Degreeing.Taken;
import shim.core.cam.Degreeing.Wanted;
import shim.core.cam.Degreeing.Way;

/** A cam degreed reading by reading. */
class DegreeingTest {
  private final List<Taken> readings = new ArrayList<>();

  private DegreeingTest read(CamMeasure what, double height, double figure) {
    readings.add(new Taken(what, height, figure));
    return this;
  }

  private Degreeing twice(boolean pointerMoved) {
    return new Degreeing(Way.UNDER_NOSE, List.of(0.100, 0.050), pointerMoved, readings);
  }

  @Test
  void readingsAreAskedForInTheOrderTheyAreMet() {
    assertThat(twice(true).wanted())
        .extracting(w -> w.what() + (w.heightIn() == 0 ? "" : " " + w.heightIn()))
        .containsExactly(
            "STOP_BEFORE",
            "STOP_AFTER",
            "INTAKE_UP 0.1",
            "INTAKE_UP 0.05",
            "INTAKE_DOWN 0.05",
            "INTAKE_DOWN 0.1",
            "EXHAUST_UP 0.1",
            "EXHAUST_UP 0.05",
            "EXHAUST_DOWN 0.05",
            "EXHAUST_DOWN 0.1");
    read(CamMeasure.STOP_BEFORE, 0, 30).read(CamMeasure.STOP_BEFORE, 0, 28.5);
    assertThat(twice(true).wanted().get(0).figure()).as("the last counts").contains(28.5);
    assertThat(new Degreeing(Way.EVENTS, List.of(), true, List.of()).wanted())
        .extracting(Wanted::what)
        .endsWith(CamMeasure.EVO, CamMeasure.IVO, CamMeasure.EVC, CamMeasure.IVC);
  }

  /** The pointer 1.25 early: every later reading is 1.25 too high, before TDC too low. */
  @Test
  void aPointerThatWasNotMovedIsReckonedWith() {
    read(CamMeasure.STOP_BEFORE, 0, 28.5).read(CamMeasure.STOP_AFTER, 0, 31);
    read(CamMeasure.INTAKE_UP, 0.050, 62.25).read(CamMeasure.INTAKE_DOWN, 0.050, 155.25);
    read(CamMeasure.EXHAUST_UP, 0.050, 159).read(CamMeasure.EXHAUST_DOWN, 0.050, 66);
    Degreeing.Found left = twice(false).found();
    assertThat(left.tdc().orElseThrow().standsAtDeg()).isEqualTo(1.25);
    assertThat(left.installed().orElseThrow().iclDeg()).contains(107.5);
    assertThat(left.installed().orElseThrow().eclDeg().orElseThrow())
        .isCloseTo(113.75, within(1e-9));
    Degreeing.Found moved = twice(true).found();
    assertThat(moved.installed().orElseThrow().iclDeg()).contains(108.75);
    assertThat(moved.installed().orElseThrow().eclDeg()).contains(112.5);
  }

  @Test
  void nothingIsSaidBeforeTdcIsKnownAndOneLobeIsEnough() {
    read(CamMeasure.INTAKE_UP, 0.050, 61).read(CamMeasure.INTAKE_DOWN, 0.050, 154);
    assertThat(twice(true).found().installed()).isEmpty();
    read(CamMeasure.STOP_BEFORE, 0, 30).read(CamMeasure.STOP_AFTER, 0, 30);
    Degreeing.Found found = twice(true).found();
    assertThat(found.intake().orElseThrow().pairs()).hasSize(1);
    assertThat(found.exhaust()).isEmpty();
    assertThat(found.installed().orElseThrow().iclDeg()).contains(107.5);
  }

  @Test
  void byFourEventsWithThePointerLeftWhereItWas() {
    read(CamMeasure.STOP_BEFORE, 0, 29).read(CamMeasure.STOP_AFTER, 0, 31);
    read(CamMeasure.IVO, 0, 38).read(CamMeasure.IVC, 0, 72);
    read(CamMeasure.EVO, 0, 78).read(CamMeasure.EVC, 0, 32);
    Degreeing moved = new Degreeing(Way.EVENTS, List.of(), true, readings);
    assertThat(moved.found().installed().orElseThrow().iclDeg()).contains(107.0);
    assertThat(moved.found().installed().orElseThrow().eclDeg()).contains(113.0);
    Degreeing left = new Degreeing(Way.EVENTS, List.of(), false, readings);
    assertThat(left.found().installed().orElseThrow().iclDeg()).contains(106.0);
    assertThat(left.found().installed().orElseThrow().eclDeg()).contains(114.0);
    readings.remove(readings.size() - 1);
    assertThat(new Degreeing(Way.EVENTS, List.of(), true, readings).found().installed()).isEmpty();
  }

  @Test
  void heightsThatCannotBeAreRefused() {
    for (double bad : new double[] {0.004, 0.301, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> new Degreeing(Way.UNDER_NOSE, List.of(bad), true, List.of()))
          .hasMessageContaining("no height");
    }
    assertThatThrownBy(() -> new Degreeing(Way.UNDER_NOSE, List.of(), true, List.of()))
        .hasMessageContaining("one to four");
    assertThat(CamMeasure.STOP_AFTER.possible(120)).isTrue();
    assertThat(CamMeasure.STOP_AFTER.possible(120.1)).isFalse();
    assertThat(CamMeasure.GAP.possible(Double.NaN)).isFalse();
    assertThat(CamMeasure.GAP.ofValve()).isTrue();
    assertThat(CamMeasure.IVO.ofValve()).isFalse();
    assertThat(CamMeasure.EXHAUST_UP.underNose()).isTrue();
    assertThat(CamMeasure.EVC.underNose()).isFalse();
  }

  /** ECL 114 before and ICL 106 after TDC at 360: 220 apart, so 110; also past the wheel's zero. */
  @Test
  void lobesReadOnOneWheelGiveTheirSeparation() {
    assertThat(Separation.lsaDeg(360 - 114, 360 + 106)).hasValue(110);
    assertThat(Separation.lsaDeg(700, 200)).hasValue(110);
    assertThat(Separation.lsaDeg(0, 170)).hasValue(85);
    assertThat(Separation.lsaDeg(0, 169.8)).isEmpty();
    assertThat(Separation.lsaDeg(0, 280)).hasValue(140);
    assertThat(Separation.lsaDeg(0, 280.2)).isEmpty();
    assertThat(Separation.lsaDeg(200, 200)).as("each on its own wheel").isEmpty();
    assertThat(Separation.lsaDeg(Double.NaN, 200)).isEmpty();
  }
}
