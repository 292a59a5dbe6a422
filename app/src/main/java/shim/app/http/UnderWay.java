package shim.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The calls that are under way and want to be followed: who sends one gives it an id, in the header
 * {@code Shim-Work}, and asks under that id how far it is.
 */
@Component
public class UnderWay extends OncePerRequestFilter {
  private static final String HEADER = "Shim-Work";

  private final Map<UUID, Following> all = new ConcurrentHashMap<>();
  private final ThreadLocal<Progress> here = ThreadLocal.withInitial(() -> Progress.UNSEEN);

  /**
   * How far a call is.
   *
   * @param done of {@code all}, in what the stage counts
   * @param all 0 when nobody knows
   * @param stops false from where it must go through
   */
  record HowFar(Progress.Stage stage, long done, long all, boolean stops) {
    static final HowFar WAITING = new HowFar(Progress.Stage.WAITING, 0, 0, true);
  }

  /** One call that is followed. */
  private static final class Following implements Progress {
    private volatile HowFar far = HowFar.WAITING;
    private boolean stopping;

    @Override
    public synchronized void at(Stage stage, long done, long all) {
      if (stopping) {
        throw Refusal.stopped("stopped, as you asked: nothing was changed");
      }
      far = new HowFar(stage, done, all, stage != Stage.REPLACING);
    }

    synchronized Optional<HowFar> stop() {
      stopping = far.stops();
      return stopping ? Optional.of(far) : Optional.empty();
    }
  }

  /** To whom the work of this thread says how far it is. */
  public Progress here() {
    return here.get();
  }

  /** How far a call is; one that has not come or is over waits. */
  HowFar of(UUID id) {
    return Optional.ofNullable(all.get(id)).map(f -> f.far).orElse(HowFar.WAITING);
  }

  /** Asks a call to stop: how far it is; nothing when it is past that, over, or not here. */
  Optional<HowFar> stop(UUID id) {
    return Optional.ofNullable(all.get(id)).flatMap(Following::stop);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    UUID id = id(request);
    Following follow = new Following();
    if (id == null || all.putIfAbsent(id, follow) != null) {
      chain.doFilter(request, response);
      return;
    }
    here.set(follow);
    long bytes = Math.max(0, request.getContentLengthLong());
    try {
      chain.doFilter(
          new CountedBody(request, come -> follow.at(Progress.Stage.ARRIVING, come, bytes)),
          response);
    } finally {
      here.remove();
      all.remove(id);
    }
  }

  private static @Nullable UUID id(HttpServletRequest request) {
    String given = request.getHeader(HEADER);
    try {
      return given == null ? null : UUID.fromString(given);
    } catch (IllegalArgumentException e) {
      return null;
    }
  }
}
