package shim.core.engine;

/** Temperature state in which lash is measured or specified. */
public enum HeatState {
  HOT("hot"),
  COLD("cold");

  private final String word;

  HeatState(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }
}
