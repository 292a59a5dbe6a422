package shim.app.interchange;

import jakarta.persistence.EntityManager;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/**
 * What the store's session holds of a table or a file while it is taken in. At each reading the
 * session looks through all it holds for changes, so what is written is let go: else a file of
 * twice the length takes four times as long.
 */
@Component
class Memory {
  private final EntityManager session;

  Memory(EntityManager session) {
    this.session = session;
  }

  /** Takes one thing in, then lets go of what was written for it. */
  <T> Consumer<T> letGoAfter(Consumer<T> taking) {
    return one -> {
      taking.accept(one);
      session.flush();
      session.clear();
    };
  }
}
