package shim.core.lash;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import shim.core.engine.Adjuster;

/**
 * Lash set by exchanging a part: a pushrod of another length, a shim under a pedestal, a bucket
 * shim. Where r is the rocker ratio: a pushrod longer by d takes up d·r; a pedestal shim thicker by
 * d opens d·(1 + r); a bucket shim thicker by d takes up d.
 *
 * @param wantedSizeIn size that would give the target exactly, inch
 * @param options sizes to be had, nearest lash first
 * @param right what is in is within tolerance
 * @param oneOff no size to be had comes within tolerance
 */
public record PartChoice(double wantedSizeIn, List<Option> options, boolean right, boolean oneOff) {

  /** A size to be had and the lash it would give; inch. */
  public record Option(double sizeIn, double lashIn, boolean withinTolerance) {}

  public PartChoice {
    options = List.copyOf(options);
  }

  /** Lash change for a part larger by one inch, inch per inch; below zero closes. */
  public static double lashPerSize(Adjuster adjuster, double ratio) {
    return switch (adjuster) {
      case PUSHROD_LENGTH -> -ratio;
      case BUCKET_SHIM -> -1;
      case PEDESTAL_SHIM -> 1 + ratio;
      case SCREW_VALVE_END, SCREW_PUSHROD_END, FULCRUM_NUT ->
          throw new IllegalArgumentException("a " + adjuster.words() + " is turned, not exchanged");
    };
  }

  /**
   * @param presentIn size now in, inch
   * @param sizesIn sizes to be had, inch
   */
  public static PartChoice of(
      Adjuster adjuster,
      double ratio,
      double foundIn,
      LashTarget target,
      double presentIn,
      List<Double> sizesIn) {
    double perSize = lashPerSize(adjuster, ratio);
    double wanted = presentIn + (target.targetIn() - foundIn) / perSize;
    if (!(wanted >= 0)) {
      throw new LashException(
          String.format(
              Locale.ROOT,
              "a lash of {%.4f in} over a part of {%.4f in} would want a part below zero: check both",
              foundIn,
              presentIn));
    }
    List<Option> options =
        sizesIn.stream()
            .map(s -> option(s, foundIn + perSize * (s - presentIn), target))
            .sorted(Comparator.comparingDouble(o -> Math.abs(o.lashIn() - target.targetIn())))
            .toList();
    boolean anyFits = options.stream().anyMatch(Option::withinTolerance);
    boolean right = target.judge(foundIn) == LashVerdict.IN;
    return new PartChoice(wanted, options, right, !right && !anyFits);
  }

  private static Option option(double sizeIn, double lashIn, LashTarget target) {
    return new Option(sizeIn, lashIn, target.judge(lashIn) == LashVerdict.IN);
  }
}
