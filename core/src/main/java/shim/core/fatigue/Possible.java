package shim.core.fatigue;

import org.jspecify.annotations.Nullable;

/**
 * One account of what a spring read: healthy or with a fault, all settings right or one wrong. The
 * size of the fault is normal, and the wrong setting given that size is too.
 *
 * @param weight its probability
 * @param fault null where it is healthy
 * @param column of the fault in the outlook; 0 where it is healthy
 * @param size mean of the fault's size, ln
 * @param sizeVariance its variance
 * @param slipColumn of the wrong setting in the outlook; 0 where all are right
 * @param slip the wrong setting where the fault has no size, ln
 * @param slipBySize how much smaller it is for each unit of size
 * @param slipVariance its variance given the size
 */
record Possible(
    double weight,
    @Nullable Fault fault,
    int column,
    double size,
    double sizeVariance,
    int slipColumn,
    double slip,
    double slipBySize,
    double slipVariance) {
  Possible weighing(double weight) {
    return new Possible(
        weight, fault, column, size, sizeVariance, slipColumn, slip, slipBySize, slipVariance);
  }

  /** The same with its columns where the outlook has them. */
  Possible placed(int column, int slipColumn) {
    return new Possible(
        weight, fault, column, size, sizeVariance, slipColumn, slip, slipBySize, slipVariance);
  }

  /** What it lost all at once and has not come back, or since some hours; ln. */
  double fallen(double sinceHours) {
    return fault == null ? 0 : fault.breaks() ? size : size * (1 - fault.lost(sinceHours));
  }

  /** What its fault has cost at some hours, for each unit of its size. */
  double lost(double hours) {
    return fault == null ? 0 : fault.lost(hours);
  }
}
