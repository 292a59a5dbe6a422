package shim.core.head;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.change.Item;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.head.Bench.Stage;
import shim.core.walk.Done;
import shim.core.walk.End;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;
import shim.core.walk.Walker;

/** The assembly book: what each line asks, what is stopped, and that no way leaves a lock out. */
class AssemblyTest {
  private static final Position E3 = Heads.at("3E");
  private static final Assembly BOOK = new Assembly(Heads.assembly(true, "3E", "3I"));

  private static Walk<Bench> to(String step) {
    return Walker.to(BOOK, step);
  }

  private static String refused(Walk<Bench> walk, Done done) {
    return walk.refuses(done).orElse("allowed");
  }

  private static Done read(String id, double figure, String why) {
    return new Done(WalkAct.READ, "read:3E:" + id, null, E3, figure, why, "KV", Walker.NOON);
  }

  @Test
  void theBookIsWalkedToItsSignatureAndEveryLineOfAValveIsThere() {
    Walk<Bench> done = to("none");
    assertThat(done.end()).isEqualTo(End.SIGNED);
    assertThat(done.own().valves().values()).allMatch(v -> v.stage() == Stage.PROVED);
    assertThat(done.count(Item.LOCKS).expected()).isZero();
    assertThat(BOOK.steps()).extracting(Step::id).doesNotHaveDuplicates();
    List<String> lines =
        BOOK.steps().stream()
            .filter(s -> E3.equals(s.valve()))
            .map(s -> s.id().replace("3E", "").replaceAll("(tick|read)::?", ""))
            .toList();
    assertThat(lines)
        .containsExactly(
            "slides",
            "play",
            "ring",
            "leak",
            ":STACK",
            ":SEAL",
            "height",
            "open",
            ":SPRING_IN",
            "match",
            ":COMPRESS",
            ":HOOK",
            ":CLOSE",
            ":PROVE",
            "seat",
            "coil",
            "proud",
            "seal");
  }

  @Test
  void aBoughtHeadIsOpenedFirst() {
    assertThat(BOOK.steps()).extracting(Step::id).contains("tick:opened", "tick:lock-ends");
    assertThat(new Assembly(Heads.assembly(false, "3E")).steps())
        .extracting(Step::id)
        .doesNotContain("tick:opened");
  }

  /** Limits of 1.950 ± 0.005, 220 ± 10 %, 0.080 and 0.050 at least, play of 0.003 at most. */
  @ParameterizedTest
  @CsvSource({
    "height, 1.945, allowed",
    "height, 1.9449, is out of {1.945 in} to {1.955 in}",
    "height, 9, this lies between {0.500 in} and {6.000 in}",
    "height, NaN, this lies between",
    "height, 1e300, this lies between",
    "play, 0.003, allowed",
    "play, 0.0031, is out of at most {0.003 in}",
    "seat, 198, allowed",
    "seat, 197, {197 lbf} is out of {198 lbf} to {242 lbf}",
    "coil, 0.080, allowed",
    "coil, 0.079, is out of at least {0.080 in}",
    "seal, 0.050, allowed",
    "seal, 0.049, is out of at least {0.050 in}"
  })
  void aFigureIsHeldAgainstItsLimit(String line, double figure, String words) {
    Walk<Bench> at = to("read:3E:" + line);
    assertThat(refused(at, read(line, figure, null))).contains(words);
    boolean possible = !words.startsWith("this");
    assertThat(refused(at, read(line, figure, "builder says so")))
        .isEqualTo(possible ? "allowed" : refused(at, read(line, figure, null)));
  }

  @Test
  void whatIsNotItsTurnIsStoppedInWords() {
    Walk<Bench> bare = to("3E:SPRING_IN");
    assertThat(refused(bare, Heads.act(SpringAct.COMPRESS, E3))).isEqualTo("no spring is on 3E");
    assertThat(refused(bare, Heads.act(SpringAct.SPRING_IN, E3))).contains("which spring");
    assertThat(refused(bare, Heads.act(SpringAct.SPRING_IN, Heads.at("5E"))))
        .isEqualTo("5E is not in this job");
    assertThat(refused(to("read:3E:height"), Heads.done(SpringAct.SPRING_IN, null, E3, "S-3E")))
        .contains("measure 3E's height");
    Walk<Bench> pressed = to("3E:HOOK");
    assertThat(refused(pressed, Heads.done(SpringAct.HOOK, null, E3, "NO_GAP")))
        .contains("relieve its ends");
    assertThat(refused(pressed, Heads.act(SpringAct.CLOSE, E3))).contains("are not in");
    assertThat(refused(pressed, Heads.act(SpringAct.SEATED, E3))).contains("no part in this");
    assertThat(refused(pressed, Heads.done(WalkAct.PARK, null, null, "lunch")))
        .isEqualTo("3E is compressed: a job is not left so");
    assertThat(refused(pressed, read("seat", 220, null))).isEqualTo("prove the locks of 3E first");
    assertThat(refused(pressed, Heads.act(SpringAct.BAR, null))).isEqualTo("say at which valve");
  }

  @Test
  void aSpringIsNotInTwoPlacesAndOneValveIsUnderTheToolAtATime() {
    Walk<Bench> second = to("3I:SPRING_IN");
    assertThat(refused(second, Heads.done(SpringAct.SPRING_IN, null, Heads.at("3I"), "S-3E")))
        .isEqualTo("S-3E is in at 3E");
    Walk<Bench> both =
        to("3I:COMPRESS")
            .after(Heads.act(SpringAct.JUMPED, E3))
            .after(Heads.act(SpringAct.COMPRESS, E3));
    assertThat(refused(both, Heads.act(SpringAct.COMPRESS, Heads.at("3I"))))
        .isEqualTo("finish 3E first: one valve at a time");
  }

  @Test
  void aLockThatJumpedIsSetAndReadAnew() {
    Walk<Bench> jumped = to("3I:SPRING_IN").after(Heads.act(SpringAct.JUMPED, E3));
    assertThat(jumped.own().at(E3).stage()).isEqualTo(Stage.SPRING_ON);
    assertThat(jumped.next().orElseThrow().id()).isEqualTo("3E:COMPRESS");
    assertThat(jumped.ticked()).doesNotContain("read:3E:seat", "3E:PROVE");
    assertThat(jumped.openForSigning()).contains("3E is not finished: its spring on, no locks");
  }

  @Test
  void anotherStackIsMeasuredAgain() {
    Walk<Bench> other = to("3E:SPRING_IN").after(Heads.done(SpringAct.STACK, 1.0, E3, "0.030"));
    assertThat(other.next().orElseThrow().id()).isEqualTo("read:3E:height");
    assertThat(other.count(Item.SHIMS).on() - other.count(Item.SHIMS).off()).isEqualTo(1);
  }

  /** Never a lock missing at the signature, never a spring in two places, one under the tool. */
  private static void law(Walk<Bench> before, Done d, Walk<Bench> after) {
    List<String> in =
        after.own().valves().values().stream().flatMap(v -> Stream.ofNullable(v.spring())).toList();
    assertThat(in).doesNotHaveDuplicates();
    assertThat(after.own().valves().values().stream().filter(v -> v.stage().underTool()).count())
        .isLessThan(2);
    if (d.act() == SpringAct.CLOSE) {
      assertThat(before.own().at(d.valve()).stage()).isEqualTo(Stage.HOOKED);
    }
    if (d.act() == WalkAct.PARK || d.act() == WalkAct.ABANDON) {
      assertThat(before.own().underTool()).isEmpty();
    }
    if (d.act() == WalkAct.SIGN) {
      assertThat(before.own().valves().values()).allMatch(v -> v.stage() == Stage.PROVED);
    }
  }

  @Test
  void everyReachableStateOfTwoValvesIsSafe() {
    List<Done> acts = Heads.presses(BOOK.steps(), List.of(E3, Heads.at("3I")));
    int states =
        Walker.all(
            BOOK,
            acts,
            AssemblyTest::law,
            t -> t.stream().filter(s -> s.endsWith("height")).collect(Collectors.toSet()));
    assertThat(states).isGreaterThan(300);
  }

  @Test
  void whoPressesAnythingSignsNothingThatIsOpen() {
    Random random = new Random(16);
    List<Done> acts = Heads.presses(BOOK.steps(), List.of(E3, Heads.at("3I")));
    int signed = 0;
    for (int i = 0; i < 200; i++) {
      Walk<Bench> end = Walker.random(BOOK, acts, random, 400, AssemblyTest::law);
      if (end.end() == End.SIGNED) {
        signed++;
        for (Item item : Item.values()) {
          assertThat(end.count(item).difference(item)).as("%s", item).isEmpty();
        }
      }
    }
    assertThat(signed).isGreaterThan(20);
  }
}
