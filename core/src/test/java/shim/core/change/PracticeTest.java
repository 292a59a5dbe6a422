package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import shim.core.walk.End;
import shim.core.walk.Practice;
import shim.core.walk.Step;
import shim.core.walk.WalkAct;

/** The walk for practice: it can be finished, each fault happens, and the right answer is one. */
class PracticeTest {
  private static final Practice.Course<Job> COURSE = SpringPractice.course();

  private static Practice.Move answer(Practice.Surprise s, boolean right) {
    int choice =
        IntStream.range(0, s.choices().size())
            .filter(i -> s.choices().get(i).right() == right)
            .findFirst()
            .orElseThrow();
    return new Practice.Move(null, s.id(), choice);
  }

  @Test
  void everyFaultHappensOnceAndTheWalkEndsSigned() {
    List<Practice.Move> moves = new ArrayList<>();
    Set<String> met = new HashSet<>();
    Practice<Job> p = Practice.of(COURSE, moves);
    for (int i = 0; i < 200 && p.walk().end() == End.OPEN; i++) {
      if (p.now() != null) {
        met.add(p.now().id());
        moves.add(answer(p.now(), false));
        assertThat(Practice.of(COURSE, moves).last().right()).isFalse();
        assertThat(Practice.of(COURSE, moves).now())
            .as("a wrong answer does not end it")
            .isNotNull();
        moves.add(answer(p.now(), true));
      } else {
        Step next = p.walk().next().orElseThrow();
        moves.add(new Practice.Move(Plans.doing(next, p.walk()), null, 0));
      }
      p = Practice.of(COURSE, moves);
      assertThat(p.refused()).isNull();
    }
    assertThat(p.walk().end()).isEqualTo(End.SIGNED);
    assertThat(met).hasSameSizeAs(COURSE.surprises());
    assertThat(p.right()).isEqualTo(COURSE.surprises().size());
    assertThat(p.wrong()).isEqualTo(COURSE.surprises().size());
  }

  @Test
  void eachFaultHasOneRightAnswerAndEveryAnswerItsReason() {
    assertThat(COURSE.surprises())
        .allSatisfy(
            s -> {
              assertThat(s.choices().stream().filter(Practice.Choice::right)).hasSize(1);
              assertThat(s.choices()).allSatisfy(c -> assertThat(c.why()).isNotBlank());
              assertThat(COURSE.procedure().steps()).anyMatch(step -> step.id().equals(s.at()));
            });
  }

  @Test
  void aClassicMistakeIsRefusedAndCounted() {
    Practice<Job> p =
        Practice.of(
            COURSE,
            List.of(
                new Practice.Move(Plans.act(WalkAct.ACCEPT, null), null, 0),
                new Practice.Move(Plans.act(SpringAct.COMPRESS, "3E"), null, 0)));
    assertThat(p.refused()).contains("air first, or it drops");
    assertThat(p.wrong()).isEqualTo(1);
  }

  @Test
  void anAnswerToWhatHasNotHappenedIsNone() {
    Practice<Job> p = Practice.of(COURSE, List.of(new Practice.Move(null, "air", 1)));
    assertThat(p.right()).isZero();
    assertThat(p.last()).isNull();
  }
}
