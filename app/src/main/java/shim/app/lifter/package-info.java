/** Lifters as individuals, what was seen of them, lobes, and what the lash says. */
@org.jspecify.annotations.NullMarked
package shim.app.lifter;
