package shim.app.lash;

/** How the reading was given. */
public enum Form {
  FIGURE,
  GO_NO_GO,
  LEAF,
  TURNS,
  /** Hydraulic, where nothing turns: length of the pushrod at zero lash. */
  LENGTH,
  /** As left is as found: nothing was touched. */
  SAME
}
