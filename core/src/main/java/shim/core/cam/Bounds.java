package shim.core.cam;

/**
 * A figure with the bounds it surely lies within, as far as what it was made of is right; one
 * figure where nothing is open.
 */
public record Bounds(double low, double mid, double high) {
  static Bounds one(double value) {
    return new Bounds(value, value, value);
  }
}
