package shim.core.turnaround;

/** What a piece of work is worth to the next event; the heaviest first. */
public enum Weight {
  /** Without it the engine does not run there. */
  MUST,
  /** It is due; the engine could run without it. */
  SHOULD,
  /** Good to have, or for a later event. */
  COULD
}
