package shim.core.spring;

import java.util.Optional;

/**
 * A checked data sheet.
 *
 * @param referenceHeightIn height at which loads are compared
 * @param lossLimit share of baseline
 */
public record SpringType(
    String name,
    SpringSheet.Form form,
    LoadCurve curve,
    double referenceHeightIn,
    Optional<Double> bindIn,
    Optional<Double> odIn,
    Optional<Double> maxLiftIn,
    Optional<Double> lifeHours,
    double lossLimit,
    Optional<Double> leastSeatLbf) {
  /** Load at the reference height by the sheet, lbf. */
  public double nominalLbf() {
    return curve.loadAt(referenceHeightIn);
  }
}
