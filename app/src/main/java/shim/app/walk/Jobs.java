package shim.app.walk;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Entries;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.app.record.Photos;
import shim.app.record.TakenBack;
import shim.app.stock.Orders;
import shim.app.stock.PartIsHere;
import shim.core.engine.Position;
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.End;
import shim.core.walk.Procedure;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;
import tools.jackson.databind.JsonNode;

/** Jobs as what was done, one act at a time, each kept at once and safe to repeat. */
@Service
@Transactional
public class Jobs {
  private final JobRows jobs;
  private final ActRows acts;
  private final FindingRows findings;
  private final Map<JobKind, WalkKind<?, ?>> kinds;
  private final Orders orders;
  private final Photos photos;
  private final Documents documents;
  private final Entries entries;
  private final Clock clock;

  Jobs(
      JobRows jobs,
      ActRows acts,
      FindingRows findings,
      List<WalkKind<?, ?>> kinds,
      Orders orders,
      Photos photos,
      Documents documents,
      Entries entries,
      Clock clock) {
    this.jobs = jobs;
    this.acts = acts;
    this.findings = findings;
    this.kinds = new EnumMap<>(JobKind.class);
    kinds.forEach(k -> this.kinds.put(k.kind(), k));
    this.orders = orders;
    this.photos = photos;
    this.documents = documents;
    this.entries = entries;
    this.clock = clock;
  }

  /**
   * How a job begins.
   *
   * @param engineId null where the work is on a head that lies on the rack
   * @param headId null where it is about no head with a record of its own
   */
  public record Start(
      JobKind kind,
      @Nullable UUID engineId,
      @Nullable UUID headId,
      double engineHours,
      String hand) {}

  /**
   * Something done, as it is sent.
   *
   * @param step the walk's step it does; blank for anything else that happens
   * @param basedOn how many acts whoever sends it has seen
   */
  public record ActEntry(
      @NotNull Act act,
      @Size(max = 80) @Nullable String step,
      @Nullable Integer cylinder,
      @Nullable Position valve,
      @Nullable Double figure,
      @Size(max = 400, message = "400 letters at most") @Nullable String word,
      @Initials String hand,
      int basedOn) {
    /** As it is done at a time. */
    public Done done(Instant at) {
      String of = step == null ? "" : step;
      return new Done(act, of, cylinder, valve, figure, word, hand, at);
    }
  }

  /** What is looked at on the way. */
  public enum Look {
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
  public enum Grade {
    GOOD,
    WORN,
    BAD
  }

  /** A finding as it is sent. */
  public record FindingEntry(
      @Nullable Position valve,
      @NotNull Look what,
      @NotNull Grade grade,
      @Size(max = 400, message = "400 letters at most") @Nullable String note,
      @Initials String hand) {}

  /** Begins a job, unless it is begun already; a repeat with the same id changes nothing. */
  public void start(UUID id, Start start, Supplier<? extends Record> plan) {
    Optional<JobRow> known = jobs.findById(id);
    if (known.isPresent()) {
      JobRow row = known.get();
      TakenBack.refuseOther(
          Objects.equals(row.engineId, start.engineId())
              && Objects.equals(row.headId, start.headId()));
      return;
    }
    for (JobRow open : jobs.findByEndedAtIsNullOrderByStartedAt()) {
      boolean engine = start.engineId() != null && start.engineId().equals(open.engineId);
      if (engine || start.headId() != null && start.headId().equals(open.headId)) {
        throw Refusal.conflict(
            "a job on this " + (engine ? "engine" : "head") + " is open: go on with it, or end it");
      }
    }
    JobRow row = new JobRow(id, start.kind(), start.engineId(), start.headId());
    row.plan = documents.write(kind(start.kind()).document(), plan.get());
    row.engineHours = start.engineHours();
    row.hand = start.hand();
    row.startedAt = now();
    Because.of(start.hand(), "job begun");
    jobs.saveAndFlush(row);
  }

  /** Keeps an act, unless it would hurt or somebody was quicker. */
  public void act(UUID jobId, UUID actId, ActEntry entry) {
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
    act(opened(row), row, before, actId, entry.done(now()));
  }

  private <P extends Record, S> void act(
      Opened<P, S> job, JobRow row, List<Done> before, UUID actId, Done done) {
    Walk<S> walk = job.walk(before);
    Optional<String> refused = walk.refuses(done);
    if (refused.isPresent()) {
      throw Refusal.invalid("act", refused.get());
    }
    Because.of(done.hand(), done.act().words());
    acts.saveAndFlush(new ActRow(actId, row.id, before.size(), done));
    jobs.touch(row.id);
    Walk<S> after = walk.after(done);
    ordered(row, done);
    job.kind().follow(job.begun(), before, walk, after, done);
    if (after.end() != End.OPEN) {
      row.endedAt = done.at();
      row.signedBy = after.end() == End.SIGNED ? done.hand() : null;
      Because.of(done.hand(), done.act().words());
      jobs.saveAndFlush(row);
    }
  }

  /** A part that a job on an engine waits for is on the list of that engine. */
  private void ordered(JobRow row, Done done) {
    if (done.act() == WalkAct.ORDER && row.engineId != null) {
      UUID order = named(row.id, "order " + done.at());
      orders.wantedBy(order, row.id, row.engineId, done.text(), done.hand());
    }
  }

  /** A job with its plan read and its kind found. */
  record Opened<P extends Record, S>(WalkKind<P, S> kind, Begun<P> begun, Procedure<S> procedure) {
    Walk<S> walk(List<Done> acts) {
      return Walk.of(procedure, acts);
    }
  }

  Opened<?, ?> opened(JobRow row) {
    return opened(row, kind(row.kind));
  }

  private <P extends Record, S> Opened<P, S> opened(JobRow row, WalkKind<P, S> kind) {
    P plan = documents.read(kind.document(), row.plan, kind.plan());
    return new Opened<>(
        kind,
        new Begun<>(row.id, row.engineId, row.headId, row.engineHours, row.startedAt, plan),
        kind.procedure(plan));
  }

  /** A plan as a file holds it. */
  JsonNode plan(JobRow row) {
    return documents.tree(opened(row).begun().plan());
  }

  /** A plan of a file as it is kept here; one that is none is refused in words. */
  String plan(JobKind kind, JsonNode plan) {
    Record read = documents.record(plan, kind(kind).plan());
    entries.requireSound(read);
    return documents.write(kind(kind).document(), read);
  }

  private WalkKind<?, ?> kind(JobKind kind) {
    return Objects.requireNonNull(kinds.get(kind));
  }

  /** All that a parked job waited for is here: it is taken up where it was left. */
  @EventListener
  void partIsHere(PartIsHere here) {
    Optional<JobRow> row = jobs.findById(here.jobId()).filter(j -> j.endedAt == null);
    if (row.isEmpty()) {
      return;
    }
    List<Done> before = done(here.jobId());
    Walk<?> job = opened(row.get()).walk(before);
    Done done =
        new Done(
            WalkAct.RESUME, "", null, null, null, here.part() + " is here", here.hand(), now());
    if (job.refuses(done).isEmpty() && parkedForPart(before)) {
      Because.of(here.hand(), WalkAct.RESUME.words());
      UUID id = named(here.jobId(), "here " + before.size());
      acts.saveAndFlush(new ActRow(id, here.jobId(), before.size(), done));
      jobs.touch(here.jobId());
    }
  }

  /** Who parked it for something else, such as the night, takes it up himself. */
  private static boolean parkedForPart(List<Done> acts) {
    return Done.last(acts, d -> d.act() == WalkAct.PARK || d.act() == WalkAct.ORDER)
        .filter(d -> d.act() == WalkAct.ORDER)
        .isPresent();
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

  @Transactional(readOnly = true)
  List<Done> done(UUID jobId) {
    return acts.findByJobIdOrderByPlace(jobId).stream().map(ActRow::done).toList();
  }

  /** The same id for the same thing of a job, so that doing it twice does it once. */
  public static UUID named(UUID jobId, String thing) {
    return Ids.of(jobId + " " + thing);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
