package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.change.Plans.act;
import static shim.core.change.Plans.work;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.walk.Walk;

class AnswerTest {
  private static final JobPlan PLAN =
      Plans.onAir(work("3E", "B-1"), work("3I", "B-2"), work("6E", "B-3"));

  @ParameterizedTest
  @CsvSource({
    "gap, GAP",
    "no gap, NO_GAP",
    "in again, AGAIN",
    "spare, SPARE",
    "scrap, SCRAP",
    "scrap: broken, BROKEN",
    "scrap: cracked, SCRAP"
  })
  void walksOfBeforeAreReadInTheirWords(String word, Answer answer) {
    assertThat(Answer.of(word)).contains(answer);
  }

  @ParameterizedTest
  @EnumSource
  void eachIsReadByItsCode(Answer answer) {
    assertThat(Answer.of(answer.name())).contains(answer);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "gaps", "yes", "shelf"})
  void nothingElseIsAnAnswer(String word) {
    assertThat(Answer.of(word)).isEmpty();
  }

  @Test
  void whatWentForGoodIsNotPutInAgain() {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:SPRING_OUT");
    Set<Answer> kept =
        Stream.of(Answer.values())
            .filter(a -> a.goesSomewhere())
            .filter(
                a ->
                    job.after(act(SpringAct.SPRING_OUT, "3E", null, a.name()))
                        .own()
                        .scrapped()
                        .isEmpty())
            .collect(Collectors.toSet());
    assertThat(kept).isEqualTo(EnumSet.of(Answer.SPARE, Answer.AGAIN));
  }

  @ParameterizedTest
  @ValueSource(strings = {"shelf", "GAP", "NO_GAP"})
  void aSpringGoesSomewhere(String word) {
    Walk<Job> job = Plans.walkTo(PLAN, "3E:SPRING_OUT");
    assertThat(job.refuses(act(SpringAct.SPRING_OUT, "3E", null, word)))
        .hasValueSatisfying(w -> assertThat(w).contains("say where it goes"));
    assertThat(job.refuses(act(SpringAct.SPRING_OUT, "3E", null, "SPARE")))
        .isEqualTo(Optional.empty());
  }
}
