package shim.core.engine;

/** Intake or exhaust. */
public enum ValveKind {
  INTAKE("I", "intake"),
  EXHAUST("E", "exhaust");

  private final String letter;
  private final String word;

  ValveKind(String letter, String word) {
    this.letter = letter;
    this.word = word;
  }

  /** The trade's letter, {@code I} or {@code E}. */
  public String letter() {
    return letter;
  }

  public String word() {
    return word;
  }

  public ValveKind other() {
    return this == INTAKE ? EXHAUST : INTAKE;
  }
}
