package shim.core.spring;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A spring's data sheet as written down; every field may be missing. {@link SpringCheck} reads it
 * into a {@link SpringType}.
 *
 * @param referenceHeightIn height at which loads are compared; blank takes the seat load's height
 * @param rateLbfPerIn as printed
 * @param bindIn height at coil bind of the whole spring
 * @param odIn largest outside diameter
 * @param maxLiftIn largest lift the maker allows
 * @param leastSeatLbf least load at the reference height
 * @param lossPercent largest loss allowed; blank takes 10
 */
public record SpringSheet(
    @Nullable String name,
    @Nullable Form form,
    @Nullable Double freeLengthIn,
    @Nullable List<LoadPoint> loads,
    @Nullable Double referenceHeightIn,
    @Nullable Double rateLbfPerIn,
    @Nullable Double bindIn,
    @Nullable Double odIn,
    @Nullable List<Wire> wires,
    @Nullable Double maxLiftIn,
    @Nullable Double lifeHours,
    @Nullable Double lossPercent,
    @Nullable Double leastSeatLbf) {

  /** How a spring is made. */
  public enum Form {
    SINGLE,
    SINGLE_WITH_DAMPER,
    DUAL,
    DUAL_WITH_DAMPER,
    TRIPLE,
    BEEHIVE,
    CONICAL;

    /** A damper is built into it. */
    public boolean damped() {
      return this == SINGLE_WITH_DAMPER || this == DUAL_WITH_DAMPER;
    }

    /** Springs inside each other, which rub and so damp surge near bind. */
    public boolean nested() {
      return switch (this) {
        case DUAL, DUAL_WITH_DAMPER, TRIPLE -> true;
        case SINGLE, SINGLE_WITH_DAMPER, BEEHIVE, CONICAL -> false;
      };
    }
  }

  /** One printed load. */
  public record LoadPoint(@Nullable Double heightIn, @Nullable Double loadLbf) {}

  /**
   * One spring of a nest, outer first.
   *
   * @param loads it shows alone, as measured
   * @param stepIn how much lower it stands than the outer, by steps of retainer and seat
   */
  public record Wire(
      @Nullable Double wireIn,
      @Nullable Double odIn,
      @Nullable Double coils,
      @Nullable Double bindIn,
      @Nullable List<LoadPoint> loads,
      @Nullable Double stepIn) {}
}
