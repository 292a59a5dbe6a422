package shim.core.spring;

/**
 * A helical compression spring of round wire.
 *
 * @param wireIn wire diameter d
 * @param coilIn mean coil diameter D
 * @param active number of active coils Na
 */
public record RoundWire(double wireIn, double coilIn, double active) {
  /** Shear modulus of spring steel wire, psi; value from memory. */
  public static final double STEEL_SHEAR_PSI = 11.5e6;

  public RoundWire {
    if (!(wireIn > 0 && coilIn > wireIn && active > 0)) {
      throw new IllegalArgumentException(
          "a wire of " + wireIn + " in on a coil of " + coilIn + " in is no spring");
    }
  }

  /** Spring index C = D/d. */
  public double index() {
    return coilIn / wireIn;
  }

  /** Bergsträsser's curvature factor K_B = (4C + 2)/(4C − 3). */
  public double bergstraesser() {
    return (4 * index() + 2) / (4 * index() - 3);
  }

  /** Rate G d⁴/(8 D³ Na), lbf/in, for a shear modulus in psi. */
  public double rateLbfPerIn(double shearModulusPsi) {
    return shearModulusPsi * Math.pow(wireIn, 4) / (8 * Math.pow(coilIn, 3) * active);
  }

  /** Corrected shear stress K_B 8 F D/(π d³) under a load, psi. */
  public double stressPsi(double loadLbf) {
    return bergstraesser() * 8 * loadLbf * coilIn / (Math.PI * Math.pow(wireIn, 3));
  }

  /** Load at which the corrected shear stress K_B 8 F D/(π d³) reaches a value, lbf. */
  public double loadAtStress(double shearPsi) {
    return shearPsi * Math.PI * Math.pow(wireIn, 3) / (8 * bergstraesser() * coilIn);
  }
}
