package shim.core.engine;

/** Where lash is adjusted; decides how far a turn moves the valve tip and a hydraulic plunger. */
public enum Adjuster {
  SCREW_VALVE_END("screw in the rocker's valve end", true),
  SCREW_PUSHROD_END("screw in the rocker's pushrod end", true),
  FULCRUM_NUT("stud or pedestal nut", true),
  PEDESTAL_SHIM("shims under the pedestal", false),
  PUSHROD_LENGTH("fixed rocker, pushrod length", false),
  BUCKET_SHIM("shim in or under the bucket", false);

  private final String words;
  private final boolean turned;

  Adjuster(String words, boolean turned) {
    this.words = words;
    this.turned = turned;
  }

  public String words() {
    return words;
  }

  /** True when a wrench turns it; false when a part is exchanged. */
  public boolean turned() {
    return turned;
  }

  /**
   * Lash at the valve taken up by one inch of adjuster travel in the closing direction, inch per
   * inch.
   *
   * @param ratio rocker ratio
   */
  public double lashPerInch(double ratio) {
    return switch (this) {
      case SCREW_VALVE_END, BUCKET_SHIM -> 1;
      case SCREW_PUSHROD_END, PUSHROD_LENGTH -> ratio;
      case FULCRUM_NUT, PEDESTAL_SHIM -> 1 + ratio;
    };
  }

  /** Hydraulic plunger travel for one inch of adjuster travel: the lash it takes up, over ratio. */
  public double plungerPerInch(double ratio) {
    return lashPerInch(ratio) / ratio;
  }
}
