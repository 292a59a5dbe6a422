package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.stats.Range;
import shim.core.unit.Said;

class SpringSetTest {
  private static final double LAST = Sets.HOURS[Sets.HOURS.length - 1];

  private static SpringOutlook judge(SetHistory history, int spring) {
    return SpringSet.of(history, SetPrior.USUAL).judge(Sets.now(spring, LAST), Limits.USUAL);
  }

  private static List<Reason.Kind> kinds(SpringOutlook o) {
    return o.reasons().stream().map(Reason::kind).toList();
  }

  @Test
  void aHealthySetRuns() {
    SetHistory history = new Sets(16, 1).history();
    SpringSet set = SpringSet.of(history, SetPrior.USUAL);
    for (int i = 0; i < 16; i++) {
      SpringOutlook o = set.judge(Sets.now(i, LAST), Limits.USUAL);
      assertThat(o.verdict()).isEqualTo(Verdict.RUN);
      assertThat(o.hoursLeft().mid()).isGreaterThan(10);
      assertThat(o.lossNow().low()).isLessThan(o.lossNow().mid());
    }
  }

  @Test
  void aSpringThatFallsAwayFromItsSetIsFoundBeforeItsLimit() {
    SetHistory history =
        new Sets(16, 2).extra((i, h) -> i == 5 ? 0.017 * Math.max(0, h - 4) : 0).history();
    SpringOutlook falling = judge(history, 5);
    assertThat(falling.lossNow().mid()).isBetween(0.05, 0.10);
    assertThat(falling.ownWay()).isGreaterThan(0.9);
    assertThat(falling.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(falling.dueBefore()).hasValue(0);
    assertThat(kinds(falling)).contains(Reason.Kind.OWN_WAY);
    assertThat(judge(history, 6).verdict()).isEqualTo(Verdict.RUN);
  }

  @Test
  void aLowTesterWithItsCheckSpringChangesNoLoss() {
    SetHistory still = new Sets(16, 4).history();
    SetHistory low = new Sets(16, 4).gain(t -> t == Sets.HOURS.length - 1 ? -0.02 : 0).history();
    SpringSet a = SpringSet.of(still, SetPrior.USUAL);
    SpringSet b = SpringSet.of(low, SetPrior.USUAL);
    for (int i = 0; i < 16; i++) {
      SpringOutlook x = a.judge(Sets.now(i, LAST), Limits.USUAL);
      SpringOutlook y = b.judge(Sets.now(i, LAST), Limits.USUAL);
      assertThat(y.lossNow().mid()).isCloseTo(x.lossNow().mid(), within(1e-9));
      assertThat(y.underAtNext()).isCloseTo(x.underAtNext(), within(1e-9));
      assertThat(y.verdict()).isEqualTo(x.verdict());
    }
    assertThat(b.day(Sets.HOURS.length - 1).gainLn() - a.day(Sets.HOURS.length - 1).gainLn())
        .isCloseTo(-0.02, within(1e-9));
  }

  @Test
  void withoutACheckSpringTheLossIsWiderAndSaidSoButTheSetStillShowsWhoFalls() {
    Sets.Extra one = (i, h) -> i == 5 ? 0.02 * Math.max(0, h - 4) : 0;
    SpringOutlook with = judge(new Sets(16, 2).history(), 3);
    SpringOutlook without = judge(new Sets(16, 2).unchecked().history(), 3);
    assertThat(width(without)).isGreaterThan(1.5 * width(with));
    assertThat(kinds(without)).contains(Reason.Kind.NO_CHECK_SPRING);
    SpringOutlook falling = judge(new Sets(16, 2).unchecked().extra(one).history(), 5);
    assertThat(falling.ownWay()).isGreaterThan(0.9);
  }

  private static double width(SpringOutlook o) {
    return o.lossNow().high() - o.lossNow().low();
  }

  /** With the spreads given; a set that scatters more than thought may widen it, with a reason. */
  @Test
  void moreTestsNeverWidenTheInterval() {
    SetHistory history = new Sets(12, 11).history(0, 1.2, 2.5, 3.6, 5.0, 6.4, 7.7, 8.9, 10.1);
    PathKind[] kinds = new PathKind[12];
    Arrays.fill(kinds, PathKind.WITH_SET);
    double before = Double.POSITIVE_INFINITY;
    for (int tests = 1; tests <= history.tests().size(); tests++) {
      SetData data = new SetReader(history.upTo(tests)).read(SetPrior.USUAL);
      double variance =
          new SetRun(new Blocks(data, Spreads.USUAL), kinds).outlook(0).lossLn(12).variance();
      assertThat(variance).isLessThan(before);
      before = variance;
    }
  }

  @Test
  void oneTestAssumesTheUsualRateAndSaysSo() {
    SetHistory history = new Sets(16, 1).history(1.2);
    SpringOutlook o = SpringSet.of(history, SetPrior.USUAL).judge(Sets.now(0, 1.2), Limits.USUAL);
    assertThat(o.reasons())
        .anyMatch(r -> r.kind() == Reason.Kind.LITTLE_KNOWN && r.said().figure("tests") == 1);
    assertThat(o.tests()).isEqualTo(1);
  }

  @Test
  void aSpringNeverReadStandsWithItsSet() {
    SetHistory read = new Sets(4, 1).history();
    List<SetHistory.Member> more = new ArrayList<>(read.springs());
    more.add(new SetHistory.Member("spare", Optional.of(220.0)));
    SetHistory history = new SetHistory(more, read.tests());
    SpringOutlook o =
        SpringSet.of(history, SetPrior.USUAL)
            .judge(new Situation("spare", 0, List.of(1.0), false, Optional.empty()), Limits.USUAL);
    assertThat(o.verdict()).isEqualTo(Verdict.NOT_TESTED);
    assertThat(o.reasons())
        .as("nothing is said of a load nobody has read")
        .extracting(Reason::kind)
        .containsExactly(Reason.Kind.LITTLE_KNOWN);
    SpringOutlook old =
        SpringSet.of(history, SetPrior.USUAL)
            .judge(new Situation("spare", 0, List.of(1.0), false, Optional.of(0.5)), Limits.USUAL);
    assertThat(old.verdict()).as("its batch broke all the same").isEqualTo(Verdict.CHANGE);
  }

  @Test
  void aSuddenFallAsksForASecondReadingAndOnceThatAgreesThePartIsPulled() {
    Sets.Extra broken = (i, h) -> i == 7 && h > 7 ? 0.06 : 0;
    SpringOutlook once = judge(new Sets(16, 5).extra(broken).repeats(1).history(), 7);
    assertThat(kinds(once)).contains(Reason.Kind.READ_AGAIN).doesNotContain(Reason.Kind.SUDDEN);
    assertThat(once.surprise().orElseThrow()).isLessThan(-3);
    assertThat(once.verdict()).isNotEqualTo(Verdict.RUN);
    Sets confirmed =
        new Sets(16, 5).extra(broken).again((i, t) -> i == 7 ? List.of(0.0) : List.of());
    SetHistory read = confirmed.history();
    SpringOutlook thrice = judge(read, 7);
    assertThat(kinds(thrice)).contains(Reason.Kind.SUDDEN);
    assertThat(thrice.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(judge(read, 8).verdict()).isEqualTo(Verdict.RUN);
  }

  @Test
  void oneWildRepeatIsDoubtedAndTwoThatAgreeAreBelieved() {
    double sd = Spreads.USUAL.reading();
    Repeats wild = Repeats.of(List.of(-0.001, 0.002, -0.06), sd, 0);
    assertThat(wild.agree()).isFalse();
    assertThat(wild.mean()).isBetween(-0.012, 0.0);
    Repeats agree = Repeats.of(List.of(-0.061, -0.058), sd, 0);
    assertThat(agree.agree()).isTrue();
    assertThat(agree.mean()).isCloseTo(-0.0595, within(1e-12));
    assertThat(agree.noise()).isEqualTo(0.5);
  }

  @Test
  void lifeBatchAndOverRevAreReasonsOfTheirOwn() {
    SetHistory history = new Sets(16, 1).history();
    SpringSet set = SpringSet.of(history, SetPrior.USUAL);
    Limits life = new Limits(0.10, Optional.empty(), Optional.of(8.0), 0.2);
    assertThat(set.judge(Sets.now(0, LAST), life).verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(set.judge(Sets.now(0, LAST), life).hoursLeft().high()).isLessThan(0.31);
    Situation batch = new Situation("s0", LAST, List.of(1.4), false, Optional.of(8.5));
    assertThat(set.judge(batch, Limits.USUAL).verdict()).isEqualTo(Verdict.CHANGE);
    Situation overRev = new Situation("s0", LAST, List.of(1.4), true, Optional.empty());
    assertThat(set.judge(overRev, Limits.USUAL).verdict()).isEqualTo(Verdict.WATCH);
  }

  @Test
  void theLeastLoadIsALimitToo() {
    SpringSet set = SpringSet.of(new Sets(16, 1).history(), SetPrior.USUAL);
    Limits least = new Limits(0.10, Optional.of(214.0), Optional.empty(), 0.2);
    SpringOutlook o = set.judge(Sets.now(0, LAST), least);
    assertThat(o.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(o.reasons().get(0).kind()).isEqualTo(Reason.Kind.LEAST_LOAD);
    assertThat(o.baselineLbf()).isCloseTo(217, within(3.0));
    Said said = o.reasons().get(0).said();
    assertThat(said.figure("nextLbf"))
        .isCloseTo(o.baselineLbf() * (1 - o.lossAtNext().mid()), within(1e-9));
    // Far ahead one path that runs away would carry a mean off, however improbable it is.
    set.judge(Sets.now(3, 1000), least).reasons().stream()
        .flatMap(r -> r.said().figures().values().stream())
        .forEach(f -> assertThat(f).isFinite());
  }

  @Test
  void twoCheckLoadsTellAMovedZeroFromAGain() {
    List<TesterDay.Check> zero =
        List.of(
            new TesterDay.Check(100, 104, TesterDay.Side.START),
            new TesterDay.Check(300, 304, TesterDay.Side.START));
    assertThat(TesterDay.of(zero, 200).orElseThrow().gainLn())
        .isCloseTo(Math.log(204.0 / 200), within(1e-12));
    List<TesterDay.Check> moved =
        List.of(
            new TesterDay.Check(220, 220, TesterDay.Side.START),
            new TesterDay.Check(220, 222.2, TesterDay.Side.END));
    TesterDay day = TesterDay.of(moved, 220).orElseThrow();
    assertThat(day.movedLn().orElseThrow()).isCloseTo(Math.log(1.01), within(1e-12));
    assertThat(day.sd()).isGreaterThan(0.003);
    assertThat(day.correction()).isCloseTo(1 / 1.005, within(1e-4));
  }

  @Test
  void whatCannotBeIsRefusedWithItsFigure() {
    assertThatThrownBy(() -> SetHistory.Read.once("s", 1, List.of(Double.NaN)))
        .hasMessageContaining("NaN");
    assertThatThrownBy(() -> SetHistory.Read.once("s", Double.NaN, List.of(200.0)))
        .hasMessageContaining("hours");
    assertThatThrownBy(() -> SetHistory.Read.once("s", 1, List.of(Double.POSITIVE_INFINITY)))
        .hasMessageContaining("Infinity");
    assertThatThrownBy(() -> new Sets(2, 1).history(2, 1))
        .hasMessageContaining("spring s0 has 1.00 h in a test after one at 2.00 h");
    assertThatThrownBy(() -> new Limits(Double.NaN, Optional.empty(), Optional.empty(), 0.2))
        .hasMessageContaining("NaN");
    assertThatThrownBy(() -> new Situation("s", 1, List.of(), false, Optional.empty()))
        .hasMessageContaining("planned hours");
  }

  /** A range that turns round, or a middle outside it, was once shown far from the last test. */
  @ParameterizedTest
  @ValueSource(doubles = {1, 7.7, 15, 20, 30, 60, 150})
  void aLossLiesInItsRangeHoweverFarAhead(double hours) {
    SpringSet set = SpringSet.of(new Sets(8, 7).history(), SetPrior.USUAL);
    Range loss = set.loss("s0", hours);
    Range common = set.commonLoss(hours);
    assertThat(loss.low()).isLessThan(loss.mid());
    assertThat(loss.mid()).isLessThan(loss.high()).isCloseTo(common.mid(), within(0.02));
    assertThat(loss.high() - loss.low()).isGreaterThan(common.high() - common.low());
  }
}
