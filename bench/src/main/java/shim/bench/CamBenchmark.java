package shim.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import shim.core.cam.FloatMargin;
import shim.core.cam.PistonToValve;
import shim.core.cam.SpringForce;
import shim.core.cam.TrainMass;
import shim.core.cam.ValveLift;
import shim.core.crank.CrankSlide;
import shim.core.engine.CamCard;
import shim.core.engine.ValveKind;
import shim.core.lobe.LiftTable;
import shim.core.lobe.LobeCurve;
import shim.core.lobe.SmoothLobe;
import shim.core.season.LobeSeason;
import shim.core.spring.LoadCurve;

/**
 * What a slider of the cam bench asks for at each move: the least gap of 16 valves with the curves
 * of two, and the margin of a spring over engine speed. Beside it the bare arithmetic: the same
 * sums over arrays, nothing checked, nothing bounded.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class CamBenchmark {
  private static final int VALVES = 16;
  private static final int RPMS = 46;

  private final CrankSlide slide = new CrankSlide(4.03, 3.48, 6.0);
  private final LobeSeason truth = LobeSeason.ofCard(0.430, 284, 256);
  private final LiftTable table = new LiftTable(truth.read(1.6, 4, 0.0005, 0.0008, 7));
  private final SmoothLobe smooth = new SmoothLobe(table, 1.6);
  private final ValveLift lift = new ValveLift(lobe(), 1.6, 0.018);
  private final PistonToValve bench =
      new PistonToValve(ValveKind.INTAKE, slide, 14, PistonToValve.Crown.POCKET, 106, lift);
  private final SpringForce spring =
      SpringForce.asNew(
          new LoadCurve(List.of(new LoadCurve.At(1.95, 220), new LoadCurve.At(1.35, 490))), 1.95);
  private final FloatMargin margin =
      new FloatMargin(smooth, 1.6, 0.018, new TrainMass(88, 18, 6, 140, 260, 1.45, 76, 98));

  private final double[] lifts = new double[1201];
  private final double[] bends = new double[401];

  public CamBenchmark() {
    for (int i = 0; i < lifts.length; i++) {
      lifts[i] = lift.at(-300 + i * 0.5).mid();
    }
    for (int i = 0; i < bends.length; i++) {
      bends[i] = smooth.at(-200 + i).accelerationInPerDeg2();
    }
  }

  private CamCard.Lobe lobe() {
    return new CamCard.Lobe(
        ValveKind.INTAKE,
        0.430,
        List.of(new CamCard.Duration(0.020, 284), new CamCard.Duration(0.050, 256)),
        106,
        Optional.of(new CamCard.Measured(new LobeCurve(smooth.curve().rows()), "1I", 4)));
  }

  /** Sixteen least gaps, and two whole curves a degree apart. */
  @Benchmark
  public double sliderGaps() {
    double sum = 0;
    PistonToValve.Change change = new PistonToValve.Change(2, lift, 0, 0);
    for (int v = 0; v < VALVES; v++) {
      PistonToValve.Reading reading = new PistonToValve.Reading(10, 0.100 + 0.001 * v, true);
      sum += bench.least(reading, change).midIn();
      if (v < 2) {
        sum += bench.curve(reading, change, 1).size();
      }
    }
    return sum;
  }

  /** The same from arrays: 241 sums a valve. */
  @Benchmark
  public double bareGaps() {
    double sum = 0;
    double cos = Math.cos(Math.toRadians(14));
    for (int v = 0; v < VALVES; v++) {
      double rest = 0.100 + 0.001 * v;
      double least = 10;
      for (int i = 0; i <= 240; i++) {
        double deg = -60 + i * 0.5;
        double g = rest + slide.belowTdcIn(deg) * cos - lifts[(int) ((deg + 2 - 106 + 300) * 2)];
        least = Math.min(least, g);
      }
      sum += least;
    }
    return sum;
  }

  /** A margin over 46 engine speeds with its bounds. */
  @Benchmark
  public List<FloatMargin.AtRpm> sliderMargin() {
    return margin.curve(spring, 4400, 8900, 100);
  }

  /** The same from arrays, without bounds. */
  @Benchmark
  public List<Double> bareMargin() {
    List<Double> all = new ArrayList<>();
    for (int r = 0; r < RPMS; r++) {
      double omega = Math.PI * (4400 + 100 * r) / 60;
      double least = 1e9;
      for (int i = 0; i < bends.length; i++) {
        if (bends[i] < 0) {
          double y = lifts[(i + 100) * 2];
          least =
              Math.min(least, 220 + 450 * y + 0.77 * bends[i] * 21000 * omega * omega / 386.0886);
        }
      }
      all.add(least);
    }
    return all;
  }

  /** A table of 101 rows believed and smoothed: done once, when it is taken in. */
  @Benchmark
  public SmoothLobe tableSmoothed() {
    return new SmoothLobe(table, 1.6);
  }
}
