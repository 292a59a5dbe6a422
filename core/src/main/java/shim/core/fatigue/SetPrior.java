package shim.core.fatigue;

/**
 * What is believed of a set before its first test; from the trade's usual figures, or from earlier
 * sets of the same spring.
 *
 * @param settling settling a, per unit of L
 * @param wearPerHour wear w an hour
 */
public record SetPrior(
    double settling, double settlingSd, double wearPerHour, double wearPerHourSd) {
  /** A box may stand this far from its data sheet. */
  static final double BOX_SD = 0.05;

  /** Where nothing better is known. */
  public static final SetPrior USUAL = new SetPrior(0.010, 0.010, 0.001, 0.002);
}
