package shim.core.change;

import java.util.Optional;
import shim.core.crank.CrankSlide;
import shim.core.unit.Figures;

/**
 * Air that holds valves up, and what it does to the crank under them.
 *
 * @param slide piston, rod and crank; empty where bore, stroke or rod are not written down
 * @param psi air pressure
 * @param offDeg how far off TDC the crank may be found, degrees
 * @param turnsAtLbfFt torque that turns this crank with the plugs out
 */
public record AirHold(Optional<CrankSlide> slide, double psi, double offDeg, double turnsAtLbfFt) {
  /** Less does not hold a valve, more is no shop air: common practice, no source. */
  public static final double LEAST_PSI = 20;

  public static final double MOST_PSI = 200;

  /** Common practice, no source. */
  public static final double USUAL_PSI = 80;

  /** A guess from memory, to be measured on the engine, lbf·ft. */
  public static final double USUAL_TURNS_AT = 12;

  /** How far off TDC a person finds it by eye; from memory, degrees. */
  public static final double USUAL_OFF_DEG = 3;

  /** Whoever looks at the mark is nearer to TDC than this, degrees. */
  public static final int MOST_OFF_DEG = 40;

  /** From this share of the torque that turns the crank on, a lock is wanted. */
  private static final double LOCK_FROM = 0.5;

  public AirHold {
    offDeg = Math.min(MOST_OFF_DEG, Math.abs(offDeg));
    if (!sound(psi)) {
      throw new IllegalArgumentException("air of {20 psi} to {200 psi}");
    }
  }

  public static boolean sound(double psi) {
    return psi >= LEAST_PSI && psi <= MOST_PSI;
  }

  /** Air turns the crank there, or all but does; wanted too where nobody can tell. */
  public boolean lockWanted() {
    return slide
        .map(s -> Figures.above(s.torqueLbfFt(psi, offDeg), LOCK_FROM * turnsAtLbfFt))
        .orElse(true);
  }
}
