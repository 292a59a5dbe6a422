package shim.core.spring;

import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * What a team asks of a spring's clearances, inch. The usual figures are common practice, no
 * source.
 *
 * @param bindIn least clearance to coil bind at full lift; below it is asked about
 * @param bindStopIn below this it does not run; some accept it down to here
 * @param coilGapIn least gap between the two lowest coils at full lift, by feeler
 * @param sealIn least gap of retainer and seal at full lift
 * @param play of a spring in its pocket
 */
public record FitLimits(
    double bindIn, double bindStopIn, double coilGapIn, double sealIn, PocketPlay.Bounds play) {
  public static final FitLimits USUAL =
      new FitLimits(0.060, 0.040, 0.080, 0.050, PocketPlay.Bounds.USUAL);

  /** As a team wrote them down; a blank takes the usual. */
  public record Sheet(
      @Nullable Double bindIn,
      @Nullable Double bindStopIn,
      @Nullable Double coilGapIn,
      @Nullable Double sealIn,
      @Nullable Double snugPlayIn,
      @Nullable Double muchPlayIn,
      @Nullable Double wrongPlayIn) {
    /** Nothing settled. */
    public static final Sheet BLANK = new Sheet(null, null, null, null, null, null, null);

    public FitLimits read() {
      double bind = or(bindIn, USUAL.bindIn);
      PocketPlay.Bounds usual = USUAL.play;
      double much = or(muchPlayIn, Math.max(usual.muchIn(), or(snugPlayIn, 0)));
      return new FitLimits(
          bind,
          or(bindStopIn, Math.min(bind, USUAL.bindStopIn)),
          or(coilGapIn, USUAL.coilGapIn),
          or(sealIn, USUAL.sealIn),
          new PocketPlay.Bounds(
              or(snugPlayIn, Math.min(much, usual.snugIn())),
              much,
              or(wrongPlayIn, Math.max(much, usual.wrongIn()))));
    }

    private static double or(@Nullable Double typed, double usual) {
      return Objects.requireNonNullElse(typed, usual);
    }
  }

  public FitLimits {
    if (!(bindStopIn >= 0 && bindStopIn <= bindIn)) {
      throw new IllegalArgumentException(
          "the clearance to bind that does not run is not above the one that is asked about");
    }
  }
}
