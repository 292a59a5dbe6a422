package shim.core.spring;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import shim.core.unit.Units;

/**
 * A load or height that looks like a slip: of the unit, of the decimal point. A question, never a
 * refusal; but a height under bind cannot be.
 *
 * @param read figure in question, lbf or inch; {@code expected} and {@code meant} likewise
 * @param meant the figure that would fit
 */
public record LoadQuestion(Code code, double read, double expected, Optional<Double> meant) {
  /** What it looks like. */
  public enum Code {
    TEN_TIMES,
    TENTH,
    NEWTON,
    KILOGRAM,
    MILLIMETRE,
    /** Another valve, height or spring. */
    ELSE,
    /** Possible, but nothing predicted it: to be set up and read once more. */
    READ_AGAIN
  }

  private static final double EXPECTED = 0.3;

  /** Taken for another unit or point only when that lands this near. */
  private static final double NEAR = 0.15;

  /** Least load at a height that is taken without a question, lbf. */
  public static double plainFromLbf(double expectedLbf) {
    return expectedLbf * (1 - EXPECTED);
  }

  /** Most load at a height that is taken without a question, lbf. */
  public static double plainToLbf(double expectedLbf) {
    return expectedLbf * (1 + EXPECTED);
  }

  /** Loads between two bounds, lbf. */
  public record Between(double fromLbf, double toLbf) {
    boolean holds(double loadLbf) {
      return loadLbf > fromLbf && loadLbf < toLbf;
    }
  }

  private static final double KILOGRAM = Units.NEWTON_PER_LBF / Units.NEWTON_PER_KGF;

  /** What a load reads as when it is this slip, as a multiple of what is meant. */
  private static Between slip(double factor, double expectedLbf) {
    return new Between(expectedLbf * factor * (1 - NEAR), expectedLbf * factor * (1 + NEAR));
  }

  /**
   * Where a load is taken for a slip of the point or the unit, and the figure for meant otherwise.
   */
  public static List<Between> slips(double expectedLbf) {
    return Stream.of(10.0, 0.1, Units.NEWTON_PER_LBF, KILOGRAM)
        .map(f -> slip(f, expectedLbf))
        .toList();
  }

  /** Asks about a load that is far from what the spring gives at that height. */
  public static Optional<LoadQuestion> load(double loadLbf, double expectedLbf) {
    if (loadLbf > plainFromLbf(expectedLbf) && loadLbf < plainToLbf(expectedLbf)) {
      return Optional.empty();
    }
    double newton = loadLbf / Units.NEWTON_PER_LBF;
    double kilogram = loadLbf * Units.NEWTON_PER_KGF / Units.NEWTON_PER_LBF;
    if (slip(10, expectedLbf).holds(loadLbf)) {
      return ask(Code.TEN_TIMES, loadLbf, expectedLbf, loadLbf / 10);
    }
    if (slip(0.1, expectedLbf).holds(loadLbf)) {
      return ask(Code.TENTH, loadLbf, expectedLbf, loadLbf * 10);
    }
    if (slip(Units.NEWTON_PER_LBF, expectedLbf).holds(loadLbf)) {
      return ask(Code.NEWTON, loadLbf, expectedLbf, newton);
    }
    if (slip(KILOGRAM, expectedLbf).holds(loadLbf)) {
      return ask(Code.KILOGRAM, loadLbf, expectedLbf, kilogram);
    }
    return Optional.of(new LoadQuestion(Code.ELSE, loadLbf, expectedLbf, Optional.empty()));
  }

  /** A load that is no slip but was not predicted. */
  public static LoadQuestion again(double loadLbf, double expectedLbf) {
    return new LoadQuestion(Code.READ_AGAIN, loadLbf, expectedLbf, Optional.empty());
  }

  /** Asks about a height far from the wanted one. */
  public static Optional<LoadQuestion> height(double heightIn, double expectedIn) {
    if (Math.abs(heightIn / expectedIn - 1) < NEAR) {
      return Optional.empty();
    }
    double mm = heightIn / Units.MM_PER_INCH;
    if (Math.abs(mm / expectedIn - 1) < NEAR) {
      return ask(Code.MILLIMETRE, heightIn, expectedIn, mm);
    }
    if (Math.abs(heightIn / 10 / expectedIn - 1) < NEAR) {
      return ask(Code.TEN_TIMES, heightIn, expectedIn, heightIn / 10);
    }
    return Optional.of(new LoadQuestion(Code.ELSE, heightIn, expectedIn, Optional.empty()));
  }

  private static Optional<LoadQuestion> ask(Code code, double read, double expected, double meant) {
    return Optional.of(new LoadQuestion(code, read, expected, Optional.of(meant)));
  }
}
