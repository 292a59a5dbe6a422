package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.Engines;
import shim.core.engine.Adjuster;
import shim.core.engine.AdjusterThread;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Material;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;
import shim.core.unit.Said;

class LashTest {
  private static final Growth UNKNOWN = new Growth(Map.of());
  private static final double TIGHT = 1e-9;

  private static LashTarget target(double targetIn, Double floorIn) {
    return new LashTarget(
        ValveKind.INTAKE, HeatState.HOT, targetIn, floorIn, 0.002, Said.kept("test"), null);
  }

  /** Common practice, no source. */
  @ParameterizedTest
  @CsvSource({"IRON, IRON, 0.002", "IRON, ALUMINIUM, -0.006", "ALUMINIUM, ALUMINIUM, -0.012"})
  void coldMinusHotByMaterial(Material block, Material heads, double expected) {
    assertThat(LashTarget.tableColdMinusHotIn(block, heads)).isEqualTo(expected);
  }

  @Test
  void targetAndFloorMoveTogetherAndBack() {
    Engine engine = Engines.engine(Engines.sheet("v8-odd-even"));
    Growth own =
        new Growth(Map.of(ValveKind.INTAKE, Robust.Mean.of(List.of(-0.005, -0.006, -0.0055))));
    for (HotColdSchool school : HotColdSchool.values()) {
      Engine.Rules r = engine.rules();
      Engine.Rules rules =
          new Engine.Rules(
              school,
              -0.002,
              Material.IRON,
              Material.ALUMINIUM,
              r.toleranceIn(),
              r.feelerStepIn(),
              r.rampMarginDeg(),
              List.of(),
              r.staticTimingDeg(),
              r.inTolerance());
      Engine hot =
          new Engine("hot", engine.layout(), engine.drive(), engine.cam(), engine.lash(), rules);
      LashTarget cold =
          LashTarget.of(hot, ValveKind.INTAKE, HeatState.COLD, own).wanted().orElseThrow();
      assertThat(cold.targetIn() - cold.floorIn())
          .isCloseTo(engine.lash().intakeIn() - engine.lash().floorIntakeIn(), within(TIGHT));
      Engine.LashSpec asCold =
          new Engine.LashSpec(cold.targetIn(), 0.02, cold.floorIn(), null, HeatState.COLD);
      Engine back =
          new Engine("cold", engine.layout(), engine.drive(), engine.cam(), asCold, rules);
      LashTarget hotAgain =
          LashTarget.of(back, ValveKind.INTAKE, HeatState.HOT, own).wanted().orElseThrow();
      assertThat(hotAgain.targetIn()).isCloseTo(engine.lash().intakeIn(), within(TIGHT));
      assertThat(hotAgain.floorIn()).isCloseTo(engine.lash().floorIntakeIn(), within(TIGHT));
    }
  }

  private static Engine.Rules rules(
      HotColdSchool school, double fixedIn, Material block, Material heads) {
    return new Engine.Rules(
        school,
        fixedIn,
        block,
        heads,
        0.002,
        0.001,
        java.util.Optional.empty(),
        List.of(),
        java.util.Optional.empty(),
        shim.core.engine.EngineSheet.InTolerance.ASK);
  }

  @Test
  void theTableServesUntilTheEngineHasShownItsOwnGrowth() {
    Engine.Rules rules = rules(HotColdSchool.OWN_GROWTH, 0, Material.IRON, Material.ALUMINIUM);
    assertThat(LashTarget.conversion(rules, ValveKind.EXHAUST, UNKNOWN).coldMinusHotIn())
        .isEqualTo(-0.006);
    Growth own = new Growth(Map.of(ValveKind.EXHAUST, Robust.Mean.of(List.of(-0.0045, -0.0055))));
    LashTarget.Conversion c = LashTarget.conversion(rules, ValveKind.EXHAUST, own);
    assertThat(c.coldMinusHotIn()).isCloseTo(-0.005, within(TIGHT));
    Said said = c.said(HeatState.HOT, 0.018, -0.005);
    assertThat(said.code()).isEqualTo("TARGET.OWN_GROWTH");
    assertThat(said.name()).isEqualTo("HOT");
    assertThat(said.figure("cardIn")).isEqualTo(0.018);
    assertThat(said.figure("shiftThou")).isEqualTo(-5);
    assertThat(said.figure("pairs")).isEqualTo(2);
    assertThat(said.figure("sdThou")).isCloseTo(0.7071, within(1e-4));
  }

  @ParameterizedTest
  @CsvSource({
    "OWN_GROWTH, IRON, IRON, TABLE_IRON_HEADS, 1",
    "TABLE, ALUMINIUM, IRON, TABLE_IRON_HEADS, 0",
    "TABLE, IRON, ALUMINIUM, TABLE_ALUMINIUM_HEADS, 0",
    "TABLE, ALUMINIUM, ALUMINIUM, TABLE_ALL_ALUMINIUM, 0",
    "FIXED, IRON, IRON, FIXED,"
  })
  void aTargetSaysWhereItComesFrom(
      HotColdSchool school, Material block, Material heads, LashTarget.From from, Double waits) {
    Engine.Rules rules = rules(school, 0.003, block, heads);
    LashTarget.Conversion c = LashTarget.conversion(rules, ValveKind.INTAKE, UNKNOWN);
    assertThat(c.from()).isEqualTo(from);
    assertThat(c.said(HeatState.COLD, 0.018, 0.003).figures().get("waits")).isEqualTo(waits);
  }

  @ParameterizedTest
  @CsvSource({
    "0.0180, 0.0020, 0.0200, 0.0160",
    "0.0240, 0.0010, 0.0250, 0.0230",
    "0.0120, 0.0015, 0.0135, 0.0105",
    "0.0260, 0.0030, 0.0290, 0.0230"
  })
  void exactlyAtALimitIsIn(double target, double tolerance, double most, double least) {
    EntryGauge gauge =
        EntryGauge.of(
            new LashTarget(
                ValveKind.INTAKE, HeatState.HOT, target, null, tolerance, Said.kept("test"), null));
    assertThat(gauge.judge(most)).isEqualTo(LashVerdict.IN);
    assertThat(gauge.judge(least)).isEqualTo(LashVerdict.IN);
    assertThat(gauge.judge(most + 0.0000001)).isEqualTo(LashVerdict.WIDE);
    assertThat(gauge.judge(least - 0.0000001)).isEqualTo(LashVerdict.TIGHT);
  }

  @Test
  void whatAScreenTakesWithoutAQuestionIsWhatShimTakesWithoutOne() {
    for (double target = 0.002; target < 0.04; target += 0.0005) {
      EntryGauge gauge = EntryGauge.of(target(target, 0.001));
      for (double lash = 0; lash < 1; lash += 0.00025) {
        double tried = EntryGauge.decimal(lash);
        assertThat(tried >= gauge.plainFromIn() && tried <= gauge.plainToIn())
            .as("%s against %s", tried, target)
            .isEqualTo(Plausible.askLash(tried, target).isEmpty());
      }
    }
  }

  @ParameterizedTest
  @CsvSource({"0.018, IN", "0.020, IN", "0.0201, WIDE", "0.0159, TIGHT", "0.0139, BELOW_FLOOR"})
  void verdicts(double lashIn, LashVerdict expected) {
    assertThat(target(0.018, 0.014).judge(lashIn)).isEqualTo(expected);
  }

  @ParameterizedTest
  @EnumSource(
      value = Adjuster.class,
      names = {"SCREW_VALVE_END", "SCREW_PUSHROD_END", "FULCRUM_NUT"})
  void tighteningAlwaysClosesLashAndTheRoundedTurnLandsNear(Adjuster adjuster) {
    AdjusterThread thread = AdjusterThread.parse("3/8-24").orElseThrow();
    double perTurn = Turn.lashPerTurnIn(adjuster, thread, 1.5);
    for (int found = 0; found <= 60; found++) {
      Turn turn = Turn.of(found / 1000.0, 0.018, perTurn);
      if (turn.direction() == Turn.Direction.TIGHTEN) {
        assertThat(turn.leavesIn()).isLessThan(found / 1000.0);
      }
      if (turn.direction() == Turn.Direction.LOOSEN) {
        assertThat(turn.leavesIn()).isGreaterThan(found / 1000.0);
      }
      assertThat(Math.abs(turn.leavesIn() - 0.018))
          .isLessThanOrEqualTo(turn.perFiveDegreesIn() / 2 + TIGHT);
      assertThat(turn.degrees() % 5).isZero();
    }
  }

  @Test
  void aTurnIsSaidAsAPersonTurnsAWrench() {
    Turn turn = Turn.of(0.030, 0.017, 0.1042);
    assertThat(turn.degrees()).isEqualTo(45);
    assertThat(turn.direction()).isEqualTo(Turn.Direction.TIGHTEN);
    assertThat(turn.fraction()).isEqualTo("1/8");
    assertThat(Turn.of(0.018, 0.0182, 0.1042).direction()).isEqualTo(Turn.Direction.LEAVE);
    Turn loosen = Turn.of(0.010, 0.020, 0.08);
    assertThat(loosen.direction()).isEqualTo(Turn.Direction.LOOSEN);
    assertThat(loosen.degrees()).isEqualTo(45);
    assertThat(loosen.fraction()).isEqualTo("1/8");
    // 1/16 turn on a 3/8-24 stud at 1.5 is 0.0065: too coarse to aim with.
    assertThat(0.1042 / 16).isCloseTo(0.0065, within(5e-5));
  }

  @Test
  void aPushrodForAFixedRocker() {
    PartChoice c =
        PartChoice.of(
            Adjuster.PUSHROD_LENGTH,
            1.5,
            0.033,
            target(0.018, null),
            7.800,
            List.of(7.775, 7.800, 7.810, 7.825));
    assertThat(c.wantedSizeIn()).isCloseTo(7.810, within(TIGHT));
    assertThat(c.options().get(0).sizeIn()).isEqualTo(7.810);
    assertThat(c.options().get(0).lashIn()).isCloseTo(0.018, within(TIGHT));
    assertThat(c.oneOff()).isFalse();
    PartChoice none =
        PartChoice.of(
            Adjuster.PUSHROD_LENGTH, 1.5, 0.033, target(0.018, null), 7.800, List.of(7.8, 7.85));
    assertThat(none.oneOff()).isTrue();
    assertThat(none.right()).isFalse();
    assertThat(none.wantedSizeIn()).isCloseTo(7.81, within(1e-9));
  }

  @Test
  void aThickerPedestalShimOpensAndAThickerBucketShimCloses() {
    PartChoice pedestal =
        PartChoice.of(
            Adjuster.PEDESTAL_SHIM, 1.5, 0.008, target(0.018, null), 0.060, List.of(0.060, 0.064));
    assertThat(pedestal.wantedSizeIn()).isCloseTo(0.064, within(TIGHT));
    PartChoice bucket =
        PartChoice.of(
            Adjuster.BUCKET_SHIM, 1, 0.012, target(0.010, null), 0.100, List.of(0.100, 0.102));
    assertThat(bucket.wantedSizeIn()).isCloseTo(0.102, within(TIGHT));
  }

  @Test
  void shimsAreSwappedInsideTheEngineFirst() {
    LashTarget t = target(0.010, null);
    ShimSwaps swaps =
        ShimSwaps.of(
            List.of(
                new ShimSwaps.Measured(Position.parse("1I"), 0.100, 0.014, t),
                new ShimSwaps.Measured(Position.parse("2I"), 0.104, 0.006, t),
                new ShimSwaps.Measured(Position.parse("3I"), 0.102, 0.010, t),
                new ShimSwaps.Measured(Position.parse("4I"), 0.102, 0.030, t)));
    assertThat(swaps.moves())
        .extracting(m -> m.from() + ">" + m.to())
        .containsExactlyInAnyOrder("2I>1I", "1I>2I");
    assertThat(swaps.wanted()).hasSize(1);
    assertThat(swaps.wanted().get(0).shimIn()).isCloseTo(0.122, within(TIGHT));
  }

  @Test
  void readingsAreIntervals() {
    Reading pair = new Reading.GoNoGo(0.018, 0.019);
    assertThat(pair.valueIn()).isCloseTo(0.0185, within(TIGHT));
    Reading snug = new Reading.Leaf(0.018, Reading.Feel.SNUG, 0.001);
    assertThat(snug.lowIn()).isCloseTo(0.0175, within(TIGHT));
    assertThat(snug.highIn()).isCloseTo(0.0185, within(TIGHT));
    assertThat(new Reading.Leaf(0.018, Reading.Feel.RIGHT, 0.001).highIn())
        .isCloseTo(0.019, within(TIGHT));
    assertThatThrownBy(() -> new Reading.Leaf(0.018, Reading.Feel.LOOSE, 0.001))
        .hasMessageContaining("try the next leaf, 0.0190");
    assertThatThrownBy(() -> new Reading.GoNoGo(0.019, 0.018)).hasMessageContaining("thicker");
  }

  @ParameterizedTest
  @ValueSource(
      doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, -0.001, 1.8})
  void whatIsNoGap(double value) {
    assertThatThrownBy(() -> new Reading.Figure(value, 0.001)).isInstanceOf(LashException.class);
  }

  @Test
  void slipsAreAskedAbout() {
    assertThat(Plausible.askLash(0.18, 0.018))
        .contains(Said.of(Plausible.Code.TEN_TIMES, 0.18, 0.018, 0.018));
    assertThat(Plausible.askLash(0.508, 0.018))
        .contains(Said.of(Plausible.Code.MILLIMETRE, 0.508, 0.018, 0.02));
    assertThat(Plausible.askLash(0, 0.018)).contains(Said.of(Plausible.Code.NO_LASH));
    assertThat(Plausible.askLash(0.002, 0.018))
        .contains(Said.of(Plausible.Code.TENTH, 0.002, 0.018));
    assertThat(Plausible.askLash(0.060, 0.018))
        .contains(Said.of(Plausible.Code.FAR_OVER, 0.060, 0.018));
    assertThat(Plausible.askLash(0.019, 0.018)).isEmpty();
    assertThat(Plausible.askLash(0.030, 0.018)).isEmpty();
  }

  /** Worked values of common practice, no source: a solid card of 0.020 with 0.014 lash at 1.5. */
  @Test
  void theDurationWhereTheValveReallyMovesIsARangeBelowTheCard() {
    CamCard.Lobe lobe =
        new CamCard.Lobe(
            ValveKind.INTAKE,
            0.4,
            List.of(new CamCard.Duration(0.02, 277), new CamCard.Duration(0.05, 244)),
            106);
    MovingDuration below = MovingDuration.of(lobe, 0.014, 1.5);
    assertThat(below.tappetLiftIn()).isCloseTo(0.0093, within(5e-5));
    assertThat(below.lowDeg()).isEqualTo(277);
    assertThat(below.highDeg()).isCloseTo(277 + 11 * (20 - 9.3333) / 10, within(0.01));
    MovingDuration inside = MovingDuration.of(lobe, 0.060, 1.5);
    assertThat(inside.lowDeg()).isEqualTo(inside.highDeg()).isBetween(244.0, 277.0);
    assertThat(MovingDuration.of(lobe, 0.010, 1.5).highDeg()).isGreaterThan(below.highDeg());
  }
}
