package shim.app.lash;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.crank.Plans;
import shim.app.engine.LayoutView;
import shim.core.crank.School;
import shim.core.engine.Adjuster;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.EntryGauge;
import shim.core.lash.LashTarget;
import shim.core.lash.LashVerdict;
import shim.core.lash.PartChoice;
import shim.core.lash.Preload;
import shim.core.lash.PreloadTarget;
import shim.core.lash.Reading;
import shim.core.lash.Seen;
import shim.core.lash.Trap;
import shim.core.lash.Turn;
import shim.core.lash.ValveAtHand;
import shim.core.unit.Said;

/**
 * A round as every device on it sees it: seen facts and what they mean now.
 *
 * @param plan the stops in working order
 * @param valves in working order
 * @param leavesWhatIsIn house rule: a valve found in is left as found and passed
 * @param trapsFound what to think of when a valve is read as found
 * @param trapsLeft and as left
 * @param changes goes up with each change; of two answers the higher is newer
 */
public record RoundView(
    UUID id,
    UUID engineId,
    String engineName,
    LayoutView layout,
    HeatState state,
    String hand,
    double engineHours,
    @Nullable Double headTempStartF,
    @Nullable Double headTempEndF,
    School school,
    boolean hydraulic,
    Adjuster adjuster,
    double feelerStepIn,
    boolean lookAtSprings,
    @Nullable String note,
    Instant startedAt,
    @Nullable String signedBy,
    @Nullable Instant signedAt,
    @Nullable Double crankDeg,
    @Nullable String crankBy,
    Plans.PlanView plan,
    List<ValveView> valves,
    int done,
    boolean leavesWhatIsIn,
    List<Trap> trapsFound,
    List<Trap> trapsLeft,
    long changes) {

  /**
   * A reading as kept.
   *
   * @param valueIn gap to calculate with, inch; null of a hydraulic valve
   * @param turns back to zero lash
   * @param zeroLashIn pushrod length at zero lash, inch
   * @param version to be named by a correction
   */
  public record ReadingView(
      UUID id,
      Form form,
      @Nullable Double figure,
      @Nullable Double secondFigure,
      Reading.@Nullable Feel feel,
      @Nullable String typed,
      @Nullable Double valueIn,
      @Nullable Double lowIn,
      @Nullable Double highIn,
      @Nullable Double turns,
      @Nullable Double zeroLashIn,
      @Nullable Double partSizeIn,
      String hand,
      @Nullable String note,
      Instant takenAt,
      int version) {}

  /**
   * One valve.
   *
   * @param noTarget why a solid lifter has none
   * @param preloadTarget of a hydraulic lifter
   * @param gauge bounds for a figure whose answer is still on its way
   * @param lastLeftIn as left last time in the same state, inch
   * @param driftIn found minus that, inch
   * @param noDrift why there is no drift
   * @param lastPreload as left last time in the same state, in the target's unit
   * @param preloadDrift found minus that
   * @param partNowIn pushrod or shim now in, inch
   * @param ask a question about the latest figure
   */
  public record ValveView(
      Position position,
      int stop,
      double slackDeg,
      @Nullable LashTarget target,
      @Nullable EntryGauge gauge,
      @Nullable Said noTarget,
      @Nullable PreloadTarget preloadTarget,
      @Nullable Double lastLeftIn,
      @Nullable Double lastLeftHours,
      @Nullable ReadingView found,
      @Nullable ReadingView left,
      ValveAtHand.Status status,
      @Nullable LashVerdict foundVerdict,
      @Nullable LashVerdict leftVerdict,
      @Nullable Double driftIn,
      @Nullable Double driftHours,
      @Nullable String noDrift,
      @Nullable Turn turn,
      @Nullable Preload preload,
      @Nullable Double lastPreload,
      @Nullable Double preloadDrift,
      @Nullable PartChoice part,
      @Nullable Double partNowIn,
      @Nullable Said ask,
      @Nullable Seen spring,
      @Nullable Seen rocker,
      @Nullable String note) {}
}
