package shim.app.walk;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.engine.LayoutView;
import shim.app.spring.Pockets;
import shim.core.change.CrankOff;
import shim.core.change.JobPlan;
import shim.core.crank.StopWords;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.walk.Done;
import shim.core.walk.End;
import shim.core.walk.Otherwise;
import shim.core.walk.Parked;
import shim.core.walk.Step;

/** How jobs are shown. */
public final class JobViews {
  private JobViews() {}

  /** Where a valve stands, told by shape on the plan. */
  public enum Mark {
    OPEN,
    HELD,
    LOOSE,
    HOME,
    LOST
  }

  /**
   * One valve of a job; {@code words} say where it stands.
   *
   * @param part mark of the spring on it
   */
  public record JobValve(
      Position position,
      Mark mark,
      String words,
      @Nullable String part,
      @Nullable Double heightIn) {}

  /** Where the crank stands; a blank is not known. */
  public record CrankThere(@Nullable Double deg, boolean locked) {}

  /**
   * One fixing of a head, on the tally.
   *
   * @param head the one it holds
   * @param done how many of its steps are
   * @param waits it cannot be reached yet
   */
  public record Fixing(String head, int number, int done, int of, boolean waits) {}

  /** How a kind of walk shows itself. */
  public record Shown(
      List<JobValve> valves,
      @Nullable CrankThere crank,
      JobPlan.@Nullable Sets sets,
      List<Fixing> fixings) {}

  /**
   * What bears on the step at hand.
   *
   * @param atHeight what the spring at hand will do at the height just measured
   * @param stop how to find the crank position of the step at hand, where it is one
   * @param offTdc where the crank stands off the TDC at which air is to go on now
   */
  public record Bearing(
      Pockets.@Nullable AtHeight atHeight, @Nullable StopWords stop, @Nullable CrankOff offTdc) {
    public static final Bearing EMPTY = new Bearing(null, null, null);
  }

  /** One counted thing. */
  public record JobCount(
      String item,
      String words,
      int laidOut,
      int off,
      int on,
      int expected,
      @Nullable Integer counted,
      @Nullable String difference) {}

  /** A hold that is on. */
  public record JobHold(int cylinder, String by, Instant since, boolean lost) {}

  /** What was seen on the way. */
  public record JobFinding(
      UUID id,
      @Nullable Position valve,
      Jobs.Look what,
      Jobs.Grade grade,
      @Nullable String note,
      boolean photo,
      String hand,
      Instant foundAt) {}

  /** A hold that failed under an unhooked valve: what to do now, in order. */
  public record Emergency(int cylinder, Position valve, List<String> todo) {}

  /** A step of the walk, done or not. */
  public record WalkStep(Step step, boolean done) {}

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
  public record JobState(
      JobKind kind,
      String title,
      JobPlan.@Nullable Sets sets,
      @Nullable CrankThere crank,
      List<WalkStep> steps,
      @Nullable Step next,
      @Nullable String refused,
      @Nullable Step then,
      List<JobValve> valves,
      List<Fixing> fixings,
      List<JobHold> holds,
      List<JobCount> counts,
      List<Otherwise> otherwise,
      @Nullable Emergency emergency,
      @Nullable Parked parked,
      End end,
      List<String> signing,
      int acts) {}

  /**
   * A job of an engine.
   *
   * @param placeName of the engine, or of the head on the rack
   * @param changes goes up with each change; of two answers the higher is newer
   */
  public record JobView(
      UUID id,
      @Nullable UUID engineId,
      @Nullable UUID headId,
      String placeName,
      LayoutView layout,
      HeatState heat,
      double engineHours,
      String hand,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable String signedBy,
      JobState state,
      Bearing bearing,
      List<Done> done,
      List<JobFinding> findings,
      long changes) {}

  /** A job in one line. */
  public record JobLine(
      UUID id,
      JobKind kind,
      @Nullable UUID engineId,
      @Nullable UUID headId,
      String placeName,
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
  public record DangerView(
      UUID jobId,
      String placeName,
      Position valve,
      String heldBy,
      @Nullable Instant since,
      boolean lost,
      boolean harder) {}
}
