package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.WrittenRound.Entry;
import shim.core.lash.WrittenRound.Phase;

/** A hydraulic valve of a round: judged as found and as left, and compared with last time. */
class PreloadAtTheValveTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Position I1 = Position.parse("1I");
  private final Engine fixed =
      PreloadTest.engine(
          PreloadTest.drive(Adjuster.PUSHROD_LENGTH, null, PreloadTest.travel(0.025, 0.060)));
  private final Engine nuts =
      PreloadTest.engine(PreloadTest.drive(Adjuster.FULCRUM_NUT, 0.5, null));

  private static ValveAtHand at(
      Engine engine,
      LashRecord record,
      ValveAtHand.@Nullable Read found,
      ValveAtHand.@Nullable Read left) {
    return ValveAtHandTest.at(engine, record, found, left, false);
  }

  private static ValveAtHand.Read length(double zeroLash, OptionalDouble part) {
    return new ValveAtHand.Read(NONE, NONE, OptionalDouble.of(zeroLash), part, false);
  }

  private static ValveAtHand.Read turned(double turns) {
    return new ValveAtHand.Read(NONE, OptionalDouble.of(turns), NONE, NONE, false);
  }

  private static final LashRecord EMPTY = new LashRecord(List.of(), List.of());

  @Test
  void itIsJudgedAsFoundAndAsLeft() {
    ValveAtHand v = at(nuts, EMPTY, turned(0.25), turned(0.5));
    assertThat(v.foundVerdict()).hasValue(LashVerdict.SHALLOW);
    assertThat(v.leftVerdict()).hasValue(LashVerdict.IN);
    assertThat(v.preload().orElseThrow().preload()).as("the latest").isEqualTo(0.5);
    assertThat(v.target()).isEmpty();
    assertThat(v.noTarget()).isEmpty();
  }

  /** Measured once at zero lash; the part fitted then tells how it is left. */
  @Test
  void theFittedPartTellsHowItIsLeft() {
    ValveAtHand found = at(fixed, EMPTY, length(7.870, NONE), null);
    assertThat(found.partNowIn()).as("the sheet's").hasValue(7.875);
    assertThat(found.foundVerdict()).hasValue(LashVerdict.SHALLOW);
    ValveAtHand left =
        at(fixed, EMPTY, length(7.870, NONE), length(7.870, OptionalDouble.of(7.900)));
    assertThat(left.leftVerdict()).hasValue(LashVerdict.IN);
    assertThat(left.preload().orElseThrow().travelIn()).isCloseTo(0.030, within(1e-9));
    ValveAtHand same = at(fixed, EMPTY, length(7.870, NONE), length(7.870, NONE));
    assertThat(same.leftVerdict()).hasValue(LashVerdict.SHALLOW);
  }

  @ParameterizedTest
  @CsvSource({"7.756, false", "7.754, true", "7.954, false", "7.956, true"})
  void whatNoPlungerCouldHaveIsAskedAbout(double zeroLash, boolean asked) {
    assertThat(at(fixed, EMPTY, length(zeroLash, NONE), null).ask().isPresent()).isEqualTo(asked);
  }

  @Test
  void itIsComparedWithHowItWasLeftLastTime() {
    LashRecord before =
        new LashRecord(
            List.of(
                new WrittenRound(
                    "before",
                    10,
                    9.5,
                    HeatState.HOT,
                    "KV",
                    List.of(
                        entry(Phase.FOUND, NONE, OptionalDouble.of(7.860), NONE),
                        entry(Phase.LEFT, NONE, NONE, OptionalDouble.of(7.900))))),
            List.of());
    assertThat(at(fixed, before, null, null).preloadBefore().orElseThrow())
        .satisfies(b -> assertThat(b.preload()).isCloseTo(0.040, within(1e-9)))
        .returns(9.5, LashRecord.LeftBefore::engineHours);
    assertThat(at(fixed, before, null, null).partNowIn()).as("fitted then").hasValue(7.900);
    LashRecord changed =
        new LashRecord(before.rounds(), List.of(new ValveHistory.ChainChange(I1, 50)));
    assertThat(at(fixed, changed, null, null).preloadBefore()).isEmpty();
    assertThat(before.preloads(fixed.drive(), I1, 10).found().getAsDouble())
        .isCloseTo(0.015, within(1e-9));
  }

  private static Entry entry(
      Phase phase, OptionalDouble turns, OptionalDouble zeroLash, OptionalDouble part) {
    return new Entry(I1, phase, Optional.empty(), turns, zeroLash, false, part, 1);
  }

  @Test
  void aValveLeftOutsideIsFirstInItsRound() {
    PreloadTarget t = PreloadTarget.of(nuts.drive(), ValveKind.INTAKE).orElseThrow();
    RoundStory.ValveLine shallow =
        new RoundStory.ValveLine(
            I1, null, true, null, null, new RoundStory.PreloadLeft(t, 0.25), List.of());
    assertThat(RoundStory.of(List.of(shallow)).first())
        .singleElement()
        .satisfies(l -> assertThat(l.said().code()).isEqualTo("ROUND.PRELOAD_TURNS_OUT"))
        .satisfies(l -> assertThat(l.said().name()).isEqualTo("SHALLOW"))
        .satisfies(l -> assertThat(l.said().figure("from")).isEqualTo(0.375));
    RoundStory.ValveLine in =
        new RoundStory.ValveLine(
            I1, null, true, null, null, new RoundStory.PreloadLeft(t, 0.5), List.of());
    assertThat(RoundStory.of(List.of(in)).first()).isEmpty();
  }
}
