package shim.core.change;

/** How a valve is kept up while its spring is off. */
public enum Hold {
  AIR(
      "air",
      "Compressed air through the plug hole, {50 psi} to {100 psi}, piston at compression TDC.",
      720),
  PISTON(
      "the piston",
      "The piston at TDC under the valve: two cylinders that share a TDC are done at one stop.",
      360),
  ROPE(
      "rope",
      "Soft rope packed in through the plug hole, then the piston barred up against it gently.",
      720),
  BLOCK("a block", "Heads off: a rag or block under the valves.", 0);

  private final String by;
  private final String says;
  private final double everyDeg;

  Hold(String by, String says, double everyDeg) {
    this.by = by;
    this.says = says;
    this.everyDeg = everyDeg;
  }

  /** As in "held by air". */
  public String by() {
    return by;
  }

  public String says() {
    return says;
  }

  /** Crank degrees after which the same cylinder can be held again; 0 where the crank is out. */
  public double everyDeg() {
    return everyDeg;
  }

  public boolean onTheCrank() {
    return everyDeg > 0;
  }
}
