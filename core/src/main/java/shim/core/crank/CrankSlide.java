package shim.core.crank;

import java.util.List;
import java.util.stream.IntStream;
import shim.core.unit.Pressure;

/**
 * Piston, rod and crank of one cylinder: what air on a piston does to the crank, and how far a
 * dropped valve could fall. Slider-crank without pin offset: the piston stands below TDC by x(θ) =
 * R + L − (R cos θ + √(L² − R² sin² θ)); force times dx/dθ is the torque.
 *
 * @param boreIn bore
 * @param strokeIn stroke, twice R
 * @param rodIn rod length between centres, L; longer than R
 */
public record CrankSlide(double boreIn, double strokeIn, double rodIn) {
  public CrankSlide {
    if (!(boreIn > 0 && strokeIn > 0 && rodIn > strokeIn / 2)
        || !Double.isFinite(boreIn + strokeIn + rodIn)) {
      throw new IllegalArgumentException(
          "bore " + boreIn + ", stroke " + strokeIn + ", rod " + rodIn + " in make no engine");
    }
  }

  /** One angle of the curve for one pressure. */
  public record OffTdc(double offDeg, double torqueLbfFt, double fallIn) {}

  /** How far the piston stands below TDC, inch; a valve may fall this and the chamber's depth. */
  public double belowTdcIn(double offDeg) {
    double r = strokeIn / 2;
    double t = Math.toRadians(offDeg);
    double s = r * Math.sin(t);
    return r + rodIn - (r * Math.cos(t) + Math.sqrt(rodIn * rodIn - s * s));
  }

  /** Arm of the piston's force about the crank, inch; its sign is the way the crank is pushed. */
  public double armIn(double offDeg) {
    double r = strokeIn / 2;
    double lambda = r / rodIn;
    double t = Math.toRadians(offDeg);
    double sin = Math.sin(t);
    return r * (sin + lambda * sin * Math.cos(t) / Math.sqrt(1 - lambda * lambda * sin * sin));
  }

  /** Force of air on the piston, lbf. */
  public double forceLbf(double psi) {
    return Pressure.onRoundLbf(psi, boreIn);
  }

  /** Torque of air on the crank, lbf·ft. */
  public double torqueLbfFt(double psi, double offDeg) {
    return forceLbf(psi) * armIn(offDeg) / 12;
  }

  /** Force that holds a valve up, lbf: pressure on the head's area. */
  public static double valveForceLbf(double psi, double headDiameterIn) {
    return Pressure.onRoundLbf(psi, headDiameterIn);
  }

  /** Torque and fall from TDC on, for drawing. */
  public List<OffTdc> curve(double psi, int toDeg) {
    return IntStream.rangeClosed(0, toDeg)
        .mapToObj(d -> new OffTdc(d, torqueLbfFt(psi, d), belowTdcIn(d)))
        .toList();
  }

  /**
   * How far off TDC air may find the crank before it turns it.
   *
   * @param turnsAtLbfFt torque that turns this crank with the plugs out
   * @return degrees, at most 90; 90 where air never does
   */
  public double holdsWithinDeg(double psi, double turnsAtLbfFt) {
    if (torqueLbfFt(psi, 90) <= turnsAtLbfFt && torqueLbfFt(psi, 75) <= turnsAtLbfFt) {
      return 90;
    }
    double low = 0;
    double high = 75;
    while (high - low > 1e-6) {
      double mid = (low + high) / 2;
      if (torqueLbfFt(psi, mid) > turnsAtLbfFt) {
        high = mid;
      } else {
        low = mid;
      }
    }
    return low;
  }
}
