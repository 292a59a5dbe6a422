/** Robust statistics of small sets. */
@org.jspecify.annotations.NullMarked
package shim.core.stats;
