package shim.core.crank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Torque and fall against hand-worked values (the slider-crank of any textbook of machine dynamics,
 * worked for a 4.000 bore, 3.480 stroke and 5.700 rod), and against a numeric derivative.
 */
class CrankSlideAgainstHandbookTest {
  private static final CrankSlide V8 = new CrankSlide(4.000, 3.480, 5.700);

  @ParameterizedTest
  @CsvSource({"5, 17, 0.009", "10, 33, 0.034", "34, 102, 0.38"})
  void handWorkedAt80Psi(double offDeg, double torque, double below) {
    assertThat(V8.torqueLbfFt(80, offDeg)).isCloseTo(torque, within(0.5));
    assertThat(V8.belowTdcIn(offDeg)).isCloseTo(below, within(0.005));
  }

  @Test
  void forceIsPressureTimesArea() {
    assertThat(V8.forceLbf(80)).isCloseTo(1005.3, within(0.1));
    assertThat(CrankSlide.valveForceLbf(80, 2.02)).isCloseTo(256.4, within(0.1));
  }

  @ParameterizedTest
  @ValueSource(doubles = {-170, -90, -34, -5, 0, 1, 5, 17.3, 34, 90, 120, 180})
  void theArmIsTheDerivativeOfThePistonsPlace(double deg) {
    double h = 1e-4;
    double slope = (V8.belowTdcIn(deg + h) - V8.belowTdcIn(deg - h)) / (2 * Math.toRadians(h));
    assertThat(V8.armIn(deg)).isCloseTo(slope, within(1e-7));
  }

  @Test
  void theWorkOfAirDownTheStrokeIsForceTimesStroke() {
    double work = 0;
    for (double d = 0; d < 180; d += 0.05) {
      work += V8.torqueLbfFt(80, d + 0.025) * 12 * Math.toRadians(0.05);
    }
    assertThat(work).isCloseTo(V8.forceLbf(80) * 3.480, within(0.05));
  }

  @Test
  void airTurnsTheCrankJustBeyondWhereItHolds() {
    double within = V8.holdsWithinDeg(80, 20);
    assertThat(V8.torqueLbfFt(80, within)).isCloseTo(20, within(1e-3));
    assertThat(within).isBetween(5.0, 7.0);
    assertThat(V8.holdsWithinDeg(80, 1000)).isEqualTo(90);
    assertThat(V8.curve(80, 40))
        .hasSize(41)
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(CrankSlide.OffTdc::torqueLbfFt));
  }

  @ParameterizedTest
  @CsvSource({"0,3,5", "4,0,5", "4,3,1.5", "4,3,NaN", "Infinity,3,5", "NaN,3,5"})
  void whatMakesNoEngineIsRefused(double bore, double stroke, double rod) {
    assertThatThrownBy(() -> new CrankSlide(bore, stroke, rod))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
