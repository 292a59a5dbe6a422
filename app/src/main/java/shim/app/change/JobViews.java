package shim.app.change;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.engine.LayoutView;
import shim.app.spring.Pockets;
import shim.core.change.Act;
import shim.core.change.CrankOff;
import shim.core.change.Done;
import shim.core.change.Hold;
import shim.core.change.Item;
import shim.core.change.Job;
import shim.core.change.JobPlan;
import shim.core.change.Step;
import shim.core.change.ValveState;
import shim.core.crank.StopWords;
import shim.core.engine.HeatState;
import shim.core.engine.Position;

/** How jobs are shown. */
final class JobViews {
  private JobViews() {}

  /** One valve of a job; {@code words} say where it stands. */
  record JobValve(
      Position position,
      ValveState.Stage stage,
      String words,
      boolean held,
      boolean loose,
      @Nullable String springIn,
      String newSpring,
      @Nullable Double heightIn,
      ValveState.Pushrod pushrod,
      boolean lashSet) {}

  /** One counted thing. */
  record JobCount(
      Item item,
      int laidOut,
      int off,
      int on,
      int expected,
      @Nullable Integer counted,
      @Nullable String difference) {}

  /** A hold that is on. */
  record JobHold(int cylinder, String by, Instant since, boolean lost) {}

  /**
   * Something else that may be done now, beside the next step.
   *
   * @param word what goes with the act besides what is entered
   * @param asks what must be entered with it; blank for nothing
   * @param step the step it stands for; null where it is none
   * @param fromDeg crank degrees to which what is entered is added; null where it is not
   */
  record Otherwise(
      Act act,
      @Nullable Integer cylinder,
      @Nullable Position valve,
      @Nullable String word,
      String words,
      String asks,
      @Nullable String step,
      @Nullable Double fromDeg) {}

  /** What was seen on the way. */
  record JobFinding(
      UUID id,
      @Nullable Position valve,
      Jobs.Look what,
      Jobs.Grade grade,
      @Nullable String note,
      boolean photo,
      String hand,
      Instant foundAt) {}

  /** A hold that failed under an unhooked valve: what to do now, in order. */
  record Emergency(int cylinder, Position valve, List<String> todo) {}

  /** A step of the walk, done or not. */
  record WalkStep(Step step, boolean done) {}

  /**
   * A job as it stands.
   *
   * @param next the step at hand; missing when the walk is done
   * @param refused why the step at hand must not be done now
   * @param then the step after it
   * @param emergency a hold that failed, before which nothing else counts
   * @param acts how many acts it has: what an entry is based on
   * @param signing what is open before sign-off
   */
  record JobState(
      JobPlan.Kind kind,
      String title,
      Hold hold,
      JobPlan.Sets sets,
      @Nullable Double crankDeg,
      boolean crankLocked,
      List<WalkStep> steps,
      @Nullable Step next,
      @Nullable String refused,
      @Nullable Step then,
      List<JobValve> valves,
      List<JobHold> holds,
      List<JobCount> counts,
      List<Otherwise> otherwise,
      @Nullable Emergency emergency,
      Job.@Nullable Parked parked,
      Job.End end,
      List<String> signing,
      int acts) {}

  /**
   * A job of an engine.
   *
   * @param changes goes up with each change; of two answers the higher is newer
   * @param atHeight what the spring at hand will do at the height just measured
   * @param stop how to find the crank position of the step at hand, where it is one
   * @param offTdc where the crank stands off the TDC at which air is to go on now
   */
  record JobView(
      UUID id,
      UUID engineId,
      String engineName,
      LayoutView layout,
      HeatState heat,
      double engineHours,
      String hand,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable String signedBy,
      JobState state,
      Pockets.@Nullable AtHeight atHeight,
      @Nullable StopWords stop,
      @Nullable CrankOff offTdc,
      List<Done> done,
      List<JobFinding> findings,
      long changes) {}

  /** A job in one line. */
  record JobLine(
      UUID id,
      UUID engineId,
      String engineName,
      String title,
      List<Position> valves,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable String signedBy,
      double engineHours,
      @Nullable String parked) {}

  /**
   * A valve that nothing but its hold keeps up.
   *
   * @param harder it has been so for longer than the team allows
   */
  record DangerView(
      UUID jobId,
      String engineName,
      Position valve,
      String heldBy,
      @Nullable Instant since,
      boolean lost,
      boolean harder) {}
}
