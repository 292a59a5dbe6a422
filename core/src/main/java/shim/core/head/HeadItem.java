package shim.core.head;

import shim.core.walk.Thing;

/** What is counted when heads go on. */
public enum HeadItem implements Thing {
  GASKETS("head gasket", "head gaskets"),
  FIXINGS("head fixing", "head fixings"),
  PUSHRODS("pushrod", "pushrods"),
  HEAD_TOOLS("tool", "tools"),
  HEAD_RAGS("rag or cover", "rags and covers");

  private final String one;
  private final String many;

  HeadItem(String one, String many) {
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
