package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.LashRecord;
import shim.core.lash.Reading;
import shim.core.lash.ValveHistory.ChainChange;
import shim.core.lash.ValveHistory.Visit;
import shim.core.lash.WrittenRound;
import shim.core.lash.WrittenRound.Entry;
import shim.core.lash.WrittenRound.Phase;

/** What was written down of an engine's lash, as history and as rounds for the drift analysis. */
class LashRoundsTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Position I1 = Position.parse("1I");
  private static final Position E1 = Position.parse("1E");

  private static final Engine.Drive DRIVE = Engines.engine(Engines.sheet("inline-4")).drive();

  private static Entry gap(Position valve, Phase phase, double in, long at) {
    Reading reading = new Reading.Figure(in, 0.001);
    return new Entry(valve, phase, Optional.of(reading), NONE, NONE, false, NONE, at);
  }

  private static Entry same(Position valve) {
    return new Entry(valve, Phase.LEFT, Optional.empty(), NONE, NONE, true, NONE, 99);
  }

  private static Entry turns(Position valve, Phase phase, double turns) {
    return new Entry(
        valve, phase, Optional.empty(), OptionalDouble.of(turns), NONE, false, NONE, 1);
  }

  private static Entry part(Position valve, Phase phase, double in) {
    return new Entry(valve, phase, Optional.empty(), NONE, NONE, true, OptionalDouble.of(in), 1);
  }

  private static WrittenRound round(long order, Entry... entries) {
    return new WrittenRound(
        "r" + order, order, order / 10.0, HeatState.HOT, "KV", List.of(entries));
  }

  private static LashRecord record(WrittenRound... rounds) {
    return new LashRecord(
        List.of(rounds), List.of(new ChainChange(I1, 15), new ChainChange(E1, 40)));
  }

  @Test
  void leftIsAsFoundWhereNothingWasTouched() {
    LashRecord r =
        record(
            round(10, gap(I1, Phase.FOUND, 0.018, 2), same(I1), gap(E1, Phase.FOUND, 0.02, 1)),
            round(20, gap(I1, Phase.FOUND, 0.019, 1), gap(I1, Phase.LEFT, 0.018, 2)));
    assertThat(r.history().all())
        .extracting(Visit::position, Visit::order, Visit::foundIn, Visit::leftIn)
        .containsExactly(
            tuple(E1, 10L, 0.02, null), tuple(I1, 10L, 0.018, 0.018), tuple(I1, 20L, 0.019, 0.018));
    assertThat(r.history().before(20).all()).extracting(Visit::order).containsExactly(10L, 10L);
  }

  @Test
  void preloadIsKeptInTurns() {
    LashRecord r =
        record(
            round(10, turns(I1, Phase.FOUND, 0.5), same(I1)),
            round(20, turns(I1, Phase.FOUND, 0.4), turns(I1, Phase.LEFT, 0.5)));
    assertThat(r.preloads(DRIVE, I1, 10)).isEqualTo(new LashRecord.Preloads(of(0.5), of(0.5)));
    assertThat(r.preloads(DRIVE, I1, 20)).isEqualTo(new LashRecord.Preloads(of(0.4), of(0.5)));
    assertThat(r.preloads(DRIVE, E1, 20)).isEqualTo(new LashRecord.Preloads(NONE, NONE));
    assertThat(r.preloads(DRIVE, I1, 11)).isEqualTo(new LashRecord.Preloads(NONE, NONE));
  }

  private static OptionalDouble of(double v) {
    return OptionalDouble.of(v);
  }

  @Test
  void thePartThatWasLeftInIsTheOneBeforeTheNextRound() {
    LashRecord r =
        record(
            round(20, part(I1, Phase.FOUND, 3.0)),
            round(10, part(I1, Phase.LEFT, 2.9), part(I1, Phase.FOUND, 2.8)),
            round(25, part(E1, Phase.FOUND, 9), gap(I1, Phase.FOUND, 0.018, 1)));
    assertThat(r.partBefore(I1, 10)).isEmpty();
    assertThat(r.partBefore(I1, 20)).hasValue(2.9);
    assertThat(r.partBefore(I1, 30)).hasValue(3.0);
  }

  @Test
  void roundsAreOfGapsWithTheValvesRenewedSinceTheOneBefore() {
    LashRecord r =
        record(
            round(10, gap(I1, Phase.FOUND, 0.018, 2), gap(E1, Phase.FOUND, 0.02, 1)),
            round(12, turns(I1, Phase.FOUND, 0.5)),
            round(20, gap(I1, Phase.FOUND, 0.019, 1), gap(I1, Phase.LEFT, 0.018, 2)));
    List<LashRound> rounds = LashRounds.of(r);
    assertThat(rounds)
        .extracting(LashRound::name, LashRound::order, l -> l.renewed().toString())
        .containsExactly(
            tuple("r10", 10L, "[]"), tuple("r20", 20L, "[1I]"), tuple("", 21L, "[1E]"));
    assertThat(rounds.get(0).reads())
        .as("in the order they were read")
        .extracting(LashRound.Read::position)
        .containsExactly(E1, I1);
    LashRound.Read read = rounds.get(1).reads().get(0);
    assertThat(read.found().middleThou()).isCloseTo(19, within(1e-9));
    assertThat(read.left().middleThou()).isCloseTo(18, within(1e-9));
    assertThat(rounds.get(0).reads().get(0).left()).isNull();
  }

  @Test
  void aPartChangedAtTheMomentOfARoundCountsForThatRound() {
    LashRecord at =
        new LashRecord(
            List.of(
                round(10, gap(I1, Phase.FOUND, 0.018, 1)),
                round(15, gap(I1, Phase.FOUND, 0.018, 1))),
            List.of(new ChainChange(I1, 15), new ChainChange(E1, 10)));
    assertThat(LashRounds.of(at))
        .extracting(l -> l.renewed().toString())
        .containsExactly("[1E]", "[1I]");
    assertThat(LashRounds.of(record())).as("nothing was read yet").isEmpty();
  }
}
