package shim.core.fatigue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Every fault and every wrong setting springs of one pattern may have had, whitened like their
 * readings, so that each costs a product to weigh.
 */
final class FaultBank {
  private final List<Fault> faults;
  private final int[] tests;
  private final double[] hours;
  private final Block block;
  private final int springs;
  private @Nullable Shared columnsFor;
  private Column[] columns = {};

  /**
   * @param springs tracks alike to the first
   */
  FaultBank(List<Track> springs, int tests, Spreads spreads) {
    Track pattern = springs.get(0);
    this.springs = springs.size();
    this.tests = pattern.seenTests();
    hours = Arrays.stream(this.tests).mapToDouble(t -> pattern.hours()[t]).toArray();
    faults = Fault.all(hours);
    List<Track> columns = new ArrayList<>(springs);
    for (Fault f : faults) {
      columns.add(column(pattern, t -> -f.lost(pattern.hours()[t])));
    }
    for (int slipped : this.tests) {
      columns.add(column(pattern, t -> t == slipped ? 1 : 0));
    }
    block = new Block(columns, tests, spreads, PathKind.WITH_SET);
  }

  /**
   * One column in whitened readings, less what the shared unknowns take up.
   *
   * @param square w·w − u·u
   */
  record Column(double[] white, double[] taken, double square) {
    double with(Column other) {
      return dot(white, other.white) - dot(taken, other.taken);
    }

    double with(double[] rest) {
      return dot(white, rest);
    }

    private static double dot(double[] x, double[] y) {
      double sum = 0;
      for (int k = 0; k < x.length; k++) {
        sum += x[k] * y[k];
      }
      return sum;
    }
  }

  /** All columns but the springs', for shared unknowns as known; kept while those are asked for. */
  Column[] columns(Shared known) {
    if (columnsFor != known) {
      columns = new Column[faults.size() + tests.length];
      for (int c = 0; c < columns.length; c++) {
        double[] white = block.white(springs + c);
        double[] taken = known.half(block.toShared(white));
        columns[c] = new Column(white, taken, Column.dot(white, white) - Column.dot(taken, taken));
      }
      columnsFor = known;
    }
    return columns;
  }

  private interface At {
    double value(int test);
  }

  private Track column(Track pattern, At at) {
    double[] read = new double[pattern.read().length];
    Arrays.fill(read, Double.NaN);
    for (int t : tests) {
      read[t] = at.value(t);
    }
    return pattern.reading(read);
  }

  Block block() {
    return block;
  }

  List<Fault> faults() {
    return faults;
  }

  /** Column of a fault in the block. */
  int column(int fault) {
    return springs + fault;
  }

  /** Column of a wrong setting at the k-th of the tests in which the springs were read. */
  int slipColumn(int k) {
    return springs + faults.size() + k;
  }

  /** Tests in which the springs were read. */
  int[] tests() {
    return tests;
  }

  /** The springs' hours at the k-th of those tests. */
  double hours(int k) {
    return hours[k];
  }
}
