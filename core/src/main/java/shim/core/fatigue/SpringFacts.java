package shim.core.fatigue;

import java.util.OptionalDouble;
import shim.core.stats.Range;

/**
 * What the reasons of one verdict are made from.
 *
 * @param underAtNext probability of being under a limit at the end of the next event
 */
record SpringFacts(
    SetHistory history,
    SetFit fit,
    int spring,
    double underAtNext,
    double underAfter,
    OptionalDouble oddness,
    Range lossNow,
    Range lossAtNext) {
  int tests() {
    return track().count();
  }

  Track track() {
    return fit.run().data().tracks().get(spring);
  }

  /** Surprise of the last test; empty on a first reading or when not read then. */
  OptionalDouble surprise() {
    double z = fit.run().surprise(spring);
    return tests() > 1 && !Double.isNaN(z) ? OptionalDouble.of(z) : OptionalDouble.empty();
  }

  boolean stepped() {
    for (boolean b : track().step()) {
      if (b) {
        return true;
      }
    }
    return false;
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
