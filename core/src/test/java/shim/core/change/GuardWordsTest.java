package shim.core.change;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.core.change.Plans.work;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.walk.Walk;

/** At some step of the walk somebody does something else: what stops them, in words. */
class GuardWordsTest {
  private static final JobPlan PLAN =
      Plans.onAir(work("3E", "B-1"), work("3I", "B-2"), work("6E", "B-3"));

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "-",
      value = {
        "leg0:BAR          | BAR         | -  | -   | 800   | -    | 0 to 720 degrees",
        "leg0:BAR          | SPRING_IN   | -  | -   | -     | B-1  | say at which cylinder or valve",
        "leg0:BAR          | SPRING_IN   | 3  | -   | -     | B-1  | say at which valve",
        "leg0:BAR          | HOLD        | -  | 3E  | -     | -    | not done at one valve",
        "leg0:BAR          | UNLOCK      | -  | -   | -     | -    | the crank is not locked",
        "leg0:BAR          | RESUME      | -  | -   | -     | -    | is not parked",
        "leg0:BAR          | ABANDON     | -  | -   | -     | -    | say why it ends unfinished",
        "leg0:BAR          | SEATED      | -  | 3E  | -     | -    | spring is not finished",
        "leg0:BAR          | RELEASE     | 3  | -   | -     | -    | no hold is on at cylinder 3",
        "leg0:BAR          | AIR_LOST    | 3  | -   | -     | -    | no hold is on at cylinder 3",
        "leg0:BAR          | REHELD      | 3  | -   | -     | rag  | no hold was lost",
        "leg0:BAR          | KEPT_OUT    | 3  | -   | -     | -    | the rockers of cylinder 3 are on",
        "leg0:BAR          | ROCKERS_ON  | 3  | -   | -     | -    | the rockers of cylinder 3 are on",
        "leg0:BAR          | COMPRESS    | -  | 8E  | -     | -    | 8E is not in this job",
        "leg0:BAR          | LASH        | -  | 3E  | 0.02  | -    | 3E is closed on its spring",
        "3E:FREE           | HOLD        | 3  | -   | -     | -    | held already",
        "3E:FREE           | UNHOOK      | -  | 3E  | -     | -    | compress 3E first",
        "3E:FREE           | CLOSE       | -  | 3E  | -     | -    | 3E is closed on its spring",
        "3E:FREE           | PROVE       | -  | 3E  | -     | -    | 3E is closed on its spring",
        "3E:FREE           | JUMPED      | -  | 3E  | -     | -    | 3E is closed on its spring",
        "3E:FREE           | DROPPED     | -  | 3E  | -     | -    | 3E is held",
        "3E:FREE           | PARK        | -  | -   | -     | tea  | the hold is on at cylinder 3",
        "3E:FREE           | ORDER       | -  | -   | -     | seal | the hold is on at cylinder 3",
        "leg0:BAR          | ORDER       | -  | -   | -     | -    | say which part",
        "3E:UNHOOK         | COMPRESS    | -  | 3E  | -     | -    | 3E is compressed",
        "3E:UNHOOK         | SPRING_OUT  | -  | 3E  | -     | x    | still has its locks in",
        "3E:UNHOOK         | RELEASE     | 3  | -   | -     | -    | 3E is compressed",
        "3E:SPRING_OUT     | UNHOOK      | -  | 3E  | -     | -    | locks are out already",
        "3E:SPRING_OUT     | SPRING_OUT  | -  | 3E  | -     | -    | say where it goes",
        "3E:SPRING_OUT     | HEIGHT      | -  | 3E  | 1.95  | -    | spring is still there",
        "3E:SPRING_OUT     | DROPPED     | -  | 3E  | -     | -    | 3E is held",
        "3E:STACK          | SPRING_OUT  | -  | 3E  | -     | x    | spring is out already",
        "3E:STACK          | STACK       | -  | 3E  | 40    | -    | how many pieces?",
        "3E:STACK          | SPRING_IN   | -  | 3E  | -     | B-1  | measure 3E's height",
        "3E:STACK          | ACCEPT_HEIGHT| - | 3E  | -     | why  | measure the height first",
        "3E:STACK          | SKIP_HEIGHT | -  | 3E  | -     | -    | say why it is not measured",
        "3E:FREE           | SKIP_HEIGHT | -  | 3E  | -     | why  | spring is still there",
        "count:LOCKS       | PUT_AWAY    | -  | -   | 2.5   | LOCKS| how many",
        "3E:STACK          | COMPRESS    | -  | 3E  | -     | -    | no spring is on 3E",
        "3E:SPRING_IN      | SPRING_IN   | -  | 3E  | -     | -    | which spring goes in?",
        "3E:COMPRESSagain  | HOOK        | -  | 3E  | -     | gap  | compress 3E first",
        "3E:CLOSE          | HOOK        | -  | 3E  | -     | gap  | locks are in",
        "c3:ROCKERS_ON     | TORQUE      | 3  | -   | 22    | -    | rockers of cylinder 3 are not on",
        "3E:LASH           | ROCKERS_OFF | 9  | -   | -     | -    | cylinder 9 is not in this job",
        "none              | BAR         | -  | -   | 0     | -    | this job is over"
      })
  void whatIsNotItsTurnIsStoppedInWords(
      String at,
      String act,
      Integer cylinder,
      String valve,
      Double figure,
      String word,
      String why) {
    Walk<Job> job = Plans.walkTo(PLAN, at);
    Object place = cylinder != null ? cylinder : valve;
    assertThat(job.refuses(Plans.act(Plans.named(act), place, figure, word)))
        .hasValueSatisfying(w -> assertThat(w).contains(why));
  }
}
