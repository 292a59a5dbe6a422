package shim.core.fatigue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import shim.core.engine.HeatState;
import shim.core.fatigue.SpringRecord.Load;
import shim.core.fatigue.SpringRecord.Spring;
import shim.core.running.PartHours;

/** Which tests and springs are read together, and what of them counts. */
class SpringRecordTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final String V8 = "v8";
  private static final String OTHER = "other";

  private static PartHours.Fitting stay(String engine, double from, double to) {
    return new PartHours.Fitting(
        engine, from, to > 0 ? OptionalDouble.of(to) : OptionalDouble.empty());
  }

  private static Spring spring(String id, String type, PartHours.Fitting... stays) {
    return new Spring(id, id, type, Optional.empty(), NONE, new PartHours(1, List.of(stays)));
  }

  private static Load read(String spring, double lbf) {
    return new Load(spring, "1I", 1.95, lbf, true, false);
  }

  private static SpringRecord.Test test(
      String id, String engine, double hours, HeatState state, Load... loads) {
    return new SpringRecord.Test(id, engine, hours, state, List.of(), List.of(loads));
  }

  private static TestedSet only(SpringRecord record) {
    List<TestedSet> sets = record.sets(Sets::type);
    assertThat(sets).hasSize(1);
    return sets.get(0);
  }

  @Test
  void springsOfAKindAreASetInOrderOfTheirMarks() {
    List<TestedSet> sets =
        new SpringRecord(
                List.of(spring("b", "dual"), spring("c", "beehive"), spring("a", "dual")),
                List.of(test("t", V8, 5, HeatState.COLD, read("b", 219), read("c", 180))))
            .sets(Sets::type);
    assertThat(sets).extracting(TestedSet::typeId).containsExactly("dual", "beehive");
    assertThat(sets.get(0).history().springs())
        .extracting(SetHistory.Member::id)
        .containsExactly("a", "b");
    assertThat(sets.get(0).history().tests().get(0).reads())
        .extracting(SetHistory.Read::spring)
        .containsExactly("b");
    assertThat(sets.get(1).tested("c", r -> true)).hasSize(1);
    assertThat(sets.get(0).tested("c", r -> true)).isEmpty();
  }

  @Test
  void aSpringBringsItsHoursAndTestsFromAnotherEngine() {
    SpringRecord record =
        new SpringRecord(
            List.of(spring("a", "dual", stay(OTHER, 20, 26), stay(V8, 3, 0))),
            List.of(
                test("there", OTHER, 24, HeatState.COLD, read("a", 218)),
                test("here", V8, 5, HeatState.COLD, read("a", 216))));
    TestedSet set = only(record);
    assertThat(set.tested("a", TestedSet.Moved::used))
        .extracting(TestedSet.InTest::hours)
        .containsExactly(1 + 4.0, 1 + 6 + 2.0);
    assertThat(set.counted()).containsExactly("there", "here");
  }

  @Test
  void aTestBeforeAnyStayIsAtTheHoursItCameWith() {
    PartHours life = new PartHours(1, List.of(stay(V8, 3, 7), stay(V8, 9, 0)));
    assertThat(life.in(V8, 2)).isEqualTo(1);
    assertThat(life.in(V8, 3)).as("the hour it went in").isEqualTo(1);
    assertThat(life.in(V8, 8)).as("on the shelf").isEqualTo(5);
    assertThat(life.in(V8, 10)).isEqualTo(6);
    assertThat(life.in(OTHER, 10)).isEqualTo(1);
    PartHours lent = new PartHours(1, List.of(stay(V8, 0, 2), stay(OTHER, 10, 13), stay(V8, 5, 0)));
    assertThat(lent.in(V8, 5)).as("back, with what it ran elsewhere").isEqualTo(1 + 2 + 3);
    assertThat(lent.in(V8, 4.9)).isEqualTo(1 + 2);
  }

  @Test
  void hoursTypedALittleLessThanLastTimeStandStill() {
    SpringRecord record =
        new SpringRecord(
            List.of(spring("a", "dual", stay(V8, 0, 0))),
            List.of(
                test("first", V8, 5.2, HeatState.COLD, read("a", 218)),
                test("slip", V8, 5.1, HeatState.COLD, read("a", 217)),
                test("later", V8, 6, HeatState.COLD, read("a", 216))));
    assertThat(only(record).history().tests())
        .flatExtracting(SetHistory.Test::reads)
        .extracting(SetHistory.Read::hours)
        .containsExactly(6.2, 6.2, 7.0);
  }

  @Test
  void whatDoesNotCountIsShownAndLeftOut() {
    Load far = new Load("a", "", 1.80, 262, true, false);
    Load near = new Load("a", "", 1.93, 225, true, false);
    Load inner = new Load("a", "", 1.95, 70, false, false);
    SpringRecord record =
        new SpringRecord(
            List.of(spring("a", "dual", stay(V8, 0, 0))),
            List.of(
                test("hot", V8, 4, HeatState.HOT, read("a", 205)),
                test("cold", V8, 5, HeatState.COLD, near, far, inner)));
    TestedSet set = only(record);
    assertThat(set.state()).isEqualTo(HeatState.COLD);
    assertThat(set.counted()).containsExactly("cold");
    List<TestedSet.InTest> all = set.tested("a", r -> true);
    assertThat(all).hasSize(2);
    assertThat(all.get(1).readings())
        .extracting(TestedSet.Moved::used)
        .containsExactly(true, false, false);
    assertThat(all.get(1).readings())
        .extracting(TestedSet.Moved::far)
        .containsExactly(true, true, false);
    // 0.020 in longer at the reference height: 6 lbf less.
    assertThat(set.history().tests().get(0).reads().get(0).loadsLbf().get(0))
        .isCloseTo(219, within(1e-9));
    assertThat(set.tested("a", TestedSet.Moved::used)).hasSize(1);
  }

  @Test
  void theCheckSpringCorrectsWhatItsTestRead() {
    SpringRecord.Test day =
        new SpringRecord.Test(
            "t",
            V8,
            5,
            HeatState.COLD,
            List.of(new TesterDay.Check(200, 198, TesterDay.Side.START)),
            List.of(read("a", 217.8), read("a", 217.8)));
    TestedSet set =
        only(new SpringRecord(List.of(spring("a", "dual", stay(V8, 0, 0))), List.of(day)));
    TestedSet.InTest read = set.tested("a", TestedSet.Moved::used).get(0);
    assertThat(read.rawLbf()).isEqualTo(217.8);
    assertThat(read.correctedLbf()).isCloseTo(220, within(1e-9));
    assertThat(set.history().tests().get(0).day()).isPresent();
  }

  @Test
  void aBatchIsWarnedByItsFirstBreak() {
    SpringRecord record =
        new SpringRecord(
            List.of(
                of("a", "B7", NONE),
                of("b", "B7", OptionalDouble.of(9)),
                of("c", "B7", OptionalDouble.of(8.5)),
                of("d", "B8", OptionalDouble.of(2)),
                of("e", null, OptionalDouble.of(1)),
                of("f", null, NONE)),
            List.of());
    assertThat(record.batchBroke("a")).contains(8.5);
    assertThat(record.batchBroke("c")).as("not by itself").contains(9.0);
    assertThat(record.batchBroke("d")).isEmpty();
    assertThat(record.batchBroke("f")).as("no batch is no bond").isEmpty();
  }

  private static Spring of(String id, String batch, OptionalDouble broke) {
    return new Spring(
        id, id, "dual", Optional.ofNullable(batch), broke, new PartHours(0, List.of()));
  }
}
