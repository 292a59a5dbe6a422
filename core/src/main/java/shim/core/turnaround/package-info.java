/** The time between two events: what is to be done, by whom, in which order, and by when. */
@org.jspecify.annotations.NullMarked
package shim.core.turnaround;
