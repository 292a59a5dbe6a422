package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.ValveHistory.ChainChange;
import shim.core.lash.ValveHistory.Drift;
import shim.core.lash.ValveHistory.Visit;
import shim.core.unit.Said;

class ValveHistoryTest {
  private static final Position E3 = Position.parse("3E");

  private static Visit visit(
      Position p, long order, double hours, HeatState state, Double found, Double left) {
    return new Visit(p, order, hours, state, found, left);
  }

  @Test
  void driftComparesOnlyWithTheSameTemperatureState() {
    ValveHistory h =
        new ValveHistory(
            List.of(
                visit(E3, 1, 2.0, HeatState.HOT, 0.020, 0.018),
                visit(E3, 2, 2.5, HeatState.COLD, 0.012, 0.012)),
            List.of());
    Drift drift = h.drift(E3, HeatState.HOT, 3, 4.0, 0.021);
    assertThat(drift).isInstanceOf(Drift.Known.class);
    assertThat(((Drift.Known) drift).driftIn()).isCloseTo(0.003, within(1e-9));
    assertThat(((Drift.Known) drift).hours()).isCloseTo(2.0, within(1e-9));
  }

  @Test
  void aChangedPartStartsANewBaseline() {
    ValveHistory h =
        new ValveHistory(
            List.of(visit(E3, 1, 2.0, HeatState.HOT, 0.020, 0.018)),
            List.of(new ChainChange(E3, 2)));
    assertThat(h.drift(E3, HeatState.HOT, 3, 4.0, 0.021))
        .isInstanceOfSatisfying(
            Drift.None.class, n -> assertThat(n.why()).contains("new baseline"));
  }

  @Test
  void ownGrowthComesFromRoundsThatMeetWithNothingTouchedBetween() {
    List<Position> valves = Stream.of("1I", "1E", "2I", "2E").map(Position::parse).toList();
    List<Visit> visits = new ArrayList<>();
    for (Position p : valves) {
      double grows = p.kind() == ValveKind.INTAKE ? 0.005 : 0.007;
      visits.add(visit(p, 1, 3.0, HeatState.COLD, 0.010, 0.012));
      visits.add(visit(p, 2, 3.3, HeatState.HOT, 0.012 + grows, 0.018));
    }
    Growth growth = Growth.of(new ValveHistory(visits, List.of()), valves);
    assertThat(growth.coldMinusHotIn(ValveKind.INTAKE).orElseThrow().mean())
        .isCloseTo(-0.005, within(1e-9));
    assertThat(growth.coldMinusHotIn(ValveKind.EXHAUST).orElseThrow().mean())
        .isCloseTo(-0.007, within(1e-9));
    Growth broken =
        Growth.of(
            new ValveHistory(
                visits,
                List.of(new ChainChange(valves.get(0), 2), new ChainChange(valves.get(2), 2))),
            valves);
    assertThat(broken.coldMinusHotIn(ValveKind.INTAKE)).isEmpty();
    assertThat(broken.coldMinusHotIn(ValveKind.EXHAUST)).isPresent();
  }

  /** Three quarters of a kind's valves make a pair of rounds; fewer say nothing of the kind. */
  @Test
  void growthWantsThreeQuartersOfAKind() {
    List<Position> valves =
        Stream.of("1I", "2I", "3I", "4I", "5I", "6I", "7I", "8I").map(Position::parse).toList();
    for (int paired = 0; paired <= 8; paired++) {
      List<Visit> visits = new ArrayList<>();
      for (Position p : valves.subList(0, paired)) {
        visits.add(visit(p, 1, 3.0, HeatState.COLD, 0.010, 0.012));
        visits.add(visit(p, 2, 3.3, HeatState.HOT, 0.017, 0.018));
      }
      Growth growth = Growth.of(new ValveHistory(visits, List.of()), valves);
      assertThat(growth.coldMinusHotIn(ValveKind.INTAKE).isPresent())
          .as("%d of 8", paired)
          .isEqualTo(paired >= 6);
    }
  }

  private static RoundStory.ValveLine line(String position, double left, double drift) {
    Position p = Position.parse(position);
    LashTarget target =
        new LashTarget(p.kind(), HeatState.HOT, 0.018, 0.014, 0.002, Said.kept("test"), null);
    return new RoundStory.ValveLine(p, target, true, left, drift, null, List.of());
  }

  @Test
  void aValveWithoutALashTargetTellsWhatWasSeenAndWhetherItIsDone() {
    Position p = Position.parse("2E");
    assertThat(RoundStory.of(List.of(turned(p, true, Seen.BROKEN))).first())
        .singleElement()
        .satisfies(l -> assertThat(l.about()).isEqualTo(RoundStory.About.SEEN))
        .satisfies(l -> assertThat(l.said().code()).isEqualTo("SEEN.SPRING_BROKEN"));
    assertThat(RoundStory.of(List.of(turned(p, false, null))).first())
        .extracting(RoundStory.Look::about)
        .containsExactly(RoundStory.About.NOT_DONE);
    assertThat(RoundStory.of(List.of(turned(p, true, null))).first()).isEmpty();
  }

  private static RoundStory.ValveLine turned(Position p, boolean done, @Nullable Seen spring) {
    return new RoundStory.ValveLine(p, null, done, null, null, null, EyeFindings.at(spring, null));
  }

  @Test
  void aRoundByItselfNamesWhatIsOutAndThatAllMovedAlike() {
    List<RoundStory.ValveLine> lines =
        List.of(
            line("1E", 0.018, 0.0044), line("2E", 0.018, 0.0042),
            line("3E", 0.018, 0.0041), line("4E", 0.018, 0.0037),
            line("1I", 0.018, 0.0041), line("2I", 0.013, 0.0042));
    RoundStory story = RoundStory.of(lines);
    assertThat(story.first())
        .singleElement()
        .returns(Position.parse("2I"), RoundStory.Look::position)
        .satisfies(l -> assertThat(l.said().code()).isEqualTo("ROUND.UNDER_FLOOR"))
        .satisfies(l -> assertThat(l.said().figure("leftIn")).isEqualTo(0.013))
        .returns(RoundStory.About.LEFT_OUT, RoundStory.Look::about);
    RoundStory.ValveLine seen =
        new RoundStory.ValveLine(
            Position.parse("1I"),
            lines.get(0).target(),
            false,
            null,
            null,
            null,
            EyeFindings.at(Seen.BROKEN, null));
    assertThat(RoundStory.of(List.of(seen)).first())
        .extracting(RoundStory.Look::about)
        .containsExactly(RoundStory.About.SEEN, RoundStory.About.NOT_DONE);
    assertThat(story.moved())
        .singleElement()
        .satisfies(l -> assertThat(l.said().code()).isEqualTo("ROUND.ALL_MOVED"))
        .satisfies(l -> assertThat(l.said().figure("exhaustsThou")).isCloseTo(4.15, within(1e-6)));
    assertThat(story.medianDriftIn().get(ValveKind.EXHAUST)).isCloseTo(0.00415, within(1e-9));
    List<RoundStory.ValveLine> still =
        lines.stream().map(v -> line(v.position().toString(), 0.018, v.driftIn() - 0.004)).toList();
    assertThat(RoundStory.of(still).moved()).isEmpty();
  }

  @Test
  void exhaustsThatCloseAloneAreSaidByHowFar() {
    RoundStory story =
        RoundStory.of(
            List.of(
                line("1E", 0.018, -0.0022), line("2E", 0.018, -0.0018),
                line("1I", 0.018, 0.0001), line("2I", 0.018, -0.0001)));
    Said closed = story.moved().get(0).said();
    assertThat(story.moved()).hasSize(1);
    assertThat(closed.code()).isEqualTo("ROUND.EXHAUSTS_CLOSED");
    assertThat(closed.figure("thou")).isCloseTo(2, within(1e-9));
  }

  @Test
  void aValveLeftOutIsSaidWithWhatItWasHeldAgainst() {
    assertThat(RoundStory.of(List.of(line("1I", 0.021, 0))).first().get(0).said())
        .isEqualTo(Said.of(RoundStory.Code.OUTSIDE, 0.021, 0.018, 0.002));
    assertThat(RoundStory.of(List.of(line("1I", 0.013, 0))).first().get(0).said())
        .isEqualTo(Said.of(RoundStory.Code.UNDER_FLOOR, 0.013, 0.014));
  }
}
