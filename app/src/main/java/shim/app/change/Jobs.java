package shim.app.change;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.app.record.Hours;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.app.record.Photos;
import shim.app.record.TakenBack;
import shim.app.stock.PartIsHere;
import shim.core.change.Act;
import shim.core.change.Done;
import shim.core.change.Job;
import shim.core.engine.Position;

/** Jobs as what was done, one act at a time, each kept at once and safe to repeat. */
@Service
@Transactional
class Jobs {
  private final JobRows jobs;
  private final ActRows acts;
  private final FindingRows findings;
  private final JobPlanner planner;
  private final HandOver handOver;
  private final Photos photos;
  private final Documents documents;
  private final Clock clock;

  Jobs(
      JobRows jobs,
      ActRows acts,
      FindingRows findings,
      JobPlanner planner,
      HandOver handOver,
      Photos photos,
      Documents documents,
      Clock clock) {
    this.jobs = jobs;
    this.acts = acts;
    this.findings = findings;
    this.planner = planner;
    this.handOver = handOver;
    this.photos = photos;
    this.documents = documents;
    this.clock = clock;
  }

  /** How a job begins. */
  record JobStart(
      @NotNull UUID engineId,
      @Hours double engineHours,
      @Initials String hand,
      @NotNull JobPlanner.JobAsk ask) {}

  /**
   * Something done, as it is sent.
   *
   * @param step the walk's step it does; blank for anything else that happens
   * @param basedOn how many acts whoever sends it has seen
   */
  record ActEntry(
      @NotNull Act act,
      @Size(max = 80) @Nullable String step,
      @Nullable Integer cylinder,
      @Nullable Position valve,
      @Nullable Double figure,
      @Size(max = 400, message = "400 letters at most") @Nullable String word,
      @Initials String hand,
      int basedOn) {}

  /** What is looked at on the way. */
  enum Look {
    WITNESS_MARKS,
    LOCKS,
    RETAINER,
    STEM_TIP,
    SEAL,
    SEAT,
    GUIDE,
    LIFTER_WHEEL,
    PUSHROD,
    ROCKER,
    OTHER
  }

  /** How it looked. */
  enum Grade {
    GOOD,
    WORN,
    BAD
  }

  /** A finding as it is sent. */
  record FindingEntry(
      @Nullable Position valve,
      @NotNull Look what,
      @NotNull Grade grade,
      @Size(max = 400, message = "400 letters at most") @Nullable String note,
      @Initials String hand) {}

  /** Begins a job; a repeat with the same id changes nothing. */
  void start(UUID id, JobStart start) {
    Optional<JobRow> known = jobs.findById(id);
    if (known.isPresent()) {
      TakenBack.refuseOther(known.get().engineId.equals(start.engineId()));
      return;
    }
    jobs.findByEndedAtIsNullOrderByStartedAt().stream()
        .filter(j -> j.engineId.equals(start.engineId()))
        .findFirst()
        .ifPresent(
            j -> {
              throw Refusal.conflict("a job on this engine is open: go on with it, or end it");
            });
    JobPlanner.Planned planned = planner.plan(start.engineId(), start.ask());
    JobRow row = new JobRow(id, start.engineId());
    row.plan = documents.write(Documents.Kind.JOB_PLAN, planned);
    row.engineHours = start.engineHours();
    row.hand = start.hand();
    row.startedAt = now();
    Because.of(start.hand(), "job begun");
    jobs.saveAndFlush(row);
  }

  /** Keeps an act, unless it would hurt or somebody was quicker. */
  void act(UUID jobId, UUID actId, ActEntry entry) {
    JobRow row = row(jobId);
    Optional<ActRow> known = acts.findById(actId);
    if (known.isPresent()) {
      TakenBack.refuseOther(known.get().jobId.equals(jobId));
      return;
    }
    List<Done> before = done(jobId);
    if (entry.basedOn() != before.size()) {
      String who = before.isEmpty() ? "somebody" : before.get(before.size() - 1).hand();
      throw Refusal.conflict(
          who + " went on with this job meanwhile: look at where it stands, then again");
    }
    JobPlanner.Planned planned = planned(row);
    Job job = Job.of(planned.plan(), before);
    Done done = read(entry);
    Optional<String> refused = job.refuses(done);
    if (refused.isPresent()) {
      throw Refusal.invalid("act", refused.get());
    }
    Because.of(entry.hand(), entry.act().words());
    acts.saveAndFlush(new ActRow(actId, jobId, before.size(), done));
    jobs.touch(jobId);
    Job after = job.after(done);
    handOver.follow(row, planned, before, job, after, done);
    if (after.end() != Job.End.OPEN) {
      row.endedAt = done.at();
      row.signedBy = after.end() == Job.End.SIGNED ? done.hand() : null;
      Because.of(entry.hand(), entry.act().words());
      jobs.saveAndFlush(row);
    }
  }

  /** All that a parked job waited for is here: it is taken up where it was left. */
  @EventListener
  void partIsHere(PartIsHere here) {
    Optional<JobRow> row = jobs.findById(here.jobId()).filter(j -> j.endedAt == null);
    if (row.isEmpty()) {
      return;
    }
    List<Done> before = done(here.jobId());
    Job job = Job.of(planned(row.get()).plan(), before);
    Done done =
        new Done(Act.RESUME, "", null, null, null, here.part() + " is here", here.hand(), now());
    if (job.refuses(done).isEmpty() && parkedForPart(before)) {
      Because.of(here.hand(), Act.RESUME.words());
      UUID id = named(here.jobId(), "here " + before.size());
      acts.saveAndFlush(new ActRow(id, here.jobId(), before.size(), done));
      jobs.touch(here.jobId());
    }
  }

  /** Who parked it for something else, such as the night, takes it up himself. */
  private static boolean parkedForPart(List<Done> acts) {
    return acts.stream()
        .map(Done::act)
        .filter(a -> a == Act.PARK || a == Act.ORDER)
        .reduce((a, b) -> b)
        .filter(a -> a == Act.ORDER)
        .isPresent();
  }

  private Done read(ActEntry e) {
    return new Done(
        e.act(),
        e.step() == null ? "" : e.step(),
        e.cylinder(),
        e.valve(),
        e.figure(),
        e.word(),
        e.hand(),
        now());
  }

  /** Keeps what was seen. */
  void find(UUID jobId, UUID findingId, FindingEntry entry) {
    row(jobId);
    FindingRow row = findings.findById(findingId).orElse(null);
    TakenBack.refuseOther(row == null || row.jobId.equals(jobId));
    Instant at = row == null ? now() : row.foundAt;
    FindingRow written = write(row == null ? new FindingRow(findingId, jobId) : row, entry, at);
    Because.of(entry.hand(), "finding");
    findings.saveAndFlush(written);
    jobs.touch(jobId);
  }

  private static FindingRow write(FindingRow row, FindingEntry entry, Instant at) {
    row.valve = entry.valve() == null ? null : entry.valve().toString();
    row.what = entry.what();
    row.grade = entry.grade();
    row.note = entry.note();
    row.hand = entry.hand();
    row.foundAt = at;
    return row;
  }

  /** A finding as a row of its own. */
  static FindingRow row(UUID id, UUID jobId, FindingEntry entry, Instant at) {
    return write(new FindingRow(id, jobId), entry, at);
  }

  /** A finding as it was sent. */
  static FindingEntry entry(FindingRow f) {
    return new FindingEntry(
        f.valve == null ? null : Position.parse(f.valve), f.what, f.grade, f.note, f.hand);
  }

  /** Keeps a photo with its finding. */
  void photo(UUID jobId, UUID findingId, byte[] image) {
    FindingRow row =
        findings
            .findById(findingId)
            .filter(f -> f.jobId.equals(jobId))
            .orElseThrow(() -> Refusal.notFound("no such finding in this job"));
    jobs.touch(jobId);
    row.photoType = photos.keep(findingId, image);
    Because.of(row.hand, "photo");
    findings.saveAndFlush(row);
  }

  @Transactional(readOnly = true)
  JobRow row(UUID id) {
    return jobs.findById(id).orElseThrow(() -> Refusal.notFound("there is no such job here"));
  }

  JobPlanner.Planned planned(JobRow row) {
    return planner.read(row);
  }

  @Transactional(readOnly = true)
  List<Done> done(UUID jobId) {
    return acts.findByJobIdOrderByPlace(jobId).stream().map(ActRow::done).toList();
  }

  /** The same id for the same thing of a job, so that doing it twice does it once. */
  static UUID named(UUID jobId, String thing) {
    return Ids.of(jobId + " " + thing);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
