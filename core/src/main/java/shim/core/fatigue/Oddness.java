package shim.core.fatigue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import shim.core.stats.Robust;

/**
 * How far each spring's loss by its last reading stands from its set's: robust z. A reason to look,
 * never alone to change; it flags a healthy set of 16 one time in ten.
 */
final class Oddness {
  private static final int FEWEST = 4;

  private Oddness() {}

  /** One z a spring; NaN where it was not read, or too few were. */
  static double[] of(SetFit fit, int test) {
    List<Track> tracks = fit.run().data().tracks();
    double[] z = new double[tracks.size()];
    Arrays.fill(z, Double.NaN);
    List<Double> losses = new ArrayList<>();
    for (int i = 0; i < z.length; i++) {
      Track track = tracks.get(i);
      if (test >= 0 && track.seen(test)) {
        double at = Math.max(Settling.BASELINE_HOURS, track.lastHours());
        z[i] = fit.mix(i).baselineLn(at) - track.read()[test];
        losses.add(z[i]);
      }
    }
    if (losses.size() < FEWEST) {
      Arrays.fill(z, Double.NaN);
      return z;
    }
    double centre = Robust.median(losses).orElseThrow();
    double scale = Math.max(Robust.scaledMad(losses).orElseThrow(), fit.spreads().reading());
    return Arrays.stream(z).map(v -> (v - centre) / scale).toArray();
  }
}
