package shim.core.drift;

import shim.core.lash.LashException;
import shim.core.lash.Reading;

/**
 * A reading as the interval it leaves open.
 *
 * @param lowThou the gap is no less, thou
 * @param highThou and no more, thou
 */
public record Gap(double lowThou, double highThou) {
  private static final double INCH_TO_THOU = 1000;

  public Gap {
    if (!(lowThou >= 0 && highThou >= lowThou && highThou < INCH_TO_THOU)) {
      throw new LashException(
          "a gap from " + lowThou + " to " + highThou + " thou cannot be: 0 to 1000, low first");
    }
  }

  public static Gap of(Reading reading) {
    return new Gap(reading.lowIn() * INCH_TO_THOU, reading.highIn() * INCH_TO_THOU);
  }

  /** A figure good to half a leaf each way, thou. */
  public static Gap about(double thou, double leafThou) {
    return new Gap(Math.max(0, thou - leafThou / 2), thou + leafThou / 2);
  }

  double middleThou() {
    return (lowThou + highThou) / 2;
  }

  /** Variance of a flat distribution over the interval, thou². */
  double widthVariance() {
    double w = highThou - lowThou;
    return w * w / 12;
  }
}
