package shim.app.change;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.core.change.Done;

/** Jobs and what they left open, as an engine's file holds them. Photos stay in their folder. */
@Component
@Transactional
public class JobArchive {
  private final JobRows jobs;
  private final ActRows acts;
  private final FindingRows findings;
  private final OpenRows items;
  private final JobPlanner planner;
  private final Documents documents;

  JobArchive(
      JobRows jobs,
      ActRows acts,
      FindingRows findings,
      OpenRows items,
      JobPlanner planner,
      Documents documents) {
    this.jobs = jobs;
    this.acts = acts;
    this.findings = findings;
    this.items = items;
    this.planner = planner;
    this.documents = documents;
  }

  /** Something done, with its id. */
  public record ArchivedAct(UUID id, Done done) {}

  /** Something seen, with its id and time. */
  public record ArchivedFinding(UUID id, Jobs.FindingEntry finding, Instant foundAt) {}

  /** A job with its plan as it began and all that was done. */
  public record ArchivedJob(
      UUID id,
      UUID engineId,
      JobPlanner.Planned plan,
      double engineHours,
      String hand,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable String signedBy,
      List<ArchivedAct> acts,
      List<ArchivedFinding> findings) {}

  /** Something open, or put right, with its engine. */
  public record ArchivedItem(UUID engineId, OpenItems.OpenItem item) {}

  @Transactional(readOnly = true)
  public List<ArchivedJob> jobs(UUID engineId) {
    return jobs.findByEngineIdOrderByStartedAt(engineId).stream().map(this::archived).toList();
  }

  private ArchivedJob archived(JobRow j) {
    return new ArchivedJob(
        j.id,
        j.engineId,
        planner.read(j),
        j.engineHours,
        j.hand,
        j.startedAt,
        j.endedAt,
        j.signedBy,
        acts.findByJobIdOrderByPlace(j.id).stream()
            .map(a -> new ArchivedAct(a.id, a.done()))
            .toList(),
        findings.findByJobIdOrderByFoundAt(j.id).stream()
            .map(f -> new ArchivedFinding(f.id, Jobs.entry(f), f.foundAt))
            .toList());
  }

  @Transactional(readOnly = true)
  public List<ArchivedItem> items(UUID engineId) {
    return items.findByEngineIdOrderByOpenedAt(engineId).stream()
        .map(r -> new ArchivedItem(engineId, OpenItems.view(r)))
        .toList();
  }

  /** Takes a job in; one that is here already is left as it is. */
  public void put(ArchivedJob a) {
    if (jobs.existsById(a.id())) {
      return;
    }
    JobRow row = new JobRow(a.id(), a.engineId());
    row.plan = documents.write(Documents.Kind.JOB_PLAN, a.plan());
    row.engineHours = a.engineHours();
    row.hand = a.hand();
    row.startedAt = a.startedAt();
    row.endedAt = a.endedAt();
    row.signedBy = a.signedBy();
    Because.of(a.hand(), "from an engine's file");
    jobs.saveAndFlush(row);
    IntStream.range(0, a.acts().size())
        .forEach(
            i -> {
              ArchivedAct act = a.acts().get(i);
              acts.save(new ActRow(act.id(), a.id(), i, act.done()));
            });
    a.findings().forEach(f -> findings.save(Jobs.row(f.id(), a.id(), f.finding(), f.foundAt())));
    findings.flush();
  }

  /** Takes an open item in; one that is here already is left as it is. */
  public void put(ArchivedItem a) {
    OpenItems.OpenItem i = a.item();
    if (items.existsById(i.id())) {
      return;
    }
    OpenRow row = new OpenRow(i.id(), a.engineId());
    row.jobId = i.jobId();
    row.kind = i.kind();
    row.words = i.words();
    row.dueHours = i.dueHours();
    row.dueUsed = i.dueUsed();
    row.dueOn = i.dueOn();
    row.valve = i.valve() == null ? null : i.valve().toString();
    row.part = i.part();
    row.hand = i.hand();
    row.openedAt = i.openedAt();
    row.closedAt = i.closedAt();
    row.closedBy = i.closedBy();
    row.closedWhy = i.closedWhy();
    Because.of(i.hand(), "from an engine's file");
    items.saveAndFlush(row);
  }
}
