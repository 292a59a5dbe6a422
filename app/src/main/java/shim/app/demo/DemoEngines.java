package shim.app.demo;

import java.util.List;
import shim.core.engine.Adjuster;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.BottomEnd;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.ClassRule;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.EngineSheet.DurationPoint;
import shim.core.engine.EngineSheet.Holds;
import shim.core.engine.EngineSheet.LiftAt;
import shim.core.engine.EngineSheet.PreloadSheet;
import shim.core.engine.EngineSheet.RulesSheet;
import shim.core.engine.EngineSheet.UseSheet;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Lifter;
import shim.core.engine.Material;
import shim.core.engine.PreloadSpec;
import shim.core.engine.Presets;
import shim.core.engine.Rocker;

/** The four engines of an invented hill-climb and endurance team; every figure is made up. */
final class DemoEngines {
  private DemoEngines() {}

  private static EngineSheet.LayoutSheet layout(String preset) {
    return Presets.all().stream()
        .filter(p -> p.id().equals(preset))
        .findFirst()
        .orElseThrow()
        .layout();
  }

  private static List<DurationPoint> card(double at20, double at50) {
    return List.of(new DurationPoint(0.020, at20), new DurationPoint(0.050, at50));
  }

  /** The main story: solid rollers on shaft rockers, iron block, aluminium heads. */
  static EngineSheet hillV8() {
    return new EngineSheet(
        "Hill V8",
        layout("v8-odd-even"),
        new DriveSheet(
            Lifter.ROLLER_SOLID,
            Rocker.SHAFT,
            1.6,
            1.55,
            Adjuster.SCREW_PUSHROD_END,
            "7/16-20",
            null,
            null,
            null,
            null,
            null,
            true,
            false,
            null,
            false,
            null),
        new BottomEnd(4.030, 3.480, 6.000, Material.IRON, Material.ALUMINIUM, 34.0),
        new CamSheet(
            "HV-2, hill grind",
            LiftAt.LOBE,
            0.430,
            0.425,
            card(284, 256),
            card(290, 262),
            110.0,
            106.0,
            null,
            0.018,
            0.020,
            0.013,
            0.015,
            HeatState.HOT,
            null,
            null),
        new RulesSheet(
            HotColdSchool.OWN_GROWTH, null, null, null, null, "BEST_STOPS", "0 90 180 270", null),
        new UseSheet(
            "runs",
            null,
            List.of(
                new ClassRule(
                    "lash may be checked at scrutineering", "club rules 4.2", "2026-02-01"))));
  }

  /** Solid flat tappets on stud rockers, all iron. */
  static EngineSheet paddockFour() {
    return new EngineSheet(
        "Paddock four",
        layout("inline-4"),
        new DriveSheet(
            Lifter.FLAT_SOLID,
            Rocker.STUD,
            1.5,
            1.5,
            Adjuster.FULCRUM_NUT,
            "3/8-24",
            null,
            null,
            null,
            null,
            null,
            false,
            false,
            null,
            false,
            null),
        new BottomEnd(3.500, 3.150, 5.400, Material.IRON, Material.IRON, 30.0),
        new CamSheet(
            "PF-1",
            LiftAt.LOBE,
            0.290,
            0.290,
            card(258, 226),
            card(258, 226),
            108.0,
            106.0,
            null,
            0.014,
            0.016,
            0.010,
            0.012,
            HeatState.HOT,
            null,
            null),
        new RulesSheet(
            HotColdSchool.TABLE, null, null, null, null, "FULL_LIFT_COMPANION", null, null),
        new UseSheet("runs", null, null));
  }

  /** Hydraulic rollers, numbered bank by bank. */
  static EngineSheet nightV8() {
    return new EngineSheet(
        "Night V8",
        layout("v8-bank"),
        new DriveSheet(
            Lifter.ROLLER_HYDRAULIC,
            Rocker.STUD,
            1.6,
            1.6,
            Adjuster.FULCRUM_NUT,
            "7/16-20",
            0.090,
            0.5,
            null,
            null,
            null,
            true,
            false,
            null,
            true,
            new PreloadSheet(
                null, null, null, null, PreloadSpec.Use.STANDARD, "the builder", null, null)),
        new BottomEnd(4.000, 3.250, 5.900, Material.IRON, Material.ALUMINIUM, 32.0),
        new CamSheet(
            "NV-7",
            LiftAt.VALVE,
            0.512,
            0.512,
            List.of(new DurationPoint(0.006, 276.0), new DurationPoint(0.050, 222.0)),
            List.of(new DurationPoint(0.006, 284.0), new DurationPoint(0.050, 230.0)),
            112.0,
            108.0,
            null,
            null,
            null,
            null,
            null,
            null,
            1.6,
            null),
        new RulesSheet(HotColdSchool.TABLE, null, null, null, null, "TWO_STOPS", null, null),
        new UseSheet(
            "laps",
            null,
            List.of(
                new ClassRule(
                    "hydraulic preload must be above zero",
                    "series rules 7.1",
                    "2026-03-12",
                    Holds.PRELOAD_ABOVE_ZERO))));
  }

  /** Fixed rockers: lash is set by pushrod length. */
  static EngineSheet workshopSix() {
    return new EngineSheet(
        "Workshop six",
        layout("inline-6"),
        new DriveSheet(
            Lifter.FLAT_SOLID,
            Rocker.PEDESTAL,
            1.5,
            1.5,
            Adjuster.PUSHROD_LENGTH,
            null,
            null,
            null,
            "9.775 9.780 9.785 9.790 9.795 9.800 9.805 9.810 9.825",
            9.790,
            9.785,
            false,
            true,
            "one pedestal at a time, 22 lbf·ft on the crushed gasket",
            false,
            null),
        new BottomEnd(3.380, 3.900, 6.300, Material.IRON, Material.IRON, 28.0),
        new CamSheet(
            "WS-3",
            LiftAt.LOBE,
            0.265,
            0.265,
            card(252, 218),
            card(252, 218),
            110.0,
            108.0,
            null,
            0.012,
            0.015,
            0.008,
            0.010,
            HeatState.COLD,
            null,
            null),
        new RulesSheet(HotColdSchool.TABLE, null, 0.004, null, null, "COMPRESSION_TDC", null, null),
        new UseSheet("runs", null, null));
  }
}
