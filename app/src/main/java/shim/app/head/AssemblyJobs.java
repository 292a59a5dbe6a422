package shim.app.head;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import shim.app.engine.LayoutView;
import shim.app.head.AssemblyPlanner.AssemblyPlanned;
import shim.app.record.Documents;
import shim.app.record.Ids;
import shim.app.spring.Springs;
import shim.app.walk.Begun;
import shim.app.walk.JobKind;
import shim.app.walk.JobViews.JobValve;
import shim.app.walk.JobViews.Mark;
import shim.app.walk.JobViews.Shown;
import shim.app.walk.WalkKind;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.head.Assembly;
import shim.core.head.AssemblyPlan;
import shim.core.head.Bench;
import shim.core.head.HeadMeasure;
import shim.core.spring.Stack;
import shim.core.walk.Done;
import shim.core.walk.Procedure;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** Assembling a head as a kind of walk: what is proved is on the head from then on. */
@Component
class AssemblyJobs implements WalkKind<AssemblyPlanned, Bench> {
  private final Heads heads;
  private final Springs springs;

  AssemblyJobs(Heads heads, Springs springs) {
    this.heads = heads;
    this.springs = springs;
  }

  @Override
  public JobKind kind() {
    return JobKind.ASSEMBLY;
  }

  @Override
  public Documents.Kind document() {
    return Documents.Kind.ASSEMBLY_PLAN;
  }

  @Override
  public Class<AssemblyPlanned> plan() {
    return AssemblyPlanned.class;
  }

  @Override
  public Procedure<Bench> procedure(AssemblyPlanned plan) {
    return new Assembly(plan.plan());
  }

  @Override
  public List<Position> valves(AssemblyPlanned plan) {
    return plan.plan().valves().stream().map(AssemblyPlan.ValveParts::valve).toList();
  }

  @Override
  public Place place(Begun<AssemblyPlanned> job) {
    HeadSheet sheet = heads.kept(Objects.requireNonNull(job.headId())).sheet();
    return new Place(sheet.name(), LayoutView.of(heads.layout(sheet)));
  }

  @Override
  public Shown shown(Walk<Bench> walk) {
    return new Shown(
        walk.own().valves().entrySet().stream().map(e -> valve(e.getKey(), e.getValue())).toList(),
        null,
        null,
        List.of());
  }

  private static JobValve valve(Position p, Bench.OnBench v) {
    Mark mark =
        switch (v.stage()) {
          case BARE, SPRING_ON -> Mark.OPEN;
          case COMPRESSED -> Mark.LOOSE;
          case HOOKED, CLOSED -> Mark.HELD;
          case PROVED -> Mark.HOME;
        };
    return new JobValve(p, mark, v.stage().words(), v.spring(), null);
  }

  @Override
  public void follow(
      Begun<AssemblyPlanned> job, List<Done> acts, Walk<Bench> before, Walk<Bench> after, Done d) {
    Position p = d.valve();
    if (p == null) {
      return;
    }
    if (d.act() == SpringAct.SPRING_IN) {
      spring(job.plan(), d.text());
    } else if (d.act() == SpringAct.PROVE) {
      proved(job, acts, after.own().at(p), p, d);
    } else if (d.act() == WalkAct.READ) {
      readLater(job, p, d);
    }
  }

  private UUID spring(AssemblyPlanned plan, String mark) {
    UUID meant = plan.springs().get(mark);
    return meant == null ? springs.named(mark) : meant;
  }

  private void proved(
      Begun<AssemblyPlanned> job, List<Done> acts, Bench.OnBench v, Position p, Done d) {
    UUID head = Objects.requireNonNull(job.headId());
    AssemblyPlan.ValveParts parts = job.plan().plan().at(p).orElseThrow();
    UUID spring = spring(job.plan(), String.valueOf(v.spring()));
    HeadSpringRow row =
        new HeadSpringRow(Ids.of(job.id() + " " + p + " " + d.at()), head, spring, p);
    String height = "read:" + p + ":height";
    row.heightIn = Done.last(acts, a -> a.step().equals(height)).map(Done::figure).orElse(null);
    row.shims = shims(acts, parts, v);
    row.retainer = parts.retainer();
    row.locks = parts.locks();
    row.locator = parts.cup().isBlank() ? null : parts.cup();
    HeadSheet sheet = heads.kept(head).sheet();
    heads.record(head, sheet).figure(HeadMeasure.POCKET, p).ifPresent(w -> row.pocketIn = w);
    heads.spring(row, d.hand(), d.at());
  }

  private static String shims(List<Done> acts, AssemblyPlan.ValveParts parts, Bench.OnBench v) {
    String typed =
        Done.last(acts, a -> a.act() == SpringAct.STACK && parts.valve().equals(a.valve()))
            .map(Done::word)
            .orElse(null);
    return Stack.written(typed, v.shims(), parts.shimsIn());
  }

  /** Gaps are read at full lift, once the spring stands: they go with it. */
  private void readLater(Begun<AssemblyPlanned> job, Position p, Done d) {
    AssemblyPlan.Wanted wanted = job.plan().plan().at(p).orElseThrow().wanted();
    heads.springs(Objects.requireNonNull(job.headId())).stream()
        .filter(r -> r.at().equals(p))
        .findFirst()
        .ifPresent(
            row -> {
              if (d.step().endsWith(":coil")) {
                row.coilGapIn = d.figure();
              } else if (d.step().endsWith(":seal") && wanted.grossIn() != null) {
                row.sealGapIn = d.number() + wanted.grossIn();
              } else {
                return;
              }
              heads.spring(row, d.hand(), row.putAt);
            });
  }
}
