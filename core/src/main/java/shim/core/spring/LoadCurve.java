package shim.core.spring;

import java.util.Comparator;
import java.util.List;
import shim.core.unit.Figures;

/**
 * Load against height. Between the points of the sheet it runs straight; outside them it goes on
 * with the nearest slope. One point needs a rate.
 *
 * @param points at least two, heights descending, loads ascending
 */
public record LoadCurve(List<At> points) {
  /** A correction over more than this is marked; domain practice, no source. */
  public static final double FAR_IN = 0.010;

  /** Load at one height. */
  public record At(double heightIn, double loadLbf) {}

  /** A load moved to another height, and how. */
  public record Moved(double loadLbf, double rateLbfPerIn, double byIn) {
    /** The correction is large enough to be uncertain itself. */
    public boolean far() {
      return Figures.above(Math.abs(byIn), FAR_IN);
    }
  }

  public LoadCurve {
    points = points.stream().sorted(Comparator.comparingDouble(At::heightIn).reversed()).toList();
    if (points.size() < 2) {
      throw new IllegalArgumentException("a load curve needs two heights");
    }
    for (int i = 1; i < points.size(); i++) {
      At a = points.get(i - 1);
      At b = points.get(i);
      if (!(a.heightIn() > b.heightIn() && b.loadLbf() > a.loadLbf() && a.loadLbf() >= 0)) {
        throw new IllegalArgumentException("load must grow as the height falls");
      }
    }
  }

  /** A straight spring. */
  public static LoadCurve straight(double heightIn, double loadLbf, double rateLbfPerIn) {
    double half = loadLbf / rateLbfPerIn / 2;
    return new LoadCurve(
        List.of(new At(heightIn, loadLbf), new At(heightIn + half, loadLbf - half * rateLbfPerIn)));
  }

  /** Load at a height, lbf; never below zero. */
  public double loadAt(double heightIn) {
    int i = segment(heightIn);
    At a = points.get(i);
    return Math.max(0, a.loadLbf() + rate(i) * (a.heightIn() - heightIn));
  }

  /** Local rate at a height, lbf/in. */
  public double rateAt(double heightIn) {
    return rate(segment(heightIn));
  }

  private int segment(double heightIn) {
    for (int i = 0; i < points.size() - 2; i++) {
      if (heightIn >= points.get(i + 1).heightIn()) {
        return i;
      }
    }
    return points.size() - 2;
  }

  private double rate(int segment) {
    At a = points.get(segment);
    At b = points.get(segment + 1);
    return (b.loadLbf() - a.loadLbf()) / (a.heightIn() - b.heightIn());
  }

  /**
   * What a load read at one height is at another: F + k (h − h_ref) with the curve's own local rate
   * along the way.
   */
  public Moved move(double loadLbf, double fromHeightIn, double toHeightIn) {
    double by = fromHeightIn - toHeightIn;
    double moved = loadLbf + loadAt(toHeightIn) - loadAt(fromHeightIn);
    double rate = by == 0 ? rateAt(toHeightIn) : (loadAt(toHeightIn) - loadAt(fromHeightIn)) / by;
    return new Moved(moved, rate, by);
  }

  /** Rate over all points by least squares, lbf/in. */
  public double rateLbfPerIn() {
    double h = points.stream().mapToDouble(At::heightIn).average().orElseThrow();
    double f = points.stream().mapToDouble(At::loadLbf).average().orElseThrow();
    double hh = 0;
    double hf = 0;
    for (At p : points) {
      hh += (p.heightIn() - h) * (p.heightIn() - h);
      hf += (p.heightIn() - h) * (p.loadLbf() - f);
    }
    return -hf / hh;
  }

  /** Its points do not lie on one line: the rate is not one number. */
  public boolean progressive() {
    for (int i = 1; i < points.size() - 1; i++) {
      if (Math.abs(rate(i) / rate(i - 1) - 1) > 0.05) {
        return true;
      }
    }
    return false;
  }
}
