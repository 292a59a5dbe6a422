package shim.core.lash;

/** The spring or rocker to the eye. */
public enum Seen {
  WHOLE,
  BROKEN,
  LOOSE,
  WORN
}
