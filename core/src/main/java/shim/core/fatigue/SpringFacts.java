package shim.core.fatigue;

import java.util.OptionalDouble;
import shim.core.stats.Range;

/**
 * What the reasons of one verdict are made from.
 *
 * @param underAtNext probability of being under a limit at the end of the next event
 * @param underIfSlipped the same if the setting of its last reading was wrong
 */
record SpringFacts(
    SetHistory history,
    SetFit fit,
    int spring,
    double underAtNext,
    double underAfter,
    double underIfSlipped,
    OptionalDouble oddness,
    Range lossNow,
    Range lossAtNext) {
  /** A fall that is told, ln. */
  private static final double FALL = 0.04;

  int tests() {
    return track().count();
  }

  Track track() {
    return fit.run().data().tracks().get(spring);
  }

  /** Surprise of the last test; empty on a first reading or when not read then. */
  OptionalDouble surprise() {
    double z = fit.surprise(spring);
    return tests() > 1 && !Double.isNaN(z) ? OptionalDouble.of(z) : OptionalDouble.empty();
  }

  /** How far the settings of its last reading confirm each other. */
  Settings.State state() {
    int[] seen = track().seenTests();
    return seen.length == 0 ? Settings.State.AGREED : track().state()[seen[seen.length - 1]];
  }

  /** Probability that the setting of its last reading was wrong. */
  double slipped() {
    return fit.accounts(spring).lastSlipped();
  }

  /** Probability that it fell all at once by more than readings scatter. */
  double fell() {
    return fit.accounts(spring).fell(FALL);
  }

  /** Share it fell by, all at once or since its test before. */
  double fellBy() {
    return -Math.expm1(-fit.accounts(spring).fallen());
  }

  double ownWay() {
    return fit.ownWay(spring);
  }

  /** Some test that counts had no check spring. */
  boolean lastWithoutCheck() {
    int last = history.tests().size() - 1;
    return last >= 0 && history.tests().get(last).day().isEmpty();
  }
}
