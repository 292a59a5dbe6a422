/** Running: what a logger's file says of hours, cycles, over-revs and heat. */
@org.jspecify.annotations.NullMarked
package shim.core.running;
