/** Unit factors and the reading of lengths as people type them. */
@org.jspecify.annotations.NullMarked
package shim.core.unit;
