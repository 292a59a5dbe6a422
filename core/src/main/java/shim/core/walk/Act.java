package shim.core.walk;

/**
 * Something that can be done. Those of every walk are in {@link WalkAct}; a procedure adds its own.
 */
public interface Act {
  /** Stays the same for ever: it is kept. */
  String name();

  String words();
}
