package shim.app.record;

import org.jspecify.annotations.Nullable;

/** Who makes the change at hand, and why; told by the service that makes it. */
public final class Because {
  /** What a form says where nobody signs. */
  public static final String INITIALS = "write your initials, 12 letters at most";

  private static final Reason NOBODY = new Reason(null, null);
  private static final ThreadLocal<Reason> CURRENT = ThreadLocal.withInitial(() -> NOBODY);

  private Because() {}

  /** Initials and reason. */
  public record Reason(@Nullable String who, @Nullable String why) {}

  /** Signs all changes of this thread's next commit. */
  public static void of(@Nullable String who, @Nullable String why) {
    CURRENT.set(new Reason(who, why));
  }

  static Reason current() {
    Reason reason = CURRENT.get();
    CURRENT.remove();
    return reason;
  }
}
