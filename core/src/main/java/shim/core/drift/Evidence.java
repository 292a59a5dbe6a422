package shim.core.drift;

import java.util.List;
import shim.core.stats.Normal;

/**
 * What the surprises of one valve say for one kind of change against "as it is". A change of size a
 * would have put a × s into the surprises, s its signature; with the valve's own healthy rate
 * (prior variance τ²) taken out,
 *
 * <pre>
 * B = Σ s r/V − Σ s s₀/V · Σ s₀ r/V / (Σ s₀²/V + 1/τ²)      G = Σ s²/V − (Σ s s₀/V)² / (Σ s₀²/V + 1/τ²)
 * ln L(a)/L(0) = a B − a² G/2
 * </pre>
 *
 * @param b B, per unit of the change
 * @param g G, per unit squared
 */
record Evidence(double b, double g) {

  /** Log likelihood ratio of a change of one given size. */
  double of(double size) {
    return size * b - size * size * g / 2;
  }

  /**
   * Log Bayes factor of a change of unknown size in one direction, half normal.
   *
   * @param direction +1 or −1
   * @param spread standard deviation of the normal that is halved
   */
  double of(int direction, double spread) {
    double precision = g + 1 / (spread * spread);
    double z = direction * b / Math.sqrt(precision);
    return Math.log(Math.max(2 * Normal.below(z), 1e-300))
        + b * b / precision / 2
        - Math.log1p(spread * spread * g) / 2;
  }

  static Evidence of(List<Track.Step> steps, double[] signature, double[] own, double spread) {
    double sr = 0;
    double ss = 0;
    double so = 0;
    double oo = 1 / (spread * spread);
    double or = 0;
    for (int i = 0; i < signature.length; i++) {
      Track.Step step = steps.get(i);
      if (step.speaks()) {
        double w = 1 / step.variance();
        sr += w * signature[i] * step.surprise();
        ss += w * signature[i] * signature[i];
        so += w * signature[i] * own[i];
        oo += w * own[i] * own[i];
        or += w * own[i] * step.surprise();
      }
    }
    return new Evidence(sr - so * or / oo, Math.max(0, ss - so * so / oo));
  }

  /** What a drift of one thou an hour from an hour on does to the surprises, thou. */
  static double[] drift(List<Track.Step> steps, double fromHours) {
    return signature(steps, s -> Math.max(0, s.toHours() - Math.max(s.fromHours(), fromHours)));
  }

  /** What a step of one thou between two readings does to them, thou. */
  static double[] step(List<Track.Step> steps, int at) {
    Track.Step when = steps.get(at);
    return signature(steps, s -> s == when ? 1 : 0);
  }

  private interface Moved {
    double before(Track.Step step);
  }

  private static double[] signature(List<Track.Step> steps, Moved moved) {
    double[] result = new double[steps.size()];
    double away = 0;
    double followedX = 0;
    double followedG = 0;
    for (int i = 0; i < result.length; i++) {
      Track.Step s = steps.get(i);
      away = s.anew() ? 0 : away + moved.before(s);
      result[i] = away - followedX - s.cold() * followedG;
      followedX += s.gainX() * result[i];
      followedG += s.gainG() * result[i];
    }
    return result;
  }
}
