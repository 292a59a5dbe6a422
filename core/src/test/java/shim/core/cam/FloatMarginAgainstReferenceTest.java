package shim.core.cam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.cam.FloatMargin.Floats;
import shim.core.engine.CamCard;
import shim.core.engine.ValveKind;
import shim.core.lobe.LiftTable;
import shim.core.lobe.Lobes;
import shim.core.lobe.SmoothLobe;
import shim.core.spring.LoadCurve;
import shim.core.spring.RoundWire;

/**
 * A cosine lobe and a straight spring have their float speed in closed form: y = L/2 (1 + cos pφ)
 * slows most at the nose, by L/2 p², where the spring has F + k L. Wire: Shigley's Mechanical
 * Engineering Design, chapter 10.
 */
class FloatMarginAgainstReferenceTest {
  private static final double LOBE = 0.350;
  private static final double RATIO = 1.6;
  private static final double HALF = 150;
  private static final TrainMass TRAIN = new TrainMass(120, 30, 10, 90, 420, 1.45, 80, 100);
  private static final LoadCurve STRAIGHT =
      new LoadCurve(List.of(new LoadCurve.At(1.9, 200), new LoadCurve.At(1.3, 500)));
  private static final SpringForce FRESH = SpringForce.asNew(STRAIGHT, 1.9);
  private static final SmoothLobe COSINE = smooth(Lobes.cosine(LOBE, HALF), 0);

  private static SmoothLobe smooth(DoubleUnaryOperator lobe, double roundIn) {
    return new SmoothLobe(new LiftTable(Lobes.read(lobe, -190, 190, 2, roundIn)), 1);
  }

  private static FloatMargin margin(double lash) {
    return new FloatMargin(COSINE, RATIO, lash, TRAIN);
  }

  /** m at the valve: each part by itself. */
  @Test
  void whatCountsAtTheValve() {
    double g = 120 + 30 + 10 + 90 / 3.0 + 420 / (1.45 * 1.45) + (80 + 100) / (1.6 * 1.6);
    assertThat(TRAIN.atValveLbm(1.6)).isCloseTo(g / 453.59237, within(1e-12));
    assertThat(TRAIN.atValveLbm(1.7)).isLessThan(TRAIN.atValveLbm(1.6));
  }

  @ParameterizedTest
  @CsvSource({"0, 1", "0.016, 1", "0, 0.93"})
  void theCosineLobesFloatSpeedInClosedForm(double lash, double left) {
    double lift = LOBE * RATIO;
    double p = 360 / HALF;
    double load = (200 + 500 * (lift - lash)) * left;
    double omega = Math.sqrt(load * 386.0886 / (TRAIN.atValveLbm(RATIO) * lift / 2 * p * p));
    Floats floats = margin(lash).floats(new SpringForce(STRAIGHT, 1.9, left, 0, 0));
    assertThat(floats.rpm().mid()).isCloseTo(omega * 60 / Math.PI, within(40.0));
    assertThat(floats.fromCentreDeg()).isBetween(-25.0, 25.0);
    assertThat(floats.rpm().low()).isLessThanOrEqualTo(floats.rpm().mid());
    assertThat(floats.rpm().high()).isGreaterThanOrEqualTo(floats.rpm().mid());
  }

  /** The margin is gone just where it is said to be. */
  @Test
  void theCurveCrossesNothingAtTheFloatSpeed() {
    Floats floats = margin(0.016).floats(FRESH);
    double rpm = floats.rpm().mid();
    assertThat(margin(0.016).curve(FRESH, rpm, rpm, 1).get(0).midLbf()).isCloseTo(0, within(0.5));
    List<FloatMargin.AtRpm> curve = margin(0.016).curve(FRESH, 0, 9000, 500);
    assertThat(curve).hasSize(19);
    assertThat(curve.get(0).midLbf()).as("at rest the least load held").isGreaterThan(200);
    for (int i = 1; i < curve.size(); i++) {
      assertThat(curve.get(i).midLbf()).isLessThan(curve.get(i - 1).midLbf());
      assertThat(curve.get(i).lowLbf()).isLessThanOrEqualTo(curve.get(i).midLbf());
      assertThat(curve.get(i).highLbf()).isGreaterThanOrEqualTo(curve.get(i).midLbf());
    }
  }

  @Test
  void floatSpeedFallsWithTheLoadAndWithBoost() {
    double before = Double.POSITIVE_INFINITY;
    for (double left = 1; left > 0.7; left -= 0.03) {
      double now = margin(0).floats(new SpringForce(STRAIGHT, 1.9, left, 0, 0)).rpm().mid();
      assertThat(now).isLessThan(before);
      before = now;
    }
    double fresh = margin(0).floats(FRESH).rpm().mid();
    assertThat(margin(0).floats(new SpringForce(STRAIGHT, 1.9, 1, 0, 48)).rpm().mid())
        .isLessThan(fresh);
    Floats banded = margin(0).floats(new SpringForce(STRAIGHT, 1.9, 1, 0.02, 0));
    assertThat(banded.rpm().low()).isLessThan(fresh * 0.995);
    assertThat(banded.rpm().high()).isGreaterThan(fresh * 1.005);
  }

  /** A table rounded to a thou gives a speed near the true one, and its range holds it. */
  @Test
  void ofARoundedTableTheRangeHoldsTheTruth() {
    double truth = margin(0).floats(FRESH).rpm().mid();
    FloatMargin rounded = new FloatMargin(smooth(Lobes.cosine(LOBE, HALF), 0.001), RATIO, 0, TRAIN);
    Floats floats = rounded.floats(FRESH);
    assertThat(floats.rpm().mid()).isCloseTo(truth, within(0.05 * truth));
    assertThat(floats.rpm().low()).isLessThan(truth);
    assertThat(floats.rpm().high()).isGreaterThan(truth);
  }

  @Test
  void theLobeCarriesLessAtSpeed() {
    FloatMargin.LobeLoad idle = margin(0).lobeLoad(FRESH, 0);
    double lift = LOBE * RATIO;
    assertThat(idle.standingLbf()).isCloseTo((200 + 500 * lift) * RATIO, within(0.5));
    assertThat(idle.atSpeedLbf()).isEqualTo(idle.standingLbf());
    FloatMargin.LobeLoad fast = margin(0).lobeLoad(FRESH, 4500);
    double omega = Math.PI * 4500 / 60;
    double pull =
        TRAIN.atValveLbm(RATIO) * lift / 2 * Math.pow(360 / HALF, 2) * omega * omega / 386.0886;
    assertThat(fast.atSpeedLbf())
        .isCloseTo((200 + 500 * lift - pull) * RATIO, within(0.02 * idle.standingLbf()));
    assertThat(margin(0).lobeLoad(FRESH, 20_000).atSpeedLbf()).isZero();
  }

  /** No lobe that fits the card can do better than the card's bound. */
  @Test
  void aCardAloneGivesOnlyAMost() {
    double half = 2 * HALF / Math.PI * Math.acos(Math.sqrt(0.050 / LOBE));
    CamCard.Lobe card =
        new CamCard.Lobe(
            ValveKind.INTAKE, LOBE, List.of(new CamCard.Duration(0.050, 2 * half)), 106);
    double most = FloatMargin.atMostRpm(card, RATIO, TRAIN, FRESH);
    assertThat(most).isGreaterThan(margin(0).floats(FRESH).rpm().mid());
    assertThat(most).isLessThan(2 * margin(0).floats(FRESH).rpm().mid());
  }

  /** Shigley, chapter 10: music wire 0.092, OD 9/16, 5 to 35 lbf, unpeened: 49.2 kpsi and 1.23. */
  @Test
  void goodmansLineWithZimmerlisData() {
    RoundWire wire = new RoundWire(0.092, 9 / 16.0 - 0.092, 21);
    WireLife.Stress s = new WireLife(wire, WireLife.Steel.MUSIC, false).between(5, 35);
    assertThat(s.enduresKpsi()).isCloseTo(49.2, within(0.05));
    assertThat(s.factor()).isCloseTo(1.23, within(0.005));
    assertThat(s.shearKpsi()).isCloseTo(190.3, within(0.5));
    assertThat(s.swingKpsi()).isCloseTo(29.7, within(0.05));
    WireLife.Stress peened = new WireLife(wire, WireLife.Steel.MUSIC, true).between(5, 35);
    assertThat(peened.enduresKpsi()).isCloseTo(57.5 / (1 - 77.5 / s.shearKpsi()), within(1e-9));
    assertThat(peened.factor()).isGreaterThan(s.factor());
    for (double bad : new double[] {5, 4, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> new WireLife(wire, WireLife.Steel.MUSIC, true).between(5, bad))
          .hasMessageContaining("cannot be");
    }
  }

  /** Shigley's Table 10-4, values from memory: A and m of the usual wires at 0.100 and 0.200. */
  @ParameterizedTest
  @CsvSource({
    "MUSIC, 0.1, 280.7",
    "CHROME_VANADIUM, 0.2, 221.5",
    "CHROME_SILICON, 0.2, 240.3",
    "OIL_TEMPERED, 0.1, 226.1",
    "HARD_DRAWN, 0.1, 216.8"
  })
  void tensileStrengthFallsWithTheWire(WireLife.Steel steel, double wire, double kpsi) {
    assertThat(steel.tensileKpsi(wire)).isCloseTo(kpsi, within(0.1));
  }

  /** ½ √(k g/W) with W = π² d² D Na γ/4 (Shigley, chapter 10), here by its own numbers. */
  @Test
  void surgeIsOnlyForComparing() {
    RoundWire wire = new RoundWire(0.207, 1.2, 5);
    double weight = Math.PI * Math.PI * 0.207 * 0.207 * 1.2 * 5 * 0.284 / 4;
    double rate = 11.5e6 * Math.pow(0.207, 4) / (8 * Math.pow(1.2, 3) * 5);
    double hz = WireLife.surgeHz(wire, 11.5e6, 0.284);
    assertThat(hz).isCloseTo(Math.sqrt(rate * 386.0886 / weight) / 2, within(1e-6));
    assertThat(WireLife.surgeRatio(hz, 7200)).isCloseTo(hz / 60, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(doubles = {-1, 2001, Double.NaN, 1e300, Double.POSITIVE_INFINITY})
  void weightsThatCannotBeAreRefused(double bad) {
    assertThatThrownBy(() -> new TrainMass(120, bad, 10, 90, 420, 1.45, 80, 100))
        .hasMessageContaining("weight");
    assertThatThrownBy(() -> new TrainMass(120, 30, 10, 90, 420, bad, 80, 100))
        .hasMessageContaining("arm");
    assertThatThrownBy(() -> TRAIN.atValveLbm(bad)).hasMessageContaining("rocker's");
    assertThatThrownBy(() -> new SpringForce(STRAIGHT, bad, 1, 0, 0))
        .hasMessageContaining("height");
    assertThatThrownBy(() -> new SpringForce(STRAIGHT, 1.9, bad, 0, 0))
        .hasMessageContaining("none");
  }

  @ParameterizedTest
  @ValueSource(doubles = {-1, 30_001, Double.NaN, 1e300})
  void aCurveThatCannotBeDrawnIsRefused(double bad) {
    assertThatThrownBy(() -> margin(0).curve(FRESH, 0, bad, 100)).hasMessageContaining("drawn");
    assertThatThrownBy(() -> margin(0).curve(FRESH, bad, 9000, 100)).hasMessageContaining("drawn");
    assertThatThrownBy(() -> margin(0).curve(FRESH, 0, 9000, 0)).hasMessageContaining("drawn");
  }

  @Test
  void theValveMustBeWeighed() {
    assertThatThrownBy(() -> new TrainMass(0, 30, 10, 90, 420, 1.45, 80, 100))
        .hasMessageContaining("must be weighed");
    assertThatThrownBy(() -> new SpringForce(STRAIGHT, 1.9, 1, 0, Double.POSITIVE_INFINITY))
        .hasMessageContaining("none");
    assertThat(Optional.of(new SpringForce(STRAIGHT, 1.9, 1, 0, 9999).midLbf(0))).contains(0.0);
  }
}
