package shim.core.lifter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.drift.ValveDrift;
import shim.core.drift.ValveDrift.Begun;
import shim.core.drift.ValveDrift.Signal;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.Engine;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.fatigue.Verdict;
import shim.core.stats.Range;
import shim.core.unit.Said;

/** How a lifter stands, and the survey of lobes. */
class LifterOutlookTest {
  private static final Position P = Position.parse("5E");

  private static LifterFacts facts(
      double hours, Double interval, ValveDrift drift, String... seen) {
    return new LifterFacts(
        Lifter.ROLLER_SOLID,
        OptionalDouble.of(hours),
        interval == null ? OptionalDouble.empty() : OptionalDouble.of(interval),
        List.of(1.5, 2.0),
        Arrays.stream(seen)
            .map(s -> s.split("="))
            .map(
                s ->
                    new Diagnosis.Seen(
                        Look.valueOf(s[0]), Look.valueOf(s[0]).grade(s[1]).orElseThrow()))
            .toList(),
        Optional.ofNullable(drift),
        0,
        OptionalDouble.empty());
  }

  private static ValveDrift opening(double moved, double rate) {
    return new ValveDrift(
        P,
        List.of(),
        Map.of(Signal.OPENING, 0.99, Signal.STEADY, 0.01),
        Strength.FINDING,
        Signal.OPENING,
        new Range(rate * 0.7, rate, rate * 1.3),
        new Range(moved - 1, moved, moved + 1),
        Optional.of(new Begun(5, 6.2, 7)),
        0,
        Optional.empty());
  }

  @Test
  void theWorstFindingStandsFirstAndDecides() {
    LifterOutlook o =
        LifterOutlook.of(facts(10, 40.0, null, "BODY=polished", "WHEEL=pitted", "PLUNGER=firm"));
    assertThat(o.verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(o.reasons().get(0).said().name()).startsWith("wheel pitted");
    assertThat(o.reasons()).noneMatch(r -> r.said().name().contains("firm"));
    assertThat(o.dueBefore()).hasValue(0);
  }

  @Test
  void aFindingThatWasPutRightNoLongerCounts() {
    LifterOutlook o = LifterOutlook.of(facts(10, 40.0, null, "WHEEL=rough", "WHEEL=smooth"));
    assertThat(o.verdict()).isEqualTo(Verdict.RUN);
  }

  @Test
  void findingsElsewhereInTheChainAreNotTheLifters() {
    assertThat(LifterOutlook.of(facts(10, 40.0, null, "ROCKER=tip worn")).verdict())
        .isEqualTo(Verdict.RUN);
  }

  @Test
  void itsIntervalFallsDueBeforeTheEventThatWouldPassIt() {
    assertThat(LifterOutlook.of(facts(39, 40.0, null)).dueBefore()).hasValue(0);
    assertThat(LifterOutlook.of(facts(39, 40.0, null)).verdict()).isEqualTo(Verdict.CHANGE);
    assertThat(LifterOutlook.of(facts(37, 40.0, null)).dueBefore()).hasValue(1);
    assertThat(LifterOutlook.of(facts(37, 40.0, null)).verdict()).isEqualTo(Verdict.WATCH);
    assertThat(LifterOutlook.of(facts(30, 40.0, null)).dueBefore()).isEmpty();
    LifterOutlook over = LifterOutlook.of(facts(42.5, 40.0, null));
    assertThat(over.toInterval().getAsDouble()).isCloseTo(-2.5, within(1e-9));
    assertThat(over.reasons().get(0).kind()).isEqualTo(LifterReason.Kind.OVER_INTERVAL);
    assertThat(over.reasons().get(0).said().figures())
        .isEqualTo(Map.of("hours", 42.5, "intervalHours", 40.0));
    assertThat(LifterOutlook.of(facts(99, null, null)).toInterval()).isEmpty();
  }

  @Test
  void anOpeningLashIsWatchedUntilItAmountsToAWornLobe() {
    LifterOutlook early = LifterOutlook.of(facts(10, 40.0, opening(1.5, 0.8)));
    assertThat(early.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(early.toTrend().orElseThrow().mid()).isCloseTo(3.5 / 0.8, within(1e-9));
    assertThat(early.toTrend().orElseThrow().low()).isLessThan(early.toTrend().get().mid());
    LifterOutlook late =
        LifterOutlook.of(
            facts(10, 40.0, opening(4.4, 0.8), "JAM_NUT=tight", "PUSHROD=straight", "ROCKER=good"));
    assertThat(late.verdict()).isEqualTo(Verdict.CHANGE);
    Said trend = late.reasons().get(0).said();
    assertThat(trend.code()).isEqualTo("LIFTER.TREND");
    assertThat(trend.figure("movedThou")).isEqualTo(4.4);
    assertThat(trend.figure("sinceHours")).isEqualTo(6.2);
    assertThat(trend.figure("thenThou")).isCloseTo(5.6, within(1e-9));
  }

  /** Not changed while the jam nut, or what else is cheaper to look at, may explain it. */
  @Test
  void whatIsCheaperIsLookedAtFirst() {
    LifterOutlook nut = LifterOutlook.of(facts(10, 40.0, opening(4.4, 0.8)));
    assertThat(nut.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(nut.reasons().get(0).said().code()).isEqualTo("LIFTER.LOOK_FIRST");
    assertThat(nut.reasons().get(0).said().name()).isEqualTo("jam nut");
    assertThat(nut.reasons().get(0).said().figure("thenThou")).isCloseTo(5.6, within(1e-9));
    LifterOutlook next = LifterOutlook.of(facts(10, 40.0, opening(4.4, 0.8), "JAM_NUT=tight"));
    assertThat(next.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(next.reasons().get(0).said().name()).isEqualTo("stem tip");
    LifterOutlook seen = LifterOutlook.of(facts(10, 40.0, opening(4.4, 0.8), "WHEEL=pitted"));
    assertThat(seen.verdict()).as("the lifter itself was seen bad").isEqualTo(Verdict.CHANGE);
  }

  /** All that is cheap was looked at, and the rocker explains it: the lifter is only watched. */
  @Test
  void aLashThatSomethingElseExplainsDoesNotChangeTheLifter() {
    LifterOutlook o =
        LifterOutlook.of(
            facts(
                10,
                40.0,
                opening(6, 1),
                "JAM_NUT=tight",
                "STEM_TIP=mushroomed",
                "ROCKER_UNDERSIDE=clean",
                "PUSHROD=straight",
                "ROCKER=loose on its trunnion"));
    assertThat(o.reasons().get(0).kind()).isEqualTo(LifterReason.Kind.TREND);
    assertThat(o.verdict()).isEqualTo(Verdict.WATCH);
  }

  @Test
  void aLookThatClearsTheLifterTakesTheTrendOffIt() {
    LifterOutlook o =
        LifterOutlook.of(
            facts(
                10,
                40.0,
                opening(6, 1),
                "ROCKER=loose on its trunnion",
                "WHEEL=smooth",
                "LOBE_LIFT=full"));
    assertThat(o.verdict()).isNotEqualTo(Verdict.CHANGE);
  }

  @Test
  void muchOpenLoadForItsKindIsWatched() {
    LifterFacts flat =
        new LifterFacts(
            Lifter.FLAT_SOLID,
            OptionalDouble.of(5),
            OptionalDouble.empty(),
            List.of(),
            List.of(),
            Optional.empty(),
            2,
            OptionalDouble.of(320));
    LifterOutlook o = LifterOutlook.of(flat);
    assertThat(o.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(o.reasons())
        .anyMatch(
            r -> r.kind() == LifterReason.Kind.OPEN_LOAD && r.said().figure("loadLbf") == 320);
    assertThat(o.reasons())
        .anyMatch(r -> r.kind() == LifterReason.Kind.OVER_REV && r.said().figure("times") == 2);
  }

  @Test
  void whereNoLifterIsOnRecordNothingIsSaidOfItsHoursOrOfLooking() {
    LifterOutlook o =
        LifterOutlook.of(
            new LifterFacts(
                Lifter.ROLLER_SOLID,
                OptionalDouble.empty(),
                OptionalDouble.of(40),
                List.of(50.0),
                List.of(),
                Optional.empty(),
                0,
                OptionalDouble.empty()));
    assertThat(o.toInterval()).isEmpty();
    assertThat(o.dueBefore()).isEmpty();
    assertThat(o.reasons())
        .extracting(LifterReason::kind)
        .containsExactly(LifterReason.Kind.NOT_ON_RECORD);
  }

  @Test
  void hoursMustBeHours() {
    assertThatThrownBy(() -> facts(Double.NaN, null, null))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> facts(-1, null, null)).isInstanceOf(IllegalArgumentException.class);
  }

  private static final Engine ENGINE = Engines.engine(Engines.sheet("v8-odd-even"));

  @Test
  void aSurveyComparesLiftWithCardAndDrift() {
    double wanted = LobeSurvey.wantedIn(ENGINE, ValveKind.EXHAUST).orElseThrow();
    assertThat(wanted)
        .isEqualTo(
            ENGINE.cam().orElseThrow().exhaust().lobeLiftIn() * ENGINE.drive().ratioExhaust());
    Map<Position, ValveDrift> drift = Map.of(P, opening(6, 1));
    assertThat(line(wanted - 0.007, drift).said().code()).isEqualTo("LOBE.SHORT_LASH_AGREES");
    assertThat(line(wanted - 0.007, drift).said().figure("shortThou")).isCloseTo(7, within(1e-6));
    assertThat(line(wanted - 0.007, drift).said().figure("openedThou")).isEqualTo(6);
    assertThat(line(wanted - 0.009, drift).said().code())
        .as("three thou apart")
        .isEqualTo("LOBE.SHORT_LASH_AGREES");
    assertThat(line(wanted - 0.020, drift).said().code()).isEqualTo("LOBE.SHORT_LASH_DIFFERS");
    assertThat(line(wanted - 0.001, drift).said().code()).isEqualTo("LOBE.FULL_THOUGH_LASH_OPENS");
    assertThat(line(wanted - 0.012, Map.of()).said().code()).isEqualTo("LOBE.SHORT_LASH_STANDS");
    assertThat(line(wanted - 0.050, Map.of()).grade().orElseThrow().word()).isEqualTo("flat");
  }

  private static LobeSurvey.Line line(double liftIn, Map<Position, ValveDrift> drift) {
    return LobeSurvey.of(ENGINE, Map.of(P, liftIn), drift).get(0);
  }
}
