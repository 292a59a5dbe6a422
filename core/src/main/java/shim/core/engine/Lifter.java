package shim.core.engine;

/** Lifter kinds. */
public enum Lifter {
  FLAT_SOLID(false, false),
  ROLLER_SOLID(false, true),
  FLAT_HYDRAULIC(true, false),
  ROLLER_HYDRAULIC(true, true),
  BUCKET(false, false);

  private final boolean hydraulic;
  private final boolean roller;

  Lifter(boolean hydraulic, boolean roller) {
    this.hydraulic = hydraulic;
    this.roller = roller;
  }

  public boolean hydraulic() {
    return hydraulic;
  }

  public boolean roller() {
    return roller;
  }
}
