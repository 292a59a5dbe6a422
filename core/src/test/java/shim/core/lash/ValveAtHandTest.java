package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.Rocker;
import shim.core.lash.ValveAtHand.Read;
import shim.core.lash.ValveAtHand.Status;
import shim.core.lash.WrittenRound.Entry;
import shim.core.lash.WrittenRound.Phase;

/** One valve of a round: how far it is, and what is to be done by its latest reading. */
class ValveAtHandTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();
  private static final Position I1 = Position.parse("1I");
  private static final Engine SCREWS = Engines.engine(Engines.sheet("inline-4"));

  private static Engine engine(Lifter lifter, Rocker rocker, Adjuster adjuster) {
    DriveSheet d = Engines.drive();
    return Engines.engine(
        Engines.with(
            Engines.sheet("inline-4"),
            new DriveSheet(
                lifter,
                rocker,
                d.ratioIntake(),
                d.ratioExhaust(),
                adjuster,
                adjuster.turned() ? d.thread() : null,
                lifter.hydraulic() ? 0.16 : null,
                lifter.hydraulic() ? 0.5 : null,
                null,
                null,
                null,
                false,
                false,
                null,
                false,
                null)));
  }

  private static Read gap(double in) {
    return new Read(OptionalDouble.of(in), NONE, NONE, NONE, false);
  }

  private static ValveAtHand at(Engine engine, @Nullable Read found, @Nullable Read left) {
    return at(engine, new LashRecord(List.of(), List.of()), found, left, false);
  }

  static ValveAtHand at(
      Engine engine,
      LashRecord record,
      @Nullable Read found,
      @Nullable Read left,
      boolean skipped) {
    Growth growth = Growth.of(record.history(), engine.layout().positions());
    return ValveAtHand.of(
        new ValveAtHand.Round(engine, HeatState.HOT, 100, 12, growth, record, record.history()),
        I1,
        found,
        left,
        skipped);
  }

  @Test
  void itIsAsFarAsItsReadings() {
    LashRecord none = new LashRecord(List.of(), List.of());
    assertThat(at(SCREWS, none, null, null, false).status()).isEqualTo(Status.OPEN);
    assertThat(at(SCREWS, none, gap(0.02), null, false).status()).isEqualTo(Status.FOUND);
    assertThat(at(SCREWS, none, gap(0.02), null, true).status()).isEqualTo(Status.SKIPPED);
    assertThat(at(SCREWS, none, gap(0.02), gap(0.02), true).status()).isEqualTo(Status.DONE);
  }

  @Test
  void foundAndLeftAreJudgedEachAndTheLatestSaysWhatToDo() {
    double target = at(SCREWS, null, null).target().orElseThrow().targetIn();
    ValveAtHand found = at(SCREWS, gap(target + 0.006), null);
    assertThat(found.foundVerdict()).hasValue(LashVerdict.WIDE);
    assertThat(found.leftVerdict()).isEmpty();
    assertThat(found.turn().orElseThrow().direction()).isEqualTo(Turn.Direction.TIGHTEN);
    ValveAtHand left = at(SCREWS, gap(target + 0.006), gap(target));
    assertThat(left.leftVerdict()).hasValue(LashVerdict.IN);
    assertThat(left.turn().orElseThrow().direction()).isEqualTo(Turn.Direction.LEAVE);
    assertThat(left.preload()).isEmpty();
    assertThat(left.part()).isEmpty();
    assertThat(left.partNowIn()).isEmpty();
  }

  @Test
  void aStrangeFigureIsAskedAboutOnceUntilItIsExplained() {
    double target = at(SCREWS, null, null).target().orElseThrow().targetIn();
    assertThat(at(SCREWS, gap(10 * target), null).ask()).isPresent();
    assertThat(at(SCREWS, gap(10 * target), gap(target)).ask()).as("the latest counts").isEmpty();
    assertThat(at(SCREWS, gap(target), gap(10 * target)).ask()).isPresent();
    Read said = new Read(OptionalDouble.of(10 * target), NONE, NONE, NONE, true);
    assertThat(at(SCREWS, said, null).ask()).isEmpty();
    assertThat(at(SCREWS, said, gap(10 * target)).ask()).as("said of the other one").isPresent();
  }

  @Test
  void driftIsAgainstHowItWasLeftLastTime() {
    LashRecord record = before(read(I1, 0.018).toArray(Entry[]::new));
    ValveAtHand v = at(SCREWS, record, gap(0.021), null, false);
    assertThat(v.last().orElseThrow().leftIn()).isEqualTo(0.018);
    ValveHistory.Drift.Known drift = (ValveHistory.Drift.Known) v.drift().orElseThrow();
    assertThat(drift.driftIn()).isCloseTo(0.003, within(1e-12));
    assertThat(drift.hours()).isEqualTo(2.5);
    assertThat(at(SCREWS, record, null, null, false).drift()).isEmpty();
    assertThat(at(SCREWS, gap(0.021), null).drift().orElseThrow())
        .isInstanceOf(ValveHistory.Drift.None.class);
  }

  @Test
  void aHydraulicLifterHasPreloadAndNoTarget() {
    Engine hydraulic = engine(Lifter.ROLLER_HYDRAULIC, Rocker.STUD, Adjuster.FULCRUM_NUT);
    Read half = new Read(NONE, OptionalDouble.of(0.5), NONE, NONE, false);
    ValveAtHand v = at(hydraulic, half, null);
    assertThat(v.target()).isEmpty();
    assertThat(v.turn()).isEmpty();
    assertThat(v.foundVerdict()).hasValue(LashVerdict.IN);
    assertThat(v.preload()).isPresent();
    assertThat(at(hydraulic, null, null).preload()).isEmpty();
    assertThat(at(SCREWS, half, null).preload()).as("a solid lifter has none").isEmpty();
  }

  @Test
  void aBucketIsShimmedFromThePartThatIsIn() {
    Engine buckets = engine(Lifter.BUCKET, Rocker.NONE, Adjuster.BUCKET_SHIM);
    Read found = new Read(OptionalDouble.of(0.010), NONE, NONE, OptionalDouble.of(0.110), false);
    ValveAtHand v = at(buckets, found, null);
    assertThat(v.turn()).isEmpty();
    assertThat(v.partNowIn()).hasValue(0.110);
    assertThat(v.part()).isPresent();
    LashRecord record =
        before(
            new Entry(
                I1, Phase.FOUND, Optional.empty(), NONE, NONE, true, OptionalDouble.of(0.112), 1));
    assertThat(at(buckets, record, gap(0.010), null, false).partNowIn()).hasValue(0.112);
    assertThat(at(buckets, record, found, null, false).partNowIn())
        .as("what was written down now counts")
        .hasValue(0.110);
    assertThat(at(buckets, gap(0.010), null).part()).as("nobody knows what is in").isEmpty();
  }

  @Test
  void whereNobodyWroteAPartDownTheSheetsIsIn() {
    DriveSheet d = Engines.drive();
    Engine pushrods =
        Engines.engine(
            Engines.with(
                Engines.sheet("inline-4"),
                new DriveSheet(
                    Lifter.ROLLER_SOLID,
                    Rocker.PEDESTAL,
                    d.ratioIntake(),
                    d.ratioExhaust(),
                    Adjuster.PUSHROD_LENGTH,
                    null,
                    null,
                    null,
                    "7.800 7.850",
                    7.8,
                    7.9,
                    false,
                    false,
                    null,
                    false,
                    null)));
    assertThat(at(pushrods, gap(0.018), null).partNowIn()).hasValue(7.8);
  }

  /** Set cold, what the engine grows hot comes off the preload. */
  @Test
  void preloadSetColdTakesTheEnginesGrowthOff() {
    Engine table = engine(Lifter.ROLLER_HYDRAULIC, Rocker.STUD, Adjuster.FULCRUM_NUT);
    Engine.Rules r = table.rules();
    Engine hydraulic =
        new Engine(
            table.name(),
            table.layout(),
            table.drive(),
            table.cam(),
            table.lash(),
            new Engine.Rules(
                HotColdSchool.OWN_GROWTH,
                0,
                r.block(),
                r.heads(),
                r.toleranceIn(),
                r.feelerStepIn(),
                r.rampMarginDeg(),
                List.of(),
                r.staticTimingDeg(),
                r.inTolerance()));
    LashRecord record =
        new LashRecord(
            List.of(all(10, HeatState.COLD, 0.012), all(20, HeatState.HOT, 0.018)), List.of());
    Read half = new Read(NONE, OptionalDouble.of(0.5), NONE, NONE, false);
    Preload cold = preload(hydraulic, record, HeatState.COLD, half);
    Preload hot = preload(hydraulic, record, HeatState.HOT, half);
    assertThat(cold.travelIn()).isEqualTo(hot.travelIn());
    assertThat(hot.hotTravelIn()).isEqualTo(hot.travelIn());
    assertThat(cold.hotTravelIn())
        .isCloseTo(cold.travelIn() - 0.006 / hydraulic.drive().ratioIntake(), within(1e-9));
  }

  private static WrittenRound all(long order, HeatState state, double in) {
    List<Entry> entries = SCREWS.layout().positions().stream().flatMap(p -> read(p, in)).toList();
    return new WrittenRound("r" + order, order, 1, state, "KV", entries);
  }

  /** One round at 9.5 h before the one at hand. */
  private static LashRecord before(Entry... entries) {
    return new LashRecord(
        List.of(new WrittenRound("before", 10, 9.5, HeatState.HOT, "KV", List.of(entries))),
        List.of());
  }

  private static Stream<Entry> read(Position p, double in) {
    Optional<Reading> figure = Optional.of(new Reading.Figure(in, 0.001));
    return Stream.of(
        new Entry(p, Phase.FOUND, figure, NONE, NONE, false, NONE, 1),
        new Entry(p, Phase.LEFT, Optional.empty(), NONE, NONE, true, NONE, 2));
  }

  private static Preload preload(Engine engine, LashRecord record, HeatState state, Read found) {
    Growth growth = Growth.of(record.history(), engine.layout().positions());
    ValveAtHand.Round round =
        new ValveAtHand.Round(engine, state, 100, 12, growth, record, record.history());
    return ValveAtHand.of(round, I1, found, null, false).preload().orElseThrow();
  }
}
