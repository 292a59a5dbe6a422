package shim.core.cam;

import java.util.List;
import shim.core.unit.Figures;

/**
 * A lobe's centreline by wheel and dial: halfway between two equal lifts before and after the nose,
 * at one height or more. Heights that differ by over {@value #AGREE_DEG} degree mean a lopsided
 * lobe or a wrong reading.
 *
 * @param pairs one for each height, as read
 */
public record Centreline(List<Pair> pairs) {
  /** Two heights agree within this, crank degrees. */
  public static final double AGREE_DEG = 1;

  /**
   * Wheel readings at one height, crank degrees after gas-exchange TDC; negative before it.
   *
   * @param underNoseIn how far under full lift, inch
   * @param upDeg on the way up to the nose
   * @param downDeg on the way down from it
   */
  public record Pair(double underNoseIn, double upDeg, double downDeg) {
    public Pair {
      if (!(underNoseIn > 0 && underNoseIn < 1)) {
        throw new IllegalArgumentException(
            "{" + underNoseIn + " in} under the nose is no height to read at");
      }
      if (!(upDeg > -360 && downDeg < 360 && downDeg > upDeg)) {
        throw new IllegalArgumentException(
            "up at "
                + upDeg
                + "° and down at "
                + downDeg
                + "°: the reading on the way down comes after the one on the way up");
      }
    }

    public double middleDeg() {
      return (upDeg + downDeg) / 2;
    }
  }

  public Centreline {
    pairs = List.copyOf(pairs);
    if (pairs.isEmpty()) {
      throw new IllegalArgumentException("a centreline needs a reading on each side of the nose");
    }
  }

  /** Mean over the heights, crank degrees after gas-exchange TDC. */
  public double atdcDeg() {
    return pairs.stream().mapToDouble(Pair::middleDeg).average().orElseThrow();
  }

  /** How far the heights are apart, crank degrees. */
  public double apartDeg() {
    return pairs.stream().mapToDouble(Pair::middleDeg).max().orElseThrow()
        - pairs.stream().mapToDouble(Pair::middleDeg).min().orElseThrow();
  }

  /** The heights say the same. */
  public boolean agree() {
    return Figures.atMost(apartDeg(), AGREE_DEG);
  }
}
