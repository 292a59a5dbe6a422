package shim.app.demo;

import java.io.IOException;
import java.time.Instant;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.cam.CamBook;
import shim.app.cam.CamSheets;
import shim.app.device.Encoder;
import shim.app.engine.Engines;
import shim.core.cam.CamDrive;
import shim.core.cam.CamMeasure;
import shim.core.cam.Degreeing;
import shim.core.cam.PistonToValve;
import shim.core.cam.WireLife;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lobe.LiftTable;
import shim.core.season.LobeSeason;

/**
 * The cam bench of the demo: the hill V8 degreed twice, two of its lobes measured, a bigger cam
 * thought of, clearances with one pocket short, and the six's pushrods. All invented.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoCam {
  private static final String HAND = "KV";

  /** The intake whose pocket is cut short. */
  private static final String SHORT = "6I";

  /** How late the chain leaves it by now, crank degrees. */
  private static final double LATE_DEG = 1.5;

  private final CamBook book;
  private final Engines engines;
  private final Encoder encoder;

  DemoCam(CamBook book, Engines engines, Encoder encoder) {
    this.book = book;
    this.engines = engines;
    this.encoder = encoder;
  }

  /** An encoder on the hill V8's crank: its cam stands as late as it was last found. */
  void connect() {
    try {
      SimulatedInstrument simulated =
          new SimulatedInstrument(
              new SimulatedInstrument.Nature(
                  "ENCODER crank, simulated", "ANGLE %.2f deg", 0.0002, DemoCam::wheelDeg));
      encoder.suggest(simulated.address());
    } catch (IOException e) {
      throw new IllegalStateException("the simulated encoder could not start", e);
    }
  }

  private static double wheelDeg(String reading, double underIn) {
    double i = half(LobeSeason.ofCard(0.430, 284, 256), underIn);
    double e = half(LobeSeason.ofCard(0.425, 290, 262), underIn);
    return switch (reading) {
      case "STOP_BEFORE" -> 29.5;
      case "STOP_AFTER" -> 30.5;
      case "INTAKE_UP" -> 106 + LATE_DEG - i;
      case "INTAKE_DOWN" -> 106 + LATE_DEG + i;
      case "EXHAUST_UP" -> 114 - LATE_DEG + e;
      case "EXHAUST_DOWN" -> 114 - LATE_DEG - e;
      default -> Double.NaN;
    };
  }

  /** Engines with the dates their hours fall on. */
  record Dates(DoubleFunction<Instant> v8, DoubleFunction<Instant> six) {}

  void fill(UUID v8, UUID six, Dates dates, Function<String, UUID> id) {
    book.putBench(v8, bench(), null, HAND);
    lobes(v8, id);
    degree(id.apply("degreed new"), v8, 0.3, 0.3, dates.v8());
    degree(id.apply("degreed late"), v8, 8.9, LATE_DEG, dates.v8());
    bigger(v8, id.apply("bigger cam"));
    clearances(v8, id.apply("clearances"), dates.v8());
    pushrods(six, id.apply("six pushrods"), dates.six());
  }

  private static CamSheets.BenchSheet bench() {
    return new CamSheets.BenchSheet(
        List.of(-8.0, -6.0, -4.0, -2.0, 0.0, 2.0, 4.0, 6.0, 8.0),
        CamDrive.Marked.CRANK,
        null,
        new CamSheets.KindBench(
            14.0,
            PistonToValve.Crown.POCKET,
            null,
            2.080,
            2.200,
            88.0,
            18.0,
            6.0,
            140.0,
            260.0,
            1.450,
            76.0,
            98.0),
        new CamSheets.KindBench(
            10.0,
            PistonToValve.Crown.POCKET,
            null,
            1.600,
            1.730,
            80.0,
            18.0,
            6.0,
            140.0,
            260.0,
            1.450,
            76.0,
            98.0),
        WireLife.Steel.CHROME_SILICON,
        true,
        7400.0);
  }

  private void lobes(UUID v8, Function<String, UUID> id) {
    LobeSeason in = LobeSeason.ofCard(0.430, 284, 256);
    LobeSeason ex = LobeSeason.ofCard(0.425, 290, 262);
    Engine engine = engines.get(v8).engine();
    lobe(id.apply("lobe 1I"), v8, "1I", in, engine.drive().ratio(ValveKind.INTAKE), 7);
    lobe(id.apply("lobe 1E"), v8, "1E", ex, engine.drive().ratio(ValveKind.EXHAUST), 8);
    List<LiftTable.Point> meant = in.read(1, 2, 0.00001, 0, 1);
    keep(id.apply("design 1I"), v8, "maker's design", "1I", CamSheets.DialOn.LOBE, 1, true, meant);
    book.use(id.apply("lobe 1I"), HAND);
    book.use(id.apply("lobe 1E"), HAND);
  }

  private void lobe(UUID id, UUID v8, String valve, LobeSeason truth, double ratio, long seed) {
    keep(
        id,
        v8,
        "own dial and wheel",
        valve,
        CamSheets.DialOn.VALVE,
        ratio,
        false,
        truth.read(ratio, 4, 0.0005, 0.0008, seed));
  }

  private void keep(
      UUID id,
      UUID v8,
      String name,
      String valve,
      CamSheets.DialOn on,
      double perLobe,
      boolean design,
      List<LiftTable.Point> points) {
    book.putLobe(
        id,
        new CamSheets.LobeTableSheet(
            v8,
            name,
            valve,
            on,
            perLobe,
            false,
            design,
            0.3,
            points.stream().map(LiftTable.Point::crankDeg).toList(),
            points.stream().map(LiftTable.Point::dialIn).toList(),
            false),
        HAND);
  }

  private static CamSheets.SittingSheet sitting(
      UUID engine,
      CamSheets.SittingKind kind,
      double hours,
      Instant at,
      @Nullable Double travelIn,
      @Nullable String note) {
    boolean degree = kind == CamSheets.SittingKind.DEGREE;
    return new CamSheets.SittingSheet(
        engine,
        kind,
        hours,
        at,
        HAND,
        degree ? Degreeing.Way.UNDER_NOSE : null,
        degree ? List.of(0.050, 0.100) : null,
        degree ? true : null,
        kind == CamSheets.SittingKind.CLEARANCE ? PistonToValve.School.CHECKING_SPRING : null,
        travelIn,
        null,
        null,
        HeatState.COLD,
        note);
  }

  /** A chain that stretches: later by a degree and a bit over the season. */
  private void degree(
      UUID id, UUID v8, double hours, double lateDeg, DoubleFunction<Instant> dates) {
    book.putSitting(
        id,
        sitting(
            v8,
            CamSheets.SittingKind.DEGREE,
            hours,
            dates.apply(hours),
            null,
            hours < 1 ? "new chain" : null));
    read(id, CamMeasure.STOP_BEFORE, null, 0, 29.5);
    read(id, CamMeasure.STOP_AFTER, null, 0, 30.5);
    LobeSeason in = LobeSeason.ofCard(0.430, 284, 256);
    LobeSeason ex = LobeSeason.ofCard(0.425, 290, 262);
    for (double under : new double[] {0.050, 0.100}) {
      double i = half(in, under);
      double e = half(ex, under);
      read(id, CamMeasure.INTAKE_UP, null, under, toHalf(106 + lateDeg - i));
      read(id, CamMeasure.INTAKE_DOWN, null, under, toHalf(106 + lateDeg + i));
      read(id, CamMeasure.EXHAUST_UP, null, under, toHalf(114 - lateDeg + e));
      read(id, CamMeasure.EXHAUST_DOWN, null, under, toHalf(114 - lateDeg - e));
    }
  }

  /** Where a lobe is so far under its nose. */
  private static double half(LobeSeason lobe, double underIn) {
    double share = Math.pow((lobe.liftIn() - underIn) / lobe.liftIn(), 1 / lobe.power());
    return lobe.halfDeg() * Math.sqrt(1 - share);
  }

  /** A wheel is read to half a degree. */
  private static double toHalf(double deg) {
    return Math.rint(deg * 2) / 2;
  }

  private void read(
      UUID sitting, CamMeasure what, @Nullable Position valve, double at, double figure) {
    book.read(
        DemoRounds.id(sitting + " " + what + valve + at),
        sitting,
        new CamBook.CamFigure(what, valve, at, figure, true, HAND));
  }

  private void bigger(UUID v8, UUID id) {
    book.putOther(
        id,
        new CamSheets.OtherCamSheet(
            v8,
            "HV-3, thought of",
            false,
            new EngineSheet.CamSheet(
                "HV-3",
                EngineSheet.LiftAt.LOBE,
                0.455,
                0.445,
                List.of(
                    new EngineSheet.DurationPoint(0.020, 296.0),
                    new EngineSheet.DurationPoint(0.050, 266.0)),
                List.of(
                    new EngineSheet.DurationPoint(0.020, 300.0),
                    new EngineSheet.DurationPoint(0.050, 272.0)),
                108.0,
                104.0,
                null,
                0.018,
                0.020,
                0.013,
                0.015,
                HeatState.HOT,
                null,
                null),
            null,
            false),
        null,
        HAND);
  }

  /** Four cylinders are measured; the others nobody opened. */
  private void clearances(UUID v8, UUID id, DoubleFunction<Instant> dates) {
    book.putSitting(
        id,
        sitting(
            v8,
            CamSheets.SittingKind.CLEARANCE,
            8.9,
            dates.apply(8.9),
            0.480,
            "cylinders 1, 2, 5 and 6"));
    Random random = new Random(12);
    for (int cylinder : new int[] {1, 2, 5, 6}) {
      for (ValveKind kind : ValveKind.values()) {
        Position valve = new Position(cylinder, kind, 0);
        boolean in = kind == ValveKind.INTAKE;
        double gap =
            (in ? 0.112 : 0.146)
                + 0.001 * random.nextInt(7)
                - (valve.toString().equals(SHORT) ? 0.031 : 0);
        read(id, CamMeasure.GAP, valve, in ? 10 : -10, Math.rint(gap * 1000) / 1000);
      }
    }
  }

  private void pushrods(UUID six, UUID id, DoubleFunction<Instant> dates) {
    book.putSitting(
        id,
        sitting(six, CamSheets.SittingKind.PUSHRODS, 2.0, dates.apply(2.0), null, "head skimmed"));
    Random random = new Random(4);
    for (Position valve : engines.get(six).engine().layout().positions()) {
      double length = 9.795 + 0.001 * random.nextInt(14) + (valve.cylinder() == 4 ? 0.021 : 0);
      read(id, CamMeasure.ROD, valve, 0, Math.rint(length * 1000) / 1000);
    }
  }
}
