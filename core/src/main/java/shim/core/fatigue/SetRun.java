package shim.core.fatigue;

import org.jspecify.annotations.Nullable;
import shim.core.stats.Normal;

/**
 * A set solved with every spring's kind of path given: what is believed of the set and of each
 * spring, and how well this explains what was read. Exact; arrow structure, one share a spring.
 *
 * <p>Cost: springs × tests² / 2 to add the shares, and one Cholesky factor of as many rows as
 * tests.
 */
final class SetRun {
  private final Blocks blocks;
  private final Blocks.Place[] places;
  private final PathKind[] kinds;
  private final double[][] precision;
  private final double[] pull;
  private double misfit;
  private @Nullable Shared shared;

  SetRun(Blocks blocks, PathKind[] kinds) {
    this.blocks = blocks;
    this.kinds = kinds.clone();
    places = new Blocks.Place[kinds.length];
    precision = blocks.priors().precision();
    pull = blocks.priors().pull();
    misfit = blocks.priors().misfit();
    for (int i = 0; i < kinds.length; i++) {
      places[i] = blocks.place(i, kinds[i]);
      give(i, 1);
    }
  }

  /** One spring put on another kind of path; all others stay. */
  private SetRun(SetRun from, int spring, PathKind kind) {
    blocks = from.blocks;
    kinds = from.kinds.clone();
    kinds[spring] = kind;
    places = from.places.clone();
    precision = new double[from.precision.length][];
    for (int i = 0; i < precision.length; i++) {
      precision[i] = from.precision[i].clone();
    }
    pull = from.pull.clone();
    misfit = from.misfit;
    give(spring, -1);
    places[spring] = blocks.place(spring, kind);
    give(spring, 1);
  }

  SetRun with(int spring, PathKind kind) {
    return new SetRun(this, spring, kind);
  }

  /** The same run with one spring taken as healthy. */
  SetRun healthy(int spring) {
    return kinds[spring] == PathKind.WITH_SET ? this : with(spring, PathKind.WITH_SET);
  }

  /** All accounts of one spring's readings, weighed. */
  Accounts accounts(int spring) {
    return blocks.accounts(spring, healthy(spring));
  }

  private void give(int spring, int sign) {
    Blocks.Place p = places[spring];
    p.block().addPrecision(precision, sign);
    p.block().addPull(pull, p.column(), sign);
    misfit += sign * p.block().misfit(p.column());
  }

  Shared shared() {
    if (shared == null) {
      shared = new Shared(precision, pull);
    }
    return shared;
  }

  double logEvidence() {
    return -0.5 * (shared().logDeterminant() + misfit - shared().explained())
        + blocks.repeatsDensity();
  }

  /** A spring's reading of the last test against all else, in s.d.; NaN when not read then. */
  double surprise(int spring) {
    Blocks.Place p = places[spring];
    return p.block().lastSeenIn(blocks.data().tests() - 1)
        ? p.block().surprise(p.column(), shared())
        : Double.NaN;
  }

  SetData data() {
    return blocks.data();
  }

  Outlook outlook(int spring) {
    return places[spring].block().outlook(places[spring].column(), shared());
  }

  /** The day of a test, tester and set-up together, ln, as all springs tell. */
  Normal day(int test) {
    double[] x = new double[pull.length];
    x[Block.SHARED + test] = 1;
    return sum(x);
  }

  /** Common settling and wear, so much of each. */
  Normal common(double settled, double worn) {
    double[] x = new double[pull.length];
    x[Block.SETTLING] = settled;
    x[Block.WEAR] = worn;
    return sum(x);
  }

  private Normal sum(double[] x) {
    double mean = 0;
    for (int k = 0; k < x.length; k++) {
      mean += x[k] * shared().mean(k);
    }
    return new Normal(mean, Math.sqrt(shared().variance(x)));
  }
}
