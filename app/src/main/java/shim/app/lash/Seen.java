package shim.app.lash;

/** The spring or rocker to the eye. */
public enum Seen {
  WHOLE,
  BROKEN,
  LOOSE,
  WORN
}
