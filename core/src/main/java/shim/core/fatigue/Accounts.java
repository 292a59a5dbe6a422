package shim.core.fatigue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import shim.core.fatigue.FaultBank.Column;
import shim.core.stats.Normal;

/**
 * Weighs every account of what one spring read, all other springs and the tester given.
 *
 * <p>A fault of size a in the whitened readings e of a healthy spring, w its column there, gives
 * the log likelihood ratio a b − a² G / 2 with b = w·e and G = w·w − u·u, u what of w the shared
 * unknowns can take up. A wrong setting N(0, v) at a test is one more column, integrated out. The
 * size is half normal, so the integral over it is closed too.
 */
final class Accounts {
  /** One setting in a hundred is wrong. */
  private static final double SLIPS = 0.01;

  private static final double SLIP_VARIANCE = Spreads.SLIP * Spreads.SLIP;

  /** Two settings that agree are hardly ever wrong alike. */
  private static final double BOTH_SLIP = 2e-5;

  /** What two settings that do not agree make of it is as likely wrong as not. */
  private static final double ONE_OF_TWO = 0.3;

  /** Wrong settings thought of beside faults; the likeliest, and always the last reading's. */
  private static final int MOST_SLIPS = 3;

  private static final double NEGLIGIBLE = 5e-4;

  /** No column stands out by more than this, s.d.: neither fault nor slip is likelier than not. */
  private static final double QUIET = 2;

  /** Accounts farther behind the likeliest are not even weighed, log. */
  private static final double BEYOND = 10;

  private static final int MOST_KEPT = 240;

  private final FaultBank bank;
  private final int spring;
  private final Shared known;
  private final double[] rest;
  private final Column[] columns;
  private final List<Slip> slips = new ArrayList<>();
  private final List<Possible> all = new ArrayList<>();
  private double heaviest = Double.NEGATIVE_INFINITY;

  /**
   * A test whose setting may be wrong.
   *
   * @param k its place among the tests read
   * @param b what its column says
   * @param log what it does to the log likelihood of a healthy spring
   */
  private record Slip(int k, double prior, Column column, double b, double held, double log) {
    static Slip of(int k, double prior, Column column, double b) {
      double held = 1 + SLIP_VARIANCE * column.square();
      return new Slip(
          k, prior, column, b, held, b * b * SLIP_VARIANCE / (2 * held) - Math.log(held) / 2);
    }

    double weight() {
      return Math.log(prior) + log;
    }
  }

  /**
   * @param column of the spring in its bank
   * @param run solved with this spring healthy
   */
  Accounts(FaultBank bank, int column, Track track, SetRun run) {
    this.bank = bank;
    this.spring = column;
    this.known = run.shared();
    rest = bank.block().rest(column, known);
    columns = bank.columns(known);
    findSlips(track);
  }

  /** Nothing in its readings points to a fault or a wrong setting: nothing need be weighed. */
  boolean quiet() {
    double z = 0;
    for (Slip s : slips) {
      z = Math.max(z, Math.abs(s.b) / Math.sqrt(s.column.square()));
    }
    for (int f = 0; f < bank.faults().size(); f++) {
      z = Math.max(z, columns[f].with(rest) / Math.sqrt(columns[f].square()));
    }
    return !(z > QUIET);
  }

  private List<Possible> all() {
    if (all.isEmpty()) {
      weigh();
    }
    return all;
  }

  private void findSlips(Track track) {
    int[] tests = bank.tests();
    for (int k = 0; k < tests.length; k++) {
      double prior =
          switch (track.state()[tests[k]]) {
            case ONE -> SLIPS;
            case AGREED -> BOTH_SLIP;
            case APART -> ONE_OF_TWO;
          };
      Column column = columns[bank.faults().size() + k];
      slips.add(Slip.of(k, prior, column, column.with(rest)));
    }
    if (slips.size() > MOST_SLIPS) {
      Slip last = slips.remove(slips.size() - 1);
      slips.sort(Comparator.comparingDouble(s -> -s.weight()));
      slips.subList(MOST_SLIPS - 1, slips.size()).clear();
      slips.add(last);
    }
  }

  private void weigh() {
    double faulty = bank.faults().stream().mapToDouble(Fault::prior).sum();
    double right = Math.log1p(-slips.stream().mapToDouble(Slip::prior).sum());
    healthy(Math.log(Math.max(0.5, 1 - faulty)), right);
    heaviest = all.stream().mapToDouble(Possible::weight).max().orElseThrow();
    for (int f = 0; f < bank.faults().size(); f++) {
      failing(f, right);
    }
    normalise();
  }

  private void healthy(double log, double right) {
    all.add(new Possible(log + right, null, 0, 0, 0, -1, 0, 0, 0));
    for (Slip s : slips) {
      double mean = SLIP_VARIANCE * s.b / s.held;
      all.add(new Possible(log + s.weight(), null, 0, 0, 0, s.k, mean, 0, SLIP_VARIANCE / s.held));
    }
  }

  private void failing(int f, double right) {
    Fault fault = bank.faults().get(f);
    double[][] sizes = fault.sizes();
    Column c = columns[f];
    double b = c.with(rest);
    for (double[] size : sizes) {
      double log = Math.log(fault.prior() * size[1]);
      sized(f, b, c.square(), size[0], log + right, null, 0);
    }
    for (Slip s : slips) {
      double both = c.with(s.column);
      double taken = both * SLIP_VARIANCE / s.held;
      for (double[] size : sizes) {
        double log = Math.log(fault.prior() * size[1]) + s.weight();
        sized(f, b - taken * s.b, c.square() - taken * both, size[0], log, s, both);
      }
    }
  }

  /**
   * One fault with one spread of its size; beside it all settings right, or one wrong.
   *
   * @param both what the columns of fault and wrong setting have in common
   */
  private void sized(
      int f, double b, double g, double spread, double log, @Nullable Slip s, double both) {
    double precision = Math.max(0, g) + 1 / (spread * spread);
    double mean = b / precision;
    double sd = 1 / Math.sqrt(precision);
    double z = mean / sd;
    // The share of a normal below a negative z is at most half its density over that at zero.
    double most = log - Math.log(spread / sd) + (z > 0 ? z * z / 2 + Math.log(2) : 0);
    if (most < heaviest - BEYOND) {
      return;
    }
    double share = Normal.below(z);
    double weight = log + Math.log(2 * share) - Math.log(spread / sd) + z * z / 2;
    heaviest = Math.max(heaviest, weight);
    double lean = Normal.density(z) / share;
    all.add(
        new Possible(
            weight,
            bank.faults().get(f),
            f,
            mean + sd * lean,
            sd * sd * Math.max(0, 1 - lean * (lean + z)),
            s == null ? -1 : s.k,
            s == null ? 0 : SLIP_VARIANCE * s.b / s.held,
            s == null ? 0 : SLIP_VARIANCE * both / s.held,
            s == null ? 0 : SLIP_VARIANCE / s.held));
  }

  /** From logarithms to probabilities; what is negligible goes. */
  private void normalise() {
    double most = all.stream().mapToDouble(Possible::weight).max().orElseThrow();
    double sum = all.stream().mapToDouble(p -> Math.exp(p.weight() - most)).sum();
    double log = most + Math.log(sum);
    List<Possible> kept = new ArrayList<>();
    for (Possible p : all) {
      double weight = Math.exp(p.weight() - log);
      if (weight > NEGLIGIBLE) {
        kept.add(p.weighing(weight));
      }
    }
    kept.sort(Comparator.comparingDouble(p -> -p.weight()));
    if (kept.size() > MOST_KEPT) {
      kept.subList(MOST_KEPT, kept.size()).clear();
    }
    double all = kept.stream().mapToDouble(Possible::weight).sum();
    this.all.clear();
    kept.forEach(p -> this.all.add(p.weighing(p.weight() / all)));
  }

  /** Probability that it has left its set. */
  double failing() {
    return all().stream().filter(p -> p.fault() != null).mapToDouble(Possible::weight).sum();
  }

  /** Probability that its setting at a test was wrong. */
  double slipped(int test) {
    return all().stream()
        .filter(p -> p.slipColumn() >= 0 && bank.tests()[p.slipColumn()] == test)
        .mapToDouble(Possible::weight)
        .sum();
  }

  /** Probability that the setting of its last reading was wrong. */
  double lastSlipped() {
    int[] tests = bank.tests();
    return tests.length == 0 ? 0 : slipped(tests[tests.length - 1]);
  }

  /**
   * Probability that it fell all at once and has not come back, or since its test before the last.
   *
   * @param least smaller falls do not count, ln
   */
  double fell(double least) {
    int[] tests = bank.tests();
    if (tests.length < 2) {
      return 0;
    }
    double since = bank.hours(tests.length - 2);
    return all().stream().filter(p -> p.fallen(since) >= least).mapToDouble(Possible::weight).sum();
  }

  /** How far it fell all at once or since its test before, on average; ln. */
  double fallen() {
    int[] tests = bank.tests();
    double since = tests.length < 2 ? 0 : bank.hours(tests.length - 2);
    return all().stream().mapToDouble(p -> p.weight() * p.fallen(since)).sum();
  }

  /** All accounts worth keeping, the likeliest first. */
  List<Possible> likely() {
    return List.copyOf(all());
  }

  /** Outlook of the spring under every account. */
  Mix mix() {
    Map<Integer, Integer> place = new LinkedHashMap<>();
    List<Possible> placed = new ArrayList<>();
    for (Possible p : all()) {
      placed.add(
          p.placed(
              p.fault() == null ? 0 : place(place, bank.column(p.column())),
              p.slipColumn() < 0 ? 0 : place(place, bank.slipColumn(p.slipColumn()))));
    }
    int[] columns = place.keySet().stream().mapToInt(c -> c).toArray();
    int last = place.getOrDefault(bank.slipColumn(bank.tests().length - 1), 0);
    return new Mix(bank.block().outlook(spring, known, columns), placed, last);
  }

  private static int place(Map<Integer, Integer> place, int column) {
    return place.computeIfAbsent(column, c -> place.size() + 1);
  }
}
