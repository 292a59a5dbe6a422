package shim.core.stats;

/** A figure with the range it lies in with 80 % probability. */
public record Range(double low, double mid, double high) {}
