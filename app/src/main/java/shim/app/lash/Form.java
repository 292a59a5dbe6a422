package shim.app.lash;

/** How the reading was given. */
public enum Form {
  FIGURE,
  GO_NO_GO,
  LEAF,
  TURNS,
  /** As left is as found: nothing was touched. */
  SAME
}
