package shim.core.stats;

/**
 * Tabular cumulative sums against a target: small steps the same way add up, noise does not.
 *
 * <pre>
 * S⁺ = max(0, S⁺ + x − target − k)      S⁻ = max(0, S⁻ + target − x − k)
 * </pre>
 *
 * @param target what is expected, in the unit of the data
 * @param slack k, the shift on one side that is let pass, in the unit of the data
 * @param up S⁺ so far
 * @param down S⁻ so far
 */
public record Cusum(double target, double slack, double up, double down) {
  public static Cusum around(double target, double slack) {
    return new Cusum(target, slack, 0, 0);
  }

  /** The sums after one more value. */
  public Cusum with(double value) {
    double above = value - target;
    return new Cusum(
        target, slack, Math.max(0, up + above - slack), Math.max(0, down - above - slack));
  }
}
