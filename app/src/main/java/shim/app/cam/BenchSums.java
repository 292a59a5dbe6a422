package shim.app.cam;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.app.cam.CamSheets.BenchSheet;
import shim.app.cam.CamSheets.KindBench;
import shim.app.cam.CamSheets.OtherCamSheet;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.core.cam.CamDrive;
import shim.core.cam.CamMeasure;
import shim.core.cam.PistonToValve;
import shim.core.cam.TrainMass;
import shim.core.crank.CrankSlide;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.CamBench;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/** What is written for the bench, in core's values. */
final class BenchSums {
  private static final KindBench BLANK =
      new KindBench(null, null, null, null, null, null, null, null, null, null, null, null, null);

  private BenchSums() {}

  static boolean inDegrees(CamMeasure what) {
    return !what.ofValve();
  }

  static Position valve(String written, Engine engine) {
    Position valve;
    try {
      valve = Position.parse(written.strip());
    } catch (IllegalArgumentException e) {
      throw Refusal.invalid("valve", "\"" + written + "\" is no valve: write it like 1I or 3E");
    }
    if (!engine.layout().positions().contains(valve)) {
      throw Refusal.invalid("valve", "this engine has no valve " + written);
    }
    return valve;
  }

  /** A figure that is moved live; NaN never is within. */
  static double within(String field, double value, double most) {
    if (!(Math.abs(value) <= most)) {
      throw Refusal.invalid(field, value + " is too far: " + most + " each way is possible");
    }
    return value;
  }

  static CamDrive drive(BenchSheet bench) {
    if (bench.driveOffers() == null || bench.driveOffers().isEmpty()) {
      return CamDrive.keyways();
    }
    try {
      return new CamDrive(
          bench.driveOffers(),
          Objects.requireNonNullElse(bench.driveMarked(), CamDrive.Marked.CRANK));
    } catch (IllegalArgumentException e) {
      throw Refusal.invalid("bench.driveOffers", String.valueOf(e.getMessage()));
    }
  }

  static KindBench kind(BenchSheet bench, ValveKind kind) {
    return Objects.requireNonNullElse(
        kind == ValveKind.INTAKE ? bench.intake() : bench.exhaust(), BLANK);
  }

  /** All of it weighed; empty where the valve, the arm or another part is missing. */
  static Optional<TrainMass> train(KindBench k) {
    List<@Nullable Double> all =
        Arrays.asList(
            k.valveG(),
            k.retainerG(),
            k.locksG(),
            k.springG(),
            k.armIn(),
            k.pushrodG(),
            k.lifterG());
    if (all.stream().anyMatch(Objects::isNull)) {
      return Optional.empty();
    }
    return Optional.of(
        new TrainMass(
            or0(k.valveG()),
            or0(k.retainerG()),
            or0(k.locksG()),
            or0(k.springG()),
            or0(k.rockerGIn2()),
            or0(k.armIn()),
            or0(k.pushrodG()),
            or0(k.lifterG())));
  }

  private static double or0(@Nullable Double value) {
    return value == null ? 0 : value;
  }

  static Optional<CrankSlide> slide(EngineSheet sheet) {
    EngineSheet.BottomEnd b = sheet.bottomEnd();
    return b == null || b.boreIn() == null || b.strokeIn() == null || b.rodIn() == null
        ? Optional.empty()
        : Optional.of(new CrankSlide(b.boreIn(), b.strokeIn(), b.rodIn()));
  }

  static double wantedGapIn(KindBench k, ValveKind kind) {
    return k.wantedGapIn() == null ? PistonToValve.usualIn(kind) : k.wantedGapIn();
  }

  static OptionalDouble boostPsi(EngineSheet sheet) {
    return sheet.use() == null || sheet.use().boostPsi() == null
        ? OptionalDouble.empty()
        : OptionalDouble.of(sheet.use().boostPsi());
  }

  /** This engine by the card alone, nothing measured and no lash of the team's. */
  static Engines.Stored byCard(Engines.Stored stored) {
    return benched(stored, null);
  }

  /** This engine with the card's lash, its measured lobes kept. */
  static Engines.Stored cardsLash(Engines.Stored stored) {
    CamBench b = CamBook.benchOf(stored.sheet());
    return benched(stored, new CamBench(b.intake(), b.exhaust(), null, null));
  }

  private static Engines.Stored benched(Engines.Stored stored, @Nullable CamBench bench) {
    CamSheet cam = stored.sheet().cam();
    return cam == null ? stored : stored.with(stored.sheet().withCam(cam.withBench(bench)));
  }

  /** The same card, whatever the bench found of it since. */
  static boolean sameCam(EngineSheet a, EngineSheet b) {
    CamSheet one = a.cam();
    CamSheet other = b.cam();
    return one == null || other == null
        ? one == other
        : one.withBench(null).equals(other.withBench(null));
  }

  /** This engine with another cam in; refused in words where its card is none. */
  static Engines.Stored withCam(Engines.Stored stored, OtherCamSheet other) {
    EngineSheet sheet = stored.sheet();
    EngineSheet with = sheet.withCam(other.cam());
    EngineSheet.DriveSheet d = sheet.drive();
    boolean own = d == null || d.lifter() == null || d.lifter().hydraulic() == other.hydraulic();
    EngineSheet whole = own ? with : lifters(with, other.hydraulic());
    if (Engines.reading(whole).cam().isEmpty()) {
      throw Refusal.invalid(
          "cam.lsaDeg",
          "this card needs lifts, a duration of each lobe, LSA and intake centreline");
    }
    return stored.with(whole);
  }

  private static EngineSheet lifters(EngineSheet s, boolean hydraulic) {
    EngineSheet.DriveSheet d = Objects.requireNonNull(s.drive());
    boolean roller = d.lifter() != null && d.lifter().roller();
    Lifter lifter =
        hydraulic
            ? roller ? Lifter.ROLLER_HYDRAULIC : Lifter.FLAT_HYDRAULIC
            : roller ? Lifter.ROLLER_SOLID : Lifter.FLAT_SOLID;
    EngineSheet.DriveSheet drive =
        new EngineSheet.DriveSheet(
            lifter,
            d.rocker(),
            d.ratioIntake(),
            d.ratioExhaust(),
            d.adjuster(),
            d.thread(),
            hydraulic && d.plungerTravelIn() == null ? 0.090 : d.plungerTravelIn(),
            hydraulic && d.preloadTurns() == null ? 0.5 : d.preloadTurns(),
            d.partsIn(),
            d.partIntakeIn(),
            d.partExhaustIn(),
            d.linkBars(),
            d.fixingClampsHead(),
            d.clampNote(),
            d.intakeOverLifters(),
            d.preload());
    return new EngineSheet(s.name(), s.layout(), drive, s.bottomEnd(), s.cam(), s.rules(), s.use());
  }
}
