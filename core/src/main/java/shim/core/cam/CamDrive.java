package shim.core.cam;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import shim.core.engine.CamCard;

/**
 * What the cam's drive offers to turn it by. A drive marked in cam degrees gives twice that at the
 * crank: the classic doubling.
 *
 * @param offers each step the drive has, as it is marked
 * @param marked what its marks count
 */
public record CamDrive(List<Double> offers, Marked marked) {
  private static final double MOST_DEG = 30;

  /** What the marks of a drive count. */
  public enum Marked {
    CRANK(1),
    CAM(2);

    private final double crankPerMark;

    Marked(double crankPerMark) {
      this.crankPerMark = crankPerMark;
    }
  }

  /**
   * One step and where it puts the cam.
   *
   * @param mark as the drive is marked; positive advances
   * @param crankDeg the same at the crank
   * @param then where the cam stands with it
   * @param offDeg how late it then is of what is wanted, crank degrees; early is negative
   */
  public record Correction(double mark, double crankDeg, Installed then, double offDeg) {}

  public CamDrive {
    offers = offers.stream().distinct().sorted().toList();
    if (offers.isEmpty() || offers.size() > 200) {
      throw new IllegalArgumentException("a drive offers 1 to 200 steps, not " + offers.size());
    }
    for (double o : offers) {
      if (!(Math.abs(o * marked.crankPerMark) <= MOST_DEG)) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT, "a step of %s° cannot be: 30 crank degrees each way are possible", o));
      }
    }
  }

  /** Three keyways: straight up, and four each way, at the crank. */
  public static CamDrive keyways() {
    return new CamDrive(List.of(-4.0, 0.0, 4.0), Marked.CRANK);
  }

  /** A gear with many keyways, two crank degrees apart. */
  public static CamDrive gear(double eachWayDeg) {
    return stepped(eachWayDeg, 2, Marked.CRANK);
  }

  /** Even steps each way: a vernier, or a set of offset bushes. */
  public static CamDrive stepped(double eachWay, double step, Marked marked) {
    if (!(step > 0 && eachWay >= 0 && eachWay <= MOST_DEG && eachWay / step <= 100)) {
      throw new IllegalArgumentException(
          "steps of " + step + "° to " + eachWay + "° each way make no drive");
    }
    int n = (int) Math.floor(eachWay / step + 1e-9);
    return new CamDrive(IntStream.rangeClosed(-n, n).mapToObj(i -> i * step).toList(), marked);
  }

  /**
   * Every step the drive has, the one that comes nearest to what is wanted first; of two as near,
   * the smaller.
   *
   * @param wantedDeg how much earlier than the card the cam is wanted, crank degrees
   */
  public List<Correction> corrections(Installed found, CamCard card, double wantedDeg) {
    List<Correction> all = new ArrayList<>();
    double late = found.lateDeg(card);
    for (double mark : offers) {
      double crank = mark * marked.crankPerMark;
      all.add(new Correction(mark, crank, found.advanced(crank), late - crank + wantedDeg));
    }
    all.sort(
        Comparator.comparingDouble((Correction c) -> Math.rint(Math.abs(c.offDeg()) * 1e6))
            .thenComparingDouble(c -> Math.abs(c.crankDeg())));
    return all;
  }
}
