package shim.core.lash;

import java.util.Locale;

/**
 * A lash reading is an interval: leaves are discrete and a thumb is a soft judge. All inch.
 *
 * <p>Convention (models.md of the project, common practice): a go/no-go pair bounds the gap; one
 * leaf g that drags right leaves the gap in [g, g + step), one that is snug in [g - step/2, g +
 * step/2). A loose leaf bounds it from below only and asks for the next leaf. A bare figure is
 * taken as good to half a step each way.
 */
public sealed interface Reading {
  /** Least gap the reading allows, inch. */
  double lowIn();

  /** Most gap the reading allows, inch. */
  double highIn();

  /** The figure to calculate with, inch. */
  default double valueIn() {
    return (lowIn() + highIn()) / 2;
  }

  /** A figure as said: the leaf that felt right. */
  record Figure(double figureIn, double stepIn) implements Reading {
    public Figure {
      requireGap(figureIn);
    }

    @Override
    public double lowIn() {
      return Math.max(0, figureIn - stepIn / 2);
    }

    @Override
    public double highIn() {
      return figureIn + stepIn / 2;
    }

    @Override
    public double valueIn() {
      return figureIn;
    }
  }

  /** One leaf goes, the next does not. */
  record GoNoGo(double goIn, double noGoIn) implements Reading {
    public GoNoGo {
      requireGap(goIn);
      if (!(noGoIn > goIn)) {
        throw new LashException(
            String.format(
                Locale.ROOT,
                "the leaf that does not go ({%.4f in}) must be thicker than the one that goes ({%.4f"
                    + " in})",
                noGoIn,
                goIn));
      }
    }

    @Override
    public double lowIn() {
      return goIn;
    }

    @Override
    public double highIn() {
      return noGoIn;
    }
  }

  /** How one leaf feels. */
  enum Feel {
    SNUG,
    RIGHT,
    LOOSE
  }

  /** One leaf and how it feels; {@code LOOSE} is no reading yet. */
  record Leaf(double leafIn, Feel feel, double stepIn) implements Reading {
    public Leaf {
      requireGap(leafIn);
      if (feel == Feel.LOOSE) {
        throw new LashException(
            String.format(
                Locale.ROOT,
                "a loose %.4f only says the gap is wider: try the next leaf, %.4f",
                leafIn,
                leafIn + stepIn));
      }
    }

    @Override
    public double lowIn() {
      return feel == Feel.SNUG ? Math.max(0, leafIn - stepIn / 2) : leafIn;
    }

    @Override
    public double highIn() {
      return feel == Feel.SNUG ? leafIn + stepIn / 2 : leafIn + stepIn;
    }
  }

  private static void requireGap(double valueIn) {
    if (!(valueIn >= 0 && valueIn < 1)) {
      throw new LashException(
          String.format(Locale.ROOT, "a lash of {%.4f in} cannot be: {0 in} to {1 in}", valueIn));
    }
  }
}
