package shim.core.cam;

/**
 * What the spring has to turn back at the valve: valve, retainer, locks, a third of the spring,
 * rocker inertia over its arm squared, and pushrod with lifter over the ratio squared, for their
 * speed is the valve's over the ratio. Weighed in grams.
 *
 * @param rockerGIn2 inertia of the rocker about its fulcrum, gram inch²
 * @param rockerArmIn from fulcrum to valve tip, inch
 */
public record TrainMass(
    double valveG,
    double retainerG,
    double locksG,
    double springG,
    double rockerGIn2,
    double rockerArmIn,
    double pushrodG,
    double lifterG) {
  /** Grams in a pound: exact, NIST SP 811. */
  static final double G_PER_LBM = 453.59237;

  private static final double MOST_G = 2000;

  public TrainMass {
    for (double m :
        new double[] {valveG, retainerG, locksG, springG, rockerGIn2, pushrodG, lifterG}) {
      if (!(m >= 0 && m <= MOST_G)) {
        throw new IllegalArgumentException(
            "a weight of " + m + " g cannot be: 0 to 2000 g is possible");
      }
    }
    if (!(valveG > 0 && rockerArmIn > 0.5 && rockerArmIn < 4)) {
      throw new IllegalArgumentException(
          "the valve must be weighed, and the rocker's arm measured: {" + rockerArmIn + " in}");
    }
  }

  /** All of it as if it sat on the valve, lbm. */
  public double atValveLbm(double ratio) {
    return atValveG(ratio) / G_PER_LBM;
  }

  /** All of it as if it sat on the valve, gram. */
  public double atValveG(double ratio) {
    if (!(ratio > 0.5 && ratio < 3)) {
      throw new IllegalArgumentException("a ratio of " + ratio + " is no rocker's");
    }
    return valveG
        + retainerG
        + locksG
        + springG / 3
        + rockerGIn2 / (rockerArmIn * rockerArmIn)
        + (pushrodG + lifterG) / (ratio * ratio);
  }
}
