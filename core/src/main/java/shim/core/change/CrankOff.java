package shim.core.change;

import java.util.Locale;
import java.util.Optional;
import shim.core.unit.Figures;
import shim.core.unit.InWords;

/**
 * A crank that is not at the TDC of a cylinder, and what air would do there.
 *
 * @param offDeg past TDC, below zero before it, crank degrees
 * @param torqueLbfFt torque of the air on the crank
 * @param fallIn how far the piston stands below TDC: as far a valve can drop, and the chamber
 * @param holdsWithinDeg nearer to TDC than this the engine holds itself
 * @param turns air would turn the crank: beyond that, and not locked
 */
public record CrankOff(
    double offDeg, double torqueLbfFt, double fallIn, double holdsWithinDeg, boolean turns) {
  /** Nothing where the crank is there, or where bore, stroke and rod are not written down. */
  static Optional<CrankOff> of(Job job, int cylinder) {
    double off = degrees(job, cylinder);
    AirHold air = job.plan().air();
    if (air == null || !near(off) || Figures.atMost(Math.abs(off), AtStop.THERE_DEG)) {
      return Optional.empty();
    }
    return air.slide()
        .map(
            s -> {
              double holds = s.holdsWithinDeg(air.psi(), air.turnsAtLbfFt());
              return new CrankOff(
                  off,
                  s.torqueLbfFt(air.psi(), Math.abs(off)),
                  s.belowTdcIn(off),
                  holds,
                  !job.crankLocked() && Figures.above(Math.abs(off), holds));
            });
  }

  /** Near enough to TDC that air may be thought of at all. */
  static boolean near(double offDeg) {
    return Figures.atMost(Math.abs(offDeg), AirHold.MOST_OFF_DEG);
  }

  /** Degrees past a cylinder's nearest TDC of this hold; no number before the crank is known. */
  static double degrees(Job job, int cylinder) {
    Double tdc = job.plan().tdcDeg().get(cylinder);
    double every = job.plan().hold().everyDeg();
    return job.crankDeg() == null || tdc == null
        ? Double.NaN
        : Math.IEEEremainder(job.crankDeg() - tdc, every);
  }

  /** Where it stands and what air does there. */
  String words() {
    return String.format(
        Locale.ROOT,
        "%.0f° %s TDC air turns the crank with %s, and a valve could fall %s",
        Math.abs(offDeg),
        offDeg > 0 ? "past" : "before",
        InWords.torque(Math.round(torqueLbfFt)),
        InWords.inch(fallIn));
  }
}
