package shim.app.walk;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Because;
import shim.core.walk.Done;
import tools.jackson.databind.JsonNode;

/**
 * Spring changes as an engine's file holds them; heads and their walks stay where they are. Photos
 * stay in their folder.
 */
@Component
@Transactional
public class JobArchive {
  private final JobRows jobs;
  private final ActRows acts;
  private final FindingRows findings;
  private final Jobs reader;

  JobArchive(JobRows jobs, ActRows acts, FindingRows findings, Jobs reader) {
    this.jobs = jobs;
    this.acts = acts;
    this.findings = findings;
    this.reader = reader;
  }

  /** Something done, with its id. */
  public record ArchivedAct(UUID id, Done done) {}

  /** Something seen, with its id and time. */
  public record ArchivedFinding(UUID id, Jobs.FindingEntry finding, Instant foundAt) {}

  /** A spring change with its plan as it began and all that was done. */
  public record ArchivedJob(
      UUID id,
      UUID engineId,
      JsonNode plan,
      double engineHours,
      String hand,
      Instant startedAt,
      @Nullable Instant endedAt,
      @Nullable String signedBy,
      List<ArchivedAct> acts,
      List<ArchivedFinding> findings) {}

  @Transactional(readOnly = true)
  public List<ArchivedJob> jobs(UUID engineId) {
    return jobs.findByEngineIdOrderByStartedAt(engineId).stream()
        .filter(j -> j.kind == JobKind.SPRINGS)
        .map(this::archived)
        .toList();
  }

  private ArchivedJob archived(JobRow j) {
    return new ArchivedJob(
        j.id,
        Objects.requireNonNull(j.engineId),
        reader.plan(j),
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

  /** Takes a job in; one that is here already is left as it is. */
  public void put(ArchivedJob a) {
    if (jobs.existsById(a.id())) {
      return;
    }
    JobRow row = new JobRow(a.id(), JobKind.SPRINGS, a.engineId(), null);
    row.plan = reader.plan(JobKind.SPRINGS, a.plan());
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
}
