package shim.core.fatigue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What the check spring says of the tester in one test.
 *
 * @param gainLn ln of reading over truth, near the test load
 * @param sd its standard uncertainty, ln
 * @param movedLn end over start, ln; empty with one side only
 */
public record TesterDay(double gainLn, double sd, OptionalDouble movedLn) {
  /**
   * Further off than this, the check spring, its load or the height is wrong rather than the
   * tester.
   */
  public static final double ABSURD_LN = 0.2;

  /** Side of the test on which the check spring was read. */
  public enum Side {
    START,
    END
  }

  /**
   * One reading of a check spring. How well its load is known is the same every day: it shifts all
   * loads alike and cancels in every loss.
   *
   * @param knownLbf its load at the height it was read at
   */
  public record Check(double knownLbf, double readLbf, Side side) {
    public Check {
      if (!(knownLbf > 0 && knownLbf < 1e6) || !(readLbf > 0 && readLbf < 1e6)) {
        throw new IllegalArgumentException(
            "a check spring of " + knownLbf + " lbf that reads " + readLbf + " lbf cannot be");
      }
    }

    double ln() {
      return Math.log(readLbf / knownLbf);
    }

    /** Known load over reading: what a reading near it is multiplied by. */
    public double correction() {
      return knownLbf / readLbf;
    }
  }

  /**
   * The day as its check readings show it, near a load. With two loads the gain is taken on the
   * line through both, so a zero that has moved is not mistaken for a gain.
   *
   * @param nearLbf load at which the springs are read
   * @return empty without a check reading
   */
  public static Optional<TesterDay> of(List<Check> checks, double nearLbf) {
    if (checks.isEmpty()) {
      return Optional.empty();
    }
    OptionalDouble start = mean(checks, Side.START);
    OptionalDouble end = mean(checks, Side.END);
    OptionalDouble moved =
        start.isPresent() && end.isPresent()
            ? OptionalDouble.of(end.getAsDouble() - start.getAsDouble())
            : OptionalDouble.empty();
    double gain = Line.through(checks).lnAt(nearLbf);
    double read = Spreads.CHECK / Math.sqrt(checks.size());
    double crept = moved.orElse(0) / Math.sqrt(12);
    return Optional.of(new TesterDay(gain, Math.sqrt(read * read + crept * crept), moved));
  }

  private static OptionalDouble mean(List<Check> checks, Side side) {
    return checks.stream().filter(c -> c.side() == side).mapToDouble(Check::ln).average();
  }

  /** What a reading of this day is multiplied by. */
  public double correction() {
    return Math.exp(-gainLn);
  }

  /** Reading as a line over known load; through zero when only one load was checked. */
  private record Line(double slope, double zeroLbf) {
    static Line through(List<Check> checks) {
      double x = checks.stream().mapToDouble(Check::knownLbf).average().orElseThrow();
      double y = checks.stream().mapToDouble(Check::readLbf).average().orElseThrow();
      double xx = 0;
      double xy = 0;
      for (Check c : checks) {
        xx += (c.knownLbf() - x) * (c.knownLbf() - x);
        xy += (c.knownLbf() - x) * (c.readLbf() - y);
      }
      boolean apart = xx > 0.01 * x * x;
      double slope = apart ? xy / xx : y / x;
      return new Line(slope, apart ? y - slope * x : 0);
    }

    double lnAt(double loadLbf) {
      return Math.log((zeroLbf + slope * loadLbf) / loadLbf);
    }
  }
}
