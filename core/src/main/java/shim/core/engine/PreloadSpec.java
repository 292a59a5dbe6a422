package shim.core.engine;

import org.jspecify.annotations.Nullable;

/**
 * What the preload of a hydraulic lifter should be. Where an adjuster is turned it is counted in
 * turns from zero lash, else it is the plunger's travel in inch.
 *
 * @param from least preload that is in
 * @param to most preload that is in
 * @param aim what is aimed for
 * @param use what it is chosen for; null where nobody said
 * @param source whose figure it is; null where nobody said
 * @param aboveZero no preload at all is never in
 * @param ruled a class rule asks for preload above zero: none is refused
 * @param pushrodIntakeIn pushrod in at the intakes, inch, where shims under the pedestal set it
 */
public record PreloadSpec(
    Unit unit,
    double from,
    double to,
    double aim,
    @Nullable Use use,
    @Nullable String source,
    boolean aboveZero,
    boolean ruled,
    @Nullable Double pushrodIntakeIn,
    @Nullable Double pushrodExhaustIn) {
  /** A preload this near to the one wanted is in, turns; common practice, no source. */
  public static final double USUAL_TOLERANCE_TURNS = 0.125;

  /** Where nobody wrote a length: the middle half of the plunger's travel; common practice. */
  static final double USUAL_FROM = 0.25;

  static final double USUAL_TO = 0.75;

  /** What a preload is counted in. */
  public enum Unit {
    TURNS,
    /** Travel of the plunger, inch. */
    INCH
  }

  /** What a preload is chosen for. */
  public enum Use {
    HIGH_REVS,
    STANDARD,
    LIMITED_TRAVEL
  }

  public @Nullable Double pushrodIn(ValveKind kind) {
    return kind == ValveKind.INTAKE ? pushrodIntakeIn : pushrodExhaustIn;
  }
}
