package shim.app.fatigue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import shim.app.spring.SpringRules.SetSchool;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.spring.Fit;

/** One spring or the set: which is said, and why. */
class AdviceTest {
  private static SpringViews.SpringAt at(
      String valve, Verdict verdict, double loss, @Nullable String due) {
    SpringViews.LossRange range = new SpringViews.LossRange(loss, loss, loss);
    return new SpringViews.SpringAt(
        Position.parse(valve),
        UUID.randomUUID(),
        UUID.randomUUID(),
        "A-" + valve,
        "A",
        UUID.randomUUID(),
        "dual",
        10,
        1.95,
        1.95,
        210.0,
        210.0,
        List.of(),
        List.of(),
        new SpringViews.SpringSaid(
            verdict,
            List.of(),
            range,
            range,
            0,
            0,
            new SpringViews.HoursLeft(1.0, 2.0, 3.0),
            due,
            0,
            null,
            217,
            9),
        new Fit(
            1.95, 220, 500, 438, Optional.empty(), Optional.empty(), Optional.empty(), List.of()));
  }

  private static List<SpringViews.SpringAt> set(int due) {
    List<SpringViews.SpringAt> springs = new ArrayList<>();
    for (int c = 1; c <= 8; c++) {
      for (String kind : List.of("I", "E")) {
        boolean goes = springs.size() < due;
        springs.add(
            at(
                c + kind,
                goes ? Verdict.CHANGE : Verdict.RUN,
                goes ? 0.09 : 0.03,
                goes ? "Larch Hill" : null));
      }
    }
    return springs;
  }

  @Test
  void aHealthySetNeedsNoAdvice() {
    assertThat(Advice.words(set(0), SetSchool.MATCHED_SINGLE)).isEmpty();
  }

  @Test
  void oneIsChangedAloneWhereThatIsTheSchool() {
    List<String> words = Advice.words(set(1), SetSchool.MATCHED_SINGLE);
    assertThat(words.get(0))
        .isEqualTo("Change 1I, matched from stock: 1 of 16 are due inside the next two events.");
    assertThat(words.get(1))
        .isEqualTo("Spread of loss in the set 6.0 points now, 0.0 with 1I renewed.");
    assertThat(words.get(2)).contains("The other: the whole set");
  }

  @Test
  void theOtherSchoolChangesAllAndSaysWhatSpeaksAgainst() {
    List<String> words = Advice.words(set(1), SetSchool.WHOLE_SET);
    assertThat(words.get(0)).startsWith("Change the set: 1 of 16");
    assertThat(words.get(2)).contains("a matched single from stock costs less");
  }

  @Test
  void whereManyAreDueTheSetIsTheSmallerWorkInEitherSchool() {
    assertThat(Advice.words(set(6), SetSchool.MATCHED_SINGLE).get(0))
        .startsWith("Change the set: 6 of 16");
    assertThat(Advice.words(set(5), SetSchool.MATCHED_SINGLE).get(0))
        .startsWith("Change 1I 1E 2I 2E 3I, matched");
  }
}
