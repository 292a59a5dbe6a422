package shim.core.turnaround;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import shim.core.turnaround.Placed.Cause;
import shim.core.turnaround.Plan.Left.Why;

class PlanTest {
  private static final int DAY = Turnarounds.DAY;
  private static final Hand KV = Turnarounds.daily("KV", 14);
  private static final Hand MO = Turnarounds.daily("MO", 14);

  private static Plan plan(int truck, List<Hand> hands, Work... work) {
    return Plan.of(new Situation(truck, 14 * DAY, List.of(work), hands));
  }

  private static Work must(String id, int minutes) {
    return Work.of(id, Weight.MUST, minutes);
  }

  private static Placed of(Plan plan, String id) {
    return plan.of(id).orElseThrow();
  }

  @Test
  void aHotRoundCoolsWhileNobodyWaitsForIt() {
    Plan plan =
        plan(
            DAY,
            List.of(KV),
            must("hot round", 60),
            must("springs", 120).after("hot round", 240),
            must("plugs of the four", 90));
    assertThat(of(plan, "hot round").start()).isZero();
    assertThat(of(plan, "plugs of the four").start()).isEqualTo(60);
    assertThat(of(plan, "springs").start()).isEqualTo(300);
    assertThat(of(plan, "springs").cause()).isEqualTo(new Cause(Cause.Kind.BEFORE, "hot round"));
    assertThat(plan.musts()).isEqualTo(420);
    assertThat(plan.best()).isTrue();
    assertThat(plan.late()).isEmpty();
    assertThat(plan.chain()).extracting(p -> p.work().id()).containsExactly("hot round", "springs");
  }

  @Test
  void whatDoesNotFitIntoTheDayWaitsForTheMorning() {
    Plan plan = plan(3 * DAY, List.of(KV), must("a", 400), must("b", 300));
    assertThat(plan.musts()).isEqualTo(DAY + 300);
    assertThat(of(plan, "b").cause().kind()).isEqualTo(Cause.Kind.NOBODY_THERE);
  }

  @Test
  void oneEngineTurnsOnceAndTwoHandsShareTheRest() {
    Work round = must("round", 60).holds(Set.of("V8"));
    Work test = must("test", 90).holds(Set.of("V8"));
    Plan plan = plan(DAY, List.of(KV, MO), round, test, must("oil", 30));
    assertThat(plan.musts()).isEqualTo(150);
    assertThat(of(plan, "oil").hands()).isNotEmpty();
  }

  @Test
  void whoIsNamedDoesIt() {
    Plan plan = plan(DAY, List.of(KV, MO), must("a", 30).only(Set.of("MO")), must("b", 45));
    assertThat(of(plan, "a").hands()).containsExactly("MO");
    assertThat(of(plan, "b").hands()).containsExactly("KV");
  }

  @Test
  void aPartThatComesTomorrowIsWaitedFor() {
    Plan plan = plan(2 * DAY, List.of(KV), must("springs", 60).notBefore(DAY + 120));
    assertThat(of(plan, "springs").start()).isEqualTo(DAY + 120);
    assertThat(of(plan, "springs").cause().kind()).isEqualTo(Cause.Kind.PART);
  }

  @Test
  void whatMustBeIsPlannedThoughTheTruckHasLeft() {
    Plan plan = plan(60, List.of(KV), must("a", 60), must("b", 15));
    assertThat(plan.late()).containsExactly("b");
    assertThat(plan.chance()).hasValue(0);
    Plan exact = plan(75, List.of(KV), must("a", 60), must("b", 15));
    assertThat(exact.late()).isEmpty();
    assertThat(exact.chance()).hasValue(1);
  }

  @Test
  void shouldsTakeTheGapsAndAreLeftWhenTheyDoNotFit() {
    Work should = Work.of("plugs", Weight.SHOULD, 30);
    Work could = Work.of("polish", Weight.COULD, 45);
    Plan plan =
        plan(180, List.of(KV), must("hot", 60), must("cold", 60).after("hot", 60), should, could);
    assertThat(of(plan, "plugs").start()).isEqualTo(60);
    assertThat(plan.left())
        .extracting(l -> l.work().id(), Plan.Left::why)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("polish", Why.NO_TIME));
    assertThat(plan.musts()).isEqualTo(180);
  }

  @Test
  void whatAMustNeedsIsAMust() {
    Plan plan =
        plan(
            60,
            List.of(KV),
            Work.of("drain", Weight.COULD, 30),
            must("seal", 40).after("drain", 0));
    assertThat(plan.late()).containsExactly("seal");
    assertThat(of(plan, "drain").work().weight()).isEqualTo(Weight.MUST);
  }

  @Test
  void aPartNobodyKnowsOfLeavesItsWorkOutAndWhatComesAfter() {
    Plan plan =
        plan(
            DAY,
            List.of(KV),
            must("cup", 30).waits(true),
            must("lash", 60).after("cup", 0),
            must("oil", 20));
    assertThat(plan.left())
        .extracting(l -> l.work().id(), Plan.Left::why)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple("cup", Why.PART_UNKNOWN),
            org.assertj.core.groups.Tuple.tuple("lash", Why.NOT_WITHOUT));
    assertThat(plan.late()).containsExactly("cup", "lash");
    assertThat(plan.chance()).isEmpty();
    assertThat(of(plan, "oil").start()).isZero();
  }

  @Test
  void workLongerThanAnybodysDayHasNobody() {
    Plan plan = plan(5 * DAY, List.of(KV), must("heads", 601), must("fits", 600));
    assertThat(plan.left()).extracting(Plan.Left::why).containsExactly(Why.NOBODY);
    assertThat(of(plan, "fits").end()).isEqualTo(600);
  }

  @Test
  void whatIsBegunIsNeverMoved() {
    Work begun = must("springs", 200).begun(new Work.Begun(-50, List.of("KV")));
    Plan plan = plan(DAY, List.of(KV, MO), begun, must("lash", 30).only(Set.of("KV")));
    assertThat(of(plan, "springs").start()).isEqualTo(-50);
    assertThat(of(plan, "lash").start()).isEqualTo(150);
  }

  @Test
  void aDeliveryOrACoolingByItselfNeedsNobody() {
    Plan plan = plan(DAY, List.of(), must("machine shop", 300).hands(0));
    assertThat(plan.musts()).isEqualTo(300);
    assertThat(plan.best()).isTrue();
  }

  @Test
  void nothingToDoIsDoneAtOnce() {
    Plan plan = plan(DAY, List.of(KV));
    assertThat(plan.musts()).isZero();
    assertThat(plan.chance()).hasValue(1);
    assertThat(plan.chain()).isEmpty();
  }

  /**
   * One work of 100 minutes with a spread of 0.3 and 120 minutes to go: the normal distribution's
   * value at ln(1.2) / 0.3 = 0.6077 is 0.7284 (table of the normal distribution).
   */
  @Test
  void theChanceIsThatOfTheSpread() {
    Plan plan = plan(120, List.of(KV), must("a", 100).spread(0.3));
    assertThat(plan.chance().orElseThrow()).isCloseTo(0.7284, within(0.03));
  }

  @Test
  void anOrderInACircleIsNamed() {
    List<Work> work =
        List.of(
            must("a", 10).after("c", 0), must("b", 10).after("a", 0), must("c", 10).after("b", 0));
    assertThat(Situation.circle(work).orElseThrow()).hasSize(3).contains("a", "b", "c");
    assertThat(Situation.circle(List.of(must("a", 1).after("a", 0))))
        .isEqualTo(Optional.of(List.of("a")));
    assertThat(Situation.circle(List.of(must("a", 1), must("b", 1).after("a", 0)))).isEmpty();
  }

  /**
   * A textbook's project of fourteen activities in weeks, with its critical path of 44 weeks:
   * Hillier and Lieberman, Introduction to Operations Research, the Reliable Construction example
   * of project management by PERT and CPM; value from memory.
   */
  @Test
  void aTextbooksProjectTakesItsFortyFourWeeks() {
    Map<String, Integer> weeks =
        Map.ofEntries(
            Map.entry("A", 2),
            Map.entry("B", 4),
            Map.entry("C", 10),
            Map.entry("D", 6),
            Map.entry("E", 4),
            Map.entry("F", 5),
            Map.entry("G", 7),
            Map.entry("H", 9),
            Map.entry("I", 7),
            Map.entry("J", 8),
            Map.entry("K", 4),
            Map.entry("L", 5),
            Map.entry("M", 2),
            Map.entry("N", 6));
    Map<String, List<String>> after =
        Map.ofEntries(
            Map.entry("A", List.<String>of()),
            Map.entry("B", List.of("A")),
            Map.entry("C", List.of("B")),
            Map.entry("D", List.of("C")),
            Map.entry("E", List.of("C")),
            Map.entry("F", List.of("E")),
            Map.entry("G", List.of("D")),
            Map.entry("H", List.of("E", "G")),
            Map.entry("I", List.of("C")),
            Map.entry("J", List.of("F", "I")),
            Map.entry("K", List.of("J")),
            Map.entry("L", List.of("J")),
            Map.entry("M", List.of("H")),
            Map.entry("N", List.of("K", "L")));
    Work[] work =
        weeks.entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .map(
                e ->
                    must(e.getKey(), e.getValue())
                        .hands(0)
                        .after(
                            after.get(e.getKey()).stream().map(b -> new Work.After(b, 0)).toList()))
            .toArray(Work[]::new);
    Plan plan = plan(47, List.of(), work);
    assertThat(plan.musts()).isEqualTo(44);
    assertThat(plan.chain())
        .extracting(p -> p.work().id())
        .containsExactly("A", "B", "C", "E", "F", "J", "L", "N");
  }
}
