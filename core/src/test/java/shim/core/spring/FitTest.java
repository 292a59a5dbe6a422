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
        new Fit.Measured(height, seal, pocket, stated),
        Optional.of(new Fit.Lift(lift, lift - 0.018)),
        Lifter.ROLLER_SOLID);
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

  @Test
  void aHeightUnderBindStopsEverything() {
    assertThat(weight(fit(1.17, null, null, null, 0.1), "UNDER_BIND")).contains(Fit.Weight.STOP);
  }

  @Test
  void withoutACamOnlyTheSeatIsKnown() {
    Fit fit =
        Fit.of(
            TYPE, new Fit.Measured(1.95, 0.7, null, null), Optional.empty(), Lifter.ROLLER_SOLID);
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

  @ParameterizedTest
  @CsvSource({"0.4, 0.3, 8", "0, 0.3, 8", "0.03, 0.3, 0"})
  void whatIsNoSpringIsRefused(double wire, double coil, double active) {
    assertThatThrownBy(() -> new RoundWire(wire, coil, active))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("is no spring");
  }
}
