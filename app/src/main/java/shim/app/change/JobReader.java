package shim.app.change;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.JobViews.DangerView;
import shim.app.change.JobViews.JobFinding;
import shim.app.change.JobViews.JobLine;
import shim.app.change.JobViews.JobView;
import shim.app.engine.Engines;
import shim.app.engine.LayoutView;
import shim.app.spring.Pockets;
import shim.core.change.Act;
import shim.core.change.CrankOff;
import shim.core.change.Danger;
import shim.core.change.Done;
import shim.core.change.Job;
import shim.core.change.JobPlan;
import shim.core.change.Step;
import shim.core.change.Worked;
import shim.core.crank.CrankModel;
import shim.core.crank.StopWords;
import shim.core.engine.Engine;
import shim.core.engine.Position;

/** Jobs as they are read, and what on any of them is dangerous now. */
@Service
@Transactional(readOnly = true)
class JobReader {
  private final Jobs jobs;
  private final JobRows rows;
  private final FindingRows findings;
  private final Engines engines;
  private final ChangeRules rules;
  private final Pockets pockets;
  private final Clock clock;

  JobReader(
      Jobs jobs,
      JobRows rows,
      FindingRows findings,
      Engines engines,
      ChangeRules rules,
      Pockets pockets,
      Clock clock) {
    this.jobs = jobs;
    this.rows = rows;
    this.findings = findings;
    this.engines = engines;
    this.rules = rules;
    this.pockets = pockets;
    this.clock = clock;
  }

  JobView view(UUID id) {
    JobRow row = jobs.row(id);
    JobPlanner.Planned planned = jobs.planned(row);
    List<Done> done = jobs.done(id);
    Job job = Job.of(planned.plan(), done);
    JobViews.JobState state = JobShow.of(job, done.size());
    Engines.Stored engine = engines.get(row.engineId);
    return new JobView(
        row.id,
        row.engineId,
        engine.engine().name(),
        LayoutView.of(engine.engine().layout()),
        planned.ask().state(),
        row.engineHours,
        row.hand,
        row.startedAt,
        row.endedAt,
        row.signedBy,
        state,
        atHeight(row, planned, job, state.next(), done),
        stop(engine.engine(), state.next()),
        offTdc(job, state.next()),
        done,
        findings.findByJobIdOrderByFoundAt(id).stream().map(JobReader::finding).toList(),
        row.changes);
  }

  /** The load check: what the spring that goes in next does at the height just measured. */
  private Pockets.@Nullable AtHeight atHeight(
      JobRow row, JobPlanner.Planned planned, Job job, @Nullable Step next, List<Done> done) {
    if (next == null || next.act() != Act.SPRING_IN || next.valve() == null) {
      return null;
    }
    Double measured = job.valve(next.valve()).heightIn();
    UUID spring = planned.springs().get(String.valueOf(next.word()));
    return measured == null || spring == null
        ? null
        : pockets
            .at(row.engineId, next.valve(), measured, spring, under(job, done, next.valve()))
            .orElse(null);
  }

  private static Pockets.Under under(Job job, List<Done> done, Position valve) {
    return new Pockets.Under(job.valve(valve).shims(), HandOver.last(done, Act.STACK, valve));
  }

  /** How to find the place the crank is barred to; without a cam nobody can say. */
  private static @Nullable StopWords stop(Engine engine, @Nullable Step next) {
    if (next == null || next.act() != Act.BAR || next.figure() == null) {
      return null;
    }
    double deg = next.figure();
    return CrankModel.of(engine)
        .map(m -> StopWords.of(m, deg, engine.rules().staticTimingDeg()))
        .orElse(null);
  }

  private static @Nullable CrankOff offTdc(Job job, @Nullable Step next) {
    return next == null || next.act() != Act.HOLD || next.cylinder() == null
        ? null
        : job.offTdc(next.cylinder()).orElse(null);
  }

  private static JobFinding finding(FindingRow f) {
    return new JobFinding(
        f.id,
        f.valve == null ? null : Position.parse(f.valve),
        f.what,
        f.grade,
        f.note,
        f.photoType != null,
        f.hand,
        f.foundAt);
  }

  List<JobLine> of(UUID engineId) {
    return rows.findByEngineIdOrderByStartedAt(engineId).stream().map(this::line).toList();
  }

  /** Minutes a valve that signed changes took in the car, the oldest first. */
  List<Double> took(UUID engineId) {
    List<Double> each = new ArrayList<>();
    for (JobRow row : rows.findByEngineIdOrderByStartedAt(engineId)) {
      JobPlan plan = jobs.planned(row).plan();
      if (row.signedBy != null && plan.kind() == JobPlan.Kind.IN_CAR) {
        each.add(Worked.minutes(row.startedAt, jobs.done(row.id)) / plan.valves().size());
      }
    }
    return each;
  }

  private JobLine line(JobRow row) {
    JobPlan plan = jobs.planned(row).plan();
    Job job = Job.of(plan, row.endedAt == null ? jobs.done(row.id) : List.of());
    Job.Parked parked = job.parked();
    return new JobLine(
        row.id,
        row.engineId,
        engines.get(row.engineId).engine().name(),
        plan.kind().title(),
        plan.valves().stream().map(JobPlan.Work::valve).toList(),
        row.startedAt,
        row.endedAt,
        row.signedBy,
        row.engineHours,
        parked == null ? null : parked.why());
  }

  /** Every valve of the team that nothing but its hold keeps up. */
  List<DangerView> dangers() {
    return rows.findByEndedAtIsNullOrderByStartedAt().stream().flatMap(this::dangers).toList();
  }

  private Stream<DangerView> dangers(JobRow row) {
    JobPlan plan = jobs.planned(row).plan();
    if (!Danger.possibleIn(plan)) {
      return Stream.empty();
    }
    Job job = Job.of(plan, jobs.done(row.id));
    double warnAfter = rules.of(row.engineId).usualWarnAfter();
    return Danger.in(job, clock.instant(), warnAfter).stream()
        .map(
            d ->
                new DangerView(
                    row.id,
                    engines.get(row.engineId).engine().name(),
                    d.valve(),
                    d.heldBy().orElse("nothing"),
                    d.since().orElse(null),
                    d.lost(),
                    d.harder()));
  }
}
