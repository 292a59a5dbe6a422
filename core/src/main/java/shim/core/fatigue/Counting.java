package shim.core.fatigue;

import java.util.Collection;
import shim.core.engine.HeatState;
import shim.core.spring.LoadCurve;
import shim.core.unit.Figures;

/**
 * Which readings of a set count in its verdict: hot and cold are kept apart, and those of most
 * count.
 */
public record Counting(HeatState state) {
  /** Farther from the reference height a reading says little of the load there, inch. */
  private static final double NEAR_IN = 0.1;

  /**
   * @param readings state of each reading; half and half is cold
   */
  public static Counting of(Collection<HeatState> readings) {
    long hot = readings.stream().filter(s -> s == HeatState.HOT).count();
    return new Counting(2 * hot > readings.size() ? HeatState.HOT : HeatState.COLD);
  }

  /**
   * @param whole read of the whole spring, not of one of its members
   * @param moved to the reference height
   */
  public boolean counts(HeatState readIn, boolean whole, LoadCurve.Moved moved) {
    return whole
        && readIn == state
        && Figures.atMost(Math.abs(moved.byIn()), NEAR_IN)
        && moved.loadLbf() > 0;
  }
}
