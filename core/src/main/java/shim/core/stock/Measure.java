package shim.core.stock;

import java.util.OptionalDouble;
import shim.core.unit.Figures;

/**
 * A measure that decides whether a part fits.
 *
 * @param wanted in, or lbf for a load
 * @param below it may be so much less
 * @param above it may be so much more
 */
public record Measure(What what, double wanted, double below, double above) {
  /** What is measured. */
  public enum What {
    BORE,
    OUTER,
    INNER,
    HEIGHT,
    LENGTH,
    THICKNESS,
    LOAD;

    /** Measured in lbf; all others in inches. */
    public boolean load() {
      return this == LOAD;
    }
  }

  /** How a part was found. */
  public enum Found {
    FITS,
    TOO_SMALL,
    TOO_LARGE,
    NOT_MEASURED
  }

  Found judge(OptionalDouble figure) {
    if (figure.isEmpty()) {
      return Found.NOT_MEASURED;
    }
    double f = figure.getAsDouble();
    if (Figures.below(f, wanted - below)) {
      return Found.TOO_SMALL;
    }
    // What is no number fits nothing.
    return Figures.atMost(f, wanted + above) ? Found.FITS : Found.TOO_LARGE;
  }
}
