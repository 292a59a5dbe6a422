/** Parts beside the engine: whether one fits, when the next falls due, how many to take along. */
@org.jspecify.annotations.NullMarked
package shim.core.stock;
