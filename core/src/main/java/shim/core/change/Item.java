package shim.core.change;

/** What is counted out and in: anything small enough to be left in an engine. */
public enum Item {
  LOCKS("lock", "locks"),
  RETAINERS("retainer", "retainers"),
  SPRINGS("spring", "springs"),
  SHIMS("shim", "shims"),
  SEALS("seal", "seals"),
  TOOLS("tool", "tools"),
  RAGS("rag or cover", "rags and covers");

  private final String one;
  private final String many;

  Item(String one, String many) {
    this.one = one;
    this.many = many;
  }

  /** "1 lock", "3 locks". */
  public String words(int n) {
    return n + " " + (n == 1 ? one : many);
  }

  public String many() {
    return many;
  }
}
