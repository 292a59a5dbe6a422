package shim.core.spring;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import shim.core.unit.Units;

/**
 * A load or height that looks like a slip: of the unit, of the decimal point. A question, never a
 * refusal; but a height under bind cannot be.
 *
 * @param words what is asked
 * @param meant the figure that would fit, lbf or inch
 */
public record LoadQuestion(String words, Optional<Double> meant) {
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
      return ask(
          "%.1f is ten times the %.0f lbf expected: %.1f?", loadLbf, expectedLbf, loadLbf / 10);
    }
    if (slip(0.1, expectedLbf).holds(loadLbf)) {
      return ask(
          "%.1f is a tenth of the %.0f lbf expected: %.1f?", loadLbf, expectedLbf, loadLbf * 10);
    }
    if (slip(Units.NEWTON_PER_LBF, expectedLbf).holds(loadLbf)) {
      return ask(
          "%.0f lbf is far over the %.0f expected; as newtons it is %.1f lbf: was it N?",
          loadLbf, expectedLbf, newton);
    }
    if (slip(KILOGRAM, expectedLbf).holds(loadLbf)) {
      return ask(
          "%.0f lbf is far under the %.0f expected; as kilograms it is %.1f lbf: was it kg?",
          loadLbf, expectedLbf, kilogram);
    }
    return Optional.of(
        new LoadQuestion(
            String.format(
                Locale.ROOT,
                "%.1f lbf where %.0f is expected: is it the right valve, height and spring?",
                loadLbf,
                expectedLbf),
            Optional.empty()));
  }

  /** Asks about a height far from the wanted one. */
  public static Optional<LoadQuestion> height(double heightIn, double expectedIn) {
    if (Math.abs(heightIn / expectedIn - 1) < 0.15) {
      return Optional.empty();
    }
    double mm = heightIn / Units.MM_PER_INCH;
    if (Math.abs(mm / expectedIn - 1) < 0.15) {
      return ask(
          "%.2f in is far over the %.3f expected; %.3f in if it was mm: was it mm?",
          heightIn, expectedIn, mm);
    }
    if (Math.abs(heightIn / 10 / expectedIn - 1) < 0.15) {
      return ask(
          "%.3f is ten times the %.3f in expected: %.3f?", heightIn, expectedIn, heightIn / 10);
    }
    return Optional.of(
        new LoadQuestion(
            String.format(
                Locale.ROOT,
                "a height of %.3f in where %.3f is expected: right?",
                heightIn,
                expectedIn),
            Optional.empty()));
  }

  private static Optional<LoadQuestion> ask(
      String words, double value, double expected, double meant) {
    return Optional.of(
        new LoadQuestion(
            String.format(Locale.ROOT, words, value, expected, meant), Optional.of(meant)));
  }
}
