package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The walk for practice: it can be finished, each fault happens, and the right answer is one. */
class PracticeTest {
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
    Practice p = Practice.of(moves);
    Script script = Script.of(Practice.plan());
    for (int i = 0; i < 200 && p.job().end() == Job.End.OPEN; i++) {
      if (p.now() != null) {
        met.add(p.now().id());
        moves.add(answer(p.now(), false));
        assertThat(Practice.of(moves).last().right()).isFalse();
        assertThat(Practice.of(moves).now()).as("a wrong answer does not end it").isNotNull();
        moves.add(answer(p.now(), true));
      } else {
        Step next = script.next(p.job().ticked()).orElseThrow();
        moves.add(new Practice.Move(Plans.doing(next, p.job()), null, 0));
      }
      p = Practice.of(moves);
      assertThat(p.refused()).isNull();
    }
    assertThat(p.job().end()).isEqualTo(Job.End.SIGNED);
    assertThat(met).hasSameSizeAs(Practice.SURPRISES);
    assertThat(p.right()).isEqualTo(Practice.SURPRISES.size());
    assertThat(p.wrong()).isEqualTo(Practice.SURPRISES.size());
  }

  @Test
  void eachFaultHasOneRightAnswerAndEveryAnswerItsReason() {
    assertThat(Practice.SURPRISES)
        .allSatisfy(
            s -> {
              assertThat(s.choices().stream().filter(Practice.Choice::right)).hasSize(1);
              assertThat(s.choices()).allSatisfy(c -> assertThat(c.why()).isNotBlank());
              assertThat(Script.of(Practice.plan()).steps())
                  .anyMatch(step -> step.id().equals(s.at()));
            });
  }

  @Test
  void aClassicMistakeIsRefusedAndCounted() {
    Practice p =
        Practice.of(
            List.of(
                new Practice.Move(Plans.act(Act.ACCEPT, null), null, 0),
                new Practice.Move(Plans.act(Act.COMPRESS, "3E"), null, 0)));
    assertThat(p.refused()).contains("air first, or it drops");
    assertThat(p.wrong()).isEqualTo(1);
  }

  @Test
  void anAnswerToWhatHasNotHappenedIsNone() {
    Practice p = Practice.of(List.of(new Practice.Move(null, "air", 1)));
    assertThat(p.right()).isZero();
    assertThat(p.last()).isNull();
  }
}
