package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import shim.core.Engines;
import shim.core.engine.Adjuster;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.EngineSheet.DurationPoint;
import shim.core.engine.EngineSheet.LiftAt;
import shim.core.engine.EngineSheet.RulesSheet;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Lifter;
import shim.core.engine.Rocker;

class EngineFactsTest {
  private static final Growth UNKNOWN = new Growth(Map.of());

  private static EngineFacts facts(EngineSheet sheet) {
    return EngineFacts.of(Engines.engine(sheet), UNKNOWN);
  }

  private static CamSheet cam(LiftAt at, double lift, double lash, DurationPoint point) {
    return new CamSheet(
        "card",
        at,
        lift,
        null,
        List.of(point),
        List.of(point),
        110.0,
        106.0,
        null,
        lash,
        null,
        null,
        null,
        HeatState.HOT,
        null,
        null);
  }

  /** Worked value of the trade, no source: 0.660 gross with 0.014 lash is 0.646 net. */
  @Test
  void netLiftIsGrossLessLash() {
    EngineSheet sheet =
        Engines.with(
            Engines.sheet("inline-4"),
            cam(LiftAt.VALVE, 0.660, 0.014, new DurationPoint(0.02, 277.0)));
    EngineFacts.LobeFacts intake = facts(sheet).lobes().get(0);
    assertThat(intake.grossLiftIn()).isCloseTo(0.660, within(1e-9));
    assertThat(intake.netLiftIn()).isCloseTo(0.646, within(1e-9));
    assertThat(intake.lobeLiftIn()).isCloseTo(0.660 / 1.6, within(1e-9));
    assertThat(intake.moving().highDeg()).as("one point bounds it from one side only").isNull();
  }

  @Test
  void aCardOfOnlyFiftyThouAsksForMore() {
    EngineSheet sheet =
        Engines.with(
            Engines.sheet("inline-4"),
            cam(LiftAt.LOBE, 0.4, 0.014, new DurationPoint(0.05, 244.0)));
    assertThat(facts(sheet).notes())
        .anySatisfy(
            n -> assertThat(n).contains("only gives {0.050 in}").contains("0.020 or 0.006"));
    assertThat(facts(sheet).lobes().get(0).marginDeg()).isEqualTo(45);
  }

  @Test
  void theTeamsOwnMarginWins() {
    RulesSheet rules =
        new RulesSheet(HotColdSchool.TABLE, null, null, null, 22.0, null, null, null);
    EngineFacts facts = facts(Engines.with(Engines.sheet("inline-4"), rules));
    assertThat(facts.lobes()).allSatisfy(l -> assertThat(l.marginDeg()).isEqualTo(22));
    assertThat(facts.windows())
        .allSatisfy(w -> assertThat(w.mostSlackDeg()).isEqualTo(360 - 145 - 22));
  }

  @Test
  void ownGrowthAsARuleSaysThatItWaits() {
    RulesSheet rules =
        new RulesSheet(HotColdSchool.OWN_GROWTH, null, null, null, null, null, null, null);
    assertThat(facts(Engines.with(Engines.sheet("inline-4"), rules)).notes())
        .anySatisfy(n -> assertThat(n).contains("no hot and cold round have met yet"));
  }

  private static DriveSheet hydraulic(double preloadTurns) {
    return new DriveSheet(
        Lifter.ROLLER_HYDRAULIC,
        Rocker.STUD,
        1.5,
        1.5,
        Adjuster.FULCRUM_NUT,
        "3/8-24",
        0.080,
        preloadTurns,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null);
  }

  @Test
  void hydraulicEnginesHavePlungerTravelInsteadOfLash() {
    EngineFacts right = facts(Engines.with(Engines.sheet("v8-bank"), hydraulic(0.75)));
    assertThat(right.targets()).isEmpty();
    assertThat(right.turns().get(0).plungerPerTurnIn()).isCloseTo(0.0694, within(5e-5));
    assertThat(right.notes())
        .anySatisfy(n -> assertThat(n).contains("{0.0521 in} of its {0.0800 in}"));
    EngineFacts deep = facts(Engines.with(Engines.sheet("v8-bank"), hydraulic(1.25)));
    assertThat(deep.notes()).anySatisfy(n -> assertThat(n).contains("would bottom"));
  }

  @Test
  void exchangedPartsHaveNoTurns() {
    DriveSheet fixed =
        new DriveSheet(
            Lifter.FLAT_SOLID,
            Rocker.PEDESTAL,
            1.5,
            null,
            Adjuster.PUSHROD_LENGTH,
            null,
            null,
            null,
            "7.8 7.825",
            7.8,
            7.8,
            null,
            null,
            null,
            null,
            null);
    assertThat(facts(Engines.with(Engines.sheet("inline-6"), fixed)).turns()).isEmpty();
  }

  @Test
  void aBucketEngineNeedsNoRatioAndNoThread() {
    DriveSheet bucket =
        new DriveSheet(
            Lifter.BUCKET,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            "0.100 0.102",
            0.1,
            0.1,
            null,
            null,
            null,
            null,
            null);
    EngineFacts facts = facts(Engines.with(Engines.sheet("inline-4"), bucket));
    assertThat(facts.targets()).hasSize(4);
    assertThat(facts.lobes().get(0).grossLiftIn()).isCloseTo(0.4, within(1e-9));
  }
}
