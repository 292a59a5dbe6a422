package shim.app.lash;

/** Before or after the wrench. */
public enum Phase {
  FOUND,
  LEFT
}
