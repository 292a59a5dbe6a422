package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static shim.core.fatigue.SetAdvice.School.MATCHED_SINGLE;
import static shim.core.fatigue.SetAdvice.School.WHOLE_SET;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import shim.core.engine.Position;
import shim.core.fatigue.SetAdvice.Member;

/** One spring or the set: which is said, and why. */
class SetAdviceTest {
  private static Member at(String valve, Verdict verdict, boolean due, double under, double loss) {
    return new Member(Position.parse(valve), verdict, due, under, loss);
  }

  /** Sixteen springs, so many of them due. */
  private static List<Member> set(int due) {
    List<Member> springs = new ArrayList<>();
    for (int c = 1; c <= 8; c++) {
      for (String kind : List.of("I", "E")) {
        boolean goes = springs.size() < due;
        springs.add(at(c + kind, goes ? Verdict.CHANGE : Verdict.RUN, goes, 0, goes ? 0.09 : 0.03));
      }
    }
    return springs;
  }

  @Test
  void aHealthySetNeedsNoAdvice() {
    assertThat(SetAdvice.of(set(0), MATCHED_SINGLE)).isEmpty();
    List<Member> watched = List.of(at("1I", Verdict.WATCH, true, 0.5, 0.05));
    assertThat(SetAdvice.of(watched, WHOLE_SET)).isEmpty();
  }

  @Test
  void oneIsChangedAloneWhereThatIsTheSchool() {
    SetAdvice a = SetAdvice.of(set(1), MATCHED_SINGLE).orElseThrow();
    assertThat(a.wholeSet()).isFalse();
    assertThat(a.change()).containsExactly(Position.parse("1I"));
    assertThat(a.soon()).isEqualTo(1);
    assertThat(a.of()).isEqualTo(16);
    assertThat(a.spreadNow()).isCloseTo(0.06, within(1e-12));
    assertThat(a.spreadAfter()).isZero();
  }

  @Test
  void theOtherSchoolChangesAll() {
    SetAdvice a = SetAdvice.of(set(1), WHOLE_SET).orElseThrow();
    assertThat(a.wholeSet()).isTrue();
    assertThat(a.school()).isEqualTo(WHOLE_SET);
  }

  @Test
  void whereAThirdIsDueTheSetIsTheSmallerWorkInEitherSchool() {
    assertThat(SetAdvice.of(set(6), MATCHED_SINGLE).orElseThrow().wholeSet()).isTrue();
    assertThat(SetAdvice.of(set(5), MATCHED_SINGLE).orElseThrow().wholeSet()).isFalse();
  }

  @Test
  void likelyUnderAfterTwoEventsIsDueSoonToo() {
    List<Member> set =
        List.of(
            at("1I", Verdict.CHANGE, true, 0, 0.09),
            at("2I", Verdict.WATCH, false, 0.2, 0.05),
            at("3I", Verdict.WATCH, false, 0.19, 0.05),
            at("4I", Verdict.RUN, false, 0, 0.01));
    SetAdvice a = SetAdvice.of(set, MATCHED_SINGLE).orElseThrow();
    assertThat(a.soon()).isEqualTo(2);
    assertThat(a.spreadAfter()).isCloseTo(0.04, within(1e-12));
  }

  @Test
  void withAllRenewedNothingIsSpread() {
    List<Member> one = List.of(at("1I", Verdict.CHANGE, true, 0, 0.09));
    assertThat(SetAdvice.of(one, MATCHED_SINGLE).orElseThrow().spreadAfter()).isZero();
  }
}
