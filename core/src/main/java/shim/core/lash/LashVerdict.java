package shim.core.lash;

/** How a valve stands to what is wanted of it: its lash, or the preload of a hydraulic lifter. */
public enum LashVerdict {
  IN,
  TIGHT,
  WIDE,
  BELOW_FLOOR,
  /** No preload: the lifter's plunger stands against its stop, or there is lash. */
  NO_PRELOAD,
  SHALLOW,
  DEEP,
  /** The plunger is at its end and holds the valve open. */
  BOTTOMED
}
