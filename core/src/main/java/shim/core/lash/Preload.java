package shim.core.lash;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.ValveKind;

/**
 * Preload of one valve as it is, against what is wanted. As found is the turns back to zero lash,
 * or the pushrod less the length at zero lash: the plunger hides wear.
 *
 * @param preload in the target's unit
 * @param change what is missing to the aim; above zero tightens
 * @param travelIn travel of the plunger it makes, inch
 * @param hotTravelIn what is left of it hot: growth g at the valve takes g / r off, inch
 * @param parts where a part is exchanged
 */
public record Preload(
    double preload,
    LashVerdict verdict,
    double change,
    double travelIn,
    double hotTravelIn,
    @Nullable PreloadParts parts) {
  /** Over any preload in use; a larger figure is a slip, turns. Common practice, no source. */
  private static final double MOST_TURNS = 20;

  /**
   * Which part to fit.
   *
   * @param wantedSizeIn size that would give the aim exactly, inch
   * @param sizes sizes to be had, nearest to the aim first
   * @param oneOff none to be had is in
   */
  public record PreloadParts(double wantedSizeIn, List<PreloadSize> sizes, boolean oneOff) {
    public PreloadParts {
      sizes = List.copyOf(sizes);
    }
  }

  /** A size to be had and the plunger travel it would give; inch. */
  public record PreloadSize(double sizeIn, double travelIn, LashVerdict verdict) {}

  /**
   * What was measured at a valve where nothing turns: once, as a rule as found; the part that is in
   * then tells the rest. All inch.
   */
  public record Length(double zeroLashIn, double partFoundIn, double partIn) {
    /**
     * @param partIn in now; empty where it is the one that was found
     * @return empty before it was measured, or where nobody knows what was in
     */
    static Optional<Length> of(
        OptionalDouble zeroLashIn, Optional<Double> partFoundIn, OptionalDouble partIn) {
      return zeroLashIn.isEmpty()
          ? Optional.empty()
          : partFoundIn.map(was -> new Length(zeroLashIn.getAsDouble(), was, partIn.orElse(was)));
    }

    /** The preload it makes, inch of plunger; empty where the pushrod's length is not known. */
    OptionalDouble preload(Engine.Drive drive, ValveKind kind) {
      return PreloadTarget.withPart(drive, kind, zeroLashIn, partFoundIn, partIn);
    }

    private Length fitted(double sizeIn) {
      return new Length(zeroLashIn, partFoundIn, sizeIn);
    }
  }

  /**
   * @param turns turns back to zero lash, zero or more
   * @param growthIn hot minus cold lash at the valve, inch, above zero where heat opens it
   */
  public static Preload ofTurns(PreloadTarget target, double turns, double growthIn, double ratio) {
    requireTurns(turns);
    return of(target, turns, growthIn, ratio, null);
  }

  /** Refuses what cannot be a count of turns. */
  public static void requireTurns(double turns) {
    if (!(turns >= 0 && turns < MOST_TURNS)) {
      throw new LashException(
          String.format(Locale.ROOT, "%.2f turns back to zero lash cannot be: 0 to 20", turns));
    }
  }

  /** Where nothing turns; empty where the pushrod's length is not known. */
  public static Optional<Preload> ofLength(
      Engine.Drive drive, PreloadTarget target, Length length, double growthIn) {
    OptionalDouble now = length.preload(drive, target.kind());
    return now.isEmpty()
        ? Optional.empty()
        : Optional.of(
            of(
                target,
                now.getAsDouble(),
                growthIn,
                drive.ratio(target.kind()),
                parts(drive, target, length, now.getAsDouble())));
  }

  private static Preload of(
      PreloadTarget target,
      double preload,
      double growthIn,
      double ratio,
      @Nullable PreloadParts parts) {
    double travel = target.travelIn(preload);
    return new Preload(
        preload,
        target.judge(preload),
        target.aim() - preload,
        travel,
        travel - growthIn / ratio,
        parts);
  }

  private static PreloadParts parts(
      Engine.Drive drive, PreloadTarget target, Length length, double now) {
    double perSize =
        drive.adjuster() == Adjuster.PUSHROD_LENGTH
            ? 1
            : -drive.adjuster().plungerPerInch(drive.ratio(target.kind()));
    double wanted = length.partIn + (target.aim() - now) / perSize;
    List<PreloadSize> sizes =
        drive.partSizesIn().stream()
            .flatMap(s -> size(target, s, length.fitted(s).preload(drive, target.kind())).stream())
            .sorted(Comparator.comparingDouble(o -> Math.abs(o.travelIn - target.aim())))
            .toList();
    return new PreloadParts(
        wanted, sizes, sizes.stream().noneMatch(o -> o.verdict == LashVerdict.IN));
  }

  private static Optional<PreloadSize> size(
      PreloadTarget target, double sizeIn, OptionalDouble preload) {
    return preload.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new PreloadSize(
                sizeIn,
                target.travelIn(preload.getAsDouble()),
                target.judge(preload.getAsDouble())));
  }

  /** What heat opens at a valve that is set cold, inch; nothing for one that is set hot. */
  static double growthIn(Engine.Rules rules, ValveKind kind, HeatState state, Growth growth) {
    return state == HeatState.COLD
        ? -LashTarget.conversion(rules, kind, growth).coldMinusHotIn()
        : 0;
  }
}
