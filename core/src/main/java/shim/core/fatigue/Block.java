package shim.core.fatigue;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Springs of one pattern and kind of path, whitened: what was not predicted from their own past, of
 * their readings and of every shared unknown alike. The columns are settling, wear, box, one a
 * test, then one a spring.
 *
 * <p>Cost: tests × columns.
 */
final class Block {
  static final int SETTLING = 0;
  static final int WEAR = 1;
  static final int BOX = 2;
  static final int SHARED = 3;
  private static final int[] SEEN_AT = {OwnPath.LEVEL, OwnPath.SETTLING, OwnPath.PATH};

  private final OwnPath path;
  private final Belief belief;
  private final int springs;
  private final int shared;
  private final int[] tests;
  private final double[][] white;
  private double logSpread;
  private double at;
  private double @Nullable [][] gram;

  /**
   * @param springs tracks alike to the first
   */
  Block(List<Track> springs, int tests, Spreads spreads, PathKind kind) {
    Track pattern = springs.get(0);
    path = new OwnPath(spreads, kind);
    this.springs = springs.size();
    shared = SHARED + tests;
    belief = new Belief(shared + springs.size(), OwnPath.STATES);
    path.begin(belief);
    this.tests = pattern.seenTests();
    white = new double[this.tests.length][];
    for (int k = 0; k < white.length; k++) {
      int test = this.tests[k];
      path.run(belief, at, pattern.hours()[test]);
      at = pattern.hours()[test];
      white[k] = take(springs, test);
    }
  }

  private double[] take(List<Track> springs, int test) {
    double settled = Settling.of(at);
    int n = springs.size();
    double[] row = new double[n + SHARED + test + 1];
    for (int c = 0; c < n; c++) {
      row[c] = springs.get(c).read()[test];
    }
    row[n + SETTLING] = -settled;
    row[n + WEAR] = -at;
    row[n + BOX] = 1;
    row[n + SHARED + test] = 1;
    double noise = path.spreads().ofReading(springs.get(0), test);
    double spread = belief.observe(SEEN_AT, new double[] {1, -settled, -1}, row, noise);
    logSpread += Math.log(2 * Math.PI * spread);
    double scale = 1 / Math.sqrt(spread);
    for (int c = 0; c < row.length; c++) {
      row[c] *= scale;
    }
    return row;
  }

  /** Adds one spring's precision of the shared unknowns, or with −1 takes it away. */
  void addPrecision(double[][] precision, int sign) {
    if (gram == null) {
      gram = gram();
    }
    for (int i = 0; i < gram.length; i++) {
      double[] from = gram[i];
      double[] to = precision[i];
      for (int j = 0; j <= i; j++) {
        to[j] += sign * from[j];
      }
    }
  }

  private double[][] gram() {
    double[][] sum = new double[shared][];
    for (int i = 0; i < shared; i++) {
      sum[i] = new double[i + 1];
    }
    for (double[] row : white) {
      for (int i = 0; i < row.length - springs; i++) {
        double w = row[springs + i];
        double[] to = sum[i];
        for (int j = 0; j <= i; j++) {
          to[j] += w * row[springs + j];
        }
      }
    }
    return sum;
  }

  /** Adds what one spring's readings say of the shared unknowns, or with −1 takes it away. */
  void addPull(double[] pull, int column, int sign) {
    for (double[] row : white) {
      double read = sign * row[column];
      for (int i = 0; i < row.length - springs; i++) {
        pull[i] += read * row[springs + i];
      }
    }
  }

  /** Minus twice the log density of one spring's readings with all shared unknowns zero. */
  double misfit(int column) {
    double sum = logSpread;
    for (double[] row : white) {
      sum += row[column] * row[column];
    }
    return sum;
  }

  boolean lastSeenIn(int test) {
    return tests.length > 0 && tests[tests.length - 1] == test;
  }

  /**
   * The last reading against all else, in s.d.: leave-one-out residual of a Gaussian.
   *
   * @param known the shared unknowns
   */
  double surprise(int column, Shared known) {
    double[] row = white[white.length - 1];
    double rest = row[column];
    double[] x = new double[shared];
    for (int k = 0; k < row.length - springs; k++) {
      x[k] = row[springs + k];
      rest -= x[k] * known.mean(k);
    }
    return rest / Math.sqrt(Math.max(1e-12, 1 - known.variance(x)));
  }

  /** One column's readings, whitened. */
  double[] white(int column) {
    double[] w = new double[white.length];
    for (int k = 0; k < w.length; k++) {
      w[k] = white[k][column];
    }
    return w;
  }

  /** What whitened readings say of the shared unknowns. */
  double[] toShared(double[] whitened) {
    double[] x = new double[shared];
    for (int k = 0; k < whitened.length; k++) {
      double[] row = white[k];
      for (int j = springs; j < row.length; j++) {
        x[j - springs] += whitened[k] * row[j];
      }
    }
    return x;
  }

  /** One spring's readings, whitened, less what the shared unknowns explain. */
  double[] rest(int column, Shared known) {
    double[] rest = white(column);
    for (int k = 0; k < rest.length; k++) {
      double[] row = white[k];
      for (int j = springs; j < row.length; j++) {
        rest[k] -= row[j] * known.mean(j - springs);
      }
    }
    return rest;
  }

  /**
   * What is believed of one spring, ready to be carried on in hours.
   *
   * @param others further columns whose share in it is asked for
   */
  Outlook outlook(int column, Shared known, int... others) {
    double[][] explained = new double[others.length][];
    for (int k = 0; k < others.length; k++) {
      explained[k] = known.spread(toShared(white(others[k])));
    }
    return new Outlook(path, belief, springs, column, known, others, explained, at);
  }
}
