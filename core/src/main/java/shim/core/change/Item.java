package shim.core.change;

import shim.core.walk.Thing;

/** What is counted out and in: anything small enough to be left in an engine. */
public enum Item implements Thing {
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

  @Override
  public String one() {
    return one;
  }

  @Override
  public String many() {
    return many;
  }
}
