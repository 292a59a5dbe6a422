package shim.core.engine;

/** How the rocker is carried; {@code NONE} for a bucket under the cam. */
public enum Rocker {
  SHAFT,
  STUD,
  PEDESTAL,
  NONE
}
