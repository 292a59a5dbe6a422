package shim.core.walk;

/** How a walk ended, if it has. */
public enum End {
  OPEN,
  SIGNED,
  ABANDONED
}
