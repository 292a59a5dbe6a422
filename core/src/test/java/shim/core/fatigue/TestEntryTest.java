package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import shim.core.fatigue.TestEntry.Known;
import shim.core.fatigue.TestEntry.Load;
import shim.core.spring.LoadQuestion;
import shim.core.spring.LoadQuestion.Code;
import shim.core.spring.SpringType;

/** Each reading of a test against what was known of its spring before. */
class TestEntryTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final double SHEET_LBF = Sets.NEW_LBF;

  private static final SpringType TYPE = Sets.type("dual");

  private static final SpringSet UNTESTED =
      SpringSet.of(new Sets(8, 7).history(new double[0]), SetPrior.USUAL);
  private static final SpringSet TESTED = SpringSet.of(new Sets(8, 7).history(), SetPrior.USUAL);

  /** What an untested set expects once it has settled in, a little under its sheet. */
  private static final double BASE = UNTESTED.baselineLbf("s0");

  private static Known known(double hours, double height, boolean tested, OptionalDouble last) {
    return new Known("s0", TYPE, hours, height, tested, last);
  }

  private static TestEntry fresh(TesterDay day, double... loads) {
    return TestEntry.of(
        known(0, 1.95, false, NONE), UNTESTED, read(1.95, loads), Optional.ofNullable(day));
  }

  private static List<Load> read(double height, double... loads) {
    return DoubleStream.of(loads).mapToObj(l -> new Load(l, height)).toList();
  }

  private static TesterDay day(double gainLn) {
    return new TesterDay(gainLn, 0.003, NONE);
  }

  private static Code asked(TestEntry e, boolean again) {
    return e.question(again).map(LoadQuestion::code).orElse(null);
  }

  @Test
  void aNewSpringIsExpectedToReadItsBaselineOnTodaysTester() {
    assertThat(BASE).isCloseTo(SHEET_LBF, within(0.03 * SHEET_LBF));
    assertThat(fresh(null).expectedLbf()).isCloseTo(BASE, within(1e-9));
    assertThat(fresh(day(Math.log(1.02))).expectedLbf()).isCloseTo(1.02 * BASE, within(1e-9));
    TestEntry lower =
        TestEntry.of(known(0, 1.94, false, NONE), UNTESTED, List.of(), Optional.empty());
    assertThat(lower.expectedLbf())
        .as("3 lbf more, a hundredth lower")
        .isCloseTo(BASE + 3, within(1e-9));
    assertThat(lower.correctedLbf()).isEmpty();
    assertThat(lower.loss()).isEmpty();
    assertThat(lower.surprise()).isEmpty();
  }

  @Test
  void readingsAreMovedToTheReferenceHeightAndCorrected() {
    TestEntry e =
        TestEntry.of(
            known(0, 1.94, false, OptionalDouble.of(200)),
            UNTESTED,
            read(1.94, 1.02 * 219, 1.02 * 221),
            Optional.of(day(Math.log(1.02))));
    double corrected = e.correctedLbf().orElseThrow();
    double moved = (1.02 * 220 - 3) / 1.02;
    assertThat(corrected).isCloseTo(moved, within(1e-9));
    assertThat(e.loss().orElseThrow()).isCloseTo(1 - moved / BASE, within(1e-9));
    assertThat(e.againstLast().orElseThrow()).isCloseTo(moved / 200 - 1, within(1e-9));
    assertThat(fresh(null, 220).againstLast()).isEmpty();
  }

  @Test
  void aSettledSpringOfATestedSetIsExpectedWhereItsLossSays() {
    double base = TESTED.baselineLbf("s0");
    double loss = TESTED.loss("s0", 8).mid();
    assertThat(expected(8, true)).isCloseTo(base * (1 - loss), within(1e-9));
    assertThat(expected(1, true)).isCloseTo(base * (1 - TESTED.loss("s0", 1).mid()), within(1e-9));
    assertThat(expected(0.99, true)).as("not settled").isCloseTo(base, within(1e-9));
    assertThat(expected(8, false)).as("never tested").isCloseTo(base, within(1e-9));
  }

  private static double expected(double hours, boolean tested) {
    return TestEntry.of(known(hours, 1.95, tested, NONE), TESTED, List.of(), Optional.empty())
        .expectedLbf();
  }

  /** The four sources of scatter add in squares; the figures are those of {@link Spreads#USUAL}. */
  @Test
  void aSurpriseIsMeasuredAgainstAllThatCouldScatter() {
    double loss = UNTESTED.loss("s0", 1).high() - UNTESTED.loss("s0", 1).low();
    double lossSd = Math.max(0.002, loss / 2 / 1.2816);
    double both = lossSd * lossSd + 0.004 * 0.004 + 0.05 * 0.05;
    double unchecked = Math.sqrt(both + 0.03 * 0.03 + 0.008 * 0.008);
    double twice = Math.sqrt(both + 0.003 * 0.003 + 0.008 * 0.008 / 2);
    assertThat(fresh(null, BASE * Math.exp(-0.1)).surprise().orElseThrow())
        .isCloseTo(-0.1 / unchecked, within(1e-9));
    double low = BASE * Math.exp(-0.1);
    assertThat(fresh(day(0), low, low).surprise().orElseThrow())
        .isCloseTo(-0.1 / twice, within(1e-9));
    assertThat(fresh(day(0), low, low).firstSpread())
        .as("of a single reading")
        .isCloseTo(Math.sqrt(both + 0.003 * 0.003 + 0.008 * 0.008), within(1e-9));
  }

  /** Where the loss itself is not known well, that counts too: half its 80 % range is 1.28 s.d. */
  @Test
  void whatIsNotKnownOfTheLossCounts() {
    double range = TESTED.loss("s0", 30).high() - TESTED.loss("s0", 30).low();
    double lossSd = range / 2 / 1.2816;
    assertThat(lossSd).as("more than the least").isGreaterThan(0.002);
    TestEntry e = TestEntry.of(known(30, 1.95, true, NONE), TESTED, List.of(), Optional.of(day(0)));
    double reading = TESTED.spreads().reading();
    assertThat(e.firstSpread())
        .isCloseTo(
            Math.sqrt(lossSd * lossSd + 0.003 * 0.003 + 0.004 * 0.004 + reading * reading),
            within(1e-9));
  }

  @Test
  void beyondThreeStandardDeviationsItIsReadAgain() {
    TestEntry none = known8();
    double s = none.firstSpread();
    double at = none.expectedLbf() * Math.exp(-3 * s);
    assertThat(none.plainFromLbf()).isCloseTo(at, within(1e-9));
    assertThat(asked(known8(at * 1.000001), false)).isNull();
    TestEntry surprising = known8(at * 0.999);
    assertThat(asked(surprising, false)).isEqualTo(Code.READ_AGAIN);
    assertThat(asked(surprising, true)).as("it was read again").isNull();
    double over = none.expectedLbf() * Math.exp(3 * s);
    assertThat(none.plainToLbf()).isCloseTo(over, within(1e-9));
    assertThat(asked(known8(over * 0.999999), false)).isNull();
    assertThat(asked(known8(over * 1.001), false)).isEqualTo(Code.READ_AGAIN);
  }

  private static TestEntry known8(double... loads) {
    return TestEntry.of(known(8, 1.95, true, NONE), TESTED, read(1.95, loads), Optional.of(day(0)));
  }

  @Test
  void aSlipIsAskedAboutWhateverWasReadAgain() {
    TestEntry slip = known8(10 * known8().expectedLbf());
    assertThat(asked(slip, false)).isEqualTo(Code.TEN_TIMES);
    assertThat(asked(slip, true)).isEqualTo(Code.TEN_TIMES);
    assertThat(slip.question(false).orElseThrow().meant().orElseThrow())
        .isCloseTo(known8().expectedLbf(), within(1e-9));
  }

  @Test
  void whereLittleIsKnownThePlainBoundsAreThoseOfASlip() {
    TestEntry e = TestEntry.of(known(0, 1.95, false, NONE), UNTESTED, List.of(), Optional.empty());
    assertThat(e.plainFromLbf()).isGreaterThanOrEqualTo(LoadQuestion.plainFromLbf(220));
    assertThat(e.plainToLbf()).isLessThanOrEqualTo(LoadQuestion.plainToLbf(220));
  }

  @Test
  void aQuestionWantsOneReadingMoreUntilItWasReadAgain() {
    double low = known8().expectedLbf() * 0.8;
    double fine = known8().expectedLbf();
    assertThat(known8().more(2, false)).isEqualTo(2);
    assertThat(known8(fine).more(2, false)).isEqualTo(1);
    assertThat(known8(fine, fine).more(2, false)).isZero();
    assertThat(known8(fine, fine, fine).more(2, false)).isZero();
    assertThat(known8(low).more(1, false)).isEqualTo(1);
    assertThat(known8(low).more(3, false)).as("more are wanted anyway").isEqualTo(2);
    assertThat(known8(low, low).more(1, true)).isZero();
  }

  /** ISO 5725-6: the repeatability limit is 2.8 s.d. of one reading, 1.96 times root 2. */
  @Test
  void repeatabilityIsThatOfTwoReadings() {
    assertThat(known8().repeatability() / TESTED.spreads().reading())
        .isCloseTo(1.96 * Math.sqrt(2), within(0.005));
  }
}
