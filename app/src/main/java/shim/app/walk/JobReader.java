package shim.app.walk;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.walk.JobViews.DangerView;
import shim.app.walk.JobViews.JobFinding;
import shim.app.walk.JobViews.JobLine;
import shim.app.walk.JobViews.JobView;
import shim.core.engine.Position;
import shim.core.walk.Danger;
import shim.core.walk.Done;
import shim.core.walk.Parked;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.Worked;

/** Jobs as they are read, and what on any of them is dangerous now. */
@Service
@Transactional(readOnly = true)
public class JobReader {
  private final Jobs jobs;
  private final JobRows rows;
  private final FindingRows findings;
  private final Clock clock;

  JobReader(Jobs jobs, JobRows rows, FindingRows findings, Clock clock) {
    this.jobs = jobs;
    this.rows = rows;
    this.findings = findings;
    this.clock = clock;
  }

  public JobView view(UUID id) {
    JobRow row = jobs.row(id);
    return view(row, jobs.opened(row));
  }

  private <P extends Record, S> JobView view(JobRow row, Jobs.Opened<P, S> job) {
    List<Done> done = jobs.done(row.id);
    Walk<S> walk = job.walk(done);
    Step next = walk.next().orElse(null);
    WalkKind.Place place = job.kind().place(job.begun());
    return new JobView(
        row.id,
        row.engineId,
        row.headId,
        place.name(),
        place.layout(),
        job.kind().heat(job.begun().plan()),
        row.engineHours,
        row.hand,
        row.startedAt,
        row.endedAt,
        row.signedBy,
        JobShow.of(row.kind, walk, job.kind().shown(walk), done.size()),
        job.kind().bearing(job.begun(), walk, done, next),
        done,
        findings.findByJobIdOrderByFoundAt(row.id).stream().map(JobReader::finding).toList(),
        row.changes);
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

  /** Jobs of an engine, the oldest first. */
  public List<JobLine> of(UUID engineId) {
    return lines(rows.findByEngineIdOrderByStartedAt(engineId));
  }

  /** Jobs of a head, on whatever engine it sat or on the rack. */
  public List<JobLine> ofHead(UUID headId) {
    return lines(rows.findByHeadIdOrderByStartedAt(headId));
  }

  private List<JobLine> lines(List<JobRow> of) {
    return of.stream().map(row -> line(row, jobs.opened(row))).toList();
  }

  /** Minutes a valve that signed changes took in the car, the oldest first. */
  public List<Double> took(UUID engineId) {
    List<Double> each = new ArrayList<>();
    for (JobRow row : rows.findByEngineIdOrderByStartedAt(engineId)) {
      if (row.signedBy != null) {
        took(row, jobs.opened(row), each);
      }
    }
    return each;
  }

  private <P extends Record> void took(JobRow row, Jobs.Opened<P, ?> job, List<Double> each) {
    P plan = job.begun().plan();
    if (job.kind().inCar(plan)) {
      double valves = job.kind().valves(plan).size();
      each.add(Worked.minutes(row.startedAt, jobs.done(row.id)) / valves);
    }
  }

  private <P extends Record, S> JobLine line(JobRow row, Jobs.Opened<P, S> job) {
    Parked parked = job.walk(row.endedAt == null ? jobs.done(row.id) : List.of()).parked();
    return new JobLine(
        row.id,
        row.kind,
        row.engineId,
        row.headId,
        job.kind().place(job.begun()).name(),
        job.procedure().title(),
        job.kind().valves(job.begun().plan()),
        row.startedAt,
        row.endedAt,
        row.signedBy,
        row.engineHours,
        parked == null ? null : parked.why());
  }

  /** Every valve of the team that nothing but its hold keeps up. */
  List<DangerView> dangers() {
    return rows.findByEndedAtIsNullOrderByStartedAt().stream()
        .flatMap(row -> dangers(row, jobs.opened(row)))
        .toList();
  }

  private <P extends Record, S> Stream<DangerView> dangers(JobRow row, Jobs.Opened<P, S> job) {
    if (row.engineId == null || !job.procedure().mayDrop()) {
      return Stream.empty();
    }
    double warnAfter = job.kind().warnAfterMinutes(row.engineId);
    return Danger.in(job.walk(jobs.done(row.id)), clock.instant(), warnAfter).stream()
        .map(
            d ->
                new DangerView(
                    row.id,
                    job.kind().place(job.begun()).name(),
                    d.valve(),
                    d.heldBy().orElse("nothing"),
                    d.since().orElse(null),
                    d.lost(),
                    d.harder()));
  }
}
