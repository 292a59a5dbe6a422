package shim.core.cam;

import java.util.Locale;
import shim.core.spring.RoundWire;

/**
 * Stress and life of one spring's wire between two loads: Goodman's line with Zimmerli's endurance
 * data (Shigley's Mechanical Engineering Design, chapter 10; values from memory). Tensile strength
 * falls with the wire, A/dᵐ; strength in shear is 0.67 of it.
 */
public record WireLife(RoundWire wire, Steel steel, boolean peened) {
  private static final double SHEAR_OF_TENSILE = 0.67;

  /** Wire steels: A in kpsi inchᵐ and m, Shigley's Table 10-4, values from memory. */
  public enum Steel {
    MUSIC(201, 0.145),
    CHROME_VANADIUM(169, 0.168),
    CHROME_SILICON(202, 0.108),
    OIL_TEMPERED(147, 0.187),
    HARD_DRAWN(140, 0.190);

    private final double strength;
    private final double power;

    Steel(double strength, double power) {
      this.strength = strength;
      this.power = power;
    }

    /** Tensile strength of a wire, kpsi. */
    public double tensileKpsi(double wireIn) {
      return strength / Math.pow(wireIn, power);
    }
  }

  /**
   * @param swingKpsi half the swing of shear stress between the loads
   * @param meanKpsi its mean
   * @param enduresKpsi swing that is endured about no mean, S_se
   * @param shearKpsi strength in shear, S_su
   * @param factor over one: endless by Goodman; below: it will tire
   */
  public record Stress(
      double swingKpsi, double meanKpsi, double enduresKpsi, double shearKpsi, double factor) {}

  /** Between the loads with the valve shut and open, lbf. */
  public Stress between(double shutLbf, double openLbf) {
    if (!(shutLbf >= 0 && openLbf > shutLbf && openLbf < 10_000)) {
      throw new IllegalArgumentException(
          String.format(Locale.ROOT, "loads of {%s lbf} and {%s lbf} cannot be", shutLbf, openLbf));
    }
    double shear = SHEAR_OF_TENSILE * steel.tensileKpsi(wire.wireIn());
    double endures = (peened ? 57.5 : 35) / (1 - (peened ? 77.5 : 55) / shear);
    double swing = wire.stressPsi((openLbf - shutLbf) / 2) / 1000;
    double mean = wire.stressPsi((openLbf + shutLbf) / 2) / 1000;
    return new Stress(swing, mean, endures, shear, 1 / (swing / endures + mean / shear));
  }

  /**
   * First surge frequency of the coils between their seats, Hz: ½ √(k/m) with the mass of the
   * active coils (Shigley, chapter 10).
   */
  public static double surgeHz(RoundWire wire, double shearModulusPsi, double lbmPerIn3) {
    double mass =
        Math.PI
            * Math.PI
            / 4
            * wire.wireIn()
            * wire.wireIn()
            * wire.coilIn()
            * wire.active()
            * lbmPerIn3;
    return Math.sqrt(wire.rateLbfPerIn(shearModulusPsi) * FloatMargin.IN_PER_S2 / mass) / 2;
  }

  /** Surge frequency over the cam's at an engine speed: only for comparing springs. */
  public static double surgeRatio(double surgeHz, double rpm) {
    return surgeHz / (rpm / 120);
  }
}
