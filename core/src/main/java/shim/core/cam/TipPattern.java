package shim.core.cam;

import java.util.List;
import java.util.stream.IntStream;

/**
 * The mark a rocker wipes on the valve's tip, of a rocker on a stud, whose pushrod's length turns
 * it as a whole. A rocker of arm a turns through L/a for a lift L; its tip goes sideways by a cos
 * of its angle to the square position. The mark is narrowest when the square position is passed at
 * half lift; a longer or shorter rod turns the rocker by e = ΔL r/a and widens it. On a shaft only
 * the stand's height does the same.
 *
 * @param armIn from fulcrum to tip, inch
 * @param liftIn at the valve, inch
 * @param ratio rocker ratio
 */
public record TipPattern(double armIn, double liftIn, double ratio) {
  /** A mark is looked for this far off its best rod, inch. */
  private static final double REACH_IN = 0.200;

  /**
   * @param rodIn so much longer than the rod with the narrowest mark
   * @param widthIn width of the mark
   * @param shiftIn how far its middle has moved from where the narrowest lies: away from the
   *     fulcrum with a shorter rod, towards it with a longer one, below and above the square alike
   */
  public record Mark(double rodIn, double widthIn, double shiftIn) {}

  public TipPattern {
    if (!(armIn > 0.5 && armIn < 4 && liftIn > 0.1 && liftIn < 1.5 && ratio > 0.8 && ratio < 3)) {
      throw new IllegalArgumentException(
          "an arm of {" + armIn + " in} at a lift of {" + liftIn + " in} makes no rocker");
    }
  }

  /** The mark with a rod so much longer than the best. */
  public Mark at(double rodIn) {
    double half = liftIn / armIn / 2;
    double turned = rodIn * ratio / armIn;
    double from = turned - half;
    double to = turned + half;
    double ends = Math.min(Math.cos(from), Math.cos(to));
    double most = from <= 0 && to >= 0 ? 1 : Math.max(Math.cos(from), Math.cos(to));
    double middle = armIn * (most + ends) / 2;
    return new Mark(rodIn, armIn * (most - ends), middle - armIn * (1 + Math.cos(half)) / 2);
  }

  /** How far a rod may be off, either way, for a mark of this width, inch; nothing is narrower. */
  public double offFor(double widthIn) {
    double low = 0;
    double high = REACH_IN;
    for (int i = 0; i < 60; i++) {
      double mid = (low + high) / 2;
      if (at(mid).widthIn() < widthIn) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return (low + high) / 2;
  }

  /** Marks to hold beside the one that was found, in even steps each way. */
  public List<Mark> marks(double stepIn, int eachWay) {
    return IntStream.rangeClosed(-eachWay, eachWay).mapToObj(i -> at(i * stepIn)).toList();
  }
}
