package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What one more setting would be worth, and how paper has it. */
class NextReadingTest {
  private static final int LAST = Sets.HOURS.length - 1;
  private static final double NOW = Sets.HOURS[LAST];

  private static SpringOutlook judge(SetHistory history, Limits limits) {
    return SpringSet.of(history, SetPrior.USUAL).judge(Sets.now(1, NOW), limits);
  }

  private static SetHistory fallen(double fall, boolean again) {
    return new Sets(16, 4)
        .extra((i, h) -> i == 1 && h > 7 ? fall : 0)
        .again((i, t) -> again && i == 1 && t == LAST ? List.of(0.0) : List.of())
        .history();
  }

  @Test
  void whereAllIsClearItDecidesNothing() {
    assertThat(judge(new Sets(16, 4).history(), Limits.USUAL).decides()).isLessThan(0.01);
    SpringOutlook gone = judge(fallen(0.25, true), Limits.USUAL);
    assertThat(gone.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(gone.waits()).isFalse();
    assertThat(gone.decides()).isLessThan(0.01);
  }

  @Test
  void aFallReadOnceIsWorthReadingAgain() {
    SpringOutlook once = judge(fallen(0.12, false), Limits.USUAL);
    assertThat(once.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(once.waits()).isTrue();
    assertThat(once.decides()).isBetween(0.2, 1.0);
  }

  /** What is expected to be read cannot change what is thought on average. */
  @ParameterizedTest
  @ValueSource(doubles = {0.0, 0.03, 0.06, 0.09, 0.12})
  void onAverageTheChanceStaysWhatItIs(double fall) {
    SetFit fit = new SetFit(new SetReader(fallen(fall, false)).read(SetPrior.USUAL));
    double end = NOW + 1.4;
    double limit = -Math.log1p(-0.10);
    NextReading next = new NextReading(fit.mix(1), NOW, end, fit.spreads().ofOneMore());
    assertThat(next.average(limit)).isCloseTo(fit.mix(1).lossAbove(end, 0.10), within(0.02));
  }

  @Test
  void whatIsChangedForItsLifeNeedsNoReading() {
    Limits life = new Limits(0.10, Optional.empty(), Optional.of(8.0), 0.2);
    SpringOutlook old = judge(new Sets(16, 4).history(), life);
    assertThat(old.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(old.decides()).isZero();
  }

  @Test
  void paperComparesTheLastReadingWithTheFirstOnceBeddedIn() {
    SetHistory read =
        new SetHistory(
            List.of(new SetHistory.Member("a", Optional.of(220.0))),
            List.of(
                test(0, 1.0, 224.0, 226.0),
                test(1.5, 1.0, 218.0, 220.0),
                test(6, 1.02, 200.0, 201.0, 205.0)));
    OnPaper paper = OnPaper.of(read, "a", 0.10).orElseThrow();
    assertThat(paper.firstHours()).isEqualTo(1.5);
    assertThat(paper.firstLbf()).isEqualTo(219);
    assertThat(paper.lastLbf()).isEqualTo(201);
    assertThat(paper.lost()).isCloseTo(1 - 201.0 / 219, within(1e-12));
    assertThat(paper.lostCorrected()).isCloseTo(1 - 201.0 / 1.02 / 219, within(1e-9));
    assertThat(paper.change()).isTrue();
    assertThat(OnPaper.of(read, "a", 0.11).orElseThrow().change()).isFalse();
    assertThat(OnPaper.of(read.upTo(1), "a", 0.10)).isEmpty();
  }

  private static SetHistory.Test test(double hours, double gain, Double... loads) {
    return new SetHistory.Test(
        TesterDay.of(List.of(new TesterDay.Check(220, 220 * gain, TesterDay.Side.START)), 220),
        List.of(SetHistory.Read.once("a", hours, List.of(loads))));
  }
}
