package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import shim.core.engine.Lifter;

/** Bands and minima are common practice without a source: here they are only held to be applied. */
class FitTest {
  private static final SpringType TYPE = SpringCheck.check(SpringTest.sheet()).type().orElseThrow();

  private static Fit fit(double height, Double seal, Double pocket, Double stated, double lift) {
    return Fit.of(
        TYPE,
        new Fit.Measured(height, seal, pocket, null, null, stated),
        Optional.of(new Fit.Lift(lift, lift - 0.018)),
        Fit.Asked.usual(Lifter.ROLLER_SOLID));
  }

  private static Optional<Fit.Weight> weight(Fit fit, String about) {
    return fit.remarks().stream()
        .filter(r -> Pattern.compile(about).matcher(r.said().code()).find())
        .map(Fit.Remark::weight)
        .findFirst();
  }

  @ParameterizedTest
  @CsvSource({
    "0.735, STOP",
    "0.731, STOP",
    "0.730, ASK",
    "0.720, ASK",
    "0.711, ASK",
    "0.710,",
    "0.690,",
    "0.620,",
    "0.619, KNOW",
    "0.610, KNOW"
  })
  void bindClearanceIsWeighed(double lift, Fit.Weight expected) {
    Fit fit = fit(1.95, null, null, null, lift);
    assertThat(fit.bindClearanceIn().orElseThrow()).isCloseTo(1.95 - 1.18 - lift, within(1e-9));
    assertThat(weight(fit, "_BIND")).isEqualTo(Optional.ofNullable(expected));
  }

  @ParameterizedTest
  @CsvSource({
    "0.680, STOP",
    "0.690, STOP",
    "0.691, ASK",
    "0.700, ASK",
    "0.739, ASK",
    "0.740,",
    "0.745,"
  })
  void theSealsGapIsWeighed(double gap, Fit.Weight expected) {
    assertThat(weight(fit(1.95, gap, null, null, 0.69), "_SEAL"))
        .isEqualTo(Optional.ofNullable(expected));
  }

  @ParameterizedTest
  @CsvSource({
    "1.548, STOP",
    "1.5503, ASK",
    "1.5519, ASK",
    "1.552,",
    "1.555,",
    "1.560,",
    "1.5601, ASK",
    "1.580, ASK",
    "1.5801, STOP"
  })
  void thePocketsPlayIsWeighed(double pocket, Fit.Weight expected) {
    assertThat(weight(fit(1.95, null, pocket, null, 0.69), "PLAY|POCKET"))
        .isEqualTo(Optional.ofNullable(expected));
  }

  @ParameterizedTest
  @CsvSource({
    "0.080, false",
    "0.070, false",
    "0.0699, true",
    "0.060, true",
    "0.090, false",
    "0.100, true"
  })
  void aStatedClearanceThatDisagreesIsAskedAbout(double stated, boolean asked) {
    assertThat(weight(fit(1.95, null, null, stated, 0.69), "STATED").isPresent()).isEqualTo(asked);
  }

  @ParameterizedTest
  @EnumSource(Lifter.class)
  void everyLifterHasItsBand(Lifter lifter) {
    Fit.Band band = Fit.Band.of(lifter);
    assertThat(band.seatLowLbf()).isPositive().isLessThan(band.seatHighLbf());
    assertThat(band.openHighLbf()).isGreaterThan(band.seatHighLbf());
  }

  /**
   * The same clearance reached by any height and lift in thousandths is weighed alike: binary puts
   * about half of such differences a hair under their limit.
   */
  @Test
  void exactlyAtALimitIsAtTheLimit() {
    for (int thou = 1900; thou <= 2100; thou++) {
      double height = thou / 1000.0;
      double lift = (thou - 1180 - 60) / 1000.0;
      assertThat(weight(fit(height, null, null, null, lift), "_BIND")).as("%d", thou).isEmpty();
      double some = (thou - 1180 - 40) / 1000.0;
      assertThat(weight(fit(height, null, null, null, some), "_BIND"))
          .as("%d", thou)
          .hasValue(Fit.Weight.ASK);
    }
  }

  private static Fit under(FitLimits limits, Fit.Measured at, double lift, double boostLbf) {
    return Fit.of(
        TYPE,
        at,
        Optional.of(new Fit.Lift(lift, lift)),
        new Fit.Asked(Lifter.ROLLER_SOLID, limits, boostLbf));
  }

  private static Fit.Measured height() {
    return new Fit.Measured(1.95, null, null, null, null, null);
  }

  /** Clearance 0.050: asked about by the usual limits, right by a team that accepts 0.045. */
  @Test
  void theTeamsOwnLimitsAreHeld() {
    FitLimits.Sheet own = new FitLimits.Sheet(0.045, null, 0.100, 0.030, 0.0, 0.004, 0.008);
    assertThat(weight(under(FitLimits.USUAL, height(), 0.72, 0), "_BIND")).contains(Fit.Weight.ASK);
    assertThat(weight(under(own.read(), height(), 0.72, 0), "_BIND")).isEmpty();
    assertThat(weight(under(own.read(), height(), 0.726, 0), "_BIND")).contains(Fit.Weight.ASK);
    Fit.Measured at = new Fit.Measured(1.95, 0.735, 1.556, null, 0.090, null);
    assertThat(under(FitLimits.USUAL, at, 0.69, 0).remarks())
        .extracting(r -> r.said().code())
        .containsExactly("FIT.CLOSE_TO_SEAL");
    assertThat(under(own.read(), at, 0.69, 0).remarks())
        .extracting(r -> r.said().code())
        .containsExactly("FIT.COILS_CLOSE", "FIT.MUCH_PLAY");
  }

  @Test
  void limitsThatContradictEachOtherAreRefusedAndBlanksFollowTheOthers() {
    assertThat(FitLimits.Sheet.BLANK.read()).isEqualTo(FitLimits.USUAL);
    assertThat(new FitLimits.Sheet(0.02, null, null, null, null, null, null).read().bindStopIn())
        .isEqualTo(0.02);
    assertThat(new FitLimits.Sheet(null, null, null, null, null, 0.001, null).read().play())
        .isEqualTo(new PocketPlay.Bounds(0.001, 0.001, 0.030));
    assertThat(new FitLimits.Sheet(null, null, null, null, 0.015, null, null).read().play())
        .isEqualTo(new PocketPlay.Bounds(0.015, 0.015, 0.030));
    assertThat(new FitLimits.Sheet(null, null, null, null, null, 0.05, null).read().play())
        .isEqualTo(new PocketPlay.Bounds(0.002, 0.05, 0.05));
    assertThatThrownBy(() -> new FitLimits.Sheet(0.05, 0.06, null, null, null, null, null).read())
        .hasMessageContaining("clearance to bind");
    assertThatThrownBy(() -> new FitLimits.Sheet(null, null, null, null, 0.02, 0.01, null).read())
        .hasMessageContaining("must grow");
  }

  @Test
  void thisVerySpringsDiameterGoesBeforeItsSheets() {
    Fit.Measured at = new Fit.Measured(1.95, null, 1.556, 1.5455, null, null);
    assertThat(weight(under(FitLimits.USUAL, at, 0.69, 0), "PLAY")).contains(Fit.Weight.ASK);
  }

  /** Worked value, no source: 15 psi on a 2.02 head is 48 lbf. */
  @Test
  void boostIsTakenOffTheSeatLoad() {
    assertThat(Fit.boostLbf(15, 2.02)).isCloseTo(48.07, within(0.01));
    Fit fit = under(FitLimits.USUAL, height(), 0.69, 48);
    assertThat(fit.seatLbf()).isEqualTo(220);
    assertThat(fit.remarks())
        .extracting(r -> r.said().code())
        .containsExactly("FIT.BOOST_TAKES", "FIT.SEAT_WITH_ROLLER");
    assertThat(fit.remarks().get(1).said().figures()).containsEntry("loadLbf", 172.0);
  }

  @ParameterizedTest
  @EnumSource(SpringSheet.Form.class)
  void onlySpringsThatRubOnEachOtherLoseDampingFarFromBind(SpringSheet.Form form) {
    SpringSheet s = SpringTest.sheet();
    SpringType type =
        SpringCheck.check(
                new SpringSheet(
                    s.name(), form, null, s.loads(), null, null, 1.0, s.odIn(), null, null, null,
                    null, null))
            .type()
            .orElseThrow();
    Fit fit =
        Fit.of(
            type,
            height(),
            Optional.of(new Fit.Lift(0.6, 0.6)),
            Fit.Asked.usual(Lifter.ROLLER_SOLID));
    assertThat(weight(fit, "FAR_FROM_BIND").isPresent()).isEqualTo(form.nested());
  }

  @Test
  void aHeightUnderBindStopsEverything() {
    assertThat(weight(fit(1.17, null, null, null, 0.1), "UNDER_BIND")).contains(Fit.Weight.STOP);
  }

  @Test
  void withoutACamOnlyTheSeatIsKnown() {
    Fit fit =
        Fit.of(
            TYPE,
            new Fit.Measured(1.95, 0.7, null, null, null, null),
            Optional.empty(),
            Fit.Asked.usual(Lifter.ROLLER_SOLID));
    assertThat(fit.bindClearanceIn()).isEmpty();
    assertThat(fit.sealClearanceIn()).isEmpty();
    assertThat(fit.openLbf()).isEqualTo(fit.seatLbf());
  }

  @Test
  void aCurveNeedsTwoHeightsAndLoadsThatGrow() {
    assertThatThrownBy(() -> new LoadCurve(List.of(new LoadCurve.At(1.9, 200))))
        .hasMessage("a load curve needs two heights");
    assertThatThrownBy(
            () -> new LoadCurve(List.of(new LoadCurve.At(1.9, 200), new LoadCurve.At(1.3, 150))))
        .hasMessageContaining("must grow");
    assertThatThrownBy(
            () ->
                new LoadCurve(
                    List.of(new LoadCurve.At(1.9, Double.NaN), new LoadCurve.At(1.3, 150))))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void beyondItsPointsACurveGoesOnWithTheNearestSlopeAndNeverBelowZero() {
    LoadCurve c = new LoadCurve(List.of(new LoadCurve.At(1.9, 200), new LoadCurve.At(1.4, 400)));
    assertThat(c.loadAt(1.3)).isCloseTo(440, within(1e-9));
    assertThat(c.loadAt(2.0)).isCloseTo(160, within(1e-9));
    assertThat(c.loadAt(3.0)).isZero();
    assertThat(c.rateAt(1.6)).isCloseTo(400, within(1e-9));
    assertThat(c.progressive()).isFalse();
  }

  @Test
  void aLinkWithoutALimitIsNone() {
    WeakestLink w =
        WeakestLink.of(
            List.of(new WeakestLink.Limit(WeakestLink.Part.PUSHROD, null, null, null)),
            new WeakestLink.Duty(400, 0.6, 7000));
    assertThat(w.first()).isEmpty();
  }

  @Test
  void limitsOfOneKindOfValveGoFirstFigureByFigure() {
    List<WeakestLink.Limit> both =
        List.of(
            WeakestLink.Limit.STOCK_ROTATOR,
            new WeakestLink.Limit(WeakestLink.Part.LOCK, 500.0, 0.6, null));
    List<WeakestLink.Limit> own =
        List.of(
            new WeakestLink.Limit(WeakestLink.Part.LOCK, 600.0, null, 8000.0),
            new WeakestLink.Limit(WeakestLink.Part.STUD, 400.0, null, null));
    assertThat(WeakestLink.at(both, own))
        .containsExactlyInAnyOrder(
            new WeakestLink.Limit(WeakestLink.Part.ROTATOR, 220.0, null, null),
            new WeakestLink.Limit(WeakestLink.Part.LOCK, 600.0, 0.6, 8000.0),
            new WeakestLink.Limit(WeakestLink.Part.STUD, 400.0, null, null));
  }

  /** 0.7 is no binary fraction: a lift of exactly the limit must not exceed it. */
  @Test
  void exactlyALinksLimitIsNotExceeded() {
    for (int thou = 400; thou < 800; thou++) {
      List<WeakestLink.Limit> limit =
          List.of(new WeakestLink.Limit(WeakestLink.Part.SPRING, null, thou / 1000.0, null));
      double gross = thou / 1700.0 * 1.7;
      assertThat(WeakestLink.of(limit, new WeakestLink.Duty(0, gross, 0)).links().get(0))
          .matches(l -> !l.exceeded());
    }
  }

  @ParameterizedTest
  @CsvSource({"0.4, 0.3, 8", "0, 0.3, 8", "0.03, 0.3, 0"})
  void whatIsNoSpringIsRefused(double wire, double coil, double active) {
    assertThatThrownBy(() -> new RoundWire(wire, coil, active))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("is no spring");
  }
}
