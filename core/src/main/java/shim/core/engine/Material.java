package shim.core.engine;

/** What a block or head is cast from. */
public enum Material {
  IRON,
  ALUMINIUM
}
