package shim.core.spring;

import shim.core.unit.Figures;

/**
 * Play of a spring in its pocket or over its locator: it must turn freely and not dance. About
 * 0.005 is usual.
 */
public enum PocketPlay {
  RIGHT,
  /** It may dance: asked about. */
  MUCH,
  SNUG,
  /** Surely a wrong part or a wrong reading. */
  WRONG,
  /** The spring is wider than its pocket. */
  WIDER;

  /**
   * Where each begins, inch. The usual ones are common practice, no source.
   *
   * @param snugIn less is snug
   * @param muchIn more may dance
   * @param wrongIn more is a wrong part
   */
  public record Bounds(double snugIn, double muchIn, double wrongIn) {
    public static final Bounds USUAL = new Bounds(0.002, 0.010, 0.030);

    public Bounds {
      if (!(snugIn >= 0 && snugIn <= muchIn && muchIn <= wrongIn)) {
        throw new IllegalArgumentException(
            "play that is snug, much and surely wrong must grow in this order");
      }
    }
  }

  /** Judges the pocket's diameter less the spring's, inch. */
  public static PocketPlay of(double playIn, Bounds bounds) {
    if (Figures.below(playIn, 0)) {
      return WIDER;
    }
    if (Figures.below(playIn, bounds.snugIn())) {
      return SNUG;
    }
    if (Figures.above(playIn, bounds.wrongIn())) {
      return WRONG;
    }
    return Figures.above(playIn, bounds.muchIn()) ? MUCH : RIGHT;
  }

  /** A spring may stand like this. */
  public boolean fits() {
    return this == RIGHT || this == MUCH;
  }
}
