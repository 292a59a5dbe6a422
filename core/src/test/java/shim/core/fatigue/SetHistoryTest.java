package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.stats.Range;

class SetHistoryTest {
  private static final double LAST = Sets.HOURS[Sets.HOURS.length - 1];

  private static SetHistory.Member member(String id) {
    return new SetHistory.Member(id, Optional.of(220.0));
  }

  private static SetHistory.Test test(SetHistory.Read... reads) {
    return new SetHistory.Test(Optional.empty(), List.of(reads));
  }

  @Test
  void springsAndReadingsMustFitTogether() {
    assertThatThrownBy(() -> new SetHistory(List.of(member("a"), member("a")), List.of()))
        .hasMessage("spring a is listed twice");
    SetHistory.Read b = SetHistory.Read.once("b", 1, List.of(220.0));
    assertThatThrownBy(() -> new SetHistory(List.of(member("a")), List.of(test(b))))
        .hasMessageContaining("unknown spring b");
    SetHistory.Read a = SetHistory.Read.once("a", 1, List.of(220.0));
    assertThatThrownBy(() -> new SetHistory(List.of(member("a")), List.of(test(a, a))))
        .hasMessageContaining("twice in one test");
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, -1, 0})
  void noLoadThatCannotBe(double load) {
    assertThatThrownBy(() -> SetHistory.Read.once("a", 1, List.of(load)))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -0.1})
  void noHoursThatCannotBe(double hours) {
    assertThatThrownBy(() -> SetHistory.Read.once("a", hours, List.of(220.0)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Situation("a", hours, List.of(1.0), false, Optional.empty()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, -1, 0})
  void noLimitThatCannotBe(double v) {
    assertThatThrownBy(() -> new Limits(v, Optional.empty(), Optional.empty(), 0.2))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Limits(0.1, Optional.of(v), Optional.empty(), 0.2))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Limits(0.1, Optional.empty(), Optional.of(v), 0.2))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Limits(0.1, Optional.empty(), Optional.empty(), v))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new TesterDay.Check(v, 215, TesterDay.Side.START))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void theOrderOfReadingsWithinATestDoesNotMatter() {
    SetHistory read = new Sets(6, 12).history();
    Random random = new Random(2);
    List<SetHistory.Test> shuffled =
        read.tests().stream()
            .map(
                t -> {
                  List<SetHistory.Read> other = new ArrayList<>(t.reads());
                  Collections.shuffle(other, random);
                  return new SetHistory.Test(t.day(), other);
                })
            .toList();
    SpringSet a = SpringSet.of(read, SetPrior.USUAL);
    SpringSet b = SpringSet.of(new SetHistory(read.springs(), shuffled), SetPrior.USUAL);
    for (int i = 0; i < 6; i++) {
      assertThat(b.loss("s" + i, LAST).mid()).isCloseTo(a.loss("s" + i, LAST).mid(), within(1e-9));
    }
  }

  @Test
  void anotherUnitOfLoadChangesNoLoss() {
    SetHistory read = new Sets(6, 12).history();
    double newton = 4.4482216152605;
    SetHistory inNewton =
        new SetHistory(
            read.springs().stream()
                .map(m -> new SetHistory.Member(m.id(), m.nominalLbf().map(n -> n * newton)))
                .toList(),
            read.tests().stream()
                .map(
                    t ->
                        new SetHistory.Test(
                            t.day(),
                            t.reads().stream()
                                .map(
                                    r ->
                                        SetHistory.Read.once(
                                            r.spring(),
                                            r.hours(),
                                            r.loadsLbf().stream().map(l -> l * newton).toList()))
                                .toList()))
                .toList());
    SpringSet a = SpringSet.of(read, SetPrior.USUAL);
    SpringSet b = SpringSet.of(inNewton, SetPrior.USUAL);
    assertThat(b.loss("s3", 9).high()).isCloseTo(a.loss("s3", 9).high(), within(1e-6));
    assertThat(b.baselineLbf("s3")).isCloseTo(newton * a.baselineLbf("s3"), within(1e-3));
  }

  @Test
  void aSpringTakenOutStillTellsOfItsSet() {
    SetHistory read = new Sets(8, 4).history();
    List<SetHistory.Test> without =
        read.tests().stream()
            .map(
                t ->
                    new SetHistory.Test(
                        t.day(),
                        t.reads().stream()
                            .filter(r -> !r.spring().equals("s7") || r.hours() < 3)
                            .toList()))
            .toList();
    SpringSet set = SpringSet.of(new SetHistory(read.springs(), without), SetPrior.USUAL);
    Range gone = set.loss("s7", LAST);
    Range there = set.loss("s0", LAST);
    assertThat(gone.high() - gone.low()).isGreaterThan(there.high() - there.low());
    assertThat(gone.mid()).isCloseTo(there.mid(), within(0.01));
  }

  @Test
  void aBoxThatStandsOffItsDataSheetIsNoLoss() {
    SetHistory read = new Sets(8, 4).history();
    SetHistory strong =
        new SetHistory(
            read.springs().stream()
                .map(m -> new SetHistory.Member(m.id(), Optional.of(235.0)))
                .toList(),
            read.tests());
    double a = SpringSet.of(read, SetPrior.USUAL).loss("s1", LAST).mid();
    double b = SpringSet.of(strong, SetPrior.USUAL).loss("s1", LAST).mid();
    assertThat(b).isCloseTo(a, within(0.001));
    SetHistory unknown =
        new SetHistory(
            read.springs().stream()
                .map(m -> new SetHistory.Member(m.id(), Optional.empty()))
                .toList(),
            read.tests());
    assertThat(SpringSet.of(unknown, SetPrior.USUAL).loss("s1", LAST).mid())
        .isCloseTo(a, within(0.001));
  }

  @Test
  void theSpreadsAreLearntFromTheSetItself() {
    double careful = SpringSet.of(new Sets(16, 3).history(), SetPrior.USUAL).spreads().reading();
    Sets.Extra none = (i, h) -> 0;
    Random rough = new Random(6);
    SetHistory read = new Sets(16, 3).extra(none).history();
    List<SetHistory.Test> shaken =
        read.tests().stream()
            .map(
                t ->
                    new SetHistory.Test(
                        t.day(),
                        t.reads().stream()
                            .map(
                                r ->
                                    SetHistory.Read.once(
                                        r.spring(),
                                        r.hours(),
                                        r.loadsLbf().stream()
                                            .map(l -> l * Math.exp(0.012 * rough.nextGaussian()))
                                            .toList()))
                            .toList()))
            .toList();
    double wild =
        SpringSet.of(new SetHistory(read.springs(), shaken), SetPrior.USUAL).spreads().reading();
    assertThat(careful).isBetween(0.004, 0.008);
    assertThat(wild).isGreaterThan(1.4 * careful);
  }

  @Test
  void eventsBeyondTheListRepeatTheLast() {
    Situation s = new Situation("a", 10, List.of(1.4, 0.9), false, Optional.empty());
    assertThat(s.hoursAfter(1)).isCloseTo(11.4, within(1e-12));
    assertThat(s.hoursAfter(2)).isCloseTo(12.3, within(1e-12));
    assertThat(s.hoursAfter(4)).isCloseTo(14.1, within(1e-12));
  }

  @Test
  void theWorseVerdictStands() {
    assertThat(Verdict.RUN.orWorse(Verdict.WATCH)).isEqualTo(Verdict.WATCH);
    assertThat(Verdict.CHANGE.orWorse(Verdict.WATCH)).isEqualTo(Verdict.CHANGE);
  }

  @Test
  void aSpringNobodyNamedIsRefused() {
    SpringSet set = SpringSet.of(new Sets(2, 1).history(), SetPrior.USUAL);
    assertThatThrownBy(() -> set.loss("ghost", 3)).hasMessage("no reading names spring ghost");
  }

  @Test
  void theSetsCommonLossLiesAmongItsSprings() {
    SpringSet set = SpringSet.of(new Sets(16, 1).history(), SetPrior.USUAL);
    Range common = set.commonLoss(LAST);
    assertThat(common.low()).isLessThan(common.mid());
    double mean = 0;
    for (int i = 0; i < 16; i++) {
      mean += set.loss("s" + i, LAST).mid() / 16;
    }
    assertThat(common.mid()).isCloseTo(mean, within(0.004));
  }
}
