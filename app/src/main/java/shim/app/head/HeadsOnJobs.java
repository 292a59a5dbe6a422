package shim.app.head;

import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Component;
import shim.app.change.ChangeRules;
import shim.app.change.OpenItems;
import shim.app.change.WalkLash;
import shim.app.engine.Engines;
import shim.app.engine.LayoutView;
import shim.app.head.HeadsOnPlanner.HeadsOnPlanned;
import shim.app.lash.Part;
import shim.app.lash.Rounds;
import shim.app.record.Documents;
import shim.app.record.Maybe;
import shim.app.spring.Springs;
import shim.app.walk.Begun;
import shim.app.walk.JobKind;
import shim.app.walk.JobViews.CrankThere;
import shim.app.walk.JobViews.Fixing;
import shim.app.walk.JobViews.JobValve;
import shim.app.walk.JobViews.Mark;
import shim.app.walk.JobViews.Shown;
import shim.app.walk.Jobs;
import shim.app.walk.WalkKind;
import shim.core.change.SpringAct;
import shim.core.change.StaysOpen;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.head.HeadsOn;
import shim.core.walk.Done;
import shim.core.walk.Procedure;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** Putting heads on as a kind of walk: with the signature they sit on the engine. */
@Component
class HeadsOnJobs implements WalkKind<HeadsOnPlanned, HeadsOn.State> {
  private final Heads heads;
  private final Engines engines;
  private final Springs springs;
  private final WalkLash lash;
  private final Rounds rounds;
  private final OpenItems items;
  private final ChangeRules rules;

  HeadsOnJobs(
      Heads heads,
      Engines engines,
      Springs springs,
      WalkLash lash,
      Rounds rounds,
      OpenItems items,
      ChangeRules rules) {
    this.heads = heads;
    this.engines = engines;
    this.springs = springs;
    this.lash = lash;
    this.rounds = rounds;
    this.items = items;
    this.rules = rules;
  }

  @Override
  public JobKind kind() {
    return JobKind.HEADS_ON;
  }

  @Override
  public Documents.Kind document() {
    return Documents.Kind.HEADS_ON_PLAN;
  }

  @Override
  public Class<HeadsOnPlanned> plan() {
    return HeadsOnPlanned.class;
  }

  @Override
  public Procedure<HeadsOn.State> procedure(HeadsOnPlanned plan) {
    return new HeadsOn(plan.plan());
  }

  @Override
  public List<Position> valves(HeadsOnPlanned plan) {
    return plan.plan().valves();
  }

  @Override
  public HeatState heat(HeadsOnPlanned plan) {
    return plan.ask().state();
  }

  @Override
  public Place place(Begun<HeadsOnPlanned> job) {
    Engine engine = engines.get(job.engine()).engine();
    return new Place(engine.name(), LayoutView.of(engine.layout()));
  }

  @Override
  public Shown shown(Walk<HeadsOn.State> walk) {
    HeadsOn procedure = (HeadsOn) walk.procedure();
    HeadsOn.State s = walk.own();
    return new Shown(
        procedure.plan().valves().stream().map(p -> valve(s, p)).toList(),
        new CrankThere(s.crankDeg(), false),
        procedure.plan().drive().sets(),
        procedure.tally(walk).stream()
            .map(
                t ->
                    new Fixing(
                        procedure.plan().sides().get(t.side()).name(),
                        t.number(),
                        t.done(),
                        t.of(),
                        t.waits()))
            .toList());
  }

  private static JobValve valve(HeadsOn.State s, Position p) {
    if (s.set().contains(p)) {
      return new JobValve(p, Mark.HOME, "set", null, null);
    }
    boolean on = s.rockersOn().contains(p.cylinder());
    if (on) {
      return new JobValve(p, Mark.HELD, "rocker on, not set", null, null);
    }
    return s.seated().contains(p)
        ? new JobValve(p, Mark.HELD, "pushrod in its cup", null, null)
        : new JobValve(p, Mark.OPEN, "pushrod out", null, null);
  }

  private static WalkLash.Setting setting(Begun<HeadsOnPlanned> job) {
    return new WalkLash.Setting(
        job.id(),
        job.engine(),
        job.engineHours(),
        job.plan().ask().state(),
        job.plan().plan().valves(),
        job.plan().plan().drive().sets(),
        "with the heads put on");
  }

  @Override
  public void follow(
      Begun<HeadsOnPlanned> job,
      List<Done> acts,
      Walk<HeadsOn.State> before,
      Walk<HeadsOn.State> after,
      Done d) {
    if (d.act() == SpringAct.LASH || d.act() == SpringAct.ZERO_LASH) {
      lash.read(setting(job), d);
    } else if (d.act() == WalkAct.SIGN) {
      signed(job, d);
    }
  }

  private void signed(Begun<HeadsOnPlanned> job, Done d) {
    UUID engine = job.engine();
    UUID head = Objects.requireNonNull(job.headId());
    items.closeAll(engine, StaysOpen.Kind.HEADS_ON, d.hand(), "heads are on");
    heads.mount(head, engine, job.engineHours(), d.hand(), d.at(), springs);
    rounds.change(
        Jobs.named(job.id(), "gasket"),
        new Rounds.PartsChanged(
            engine,
            job.plan().plan().valves(),
            Part.GASKET,
            job.engineHours(),
            d.hand(),
            "heads on: " + job.plan().plan().head(),
            d.at()));
    lash.sign(setting(job), d);
    ChangeRules.ChangeRulesSheet team = rules.of(engine);
    StaysOpen.afterHeadsOn(
            job.plan().plan().valves(), job.engineHours(), Maybe.of(team.resetHours()))
        .forEach(o -> open(job, o, d));
  }

  private void open(Begun<HeadsOnPlanned> job, StaysOpen o, Done d) {
    String words =
        o.kind() == StaysOpen.Kind.RECHECK
            ? "re-check lash and look for leaks after the first heat cycle"
            : "lash or preload set anew, and head fixings torqued again, once it has run in";
    OptionalDouble due = o.dueHours();
    items.open(
        Jobs.named(job.id(), o.kind().name()),
        job.engine(),
        job.id(),
        o.kind(),
        words,
        OpenItems.About.ENGINE,
        new OpenItems.Due(Maybe.orNull(due), null, null),
        d.hand());
  }
}
