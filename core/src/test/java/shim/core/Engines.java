package shim.core;

import java.util.List;
import shim.core.engine.Adjuster;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.BottomEnd;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.EngineSheet.DurationPoint;
import shim.core.engine.EngineSheet.LiftAt;
import shim.core.engine.EngineSheet.RulesSheet;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Layout;
import shim.core.engine.Lifter;
import shim.core.engine.Material;
import shim.core.engine.Presets;
import shim.core.engine.Rocker;
import shim.core.engine.SheetCheck;
import shim.core.engine.ValveKind;

/** Engines for tests, each a complete sheet to be changed where a test wants it otherwise. */
public final class Engines {
  private Engines() {}

  public static EngineSheet.LayoutSheet layoutSheet(String preset) {
    return Presets.all().stream()
        .filter(p -> p.id().equals(preset))
        .findFirst()
        .orElseThrow()
        .layout();
  }

  public static EngineSheet sheet(String preset) {
    return new EngineSheet(
        "test engine",
        layoutSheet(preset),
        drive(),
        bottomEnd(Material.IRON),
        cam(),
        rules(),
        null);
  }

  public static DriveSheet drive() {
    return drive(Lifter.ROLLER_SOLID);
  }

  public static DriveSheet drive(Lifter lifter) {
    return new DriveSheet(
        lifter,
        Rocker.SHAFT,
        1.6,
        1.5,
        Adjuster.SCREW_PUSHROD_END,
        "7/16-20",
        null,
        null,
        null,
        null,
        null,
        false,
        false,
        null,
        false,
        null);
  }

  public static BottomEnd bottomEnd(Material heads) {
    return new BottomEnd(4.0, 3.48, 5.7, Material.IRON, heads, 34.0);
  }

  public static CamSheet cam() {
    return new CamSheet(
        "test card",
        LiftAt.LOBE,
        0.4,
        0.4,
        List.of(new DurationPoint(0.006, 290.0), new DurationPoint(0.05, 250.0)),
        List.of(new DurationPoint(0.006, 290.0), new DurationPoint(0.05, 250.0)),
        110.0,
        106.0,
        null,
        0.018,
        0.020,
        0.014,
        0.016,
        HeatState.HOT,
        null,
        null);
  }

  public static RulesSheet rules() {
    return new RulesSheet(HotColdSchool.TABLE, null, null, null, null, null, null, null);
  }

  public static EngineSheet with(EngineSheet s, DriveSheet drive) {
    return new EngineSheet(s.name(), s.layout(), drive, s.bottomEnd(), s.cam(), s.rules(), s.use());
  }

  public static EngineSheet with(EngineSheet s, CamSheet cam) {
    return s.withCam(cam);
  }

  public static EngineSheet with(EngineSheet s, EngineSheet.LayoutSheet layout) {
    return new EngineSheet(s.name(), layout, s.drive(), s.bottomEnd(), s.cam(), s.rules(), s.use());
  }

  public static EngineSheet with(EngineSheet s, RulesSheet rules) {
    return new EngineSheet(s.name(), s.layout(), s.drive(), s.bottomEnd(), s.cam(), rules, s.use());
  }

  public static Engine engine(EngineSheet sheet) {
    SheetCheck.Checked checked = SheetCheck.check(sheet);
    return checked.engine().orElseThrow(() -> new AssertionError("refused: " + checked.problems()));
  }

  public static Layout layout(String preset) {
    return engine(sheet(preset)).layout();
  }

  /** A cam of one duration at 0.006 for both lobes. */
  public static CamCard camCard(double durationDeg, double iclDeg, double eclDeg) {
    return new CamCard(
        new CamCard.Lobe(
            ValveKind.INTAKE, 0.4, List.of(new CamCard.Duration(0.006, durationDeg)), iclDeg),
        new CamCard.Lobe(
            ValveKind.EXHAUST, 0.4, List.of(new CamCard.Duration(0.006, durationDeg)), eclDeg));
  }
}
