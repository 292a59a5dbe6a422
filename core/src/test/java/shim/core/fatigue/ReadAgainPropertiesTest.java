package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a wrong setting may do to a verdict, and what it may not; over many sets. */
class ReadAgainPropertiesTest {
  private static final int LAST = Sets.HOURS.length - 1;
  private static final int SETS = 30;

  private static SpringOutlook judge(SetHistory history, int spring) {
    return SpringSet.of(history, SetPrior.USUAL)
        .judge(Sets.now(spring, Sets.HOURS[LAST]), Limits.USUAL);
  }

  private static boolean says(SpringOutlook o, Reason.Kind kind) {
    return o.reasons().stream().anyMatch(r -> r.kind() == kind);
  }

  /** Sets of three kinds: sixteen springs, four, and without a check spring. */
  private static Sets sets(int n) {
    Sets sets = new Sets(n % 3 == 1 ? 4 : 16, 100 + n);
    return n % 3 == 2 ? sets.unchecked() : sets;
  }

  private static double size(int n) {
    Random random = new Random(n);
    return (random.nextBoolean() ? 1 : -1) * (0.02 + 0.05 * random.nextDouble());
  }

  @ParameterizedTest
  @ValueSource(ints = {2, 4, 6})
  void aSlipThatIsReadAgainRightlyNeverLeadsToChange(int test) {
    for (int n = 0; n < SETS; n++) {
      double slip = size(n);
      SetHistory read =
          sets(n)
              .slip((i, t) -> i == 1 && t == test ? slip : 0)
              .again((i, t) -> i == 1 && t == test ? List.of(0.0, 0.0) : List.of())
              .history();
      assertThat(judge(read, 1).verdict()).as("set %d, slip %s", n, slip).isEqualTo(Verdict.RUN);
    }
  }

  /** One setting alone changes nothing: it is asked for again first, and the verdict waits. */
  @org.junit.jupiter.api.Test
  void aSlipAloneNeverLeadsToChange() {
    for (int n = 0; n < SETS; n++) {
      double slip = size(n);
      SpringOutlook o = judge(sets(n).slip((i, t) -> i == 1 && t == LAST ? slip : 0).history(), 1);
      assertThat(o.verdict()).as("set %d, slip %s", n, slip).isNotEqualTo(Verdict.CHANGE);
      if (Math.abs(slip) > 0.035) {
        assertThat(says(o, Reason.Kind.READ_AGAIN)).as("set %d, slip %s", n, slip).isTrue();
      }
    }
  }

  /** Two settings that do not agree want a third, whatever they say. */
  @org.junit.jupiter.api.Test
  void settingsApartAskForAThird() {
    SetHistory read =
        new Sets(16, 3)
            .slip((i, t) -> i == 1 && t == LAST ? -0.06 : 0)
            .again((i, t) -> i == 1 && t == LAST ? List.of(0.0) : List.of())
            .history();
    SpringOutlook o = judge(read, 1);
    assertThat(says(o, Reason.Kind.READ_AGAIN)).isTrue();
    assertThat(o.verdict()).isEqualTo(Verdict.WATCH);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.06, 0.09, 0.14, 0.25})
  void aSpringThatTrulyFellIsAlwaysChangedOnceItIsReadAgain(double fall) {
    for (int n = 0; n < SETS; n++) {
      SetHistory read =
          sets(n)
              .extra((i, h) -> i == 1 && h > 7 ? fall : 0)
              .again((i, t) -> i == 1 && t == LAST ? List.of(0.0) : List.of())
              .history();
      assertThat(judge(read, 1).verdict()).as("set %d", n).isEqualTo(Verdict.CHANGE);
    }
  }

  /** A first setting that hides the fall does not save the spring either. */
  @org.junit.jupiter.api.Test
  void aFallHiddenByASlipIsFoundByTheThirdSetting() {
    for (int n = 0; n < SETS; n++) {
      SetHistory read =
          sets(n)
              .extra((i, h) -> i == 1 && h > 7 ? 0.09 : 0)
              .slip((i, t) -> i == 1 && t == LAST ? 0.08 : 0)
              .again((i, t) -> i == 1 && t == LAST ? List.of(0.0, 0.0) : List.of())
              .history();
      assertThat(judge(read, 1).verdict()).as("set %d", n).isEqualTo(Verdict.CHANGE);
    }
  }

  /** A fall is told as long as it stands, and no longer: load that came back was never lost. */
  @org.junit.jupiter.api.Test
  void aFallIsToldAsLongAsItStands() {
    Sets.Extra stays = (i, h) -> i == 1 && h > 3 ? 0.06 : 0;
    Sets.Extra back = (i, h) -> i == 1 && h > 3 && h < 4 ? 0.06 : 0;
    Sets.Again again = (i, t) -> i == 1 && t == 3 ? List.of(0.0) : List.of();
    SpringOutlook stood = judge(new Sets(16, 5).extra(stays).again(again).history(), 1);
    assertThat(says(stood, Reason.Kind.SUDDEN)).isTrue();
    assertThat(stood.verdict()).isEqualTo(Verdict.CHANGE);
    SpringOutlook came = judge(new Sets(16, 5).extra(back).again(again).history(), 1);
    assertThat(says(came, Reason.Kind.SUDDEN)).isFalse();
    assertThat(came.verdict()).isEqualTo(Verdict.RUN);
  }

  /**
   * Hours left, event and chance say the same: at the middle of the hours left the chance is half.
   */
  @org.junit.jupiter.api.Test
  void chanceIsHalfAtTheMiddleOfTheHoursLeft() {
    for (int n = 0; n < SETS; n++) {
      double pace = 0.004 + 0.0004 * n;
      SetHistory read = sets(n).extra((i, h) -> i == 1 ? pace * Math.max(0, h - 3) : 0).history();
      SpringSet set = SpringSet.of(read, SetPrior.USUAL);
      double left = set.judge(Sets.now(1, Sets.HOURS[LAST]), Limits.USUAL).hoursLeft().mid();
      if (left > 0.1 && left < 100) {
        Situation then =
            new Situation("s1", Sets.HOURS[LAST], List.of(left), false, java.util.Optional.empty());
        assertThat(set.judge(then, Limits.USUAL).underAtNext())
            .as("set %d", n)
            .isCloseTo(0.5, org.assertj.core.api.Assertions.within(0.02));
      }
    }
  }
}
