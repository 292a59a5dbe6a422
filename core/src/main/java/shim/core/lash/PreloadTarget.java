package shim.core.lash;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.PreloadSpec;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;

/**
 * What the preload of a kind of valve should be, in the unit it is counted in: turns of the
 * adjuster from zero lash, or the plunger's travel in inch where nothing turns.
 *
 * @param from least that is in
 * @param to most that is in
 * @param aim what is aimed for
 * @param bottom from here on the plunger is at its end
 * @param perUnitIn travel of the plunger for one of the unit, inch
 * @param use what it was chosen for; null where nobody said
 * @param source whose figure it is; null where nobody said
 * @param aboveZero no preload at all is never in
 * @param ruled a class rule asks for preload above zero: none is refused
 */
public record PreloadTarget(
    ValveKind kind,
    PreloadSpec.Unit unit,
    double from,
    double to,
    double aim,
    double bottom,
    double perUnitIn,
    PreloadSpec.@Nullable Use use,
    @Nullable String source,
    boolean aboveZero,
    boolean ruled) {

  /** Empty where the engine has no hydraulic lifters, or its adjuster is not written down. */
  public static Optional<PreloadTarget> of(Engine.Drive drive, ValveKind kind) {
    PreloadSpec spec = drive.preload();
    Double travel = drive.plungerTravelIn();
    if (spec == null || travel == null) {
      return Optional.empty();
    }
    double perUnit = 1;
    if (spec.unit() == PreloadSpec.Unit.TURNS) {
      if (drive.thread() == null) {
        return Optional.empty();
      }
      perUnit = Turn.plungerPerTurnIn(drive.adjuster(), drive.thread(), drive.ratio(kind));
    }
    return Optional.of(
        new PreloadTarget(
            kind,
            spec.unit(),
            spec.from(),
            spec.to(),
            spec.aim(),
            travel / perUnit,
            perUnit,
            spec.use(),
            spec.source(),
            spec.aboveZero(),
            spec.ruled()));
  }

  /** Of both kinds, intake first; none where the engine has no hydraulic lifters. */
  public static List<PreloadTarget> both(Engine.Drive drive) {
    return Stream.of(ValveKind.values()).flatMap(k -> of(drive, k).stream()).toList();
  }

  /** Judges a preload in the unit it is counted in. */
  public LashVerdict judge(double preload) {
    if (Figures.atLeast(preload, bottom)) {
      return LashVerdict.BOTTOMED;
    }
    if (aboveZero ? !Figures.above(preload, 0) : Figures.below(preload, 0)) {
      return LashVerdict.NO_PRELOAD;
    }
    if (Figures.below(preload, from)) {
      return LashVerdict.SHALLOW;
    }
    return Figures.above(preload, to) ? LashVerdict.DEEP : LashVerdict.IN;
  }

  /** Travel of the plunger a preload makes, inch. */
  public double travelIn(double preload) {
    return preload * perUnitIn;
  }

  /** Refuses a preload no valve may be left with: at the plunger's end, or none against a rule. */
  public void refuseAsLeft(double preload) {
    LashVerdict verdict = judge(preload);
    if (verdict == LashVerdict.BOTTOMED) {
      throw new LashException(
          String.format(
              Locale.ROOT,
              "%s the plunger {%.4f in}, but it has only {%.4f in}: it would bottom and hold the"
                  + " valve open",
              unit == PreloadSpec.Unit.TURNS
                  ? String.format(Locale.ROOT, "%.2f turns push", preload)
                  : "this pushes",
              travelIn(preload),
              travelIn(bottom)));
    }
    if (verdict == LashVerdict.NO_PRELOAD && ruled) {
      throw new LashException("the class rule asks for preload above zero: this leaves none");
    }
  }

  /**
   * Preload with a part in, from the zero-lash length measured at the valve; inch of plunger. A
   * longer pushrod adds what it is longer, a thicker shim under the pedestal takes {@code 1 + 1/r}
   * of its thickness off.
   *
   * @param zeroLashIn length of an adjustable pushrod at zero lash
   * @param partFoundIn pushrod or shim that was in when it was measured
   * @param partIn pushrod or shim that is in
   * @return empty where the pushrod's length is not known
   */
  public static OptionalDouble withPart(
      Engine.Drive drive, ValveKind kind, double zeroLashIn, double partFoundIn, double partIn) {
    if (drive.adjuster() == Adjuster.PUSHROD_LENGTH) {
      return OptionalDouble.of(partIn - zeroLashIn);
    }
    PreloadSpec spec = drive.preload();
    Double pushrod = spec == null ? null : spec.pushrodIn(kind);
    return pushrod == null
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            pushrod
                - zeroLashIn
                - (partIn - partFoundIn) * drive.adjuster().plungerPerInch(drive.ratio(kind)));
  }
}
