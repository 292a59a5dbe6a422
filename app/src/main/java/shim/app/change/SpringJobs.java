package shim.app.change;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.engine.Engines;
import shim.app.engine.LayoutView;
import shim.app.record.Documents;
import shim.app.spring.Pockets;
import shim.app.walk.Begun;
import shim.app.walk.JobKind;
import shim.app.walk.JobViews.Bearing;
import shim.app.walk.JobViews.CrankThere;
import shim.app.walk.JobViews.JobValve;
import shim.app.walk.JobViews.Mark;
import shim.app.walk.JobViews.Shown;
import shim.app.walk.WalkKind;
import shim.core.change.CrankOff;
import shim.core.change.Job;
import shim.core.change.JobPlan;
import shim.core.change.SpringAct;
import shim.core.change.SpringChange;
import shim.core.change.ValveState;
import shim.core.change.ValveState.Stage;
import shim.core.crank.CrankModel;
import shim.core.crank.StopWords;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.walk.Done;
import shim.core.walk.Procedure;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** The spring change as a kind of walk. */
@Component
class SpringJobs implements WalkKind<JobPlanner.Planned, Job> {
  private final HandOver handOver;
  private final Engines engines;
  private final ChangeRules rules;
  private final Pockets pockets;

  SpringJobs(HandOver handOver, Engines engines, ChangeRules rules, Pockets pockets) {
    this.handOver = handOver;
    this.engines = engines;
    this.rules = rules;
    this.pockets = pockets;
  }

  @Override
  public JobKind kind() {
    return JobKind.SPRINGS;
  }

  @Override
  public Documents.Kind document() {
    return Documents.Kind.JOB_PLAN;
  }

  @Override
  public Class<JobPlanner.Planned> plan() {
    return JobPlanner.Planned.class;
  }

  @Override
  public Procedure<Job> procedure(JobPlanner.Planned plan) {
    return new SpringChange(plan.plan());
  }

  @Override
  public List<Position> valves(JobPlanner.Planned plan) {
    return plan.plan().valves().stream().map(JobPlan.Work::valve).toList();
  }

  @Override
  public Place place(Begun<JobPlanner.Planned> job) {
    Engine engine = engines.get(job.engine()).engine();
    return new Place(engine.name(), LayoutView.of(engine.layout()));
  }

  @Override
  public HeatState heat(JobPlanner.Planned plan) {
    return plan.ask().state();
  }

  @Override
  public boolean inCar(JobPlanner.Planned plan) {
    return plan.plan().kind() == JobPlan.Kind.IN_CAR;
  }

  @Override
  public double warnAfterMinutes(UUID engineId) {
    return rules.of(engineId).usualWarnAfter();
  }

  @Override
  public void follow(
      Begun<JobPlanner.Planned> job,
      List<Done> acts,
      Walk<Job> before,
      Walk<Job> after,
      Done done) {
    handOver.follow(job, acts, before, after, done);
  }

  @Override
  public Shown shown(Walk<Job> walk) {
    return shownOf(walk);
  }

  static Shown shownOf(Walk<Job> walk) {
    Job job = walk.own();
    JobPlan plan = job.plan();
    return new Shown(
        plan.valves().stream().map(w -> valve(walk, w.valve())).toList(),
        plan.hold().onTheCrank() ? new CrankThere(job.crankDeg(), job.crankLocked()) : null,
        plan.drive().sets(),
        List.of());
  }

  private static JobValve valve(Walk<Job> walk, Position p) {
    ValveState v = walk.own().valve(p);
    boolean held = walk.held().containsKey(p.cylinder());
    boolean onSpring = v.stage() == Stage.ON_SPRING;
    String words = held && onSpring ? "on its spring, held" : v.stage().words();
    return new JobValve(p, mark(v, held), words, v.springIn(), v.heightIn());
  }

  private static Mark mark(ValveState v, boolean held) {
    if (v.loose()) {
      return Mark.LOOSE;
    }
    return switch (v.stage()) {
      case DROPPED -> Mark.LOST;
      case PROVED -> Mark.HOME;
      case ON_SPRING -> held ? Mark.HELD : Mark.OPEN;
      case COMPRESSED, UNHOOKED, CLOSED -> Mark.HELD;
    };
  }

  @Override
  public Bearing bearing(
      Begun<JobPlanner.Planned> job, Walk<Job> walk, List<Done> acts, @Nullable Step next) {
    return next == null
        ? Bearing.EMPTY
        : new Bearing(
            atHeight(job, walk, acts, next), stop(job.engine(), next), offTdc(walk, next));
  }

  /** The load check: what the spring that goes in next does at the height just measured. */
  private Pockets.@Nullable AtHeight atHeight(
      Begun<JobPlanner.Planned> job, Walk<Job> walk, List<Done> acts, Step next) {
    Position valve = next.valve();
    if (next.act() != SpringAct.SPRING_IN || valve == null) {
      return null;
    }
    ValveState state = walk.own().valve(valve);
    UUID spring = job.plan().springs().get(String.valueOf(next.word()));
    if (state.heightIn() == null || spring == null) {
      return null;
    }
    String shims = HandOver.last(acts, SpringAct.STACK, valve);
    Pockets.Under under = new Pockets.Under(state.shims(), shims);
    boolean other = job.plan().plan().work(valve).filter(w -> w.to() != null).isPresent();
    // Ways to a height are known for the parts on record, not for those of another kind.
    return pockets
        .at(job.engine(), valve, state.heightIn(), spring, under)
        .map(a -> other ? new Pockets.AtHeight(a.heightIn(), a.fit(), List.of()) : a)
        .orElse(null);
  }

  /** How to find the place the crank is barred to; without a cam nobody can say. */
  private @Nullable StopWords stop(UUID engineId, Step next) {
    if (next.act() != SpringAct.BAR || next.figure() == null) {
      return null;
    }
    double deg = next.figure();
    Engine engine = engines.get(engineId).engine();
    return CrankModel.of(engine)
        .map(m -> StopWords.of(m, deg, engine.rules().staticTimingDeg()))
        .orElse(null);
  }

  private static @Nullable CrankOff offTdc(Walk<Job> walk, Step next) {
    return next.act() != WalkAct.HOLD || next.cylinder() == null
        ? null
        : walk.own().offTdc(next.cylinder()).orElse(null);
  }
}
