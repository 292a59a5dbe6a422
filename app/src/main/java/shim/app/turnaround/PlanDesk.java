package shim.app.turnaround;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import shim.core.turnaround.Plan;
import shim.core.turnaround.Situation;

/** Makes plans off the thread that asks, one at a time, and keeps those of the last situations. */
@Component
class PlanDesk implements DisposableBean {
  private static final int KEPT = 8;
  private static final long PATIENCE_MILLIS = 1200;

  private final ExecutorService desk =
      Executors.newSingleThreadExecutor(
          task -> {
            Thread thread = new Thread(task, "plan");
            thread.setDaemon(true);
            return thread;
          });
  private final AsyncCache<Situation, Plan> plans =
      Caffeine.newBuilder().maximumSize(KEPT).executor(desk).buildAsync();

  /** The plan; empty when it is still being made. */
  Optional<Plan> of(Situation now) {
    CompletableFuture<Plan> plan = plans.get(now, situation -> Plan.of(situation));
    try {
      return Optional.of(plan.get(PATIENCE_MILLIS, TimeUnit.MILLISECONDS));
    } catch (TimeoutException e) {
      return Optional.empty();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Optional.empty();
    } catch (ExecutionException e) {
      throw new IllegalStateException("no plan could be made", e.getCause());
    }
  }

  @Override
  public void destroy() {
    desk.shutdownNow();
  }
}
