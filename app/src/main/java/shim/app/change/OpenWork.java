package shim.app.change;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.running.Runs;
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
   * @param dueHours engine hours by which an item is to be put right
   * @param stops nothing runs until it is done
   */
  public record Open(@Nullable UUID jobId, String words, @Nullable Double dueHours, boolean stops) {
    public boolean job() {
      return jobId != null;
    }
  }

  /** At once where its use is reached, else by its hours. */
  private static @Nullable Double due(OpenItems.OpenItem i, double used) {
    return i.dueUsed() != null && Figures.atLeast(used, i.dueUsed()) ? null : i.dueHours();
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
                        true)));
    List<OpenItems.OpenItem> open =
        items.of(engineId).stream().filter(i -> i.closedAt() == null).toList();
    boolean byUse = open.stream().anyMatch(i -> i.dueUsed() != null);
    double used = byUse ? runs.used(engineId) : 0;
    open.forEach(i -> result.add(new Open(null, i.words(), due(i, used), i.kind().stops())));
    return result;
  }
}
