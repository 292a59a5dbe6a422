package shim.core.engine;

/** Ways to get from a hot lash figure to a cold one. */
public enum HotColdSchool {
  /** By block and head material. */
  TABLE,
  /** A fixed difference, whatever the heads. */
  FIXED,
  /** This engine's own growth, once one full pair of rounds exists; the table until then. */
  OWN_GROWTH
}
