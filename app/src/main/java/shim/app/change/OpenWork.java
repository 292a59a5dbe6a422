package shim.app.change;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.running.Runs;
import shim.app.walk.JobReader;
import shim.app.walk.JobViews;
import shim.core.engine.Position;
import shim.core.unit.Figures;

/** What is open on an engine: jobs not signed off, and items still to be put right. */
@Service
@Transactional(readOnly = true)
public class OpenWork {
  private final JobReader jobs;
  private final OpenItems items;
  private final Runs runs;

  OpenWork(JobReader jobs, OpenItems items, Runs runs) {
    this.jobs = jobs;
    this.items = items;
    this.runs = runs;
  }

  /**
   * One thing that is open.
   *
   * @param jobId the job, where it is one
   * @param valve it is about; null when about the whole engine
   * @param dueHours engine hours by which an item is to be put right
   * @param dueOn the day by which it is
   * @param stops nothing runs until it is done
   */
  public record Open(
      @Nullable UUID jobId,
      String words,
      @Nullable Position valve,
      @Nullable Double dueHours,
      @Nullable LocalDate dueOn,
      boolean stops) {
    public boolean job() {
      return jobId != null;
    }
  }

  /** At once where its use is reached, else by its hours and its day. */
  private static Open open(OpenItems.OpenItem i, double used) {
    boolean reached = i.dueUsed() != null && Figures.atLeast(used, i.dueUsed());
    String words = i.part() == null ? i.words() : i.part() + ": " + i.words();
    return new Open(
        null,
        words,
        i.valve(),
        reached ? null : i.dueHours(),
        reached ? null : i.dueOn(),
        i.kind().stops());
  }

  /** When its last job ended. */
  public Optional<Instant> lastEnded(UUID engineId) {
    return jobs.of(engineId).stream()
        .map(JobViews.JobLine::endedAt)
        .filter(Objects::nonNull)
        .max(Comparator.naturalOrder());
  }

  /** Minutes a valve that its signed changes took in the car, the oldest first. */
  public List<Double> took(UUID engineId) {
    return jobs.took(engineId);
  }

  public List<Open> of(UUID engineId) {
    List<Open> result = new ArrayList<>();
    jobs.of(engineId).stream()
        .filter(j -> j.endedAt() == null)
        .forEach(
            j ->
                result.add(
                    new Open(
                        j.id(),
                        j.title() + " is open" + (j.parked() == null ? "" : ": " + j.parked()),
                        null,
                        null,
                        null,
                        true)));
    List<OpenItems.OpenItem> open =
        items.of(engineId).stream().filter(i -> i.closedAt() == null).toList();
    boolean byUse = open.stream().anyMatch(i -> i.dueUsed() != null);
    double used = byUse ? runs.used(engineId) : 0;
    open.forEach(i -> result.add(open(i, used)));
    return result;
  }
}
