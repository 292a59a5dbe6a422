package shim.app.turnaround;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.readiness.ReadinessReason;
import shim.app.stock.Written.OrderSheet;
import shim.app.turnaround.Entered.HandSheet;
import shim.app.turnaround.Entered.TaskSheet;
import shim.core.engine.Position;
import shim.core.readiness.Readiness;
import shim.core.turnaround.Placed;
import shim.core.turnaround.Plan;
import shim.core.turnaround.Slip;
import shim.core.turnaround.Task;
import shim.core.turnaround.Weight;

/** What the turnaround shows; times are those of the clock on the wall where Shim runs. */
final class TurnaroundViews {
  private TurnaroundViews() {}

  /**
   * The whole turnaround.
   *
   * @param now when it was looked at
   * @param truck when it leaves; null where neither an event nor a truck is known
   * @param plan null while it is being made: ask again
   * @param agreed the plan people work to; null while they work to none
   */
  record TurnaroundView(
      LocalDateTime now,
      @Nullable TruckView truck,
      List<TeamEngine> engines,
      List<TeamHand> hands,
      List<TaskView> tasks,
      List<OrderView> orders,
      @Nullable PlanNow plan,
      @Nullable AgreedView agreed) {}

  /**
   * The truck.
   *
   * @param assumed nobody said so: the evening before the next event
   */
  record TruckView(
      @Nullable String name, LocalDateTime leaves, boolean assumed, @Nullable Integer version) {}

  /** One engine in one line. */
  record TeamEngine(
      UUID id,
      String name,
      Readiness.State state,
      @Nullable String event,
      @Nullable LocalDate eventOn,
      boolean rides) {}

  /**
   * One of the team.
   *
   * @param id null for somebody who is only assumed
   */
  record TeamHand(@Nullable UUID id, HandSheet hand, @Nullable Integer version) {}

  /**
   * A task.
   *
   * @param because why Shim asks for it; none where a person wants it
   * @param minutes it takes
   * @param timed how many past ones tell its minutes; none where they are usual or typed
   * @param sheet what people said of it
   * @param version of that; null where nobody said anything
   */
  record TaskView(
      String id,
      Task.Kind kind,
      @Nullable String words,
      @Nullable UUID engineId,
      List<Position> positions,
      List<ReadinessReason> because,
      Weight weight,
      int minutes,
      int timed,
      int hands,
      TaskSheet sheet,
      @Nullable Integer version) {}

  /**
   * A part that is wanted.
   *
   * @param comes the day it is expected; null where nobody knows
   * @param tooLate it comes after the truck has left
   */
  record OrderView(
      UUID id, OrderSheet order, @Nullable LocalDate comes, boolean tooLate, int version) {}

  /** A task with its time and hands. */
  record PlacedView(
      String id,
      LocalDateTime start,
      LocalDateTime end,
      List<String> hands,
      Placed.Cause.Kind cause,
      String causeName) {}

  /** A task that is not in the plan. */
  record LeftView(String id, Plan.Left.Why why) {}

  /**
   * The plan.
   *
   * @param ends when the last of what must be done is done
   * @param best it cannot be done earlier
   * @param late musts that are not done before the truck leaves
   * @param chance that all musts are done in time; null where some cannot be planned
   * @param chain the tasks that decide the end
   */
  record PlanNow(
      List<PlacedView> placed,
      List<LeftView> left,
      LocalDateTime ends,
      boolean best,
      List<String> late,
      @Nullable Double chance,
      List<String> chain) {}

  /** What is other now than in the plan people work to. */
  record SlipView(String id, Slip.Kind kind, LocalDateTime was, LocalDateTime is) {}

  /**
   * The plan people work to.
   *
   * @param ends when it meant what must be done to be done
   * @param slips what is other now
   */
  record AgreedView(
      LocalDateTime at,
      String by,
      LocalDateTime ends,
      List<AgreedTask> works,
      List<SlipView> slips,
      int version) {}

  /** A task of the plan people work to. */
  record AgreedTask(String id, LocalDateTime start, List<String> hands) {}
}
