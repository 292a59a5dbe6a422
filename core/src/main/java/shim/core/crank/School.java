package shim.core.crank;

/** Schools of setting order. All but the last are common practice of the trade, no source. */
public enum School {
  OPENING_CLOSING_TWO_TRIPS(
      "Opening and closing, two trips",
      "All exhausts in firing order as their intakes all but close, then all intakes as their"
          + " exhausts begin to open."),
  OPENING_CLOSING_ONE_TRIP(
      "Opening and closing, one trip", "The same stops taken in the order the crank meets them."),
  OFF_FULL_LIFT(
      "Exhaust off full lift",
      "Exhausts just after their intake passes full lift, intakes as their exhaust begins to"
          + " open."),
  COMPRESSION_TDC(
      "Each cylinder at compression TDC", "Both valves of a cylinder, in firing order."),
  TWO_STOPS(
      "Two stops",
      "Number 1 at compression TDC, then one turn on: at each the valves with more"
          + " slack there."),
  FULL_LIFT_COMPANION(
      "Companion at full lift",
      "Each valve while the same valve of the cylinder one turn away is fully open."),
  BEST_STOPS(
      "Best few stops",
      "The crank positions that leave the most slack at the tightest valve, computed for this"
          + " cam.");

  private final String title;
  private final String says;

  School(String title, String says) {
    this.title = title;
    this.says = says;
  }

  public String title() {
    return title;
  }

  public String says() {
    return says;
  }
}
