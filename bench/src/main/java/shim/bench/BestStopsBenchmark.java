package shim.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import shim.core.crank.BestStops;
import shim.core.crank.CrankModel;
import shim.core.crank.SettingPlanner;
import shim.core.engine.CamCard;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/**
 * Planning the largest engine there is, 16 cylinders with 4 valves each, for all k = 1 … 32; beside
 * it a V8 with two valves a cylinder, and the same question asked of the 720 whole degrees only, as
 * a planner that samples would.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class BestStopsBenchmark {
  private final CrankModel sixteen = model(16, 4, 270, 282);
  private final CrankModel eight = model(8, 2, 284, 290);

  private static CrankModel model(int cylinders, int valves, double intakeDeg, double exhaustDeg) {
    List<Integer> numbers = IntStream.rangeClosed(1, cylinders).boxed().toList();
    List<Position> positions = new ArrayList<>();
    for (int c : numbers) {
      for (ValveKind kind : ValveKind.values()) {
        for (int i = 0; i < valves / 2; i++) {
          positions.add(new Position(c, kind, valves > 2 ? i + 1 : 0));
        }
      }
    }
    Layout layout =
        new Layout(
            Layout.Arrangement.V,
            List.of(new Layout.Bank("all", numbers, positions)),
            numbers,
            numbers.stream().map(n -> 720.0 / cylinders).collect(Collectors.toList()),
            Layout.Rotation.CLOCKWISE);
    CamCard cam =
        new CamCard(
            lobe(ValveKind.INTAKE, intakeDeg, 107.3), lobe(ValveKind.EXHAUST, exhaustDeg, 113.1));
    return CrankModel.of(layout, cam, Optional.empty());
  }

  private static CamCard.Lobe lobe(ValveKind kind, double durationDeg, double centreDeg) {
    return new CamCard.Lobe(kind, 0.4, List.of(new CamCard.Duration(0.02, durationDeg)), centreDeg);
  }

  @Benchmark
  public List<BestStops.Best> sixteenCylindersAllStops() {
    return new SettingPlanner(sixteen).curve();
  }

  @Benchmark
  public List<BestStops.Best> eightCylindersAllStops() {
    return new SettingPlanner(eight).curve();
  }

  @Benchmark
  public List<BestStops.Best> eightCylindersAllStopsSampled() {
    List<Double> degrees = IntStream.range(0, 720).mapToObj(d -> (double) d).toList();
    BestStops sampled = BestStops.among(eight.windows(), degrees);
    return IntStream.rangeClosed(1, 16).mapToObj(sampled::with).toList();
  }
}
