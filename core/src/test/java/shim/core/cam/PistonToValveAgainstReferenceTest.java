package shim.core.cam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.cam.PistonToValve.Change;
import shim.core.cam.PistonToValve.Crown;
import shim.core.cam.PistonToValve.Least;
import shim.core.cam.PistonToValve.Margin;
import shim.core.cam.PistonToValve.Reading;
import shim.core.crank.CrankSlide;
import shim.core.engine.CamCard;
import shim.core.engine.ValveKind;
import shim.core.lobe.Lobes;

/**
 * The gap curve against the trade's derived example and against Hipparchus' Brent minimum of the
 * formula written out here by itself.
 */
class PistonToValveAgainstReferenceTest {
  private static final CrankSlide SLIDE = new CrankSlide(4.0, 3.480, 6.000);
  private static final double LIFT = 0.560;

  private static CamCard.Lobe lobe(ValveKind kind, double liftIn, double centre) {
    return new CamCard.Lobe(
        kind,
        liftIn,
        List.of(new CamCard.Duration(0.006, 290), new CamCard.Duration(0.050, 250)),
        centre,
        Optional.of(
            new CamCard.Measured(Lobes.curve(Lobes.cosine(liftIn, 150), 160, 0.5), "1I", 0.5)));
  }

  private static final ValveLift AS_MEASURED =
      new ValveLift(lobe(ValveKind.INTAKE, LIFT / 1.6, 106), 1.6, 0);
  private static final PistonToValve INTAKE =
      new PistonToValve(ValveKind.INTAKE, SLIDE, 15, Crown.POCKET, 106, AS_MEASURED);
  private static final Reading TEN = new Reading(10, 0.120, true);

  /**
   * Derived: stroke 3.480, rod 6.000, α 15, pocket parallel, 0.560 cos², measured 0.120 at 10 ATDC.
   */
  @ParameterizedTest
  @CsvSource({
    "0, 1.6, 0, 0.1187, 7.9",
    "4, 1.6, 0, 0.0975, 8.2",
    "-4, 1.6, 0, 0.1389, 7.5",
    "0, 1.7, 0, 0.1092, 0",
    "0, 1.6, 0.018, 0.1367, 0"
  })
  void theDerivedExample(double advance, double ratio, double lash, double gap, double where) {
    ValveLift then = new ValveLift(lobe(ValveKind.INTAKE, LIFT / 1.6, 106), ratio, lash);
    Least least = INTAKE.least(TEN, new Change(advance, then, 0, 0));
    assertThat(least.midIn()).isCloseTo(gap, within(0.00006));
    if (where != 0) {
      assertThat(least.atdcDeg()).isCloseTo(where, within(0.06));
    }
    assertThat(least.lowIn()).isCloseTo(least.highIn(), within(1e-9));
  }

  @Test
  void liftAndPistonAtTen() {
    assertThat(SLIDE.belowTdcIn(10)).isCloseTo(0.0340, within(0.00005));
    assertThat(AS_MEASURED.at(10 - 106).mid()).isCloseTo(0.1608, within(0.00006));
  }

  /** A checking spring of 0.500 travel can prove 0.339 at 10 ATDC and nothing at full lift. */
  @Test
  void whatATravelCanProve() {
    assertThat(INTAKE.provesIn(0.500, 10)).isCloseTo(0.339, within(0.0005));
    PistonToValve atFull =
        new PistonToValve(ValveKind.INTAKE, SLIDE, 15, Crown.POCKET, 0, AS_MEASURED);
    assertThat(atFull.provesIn(0.500, 0)).isZero();
    for (double bad : new double[] {0, -1, 5.1, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> INTAKE.provesIn(bad, 10)).hasMessageContaining("cannot be");
    }
  }

  /** Against an independent minimum, of both kinds of crown and both kinds of valve. */
  @ParameterizedTest
  @CsvSource({
    "INTAKE, POCKET, 15, 106, 10, 0.120, 2",
    "INTAKE, FLAT, 23, 104, 12, 0.140, 0",
    "EXHAUST, POCKET, 12, 114, -10, 0.150, 3",
    "EXHAUST, FLAT, 18, 112, -8, 0.100, -5"
  })
  void theLeastGapIsTheReferencesMinimum(
      ValveKind kind, Crown crown, double alpha, double centre, double at, double gap, double adv) {
    ValveLift lift = new ValveLift(lobe(kind, LIFT / 1.6, centre), 1.6, 0.016);
    PistonToValve bench = new PistonToValve(kind, SLIDE, alpha, crown, centre, lift);
    double cos = Math.cos(Math.toRadians(alpha));
    double c = kind == ValveKind.INTAKE ? centre : -centre;
    DoubleUnaryOperator v = a -> Math.max(0, Lobes.cosine(LIFT, 150).applyAsDouble(a - c) - 0.016);
    DoubleUnaryOperator s =
        a -> {
          double t = Math.toRadians(a);
          double below =
              1.74 + 6 - 1.74 * Math.cos(t) - Math.sqrt(36 - Math.pow(1.74 * Math.sin(t), 2));
          return crown == Crown.POCKET ? below * cos : below / cos;
        };
    double shut = gap - s.applyAsDouble(at) + v.applyAsDouble(at);
    double reference =
        new BrentOptimizer(1e-10, 1e-12)
            .optimize(
                new MaxEval(500),
                new UnivariateObjectiveFunction(
                    a -> shut + s.applyAsDouble(a) - v.applyAsDouble(a + adv)),
                GoalType.MINIMIZE,
                new SearchInterval(-45, 45, at))
            .getValue();
    Least ours = bench.least(new Reading(at, gap, true), new Change(adv, lift, 0, 0));
    assertThat(ours.midIn()).isCloseTo(reference, within(0.0001));
  }

  /** Advancing never gains an intake clearance while its flank rises through overlap. */
  @Test
  void advancingTakesFromTheIntakeAndGivesToTheExhaust() {
    Random random = new Random(7);
    for (int n = 0; n < 60; n++) {
      double icl = 98 + 16 * random.nextDouble();
      double gap = 0.04 + 0.2 * random.nextDouble();
      double alpha = 25 * random.nextDouble();
      ValveLift in = new ValveLift(lobe(ValveKind.INTAKE, 0.35, icl), 1.5, 0);
      ValveLift ex = new ValveLift(lobe(ValveKind.EXHAUST, 0.35, icl + 8), 1.5, 0);
      PistonToValve i = new PistonToValve(ValveKind.INTAKE, SLIDE, alpha, Crown.POCKET, icl, in);
      PistonToValve e =
          new PistonToValve(ValveKind.EXHAUST, SLIDE, alpha, Crown.POCKET, icl + 8, ex);
      double beforeIn = Double.POSITIVE_INFINITY;
      double beforeEx = Double.NEGATIVE_INFINITY;
      for (double adv = -6; adv <= 6; adv += 2) {
        double gapIn = i.least(new Reading(10, gap, true), new Change(adv, in, 0, 0)).midIn();
        double gapEx = e.least(new Reading(-10, gap, true), new Change(adv, ex, 0, 0)).midIn();
        assertThat(gapIn).isLessThan(beforeIn);
        assertThat(gapEx).isGreaterThan(beforeEx);
        beforeIn = gapIn;
        beforeEx = gapEx;
      }
    }
  }

  @Test
  void gasketDeckAndSunkSeatMoveTheWholeCurve() {
    double before = INTAKE.least(TEN, Change.none(AS_MEASURED)).midIn();
    double cos = Math.cos(Math.toRadians(15));
    assertThat(INTAKE.least(TEN, new Change(0, AS_MEASURED, 0.010, 0)).midIn())
        .isCloseTo(before + 0.010 * cos, within(1e-5));
    assertThat(INTAKE.least(TEN, new Change(0, AS_MEASURED, -0.010, 0.005)).midIn())
        .isCloseTo(before - 0.010 * cos + 0.005, within(1e-5));
    PistonToValve flat =
        new PistonToValve(ValveKind.INTAKE, SLIDE, 15, Crown.FLAT, 106, AS_MEASURED);
    double flatBefore = flat.least(TEN, Change.none(AS_MEASURED)).midIn();
    assertThat(flat.least(TEN, new Change(0, AS_MEASURED, 0.010, 0)).midIn())
        .isCloseTo(flatBefore + 0.010 / cos, within(1e-5));
  }

  @Test
  void severalAnglesAreHeldAgainstEachOther() {
    double atTdc = INTAKE.at(TEN, Change.none(AS_MEASURED), 0).midIn();
    Reading zero = new Reading(0, atTdc, true);
    Reading off = new Reading(0, atTdc - 0.011, true);
    Reading loose = new Reading(5, 0.02, false);
    assertThat(INTAKE.apartIn(List.of(TEN, zero)).orElseThrow()).isCloseTo(0, within(1e-9));
    assertThat(INTAKE.agree(List.of(TEN, zero))).isTrue();
    assertThat(INTAKE.agree(List.of(TEN, off))).isFalse();
    assertThat(INTAKE.agree(List.of(TEN, new Reading(0, atTdc - 0.010, true)))).isTrue();
    assertThat(INTAKE.apartIn(List.of(TEN, loose))).as("one only touched").isEmpty();
    assertThat(INTAKE.tightest(List.of(TEN, off, loose))).contains(off);
    assertThat(INTAKE.tightest(List.of(loose))).contains(loose);
    assertThat(INTAKE.tightest(List.of())).isEmpty();
  }

  @Test
  void marginsAreExactAndSayWhatWasNotProved() {
    assertThat(PistonToValve.judge(least(0.080, 0.080), true, 0.080)).isEqualTo(Margin.ENOUGH);
    assertThat(PistonToValve.judge(least(0.0799, 0.0799), true, 0.080)).isEqualTo(Margin.TIGHT);
    assertThat(PistonToValve.judge(least(0.07, 0.09), true, 0.080)).isEqualTo(Margin.NOT_SURE);
    assertThat(PistonToValve.judge(least(0.07, 0.08), true, 0.080)).isEqualTo(Margin.NOT_SURE);
    assertThat(PistonToValve.judge(least(-0.01, 0), true, 0.080)).isEqualTo(Margin.TOUCHES);
    assertThat(PistonToValve.judge(least(0.05, 0.05), false, 0.080)).isEqualTo(Margin.NOT_PROVED);
    assertThat(PistonToValve.judge(least(0.09, 0.09), false, 0.080)).isEqualTo(Margin.ENOUGH);
    assertThat(PistonToValve.usualIn(ValveKind.INTAKE)).isEqualTo(0.080);
    assertThat(PistonToValve.usualIn(ValveKind.EXHAUST)).isEqualTo(0.100);
    assertThat(PistonToValve.radialIn(2.12, 2.02, 0.005)).isCloseTo(0.045, within(1e-9));
  }

  private static Least least(double low, double high) {
    return new Least(8, low, (low + high) / 2, high);
  }

  /** By a card alone it is a range, and the measured lobe of that card lies within it. */
  @Test
  void byTheCardTheGapIsARangeAroundTheMeasuredOne() {
    CamCard.Lobe measured = lobe(ValveKind.INTAKE, 0.35, 106);
    double at50 = measured.measured().orElseThrow().curve().durationDeg(0.050);
    double at20 = measured.measured().orElseThrow().curve().durationDeg(0.020);
    CamCard.Lobe card =
        new CamCard.Lobe(
            ValveKind.INTAKE,
            0.35,
            List.of(new CamCard.Duration(0.020, at20), new CamCard.Duration(0.050, at50)),
            106);
    ValveLift byCard = new ValveLift(card, 1.6, 0);
    ValveLift byLobe = new ValveLift(measured, 1.6, 0);
    assertThat(byCard.measured()).isFalse();
    assertThat(byLobe.measured()).isTrue();
    for (double a = -165; a <= 165; a += 1) {
      Bounds b = byCard.at(a);
      assertThat(byLobe.at(a).mid()).as("at %s", a).isBetween(b.low() - 0.004, b.high() + 0.004);
    }
    Least range =
        new PistonToValve(ValveKind.INTAKE, SLIDE, 15, Crown.POCKET, 106, byCard)
            .least(TEN, Change.none(byCard));
    Least one =
        new PistonToValve(ValveKind.INTAKE, SLIDE, 15, Crown.POCKET, 106, byLobe)
            .least(TEN, Change.none(byLobe));
    assertThat(one.midIn()).isBetween(range.lowIn() - 0.002, range.highIn() + 0.002);
    assertThat(range.highIn() - range.lowIn()).isPositive();
    assertThat(byCard.fullIn()).isCloseTo(0.56, within(1e-9));
    assertThat(new ValveLift(card, 1.6, 0.016).fullIn()).isCloseTo(0.544, within(1e-9));
  }

  @Test
  void moreLashNeverAddsLift() {
    CamCard.Lobe lobe = lobe(ValveKind.INTAKE, 0.35, 106);
    for (double a = -160; a <= 160; a += 4) {
      double before = Double.POSITIVE_INFINITY;
      for (double lash = 0; lash < 0.03; lash += 0.002) {
        double now = new ValveLift(lobe, 1.6, lash).at(a).mid();
        assertThat(now).isBetween(0.0, before);
        before = now;
      }
    }
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new Reading(61, 0.1, true)).hasMessageContaining("not near");
    assertThatThrownBy(() -> new Reading(Double.NaN, 0.1, true)).hasMessageContaining("not near");
    for (double bad : new double[] {-0.001, 3.1, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> new Reading(10, bad, true)).hasMessageContaining("gap of");
    }
    for (double bad : new double[] {60, -60, Double.NaN}) {
      assertThatThrownBy(
              () -> new PistonToValve(ValveKind.INTAKE, SLIDE, bad, Crown.FLAT, 106, AS_MEASURED))
          .hasMessageContaining("to the bore");
    }
    CamCard.Lobe lobe = lobe(ValveKind.INTAKE, 0.35, 106);
    assertThatThrownBy(() -> new ValveLift(lobe, Double.NaN, 0)).hasMessageContaining("ratio");
    assertThatThrownBy(() -> new ValveLift(lobe, 1.6, -0.001)).hasMessageContaining("lash");
    for (double bad : new double[] {0, -1, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> PistonToValve.radialIn(bad, 2, 0)).hasMessageContaining("pocket");
      assertThatThrownBy(() -> PistonToValve.radialIn(2, bad, 0)).hasMessageContaining("pocket");
    }
  }
}
