/** The crank-angle model: when each valve is off its lobe, and in which order they may be set. */
@org.jspecify.annotations.NullMarked
package shim.core.crank;
