package shim.app.lash;

/** What was changed. */
public enum Part {
  PUSHROD,
  ROCKER,
  LIFTER,
  VALVE,
  GASKET,
  HEAD_SKIM,
  SEAT
}
