package shim.app.cam;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.stereotype.Component;
import shim.app.cam.CamSheets.LobeTableSheet;
import shim.app.cam.CamViews.ColumnSeen;
import shim.app.cam.CamViews.DurationAt;
import shim.app.cam.CamViews.LobeFigures;
import shim.app.cam.CamViews.MotionView;
import shim.app.http.Refusal;
import shim.core.engine.Engine;
import shim.core.lobe.LiftTable;
import shim.core.lobe.LobeCurve;
import shim.core.lobe.SmoothLobe;

/** Lift tables as text, looked at before they are kept, the lobes they are, and what these say. */
@Component
class LobeTables {
  private static final List<Double> AT_IN =
      List.of(0.004, 0.006, 0.010, 0.015, 0.020, 0.050, 0.100, 0.200, 0.300);
  private static final double DRAWN_DEG = 4;
  private static final int KEPT = 64;

  /** All that a lobe is made of. */
  private record Measured(List<LiftTable.Point> points, double perLobe) {}

  /** A lobe smoothed, and what it says. */
  record Lobe(SmoothLobe smooth, LobeFigures figures) {}

  private final LiftCsv csv;
  private final Cache<Measured, Lobe> lobes = Caffeine.newBuilder().maximumSize(KEPT).build();

  LobeTables(LiftCsv csv) {
    this.csv = csv;
  }

  /**
   * @param perLobe the rocker ratio where the dial stood on the valve, else 1
   */
  List<ColumnSeen> preview(String text, double perLobe, boolean camDegrees) {
    return csv.read(text).stream()
        .map(
            c -> {
              List<LiftTable.Point> points = crank(c.points(), camDegrees);
              try {
                return new ColumnSeen(
                    c.name(), c.mm(), points.size(), lobe(points, perLobe).figures(), null);
              } catch (IllegalArgumentException e) {
                return new ColumnSeen(
                    c.name(), c.mm(), points.size(), null, String.valueOf(e.getMessage()));
              }
            })
        .toList();
  }

  /** One column as it is kept. */
  List<LiftTable.Point> column(String text, int column, boolean camDegrees) {
    List<LiftCsv.Column> all = csv.read(text);
    if (column < 0 || column >= all.size()) {
      throw Refusal.invalid("column", "the table has " + all.size() + " columns of lifts");
    }
    return crank(all.get(column).points(), camDegrees);
  }

  private static List<LiftTable.Point> crank(List<LiftTable.Point> points, boolean camDegrees) {
    return camDegrees
        ? points.stream().map(p -> new LiftTable.Point(2 * p.crankDeg(), p.dialIn())).toList()
        : points;
  }

  /** A kept lift table as the lobe it is; refused in words where it is none. */
  Lobe lobe(LobeTableSheet sheet, Engine engine) {
    BenchSums.valve(sheet.valve(), engine);
    if (sheet.crankDeg().size() != sheet.dialIn().size()) {
      throw Refusal.invalid("table", "there are more angles than lifts, or fewer");
    }
    List<LiftTable.Point> points =
        IntStream.range(0, sheet.crankDeg().size())
            .mapToObj(i -> new LiftTable.Point(sheet.crankDeg().get(i), sheet.dialIn().get(i)))
            .toList();
    try {
      return lobe(points, sheet.perLobe());
    } catch (IllegalArgumentException e) {
      throw Refusal.invalid("table", String.valueOf(e.getMessage()));
    }
  }

  /**
   * Smoothed once: not again when what was looked at is kept, nor for each change to the engine.
   *
   * @throws IllegalArgumentException saying why the readings are no lobe
   */
  Lobe lobe(List<LiftTable.Point> points, double perLobe) {
    return lobes.get(
        new Measured(points, perLobe),
        m -> {
          LiftTable table = new LiftTable(m.points());
          SmoothLobe smooth = new SmoothLobe(table, m.perLobe());
          return new Lobe(smooth, figures(table, smooth, m.points().size()));
        });
  }

  private static LobeFigures figures(LiftTable table, SmoothLobe smooth, int rows) {
    LobeCurve curve = smooth.curve();
    List<DurationAt> durations = new ArrayList<>();
    for (double at : AT_IN) {
      if (at < curve.noseIn()) {
        durations.add(
            new DurationAt(at, curve.durationDeg(at), curve.opensDeg(at), curve.closesDeg(at)));
      }
    }
    return new LobeFigures(
        curve.noseIn(),
        table.runOutIn(),
        table.countedDown(),
        smooth.centreDeg(),
        curve.middleDeg(curve.noseIn() / 10),
        curve.areaInDeg(LobeCurve.LEAVES_IN),
        smooth.noiseIn(),
        smooth.stepDeg(),
        rows,
        durations,
        smooth.every(DRAWN_DEG).stream()
            .map(
                m ->
                    new MotionView(
                        m.fromCentreDeg(),
                        m.liftIn(),
                        m.velocityInPerDeg(),
                        m.accelerationInPerDeg2(),
                        m.accelerationBandInPerDeg2()))
            .toList());
  }
}
