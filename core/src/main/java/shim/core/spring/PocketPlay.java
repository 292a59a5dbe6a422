package shim.core.spring;

import shim.core.unit.Figures;

/**
 * Play of a spring in its pocket or over its locator: it must turn freely and not dance. About
 * 0.005 is usual. All common practice, no source.
 */
public enum PocketPlay {
  /** The spring is wider than its pocket. */
  WIDER,
  SNUG,
  RIGHT,
  /** It may dance: asked about. */
  MUCH,
  /** Surely a wrong part or a wrong reading. */
  WRONG;

  private static final double SNUG_IN = 0.002;
  private static final double MUCH_IN = 0.010;
  private static final double WRONG_IN = 0.030;

  /** Judges the pocket's diameter less the spring's, inch. */
  public static PocketPlay of(double playIn) {
    if (Figures.below(playIn, 0)) {
      return WIDER;
    }
    if (Figures.below(playIn, SNUG_IN)) {
      return SNUG;
    }
    if (Figures.above(playIn, WRONG_IN)) {
      return WRONG;
    }
    return Figures.above(playIn, MUCH_IN) ? MUCH : RIGHT;
  }

  /** A spring may stand like this. */
  public boolean fits() {
    return this == RIGHT || this == MUCH;
  }
}
