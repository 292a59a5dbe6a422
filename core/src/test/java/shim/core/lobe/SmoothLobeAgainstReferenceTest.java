package shim.core.lobe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.hipparchus.analysis.differentiation.DSFactory;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The smoothed lobe against Hipparchus' natural cubic splines (org.hipparchus SplineInterpolator)
 * where there is no noise, and against the lobe's own closed form where there is.
 */
class SmoothLobeAgainstReferenceTest {
  private static final double LIFT = 0.372;
  private static final double HALF = 150;
  private static final double NOSE = -6 * LIFT / (HALF * HALF);

  private static SmoothLobe smooth(List<LiftTable.Point> points) {
    return new SmoothLobe(new LiftTable(points), 1);
  }

  @Test
  void withoutNoiseItAgreesWithTheReferencesSplines() {
    List<LiftTable.Point> points = Lobes.read(Lobes.polynomial(LIFT, HALF), -190, 190, 2, 0);
    PolynomialSplineFunction reference =
        new SplineInterpolator()
            .interpolate(
                points.stream().mapToDouble(LiftTable.Point::crankDeg).toArray(),
                points.stream().mapToDouble(LiftTable.Point::dialIn).toArray());
    SmoothLobe ours = smooth(points);
    DSFactory two = new DSFactory(1, 2);
    for (double a = -140; a <= 140; a += 3.7) {
      var theirs = reference.value(two.variable(0, a));
      SmoothLobe.Motion m = ours.at(a - ours.centreDeg());
      assertThat(m.liftIn()).isCloseTo(theirs.getValue(), within(2e-5));
      assertThat(m.velocityInPerDeg()).isCloseTo(theirs.getPartialDerivative(1), within(2e-5));
      assertThat(m.accelerationInPerDeg2())
          .isCloseTo(theirs.getPartialDerivative(2), within(0.02 * -NOSE));
    }
  }

  /**
   * A table rounded to a thou, every 2 to 5 degrees. Second differences of it are wrong by more
   * than the nose itself; the smoothed one is within a tenth, and says how far it may be off.
   */
  @ParameterizedTest
  @CsvSource({"2, 0.001", "2, 0.0005", "4, 0.001", "5, 0.0005"})
  void ofARoundedTableTheNoseStillComesOut(double every, double round) {
    List<LiftTable.Point> points =
        Lobes.read(Lobes.polynomial(LIFT, HALF), -190, 190, every, round);
    SmoothLobe lobe = smooth(points);
    for (double a = -25; a <= 25; a += 5) {
      double x = a / HALF;
      double truth = NOSE * (1 - x * x) * (1 - 5 * x * x);
      assertThat(lobe.at(a).accelerationInPerDeg2()).isCloseTo(truth, within(0.1 * -NOSE));
    }
    assertThat(lobe.noiseIn()).isBetween(round / Math.sqrt(12) * 0.99, round);
  }

  /** Of 40 noisy tables the band of two s.d. holds the true acceleration at most angles. */
  @Test
  void theBandHoldsTheTruthAboutAsOftenAsItSays() {
    Random random = new Random(20261201);
    int held = 0;
    int all = 0;
    for (int n = 0; n < 40; n++) {
      List<LiftTable.Point> noisy =
          Lobes.read(Lobes.polynomial(LIFT, HALF), -190, 190, 3, 0).stream()
              .map(
                  p ->
                      new LiftTable.Point(
                          p.crankDeg(), p.dialIn() + 0.0002 * random.nextGaussian()))
              .toList();
      SmoothLobe lobe = smooth(noisy);
      for (double a = -100; a <= 100; a += 20) {
        double x = a / HALF;
        double truth = NOSE * (1 - x * x) * (1 - 5 * x * x);
        SmoothLobe.Motion m = lobe.at(a);
        held +=
            Math.abs(m.accelerationInPerDeg2() - truth) <= m.accelerationBandInPerDeg2() ? 1 : 0;
        all++;
      }
    }
    assertThat(held / (double) all).isBetween(0.97, 1.0);
  }

  @Test
  void aDialOnTheValveIsTakenBackToTheLobe() {
    List<LiftTable.Point> valve =
        Lobes.read(Lobes.polynomial(LIFT * 1.6, HALF), 0, 380, 2, 0).stream()
            .map(p -> new LiftTable.Point(p.crankDeg(), p.dialIn()))
            .toList();
    List<LiftTable.Point> shifted =
        Lobes.read(a -> Lobes.polynomial(LIFT * 1.6, HALF).applyAsDouble(a - 195), 0, 390, 2, 0);
    assertThat(valve).isNotEmpty();
    SmoothLobe lobe = new SmoothLobe(new LiftTable(shifted), 1.6);
    assertThat(lobe.curve().noseIn()).isCloseTo(LIFT, within(1e-4));
    assertThat(lobe.centreDeg()).isCloseTo(195, within(0.05));
    assertThat(lobe.curve().durationDeg(0.050))
        .isCloseTo(2 * HALF * Math.sqrt(1 - Math.cbrt(0.050 / LIFT)), within(0.2));
    assertThat(lobe.every(1)).hasSizeBetween(389, 392);
    assertThatThrownBy(() -> new SmoothLobe(new LiftTable(shifted), Double.NaN))
        .hasMessageContaining("no rocker's");
  }
}
