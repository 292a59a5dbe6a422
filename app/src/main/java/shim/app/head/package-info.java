/** Heads by themselves: measured, given springs, assembled, put on an engine and taken off. */
@org.jspecify.annotations.NullMarked
package shim.app.head;
