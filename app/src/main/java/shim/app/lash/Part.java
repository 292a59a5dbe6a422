package shim.app.lash;

/** What was changed. */
public enum Part {
  CAM,
  PUSHROD,
  ROCKER,
  STUD,
  GUIDE_PLATE,
  LIFTER,
  VALVE,
  GASKET,
  HEAD_SKIM,
  SEAT,
  SEAT_RING
}
