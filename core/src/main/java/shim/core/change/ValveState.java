package shim.core.change;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Where one valve stands.
 *
 * @param springIn mark of the spring on it; null while none is
 * @param hooked its locks are in
 * @param shims pieces under the spring
 * @param heightIn measured with the parts that go in
 * @param heightAccepted it may stand though it is out, or was not measured
 * @param since when it was unhooked
 */
public record ValveState(
    Stage stage,
    @Nullable String springIn,
    boolean hooked,
    int shims,
    @Nullable Double heightIn,
    boolean heightAccepted,
    Pushrod pushrod,
    boolean lashSet,
    @Nullable Instant since) {

  /** On the way from one spring to the next. */
  public enum Stage {
    ON_SPRING("closed on its spring"),
    COMPRESSED("compressed"),
    UNHOOKED("unhooked"),
    CLOSED("closed on its spring, locks not proved"),
    PROVED("locks proved"),
    DROPPED("dropped into the cylinder");

    private final String words;

    Stage(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** A tool is on it, or nothing but the hold keeps it up. */
    public boolean open() {
      return this == COMPRESSED || this == UNHOOKED;
    }

    boolean finished() {
      return this == CLOSED || this == PROVED;
    }
  }

  /** Where its pushrod is. */
  public enum Pushrod {
    NONE,
    IN_PLACE,
    OUT,
    KEPT_OUT,
    SEATED
  }

  /** Nothing but the hold keeps it up. */
  public boolean loose() {
    return stage.open() && !hooked;
  }

  ValveState stage(Stage next) {
    return new ValveState(
        next, springIn, hooked, shims, heightIn, heightAccepted, pushrod, lashSet, since);
  }

  ValveState unhooked(Instant at) {
    return new ValveState(
        Stage.UNHOOKED, springIn, false, shims, heightIn, heightAccepted, pushrod, lashSet, at);
  }

  ValveState hooked(boolean in) {
    return new ValveState(
        stage, springIn, in, shims, heightIn, heightAccepted, pushrod, lashSet, since);
  }

  ValveState spring(@Nullable String mark) {
    return new ValveState(
        stage, mark, hooked, shims, heightIn, heightAccepted, pushrod, lashSet, since);
  }

  /** Another stack is another height. */
  ValveState stack(int pieces) {
    return new ValveState(stage, springIn, hooked, pieces, null, false, pushrod, lashSet, since);
  }

  ValveState height(double inch) {
    return new ValveState(stage, springIn, hooked, shims, inch, false, pushrod, lashSet, since);
  }

  /** Measured, or left open with a reason. */
  public boolean heightDone() {
    return heightIn != null || heightAccepted;
  }

  /** Left open with a reason: nobody measured it. */
  public boolean heightSkipped() {
    return heightIn == null && heightAccepted;
  }

  ValveState accepted() {
    return new ValveState(stage, springIn, hooked, shims, heightIn, true, pushrod, lashSet, since);
  }

  ValveState pushrod(Pushrod where) {
    Pushrod now = pushrod == Pushrod.NONE ? Pushrod.NONE : where;
    return new ValveState(
        stage, springIn, hooked, shims, heightIn, heightAccepted, now, lashSet, since);
  }

  ValveState lash(boolean set) {
    return new ValveState(
        stage, springIn, hooked, shims, heightIn, heightAccepted, pushrod, set, since);
  }
}
