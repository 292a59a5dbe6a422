package shim.core.turnaround;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What holds of every plan, whatever is to be done. */
class PlanPropertiesTest {
  @ParameterizedTest
  @CsvSource({"1,12,2", "4,60,4", "5,8,1", "6,20,2"})
  void nothingIsInTwoPlacesOrBeforeItsTime(long seed, int works, int hands) {
    Situation now = Turnarounds.random(seed, works, hands);
    Plan plan = Plan.of(now);
    Map<String, Placed> by =
        plan.placed().stream().collect(Collectors.toMap(p -> p.work().id(), p -> p));
    assertThat(by).hasSize(works);
    for (Placed p : plan.placed()) {
      assertThat(p.hands()).hasSize(p.work().hands()).doesNotHaveDuplicates();
      assertThat(p.start()).isGreaterThanOrEqualTo(p.work().notBefore());
      for (Work.After a : p.work().after()) {
        assertThat(p.start()).isGreaterThanOrEqualTo(by.get(a.id()).end() + a.minutes());
      }
      for (Hand h : now.hands()) {
        if (p.hands().contains(h.name())) {
          assertThat(p.work().may(h)).isTrue();
          assertThat(h.there()).anyMatch(s -> s.from() <= p.start() && p.end() <= s.to());
        }
      }
      assertThat(plan.placed())
          .filteredOn(o -> o != p && o.stretch().meets(p.stretch()))
          .noneMatch(o -> shares(o.hands(), p.hands()))
          .noneMatch(o -> shares(List.copyOf(o.work().holds()), List.copyOf(p.work().holds())));
    }
  }

  private static boolean shares(List<String> a, List<String> b) {
    return a.stream().anyMatch(b::contains);
  }

  /** The chain has no hole: each of its works waits for the one before it. */
  @ParameterizedTest
  @CsvSource({"2,25,3", "7,15,1"})
  void theChainLeadsFromItsFirstWorkToTheEnd(long seed, int works, int hands) {
    Plan plan = Plan.of(Turnarounds.random(seed, works, hands));
    List<Placed> chain = plan.chain();
    assertThat(chain.get(chain.size() - 1).end()).isEqualTo(plan.musts());
    for (int i = 1; i < chain.size(); i++) {
      Placed p = chain.get(i);
      assertThat(p.cause().name()).isEqualTo(chain.get(i - 1).work().id());
      assertThat(chain.get(i - 1).end()).isLessThanOrEqualTo(p.start());
    }
    assertThat(chain.get(0).cause().name()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1,12,2"})
  void onePairOfHandsMoreNeverMakesItLonger(long seed, int works, int hands) {
    Situation now = Turnarounds.random(seed, works, hands);
    List<Hand> more =
        java.util.stream.Stream.concat(
                now.hands().stream(), java.util.stream.Stream.of(Turnarounds.daily("more", 14)))
            .toList();
    Plan with = Plan.of(new Situation(now.truck(), now.horizon(), now.work(), more));
    Plan without = Plan.of(now);
    if (with.best()) {
      assertThat(with.musts()).isLessThanOrEqualTo(without.musts());
    }
  }

  @ParameterizedTest
  @CsvSource({"1,12,2"})
  void theSameSituationGivesTheSamePlan(long seed, int works, int hands) {
    Situation now = Turnarounds.random(seed, works, hands);
    assertThat(Plan.of(now).chance()).isEqualTo(Plan.of(now).chance());
  }
}
