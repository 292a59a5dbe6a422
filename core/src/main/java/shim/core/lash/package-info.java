/** Lash and preload: targets, readings, adjusters, and what a round says. */
@org.jspecify.annotations.NullMarked
package shim.core.lash;
