package shim.core.lifter;

/** What may be behind a symptom. */
public enum Cause {
  JAM_NUT("jam nut slipped", false),
  PUSHROD_TIPS("pushrod tips wearing", false),
  PUSHROD_BENT("pushrod bent", false),
  ROCKER("rocker tip or trunnion wearing", false),
  LIFTER("lifter: wheel, needles or body", false),
  PLUNGER("hydraulic plunger: dirt, wear or air", false),
  LOBE("lobe going flat", false),
  SEAT("seat sinking", false),
  VALVE_HEAD("valve head pulling or valve bent", false),
  GUIDE("valve guide worn, beating its seat", false),
  STUD("stud pulled or fixing loose", false),
  LOCKS("locks sinking into the retainer", false),
  GEOMETRY("geometry: pushrod length or guide plate", false),
  SPRING("spring tired or broken", false),
  READING("temperature, hand or leaf", true);

  private final String words;
  private final boolean nothingWrong;

  Cause(String words, boolean nothingWrong) {
    this.words = words;
    this.nothingWrong = nothingWrong;
  }

  public String words() {
    return words;
  }

  /** True where the engine is well and the reading was not. */
  public boolean nothingWrong() {
    return nothingWrong;
  }
}
